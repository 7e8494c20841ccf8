package zebrawood.rotary;

import java.util.Optional;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;

/** Whether a rotary is in the machine, as far as anybody said. */
public final class RotaryIn {
  private RotaryIn() {}

  /** The event by which it was put in; empty where it is out, or nobody said that it is in. */
  public static Optional<Event> since(Ledger ledger) {
    return ledger.events().stream()
        .filter(e -> e.kind() == EventKind.ROTARY_IN || e.kind() == EventKind.ROTARY_OUT)
        .reduce((earlier, later) -> later)
        .filter(e -> e.kind() == EventKind.ROTARY_IN);
  }
}
