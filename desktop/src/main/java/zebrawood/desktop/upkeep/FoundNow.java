package zebrawood.desktop.upkeep;

import java.util.Optional;
import zebrawood.upkeep.Found;

/** How something was found, or that it was not done. */
enum FoundNow {
  NOT_DONE,
  CLEAN,
  FAIR,
  DIRTY;

  Optional<Found> found() {
    return this == NOT_DONE ? Optional.empty() : Optional.of(Found.valueOf(name()));
  }
}
