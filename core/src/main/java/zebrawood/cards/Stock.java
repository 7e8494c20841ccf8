package zebrawood.cards;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * What is burnt. Its name is the subject of the visit.
 *
 * @param thicknessMm empty where nobody measured it
 * @param supplier empty where nobody said it, as {@code batch}
 * @param fromBehind whether it is engraved from behind, the artwork mirrored; empty where nobody
 *     said it
 */
public record Stock(
    StockKind kind,
    OptionalDouble thicknessMm,
    Optional<String> supplier,
    Optional<String> batch,
    Residue residue,
    Optional<Boolean> fromBehind) {
  private static final double THICKEST_MM = 1000;

  /** What is left on it after burning, and what takes it off. */
  public enum Residue {
    NOT_LOOKED,
    NONE,
    DUST,
    TAR,
    HAZE
  }

  public Stock {
    var accepts = new Accepts();
    thicknessMm.ifPresent(t -> accepts.positive("thicknessMm", t, THICKEST_MM));
    accepts.orThrow();
  }
}
