package zebrawood.records.bed;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.FeelCheck.FeltPlace;
import zebrawood.bed.GapPoint;
import zebrawood.bed.ScrewTurn;
import zebrawood.bed.Shim;
import zebrawood.bed.ShimFinding;
import zebrawood.measure.Finding;
import zebrawood.measure.Numbers;
import zebrawood.measure.Place;
import zebrawood.measure.TurnDirection;

/**
 * The bed seen from above, to scale, as an SVG picture: heights against the mean of what was read,
 * screws with their turns, feet with their shims. The rear is at the top.
 */
public final class BedPlanSvg {
  private static final double WIDTH = 300;
  private static final double MARGIN = 46;

  /** Half the width of a figure. */
  private static final double INSIDE = 18;

  private final StringBuilder svg = new StringBuilder();
  private final double left;
  private final double rear;
  private final double scale;
  private final double height;
  private final double width;

  private BedPlanSvg(List<? extends Place> places) {
    left = places.stream().mapToDouble(Place::xMm).min().orElse(0);
    rear = places.stream().mapToDouble(Place::yMm).max().orElse(0);
    double across = places.stream().mapToDouble(Place::xMm).max().orElse(1) - left;
    double deep = rear - places.stream().mapToDouble(Place::yMm).min().orElse(0);
    scale = (WIDTH - 2 * MARGIN) / Math.max(1, Math.max(across, deep));
    height = deep * scale + 2 * MARGIN;
    width = across * scale + 2 * MARGIN;
    svg.append(
        String.format(
            Locale.ROOT,
            "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"%.0f\""
                + " font-family=\"Inter\" font-size=\"11\" text-anchor=\"middle\">",
            width,
            height));
    svg.append(
        String.format(
            Locale.ROOT,
            "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" fill=\"none\""
                + " stroke=\"#8B745C\"/>",
            MARGIN,
            MARGIN,
            across * scale,
            deep * scale));
  }

  public static String of(BedTask task) {
    Finding finding = task.solve();
    List<Place> all = new ArrayList<>();
    switch (task) {
      case BedTask.OnScrews s -> {
        all.addAll(s.readings().points());
        all.addAll(s.readings().screws());
      }
      case BedTask.OnShims s -> {
        all.addAll(s.readings().points());
        all.addAll(s.readings().feet());
      }
      case BedTask.ByFeel f -> f.readings().places().forEach(p -> all.add(new At(p)));
    }
    BedPlanSvg plan = new BedPlanSvg(all);
    switch (task) {
      case BedTask.OnScrews s -> {
        plan.heights(s.readings().points(), 1);
        List<ScrewTurn> turns = ((BedFinding) finding).screws();
        for (int i = 0; i < turns.size(); i++) {
          plan.support(s.readings().screws().get(i), words(turns.get(i)));
        }
      }
      case BedTask.OnShims s -> {
        plan.heights(s.readings().points(), s.underHead() ? -1 : 1);
        List<Shim> shims = ((ShimFinding) finding).shims();
        for (int i = 0; i < shims.size(); i++) {
          plan.support(
              s.readings().feet().get(i), Numbers.fixed(shims.get(i).thicknessMm(), 2) + " mm");
        }
      }
      case BedTask.ByFeel f -> {
        for (FeltPlace p : f.readings().places()) {
          plan.mark(new At(p), p.feel().name().toLowerCase(Locale.ROOT));
        }
      }
    }
    return plan.svg.append("</svg>").toString();
  }

  private record At(double xMm, double yMm) implements Place {
    At(FeltPlace p) {
      this(p.xMm(), p.yMm());
    }
  }

  private static String words(ScrewTurn turn) {
    if (turn.eighths() == 0) {
      return "stays";
    }
    return turn.roundedTurns()
        + (turn.direction() == TurnDirection.CLOCKWISE ? " turn cw" : " turn ccw");
  }

  /** Of the bed, or with the other sign of the ring over it. */
  private void heights(List<GapPoint> points, int sign) {
    double mean = points.stream().mapToDouble(GapPoint::gapMm).average().orElse(0);
    for (GapPoint p : points) {
      double above = sign * (mean - p.gapMm());
      mark(p, (above > 0 ? "+" : "") + Numbers.fixed(above, 2));
    }
  }

  /** A place with its words on the side that faces the middle. */
  private void mark(Place place, String words) {
    double x = x(place);
    double y = y(place);
    circle(x, y, 2.4, "fill=\"#241A12\"");
    words(inside(x), y + (y > height / 2 ? -8 : 16), "#241A12", words);
  }

  /** Off the outline, towards the middle, for places at its left and right end. */
  private double inside(double x) {
    return Math.clamp(x, MARGIN + INSIDE, Math.max(MARGIN + INSIDE, width - MARGIN - INSIDE));
  }

  /** A screw or foot with its words outside. */
  private void support(Place place, String words) {
    double x = x(place);
    double y = y(place);
    circle(x, y, 5, "fill=\"none\" stroke=\"#965B06\"");
    words(x, y + (y > height / 2 ? 19 : -10), "#965B06", words);
  }

  private void circle(double x, double y, double radius, String look) {
    svg.append(
        String.format(
            Locale.ROOT, "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" %s/>", x, y, radius, look));
  }

  private void words(double x, double y, String colour, String words) {
    svg.append(
        String.format(
            Locale.ROOT, "<text x=\"%.1f\" y=\"%.1f\" fill=\"%s\">%s</text>", x, y, colour, words));
  }

  private double x(Place place) {
    return MARGIN + (place.xMm() - left) * scale;
  }

  private double y(Place place) {
    return MARGIN + (rear - place.yMm()) * scale;
  }
}
