package zebrawood.desktop.mirrors;

import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Rectangle2D;
import zebrawood.desktop.sheet.Drawing;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Numbers;
import zebrawood.mirrors.MirrorFinding;

/**
 * The beam's way from above, from the tube to the head, to scale; beside it the way that the angles
 * give it, its error drawn larger by a factor that is said. From the side where the only mirror
 * folds it down.
 */
final class BeamPath {
  static final PseudoClass LIT = PseudoClass.getPseudoClass("lit");

  /** The largest error is drawn about so long. */
  private static final double ERROR_PX = 16;

  private static final double MARGIN = 18;

  private final MirrorModel model;

  BeamPath(MirrorModel model) {
    this.model = model;
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

    double distance(Point other) {
      return Math.hypot(other.x - x, other.y - y);
    }
  }

  void draw(Drawing on, Optional<MirrorFinding> finding, Rectangle2D area) {
    if (model.paths().stream().anyMatch(p -> p.value().isEmpty())) {
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
      on.circle(at.x, at.y, 7, "mirror-mount").pseudoClassStateChanged(LIT, lit);
      on.words(
          String.valueOf(i), at.x + (at.x > points.get(2).x + 1 ? 15 : -15), at.y, "plan-side");
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
      on.words(Text.of("bed.plan.front"), middle(area), area.getMaxY() - 8, "plan-side");
    }
  }

  /** Tube, mirrors, head; the legs to scale, the tube as far off as there is room. */
  private List<Point> points(Rectangle2D area) {
    double x0 = area.getMinX() + MARGIN;
    double x1 = area.getMaxX() - MARGIN;
    double y0 = area.getMinY() + MARGIN + 4;
    double y1 = area.getMaxY() - MARGIN - 14;
    double[] legs = metres(model.train().mirrors());
    boolean rear = model.mirrorOneAtProperty().get() == MirrorOneAt.REAR;
    double oneY = rear ? y0 : y1;
    // Down the gantry's travel, which one of the legs goes along.
    double deep = legs[Math.max(0, legs.length - 2)];
    double wide =
        legs.length == 1 ? 0 : Math.max(legs[legs.length - 1], legs[0] * (legs.length - 2));
    double scale = Math.min((y1 - y0) / deep, wide == 0 ? Double.MAX_VALUE : (x1 - x0) / wide);
    double gantryY = oneY + (rear ? 1 : -1) * deep * scale;
    double headX = x0 + legs[legs.length - 1] * scale;
    return switch (legs.length) {
      case 1 ->
          List.of(new Point(x1, y0), new Point(x0 + 30, y0), new Point(x0 + 30, y0 + deep * scale));
      case 2 ->
          List.of(
              new Point(x1, oneY),
              new Point(x0, oneY),
              new Point(x0, gantryY),
              new Point(headX, gantryY));
      default -> {
        double oneX = x0 + legs[0] * scale;
        yield List.of(
            new Point(oneX, (y0 + y1) / 2),
            new Point(oneX, oneY),
            new Point(x0, oneY),
            new Point(x0, gantryY),
            new Point(headX, gantryY));
      }
    };
  }

  /** The way with its angles, from mirror 1 on. */
  private void error(Drawing on, MirrorFinding f, List<Point> points, Rectangle2D area) {
    int mirrors = points.size() - 2;
    double[] metres = metres(mirrors);
    double[] missMm = new double[mirrors + 1];
    double angle = 0;
    double largest = 0;
    for (int i = 1; i <= mirrors; i++) {
      // What arrived is swapped by the fold, and goes on growing.
      angle = -angle + f.mirrors().get(String.valueOf(i)).beamErrorRightMrad();
      missMm[i] = -missMm[i - 1] + angle * metres[i - 1];
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
            Numbers.plain(factor)),
        middle(area),
        area.getMinY() + 10,
        "plan-side");
  }

  private static double middle(Rectangle2D area) {
    return (area.getMinX() + area.getMaxX()) / 2;
  }

  /** From each mirror to the next, and to the head, for the furthest mark. */
  private double[] metres(int mirrors) {
    double[] from = model.pathsMm(furthest(mirrors));
    double[] legs = new double[mirrors];
    for (int i = 0; i < mirrors; i++) {
      legs[i] = (from[i] - (i + 1 < mirrors ? from[i + 1] : 0)) / 1000;
    }
    return legs;
  }

  private MarkPlace furthest(int mirrors) {
    if (mirrors == 1) {
      return MarkPlace.LOW;
    }
    return model.mirrorOneAtProperty().get() == MirrorOneAt.REAR
        ? MarkPlace.HEAD_FRONT_RIGHT
        : MarkPlace.HEAD_REAR_RIGHT;
  }

  /** 1, 2 or 5 with noughts behind it, downwards. */
  private static double rounded(double factor) {
    double power = Math.pow(10, Math.floor(Math.log10(Math.max(1, factor))));
    double first = Math.max(1, factor) / power;
    return power * (first >= 5 ? 5 : first >= 2 ? 2 : 1);
  }

  private static void line(Drawing on, Point from, Point to, String styleClass) {
    on.line(from.x, from.y, to.x, to.y, styleClass);
  }
}
