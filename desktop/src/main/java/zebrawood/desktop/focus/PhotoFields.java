package zebrawood.desktop.focus;

import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.measure.PixelScale;
import zebrawood.quantity.Quantity;

/** The photograph of a board: its file, four marks in it, and how long its scale is. */
final class PhotoFields {
  /** The marks, in the order in which they are pressed. */
  enum Mark {
    SCALE_FROM,
    SCALE_TO,
    LINE_START,
    LINE_END
  }

  private final PhotoMarks photo;
  private final QuantityField scaleMm;

  PhotoFields(StationForm form) {
    photo = new PhotoMarks(form, "focus.field.mark", Mark.values());
    scaleMm = form.positive("scaleMm", Quantity.LENGTH, 5000);
  }

  PhotoMarks photo() {
    return photo;
  }

  QuantityField scaleMm() {
    return scaleMm;
  }

  Stream<Field> fields() {
    return Stream.concat(Stream.of(photo.path(), scaleMm), photo.fields());
  }

  RampPhotoReadings readings(double runMm, double riseMm, double gapAtStartMm) {
    return new RampPhotoReadings(
        photo.file(),
        new PixelScale(
            photo.of(Mark.SCALE_FROM).px(), photo.of(Mark.SCALE_TO).px(), scaleMm.number()),
        new RampPhotoReadings.Line(photo.of(Mark.LINE_START).px(), photo.of(Mark.LINE_END).px()),
        runMm,
        riseMm,
        gapAtStartMm);
  }
}
