package zebrawood.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.focus.FittedLaw;
import zebrawood.focus.FocusEstimate;
import zebrawood.focus.FocusFinding;
import zebrawood.focus.FocusReadings;
import zebrawood.focus.FocusTask;
import zebrawood.focus.LadderReadings;
import zebrawood.focus.RampPhotoFinding;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.focus.RampReadings;
import zebrawood.measure.Estimate;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * What was read against the gap, larger gaps to the right: the readings numbered as their rows, the
 * law through them, the focus with its depth, and what the machine is set to.
 */
final class FocusPicture {
  private static final double LEFT = 66;
  private static final double RIGHT = 26;
  private static final double TOP = 44;
  private static final double BOTTOM = 56;
  private static final int CURVE_PIECES = 48;
  private static final double DOT = 9;
  private static final double SMALL_DOT = 3.5;
  private static final double LETTER = 7.2;

  private final Canvas on;
  private final double above;
  private double lowGap;
  private double highGap;
  private double most;

  /**
   * @param above how much of the picture's height is taken by something else
   */
  FocusPicture(Canvas on, double above) {
    this.on = on;
    this.above = above;
  }

  private record Point(int row, double gapMm, double value) {}

  void draw(Optional<Outcome.Solved<FocusReadings, FocusFinding>> found) {
    if (found.isEmpty()) {
      on.words(
          Text.of("focus.picture.empty"),
          on.width() / 2,
          on.height() / 2,
          Math.max(80, on.width() - 40),
          "plan-side");
      return;
    }
    draw(found.get().readings(), found.get().finding());
  }

  private void draw(FocusReadings readings, FocusFinding finding) {
    List<Point> points =
        finding.located().widths().isEmpty()
            ? points(readings.task())
            : pictured(readings.task(), finding.located().widths());
    FocusEstimate located = finding.located();
    boolean onScale = onScale(readings.task());
    Optional<Estimate> focus = onScale ? located.heightMm() : located.gapMm();
    Optional<Double> wanted =
        focus.map(f -> onScale ? f.value() : f.value() + readings.defocusMm());
    List<Double> places = new ArrayList<>(points.stream().map(Point::gapMm).toList());
    focus.ifPresent(f -> places.add(f.value()));
    wanted.ifPresent(places::add);
    if (!onScale) {
      readings.setGapMm().ifPresent(places::add);
    }
    fit(places, finding, points);
    axes(readings.task());
    focus.ifPresent(f -> band(f, finding.allowedMm()));
    if (points.isEmpty()) {
      beam(located);
    } else {
      located.law().ifPresent(this::curve);
    }
    located.axes().forEach(axis -> upright(axis.value(), "beam-ideal"));
    points(points, readings.task());
    wanted.ifPresent(this::focus);
    if (!onScale) {
      readings.setGapMm().ifPresent(set -> setTo(set, finding));
    }
  }

  /** A scale of the table or the head has gaps beside it that are no places on it. */
  private static boolean onScale(FocusTask task) {
    return task instanceof FocusTask.ByLadder ladder && ladder.scale().isPresent();
  }

  private static List<Point> points(FocusTask task) {
    List<Point> points = new ArrayList<>();
    switch (task) {
      case FocusTask.ByRamp(RampReadings r) -> ramp(points, r);
      case FocusTask.ByAxes(RampReadings x, RampReadings y) -> {
        ramp(points, x);
        ramp(points, y);
      }
      case FocusTask.ByLadder(LadderReadings r, var scale) -> {
        for (int i = 0; i < r.rungs().size(); i++) {
          var rung = r.rungs().get(i);
          points.add(
              new Point(i + 1, rung.heightMm(), rung.lineWidthMm().orElse(rung.score().orElse(0))));
        }
      }
      case FocusTask.ByProbe probe -> {
        for (int i = 0; i < probe.chosenMm().size(); i++) {
          points.add(new Point(i + 1, probe.chosenMm().get(i), 1 + i));
        }
      }
      default -> {}
    }
    return points;
  }

  /** A photograph's widths, without numbers. */
  private static List<Point> pictured(FocusTask task, List<RampPhotoFinding.Sample> widths) {
    return task instanceof FocusTask.ByPhoto(RampPhotoReadings r)
        ? widths.stream()
            .map(s ->
                new Point(
                    0, r.gapAtStartMm() - s.alongMm() * r.riseMm() / r.runMm(), s.lineWidthMm()))
            .toList()
        : List.of();
  }

  private static void ramp(List<Point> points, RampReadings r) {
    for (int i = 0; i < r.samples().size(); i++) {
      var sample = r.samples().get(i);
      double gap = r.gapMm(sample.alongMm());
      points.add(new Point(i + 1, gap, sample.lineWidthMm()));
    }
  }

  /** All that is drawn has room. */
  private void fit(List<Double> gaps, FocusFinding finding, List<Point> points) {
    double low = gaps.stream().mapToDouble(d -> d).min().orElse(0);
    double high = gaps.stream().mapToDouble(d -> d).max().orElse(10);
    double half = finding.allowedMm().orElse(0);
    double room = Math.max(Math.max(0.08 * (high - low), 1.4 * half), 0.5);
    lowGap = low - room;
    highGap = high + room;
    most = 1.12 * points.stream().mapToDouble(Point::value).max().orElse(1);
    if (!(most > 0)) {
      most = 1;
    }
  }

  private double px(double gapMm) {
    return LEFT + (gapMm - lowGap) / (highGap - lowGap) * (on.width() - LEFT - RIGHT);
  }

  private double py(double value) {
    return on.height() - BOTTOM - Math.max(0, value) / most * (on.height() - above - TOP - BOTTOM);
  }

  private void axes(FocusTask task) {
    double bottom = on.height() - BOTTOM;
    on.line(LEFT, bottom, on.width() - RIGHT, bottom, "trend-axis");
    on.line(LEFT, above + TOP, LEFT, bottom, "trend-axis");
    double step = step(highGap - lowGap);
    int decimals = (int) Math.max(0, Math.ceil(-Math.log10(step)));
    for (double gap = Math.ceil(lowGap / step) * step; gap <= highGap; gap += step) {
      double x = px(gap);
      on.line(x, bottom, x, bottom + 5, "trend-axis");
      if (x > LEFT + 20 && x < on.width() - RIGHT - 20) {
        on.words(
            Text.of(
                Message.bare(Amount.of(Math.round(gap / step) * step, Quantity.LENGTH, decimals))),
            x,
            bottom + 15,
            60,
            "plan-side");
      }
    }
    on.words(
        Text.of(
            onScale(task) ? "focus.picture.height" : "focus.picture.gap",
            Quantity.LENGTH.shownIn(Text.words().units()).symbol()),
        on.width() / 2,
        on.height() - 14,
        Math.max(60, on.width() - 40),
        "plan-side");
    boolean score =
        task instanceof FocusTask.ByLadder(LadderReadings r, var scale)
            && r.rungs().getFirst().score().isPresent();
    if (!points(task).isEmpty() && !(task instanceof FocusTask.ByProbe)) {
      double middle = most / 2;
      on.line(LEFT - 5, py(middle), LEFT, py(middle), "trend-axis");
      on.words(
          Text.of(
              "focus.picture.value",
              score ? Amount.of(middle, Quantity.NUMBER, 1) : Amount.mm(middle, 2)),
          LEFT / 2 - 2,
          py(middle),
          LEFT - 8,
          "plan-side");
    }
  }

  /** Some six of them. */
  private static double step(double range) {
    double rough = range / 6;
    double ten = Math.pow(10, Math.floor(Math.log10(rough)));
    double share = rough / ten;
    return ten * (share < 1.5 ? 1 : share < 3.5 ? 2 : share < 7.5 ? 5 : 10);
  }

  private void band(Estimate gap, OptionalDouble allowed) {
    allowed.ifPresent(half -> {
      double from = Math.max(LEFT, px(gap.value() - half));
      double to = Math.min(on.width() - RIGHT, px(gap.value() + half));
      on.rectangle(
          from, above + TOP, to - from, on.height() - above - TOP - BOTTOM, "scale-allowed");
    });
  }

  private void curve(FittedLaw law) {
    double beforeX = 0;
    double beforeY = 0;
    for (int i = 0; i <= CURVE_PIECES; i++) {
      double gap = lowGap + (highGap - lowGap) * i / CURVE_PIECES;
      double y = Math.max(above + TOP, py(law.valueAt(gap)));
      if (i > 0 && (y > above + TOP || beforeY > above + TOP)) {
        on.line(beforeX, beforeY, px(gap), y, "trend-line");
      }
      beforeX = px(gap);
      beforeY = y;
    }
  }

  /** Numbered where a number has room; the second ramp's are rings. */
  private void points(List<Point> points, FocusTask task) {
    int ofFirst =
        task instanceof FocusTask.ByAxes(RampReadings x, RampReadings y)
            ? x.samples().size()
            : points.size();
    List<double[]> numbered = new ArrayList<>();
    for (int i = 0; i < points.size(); i++) {
      Point p = points.get(i);
      double x = px(p.gapMm());
      double y = py(p.value());
      boolean free =
          p.row() > 0
              && ofFirst == points.size()
              && numbered.stream().allMatch(n -> Math.hypot(n[0] - x, n[1] - y) > 2 * DOT + 1);
      if (i >= ofFirst) {
        on.circle(x, y, SMALL_DOT, "mark-after");
      } else {
        on.circle(x, y, free ? DOT : SMALL_DOT, "focus-dot");
      }
      if (free) {
        on.words(String.valueOf(p.row()), x, y, 2 * DOT, "mark-number");
        numbered.add(new double[] {x, y});
      }
    }
  }

  /** The beam from the left, narrowest at the focus; its width is not to scale. */
  private void beam(FocusEstimate located) {
    if (located.gapMm().isEmpty()) {
      return;
    }
    double middle = (above + TOP + on.height() - BOTTOM) / 2;
    double tallest = (on.height() - above - TOP - BOTTOM) * 0.42;
    double focus = located.gapMm().get().value();
    double farthest = Math.max(highGap - focus, focus - lowGap);
    double beforeX = 0;
    double before = 0;
    for (int i = 0; i <= CURVE_PIECES; i++) {
      double gap = lowGap + (highGap - lowGap) * i / CURVE_PIECES;
      double half = tallest * Math.hypot(0.06, (gap - focus) / farthest);
      double x = px(gap);
      if (i > 0) {
        on.line(beforeX, middle - before, x, middle - half, "focus-beam");
        on.line(beforeX, middle + before, x, middle + half, "focus-beam");
      }
      beforeX = x;
      before = half;
    }
  }

  private void upright(double gapMm, String look) {
    double x = px(gapMm);
    on.line(x, above + TOP - 6, x, on.height() - BOTTOM, look);
  }

  private void focus(double gapMm) {
    upright(gapMm, "power-after");
    words(Text.of("focus.picture.focus", Amount.mm(gapMm, 2)), px(gapMm), above + 14, "plan-now");
  }

  private void setTo(double gapMm, FocusFinding finding) {
    boolean off =
        finding.offMm().isPresent()
            && finding.allowedMm().isPresent()
            && Math.abs(finding.offMm().getAsDouble()) > finding.allowedMm().getAsDouble();
    upright(gapMm, off ? "power-now" : "beam-ideal");
    words(Text.of("focus.picture.set", Amount.mm(gapMm, 2)), px(gapMm), above + 31, "plan-after");
  }

  private void words(String words, double x, double y, String look) {
    double half = LETTER * words.length() / 2;
    on.words(
        words,
        Math.clamp(
            x, Math.min(half + 4, on.width() / 2), Math.max(on.width() - half - 4, on.width() / 2)),
        y,
        2 * half + 10,
        look);
  }
}
