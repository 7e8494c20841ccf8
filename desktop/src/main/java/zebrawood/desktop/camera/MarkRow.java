package zebrawood.desktop.camera;

import java.util.List;
import zebrawood.camera.CameraMark;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A mark on the bed, and where it is in the picture. */
record MarkRow(
    QuantityField x, QuantityField y, QuantityField height, QuantityField px, QuantityField py) {
  static MarkRow make(StationForm form, int number) {
    String at = "visit.place." + number + ".";
    return new MarkRow(
        length(form, at + "x", "camera.mark-row.x", number),
        length(form, at + "y", "camera.mark-row.y", number),
        length(form, at + "height", "camera.mark-row.height", number),
        pixel(form, at + "px", "camera.mark-px.x", number),
        pixel(form, at + "py", "camera.mark-px.y", number));
  }

  private static QuantityField length(StationForm form, String name, String label, int number) {
    return form.quantity(name, Message.of(label, number), Quantity.LENGTH, -20_000, 20_000);
  }

  private static QuantityField pixel(StationForm form, String name, String label, int number) {
    return form.quantity(name, Message.of(label, number), Quantity.NUMBER, 0, 100_000);
  }

  /** What must be there once the row is begun. */
  List<Field> needed() {
    return List.of(x, y, px, py);
  }

  CameraMark mark() {
    return new CameraMark(x.number(), y.number(), height.value(), px.number(), py.number());
  }

  void set(double xMm, double yMm, double heightMm, double[] at) {
    x.set(xMm);
    y.set(yMm);
    height.set(heightMm);
    px.set(Math.round(10 * at[0]) / 10.0);
    py.set(Math.round(10 * at[1]) / 10.0);
  }
}
