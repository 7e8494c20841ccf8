package zebrawood.desktop.field;

import java.util.List;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.field.PointerReadings;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A mark and where the pointer pointed, both from the field's centre. */
record PointerRow(
    QuantityField x, QuantityField y, QuantityField pointerX, QuantityField pointerY) {
  static PointerRow make(StationForm form, int number) {
    String at = "visit.pointer." + number + ".";
    return new PointerRow(
        length(form, at + "x", Message.of("field.pointer-row.x", number)),
        length(form, at + "y", Message.of("field.pointer-row.y", number)),
        length(form, at + "px", Message.of("field.pointer-row.px", number)),
        length(form, at + "py", Message.of("field.pointer-row.py", number)));
  }

  private static QuantityField length(StationForm form, String name, Message label) {
    return form.quantity(name, label, Quantity.LENGTH, -5000, 5000);
  }

  List<Field> fields() {
    return List.of(x, y, pointerX, pointerY);
  }

  void type(double[] markMm, double[] pointedMm) {
    x.set(markMm[0]);
    y.set(markMm[1]);
    pointerX.set(pointedMm[0]);
    pointerY.set(pointedMm[1]);
  }

  PointerReadings.Mark mark() {
    return new PointerReadings.Mark(x.number(), y.number(), pointerX.number(), pointerY.number());
  }
}
