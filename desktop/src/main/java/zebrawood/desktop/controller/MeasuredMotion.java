package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import zebrawood.controller.AxisScale;
import zebrawood.controller.Role;
import zebrawood.controller.RunUp;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.quantity.Quantity;

/** How far each axis goes for what is commanded, and how soon it is up to speed. */
final class MeasuredMotion {
  private static final double SCALE_PER_MILLE = 2;
  private static final double LARGEST_ACCELERATION = 1e7;

  private final StationForm form;
  private final List<QuantityField> across;
  private final List<QuantityField> along;
  private final QuantityField rule;
  private final QuantityField speed;
  private final QuantityField acceleration;
  private final QuantityField width;

  /** What the controller says of itself; empty where it does not. */
  private final Function<Role, OptionalDouble> setting;

  MeasuredMotion(StationForm form, Function<Role, OptionalDouble> setting) {
    this.form = form;
    this.setting = setting;
    across = scale("X");
    along = scale("Y");
    rule = form.quantity("rule", Quantity.LENGTH, 0.001, 10);
    speed = form.quantity("speed", Quantity.SPEED, 0.1, 100_000);
    acceleration = form.quantity("acceleration", Quantity.ACCELERATION, 1, LARGEST_ACCELERATION);
    width = form.quantity("width", Quantity.LENGTH, 0.1, 100_000);
    rule.set(0.5);
  }

  private List<QuantityField> scale(String axis) {
    return List.of(
        form.quantity(Field.READING + "commanded" + axis, Quantity.LENGTH, 0.1, 100_000),
        form.quantity(Field.READING + "measured" + axis, Quantity.LENGTH, 0.1, 100_000));
  }

  Stream<Field> needed() {
    List<Field> needed = new ArrayList<>();
    for (List<QuantityField> axis : List.of(across, along)) {
      if (QuantityField.begun(axis)) {
        needed.addAll(axis);
        needed.add(rule);
      }
    }
    if (!speed.isEmpty() || !width.isEmpty()) {
      needed.addAll(List.of(speed, width));
      if (accelerationMmS2().isEmpty()) {
        needed.add(acceleration);
      }
    }
    return needed.stream();
  }

  private OptionalDouble accelerationMmS2() {
    return acceleration.value().isPresent()
        ? acceleration.value()
        : setting.apply(Role.ACCELERATION_X);
  }

  Optional<AxisScale.Readings> across() {
    return axis(across, Role.STEPS_PER_MM_X);
  }

  Optional<AxisScale.Readings> along() {
    return axis(along, Role.STEPS_PER_MM_Y);
  }

  private Optional<AxisScale.Readings> axis(List<QuantityField> fields, Role steps) {
    return QuantityField.begun(fields)
        ? Optional.of(
            new AxisScale.Readings(
                fields.get(0).number(),
                fields.get(1).number(),
                rule.number(),
                SCALE_PER_MILLE,
                setting.apply(steps)))
        : Optional.empty();
  }

  Optional<RunUp.Readings> runUp() {
    return speed.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new RunUp.Readings(speed.number(), accelerationMmS2().orElseThrow(), width.number()));
  }

  List<Part> parts() {
    return List.of(
        Part.fold(
            "controller.scale",
            Part.hint("controller.scale.hint"),
            new Part.Rows(Stream.of(across, along, List.of(rule)).flatMap(List::stream).toList())),
        Part.fold("controller.run-up", Part.rows(speed, acceleration, width)));
  }
}
