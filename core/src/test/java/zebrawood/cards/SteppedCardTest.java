package zebrawood.cards;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.cards.CardsTask.ReadFor;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.station.Help;

class SteppedCardTest {
  private static final OptionalDouble UNSAID = OptionalDouble.empty();
  private static final ReadFor ANY =
      new ReadFor(UNSAID, UNSAID, Optional.empty(), Optional.empty());

  private static CardGrid intervals(double... apart) {
    return new CardGrid(
        List.of(30.0),
        List.of(100.0, 200.0),
        UNSAID,
        Optional.of(new CardSteps(CardSteps.Step.INTERVAL, Arrays.stream(apart).boxed().toList())),
        Optional.empty());
  }

  /** Rows from the front, darkness and banding of each square. */
  private static CardScanFinding scan(double[][]... rows) {
    List<CardScanFinding.Square> squares = new ArrayList<>();
    for (int row = 0; row < rows.length; row++) {
      for (int column = 0; column < rows[row].length; column++) {
        double[] s = rows[row][column];
        squares.add(
            new CardScanFinding.Square(
                column,
                row,
                new Estimate(s[0], 0.01),
                s[1] < 0 ? UNSAID : OptionalDouble.of(s[1])));
      }
    }
    return new CardScanFinding(squares, false, Verdict.WITHIN, List.of(), List.of());
  }

  private static CardsFinding read(CardGrid grid, CardScanFinding scan, ReadFor what) {
    return SteppedCard.read(grid, scan, true, what, new ArrayList<>());
  }

  private static final CardScanFinding BANDED =
      scan(
          new double[][] {{0.6, 0.005}, {0.5, 0.02}, {0.4, 0.08}},
          new double[][] {{0.4, 0.005}, {0.3, 0.05}, {0.05, 0.0}});

  @Test
  void theFastestWithoutBandsIsChosen() {
    CardsFinding f = read(intervals(0.1, 0.15, 0.3), BANDED, ANY);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    // 200 mm/s 0.1 mm apart is more a second than 100 mm/s 0.15 mm apart.
    assertThat(f.fastest().orElseThrow().speedMmS()).isEqualTo(200);
    assertThat(f.fastest().orElseThrow().all().orElseThrow().intervalMm()).hasValue(0.1);
  }

  @Test
  void aWantedDarknessIsHeldToo() {
    ReadFor dark =
        new ReadFor(
            OptionalDouble.of(0.5), OptionalDouble.of(0.05), Optional.empty(), Optional.empty());
    CardsFinding f = read(intervals(0.1, 0.15, 0.3), BANDED, dark);
    assertThat(f.fastest().orElseThrow().all().orElseThrow().intervalMm()).hasValue(0.15);
    ReadFor black =
        new ReadFor(
            OptionalDouble.of(0.9), OptionalDouble.of(0.05), Optional.empty(), Optional.empty());
    CardsFinding none = read(intervals(0.1, 0.15, 0.3), BANDED, black);
    assertThat(none.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(none.fastest()).isEmpty();
  }

  @Test
  void whatWasNotSeenChoosesNothing() {
    CardScanFinding coarse =
        scan(new double[][] {{0.6, -1}, {0.5, 0.06}}, new double[][] {{0.4, -1}, {0.3, 0.05}});
    CardsFinding finer = read(intervals(0.1, 0.2), coarse, ANY);
    assertThat(finer.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(finer.fastest()).isEmpty();
    CardScanFinding allBands =
        scan(new double[][] {{0.6, 0.1}, {0.5, 0.2}}, new double[][] {{0.4, 0.1}, {0.3, 0.2}});
    assertThat(read(intervals(0.1, 0.2), allBands, ANY).fastest()).isEmpty();
    ReadFor power = new ReadFor(UNSAID, UNSAID, Optional.of(List.of()), Optional.empty());
    assertThat(read(intervals(0.1, 0.15, 0.3), BANDED, power).fastest()).isEmpty();
    // Typed figures have no bands: nothing is asserted of them.
    assertThat(
            SteppedCard.read(intervals(0.1, 0.15, 0.3), BANDED, false, ANY, new ArrayList<>())
                .fastest())
        .isEmpty();
  }

  @Test
  void byEyeTheFewestPassesThatCutAreChosen() {
    CardGrid grid =
        new CardGrid(
            List.of(60.0),
            List.of(10.0),
            UNSAID,
            Optional.of(new CardSteps(CardSteps.Step.PASSES, List.of(1.0, 2.0, 3.0, 4.0))),
            Optional.empty());
    CardGrades grades =
        new CardGrades(
            grid,
            List.of(List.of(Grade.TOO_LIGHT, Grade.GOOD, Grade.CUT_THROUGH, Grade.CUT_THROUGH)),
            Grade.CUT_THROUGH);
    assertThat(grades.fastest().orElseThrow().all().orElseThrow().passes()).hasValue(3);
  }

  @Test
  void frequenciesTakeTheSameTimeSoThatTheSteadiestIsOffered() {
    CardGrid grid =
        new CardGrid(
            List.of(60.0),
            List.of(500.0),
            OptionalDouble.of(0.03),
            Optional.of(
                new CardSteps(CardSteps.Step.FREQUENCY, List.of(20.0, 30.0, 45.0, 60.0, 80.0))),
            Optional.empty());
    List<Grade> row = List.of(Grade.GOOD, Grade.TOO_LIGHT, Grade.GOOD, Grade.GOOD, Grade.GOOD);
    CardGrades grades = new CardGrades(grid, List.of(row), Grade.GOOD);
    assertThat(grades.fastest().orElseThrow().all().orElseThrow().khz()).hasValue(60);
  }

  @Test
  void whatCutButScorchedItsBackHasACureOfItsOwn() {
    CardGrid grid = new CardGrid(List.of(60.0, 80.0), List.of(10.0), UNSAID);
    Stock stock =
        new Stock(
            StockKind.WOOD,
            UNSAID,
            Optional.empty(),
            Optional.empty(),
            Stock.Residue.NOT_LOOKED,
            Optional.empty());
    for (Grade scorched : List.of(Grade.BACK_SCORCHED, Grade.FRONT_SCORCHED)) {
      CardGrades grades =
          new CardGrades(grid, List.of(List.of(Grade.TOO_LIGHT, scorched)), Grade.CUT_THROUGH);
      CardsFinding f =
          CardsVisit.solve(
              new CardsReadings(new CardsTask.ByEye(grades), stock, List.of(), Optional.empty()),
              Help.NONE);
      assertThat(f.fastest()).isEmpty();
      assertThat(f.advice().getFirst().what().key())
          .isEqualTo(
              scorched == Grade.BACK_SCORCHED
                  ? "cards.eye.back-scorched"
                  : "cards.eye.front-scorched");
    }
  }
}
