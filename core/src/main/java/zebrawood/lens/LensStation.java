package zebrawood.lens;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.machine.Machine;
import zebrawood.words.Message;

/** The lens station as the ledger knows it: how each lens was fitted, and what it does. */
public final class LensStation {
  private LensStation() {}

  public static final Station STATION =
      new Station(
          "lens",
          Phase.AIM_THE_BEAM,
          machine -> true,
          Set.of(),
          Map.of(
              EventKind.LENS_NEW, Doubt.READ_AGAIN,
              EventKind.HEAD_SWAPPED, Doubt.QUICK_CHECK,
              EventKind.CRASH, Doubt.QUICK_CHECK),
          365,
          10,
          Optional.of(SubjectKind.LENS));

  /** What can hurt there, of what this machine has. */
  public static Message caution(Machine machine) {
    return Message.of(
        LensReadings.aberrationKnown(machine.source().wavelengthNm())
            ? "lens.caution"
            : "lens.caution.glass");
  }
}
