package zebrawood.focus;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.words.Message;

/** The focus station as the ledger knows it: it stands for each lens. */
public final class FocusStation {
  private FocusStation() {}

  public static final Station STATION =
      new Station(
          "focus",
          Phase.AIM_THE_BEAM,
          machine -> true,
          Set.of("bed"),
          Map.of(
              EventKind.RING_MOVED, Doubt.READ_AGAIN,
              EventKind.NOZZLE_CHANGED, Doubt.QUICK_CHECK,
              EventKind.LENS_NEW, Doubt.READ_AGAIN,
              EventKind.BED_CHANGED, Doubt.READ_AGAIN,
              EventKind.HEAD_SHIMMED, Doubt.READ_AGAIN,
              EventKind.HEAD_SWAPPED, Doubt.READ_AGAIN,
              EventKind.CRASH, Doubt.READ_AGAIN,
              EventKind.HONEYCOMB_OR_ROTARY, Doubt.QUICK_CHECK,
              EventKind.ROTARY_OUT, Doubt.QUICK_CHECK),
          180,
          15,
          Optional.of(SubjectKind.LENS));

  /** What can hurt there, of what this machine has. */
  public static Message caution(Machine machine) {
    return Message.of(
        machine.build() == Build.GALVO ? "focus.caution.field-lens" : "focus.caution");
  }
}
