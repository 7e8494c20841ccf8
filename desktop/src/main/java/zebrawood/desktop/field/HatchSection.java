package zebrawood.desktop.field;

import java.util.List;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.field.Hatch;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** How lines and pulses overlap, and how corners look. */
final class HatchSection extends Section<Void, Void> {
  private final QuantityField spot;
  private final QuantityField interval;
  private final QuantityField markSpeed;
  private final QuantityField pulseRate;
  private final ChoiceField<CornerLook> corner;

  HatchSection(StationForm form) {
    super(Message.of("field.hatch.needs"));
    spot = form.positive("spot", Quantity.LENGTH, 10);
    interval = form.positive("interval", Quantity.LENGTH, 10);
    markSpeed = form.positive("markSpeed", Quantity.SPEED, 100_000);
    pulseRate = form.positive("pulseRate", Quantity.PULSE_RATE, 100_000);
    corner = form.choice("corner", CornerLook.class, CornerLook.NOT_LOOKED);
  }

  @Override
  public Stream<QuantityField> fields() {
    return Stream.of(spot, interval, markSpeed, pulseRate);
  }

  @Override
  public Part part() {
    return Part.fold(
        "field.hatch",
        Part.rows(spot, interval, markSpeed, pulseRate),
        said(),
        new Part.LabelledChoices(List.of(corner)),
        Part.hintOf(corner, ".hint"));
  }

  @Override
  protected Message words() {
    List<Message> said =
        Hatch.said(spot.value(), interval.value(), markSpeed.value(), pulseRate.value());
    return said.isEmpty() ? Message.of("field.hatch.needs") : Message.sentences(said);
  }
}
