package zebrawood.camera;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathRuntimeException;
import zebrawood.camera.CameraPhotoReadings.Target;
import zebrawood.marks.InvertedPicture;
import zebrawood.marks.MarkCentre;
import zebrawood.marks.MarkKind;
import zebrawood.marks.MarkShapes;
import zebrawood.marks.MarkShapes.Place;
import zebrawood.marks.PlaceIndex;
import zebrawood.measure.Picture;
import zebrawood.measure.PlaneMap;
import zebrawood.measure.Projective;
import zebrawood.measure.ReducedPicture;
import zebrawood.measure.SeenFromAbove;

/**
 * The marks of a target in a photograph by the camera over the bed, however wide its lens is.
 *
 * <p>The picture is drawn anew as if seen from straight above, first by the four corners alone; the
 * places there that have a mark's shape ({@link MarkShapes}) tell which of many lenses explains
 * most of them. With that lens it is drawn anew, now nearly square, and so on until the fitted
 * camera tells where each mark is; each mark's middle is found in a piece seen from straight above
 * ({@link MarkCentre}), so that a dot's middle is its centre however it is tilted.
 */
final class GridView {
  /** A pitch has so many pixels at most where the marks are looked for. */
  private static final double PITCH_PX = 48;

  /** Of the grid's sides: how far beside the corners it is looked at, first and with a lens. */
  private static final double BESIDE_BY_CORNERS = 0.35;

  private static final double BESIDE_BY_LENS = 0.12;
  private static final double MOST_PX = 4e6;

  /** Of the pitch: what a mark's line or a dot is as wide as, at most. */
  private static final double[] WIDE_CROSS = {0.05, 0.14};

  private static final double[] WIDE_DOT = {0.55, 0.16};
  private static final int LENSES = 2;

  /** How far from where it must be a mark is taken for one, in pitches, round by round. */
  private static final double[] OFF = {0.3, 0.16, 0.1};

  /** Of the pitch: where half of the marks lie further off, the camera is another one. */
  private static final double WELL_FITTED = 0.06;

  private static final double OF_PEERS = 0.25;
  private static final double ENOUGH = 0.8;

  private final CameraPhotoReadings readings;
  private final Target target;
  private final Picture picture;
  private final ReducedPicture reduced;
  private final double block;
  private final double pitchPx;

  /** Of many lenses, their corners where they were pressed. */
  private final List<CameraView> views;

  /** A place of the grid: column from the left, row from the front, from 0. */
  record Cell(int column, int row) implements Comparable<Cell> {
    @Override
    public int compareTo(Cell o) {
      return Comparator.comparingInt(Cell::row).thenComparingInt(Cell::column).compare(this, o);
    }
  }

  /** What was found with one camera, or with the corners alone. */
  private record Net(CameraView view, Map<Cell, Place> marks, PlanePiece sheet, double score) {}

  private GridView(CameraPhotoReadings readings, Picture picture) {
    this.readings = readings;
    this.target = readings.target();
    this.picture = picture;
    double pitch = shortest(readings);
    block = Math.max(1, Math.floor(pitch / PITCH_PX));
    reduced = ReducedPicture.of(picture, (int) block);
    pitchPx = Math.clamp(pitch / block, 24, PITCH_PX);
    views = views();
  }

  /** Along the longer of two opposite sides a lens that bends shows the pitch best. */
  private static double shortest(CameraPhotoReadings r) {
    double across = Math.max(side(r, 0, 1), side(r, 3, 2)) / Math.max(1, r.target().columns() - 1);
    double up = Math.max(side(r, 1, 2), side(r, 0, 3)) / Math.max(1, r.target().rows() - 1);
    return Math.min(across, up);
  }

  private static double side(CameraPhotoReadings r, int from, int to) {
    return Math.hypot(
        r.cornersPx().get(from).get(0) - r.cornersPx().get(to).get(0),
        r.cornersPx().get(from).get(1) - r.cornersPx().get(to).get(1));
  }

  /**
   * What was found.
   *
   * @param middles in pixels of the picture, row by row
   * @param blurPx standard deviation of how far edges are spread, of the median mark
   */
  record Found(Map<Cell, double[]> middles, double blurPx) {
    static final Found NOTHING = new Found(Map.of(), 0);

    int size() {
      return middles.size();
    }
  }

  /**
   * @param reached told how far it is, from 0 to 1
   */
  static Found find(CameraPhotoReadings readings, Picture picture, DoubleConsumer reached) {
    GridView view = new GridView(readings, picture);
    reached.accept(0.1);
    Found dark = view.found(false, share -> reached.accept(0.1 + 0.4 * share));
    if (dark.size() >= ENOUGH * readings.target().marks()) {
      return dark;
    }
    Found light = view.found(true, share -> reached.accept(0.5 + 0.4 * share));
    return light.size() > dark.size() ? light : dark;
  }

  private Found found(boolean lightOnDark, DoubleConsumer reached) {
    Found most = Found.NOTHING;
    int looked = 0;
    for (double wide : target.mark() == MarkKind.CROSS ? WIDE_CROSS : WIDE_DOT) {
      Found now = found(wide, lightOnDark);
      if (now.size() > most.size()) {
        most = now;
      }
      reached.accept(++looked / 2.0);
      if (most.size() >= ENOUGH * target.marks()) {
        break;
      }
    }
    return most;
  }

  private Found found(double wide, boolean lightOnDark) {
    if (views.isEmpty()) {
      return Found.NOTHING;
    }
    PlanePiece sheet = sheet(BESIDE_BY_CORNERS);
    Projective byCorners = byCorners();
    List<Place> places =
        places(sheet, byCorners, wide, lightOnDark, (x, y) -> true).stream()
            .filter(p -> inPicture(byCorners.at(sheet.xMm(p.x()), sheet.yMm(p.y()))))
            .toList();
    // The places as the picture has them, against where each lens has the marks.
    PlaceIndex index =
        PlaceIndex.of(
            places.stream()
                .map(p -> {
                  double[] px = byCorners.at(sheet.xMm(p.x()), sheet.yMm(p.y()));
                  return new Place(px[0], px[1], p.response(), p.sizePx());
                })
                .toList(),
            OFF[0] * pitchPx * block);
    List<CameraView> likely =
        views.stream()
            .sorted(Comparator.comparingDouble(v -> -score(v, index)))
            .limit(LENSES)
            .toList();
    Net best =
        likely.stream()
            .map(v -> net(v, wide, lightOnDark, OFF[0]))
            .max(Comparator.comparingDouble(Net::score))
            .orElseThrow();
    for (int round = 1; round < OFF.length; round++) {
      best = net(fitted(best), wide, lightOnDark, OFF[round]);
    }
    best = new Net(fitted(best), best.marks, best.sheet, best.score);
    return new GridMiddles(target, lightOnDark ? new InvertedPicture(picture) : picture, best.view)
        .of(best.marks, best.sheet);
  }

  /** Cameras of many lenses whose corners are where they were pressed. */
  private List<CameraView> views() {
    CameraReadings.Image image = new CameraReadings.Image(picture.width(), picture.height());
    List<CameraMark> corners =
        IntStream.range(0, CameraPhotoReadings.CORNERS)
            .mapToObj(i ->
                new CameraMark(
                    target.x(i == 0 || i == 3 ? 0 : target.columns() - 1),
                    target.y(i < 2 ? 0 : target.rows() - 1),
                    target.heightMm(),
                    readings.cornersPx().get(i).get(0),
                    readings.cornersPx().get(i).get(1)))
            .toList();
    return CameraStart.of(corners, image, readings.lens(), 0).stream()
        .map(s -> through(corners, s.view()))
        .toList();
  }

  private static CameraView through(List<CameraMark> corners, CameraView start) {
    try {
      return CameraFit.given(corners, start.lens())
          .fit(start, new int[] {0, 1, 2, 3}, CameraPhotoReadings.PRESSED_TO_PX)
          .view();
    } catch (MathRuntimeException e) {
      // A lens that these corners do not suit stays where it began, and loses.
      return start;
    }
  }

  private Projective byCorners() {
    double right = target.x(target.columns() - 1);
    double rear = target.y(target.rows() - 1);
    double left = target.x(0);
    double front = target.y(0);
    return Projective.through(
        new double[][] {{left, front}, {right, front}, {right, rear}, {left, rear}},
        readings.cornersPx().stream()
            .map(c -> new double[] {c.get(0), c.get(1)})
            .toArray(double[][]::new));
  }

  private PlanePiece sheet(double beside) {
    double width = (target.columns() - 1) * target.pitchMm();
    double height = (target.rows() - 1) * target.pitchMm();
    double by = Math.max(beside * Math.max(width, height), 0.7 * target.pitchMm());
    double pxPerMm =
        Math.min(
            pitchPx / target.pitchMm(),
            Math.sqrt(MOST_PX / ((width + 2 * by) * (height + 2 * by))));
    return new PlanePiece(
        target.x(0) - by,
        target.y(target.rows() - 1) + by,
        pxPerMm,
        (int) Math.ceil((width + 2 * by) * pxPerMm),
        (int) Math.ceil((height + 2 * by) * pxPerMm));
  }

  private List<Place> places(
      PlanePiece sheet,
      PlaneMap toPicture,
      double wide,
      boolean lightOnDark,
      MarkShapes.Where where) {
    SeenFromAbove seen =
        new SeenFromAbove(
            reduced,
            (x, y) -> {
              double[] px = toPicture.at(sheet.xMm(x), sheet.yMm(y));
              return new double[] {px[0] / block, px[1] / block};
            },
            sheet.width(),
            sheet.height());
    double pitch = target.pitchMm() * sheet.pxPerMm();
    return MarkShapes.seen(
        seen, target.mark(), pitch, wide * pitch, target.marks(), lightOnDark, where);
  }

  private boolean inPicture(double[] px) {
    return px[0] > 0 && px[1] > 0 && px[0] < picture.width() && px[1] < picture.height();
  }

  private double height() {
    return target.heightMm().orElse(0);
  }

  /** How much ink of a mark's shape lies where a camera has the marks. */
  private double score(CameraView view, PlaceIndex index) {
    double sum = 0;
    double reach = OFF[0] * pitchPx * block;
    for (int row = 0; row < target.rows(); row++) {
      for (int column = 0; column < target.columns(); column++) {
        double[] px = view.px(target.x(column), target.y(row), height());
        sum +=
            index.within(px[0], px[1], reach).stream()
                .mapToDouble(p -> {
                  double off = Math.hypot(p.x() - px[0], p.y() - px[1]) / reach;
                  return p.response() * (1 - off * off);
                })
                .max()
                .orElse(0);
      }
    }
    return sum;
  }

  /** Drawn anew by the camera, and matched with where it has the marks. */
  private Net net(CameraView view, double wide, boolean lightOnDark, double off) {
    PlanePiece sheet = sheet(BESIDE_BY_LENS);
    double pitch = target.pitchMm() * sheet.pxPerMm();
    List<Place> places =
        places(
                sheet,
                (x, y) -> view.px(x, y, height()),
                wide,
                lightOnDark,
                (x, y) ->
                    near(x - sheet.x(target.x(0)), pitch, off)
                        && near(y - sheet.y(target.y(0)), pitch, off))
            .stream()
            .filter(p -> inPicture(view.px(sheet.xMm(p.x()), sheet.yMm(p.y()), height())))
            .toList();
    Map<Cell, Place> marks = matched(sheet, places, off);
    return new Net(view, marks, sheet, marks.values().stream().mapToDouble(Place::response).sum());
  }

  private static boolean near(double along, double pitch, double off) {
    double cells = along / pitch;
    return Math.abs(cells - Math.rint(cells)) <= off + 1 / pitch;
  }

  /** For each mark the strongest place near where it must be, the nearer the likelier. */
  private Map<Cell, Place> matched(PlanePiece sheet, List<Place> places, double off) {
    double reach = off * target.pitchMm() * sheet.pxPerMm();
    PlaceIndex index = PlaceIndex.of(places, reach);
    Map<Cell, Place> marks = new TreeMap<>();
    for (int row = 0; row < target.rows(); row++) {
      for (int column = 0; column < target.columns(); column++) {
        double x = sheet.x(target.x(column));
        double y = sheet.y(target.y(row));
        Optional<Place> best =
            index.within(x, y, reach).stream()
                .max(
                    Comparator.comparingDouble(p ->
                        p.response()
                            * (1 - Math.pow(Math.hypot(p.x() - x, p.y() - y) / reach, 2) / 2)));
        if (best.isPresent()) {
          marks.put(new Cell(column, row), best.get());
        }
      }
    }
    double[] answers = marks.values().stream().mapToDouble(Place::response).sorted().toArray();
    if (answers.length == 0) {
      return marks;
    }
    double peers = answers[answers.length / 2];
    marks.values().removeIf(p -> p.response() < OF_PEERS * peers);
    return marks;
  }

  /** A camera through the places, those far off it left out. */
  private CameraView fitted(Net net) {
    CameraView from = net.view;
    if (net.marks.size() < CameraReadings.LEAST_MARKS) {
      return from;
    }
    List<CameraMark> marks =
        net.marks.entrySet().stream()
            .map(e -> {
              double x = net.sheet.xMm(e.getValue().x());
              double y = net.sheet.yMm(e.getValue().y());
              double[] px = from.px(x, y, height());
              return new CameraMark(
                  target.x(e.getKey().column()),
                  target.y(e.getKey().row()),
                  OptionalDouble.of(height()),
                  px[0],
                  px[1]);
            })
            .toList();
    CameraReadings.Image image = new CameraReadings.Image(picture.width(), picture.height());
    CameraFit fit =
        readings
            .lens()
            .map(l -> CameraFit.given(marks, l))
            .orElseGet(() -> CameraFit.unknown(marks, image));
    CameraView view = fitted(fit, marks, from);
    if (median(view, marks) <= WELL_FITTED * pitchPx * block) {
      return view;
    }
    // The fit ran to another camera: it begins again from where these marks alone may be seen.
    return CameraStart.of(marks, image, readings.lens(), marks.size() / 10).stream()
        .limit(LENSES)
        .map(s -> fitted(fit, marks, s.view()))
        .filter(v -> median(v, marks) < median(view, marks))
        .min(Comparator.comparingDouble(v -> median(v, marks)))
        .orElse(view);
  }

  private CameraView fitted(CameraFit fit, List<CameraMark> marks, CameraView from) {
    int[] kept = IntStream.range(0, marks.size()).toArray();
    CameraView view = from;
    try {
      for (int round = 0; round < 4; round++) {
        view = fit.fit(view, kept, block).view();
        double[] off = off(view, marks);
        double[] sorted = Arrays.stream(kept).mapToDouble(i -> off[i]).sorted().toArray();
        double most = Math.max(block, 3.5 * sorted[sorted.length / 2]);
        kept = IntStream.range(0, marks.size()).filter(i -> off[i] <= most).toArray();
      }
      return view;
    } catch (MathRuntimeException e) {
      // These places suit no camera: the one that led to them stays.
      return from;
    }
  }

  private static double median(CameraView view, List<CameraMark> marks) {
    double[] sorted = Arrays.stream(off(view, marks)).sorted().toArray();
    return sorted[sorted.length / 2];
  }

  private static double[] off(CameraView view, List<CameraMark> marks) {
    return marks.stream()
        .mapToDouble(m -> {
          double[] px = view.px(m.xMm(), m.yMm(), m.height());
          return Math.hypot(px[0] - m.xPx(), px[1] - m.yPx());
        })
        .toArray();
  }
}
