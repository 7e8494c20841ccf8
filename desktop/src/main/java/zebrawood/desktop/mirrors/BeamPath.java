package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.text.Text;
import zebrawood.machine.Train;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * The beam's way from above, from the tube to the head, to scale; beside it the way that the angles
 * give it, its error drawn larger by a factor that is said. From the side where the only mirror
 * folds it down.
 */
final class BeamPath {
  /** The largest error is drawn about so long. */
  private static final double ERROR_PX = 16;

  private static final double MARGIN = 18;

  /** The tube is drawn this share of the head's leg away; less where it shines along the travel. */
  private static final double TUBE_SHARE = 1.3;

  private static final double SHORT_TUBE_SHARE = 0.35;

  private static final double LEAST_M = 1e-3;

  private final MirrorsModel work;

  BeamPath(MirrorsModel work) {
    this.work = work;
  }

  /** A point on the drawing. */
  private record Point(double x, double y) {
    Point to(Point other, double along, double across) {
      double length = Math.hypot(other.x - x, other.y - y);
      double ux = (other.x - x) / length;
      double uy = (other.y - y) / length;
      // Right of the way the beam travels, with y downwards on the screen.
      return new Point(x + ux * along - uy * across, y + uy * along + ux * across);
    }

    /** On from here; 0 degrees is to the right, 90 down the screen. */
    Point ahead(double headingDeg, double length) {
      double heading = Math.toRadians(headingDeg);
      return new Point(x + length * Math.cos(heading), y + length * Math.sin(heading));
    }

    double distance(Point other) {
      return Math.hypot(other.x - x, other.y - y);
    }
  }

  void draw(Canvas on, Optional<MirrorFinding> finding, Area area) {
    if (work.legs.fields().stream().anyMatch(p -> p.value().isEmpty())) {
      return;
    }
    List<Point> points = points(area);
    for (int i = 1; i < points.size(); i++) {
      line(on, points.get(i - 1), points.get(i), "beam-ideal");
    }
    int mirrors = points.size() - 2;
    finding.ifPresent(f -> error(on, f, points, area));
    List<String> toTurn = finding.map(MarksPicture::toTurn).orElse(List.of());
    for (int i = 1; i <= mirrors; i++) {
      Point at = points.get(i);
      boolean lit = !toTurn.isEmpty() && toTurn.getFirst().equals(String.valueOf(i));
      on.circle(at.x, at.y, 7, "mirror-mount").state("lit", lit);
      on.words(String.valueOf(i), at.x + (i + 1 < mirrors ? 15 : -15), at.y, "plan-side");
    }
    Point tube = points.getFirst();
    on.words(Text.of("mirrors.picture.tube"), tube.x - 6, tube.y + 11, "plan-side");
    Point head = points.getLast();
    on.words(
        Text.of(mirrors == 1 ? "mirrors.picture.table" : "mirrors.picture.head"),
        head.x + (mirrors == 1 ? 26 : 0),
        head.y + (mirrors == 1 ? 0 : 12),
        "plan-side");
    if (mirrors > 1) {
      on.words(Text.of("mirrors.picture.front"), area.right() - 16, area.bottom() - 8, "plan-side");
    }
  }

  /** Tube, mirrors, head, to scale and with its folds; how far off the tube is nobody asked. */
  private List<Point> points(Area area) {
    List<Double> incidenceDeg = work.train.incidenceDeg();
    double[] legs = metres(incidenceDeg.size());
    boolean rear = work.train.foldsDown() || work.legs.railAtRear();
    boolean left = work.train.foldsDown() || work.legs.lastAtLeft();
    double headingDeg = legs.length == Train.MOST ? (rear ? -90 : 90) : 180;
    List<Point> way = new ArrayList<>(List.of(new Point(0, 0)));
    double share = legs.length == Train.MOST ? SHORT_TUBE_SHARE : TUBE_SHARE;
    way.add(way.getLast().ahead(headingDeg, share * legs[legs.length - 1]));
    for (int i = 0; i < legs.length; i++) {
      double foldDeg = 180 - 2 * incidenceDeg.get(i);
      boolean last = i + 1 == legs.length;
      headingDeg += rear == (left || !last) ? -foldDeg : foldDeg;
      way.add(way.getLast().ahead(headingDeg, legs[i]));
    }
    return fitted(way, area);
  }

  private static List<Point> fitted(List<Point> way, Area area) {
    var x = way.stream().mapToDouble(Point::x).summaryStatistics();
    var y = way.stream().mapToDouble(Point::y).summaryStatistics();
    double left = area.left() + MARGIN;
    double top = area.top() + MARGIN + 4;
    double scale =
        Math.min(
            (area.right() - MARGIN - left) / Math.max(LEAST_M, x.getMax() - x.getMin()),
            (area.bottom() - MARGIN - 14 - top) / Math.max(LEAST_M, y.getMax() - y.getMin()));
    return way.stream()
        .map(p -> new Point(left + (p.x - x.getMin()) * scale, top + (p.y - y.getMin()) * scale))
        .toList();
  }

  /** The way with its angles, from mirror 1 on. */
  private void error(Canvas on, MirrorFinding f, List<Point> points, Area area) {
    int mirrors = points.size() - 2;
    double[] metres = metres(mirrors);
    double[] missMm = new double[mirrors + 1];
    double largest = 0;
    for (int i = 1; i <= mirrors; i++) {
      double[] pathsMm = new double[i];
      double path = 0;
      for (int k = i - 1; k >= 0; k--) {
        path += 1000 * metres[k];
        pathsMm[k] = path;
      }
      missMm[i] = f.movedRightMm(pathsMm);
      largest = Math.max(largest, Math.abs(missMm[i]));
    }
    double pxPerMm = points.get(1).distance(points.get(2)) / (1000 * metres[0]);
    double factor = rounded(largest < 1e-6 ? 1 : ERROR_PX / (largest * pxPerMm));
    for (int i = 1; i <= mirrors; i++) {
      Point from = points.get(i);
      Point to = points.get(i + 1);
      double k = factor * pxPerMm;
      Point begins = from.to(to, 0, -missMm[i - 1] * k);
      Point ends = from.to(to, from.distance(to), missMm[i] * k);
      line(on, begins, ends, "beam-error");
    }
    on.words(
        Text.of(
            mirrors == 1 ? "mirrors.picture.factor-side" : "mirrors.picture.factor",
            Message.number(factor)),
        area.middle(),
        area.top() + 10,
        "plan-side");
  }

  /** From each mirror to the next, and to the head, for the furthest mark. */
  private double[] metres(int mirrors) {
    double[] from = work.legs.pathsMm(work.legs.furthest());
    double[] legs = new double[mirrors];
    for (int i = 0; i < mirrors; i++) {
      legs[i] = (from[i] - (i + 1 < mirrors ? from[i + 1] : 0)) / 1000;
    }
    return legs;
  }

  /** 1, 2 or 5 with noughts behind it, downwards. */
  private static double rounded(double factor) {
    double power = Math.pow(10, Math.floor(Math.log10(Math.max(1, factor))));
    double first = Math.max(1, factor) / power;
    return power * (first >= 5 ? 5 : first >= 2 ? 2 : 1);
  }

  private static void line(Canvas on, Point from, Point to, String styleClass) {
    on.line(from.x, from.y, to.x, to.y, styleClass);
  }
}
