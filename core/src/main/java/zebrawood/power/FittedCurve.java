package zebrawood.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * A curve through readings: {@code a + b p + c p²} above the threshold, in the readings' own unit;
 * good between the lowest and the highest percentage that was read.
 *
 * @param coefficients of 1, p and p²; the last is at most 0
 * @param covariance of those that were fitted: two, or three
 * @param bendUncertainty one standard deviation of the last coefficient; empty with fewer than five
 *     readings, which tell no flattening
 * @param otherwise coefficients of 1, p, p² and so on of another form through the same readings,
 *     which tells how far the form decides; empty where there are too few for it
 */
public record FittedCurve(
    List<Double> coefficients,
    List<List<Double>> covariance,
    double lowestPercent,
    double highestPercent,
    OptionalDouble bendUncertainty,
    Optional<List<Double>> otherwise) {

  /** Whether more percent always give more, from the threshold to the highest reading. */
  boolean rises() {
    double b = coefficients.get(1);
    double c = coefficients.get(2);
    double discriminant = b * b - 4 * c * coefficients.get(0);
    return b > 0 && discriminant > 0 && b + 2 * c * highestPercent > 0;
  }

  private double threshold() {
    double a = coefficients.get(0);
    double b = coefficients.get(1);
    double c = coefficients.get(2);
    return c == 0 ? -a / b : 2 * -a / (b + Math.sqrt(b * b - 4 * c * a));
  }

  private double slopeAt(double percent) {
    return coefficients.get(1) + 2 * coefficients.get(2) * percent;
  }

  private double raw(double percent) {
    return coefficients.get(0) + percent * (coefficients.get(1) + percent * coefficients.get(2));
  }

  private double errorAt(double percent) {
    double sum = 0;
    for (int i = 0; i < covariance.size(); i++) {
      for (int k = 0; k < covariance.size(); k++) {
        sum += covariance.get(i).get(k) * Math.pow(percent, i + k);
      }
    }
    // With too few readings for flattening the other form is the likelier one.
    double other = (bendUncertainty.isPresent() ? 1 : 2) * other(percent);
    return Math.sqrt(Math.max(0, sum) + other * other);
  }

  /** What the other form gives more there. */
  private double other(double percent) {
    return otherwise
        .map(c -> {
          double sum = 0;
          for (int i = c.size() - 1; i >= 0; i--) {
            sum = sum * percent + c.get(i);
          }
          return sum - raw(percent);
        })
        .orElse(0.0);
  }

  /** In percent: below it there is nothing. */
  public Estimate thresholdPercent() {
    double t = threshold();
    return new Estimate(t, errorAt(t) / slopeAt(t));
  }

  /** Just above the threshold, for one percent more. */
  public Estimate slopePerPercent() {
    double t = threshold();
    double variance = covariance.get(1).get(1);
    if (covariance.size() > 2) {
      variance += 4 * t * covariance.get(1).get(2) + 4 * t * t * covariance.get(2).get(2);
    }
    double other = other(t + 0.5) - other(t - 0.5);
    return new Estimate(slopeAt(t), Math.sqrt(Math.max(0, variance) + other * other));
  }

  /** How much of a straight line is missing at the highest percentage that was read: 0 to 1. */
  public double flatteningFraction() {
    double straight = slopePerPercent().value() * (highestPercent - threshold());
    return 1 - raw(highestPercent) / straight;
  }

  /** One standard deviation of that, by how well the bend is told; empty where it is not. */
  public OptionalDouble flatteningUncertainty() {
    double above = highestPercent - threshold();
    return bendUncertainty.isPresent()
        ? OptionalDouble.of(bendUncertainty.getAsDouble() * above / slopeAt(threshold()))
        : OptionalDouble.empty();
  }

  public boolean covers(double percent) {
    return percent >= lowestPercent && percent <= highestPercent;
  }

  /**
   * What a percentage gives; nothing below the threshold.
   *
   * @param percent within what was read
   */
  public Estimate at(double percent) {
    return new Estimate(Math.max(0, raw(percent)), errorAt(percent));
  }

  /** The percentage that gives so much; empty where none of those that were read does. */
  public Optional<Estimate> percentFor(double value) {
    double low = Math.max(lowestPercent, threshold());
    if (!(value >= raw(low) && value <= raw(highestPercent))) {
      return Optional.empty();
    }
    double a = coefficients.get(0) - value;
    double b = coefficients.get(1);
    double c = coefficients.get(2);
    double percent = c == 0 ? -a / b : 2 * -a / (b + Math.sqrt(b * b - 4 * c * a));
    return Optional.of(new Estimate(percent, errorAt(percent) / slopeAt(percent)));
  }

  /**
   * Threshold, slope and flattening, what a wanted percentage gives, and what a wanted value takes.
   *
   * @param unit what the readings are of
   */
  public List<Message> said(Quantity unit, OptionalDouble wantedPercent, OptionalDouble wanted) {
    List<Message> said = new ArrayList<>();
    Estimate threshold = thresholdPercent();
    Estimate slope = slopePerPercent();
    said.add(
        Message.of(
            "power.curve.found",
            Message.bare(percent(threshold.value(), 1)),
            percent(threshold.uncertainty(), 1),
            Message.bare(Amount.of(slope.value(), unit, 3)),
            Amount.of(slope.uncertainty(), unit, 3),
            flattening()));
    wantedPercent.stream().mapToObj(p -> gives(p, unit)).forEach(said::add);
    wanted.stream().mapToObj(v -> takes(v, unit)).forEach(said::add);
    return said;
  }

  private static Amount percent(double value, int decimals) {
    return Amount.of(value, Quantity.PERCENT, decimals);
  }

  private Message flattening() {
    OptionalDouble uncertainty = flatteningUncertainty();
    return uncertainty.isPresent()
        ? Message.of(
            "power.curve.flattens",
            Message.bare(percent(100 * flatteningFraction(), 1)),
            percent(100 * uncertainty.getAsDouble(), 1))
        : Message.of("power.curve.flattens-unknown");
  }

  private Message gives(double percent, Quantity unit) {
    if (!covers(percent)) {
      return Message.of(
          "power.curve.outside",
          Message.bare(percent(lowestPercent, 0)),
          percent(highestPercent, 0));
    }
    Estimate at = at(percent);
    return Message.of(
        "power.curve.gives",
        percent(percent, 1),
        Message.bare(Amount.of(at.value(), unit, 1)),
        Amount.of(at.uncertainty(), unit, 1));
  }

  private Message takes(double value, Quantity unit) {
    return percentFor(value)
        .map(p ->
            Message.of(
                "power.curve.takes",
                Amount.of(value, unit, 1),
                Message.bare(percent(p.value(), 1)),
                percent(p.uncertainty(), 1)))
        .orElseGet(() ->
            Message.of(
                "power.curve.beyond",
                Amount.of(value, unit, 1),
                Amount.of(at(highestPercent).value(), unit, 1)));
  }
}
