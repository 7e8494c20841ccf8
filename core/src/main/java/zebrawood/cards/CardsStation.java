package zebrawood.cards;

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

/** The cards as the ledger knows them: of each stock, with each lens. */
public final class CardsStation {
  private CardsStation() {}

  public static final Station STATION =
      new Station(
          "cards",
          Phase.PROVE_THE_WORK,
          machine -> true,
          Set.of("focus", "power"),
          Map.of(
              EventKind.SOURCE_REPLACED, Doubt.READ_AGAIN,
              EventKind.SUPPLY_TOUCHED, Doubt.READ_AGAIN,
              EventKind.LENS_NEW, Doubt.READ_AGAIN,
              EventKind.MIRROR_CLEANED, Doubt.QUICK_CHECK,
              EventKind.MIRROR_REPLACED, Doubt.QUICK_CHECK,
              EventKind.CONFIGURATION_LOADED, Doubt.QUICK_CHECK),
          180,
          15,
          Optional.of(SubjectKind.STOCK));

  /** What can hurt at this machine. */
  public static Message caution(Machine machine) {
    return Message.of(machine.enclosed() ? "cards.caution" : "cards.caution.open");
  }
}
