package zebrawood.desktop.camera;

import zebrawood.camera.CameraCheckReadings.FreshMark;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A mark that was burnt just now, and where the picture under the artwork shows it. */
record FreshRow(QuantityField x, QuantityField y, QuantityField shownX, QuantityField shownY) {
  static FreshRow make(StationForm form, int number) {
    String at = "visit.fresh." + number + ".";
    return new FreshRow(
        length(form, at + "x", "camera.fresh-row.x", number),
        length(form, at + "y", "camera.fresh-row.y", number),
        length(form, at + "shownX", "camera.fresh-row.shown-x", number),
        length(form, at + "shownY", "camera.fresh-row.shown-y", number));
  }

  private static QuantityField length(StationForm form, String name, String label, int number) {
    return form.quantity(name, Message.of(label, number), Quantity.LENGTH, -20_000, 20_000);
  }

  FreshMark mark() {
    return new FreshMark(x.number(), y.number(), shownX.number(), shownY.number());
  }

  void set(double xMm, double yMm, double[] shown) {
    x.set(xMm);
    y.set(yMm);
    shownX.set(Math.round(100 * shown[0]) / 100.0);
    shownY.set(Math.round(100 * shown[1]) / 100.0);
  }
}
