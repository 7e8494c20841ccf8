package zebrawood.desktop.camera;

import zebrawood.camera.SharpnessReadings.Rung;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A height, and how sharp the picture was there. */
record SharpRow(QuantityField height, QuantityField sharpness) {
  private static final double FARTHEST_MM = 2000;
  private static final double LARGEST = 1e9;

  static SharpRow make(StationForm form, int number) {
    String at = "visit.sharp." + number + ".";
    return new SharpRow(
        form.quantity(
            at + "height",
            Message.of("camera.sharp-height.at", number),
            Quantity.LENGTH,
            -FARTHEST_MM,
            FARTHEST_MM),
        form.positive(
            at + "sharpness",
            Message.of("camera.sharp-figure.at", number),
            Quantity.NUMBER,
            LARGEST));
  }

  boolean complete() {
    return height.value().isPresent() && sharpness.value().isPresent();
  }

  boolean waits() {
    return height.value().isPresent() && sharpness.isEmpty();
  }

  Rung rung() {
    return new Rung(height.number(), sharpness.number());
  }
}
