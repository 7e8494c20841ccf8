package zebrawood.desktop.focus;

import java.util.stream.Stream;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
import zebrawood.focus.FocusTask;
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

  /** What was measured stands below the photograph. */
  private static final double MOST_OF_HEIGHT = 0.5;

  /** What a picture takes longest for is its decoding. */
  private static final double DECODING = 0.7;

  final PhotoPlace place;
  final QuantityField scaleMm;

  PhotoFields(StationForm form) {
    place = new PhotoPlace(form, "focus.field.mark", MOST_OF_HEIGHT, DECODING, Mark.values());
    scaleMm = form.positive("scaleMm", Quantity.LENGTH, 5000);
  }

  Ways.Ask asks() {
    return Ways.needs(
        () -> Stream.concat(Stream.of(place.marks().path(), scaleMm), place.marks().fields()),
        place.marks().fileName("focus-photo-choose"),
        Part.rows(scaleMm),
        Part.fold("focus.marks", Part.rows(place.marks().fields().toList())));
  }

  RampPhotoReadings readings(FocusTask.Board board) {
    PhotoMarks at = place.marks();
    return new RampPhotoReadings(
        at.file(),
        new PixelScale(at.of(Mark.SCALE_FROM).px(), at.of(Mark.SCALE_TO).px(), scaleMm.number()),
        new RampPhotoReadings.Line(at.of(Mark.LINE_START).px(), at.of(Mark.LINE_END).px()),
        board.runMm(),
        board.riseMm(),
        board.gapAtStartMm());
  }
}
