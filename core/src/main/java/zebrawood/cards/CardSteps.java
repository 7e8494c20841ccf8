package zebrawood.cards;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * What changes from column to column of a card, or from row to row, instead of power or speed.
 *
 * @param values from the left, or from the front
 */
public record CardSteps(Step figure, List<Double> values) {
  /** A figure that is tried in steps, with what is accepted of it in its own unit. */
  public enum Step {
    /** mm from line to line. */
    INTERVAL(CardPlanReadings.FINEST_MM, 10, true),
    /** Whole ones. */
    PASSES(1, 100, true),
    /** kHz. */
    FREQUENCY(0.001, 1_000_000, false),
    /** ns. */
    PULSE_LENGTH(0.001, 1e9, false),
    /** mm across the circle of a wobble; 0 for none. */
    WOBBLE(0, 100, false);

    private final double least;
    private final double most;
    private final boolean inProgram;

    Step(double least, double most, boolean inProgram) {
      this.least = least;
      this.most = most;
      this.inProgram = inProgram;
    }

    /** Whether a motion program says it: what a source is set to, it does not. */
    public boolean inProgram() {
      return inProgram;
    }

    public double least() {
      return least;
    }

    public double most() {
      return most;
    }
  }

  public CardSteps {
    values = List.copyOf(values);
  }

  void check(Accepts accepts, String field) {
    accepts.atLeast(field + ".values", values, 1, "cards.count.steps");
    for (int i = 0; i < values.size(); i++) {
      String at = field + ".values[" + i + "]";
      double value = values.get(i);
      accepts.between(at, value, figure.least, figure.most);
      if (figure == Step.PASSES && value != Math.rint(value)) {
        accepts.complain(at, Message.number(value), Message.of("cards.accepts.whole-passes"));
      }
    }
  }
}
