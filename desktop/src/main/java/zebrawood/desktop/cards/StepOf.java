package zebrawood.desktop.cards;

import java.util.Optional;
import zebrawood.cards.CardSteps.Step;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What changes from square to square of a card. */
public enum StepOf {
  POWER(null, Quantity.PERCENT, "cards.field.power"),
  SPEED(null, Quantity.SPEED, "cards.field.speed"),
  INTERVAL(Step.INTERVAL, Quantity.LINE_INTERVAL, "cards.field.intervalTried"),
  PASSES(Step.PASSES, Quantity.NUMBER, "cards.field.passesTried"),
  FREQUENCY(Step.FREQUENCY, Quantity.PULSE_RATE, "cards.field.khzTried"),
  PULSE_LENGTH(Step.PULSE_LENGTH, Quantity.PULSE_LENGTH, "cards.field.pulseTried"),
  WOBBLE(Step.WOBBLE, Quantity.LENGTH, "cards.field.wobbleTried");

  private final Step step;
  private final Quantity quantity;
  private final String label;

  StepOf(Step step, Quantity quantity, String label) {
    this.step = step;
    this.quantity = quantity;
    this.label = label;
  }

  /** Of the field of its first or last value. */
  Message label(String end) {
    return Message.of(label, Message.of(end));
  }

  /** Empty for power and speed, which every card has. */
  Optional<Step> step() {
    return Optional.ofNullable(step);
  }

  Quantity quantity() {
    return quantity;
  }

  /** Whether it belongs to a source that is pulsed at a rate. */
  boolean ofPulses() {
    return this == FREQUENCY || this == PULSE_LENGTH || this == WOBBLE;
  }
}
