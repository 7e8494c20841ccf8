package zebrawood.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

class CurveFitTest {
  private static List<CurvePoint> read(DoubleUnaryOperator watts, double... percents) {
    return DoubleStream.of(percents)
        .mapToObj(p -> new CurvePoint(p, watts.applyAsDouble(p)))
        .toList();
  }

  @Test
  void aStraightLineAboveItsThreshold() {
    FittedCurve curve =
        CurveFit.of(read(p -> Math.max(0, 0.9 * (p - 12)), 5, 10, 20, 40, 60, 80, 100), 0.1, 0)
            .orElseThrow();
    assertThat(curve.thresholdPercent().value()).isCloseTo(12, within(1e-6));
    assertThat(curve.slopePerPercent().value()).isCloseTo(0.9, within(1e-6));
    assertThat(curve.flatteningFraction()).isCloseTo(0, within(1e-6));
    assertThat(curve.at(50).value()).isCloseTo(0.9 * 38, within(1e-6));
    assertThat(curve.at(8).value()).isZero();
    assertThat(curve.percentFor(45).orElseThrow().value()).isCloseTo(62, within(1e-6));
    assertThat(curve.percentFor(100)).as("beyond what was read").isEmpty();
    assertThat(curve.covers(3)).isFalse();
  }

  /** The errors by hand: a mean and a slope of four readings, each 0.1 / sqrt 12 off. */
  @Test
  void theUncertaintyIsThatOfAStraightLine() {
    FittedCurve curve = CurveFit.of(read(p -> p - 10, 25, 50, 75, 100), 0.1, 0).orElseThrow();
    double error = 0.1 / Math.sqrt(12);
    assertThat(curve.slopePerPercent().uncertainty())
        .isCloseTo(error / Math.sqrt(3125), within(1e-9));
    assertThat(curve.at(62.5).uncertainty()).isCloseTo(error / 2, within(1e-9));
    assertThat(curve.at(100).uncertainty())
        .isCloseTo(error * Math.sqrt(0.25 + 37.5 * 37.5 / 3125), within(1e-9));
  }

  @Test
  void flatteningIsTakenInWhereItIsThere() {
    DoubleUnaryOperator bent = p -> p <= 10 ? 0 : (p - 10) - 0.003 * (p - 10) * (p - 10);
    FittedCurve curve = CurveFit.of(read(bent, 20, 35, 50, 65, 80, 100), 0.05, 0).orElseThrow();
    assertThat(curve.flatteningFraction()).isCloseTo(0.27, within(1e-6));
    assertThat(curve.thresholdPercent().value()).isCloseTo(10, within(1e-6));
    double watts = bent.applyAsDouble(73);
    assertThat(curve.percentFor(watts).orElseThrow().value()).isCloseTo(73, within(1e-6));
  }

  @Test
  void twoDeviationsHoldNineteenInTwenty() {
    Random random = new Random(5);
    int held = 0;
    int all = 0;
    for (int i = 0; i < 600; i++) {
      double slope = 0.4 + random.nextDouble();
      double threshold = 5 + 10 * random.nextDouble();
      List<CurvePoint> read =
          read(
              p ->
                  Math.round(10 * slope * (p - threshold) * (1 + 0.02 * random.nextGaussian()))
                      / 10.0,
              20,
              30,
              40,
              50,
              60,
              70,
              80,
              90,
              100);
      FittedCurve curve = CurveFit.of(read, 0.1, 2).orElseThrow();
      for (double p : new double[] {25, 55, 95}) {
        var at = curve.at(p);
        held += Math.abs(at.value() - slope * (p - threshold)) <= 2 * at.uncertainty() ? 1 : 0;
        all++;
      }
    }
    assertThat(100.0 * held / all).isBetween(93.0, 98.5);
  }

  @Test
  void theFlatteningIsAsSureAsItsReadings() {
    Random random = new Random(8);
    int held = 0;
    for (int i = 0; i < 400; i++) {
      double bend = 0.001 + 0.003 * random.nextDouble();
      List<CurvePoint> read =
          read(
              p -> ((p - 10) - bend * (p - 10) * (p - 10)) * (1 + 0.02 * random.nextGaussian()),
              20,
              30,
              40,
              50,
              60,
              70,
              80,
              90,
              100);
      FittedCurve curve = CurveFit.of(read, 0.1, 2).orElseThrow();
      double off = Math.abs(curve.flatteningFraction() - bend * 90);
      held += off <= 2 * curve.flatteningUncertainty().orElseThrow() ? 1 : 0;
    }
    assertThat(held / 4.0).isBetween(90.0, 99.5);
    assertThat(CurveFit.of(read(p -> p - 10, 25, 50, 75), 0.1, 0).orElseThrow())
        .extracting(FittedCurve::flatteningUncertainty)
        .isEqualTo(OptionalDouble.empty());
  }

  @Test
  void tooFewOrFallingReadingsAreNoCurve() {
    assertThat(CurveFit.of(read(p -> p, 20, 40), 0.1, 0)).isEmpty();
    assertThat(CurveFit.of(read(p -> 100 - p, 20, 40, 60), 0.1, 0)).isEmpty();
    assertThat(CurveFit.of(read(p -> p < 90 ? 0 : 5, 20, 40, 60, 80, 95), 0.1, 0)).isEmpty();
  }
}
