package zebrawood.benchmarks;

import java.util.Optional;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;

/**
 * How often what is stated holds: of all readings, and of those that decided something.
 *
 * <p>Wrong is what decided and was off by more than it may be.
 */
final class Coverage {
  private int all;
  private int told;
  private int heldOfTold;
  private int decided;
  private int held;
  private int wrong;
  private int warned;

  /**
   * @param allowed how far off it may be
   */
  void count(
      Verdict verdict, Optional<Estimate> stated, double truth, double allowed, boolean warns) {
    all++;
    warned += warns ? 1 : 0;
    if (stated.isEmpty()) {
      return;
    }
    double off = Math.abs(stated.get().value() - truth);
    boolean holds = off <= 2 * stated.get().uncertainty();
    told++;
    heldOfTold += holds ? 1 : 0;
    if (verdict != Verdict.MEASURE_AGAIN) {
      decided++;
      held += holds ? 1 : 0;
      wrong += off > allowed ? 1 : 0;
    }
  }

  /** A figure that is stated whatever is decided. */
  void count(Estimate stated, double truth) {
    count(Verdict.ADJUST, Optional.of(stated), truth, Double.POSITIVE_INFINITY, false);
  }

  void print(String name) {
    System.out.printf(
        "%-44s decided %5.1f %%; two deviations hold %5.1f %% of these, %5.1f %% of all told;"
            + " wrong %.2f %%; warned %.0f %%%n",
        name,
        share(decided, all),
        share(held, decided),
        share(heldOfTold, told),
        share(wrong, decided),
        share(warned, all));
  }

  static double share(int part, int of) {
    return of == 0 ? 0 : 100.0 * part / of;
  }
}
