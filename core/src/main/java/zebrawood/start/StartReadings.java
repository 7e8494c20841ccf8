package zebrawood.start;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * A go card as it was gone through.
 *
 * @param asked every line of the card as it was that day, with its answer
 * @param coolantC at the start; empty on machines without water, and while it is not read
 * @param warmestC what the machine allows, where it was kept with the cooling
 * @param coolantNeeded whether the machine is cooled by water
 */
public record StartReadings(
    List<Asked> asked, OptionalDouble coolantC, OptionalDouble warmestC, boolean coolantNeeded) {

  /** How a line stands. */
  public enum Answer {
    NOT_YET,
    /** Not asked again: it was so earlier on the same day. */
    EARLIER,
    YES,
    NO
  }

  /** A line with its answer. */
  public record Asked(GoLine line, Answer answer) {}

  public StartReadings {
    asked = List.copyOf(asked);
    var accepts =
        new Accepts()
            .atLeast("asked", asked, 1, "start.count.line")
            .distinct("asked", asked.stream().map(a -> a.line().id()).toList());
    coolantC.ifPresent(c -> accepts.between("coolantC", c, -40, 100));
    warmestC.ifPresent(c -> accepts.between("warmestC", c, 5, 60));
    accepts.orThrow();
  }
}
