package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.mirrors.Plumb;
import zebrawood.mirrors.RedDot;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Whether the beam leaves the nozzle plumb, and where the red dot is, as typed. */
final class NozzleFields {
  private static final int SPOTS = 4;
  private final List<QuantityField> plumb;
  private final List<QuantityField> pointer;

  /**
   * @param foldsDown whether the marks below the only mirror have these names already
   */
  NozzleFields(StationForm form, boolean foldsDown) {
    String before = Field.READING + (foldsDown ? "nozzle." : "");
    plumb =
        new ArrayList<>(spots(form, before, "high.right", "high.rear", "low.right", "low.rear"));
    plumb.add(length(form, "lowered", 1, 1000, 50));
    plumb.add(length(form, "toHigh", 1, 1000, 80));
    plumb.add(length(form, "thickness", 0.1, 200, 6));
    plumb.add(length(form, "edge", 0.01, 20, 0.1));
    pointer =
        new ArrayList<>(
            spots(form, before, "dot.right", "dot.rear", "dot.low.right", "dot.low.rear"));
    pointer.add(length(form, "dotLowered", 1, 1000, 20));
    pointer.add(length(form, "dotLimit", 0.05, 50, 0.5));
  }

  private static List<QuantityField> spots(StationForm form, String before, String... names) {
    return Stream.of(names)
        .map(name ->
            form.quantity(
                before + name,
                Message.of("mirrors.field." + name),
                Quantity.LENGTH,
                -MirrorsModel.FURTHEST_MM,
                MirrorsModel.FURTHEST_MM))
        .toList();
  }

  private static QuantityField length(
      StationForm form, String name, double least, double most, double usual) {
    QuantityField field = form.quantity(name, Quantity.LENGTH, least, most);
    field.set(usual);
    return field;
  }

  List<QuantityField> plumb() {
    return plumb;
  }

  List<QuantityField> pointer() {
    return pointer;
  }

  private static boolean begun(List<QuantityField> part) {
    return QuantityField.begun(part.subList(0, SPOTS));
  }

  Stream<QuantityField> needed() {
    return Stream.of(plumb, pointer).filter(NozzleFields::begun).flatMap(List::stream);
  }

  Optional<Plumb.Readings> plumbReadings(double readToMm) {
    return begun(plumb)
        ? Optional.of(
            new Plumb.Readings(
                plumb.get(0).number(),
                plumb.get(1).number(),
                plumb.get(2).number(),
                plumb.get(3).number(),
                plumb.get(4).number(),
                plumb.get(5).number(),
                plumb.get(6).number(),
                plumb.get(7).number(),
                readToMm))
        : Optional.empty();
  }

  Optional<RedDot.Readings> pointerReadings(double readToMm) {
    return begun(pointer)
        ? Optional.of(
            new RedDot.Readings(
                pointer.get(0).number(),
                pointer.get(1).number(),
                pointer.get(2).number(),
                pointer.get(3).number(),
                pointer.get(4).number(),
                pointer.get(5).number(),
                readToMm))
        : Optional.empty();
  }
}
