package zebrawood.desktop.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.camera.CameraFinding;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What a stock's thickness does to the picture, and what to type for it. */
final class ThicknessSection extends Section<Void, Void> {
  /** What becomes of the table when stock is laid on it. */
  enum Table {
    STAYS,
    IS_LOWERED
  }

  private static final double SAME_MM = 0.05;

  private final QuantityField thickness;
  private final ChoiceField<Table> table;
  private final QuantityField sheetHeight;
  private final QuantityField tolerance;
  private final Supplier<Optional<CameraFinding>> found;

  /**
   * @param sheetHeight at which the target was read
   * @param tolerance by how much a place may be off
   */
  ThicknessSection(
      StationForm form,
      QuantityField sheetHeight,
      QuantityField tolerance,
      Supplier<Optional<CameraFinding>> found) {
    super(Message.of("camera.thickness.hint"));
    thickness = form.quantity("thickness", Quantity.LENGTH, 0, 1000);
    table = form.choice("table", Table.class, Table.STAYS);
    this.sheetHeight = sheetHeight;
    this.tolerance = tolerance;
    this.found = found;
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(thickness);
  }

  @Override
  public Part part() {
    return Part.fold("camera.thickness", Part.rows(thickness, table), said());
  }

  @Override
  protected Message words() {
    if (thickness.value().isEmpty()) {
      return Message.of("camera.thickness.hint");
    }
    List<Message> said = new ArrayList<>();
    double read = sheetHeight.value().orElse(0);
    if (table.get() == Table.IS_LOWERED) {
      said.add(Message.of("camera.thickness.lowered", Amount.mm(read, 1)));
      return Message.sentences(said);
    }
    double higher = thickness.number() - read;
    if (Math.abs(higher) < SAME_MM) {
      said.add(Message.of("camera.thickness.same"));
      return Message.sentences(said);
    }
    Optional<CameraFinding> camera = found.get();
    OptionalDouble slope =
        camera.map(CameraFinding::heightSlopeMmPerMm).orElse(OptionalDouble.empty());
    said.add(Message.of("camera.thickness.type", Amount.mm(thickness.number(), 1)));
    if (slope.isEmpty()) {
      said.add(Message.of("camera.thickness.unknown"));
      return Message.sentences(said);
    }
    double offMm = Math.abs(higher) * slope.getAsDouble();
    said.add(
        Message.of(
            "camera.thickness.costs", Amount.mm(offMm, 1), Amount.mm(slope.getAsDouble(), 2)));
    double marginMm = camera.orElseThrow().marginMm();
    tolerance
        .value()
        .ifPresent(allowed ->
            said.add(
                Message.of(
                    offMm + marginMm > allowed ? "camera.thickness.each" : "camera.thickness.one",
                    Amount.mm(marginMm, 1),
                    Amount.mm(allowed, 1))));
    return Message.sentences(said);
  }
}
