package zebrawood.trial;

import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;

/** The trial piece as the ledger knows it: it rests on all that it is made with. */
public final class TrialStation {
  private TrialStation() {}

  public static final Station STATION =
      new Station(
          "trial",
          Phase.PROVE_THE_WORK,
          machine -> true,
          Set.of("controller", "mirrors", "bed", "focus", "field", "power", "cards"),
          Map.of(EventKind.MOVED, Doubt.READ_AGAIN, EventKind.CRASH, Doubt.READ_AGAIN),
          365,
          25);
}
