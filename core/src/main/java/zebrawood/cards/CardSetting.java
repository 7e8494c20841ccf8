package zebrawood.cards;

import java.util.OptionalDouble;
import zebrawood.cards.CardSteps.Step;

/**
 * All that a square was burnt with. What is empty was not said, and is as the machine had it.
 *
 * @param wobbleMm across the circle; 0 for none
 */
public record CardSetting(
    double percent,
    double speedMmS,
    OptionalDouble intervalMm,
    OptionalDouble passes,
    OptionalDouble khz,
    OptionalDouble pulseNs,
    OptionalDouble wobbleMm) {
  /** As far as a card of powers and speeds tells it. */
  public static CardSetting of(double percent, double speedMmS, OptionalDouble intervalMm) {
    OptionalDouble unsaid = OptionalDouble.empty();
    return new CardSetting(percent, speedMmS, intervalMm, unsaid, unsaid, unsaid, unsaid);
  }

  CardSetting with(Step figure, double value) {
    OptionalDouble now = OptionalDouble.of(value);
    return new CardSetting(
        percent,
        speedMmS,
        figure == Step.INTERVAL ? now : intervalMm,
        figure == Step.PASSES ? now : passes,
        figure == Step.FREQUENCY ? now : khz,
        figure == Step.PULSE_LENGTH ? now : pulseNs,
        figure == Step.WOBBLE ? now : wobbleMm);
  }

  /** What it has of a figure; empty where it was not said. */
  public OptionalDouble get(Step figure) {
    return switch (figure) {
      case INTERVAL -> intervalMm;
      case PASSES -> passes;
      case FREQUENCY -> khz;
      case PULSE_LENGTH -> pulseNs;
      case WOBBLE -> wobbleMm;
    };
  }

  /** How much of the stock is done in a second, as far as it is said: more is faster. */
  double pace() {
    return speedMmS * intervalMm.orElse(1) / passes.orElse(1);
  }

  /** What the stock gets, as far as it is said: less is gentler. */
  double energy() {
    return percent / speedMmS * passes.orElse(1) / intervalMm.orElse(1);
  }
}
