package zebrawood.desktop.cards;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.cards.CardSample;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
import zebrawood.quantity.Quantity;

/** A square burnt now on the batch of the kept card: it tells the beam from the batch. */
final class ControlFields {
  private final ChoiceField<Purpose> purpose;
  private final QuantityField power;
  private final QuantityField speed;
  private final QuantityField dark;

  ControlFields(StationForm form, ChoiceField<Purpose> purpose) {
    this.purpose = purpose;
    power = form.positive("controlPower", Quantity.PERCENT, 100);
    speed = form.positive("controlSpeed", Quantity.SPEED, 50_000);
    dark = form.quantity("controlDark", Quantity.NUMBER, -0.1, 1);
  }

  private List<QuantityField> all() {
    return List.of(power, speed, dark);
  }

  private boolean asked() {
    return purpose.get() == Purpose.POWER_LEFT;
  }

  /** None of it or all of it, where a kept card is burnt again. */
  Ways.Ask ask() {
    Part part =
        new Part.ShownWhile(
            purpose.valueProperty().isEqualTo(Purpose.POWER_LEFT),
            List.of(Part.fold("cards.control", Part.hint("cards.control.hint"), Part.rows(all()))));
    return new Ways.Ask(
        () -> asked() && QuantityField.begun(all()) ? all().stream() : Stream.empty(),
        () -> asked() ? all().stream() : Stream.empty(),
        Optional::empty,
        Optional.of(part));
  }

  /** Empty where not all of it is said. */
  Optional<CardSample> sample() {
    return asked() && all().stream().allMatch(f -> f.value().isPresent())
        ? Optional.of(new CardSample(speed.number(), power.number(), dark.number()))
        : Optional.empty();
  }
}
