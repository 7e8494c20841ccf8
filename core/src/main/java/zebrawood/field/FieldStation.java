package zebrawood.field;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.machine.Build;

/** The field station as the ledger knows it: a galvo head's, for each lens. */
public final class FieldStation {
  /** The station whose figures decide the field's size. */
  public static final String FOCUS = "focus";

  private FieldStation() {}

  public static final Station STATION =
      new Station(
          "field",
          Phase.AIM_THE_BEAM,
          machine -> machine.build() == Build.GALVO,
          Set.of(FOCUS),
          Map.of(
              EventKind.CONFIGURATION_LOADED, Doubt.QUICK_CHECK,
              EventKind.LENS_NEW, Doubt.READ_AGAIN,
              EventKind.HEAD_SHIMMED, Doubt.READ_AGAIN,
              EventKind.CRASH, Doubt.READ_AGAIN,
              EventKind.FIRMWARE_RESET, Doubt.QUICK_CHECK),
          365,
          20,
          Optional.of(SubjectKind.LENS));
}
