package zebrawood.desktop.focus;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
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
    LINE_END,
    UPPER_LEFT,
    UPPER_RIGHT,
    LOWER_RIGHT,
    LOWER_LEFT
  }

  private static final Set<Mark> SCALE = EnumSet.of(Mark.SCALE_FROM, Mark.SCALE_TO);
  private static final Set<Mark> CORNERS = EnumSet.range(Mark.UPPER_LEFT, Mark.LOWER_LEFT);

  /** What was measured stands below the photograph. */
  private static final double MOST_OF_HEIGHT = 0.5;

  /** What a picture takes longest for is its decoding. */
  private static final double DECODING = 0.7;

  final PhotoPlace place;
  final QuantityField scaleMm;
  final ChoiceField<PhotoScale> by;
  private final QuantityField across;
  private final QuantityField down;

  PhotoFields(StationForm form) {
    place = new PhotoPlace(form, "focus.field.mark", MOST_OF_HEIGHT, DECODING, Mark.values());
    by = form.choice("photoScale", PhotoScale.class, PhotoScale.TWO_PLACES);
    scaleMm = form.positive("scaleMm", Quantity.LENGTH, 5000);
    across = form.positive("boardAcross", Quantity.LENGTH, 5000);
    down = form.positive("boardDown", Quantity.LENGTH, 5000);
    place.marks().askOnly(mark -> !(corners() ? SCALE : CORNERS).contains(mark));
  }

  private boolean corners() {
    return by.get() == PhotoScale.CORNERS;
  }

  private List<QuantityField> lengths() {
    return corners() ? List.of(across, down) : List.of(scaleMm);
  }

  Ways.Ask asks() {
    return Ways.needs(
        () ->
            Stream.concat(
                Stream.of(place.marks().path()),
                Stream.concat(lengths().stream(), place.marks().fields())),
        place.marks().fileName("focus-photo-choose"),
        Part.rows(by),
        new Part.Redrawn(
            by.valueProperty(),
            () ->
                List.of(
                    Part.rows(lengths()),
                    Part.fold("focus.marks", Part.rows(place.marks().fields().toList())))));
  }

  RampPhotoReadings readings(FocusTask.Board board) {
    PhotoMarks at = place.marks();
    return new RampPhotoReadings(
        at.file(),
        corners()
            ? Optional.empty()
            : Optional.of(
                new PixelScale(
                    at.of(Mark.SCALE_FROM).px(), at.of(Mark.SCALE_TO).px(), scaleMm.number())),
        new RampPhotoReadings.Line(at.of(Mark.LINE_START).px(), at.of(Mark.LINE_END).px()),
        board.runMm(),
        board.riseMm(),
        board.gapAtStartMm(),
        corners()
            ? Optional.of(
                new RampPhotoReadings.Board(
                    CORNERS.stream().map(m -> at.of(m).px()).toList(),
                    across.number(),
                    down.number()))
            : Optional.empty());
  }
}
