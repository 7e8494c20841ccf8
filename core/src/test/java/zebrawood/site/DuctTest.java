package zebrawood.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.measure.Verdict;
import zebrawood.site.Duct.FanPoint;
import zebrawood.site.Duct.Piece;

class DuctTest {
  private static final List<FanPoint> FAN =
      List.of(new FanPoint(0, 400), new FanPoint(300, 320), new FanPoint(600, 0));

  private static Duct.Readings run(double flow, Piece... pieces) {
    return Duct.Readings.of(List.of(pieces), List.of(), flow, Optional.of(FAN));
  }

  /** Read off the friction chart in textbooks of fluid mechanics. */
  @ParameterizedTest
  @CsvSource({
    "1e4, 0, 0.0309",
    "1e5, 0, 0.0180",
    "1e6, 0, 0.0116",
    "1e5, 1e-3, 0.0222",
    "1e6, 1e-4, 0.0134",
    "1e7, 1e-2, 0.0379",
    "5e3, 5e-2, 0.0762",
    "1000, 0.01, 0.064",
    "2000, 0, 0.032"
  })
  void frictionAgreesWithTheChart(double reynolds, double roughness, double friction) {
    assertThat(Duct.friction(reynolds, roughness)).isCloseTo(friction, within(0.015 * friction));
  }

  /** Two alike hoses side by side move at half the flow each: each costs what half costs. */
  @Test
  void hosesSideBySideCostWhatEachCostsAtItsShare() {
    Piece one = new Piece(100, 3, 1, 0.15);
    Piece two = new Piece(100, 3, 1, 0.15, OptionalDouble.of(2));
    assertThat(two.lossPa(400)).isCloseTo(one.lossPa(200), within(1e-9));
    Duct.Finding f = Duct.solve(run(400, two, new Piece(150, 1, 0, 0.15), one));
    assertThat(f.costliest().orElseThrow().piece()).isEqualTo(3);
    assertThat(f.costliest().orElseThrow().lossPa()).isCloseTo(one.lossPa(400), within(1e-9));
  }

  /** 150 mm at 10 m/s: 0.01767 m2 times 36 000 m/h. */
  @Test
  void whatAPortAndABedAskForIsWorkedOut() {
    assertThat(Duct.throughPortM3H(150)).isCloseTo(636.2, within(0.1));
    assertThat(Duct.overBedM3H(1000, 600)).isCloseTo(1080, within(1e-9));
  }

  @Test
  void frictionSolvesColebrooksEquation() {
    Random random = new Random(6);
    for (int i = 0; i < 2000; i++) {
      double reynolds = 4000 * Math.pow(10, 4 * random.nextDouble());
      double roughness = random.nextDouble() * 0.05;
      double f = Duct.friction(reynolds, roughness);
      double right = -2 * Math.log10(roughness / 3.7 + 2.51 / (reynolds * Math.sqrt(f)));
      assertThat(1 / Math.sqrt(f)).isCloseTo(right, within(1e-9));
    }
  }

  @Test
  void betweenLaminarAndTurbulentItIsAStraightLine() {
    double low = 64.0 / 2300;
    double high = Duct.friction(4000, 0.001);
    assertThat(Duct.friction(3150, 0.001)).isCloseTo((low + high) / 2, within(1e-12));
    assertThat(Duct.friction(2300.001, 0.001)).isCloseTo(low, within(1e-6));
    assertThat(Duct.friction(3999.999, 0.001)).isCloseTo(high, within(1e-6));
  }

  @Test
  void piecesInSeriesAddAndTheNarrowestGivesTheVelocity() {
    Piece wide = new Piece(150, 4, 2, 0.15);
    Piece narrow = new Piece(100, 2, 1, 1);
    Duct.Finding both = Duct.solve(run(300, wide, narrow));
    assertThat(both.lossPa())
        .isCloseTo(
            Duct.solve(run(300, wide)).lossPa() + Duct.solve(run(300, narrow)).lossPa(),
            within(1e-9));
    double velocity = 300 / 3600.0 / (Math.PI / 4 * 0.1 * 0.1);
    assertThat(both.velocityMS()).isCloseTo(velocity, within(1e-12));
    assertThat(both.reynolds()).isCloseTo(1.2 * velocity * 0.1 / 1.81e-5, within(1e-6));
    Duct.Readings single =
        new Duct.Readings(
            OptionalDouble.of(100),
            OptionalDouble.of(2),
            OptionalDouble.of(1),
            OptionalDouble.of(1),
            Optional.empty(),
            Optional.empty(),
            300,
            Optional.empty());
    assertThat(Duct.solve(single).lossPa()).isEqualTo(Duct.solve(run(300, narrow)).lossPa());
    assertThat(Duct.solve(single).operatingFlowM3H()).isEmpty();
  }

  /** A straight bend-only piece: one velocity head times 0.3 for each bend. */
  @Test
  void bendsCostThreeTenthsOfAVelocityHead() {
    Duct.Finding f = Duct.solve(run(300, new Piece(100, 0, 2, 0)));
    assertThat(f.lossPa()).isCloseTo(0.6 * 1.2 * f.velocityMS() * f.velocityMS() / 2, within(1e-9));
  }

  @Test
  void theWorkingPointIsWhereFanAndRunMeet() {
    Random random = new Random(8);
    for (int i = 0; i < 200; i++) {
      Piece piece =
          new Piece(
              80 + random.nextInt(120),
              1 + random.nextInt(20),
              random.nextInt(6),
              random.nextDouble());
      double flow = Duct.solve(run(300, piece)).operatingFlowM3H().orElseThrow();
      double fan = flow <= 300 ? 400 - 80 * flow / 300 : 320 * (600 - flow) / 300;
      assertThat(piece.lossPa(flow)).isCloseTo(fan, within(1e-6));
    }
  }

  @Test
  void aCurveThatDoesNotReachTheRunIsReadFurther() {
    List<FanPoint> part = List.of(new FanPoint(0, 400), new FanPoint(50, 390));
    Duct.Readings r =
        Duct.Readings.of(List.of(new Piece(150, 2, 0, 0.1)), List.of(), 300, Optional.of(part));
    assertThat(Duct.solve(r).operatingFlowM3H()).isEmpty();
    assertThat(Duct.judge(r, Duct.solve(r)).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
  }

  @Test
  void tooLittleAirIsToldAndSettlingDustWarned() {
    Duct.Readings r = run(500, new Piece(80, 12, 5, 1));
    assertThat(Duct.judge(r, Duct.solve(r)).verdict()).isEqualTo(Verdict.ADJUST);
    Duct.Readings slow = run(150, new Piece(150, 2, 0, 0.1));
    assertThat(Duct.judge(slow, Duct.solve(slow)).warnings(ENGLISH))
        .anyMatch(w -> w.contains("dust and soot settle"));
  }

  /** 100 m3/h through 80 mm: 5.526 m/s, a velocity head of 18.32 Pa; 0.5 + 1.3 of it. */
  @Test
  void aPortAndAnOutletCostTheirShareOfAVelocityHead() {
    Duct.Readings bare =
        Duct.Readings.of(List.of(new Piece(80, 1, 0, 0.1)), List.of(), 100, Optional.of(FAN));
    Duct.Readings fitted =
        Duct.Readings.of(
            List.of(new Piece(80, 1, 0, 0.1)),
            List.of(
                new Duct.Fitting(Duct.FittingKind.FLANGED_PORT, 80),
                new Duct.Fitting(Duct.FittingKind.OUTLET, 80)),
            100,
            Optional.of(FAN));
    assertThat(Duct.solve(fitted).lossPa() - Duct.solve(bare).lossPa())
        .isCloseTo(1.8 * 18.323, within(0.01));
    double flow = Duct.solve(fitted).operatingFlowM3H().orElseThrow();
    assertThat(flow).isLessThan(Duct.solve(bare).operatingFlowM3H().orElseThrow());
    assertThat(fitted.lossPa(flow))
        .as("the blower gives just what the run costs")
        .isCloseTo(400 - 80 * flow / 300, within(1e-6));
  }

  @Test
  void refusalsNameWhatIsAccepted() {
    assertThatThrownBy(() -> new Piece(0, -1, 0, 0))
        .hasMessageContaining("diameterMm is 0")
        .hasMessageContaining("lengthM is -1");
    assertThatThrownBy(() -> new Piece(10, 1, 0, 5)).hasMessageContaining("half the diameter");
    List<FanPoint> rising = List.of(new FanPoint(0, 100), new FanPoint(100, 200));
    assertThatThrownBy(() ->
            Duct.Readings.of(List.of(new Piece(100, 1, 0, 0)), List.of(), 100, Optional.of(rising)))
        .hasMessageContaining("fanCurve is 200 Pa at 100 m³/h after 100 Pa at 0 m³/h");
    OptionalDouble none = OptionalDouble.empty();
    assertThatThrownBy(() ->
            new Duct.Readings(
                OptionalDouble.of(100),
                none,
                none,
                none,
                Optional.empty(),
                Optional.empty(),
                0,
                Optional.empty()))
        .hasMessageContaining("lengthM is missing, accepted is this field, or pieces")
        .hasMessageContaining("flowM3H is 0");
    assertThatThrownBy(() ->
            new Duct.Readings(
                OptionalDouble.of(100),
                none,
                none,
                none,
                Optional.of(List.of(new Piece(100, 1, 0, 0))),
                Optional.empty(),
                10,
                Optional.empty()))
        .hasMessageContaining("either pieces or a single bore");
  }
}
