package zebrawood.desktop.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import zebrawood.camera.BedTarget;
import zebrawood.camera.CameraPhotoFinding.Missing;
import zebrawood.camera.CameraPhotoFinding.Point;
import zebrawood.camera.CameraPhotoReadings;
import zebrawood.camera.CameraTask;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
import zebrawood.marks.MarkKind;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** The target, its photograph with the four corner marks, and marks taken out or put in by hand. */
final class TargetFields {
  private static final double MOST_OF_HEIGHT = 0.93;
  private static final double DECODING = 0.5;
  private static final Pattern BY_HAND =
      Pattern.compile("([+-])(\\d{1,3}),(\\d{1,3})(?:@(\\d+(?:\\.\\d+)?),(\\d+(?:\\.\\d+)?))?");

  final PhotoPlace place;
  final QuantityField columns;
  final QuantityField rows;
  final QuantityField pitch;
  final QuantityField originX;
  final QuantityField originY;
  final QuantityField height;
  final ChoiceField<MarkKind> mark;

  /** What was done by hand, as it is kept: -column,row taken out, +column,row@x,y put in. */
  private final WordsField byHand;

  TargetFields(StationForm form) {
    place = new PhotoPlace(form, "camera.field.corner", MOST_OF_HEIGHT, DECODING, Corner.values());
    columns = form.quantity("columns", Quantity.NUMBER, 2, 200);
    rows = form.quantity("rows", Quantity.NUMBER, 2, 200);
    pitch = form.positive("pitch", Quantity.LENGTH, 20_000);
    originX = form.quantity("originX", Quantity.LENGTH, -20_000, 20_000);
    originY = form.quantity("originY", Quantity.LENGTH, -20_000, 20_000);
    height = form.quantity("sheetHeight", Quantity.LENGTH, -2000, 2000);
    mark = form.choice("mark", MarkKind.class, MarkKind.CROSS);
    byHand = form.words("visit.byHand", TargetFields::edits);
  }

  /** How many marks there are, how far apart, and where the first one is. */
  List<QuantityField> grid() {
    return List.of(columns, rows, pitch, originX, originY);
  }

  /**
   * @param found says which marks were found
   */
  Ways.Ask asks(Part found) {
    return Ways.needs(
        this::needed,
        place.marks().fileName("camera-photo-choose"),
        found,
        Part.rows(height),
        Part.rows(grid()),
        Part.rows(mark),
        Part.fold(
            "camera.by-hand",
            Part.hint("camera.by-hand.hint"),
            Part.rows(byHand),
            Part.rows(place.marks().fields().toList())));
  }

  private Stream<Field> needed() {
    List<Field> needed = new ArrayList<>(List.of(place.marks().path(), height));
    needed.addAll(grid());
    needed.addAll(place.marks().fields().toList());
    return needed.stream();
  }

  /** As the file that is written here has it: with crosses. */
  void set(BedTarget sized) {
    columns.set(sized.columns());
    rows.set(sized.rows());
    pitch.set(sized.pitchMm());
    originX.set(sized.originXMm());
    originY.set(sized.originYMm());
    mark.set(MarkKind.CROSS);
  }

  CameraPhotoReadings.Target target() {
    return new CameraPhotoReadings.Target(
        (int) Math.round(columns.number()),
        (int) Math.round(rows.number()),
        pitch.number(),
        List.of(originX.number(), originY.number()),
        mark.get(),
        height.value());
  }

  CameraTask.ByPhoto read(double toleranceMm, List<Double> bedMm) {
    List<Edit> edits = edits(byHand.text());
    List<Missing> out =
        edits.stream().filter(e -> !e.put).map(e -> new Missing(e.column, e.row)).toList();
    List<Point> in =
        edits.stream()
            .filter(e -> e.put)
            .map(e -> new Point(e.column, e.row, e.xPx, e.yPx))
            .toList();
    return new CameraTask.ByPhoto(
        new CameraPhotoReadings(
            place.marks().file(),
            target(),
            place.marks().all().stream().map(m -> m.px()).toList(),
            toleranceMm,
            bedMm,
            Optional.empty(),
            Optional.empty()),
        out.isEmpty() ? Optional.empty() : Optional.of(out),
        in.isEmpty() ? Optional.empty() : Optional.of(in));
  }

  /** One thing done by hand. */
  private record Edit(boolean put, int column, int row, double xPx, double yPx) {}

  private static List<Edit> edits(String words) {
    List<Edit> edits = new ArrayList<>();
    for (String word : words.strip().split("\\s+")) {
      if (word.isEmpty()) {
        continue;
      }
      Matcher m = BY_HAND.matcher(word);
      if (!m.matches() || m.group(1).equals("+") != (m.group(4) != null)) {
        throw UnusableReading.of(
            "visit.byHand", Message.quoted(word), Message.of("camera.accepts.by-hand"));
      }
      boolean put = m.group(4) != null;
      edits.add(
          new Edit(
              put,
              Integer.parseInt(m.group(2)) - 1,
              Integer.parseInt(m.group(3)) - 1,
              put ? Double.parseDouble(m.group(4)) : 0,
              put ? Double.parseDouble(m.group(5)) : 0));
    }
    return edits;
  }

  private String without(int column, int row) {
    StringBuilder kept = new StringBuilder();
    for (String word : byHand.text().strip().split("\\s+")) {
      Matcher m = BY_HAND.matcher(word);
      boolean same =
          m.matches()
              && m.group(2).equals(String.valueOf(column + 1))
              && m.group(3).equals(String.valueOf(row + 1));
      if (!same && !word.isEmpty()) {
        kept.append(word).append(' ');
      }
    }
    return kept.toString();
  }

  /** Takes a mark out. */
  void takeOut(int column, int row) {
    byHand.set((without(column, row) + "-" + (column + 1) + "," + (row + 1)).strip());
  }

  /** Puts a mark in, or where it belongs. */
  void putIn(int column, int row, double xPx, double yPx) {
    String at = Math.round(10 * xPx) / 10.0 + "," + Math.round(10 * yPx) / 10.0;
    byHand.set((without(column, row) + "+" + (column + 1) + "," + (row + 1) + "@" + at).strip());
  }
}
