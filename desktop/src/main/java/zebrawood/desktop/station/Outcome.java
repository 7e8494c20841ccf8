package zebrawood.desktop.station;

import java.util.Optional;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Message;

/**
 * What can be said of what is typed so far.
 *
 * @param <R> readings of the station
 * @param <F> its finding
 */
public sealed interface Outcome<R, F extends Finding> {
  /**
   * Something is still to be read.
   *
   * @param next what it is called
   */
  record Waiting<R, F extends Finding>(Message next) implements Outcome<R, F> {}

  /** Something typed cannot be used. */
  record Refused<R, F extends Finding>(Message because) implements Outcome<R, F> {}

  /** It is being computed; what was found before does not count any more. */
  record Working<R, F extends Finding>(Message what) implements Outcome<R, F> {}

  record Solved<R, F extends Finding>(R readings, F finding) implements Outcome<R, F> {}

  default Optional<Solved<R, F>> solved() {
    return this instanceof Solved<R, F> solved ? Optional.of(solved) : Optional.empty();
  }

  default boolean within() {
    return solved().filter(f -> f.finding().verdict() == Verdict.WITHIN).isPresent();
  }
}
