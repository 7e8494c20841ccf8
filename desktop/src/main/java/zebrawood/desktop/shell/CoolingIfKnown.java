package zebrawood.desktop.shell;

import java.util.Optional;
import zebrawood.machine.CooledBy;

/** What cools a machine, as it is asked. */
enum CoolingIfKnown {
  NOT_KNOWN(Optional.empty()),
  AIR(Optional.of(CooledBy.AIR)),
  OWN_LOOP(Optional.of(CooledBy.OWN_LOOP)),
  CHILLER(Optional.of(CooledBy.CHILLER)),
  BUCKET(Optional.of(CooledBy.BUCKET));

  private final Optional<CooledBy> known;

  CoolingIfKnown(Optional<CooledBy> known) {
    this.known = known;
  }

  Optional<CooledBy> known() {
    return known;
  }

  static CoolingIfKnown of(Optional<CooledBy> known) {
    return known.map(k -> valueOf(k.name())).orElse(NOT_KNOWN);
  }
}
