package zebrawood.desktop.power;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import zebrawood.desktop.text.Text;
import zebrawood.power.Ageing;
import zebrawood.power.CeilingReadings;
import zebrawood.power.CurvePoint;
import zebrawood.power.FittedCurve;
import zebrawood.power.PowerFinding;
import zebrawood.power.PowerReadings;
import zebrawood.power.PowerTask;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * The milliammeter as it stands, with the agreed current and the tube's maximum on its scale; below
 * it what the dial gave, and what the scale gives now and gave when the jobs were made.
 */
final class PowerPicture {
  /** Words that keep clear of the needle's pivot in a small dial. */
  private static final double BELOW_PIVOT = 17;

  private static final double SIDE = 14;
  private static final double LEFT = 62;
  private static final double BOTTOM = 34;
  private static final double TOP = 24;
  private static final double LETTER = 7.2;
  private static final double LEAST_FOR_TWO = 420;
  private static final int PIECES = 40;
  private static final double FROM_DEG = 205;
  private static final double SWEEP_DEG = 230;
  private static final int LARGE_TICKS = 5;
  private static final Quantity MA = Quantity.SMALL_CURRENT;
  private static final String SHADE = "scale-allowed";

  /** Of what was watched: what lies further ahead is not drawn. */
  private static final double FURTHEST = 3;

  private final Canvas on;

  PowerPicture(Canvas on) {
    this.on = on;
  }

  /**
   * What is to be drawn.
   *
   * @param maximumMa of the tube, when it was told
   * @param output at the test job, with what it was before
   */
  record Shown(
      Optional<PowerTask> task,
      Optional<PowerFinding> finding,
      OptionalDouble maximumMa,
      Optional<PowerReadings.Output> output,
      Optional<PowerReadings.Curve> curve,
      Optional<FittedCurve> fitted,
      Quantity curveIn) {}

  void draw(Shown shown) {
    List<CurvePoint> dial = dial(shown.task);
    boolean gauge = shown.maximumMa.isPresent();
    boolean curve = shown.curve.isPresent();
    List<Ageing.Reading> aged = shown.output.map(PowerPicture::aged).orElse(List.of());
    boolean words = shown.task.filter(PowerTask.ByWords.class::isInstance).isPresent();
    if (!gauge && !curve && !words && aged.size() < 2) {
      on.words(
          Text.of("power.picture.empty"),
          on.width() / 2,
          on.height() / 2,
          Math.max(80, on.width() - 40),
          "plan-side");
      return;
    }
    double from = 0;
    if (gauge) {
      double height =
          dial.isEmpty() && !curve && aged.size() < 2 ? on.height() : on.height() * 0.42;
      gauge(shown, height);
      from = height;
    } else if (words) {
      from = curve || aged.size() > 1 ? on.height() * 0.36 : on.height();
      scale((PowerTask.ByWords) shown.task.get(), from);
    }
    boolean both = !dial.isEmpty() && curve && on.height() - from > LEAST_FOR_TWO * 0.6;
    double half = both ? (on.height() - from) / 2 : on.height() - from;
    if (!dial.isEmpty() && (both || !curve)) {
      dial(new Frame(from, half), dial, shown);
      from += half;
    }
    Frame rest = new Frame(from, on.height() - from);
    if (curve && from < on.height()) {
      curve(rest, shown);
    } else if (dial.isEmpty() && aged.size() > 1) {
      ageing(rest, aged, shown);
    }
  }

  private static List<CurvePoint> dial(Optional<PowerTask> task) {
    return task.filter(PowerTask.ByMeter.class::isInstance)
        .map(t -> ((PowerTask.ByMeter) t).readings().samples())
        .map(s ->
            s.stream()
                .map((CeilingReadings.Sample r) -> new CurvePoint(r.dialPercent(), r.currentMa()))
                .toList())
        .orElse(List.of());
  }

  /** The scale ends above what the tube takes. */
  private static double fullScale(double maximumMa) {
    double ten = Math.pow(10, Math.floor(Math.log10(maximumMa * 1.2)));
    double share = maximumMa * 1.2 / ten;
    return ten * (share <= 2 ? 2 : share <= 3 ? 3 : share <= 5 ? 5 : 10);
  }

  private void gauge(Shown shown, double height) {
    double maximum = shown.maximumMa.getAsDouble();
    double full = fullScale(maximum);
    double radius = Math.max(20, Math.min(on.width() / 2 - 70, (height - 44) / 1.45));
    double x = on.width() / 2;
    double y = Math.max(22 + radius, (height - 1.42 * radius) / 2 + radius);
    on.arc(x, y, radius, FROM_DEG, -SWEEP_DEG, "meter-scale");
    double red = SWEEP_DEG * (1 - maximum / full);
    on.arc(x, y, radius - 5, FROM_DEG - SWEEP_DEG + red, -red, "meter-red");
    for (int i = 0; i <= 2 * LARGE_TICKS; i++) {
      double share = (double) i / (2 * LARGE_TICKS);
      boolean large = i % 2 == 0;
      ray(x, y, radius - (large ? 11 : 6), radius, share, "scale-tick");
      if (large && radius > 50) {
        double angle = angle(share);
        on.words(
            Text.words().say(Amount.plain(Math.round(full * share * 10) / 10.0, Quantity.NUMBER)),
            x + (radius + 14) * Math.cos(angle),
            y - (radius + 12) * Math.sin(angle),
            40,
            "plan-side");
      }
    }
    Optional<PowerFinding.Top> top = shown.finding.flatMap(PowerFinding::top);
    top.ifPresent(t -> ray(x, y, radius * 0.55, radius + 4, t.agreedMa() / full, "power-after"));
    OptionalDouble read = needle(shown);
    read.ifPresent(ma -> {
      ray(
          x,
          y,
          0,
          radius - 14,
          Math.min(1.03, ma / full),
          ma > maximum ? "meter-red" : "meter-needle");
      on.circle(x, y, 5, "scale-coolant");
    });
    on.words(
        read.isPresent()
            ? Text.of("power.picture.read", Amount.of(read.getAsDouble(), MA, 1))
            : Text.of("power.picture.not-read"),
        x,
        y + Math.max(BELOW_PIVOT, radius * 0.3),
        Math.max(80, 1.5 * radius),
        "plan-now");
  }

  private static double angle(double share) {
    return Math.toRadians(FROM_DEG - SWEEP_DEG * share);
  }

  private void ray(double x, double y, double from, double to, double share, String look) {
    double c = Math.cos(angle(share));
    double s = Math.sin(angle(share));
    on.line(x + from * c, y - from * s, x + to * c, y - to * s, look);
  }

  /** What was read last. */
  private static OptionalDouble needle(Shown shown) {
    return shown
        .task
        .map(task ->
            switch (task) {
              case PowerTask.ByMeter t ->
                  t.atTopMa().isPresent()
                      ? t.atTopMa()
                      : OptionalDouble.of(t.readings().samples().getLast().currentMa());
              case PowerTask.ByFactory t -> t.atTopMa();
              case PowerTask.ByCheck t -> OptionalDouble.of(t.readMa());
              case PowerTask.ByCard t -> OptionalDouble.empty();
              case PowerTask.ByWords t -> OptionalDouble.empty();
            })
        .orElse(OptionalDouble.empty());
  }

  /** Where a plot stands in the picture. */
  private record Frame(double from, double height) {}

  private double px(double percent) {
    return LEFT + percent / 100 * (on.width() - LEFT - SIDE - 10);
  }

  private static double py(Frame frame, double share) {
    return frame.from + frame.height - BOTTOM - share * (frame.height - BOTTOM - TOP);
  }

  private void axes(Frame frame, double most, Quantity in, String title) {
    double bottom = py(frame, 0);
    on.line(px(0), bottom, px(100), bottom, "trend-axis");
    on.line(px(0), py(frame, 1), px(0), bottom, "trend-axis");
    for (int percent = 0; percent <= 100; percent += 25) {
      on.line(px(percent), bottom, px(percent), bottom + 5, "trend-axis");
      on.words(
          Text.words().say(Amount.plain(percent, Quantity.PERCENT)),
          px(percent),
          bottom + 16,
          60,
          "plan-side");
    }
    double middle = py(frame, 0.5);
    on.line(px(0) - 5, middle, px(0), middle, "trend-axis");
    on.words(
        Text.words().say(Amount.of(most / 2, in, 1)), LEFT / 2 - 2, middle, LEFT - 8, "plan-side");
    on.words(title, on.width() / 2, frame.from + 11, Math.max(60, on.width() - 20), "plan-side");
  }

  private void dial(Frame frame, List<CurvePoint> points, Shown shown) {
    double cap = shown.finding.flatMap(PowerFinding::top).map(t -> t.agreedMa()).orElse(0.0);
    double maximum = shown.maximumMa.orElse(0);
    double most =
        1.08
            * Math.max(
                Math.max(cap, maximum),
                points.stream().mapToDouble(CurvePoint::value).max().orElse(1));
    axes(frame, most, MA, Text.of("power.picture.dial"));
    across(frame, maximum / most, "power-now");
    across(frame, cap / most, "power-after");
    shown
        .finding
        .flatMap(PowerFinding::dialPercent)
        .ifPresent(d -> {
          on.line(px(d.value()), py(frame, 0), px(d.value()), py(frame, cap / most), "power-after");
          words(
              Text.of("power.picture.set", Amount.of(d.value(), Quantity.PERCENT, 1)),
              px(d.value()),
              py(frame, 0) - 12,
              "plan-now");
        });
    dots(frame, points, most, "focus-dot");
  }

  private void across(Frame frame, double share, String look) {
    if (share > 0 && share <= 1) {
      on.line(px(0), py(frame, share), px(100), py(frame, share), look);
    }
  }

  private void dots(Frame frame, List<CurvePoint> points, double most, String look) {
    for (CurvePoint p : points) {
      on.circle(px(p.percent()), py(frame, Math.min(1, p.value() / most)), 4, look);
    }
  }

  private void curve(Frame frame, Shown shown) {
    PowerReadings.Curve curve = shown.curve.orElseThrow();
    List<CurvePoint> all = new ArrayList<>(curve.now());
    all.addAll(curve.before());
    double most =
        1.08 * Math.max(1e-9, all.stream().mapToDouble(CurvePoint::value).max().orElse(1));
    axes(frame, most, shown.curveIn, Text.of("power.picture.curve"));
    joined(frame, curve.before(), most);
    dots(frame, curve.before(), most, "mark-after");
    shown.fitted.ifPresent(
        f -> along(frame, f.lowestPercent(), f.highestPercent(), p -> f.at(p).value() / most));
    dots(frame, curve.now(), most, "focus-dot");
  }

  private void joined(Frame frame, List<CurvePoint> points, double most) {
    List<CurvePoint> sorted =
        points.stream().sorted(Comparator.comparingDouble(CurvePoint::percent)).toList();
    for (int i = 1; i < sorted.size(); i++) {
      on.line(
          px(sorted.get(i - 1).percent()),
          py(frame, sorted.get(i - 1).value() / most),
          px(sorted.get(i).percent()),
          py(frame, sorted.get(i).value() / most),
          "power-after");
    }
  }

  private void along(Frame frame, double from, double to, DoubleUnaryOperator share) {
    for (int i = 0; i < PIECES; i++) {
      double one = from + (to - from) * i / PIECES;
      double next = from + (to - from) * (i + 1) / PIECES;
      on.line(
          px(one),
          py(frame, share.applyAsDouble(one)),
          px(next),
          py(frame, share.applyAsDouble(next)),
          "trend-line");
    }
  }

  private static List<Ageing.Reading> aged(PowerReadings.Output output) {
    List<Ageing.Reading> all = new ArrayList<>(output.history());
    output.now().ifPresent(v -> all.add(new Ageing.Reading(output.at(), v)));
    return all;
  }

  /** What it gave since it was new, with the limit, and between which two it will be reached. */
  private void ageing(Frame frame, List<Ageing.Reading> aged, Shown shown) {
    PowerReadings.Output output = shown.output.orElseThrow();
    Optional<Ageing.Trend> trend = shown.finding.flatMap(PowerFinding::trend);
    double last = Math.max(1, aged.stream().mapToDouble(Ageing.Reading::at).max().orElse(1));
    double until = trend.map(t -> t.until().orElse(FURTHEST * last)).orElse(last);
    double end = 1.05 * Math.clamp(until, last, FURTHEST * last);
    double most = 1.15 * aged.stream().mapToDouble(Ageing.Reading::value).max().orElse(1);
    Quantity in = output.inWatts() ? Quantity.POWER : Quantity.PERCENT;
    double bottom = py(frame, 0);
    trend
        .filter(t -> t.from().isPresent() && t.from().getAsDouble() < end)
        .ifPresent(t -> {
          double left = px(100 * t.from().getAsDouble() / end);
          double right = px(100 * Math.min(1, t.until().orElse(end) / end));
          on.rectangle(left, py(frame, 1), Math.max(2, right - left), bottom - py(frame, 1), SHADE);
        });
    on.line(px(0), bottom, px(100), bottom, "trend-axis");
    on.line(px(0), py(frame, 1), px(0), bottom, "trend-axis");
    for (int part = 0; part <= 2; part++) {
      on.words(
          Text.words()
              .say(
                  Message.of(
                      output.inHours() ? "power.picture.hours" : "power.picture.days",
                      Math.round(end * part / 2))),
          px(50.0 * part) - (part == 2 ? 16 : 0),
          bottom + 16,
          90,
          "plan-side");
    }
    double middle = py(frame, 0.5);
    on.words(
        Text.words().say(Amount.of(most / 2, in, 1)), LEFT / 2 - 2, middle, LEFT - 8, "plan-side");
    on.words(
        Text.of(trend.isPresent() ? "power.picture.ageing" : "power.picture.output"),
        on.width() / 2,
        frame.from + 11,
        Math.max(60, on.width() - 20),
        "plan-side");
    if (output.first().isPresent() && output.lossLimitPercent().isPresent()) {
      double limit =
          output.first().getAsDouble() * (1 - output.lossLimitPercent().getAsDouble() / 100);
      across(frame, limit / most, "power-after");
    }
    List<Integer> off = trend.map(Ageing.Trend::leftOut).orElse(List.of());
    for (int i = 0; i < aged.size(); i++) {
      on.circle(
          px(100 * aged.get(i).at() / end),
          py(frame, aged.get(i).value() / most),
          4,
          off.contains(i) ? "mark-after" : "focus-dot");
    }
  }

  /** The job's scale above the controller's, from nothing to all; what marks begins at a line. */
  private void scale(PowerTask.ByWords task, double height) {
    double most = Math.max(task.jobTop().orElse(0), task.controllerTop().orElse(0));
    if (most == 0) {
      on.words(
          Text.of(
              task.behindDriver().isPresent() ? "power.picture.driver" : "power.picture.no-words"),
          on.width() / 2,
          height / 2,
          Math.max(80, on.width() - 40),
          "plan-side");
      return;
    }
    double thick = Math.min(34, height / 8);
    double top = Math.max(30, height / 2 - 2 * thick);
    bar("power.picture.job", task.jobTop(), most, top, thick);
    bar("power.picture.controller", task.controllerTop(), most, top + 2.6 * thick, thick);
    task.firingPercent()
        .ifPresent(percent -> {
          double x = SIDE + percent / 100 * task.jobTop().orElse(most) / most * barWidth();
          on.line(x, top - 4, x, top + thick + 4, "power-after");
        });
  }

  private double barWidth() {
    return on.width() - 2 * SIDE;
  }

  private void bar(String key, OptionalDouble word, double most, double y, double thick) {
    on.words(
        word.isPresent()
            ? Text.of(key, Message.number(word.getAsDouble()))
            : Text.of(key, Message.of("power.picture.unknown")),
        on.width() / 2,
        y - 11,
        Math.max(80, on.width() - 20),
        "plan-side");
    on.rectangle(SIDE, y, barWidth(), thick, "scale-stem");
    word.ifPresent(w -> on.rectangle(SIDE, y, barWidth() * w / most, thick, SHADE));
  }

  private void words(String words, double x, double y, String look) {
    double half = LETTER * words.length() / 2;
    double least = Math.min(LEFT + half + 6, on.width() / 2);
    double most = Math.max(on.width() - half - 4, on.width() / 2);
    on.words(words, Math.clamp(x, least, most), y, 2 * half + 10, look);
  }
}
