package zebrawood.rotary;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.rotary.Seating.Axis;
import zebrawood.rotary.Seating.Gaps;
import zebrawood.rotary.Seating.Gauge;
import zebrawood.rotary.Seating.Height;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where the work's axis is from the beam's way, by plane geometry of a circle of the work's radius
 * R: at a distance u from its crown the surface is R - sqrt(R² - u²) lower.
 *
 * @param axisMrad of the beam's way from the work's axis, to the rear at the far end
 * @param middleMm of the crown from the beam, to the rear; the mean, weighted, of what says it
 */
record Seat(
    Optional<Estimate> axisMrad,
    Optional<Estimate> middleMm,
    Verdict verdict,
    List<Advice> advice) {
  private static final double SURE = 2;
  private static final double MRAD = 1000;
  private static final double NEAREST = 1e-9;

  /** Of the radius, for its derivative: far above what a root is found to. */
  private static final double STEP = 1e-5;

  private static final int MOST_STEPS = 200;

  /** Beside the crown an edge is burnt aslant; so much is not seen. Ours. */
  private static final double SLANT = Math.toRadians(5);

  /** Of the depth of focus that may be lost beside the crown. Ours. */
  private static final double SHARE_OF_DEPTH = 0.25;

  static Seat of(RotaryReadings r) {
    Optional<Estimate> axis = r.seating().flatMap(Seating::axis).map(Seat::angle);
    Optional<Estimate> middle = middle(r);
    List<Advice> advice = new ArrayList<>();
    Verdict worst = Verdict.WITHIN;
    if (axis.isPresent()) {
      Axis read = r.seating().orElseThrow().axis().orElseThrow();
      double aside = axis.get().value() / MRAD * r.alongMm();
      double unsure = SURE * axis.get().uncertainty() / MRAD * r.alongMm();
      worst = worse(worst, of(aside, unsure, r.toleranceMm()));
      advice.addAll(ofAxis(read, aside, unsure, r.toleranceMm()));
    }
    if (middle.isPresent()) {
      double limit = limit(r);
      double unsure = SURE * middle.get().uncertainty();
      worst = worse(worst, of(middle.get().value(), unsure, limit));
      advice.addAll(ofMiddle(middle.get().value(), unsure, limit));
    }
    return new Seat(axis, middle, worst, advice);
  }

  private static Verdict of(double off, double unsure, double limit) {
    if (unsure > limit) {
      return Verdict.MEASURE_AGAIN;
    }
    return Math.abs(off) > limit ? Verdict.ADJUST : Verdict.WITHIN;
  }

  /** In the order in which a finding is judged. */
  static Verdict worse(Verdict one, Verdict other) {
    List<Verdict> order =
        List.of(Verdict.WITHIN, Verdict.ADJUST, Verdict.MEASURE_AGAIN, Verdict.STOP);
    return order.indexOf(one) >= order.indexOf(other) ? one : other;
  }

  private static List<Advice> ofAxis(Axis read, double aside, double unsure, double limit) {
    return switch (of(aside, unsure, limit)) {
      case ADJUST ->
          List.of(
              Advice.act(
                      read.offMm() > 0 ? "rotary.far-end-back" : "rotary.far-end-forward",
                      Amount.mm(Math.abs(read.offMm()), 1))
                  .because("rotary.far-end.why", Amount.mm(Math.abs(aside), 2)));
      case MEASURE_AGAIN ->
          List.of(
              Advice.read("rotary.axis-again")
                  .because("rotary.axis-again.why", Amount.mm(unsure, 2)));
      default -> List.of();
    };
  }

  private static List<Advice> ofMiddle(double off, double unsure, double limit) {
    return switch (of(off, unsure, limit)) {
      case ADJUST ->
          List.of(
              Advice.act(
                      off > 0 ? "rotary.move-forward" : "rotary.move-back",
                      Amount.mm(Math.abs(off), 1))
                  .because("rotary.move.why", Amount.mm(limit, 1)));
      case MEASURE_AGAIN ->
          List.of(
              Advice.read("rotary.middle-again")
                  .because("rotary.middle-again.why", Amount.mm(unsure, 1)));
      default -> List.of();
    };
  }

  /** The beam may be so far beside the crown. */
  private static double limit(RotaryReadings r) {
    double radius = r.workDiameterMm() / 2;
    double fall = Math.min(SHARE_OF_DEPTH * r.depthMm(), radius);
    return Math.min(
        Math.sqrt(radius * radius - (radius - fall) * (radius - fall)), radius * Math.sin(SLANT));
  }

  /** The spot is put down at one end and read at the other. */
  private static Estimate angle(Axis a) {
    return new Estimate(
        MRAD * a.offMm() / a.apartMm(),
        MRAD * Math.sqrt(2) * Resolution.standardDeviation(a.readMm()) / a.apartMm());
  }

  private static Optional<Estimate> middle(RotaryReadings r) {
    double radius = r.workDiameterMm() / 2;
    double byRadius = r.workDiameterUncertaintyMm() / 2;
    Optional<Estimate> gaps =
        r.seating().flatMap(Seating::gaps).map(g -> byGaps(g, radius, byRadius));
    Optional<Estimate> gauge = r.seating().flatMap(Seating::gauge).map(g -> byGauge(g, radius));
    if (gaps.isPresent() && gauge.isPresent()) {
      return Optional.of(weighed(gaps.get(), gauge.get()));
    }
    return gaps.or(() -> gauge);
  }

  private static Estimate weighed(Estimate a, Estimate b) {
    double u = Math.max(a.uncertainty(), NEAREST);
    double v = Math.max(b.uncertainty(), NEAREST);
    double share = v * v / (u * u + v * v);
    // Two that do not agree are known no better than by how much they differ.
    return new Estimate(
        share * a.value() + (1 - share) * b.value(),
        Math.max(u * v / Math.hypot(u, v), Math.abs(a.value() - b.value()) / 2));
  }

  private static double fall(double radius, double from) {
    return radius - Math.sqrt(radius * radius - from * from);
  }

  private static Estimate byGaps(Gaps g, double radius, double byRadius) {
    double off = off(g, radius);
    double slope = steep(radius, g.asideMm() + off) + steep(radius, g.asideMm() - off);
    double byReading = Math.sqrt(2) * Resolution.standardDeviation(g.readMm()) / slope;
    // How the difference of the gaps changes with the radius, over how it changes with the place.
    double atRadius =
        (fall(radius * (1 + STEP), g.asideMm() + off)
                - fall(radius * (1 + STEP), g.asideMm() - off)
                - (g.frontMm() - g.rearMm()))
            / (radius * STEP);
    return new Estimate(off, Math.hypot(byReading, atRadius / slope * byRadius));
  }

  private static double steep(double radius, double from) {
    return from / Math.sqrt(radius * radius - from * from);
  }

  /** Where the front gap is larger, the crown is behind the beam. */
  private static double off(Gaps g, double radius) {
    double most = (radius - g.asideMm()) * (1 - NEAREST);
    UnivariateFunction apart =
        off ->
            fall(radius, g.asideMm() + off)
                - fall(radius, g.asideMm() - off)
                - (g.frontMm() - g.rearMm());
    if (apart.value(-most) > 0 || apart.value(most) < 0) {
      double least = fall(radius, radius * (1 - NEAREST)) - fall(radius, most - g.asideMm());
      new Accepts()
          .complain(
              "seating.gaps.frontMm",
              g.frontMm(),
              Message.of(
                  "rotary.accepts.gaps-of-it",
                  Message.number(g.rearMm()),
                  Message.number(Math.floor(100 * least) / 100)))
          .orThrow();
    }
    return new BrentSolver(NEAREST, NEAREST).solve(MOST_STEPS, apart, -most, most);
  }

  /** The circle of this radius nearest to the heights, by least squares. */
  private static Estimate byGauge(Gauge g, double radius) {
    double least = g.heights().stream().mapToDouble(Height::atMm).min().orElseThrow();
    double most = g.heights().stream().mapToDouble(Height::atMm).max().orElseThrow();
    double from = most - radius;
    double to = least + radius;
    double inside = (to - from) * NEAREST;
    double off =
        new BrentOptimizer(NEAREST, NEAREST)
            .optimize(
                new MaxEval(MOST_STEPS),
                GoalType.MINIMIZE,
                new UnivariateObjectiveFunction(at -> squares(g, radius, at)),
                new SearchInterval(from + inside, to - inside))
            .getPoint();
    int n = g.heights().size();
    double deviation =
        Math.max(
            Resolution.standardDeviation(g.readMm()),
            Math.sqrt(squares(g, radius, off) / Math.max(1, n - 2)));
    double mean =
        g.heights().stream()
            .mapToDouble(h -> steep(radius, h.atMm() - off))
            .average()
            .orElseThrow();
    double spread =
        g.heights().stream()
            .mapToDouble(h -> steep(radius, h.atMm() - off) - mean)
            .map(d -> d * d)
            .sum();
    return new Estimate(off, deviation / Math.sqrt(spread));
  }

  private static double squares(Gauge g, double radius, double off) {
    double[] rest =
        g.heights().stream()
            .mapToDouble(h -> h.heightMm() + fall(radius, h.atMm() - off))
            .toArray();
    double mean = Arrays.stream(rest).average().orElseThrow();
    return Arrays.stream(rest).map(z -> (z - mean) * (z - mean)).sum();
  }
}
