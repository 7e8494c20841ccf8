package zebrawood.cards;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One burn that taught something.
 *
 * @param ofBook whether the setting stands in the book: then the trial is a check of it
 * @param depthMm as probed; empty where nobody did
 * @param photo its file's name; empty where there is none
 */
public record Trial(
    String what,
    Result result,
    boolean ofBook,
    double speedMmS,
    double percent,
    OptionalDouble intervalMm,
    OptionalDouble passes,
    OptionalDouble depthMm,
    Stock.Residue residue,
    Optional<String> photo,
    Optional<String> note) {

  /** How it came out. */
  public enum Result {
    GOOD,
    SPOILT
  }
}
