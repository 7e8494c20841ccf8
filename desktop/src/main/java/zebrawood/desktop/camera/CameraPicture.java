package zebrawood.desktop.camera;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.camera.BedView;
import zebrawood.camera.CameraCheckReadings.FreshMark;
import zebrawood.camera.CameraFinding;
import zebrawood.camera.CameraFinding.MarginAt;
import zebrawood.camera.CameraMark;
import zebrawood.camera.CameraPhotoFinding.Missing;
import zebrawood.camera.CameraPhotoFinding.Point;
import zebrawood.camera.CameraPhotoReadings.Target;
import zebrawood.camera.CameraTask;
import zebrawood.camera.CameraVisitFinding;
import zebrawood.camera.CameraVisitReadings;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.photo.PhotoView;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * What the camera sees, with the marks, ten times what they miss by, and the margin to be left over
 * the bed; of fresh marks the bed from above. How large a margin is stands beside its line, and no
 * colour says it alone.
 */
final class CameraPicture {
  private static final double EDGE = 16;
  private static final double TIMES = 10;
  private static final int BED_PIECES = 24;

  /** Round figures of a decade, of which lines are drawn. */
  private static final double[] ROUND = {1, 1.5, 2, 3, 4, 5, 6, 8};

  /** So much of the bed lies within a line. */
  private static final double[] WITHIN = {0.35, 0.65, 0.9};

  private static final double LARGEST_SHIFT = 0.12;

  private final Canvas on;
  private final List<Double> bedMm;

  /** Where the words below the picture begin. */
  private double lowest;

  /** Where words stand already. */
  private final List<double[]> written = new ArrayList<>();

  CameraPicture(Canvas on, List<Double> bedMm) {
    this.on = on;
    this.bedMm = bedMm;
  }

  /** From pixels of the photograph to the frame. */
  private interface Frame {
    double x(double px);

    double y(double px);
  }

  void draw(
      Optional<PhotoView> photo,
      PhotoMarks corners,
      Optional<CameraVisitReadings> readings,
      Optional<CameraVisitFinding> found,
      Optional<CameraFinding> recorded) {
    if (photo.isPresent()) {
      photo(photo.get(), corners, readings, found);
    } else if (readings.isPresent()
        && readings.get().task() instanceof CameraTask.ByFreshMarks fresh) {
      fresh(fresh.readings().marks(), recorded);
    } else if (found.flatMap(CameraVisitFinding::camera).isPresent()) {
      plain(readings.orElseThrow(), found.orElseThrow());
    } else {
      say(Text.of("camera.picture.empty"), on.height() / 2);
    }
  }

  private void say(String words, double y) {
    on.words(words, on.width() / 2, y, Math.max(80, on.width() - 30), "plan-side");
  }

  private void photo(
      PhotoView view,
      PhotoMarks corners,
      Optional<CameraVisitReadings> readings,
      Optional<CameraVisitFinding> found) {
    view.drawPicture(on);
    lowest = Math.min(on.height() - 26, view.bottom());
    Frame frame = frame(view);
    corners.all().stream()
        .filter(PhotoMarks.Mark::set)
        .forEach(m -> written.add(new double[] {frame.x(m.x().number()), frame.y(m.y().number())}));
    found
        .flatMap(CameraVisitFinding::camera)
        .ifPresent(camera -> {
          bed(frame, camera);
          margins(frame, camera);
          if (readings.orElseThrow().task() instanceof CameraTask.ByPhoto task) {
            marks(frame, camera, task.photo().target(), found.orElseThrow());
          }
        });
    view.drawMarks(on, corners);
    String next =
        corners
            .next()
            .map(m -> Text.of("camera.photo.press", corners.numberOf(m), Message.of(m.what())))
            .orElseGet(() ->
                found.isPresent() ? Text.of("camera.photo.told") : Text.of("camera.photo.wait"));
    say(next, Math.min(on.height() - 10, view.bottom() + 16));
  }

  private static Frame frame(PhotoView view) {
    return new Frame() {
      @Override
      public double x(double px) {
        return view.x(px);
      }

      @Override
      public double y(double px) {
        return view.y(px);
      }
    };
  }

  /** Marks that were typed, in the picture's frame. */
  private void plain(CameraVisitReadings readings, CameraVisitFinding found) {
    CameraFinding camera = found.camera().orElseThrow();
    double width = camera.view().image().widthPx();
    double height = camera.view().image().heightPx();
    double scale =
        Math.min((on.width() - 2 * EDGE) / width, (on.height() - 2 * EDGE - 20) / height);
    double left = (on.width() - scale * width) / 2;
    lowest = EDGE + scale * height;
    Frame frame =
        new Frame() {
          @Override
          public double x(double px) {
            return left + scale * px;
          }

          @Override
          public double y(double px) {
            return EDGE + scale * px;
          }
        };
    on.rectangle(left, EDGE, scale * width, scale * height, "field-frame");
    bed(frame, camera);
    margins(frame, camera);
    if (readings.task() instanceof CameraTask.ByMarks typed) {
      BedView.Places places = camera.view().places();
      List<CameraMark> marks = typed.readings().marks();
      for (int i = 0; i < marks.size(); i++) {
        CameraMark m = marks.get(i);
        mark(
            frame,
            new double[] {m.xPx(), m.yPx()},
            places.px(m.xMm(), m.yMm(), m.heightMm().orElse(0)),
            camera.misread().contains(i));
      }
    }
    say(Text.of("camera.picture.typed"), EDGE + scale * height + 16);
  }

  /** The bed's sides as the camera sees them. */
  private void bed(Frame frame, CameraFinding camera) {
    BedView.Places places = camera.view().places();
    double x = bedMm.get(0);
    double y = bedMm.get(1);
    double[][] corners = {{0, 0}, {x, 0}, {x, y}, {0, y}};
    for (int side = 0; side < 4; side++) {
      double[] a = corners[side];
      double[] b = corners[(side + 1) % 4];
      for (int i = 0; i < BED_PIECES; i++) {
        double s = (double) i / BED_PIECES;
        double t = (i + 1.0) / BED_PIECES;
        onBed(
            frame,
            places,
            new double[] {a[0] + s * (b[0] - a[0]), a[1] + s * (b[1] - a[1])},
            new double[] {a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])},
            "photo-scale");
      }
    }
  }

  private void onBed(Frame frame, BedView.Places places, double[] from, double[] to, String look) {
    if (places.shows(from[0], from[1], 0) && places.shows(to[0], to[1], 0)) {
      double[] a = places.px(from[0], from[1], 0);
      double[] b = places.px(to[0], to[1], 0);
      on.line(frame.x(a[0]), frame.y(a[1]), frame.x(b[0]), frame.y(b[1]), look);
    }
  }

  /** Lines of equal margin, by marching through the squares of the map. */
  private void margins(Frame frame, CameraFinding camera) {
    MarginGrid grid = MarginGrid.of(camera.margins());
    BedView.Places places = camera.view().places();
    int drawn = 0;
    for (double level : levels(camera.margins())) {
      List<double[][]> pieces = grid.line(level);
      pieces.forEach(p -> onBed(frame, places, p[0], p[1], "photo-line"));
      int decimals = level < 0.1 ? 3 : level < 1 ? 2 : 1;
      label(frame, places, pieces, drawn++, Text.words().say(Amount.mm(level, decimals)));
    }
  }

  /** Round margins within which about a third, two thirds and nine tenths of the bed lie. */
  private static List<Double> levels(List<MarginAt> margins) {
    double[] sorted = margins.stream().mapToDouble(MarginAt::marginMm).sorted().toArray();
    return sorted.length == 0
        ? List.of()
        : Arrays.stream(WITHIN)
            .map(share -> round(sorted[(int) (share * (sorted.length - 1))]))
            .distinct()
            .boxed()
            .toList();
  }

  private static double round(double mm) {
    double decade = Math.pow(10, Math.floor(Math.log10(Math.max(1e-3, mm))));
    return decade
        * Arrays.stream(ROUND)
            .boxed()
            .min(Comparator.comparingDouble(r -> Math.abs(Math.log(r * decade / mm))))
            .orElseThrow();
  }

  /** On the line, each line's words on another side, where nothing else is written. */
  private void label(
      Frame frame, BedView.Places places, List<double[][]> pieces, int number, String words) {
    double way = 2.1 * number;
    pieces.stream()
        .map(p -> p[0])
        .filter(p -> places.shows(p[0], p[1], 0))
        .sorted(Comparator.comparingDouble(p -> -(p[0] * Math.cos(way) + p[1] * Math.sin(way))))
        .map(p -> places.px(p[0], p[1], 0))
        .map(px -> new double[] {frame.x(px[0]), frame.y(px[1])})
        .filter(this::free)
        .findFirst()
        .ifPresent(at -> {
          written.add(at);
          label(at[0], at[1], words);
        });
  }

  private boolean free(double[] at) {
    return at[0] > 40
        && at[0] < on.width() - 40
        && at[1] > 16
        && at[1] < lowest - 12
        && written.stream()
            .noneMatch(w -> Math.abs(w[0] - at[0]) < 64 && Math.abs(w[1] - at[1]) < 26);
  }

  private void label(double x, double y, String words) {
    on.rectangle(x - 33, y - 9, 66, 18, "scale-stem");
    on.words(words, x, y, 66, "plan-side");
  }

  private void marks(Frame frame, CameraFinding camera, Target target, CameraVisitFinding found) {
    BedView.Places places = camera.view().places();
    double height = target.heightMm().orElse(0);
    for (Point p : found.points().orElse(List.of())) {
      mark(
          frame,
          new double[] {p.xPx(), p.yPx()},
          places.px(target.x(p.column()), target.y(p.row()), height),
          false);
    }
    for (Missing m : found.missing().orElse(List.of())) {
      double[] at = places.px(target.x(m.column()), target.y(m.row()), height);
      cross(frame.x(at[0]), frame.y(at[1]));
    }
  }

  /** A mark where it was read, with a line to ten times what it misses by. */
  private void mark(Frame frame, double[] read, double[] mapped, boolean leftOut) {
    double x = frame.x(read[0]);
    double y = frame.y(read[1]);
    if (leftOut) {
      cross(x, y);
      return;
    }
    on.circle(x, y, 3, "mark-after");
    on.line(
        x,
        y,
        frame.x(read[0] + TIMES * (read[0] - mapped[0])),
        frame.y(read[1] + TIMES * (read[1] - mapped[1])),
        "field-error");
  }

  private void cross(double x, double y) {
    on.line(x - 5, y - 5, x + 5, y + 5, "field-error");
    on.line(x - 5, y + 5, x + 5, y - 5, "field-error");
  }

  /** The bed from above: where each was burnt, and by how much it is shown aside, enlarged. */
  private void fresh(List<FreshMark> marks, Optional<CameraFinding> recorded) {
    double scale =
        Math.min(
            (on.width() - 2 * EDGE) / bedMm.get(0), (on.height() - 2 * EDGE - 24) / bedMm.get(1));
    double left = (on.width() - scale * bedMm.get(0)) / 2;
    double bottom = EDGE + scale * bedMm.get(1);
    on.rectangle(left, EDGE, scale * bedMm.get(0), scale * bedMm.get(1), "plan-bed");
    double most =
        marks.stream()
            .mapToDouble(m -> Math.hypot(m.shownXMm() - m.xMm(), m.shownYMm() - m.yMm()))
            .max()
            .orElse(0);
    double times = most > 0 ? factor(LARGEST_SHIFT * bedMm.get(0) / most) : 1;
    for (FreshMark m : marks) {
      double x = left + scale * m.xMm();
      double y = bottom - scale * m.yMm();
      on.circle(x, y, 4, "mark-after");
      on.line(
          x,
          y,
          x + scale * times * (m.shownXMm() - m.xMm()),
          y - scale * times * (m.shownYMm() - m.yMm()),
          "field-error");
    }
    recorded
        .flatMap(f -> f.cameraMm().mm())
        .ifPresent(c -> {
          double x = left + scale * c.get(0);
          double y = bottom - scale * c.get(1);
          on.circle(x, y, 9, "field-left");
          on.words(Text.of("camera.picture.below"), x, y + 18, 140, "plan-side");
        });
    say(Text.of("camera.picture.fresh", Math.round(times), Amount.mm(most, 2)), bottom + 16);
  }

  /** Round, and at least 1. */
  private static double factor(double wanted) {
    double ten = Math.pow(10, Math.floor(Math.log10(Math.max(1, wanted))));
    double share = wanted / ten;
    return Math.max(1, ten * (share < 2 ? 1 : share < 5 ? 2 : 5));
  }
}
