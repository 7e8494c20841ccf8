package zebrawood.desktop.focus;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.focus.ModulePlumb;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Whether a module on the head is plumb, by marks at two heights. */
final class PlumbSection extends Section<ModulePlumb.Readings, Void> {
  private final QuantityField right;
  private final QuantityField rear;
  private final QuantityField lowered;
  private final QuantityField readTo;
  private final QuantityField most;

  PlumbSection(StationForm form) {
    super(Message.NONE);
    right = form.quantity("visit.shiftRight", Quantity.LENGTH, -200, 200);
    rear = form.quantity("visit.shiftRear", Quantity.LENGTH, -200, 200);
    lowered = form.positive("plumbLowered", Quantity.LENGTH, 1000);
    readTo = form.positive("plumbReadTo", Quantity.LENGTH, 10);
    most = form.positive("mostLean", Quantity.ANGLE, 500);
  }

  private List<QuantityField> marks() {
    return List.of(right, rear);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(right, rear, lowered, readTo, most);
  }

  @Override
  public Stream<QuantityField> needed() {
    return QuantityField.begun(marks()) ? Stream.of(right, rear, lowered, readTo) : Stream.empty();
  }

  @Override
  public Part part() {
    return Part.fold(
        "focus.plumb",
        Part.hint("focus.plumb.hint"),
        Part.rows(right, rear, lowered, readTo, most));
  }

  @Override
  protected Optional<ModulePlumb.Readings> understood() {
    return QuantityField.begun(marks())
        ? Optional.of(
            new ModulePlumb.Readings(
                right.number(), rear.number(), lowered.number(), readTo.number(), most.value()))
        : Optional.empty();
  }
}
