package zebrawood.desktop.camera;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.camera.CloseUp;
import zebrawood.camera.CloseUpReadings;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A camera on the head: its offset from the beam, from one mark at one height or two. */
final class CloseUpSection extends Section<CloseUpReadings, Void> {
  private static final double FARTHEST_MM = 1000;

  private final QuantityField offsetX;
  private final QuantityField offsetY;
  private final QuantityField otherX;
  private final QuantityField otherY;
  private final QuantityField higher;
  private final QuantityField moved;
  private final QuantityField movedPx;
  private final QuantityField readTo;
  private final Supplier<Optional<CloseUp>> found;

  CloseUpSection(StationForm form, Supplier<Optional<CloseUp>> found) {
    super(Message.of("camera.close-up.hint"));
    offsetX = offset(form, "reading.headX");
    offsetY = offset(form, "reading.headY");
    otherX = offset(form, "reading.headHigherX");
    otherY = offset(form, "reading.headHigherY");
    higher = form.positive("headHigher", Quantity.LENGTH, FARTHEST_MM);
    moved = form.positive("headMoved", Quantity.LENGTH, FARTHEST_MM);
    movedPx = form.positive("headMovedPx", Quantity.NUMBER, 100_000);
    readTo = form.positive("headReadTo", Quantity.LENGTH, 10);
    this.found = found;
  }

  private static QuantityField offset(StationForm form, String name) {
    return form.quantity(name, Quantity.LENGTH, -FARTHEST_MM, FARTHEST_MM);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(offsetX, offsetY, readTo, otherX, otherY, higher, moved, movedPx);
  }

  @Override
  public Stream<Field> needed() {
    return fields().allMatch(Field::isEmpty) ? Stream.empty() : Stream.of(offsetX, offsetY, readTo);
  }

  @Override
  public Part part() {
    return Part.fold(
        "camera.close-up",
        said(),
        Part.rows(offsetX, offsetY, readTo, otherX, otherY, higher, moved, movedPx));
  }

  @Override
  protected Optional<CloseUpReadings> understood() {
    if (offsetX.isEmpty() || offsetY.isEmpty() || readTo.isEmpty()) {
      return Optional.empty();
    }
    boolean second = !otherX.isEmpty() && !otherY.isEmpty() && !higher.isEmpty();
    return Optional.of(
        new CloseUpReadings(
            offsetX.number(),
            offsetY.number(),
            second ? otherX.value() : OptionalDouble.empty(),
            second ? otherY.value() : OptionalDouble.empty(),
            second ? higher.value() : OptionalDouble.empty(),
            moved.value(),
            movedPx.value(),
            readTo.number()));
  }

  @Override
  protected Message words() {
    return found.get().map(CloseUp::said).orElse(Message.of("camera.close-up.hint"));
  }
}
