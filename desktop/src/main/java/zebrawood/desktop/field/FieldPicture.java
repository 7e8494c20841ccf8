package zebrawood.desktop.field;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.photo.PhotoView;
import zebrawood.desktop.text.Text;
import zebrawood.field.FieldFinding.MarkPlace;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldReadings.Point;
import zebrawood.field.FieldTask;
import zebrawood.field.FieldVisit;
import zebrawood.field.FieldVisitFinding;
import zebrawood.field.FieldVisitReadings;
import zebrawood.quantity.Amount;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * The field from above: what was commanded, what came out, with its errors enlarged by a stated
 * factor; beside it for a grid what is left after the table. Size of an error is told by the length
 * of its line and by the size of a ring, not by colour.
 */
final class FieldPicture {
  private static final double EDGE = 14;

  /** A caption of up to two lines, and the scale of rings below it. */
  private static final double WORDS = 64;

  private static final double LARGEST_RING = 9;
  private static final double SCALE_WIDE = 84;
  private static final double LETTER = 7.2;
  private static final double LARGEST_ARROW = 0.06;
  private static final int SIDE_PIECES = 8;
  private static final double WIDE_ENOUGH = 640;

  private final Canvas on;
  private final Optional<SquareShape> before;

  /**
   * @param before how a square came out when it was recorded last
   */
  FieldPicture(Canvas on, Optional<SquareShape> before) {
    this.on = on;
    this.before = before;
  }

  /**
   * A square field's place in the picture.
   *
   * @param wide what it and its words have to themselves
   */
  private record Frame(double left, double top, double side, double wide, double fieldMm) {
    double x(double mm) {
      return left + (mm / fieldMm + 0.5) * side;
    }

    double y(double mm) {
      return top + (0.5 - mm / fieldMm) * side;
    }
  }

  void draw(Optional<FieldVisitReadings> readings, Optional<FieldVisitFinding> found) {
    if (readings.isEmpty() || found.isEmpty()) {
      say(Text.of("field.picture.empty"), on.height() / 2);
      return;
    }
    draw(readings.get().task(), found.get(), 0);
  }

  private void say(String words, double y) {
    on.words(words, on.width() / 2, y, Math.max(80, on.width() - 30), "plan-side");
  }

  /** The scan with the ends of its rules; below it what was found. */
  void drawScan(
      PhotoView view,
      PhotoMarks photo,
      Optional<FieldVisitReadings> readings,
      Optional<FieldVisitFinding> found) {
    view.drawPicture(on);
    view.between(on, photo.all().get(0), photo.all().get(1), "photo-scale");
    view.between(on, photo.all().get(2), photo.all().get(3), "photo-line");
    view.drawMarks(on, photo);
    String next =
        photo
            .next()
            .map(m -> Text.of("field.scan.press", photo.numberOf(m), Message.of(m.what())))
            .orElseGet(() -> Text.of("field.scan.told"));
    say(next, view.bottom() + 16);
    if (readings.isPresent() && found.isPresent()) {
      draw(readings.get().task(), found.get(), view.bottom() + 30);
    }
  }

  private void draw(FieldTask task, FieldVisitFinding found, double from) {
    double fieldMm = FieldVisit.fieldMm(task);
    Optional<List<Point>> points = FieldVisit.points(task, found.field());
    if (points.isPresent()) {
      List<List<Double>> errors =
          points.get().stream()
              .map(p -> List.of(p.measuredXMm() - p.xMm(), p.measuredYMm() - p.yMm()))
              .toList();
      vectors(frame(from, fieldMm, 0, 2), points.get(), errors, "field.picture.now");
      left(
          frame(from, fieldMm, 1, 2),
          points.get(),
          found.offTheMap().orElseThrow(),
          found.field() instanceof OfGrid grid ? grid.leftOut().orElse(List.of()) : List.of());
      return;
    }
    FieldReadings.Square square = ((FieldTask.BySquare) task).readings().square().orElseThrow();
    int frames = before.isPresent() ? 2 : 1;
    before.ifPresent(
        b -> outlines(frame(from, fieldMm, 0, 2), b, square.commandedMm(), "field.picture.before"));
    Frame now = frame(from, fieldMm, frames - 1, frames);
    outlines(now, SquareShape.of(found), square.commandedMm(), "field.picture.square");
    sides(now, square);
  }

  /** One of one or two, beside each other where there is room, else one below the other. */
  private Frame frame(double from, double fieldMm, int number, int of) {
    double height = on.height() - from;
    boolean beside = of == 2 && (on.width() > height || on.width() > WIDE_ENOUGH);
    double wide = beside ? on.width() / 2 : on.width();
    double high = beside ? height : height / of;
    double side = Math.min(wide - 1.5 * EDGE, high - EDGE - WORDS);
    return new Frame(
        (beside ? number * wide : 0) + (wide - side) / 2,
        from + (beside ? 0 : number * high) + EDGE,
        side,
        wide,
        fieldMm);
  }

  private void border(Frame frame) {
    on.rectangle(frame.left, frame.top, frame.side, frame.side, "field-frame");
  }

  private void vectors(Frame frame, List<Point> points, List<List<Double>> errors, String caption) {
    border(frame);
    double most = errors.stream().mapToDouble(e -> Math.hypot(e.get(0), e.get(1))).max().orElse(0);
    double factor = factor(most, frame.fieldMm);
    for (int i = 0; i < points.size(); i++) {
      double x = frame.x(points.get(i).xMm());
      double y = frame.y(points.get(i).yMm());
      double dx = errors.get(i).get(0) * factor / frame.fieldMm * frame.side;
      double dy = -errors.get(i).get(1) * factor / frame.fieldMm * frame.side;
      on.circle(x, y, 1.6, "field-place");
      on.line(x, y, x + dx, y + dy, "field-error");
      double off = Math.hypot(errors.get(i).get(0), errors.get(i).get(1));
      if (off == most && most > 0) {
        on.circle(x, y, 6, "mark-after");
      }
    }
    caption(frame, Text.of(caption, Math.round(factor), Amount.mm(most, 3)));
  }

  /**
   * What is left of each mark, as the size of its ring; a scale of rings stands below. A mark that
   * was left out has a cross.
   */
  private void left(
      Frame frame, List<Point> points, List<List<Double>> errors, List<MarkPlace> leftOut) {
    border(frame);
    double[] off = errors.stream().mapToDouble(e -> Math.hypot(e.get(0), e.get(1))).toArray();
    Set<MarkPlace> without = Set.copyOf(leftOut);
    boolean[] counts = new boolean[off.length];
    double most = 0;
    for (int i = 0; i < off.length; i++) {
      Point p = points.get(i);
      counts[i] = !without.contains(new MarkPlace(p.xMm(), p.yMm()));
      most = counts[i] ? Math.max(most, off[i]) : most;
    }
    double largest = Math.min(LARGEST_RING, 0.45 * frame.side / Math.sqrt(off.length));
    for (int i = 0; i < off.length; i++) {
      double x = frame.x(points.get(i).xMm());
      double y = frame.y(points.get(i).yMm());
      if (!counts[i]) {
        cross(x, y);
      } else if (most > 0) {
        on.circle(x, y, Math.max(1, largest * off[i] / most), "field-left");
      }
    }
    caption(frame, Text.of("field.picture.after", Amount.mm(most, 3)));
    double x = frame.left + frame.side / 2 - SCALE_WIDE;
    double y = frame.top + frame.side + WORDS - 14;
    on.circle(x, y, largest / 2, "field-left");
    scaleWords(Text.words().say(Amount.mm(most / 2, 3)), x + SCALE_WIDE / 2, y);
    on.circle(x + SCALE_WIDE, y, largest, "field-left");
    scaleWords(Text.words().say(Amount.mm(most, 3)), x + 1.5 * SCALE_WIDE, y);
    if (!leftOut.isEmpty()) {
      cross(x + 2 * SCALE_WIDE, y);
      scaleWords(Text.of("field.picture.left-out"), x + 2.4 * SCALE_WIDE, y);
    }
  }

  private void scaleWords(String words, double x, double y) {
    on.words(words, x, y, SCALE_WIDE, "plan-side");
  }

  private void cross(double x, double y) {
    on.line(x - 5, y - 5, x + 5, y + 5, "field-error");
    on.line(x - 5, y + 5, x + 5, y - 5, "field-error");
  }

  /** Round, so that the largest error is a few hundredths of the field long. */
  private static double factor(double most, double fieldMm) {
    if (!(most > 0)) {
      return 1;
    }
    double wanted = LARGEST_ARROW * fieldMm / most;
    double ten = Math.pow(10, Math.floor(Math.log10(wanted)));
    double share = wanted / ten;
    return Math.max(1, ten * (share < 2 ? 1 : share < 5 ? 2 : 5));
  }

  private void caption(Frame frame, String words) {
    on.words(
        words,
        frame.left + frame.side / 2,
        frame.top + frame.side + 17,
        frame.wide - EDGE / 2,
        "plan-side");
  }

  /** The square as commanded, and as it came out, its error enlarged. */
  private void outlines(Frame frame, SquareShape shape, double commandedMm, String caption) {
    border(frame);
    double half = commandedMm / 2;
    double factor = factor(shape.mostOffMm(half), frame.fieldMm);
    outline(frame, half, half, 0, "power-after");
    outline(frame, shape, half, factor, "field-error");
    caption(
        frame, Text.of(caption, Math.round(factor), Amount.mm(shape.edgeOffMm(frame.fieldMm), 2)));
  }

  private void sides(Frame frame, FieldReadings.Square square) {
    String across = Text.words().say(Amount.mm(square.measuredAcrossMm(), 2));
    double low = frame.y(-square.commandedMm() / 2) - 12;
    on.words(across, frame.x(0), low, LETTER * across.length() + 26, "plan-now");
    String up = Text.words().say(Amount.mm(square.measuredUpMm(), 2));
    on.words(up, frame.x(0), frame.y(0), LETTER * up.length() + 26, "plan-now");
  }

  private void outline(Frame frame, SquareShape shape, double half, double factor, String look) {
    outline(
        frame,
        half * (1 + (shape.wide() - 1) * factor),
        half * (1 + (shape.high() - 1) * factor),
        half * shape.lean() * factor,
        look);
  }

  private void outline(Frame frame, double wide, double high, double lean, String look) {
    double[][] corners = {
      {-wide - lean, -high}, {wide - lean, -high}, {wide + lean, high}, {-wide + lean, high}
    };
    for (int i = 0; i < corners.length; i++) {
      double[] a = corners[i];
      double[] b = corners[(i + 1) % corners.length];
      for (int k = 0; k < SIDE_PIECES; k++) {
        double s = (double) k / SIDE_PIECES;
        double t = (k + 1.0) / SIDE_PIECES;
        on.line(
            clampX(frame, a[0] + (b[0] - a[0]) * s),
            clampY(frame, a[1] + (b[1] - a[1]) * s),
            clampX(frame, a[0] + (b[0] - a[0]) * t),
            clampY(frame, a[1] + (b[1] - a[1]) * t),
            look);
      }
    }
  }

  private double clampX(Frame frame, double mm) {
    return Math.clamp(frame.x(mm), 2, on.width() - 2);
  }

  private double clampY(Frame frame, double mm) {
    return Math.clamp(frame.y(mm), 2, on.height() - 2);
  }
}
