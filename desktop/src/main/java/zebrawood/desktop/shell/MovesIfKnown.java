package zebrawood.desktop.shell;

import java.util.Optional;
import zebrawood.machine.Moves;

/** What goes up and down, as it is asked. */
enum MovesIfKnown {
  NOT_KNOWN(Optional.empty()),
  TABLE(Optional.of(Moves.TABLE)),
  HEAD(Optional.of(Moves.HEAD)),
  MODULE(Optional.of(Moves.MODULE)),
  COLUMN(Optional.of(Moves.COLUMN)),
  NOTHING(Optional.of(Moves.NOTHING));

  private final Optional<Moves> known;

  MovesIfKnown(Optional<Moves> known) {
    this.known = known;
  }

  Optional<Moves> known() {
    return known;
  }

  static MovesIfKnown of(Optional<Moves> known) {
    return known.map(k -> valueOf(k.name())).orElse(NOT_KNOWN);
  }
}
