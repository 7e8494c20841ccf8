package zebrawood.desktop.mirrors;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.mirrors.QuickCheck;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Where something fell, from a middle: to the right, and up. */
record MarkFields(QuantityField right, QuantityField up) {
  /** Both as fields of a form, up to as far as a tape reaches. */
  static MarkFields in(StationForm form, String name, Message of) {
    return new MarkFields(
        coordinate(form, name + ".right", Message.of("mirrors.aim.right", of)),
        coordinate(form, name + ".up", Message.of("mirrors.aim.up", of)));
  }

  private static QuantityField coordinate(StationForm form, String name, Message label) {
    return form.quantity(
        name, label, Quantity.LENGTH, -MirrorsModel.FURTHEST_MM, MirrorsModel.FURTHEST_MM);
  }

  List<Field> fields() {
    return List.of(right, up);
  }

  Stream<QuantityField> stream() {
    return Stream.of(right, up);
  }

  boolean begun() {
    return !right.isEmpty() || !up.isEmpty();
  }

  /** Both, once both can be used. */
  Optional<double[]> mm() {
    return right.value().isPresent() && up.value().isPresent()
        ? Optional.of(new double[] {right.number(), up.number()})
        : Optional.empty();
  }

  QuickCheck.Spot spot() {
    return new QuickCheck.Spot(right.number(), up.number());
  }

  void set(double rightMm, double upMm) {
    right.set(rightMm);
    up.set(upMm);
  }
}
