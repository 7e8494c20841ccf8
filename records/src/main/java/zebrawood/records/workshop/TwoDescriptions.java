package zebrawood.records.workshop;

import java.time.Instant;
import zebrawood.machine.Machine;

/**
 * A machine that was described anew on two computers that knew nothing of one another. Both are
 * kept; which of them is right, somebody has to say.
 *
 * @param one the one of this workshop
 * @param other the one that came with a passport
 */
public record TwoDescriptions(Described one, Described other) {
  /**
   * One of them.
   *
   * @param by initials
   */
  public record Described(Machine machine, Instant at, String by) {}
}
