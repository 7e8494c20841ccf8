package zebrawood.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import zebrawood.measure.Verdict;
import zebrawood.power.RescaleFinding.Setting;
import zebrawood.power.RescaleReadings.JobSetting;

class RescalingTest {
  /** A tube with a threshold that flattens at the top. */
  private static List<CurvePoint> curve(DoubleUnaryOperator watts) {
    return DoubleStream.iterate(10, p -> p <= 100, p -> p + 10)
        .mapToObj(p -> new CurvePoint(p, watts.applyAsDouble(p)))
        .toList();
  }

  private static double tube(double percent) {
    return 80 * Math.tanh((percent - 5) / 60);
  }

  private static RescaleFinding solve(
      List<CurvePoint> before, List<CurvePoint> after, JobSetting... settings) {
    return Rescaling.solve(
        new RescaleReadings(before, after, List.of(settings), OptionalDouble.empty()));
  }

  private static RescaleFinding scattered(
      List<CurvePoint> before, List<CurvePoint> after, double percent, JobSetting... settings) {
    return Rescaling.solve(
        new RescaleReadings(before, after, List.of(settings), OptionalDouble.of(percent)));
  }

  private static List<CurvePoint> read(double share, double percent, Random random) {
    return curve(p -> share * tube(p) * (1 + percent / 100 * random.nextGaussian()));
  }

  @Test
  void whatTheMeterCannotTellMovesNoSetting() {
    Random random = new Random(2);
    int moved = 0;
    int seen = 0;
    int held = 0;
    JobSetting fill = new JobSetting("fill", 40, 300);
    for (int i = 0; i < 300; i++) {
      RescaleFinding same = scattered(read(1, 2, random), read(1, 2, random), 2, fill);
      boolean stays = same.verdict() == Verdict.WITHIN;
      moved += stays ? 0 : 1;
      if (stays) {
        assertThat(same.settings()).containsExactly(new Setting("fill", 40, 300, true));
      }
      RescaleFinding lost = scattered(read(1, 2, random), read(0.9, 2, random), 2, fill);
      seen += lost.verdict() == Verdict.ADJUST ? 1 : 0;
      held +=
          Math.abs(lost.lossFraction().getAsDouble() - 0.1)
                  <= 2 * lost.lossFractionUncertainty().getAsDouble()
              ? 1
              : 0;
    }
    assertThat(moved).as("of 300 tubes that lost nothing").isLessThan(30);
    assertThat(seen).as("of 300 that lost a tenth").isGreaterThan(295);
    assertThat(held / 3.0).isBetween(90.0, 98.0);
    assertThat(
            solve(curve(RescalingTest::tube), curve(RescalingTest::tube)).lossFractionUncertainty())
        .isEmpty();
  }

  @Test
  void curvesThatShareNoShapeAreNotRefusedForTheirScatter() {
    List<CurvePoint> now = new java.util.ArrayList<>();
    for (CurvePoint p : curve(RescalingTest::tube)) {
      now.add(new CurvePoint(p.percent(), p.percent() % 20 == 0 ? p.value() : 0.05 * p.value()));
    }
    RescaleReadings readings =
        RescaleReadings.of(
            new PowerReadings.Curve(now, 0.5, 0, curve(RescalingTest::tube)), List.of());
    assertThat(readings.scatterPercent()).hasValue(50);
    assertThat(
            RescaleReadings.of(
                    new PowerReadings.Curve(now, 0.5, 3, curve(RescalingTest::tube)), List.of())
                .scatterPercent())
        .as("what somebody said counts")
        .hasValue(3);
  }

  @Test
  void aSettingThatGaveNoLightStaysAsItIs() {
    List<CurvePoint> before =
        List.of(
            new CurvePoint(5, 0),
            new CurvePoint(15, 0),
            new CurvePoint(50, 40),
            new CurvePoint(100, 80));
    List<CurvePoint> after =
        List.of(
            new CurvePoint(5, 0),
            new CurvePoint(15, 0),
            new CurvePoint(50, 30),
            new CurvePoint(100, 62));
    RescaleFinding f =
        solve(before, after, new JobSetting("mark", 10, 200), new JobSetting("b", 60, 9));
    assertThat(f.settings().getFirst()).isEqualTo(new Setting("mark", 10, 200, true));
    assertThat(f.warnings(ENGLISH)).anyMatch(w -> w.contains("Mark gave no watts"));
  }

  @Test
  void theSameWattsAreFoundWhereTheyCanBeHad() {
    RescaleFinding f =
        solve(
            curve(RescalingTest::tube),
            curve(p -> 0.8 * tube(p)),
            new JobSetting("fill", 40, 300),
            new JobSetting("cut", 95, 12));
    assertThat(f.lossFraction().getAsDouble()).isCloseTo(0.2, within(1e-9));
    Setting fill = f.settings().getFirst();
    assertThat(fill.reachable()).isTrue();
    assertThat(fill.speedMmS()).isEqualTo(300);
    // By the tube's own law: 0.8 tanh((p - 5) / 60) = tanh(35 / 60).
    double exact = 5 + 60 * atanh(Math.tanh(35.0 / 60) / 0.8);
    assertThat(fill.percent()).isCloseTo(exact, within(0.15));
    Setting cut = f.settings().getLast();
    assertThat(cut.reachable()).isFalse();
    assertThat(cut.percent()).isEqualTo(100);
    assertThat(cut.speedMmS()).isCloseTo(12 * 0.8 * tube(100) / tube(95), within(0.02));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.warnings(ENGLISH).getFirst()).contains("cut").contains("heats more");
  }

  private static double atanh(double z) {
    return 0.5 * Math.log((1 + z) / (1 - z));
  }

  @Test
  void theSameCurveLeavesEverySettingAsItIs() {
    List<CurvePoint> same = curve(RescalingTest::tube);
    RescaleFinding f = solve(same, same, new JobSetting("a", 33, 50), new JobSetting("b", 100, 9));
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.lossFraction()).hasValue(0);
    assertThat(f.settings().getFirst().percent()).isCloseTo(33, within(1e-6));
    assertThat(f.settings().getLast().percent()).isCloseTo(100, within(1e-6));
  }

  @Test
  void theCurveNeverFallsBetweenReadings() {
    PowerCurve curve =
        new PowerCurve(
            List.of(
                new CurvePoint(10, 0),
                new CurvePoint(20, 1),
                new CurvePoint(30, 30),
                new CurvePoint(40, 29),
                new CurvePoint(60, 60),
                new CurvePoint(100, 61)));
    double before = -1;
    for (double p = 10; p <= 100; p += 0.05) {
      double watts = curve.watts(p);
      assertThat(watts).isGreaterThanOrEqualTo(before - 1e-9);
      before = watts;
    }
    assertThat(curve.watts(35)).as("two that fall are pooled").isCloseTo(29.5, within(1e-9));
    assertThat(curve.watts(curve.percent(12.3))).isCloseTo(12.3, within(1e-6));
  }

  @Test
  void aSettingThatWasNeverMeasuredIsRefusedByName() {
    List<CurvePoint> same = curve(RescalingTest::tube);
    assertThatThrownBy(() -> solve(same, same, new JobSetting("tiny", 4, 50)))
        .hasMessageContaining("settings[0].percent")
        .hasMessageContaining("tiny")
        .hasMessageContaining("10 to 100");
    assertThatThrownBy(() -> solve(same.subList(0, 1), same, new JobSetting("a", 10, 50)))
        .hasMessageContaining("before");
  }

  @Test
  void onlyPercentagesOfBothCurvesThatSaySomethingCount() {
    List<CurvePoint> before =
        List.of(new CurvePoint(10, 1), new CurvePoint(50, 40), new CurvePoint(100, 80));
    List<CurvePoint> after = List.of(new CurvePoint(10, 0.1), new CurvePoint(60, 36));
    // 10 % gives less than a twentieth, 100 % lies outside: 50 % alone counts.
    double at50 = new PowerCurve(after).watts(50);
    assertThat(solve(before, after).lossFraction().getAsDouble())
        .isCloseTo(1 - at50 / 40, within(1e-9));
    RescaleFinding none = solve(before, List.of(new CurvePoint(12, 3), new CurvePoint(20, 9)));
    assertThat(none.lossFraction()).isEmpty();
    assertThat(none.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
  }

  /** 255 of 1000: what burnt at 40 % burns the same at 10.2 %, once the words are one. */
  @Test
  void savedPercentagesFollowACorrectedPowerWord() {
    List<RescaleReadings.JobSetting> saved =
        List.of(
            new RescaleReadings.JobSetting("edge", 40, 20),
            new RescaleReadings.JobSetting("cut", 100, 5));
    assertThat(Rescaling.byWords(saved, 0.255))
        .extracting(RescaleFinding.Setting::percent)
        .usingComparatorForType((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1, Double.class)
        .containsExactly(10.2, 25.5);
    assertThat(Rescaling.byWords(saved, 2))
        .as("all above half was full power")
        .extracting(RescaleFinding.Setting::percent)
        .containsExactly(80.0, 100.0);
  }
}
