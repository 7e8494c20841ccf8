package zebrawood.camera;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.machine.Fitting;

/** The camera station as the ledger knows it: with each lens, whose focus sets the height. */
public final class CameraStation {
  private CameraStation() {}

  public static final Station STATION =
      new Station(
          "camera",
          Phase.PROVE_THE_WORK,
          machine -> machine.has(Fitting.CAMERA),
          Set.of("focus"),
          Map.of(
              EventKind.CAMERA_MOVED, Doubt.QUICK_CHECK,
              EventKind.BED_CHANGED, Doubt.READ_AGAIN,
              EventKind.HONEYCOMB_OR_ROTARY, Doubt.QUICK_CHECK,
              EventKind.LENS_NEW, Doubt.READ_AGAIN,
              EventKind.MOVED, Doubt.QUICK_CHECK,
              EventKind.CRASH, Doubt.QUICK_CHECK,
              EventKind.ROTARY_OUT, Doubt.QUICK_CHECK),
          365,
          10,
          Optional.of(SubjectKind.LENS));
}
