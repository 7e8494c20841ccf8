package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.power.Ageing;
import zebrawood.power.Ceiling;
import zebrawood.power.CeilingFinding;
import zebrawood.power.CeilingReadings;
import zebrawood.power.CurveFit;
import zebrawood.power.CurvePoint;
import zebrawood.power.FittedCurve;
import zebrawood.power.RescaleFinding;
import zebrawood.power.RescaleReadings;
import zebrawood.power.Rescaling;

/**
 * How honest the power is on tubes and supplies that follow no law of the solver's: curves that
 * saturate, wear that quickens or slows, another meter, bent supplies. Argument: how many of each.
 */
public final class PowerCoverage {
  private static final double LIFE_HOURS = 8000;

  private final Random random = new Random(4);
  private final int count;

  private PowerCoverage(int count) {
    this.count = count;
  }

  public static void main(String[] args) {
    PowerCoverage trials = new PowerCoverage(args.length > 0 ? Integer.parseInt(args[0]) : 400);
    trials.curves();
    trials.ceilings();
    trials.rescaled();
    trials.ageing();
  }

  private void curves() {
    for (int n : new int[] {4, 5, 8, 12}) {
      for (boolean tanh : new boolean[] {false, true}) {
        Coverage watts = new Coverage();
        Coverage threshold = new Coverage();
        for (int i = 0; i < count; i++) {
          double from = 5 + 10 * random.nextDouble();
          double over = 60 + 80 * random.nextDouble();
          DoubleUnaryOperator source =
              p ->
                  p <= from
                      ? 0
                      : 80 * (tanh ? Math.tanh((p - from) / over) : -Math.expm1((from - p) / over));
          List<CurvePoint> read = new ArrayList<>();
          for (int k = 0; k < n; k++) {
            double percent = 10 + 90.0 * k / (n - 1);
            double shaken = source.applyAsDouble(percent) * (1 + 0.02 * random.nextGaussian());
            read.add(new CurvePoint(percent, Math.max(0, Math.round(2 * shaken) / 2.0)));
          }
          Optional<FittedCurve> curve = CurveFit.of(read, 0.5, 2);
          if (curve.isPresent()) {
            double percent = 30 + 60 * random.nextDouble();
            watts.count(curve.get().at(percent), source.applyAsDouble(percent));
            threshold.count(curve.get().thresholdPercent(), from);
          }
        }
        String of = n + (tanh ? " readings, tanh" : " readings, exponential");
        watts.print("watts, " + of);
        threshold.print("threshold, " + of);
      }
    }
  }

  private void ceilings() {
    for (int n : new int[] {3, 4, 6, 10}) {
      Coverage dial = new Coverage();
      for (int i = 0; i < count; i++) {
        double bend = 0.1 + 2.4 * random.nextDouble();
        double first = 5 + 10 * random.nextDouble();
        double last = 80 + 15 * random.nextDouble();
        List<CeilingReadings.Sample> read = new ArrayList<>();
        for (int k = 0; k < n; k++) {
          double at = first + (last - first) * k / (n - 1);
          double shaken = supply(at, bend) + 0.1 * random.nextGaussian();
          read.add(new CeilingReadings.Sample(at, Math.max(0, Math.round(2 * shaken) / 2.0)));
        }
        double cap = 12 + 8 * random.nextDouble();
        CeilingFinding f =
            Ceiling.solve(
                new CeilingReadings(30, OptionalDouble.empty(), OptionalDouble.of(cap), 0.5, read));
        double truth = -100 / bend * Math.log1p(cap / 28 * Math.expm1(-bend));
        f.dialPercent().ifPresent(d -> dial.count(d, truth));
      }
      dial.print("ceiling of bent supplies, " + n + " settings");
    }
  }

  private static double supply(double dialPercent, double bend) {
    return 28 * Math.expm1(-bend * dialPercent / 100) / Math.expm1(-bend);
  }

  private void rescaled() {
    for (double lost : new double[] {0, 0.03, 0.15}) {
      Coverage loss = new Coverage();
      int changed = 0;
      for (int i = 0; i < count; i++) {
        RescaleFinding f =
            Rescaling.solve(
                new RescaleReadings(
                    tube(1), tube(1 - lost), List.of(setting()), OptionalDouble.of(2)));
        changed += f.verdict() == Verdict.ADJUST ? 1 : 0;
        loss.count(
            new Estimate(f.lossFraction().getAsDouble(), f.lossFractionUncertainty().getAsDouble()),
            lost);
      }
      loss.print("loss of " + lost);
      System.out.printf("  made anew: %.1f %%%n", Coverage.share(changed, count));
    }
  }

  private static RescaleReadings.JobSetting setting() {
    return new RescaleReadings.JobSetting("fill", 40, 300);
  }

  private List<CurvePoint> tube(double share) {
    List<CurvePoint> read = new ArrayList<>();
    for (int percent = 10; percent <= 100; percent += 10) {
      double watts = share * 80 * Math.tanh((percent - 5) / 60.0);
      read.add(new CurvePoint(percent, watts * (1 + 0.02 * random.nextGaussian())));
    }
    return read;
  }

  private void ageing() {
    for (double watched : new double[] {0.5, 0.7, 0.9}) {
      ageing("even", t -> t, watched, 0, false);
      ageing("quickening, t^1.5", t -> Math.pow(t, 1.5), watched, 0, false);
      ageing("quickening, t^2", t -> t * t, watched, 0, false);
      ageing("slowing, root of t", Math::sqrt, watched, 0, false);
      ageing("knee at half", t -> t < 0.5 ? 0.4 * t : 0.2 + 1.6 * (t - 0.5), watched, 0, false);
      for (double less : new double[] {0.05, 0.1}) {
        String meter = "meter %.0f %% less".formatted(100 * less);
        ageing("even, " + meter, t -> t, watched, -less, false);
        ageing("even, " + meter + ", told", t -> t, watched, -less, true);
        ageing("t^1.5, " + meter + ", told", t -> Math.pow(t, 1.5), watched, -less, true);
        ageing("root of t, " + meter + ", told", Math::sqrt, watched, -less, true);
      }
    }
  }

  /** Twelve readings of 2 %, and a meter that is changed somewhere among them. */
  private void ageing(
      String name, DoubleUnaryOperator law, double watched, double jump, boolean meterTold) {
    int held = 0;
    int told = 0;
    for (int i = 0; i < count; i++) {
      int changed = 3 + random.nextInt(7);
      List<Ageing.Reading> read = new ArrayList<>();
      for (int k = 0; k < 12; k++) {
        double share = watched * k / 11;
        double scale = k >= changed ? 1 + jump : 1;
        double value = 60 * scale * (1 - 0.2 * law.applyAsDouble(share));
        read.add(
            new Ageing.Reading(
                LIFE_HOURS * share,
                value * (1 + 0.02 * random.nextGaussian()),
                meterTold && k >= changed ? 1 : 0));
      }
      Ageing.Trend trend = Ageing.of(read, 48).orElseThrow();
      told += trend.step().isPresent() ? 1 : 0;
      held +=
          trend.from().orElse(Double.MAX_VALUE) <= LIFE_HOURS
                  && trend.until().orElse(Double.MAX_VALUE) >= LIFE_HOURS
              ? 1
              : 0;
    }
    System.out.printf(
        "wear, %s, %.0f %% watched: eight in ten hold %.0f %%; a jump told %.0f %%%n",
        name, 100 * watched, Coverage.share(held, count), Coverage.share(told, count));
  }
}
