package zebrawood.desktop.mirrors;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;

/** Where something fell, from a middle: to the right, and up. */
record Aim(QuantityField right, QuantityField up) {
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

  void set(double rightMm, double upMm) {
    right.set(rightMm);
    up.set(upMm);
  }
}
