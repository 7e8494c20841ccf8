package zebrawood.controller;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.words.Message;

/**
 * How far does the axis go for what is commanded, and what should its steps per mm be?
 *
 * <p>The quotient of commanded over measured travel corrects the steps per mm in one step. A
 * reading of step r at each end of the measured travel has a standard deviation of r / sqrt(6) over
 * both. The travel that would decide is the one whose quotient has half of the tolerance as its
 * uncertainty.
 */
public final class AxisScale {
  private AxisScale() {}

  /**
   * @param resolutionMm of the rule, at each of its two ends
   * @param tolerancePerMille how far the scale may be off, in thousandths
   * @param stepsPerMm as it is now, if it was reported
   */
  public record Readings(
      double commandedMm,
      double measuredMm,
      double resolutionMm,
      double tolerancePerMille,
      OptionalDouble stepsPerMm) {
    public Readings {
      var accepts =
          new Accepts()
              .positive("commandedMm", commandedMm, 100_000)
              .positive("measuredMm", measuredMm, 100_000)
              .positive("resolutionMm", resolutionMm, 10)
              .positive("tolerancePerMille", tolerancePerMille, 100);
      if (commandedMm > 0
          && measuredMm > 0
          && !(Math.abs(Math.log(commandedMm / measuredMm)) < 4)) {
        accepts.complain(
            "measuredMm", measuredMm, Message.of("controller.axis-scale.order-what-was"));
      }
      stepsPerMm.ifPresent(s -> accepts.positive("stepsPerMm", s, 1e7));
      accepts.orThrow();
    }
  }

  /**
   * @param factor to multiply the steps per mm by
   * @param decides whether the reading can tell the scale from a right one
   * @param travelThatDecidesMm the commanded travel that would
   */
  public record Finding(
      Estimate factor,
      OptionalDouble stepsPerMm,
      boolean within,
      boolean decides,
      double travelThatDecidesMm) {}

  public static Finding solve(Readings r) {
    double factor = r.commandedMm / r.measuredMm;
    double readMm = r.resolutionMm / Math.sqrt(6);
    double uncertainty = factor * readMm / r.measuredMm;
    double tolerance = r.tolerancePerMille / 1000;
    double off = Math.abs(factor - 1);
    boolean decides = uncertainty <= tolerance / 2;
    return new Finding(
        new Estimate(factor, uncertainty),
        r.stepsPerMm.isPresent()
            ? OptionalDouble.of(r.stepsPerMm.getAsDouble() * factor)
            : OptionalDouble.empty(),
        off <= tolerance,
        decides || off > tolerance + 2 * uncertainty,
        readMm / (tolerance / 2));
  }
}
