package zebrawood.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import zebrawood.focus.FocusTask.Board;
import zebrawood.machine.Moves;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.station.Help;

class FocusTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final Board BOARD = new Board(200, 10, 12);

  private static FocusFinding solve(
      FocusTask task, OptionalDouble set, OptionalDouble depth, double defocus) {
    return Focus.solve(
        new FocusReadings(
            task,
            new References(
                FocusReference.NOZZLE_TIP, NONE, NONE, OptionalDouble.empty(), Optional.empty()),
            set,
            NONE,
            depth,
            Optional.empty(),
            Optional.empty(),
            defocus,
            NONE,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty()),
        Help.NONE);
  }

  private static RampReadings ramp(double focus, double waist, double rayleigh) {
    return new RampReadings(
        DoubleStream.iterate(0, a -> a <= 200, a -> a + 10)
            .mapToObj(a ->
                new RampReadings.Sample(
                    a, waist * Math.hypot(1, (12 - a * 0.05 - focus) / rayleigh)))
            .toList(),
        200,
        10,
        12,
        0.01);
  }

  @Test
  void nothingIsSaidOfASettingThatNobodyRead() {
    FocusFinding f = solve(new FocusTask.ByRamp(ramp(7, 0.15, 1.5)), NONE, NONE, 0);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.offMm()).isEmpty();
    assertThat(f.advice(ENGLISH).getFirst()).startsWith("Set the gap to 7.00 mm");
  }

  @Test
  void withinIsHalfTheDepthOfFocusOnEitherSide() {
    // Half the depth: root of 0.21 times 1.5 mm is 0.687 mm.
    FocusTask task = new FocusTask.ByRamp(ramp(7, 0.15, 1.5));
    assertThat(solve(task, OptionalDouble.of(7.68), NONE, 0).verdict()).isEqualTo(Verdict.WITHIN);
    FocusFinding above = solve(task, OptionalDouble.of(7.70), NONE, 0);
    assertThat(above.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(above.advice(ENGLISH).getFirst()).startsWith("Make the gap smaller by 0.70 mm");
    assertThat(solve(task, OptionalDouble.of(6.2), NONE, 0).advice(ENGLISH).getFirst())
        .startsWith("Make the gap larger by 0.80 mm");
    assertThat(solve(task, OptionalDouble.of(9), NONE, 2).verdict())
        .as("a defocus that is meant")
        .isEqualTo(Verdict.WITHIN);
  }

  @Test
  void theQuickWaysCarryHowSureTheyAre() {
    FocusEstimate pencilled = new FocusTask.ByPencil(100, 8, BOARD).locate(Help.NONE);
    assertThat(pencilled.gapMm().orElseThrow().value()).isEqualTo(7);
    // 8 mm to either side are two deviations along the board; it rises by a twentieth.
    assertThat(pencilled.gapMm().orElseThrow().uncertainty()).isCloseTo(0.2, within(1e-9));
    FocusEstimate equal = new FocusTask.ByEqualWidths(60, 140, 8, BOARD).locate(Help.NONE);
    assertThat(equal.gapMm().orElseThrow().value()).isEqualTo(7);
    assertThat(equal.gapMm().orElseThrow().uncertainty())
        .isCloseTo(0.2 / Math.sqrt(2), within(1e-9));
    FocusEstimate unchecked = new FocusTask.ByGauge(7, NONE).locate(Help.NONE);
    assertThat(unchecked.warnings()).hasSize(1);
    assertThat(unchecked.gapMm().orElseThrow().uncertainty()).isCloseTo(0.2887, within(1e-4));
  }

  @Test
  void anOblongSpotHasTwoFociAndTheBestBetweenThem() {
    FocusTask axes = new FocusTask.ByAxes(ramp(6.6, 0.1, 1), ramp(7.4, 0.2, 1));
    FocusEstimate f = axes.locate(Help.NONE);
    assertThat(f.axes().get(0).value()).isCloseTo(6.6, within(1e-5));
    assertThat(f.axes().get(1).value()).isCloseTo(7.4, within(1e-5));
    // By a search over all gaps of the sum of both squared widths.
    double best =
        DoubleStream.iterate(6, g -> g < 8, g -> g + 1e-4)
            .boxed()
            .min(
                java.util.Comparator.comparingDouble(
                    g -> 0.01 * (1 + Math.pow(g - 6.6, 2)) + 0.04 * (1 + Math.pow(g - 7.4, 2))))
            .orElseThrow();
    assertThat(f.gapMm().orElseThrow().value()).isCloseTo(best, within(2e-4));
  }

  @Test
  void anAutofocusIsJudgedByItsOffsetAndItsScatter() {
    List<Double> chosen = List.of(6.6, 6.62, 6.58, 6.6);
    FocusTask task = new FocusTask.ByProbe(chosen, 0.01, 7, 0.02, OptionalDouble.of(0));
    FocusFinding f = solve(task, NONE, OptionalDouble.of(0.6), 0);
    assertThat(f.located().probe().orElseThrow().offsetMm().value()).isCloseTo(0.4, within(1e-9));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.advice(ENGLISH).getFirst()).startsWith("Set the autofocus offset to 0.40 mm");
    assertThat(
            solve(
                    new FocusTask.ByProbe(chosen, 0.01, 7, 0.02, OptionalDouble.of(0.3)),
                    NONE,
                    OptionalDouble.of(0.6),
                    0)
                .verdict())
        .isEqualTo(Verdict.WITHIN);
    FocusTask wild =
        new FocusTask.ByProbe(List.of(6.0, 7.2, 6.5), 0.01, 7, 0.02, OptionalDouble.of(0.4));
    assertThat(solve(wild, NONE, OptionalDouble.of(0.6), 0).advice(ENGLISH).getFirst())
        .startsWith("Clean the probe");
  }

  @Test
  void aGapIsConvertedOnlyBetweenReferencesThatWereMeasured() {
    References known =
        new References(
            FocusReference.NOZZLE_TIP,
            OptionalDouble.of(42),
            NONE,
            OptionalDouble.empty(),
            Optional.empty());
    assertThat(known.gapMm(7, FocusReference.LENS_RING)).hasValue(49);
    assertThat(known.gapMm(7, FocusReference.NOZZLE_TIP)).hasValue(7);
    assertThat(known.gapMm(7, FocusReference.HEAD_LINE)).isEmpty();
    References fromRing =
        new References(
            FocusReference.LENS_RING,
            OptionalDouble.of(42),
            OptionalDouble.of(10),
            OptionalDouble.empty(),
            Optional.empty());
    assertThat(fromRing.gapMm(49, FocusReference.HEAD_LINE)).hasValue(17);
  }

  /** The maker's 40 is from the ring, 32.5 above a tip whose best gap is 7.2. */
  @Test
  void aMakersFigureIsFromThePlaceWhereItFits() {
    References measured =
        new References(
            FocusReference.NOZZLE_TIP,
            OptionalDouble.of(32.5),
            NONE,
            OptionalDouble.empty(),
            Optional.empty());
    Estimate best = new Estimate(7.2, 0.1);
    assertThat(measured.meantBy(40, best)).containsExactly(FocusReference.LENS_RING);
    assertThat(measured.meantBy(25, best)).isEmpty();
    assertThat(measured.notMeasured())
        .containsExactly(FocusReference.HEAD_LINE, FocusReference.HEAD_SHEET);
    assertThat(measured.meantBy(42, new Estimate(7.2, 1.5)))
        .containsExactly(FocusReference.LENS_RING);
  }

  /**
   * A galvo head has no nozzle: its sheet hangs 25 below the ring, and the maker's 180 is from
   * there.
   */
  @Test
  void onAHeadWithoutANozzleEveryPlaceIsTiedToTheRing() {
    References galvo =
        new References(
            FocusReference.LENS_RING, NONE, NONE, OptionalDouble.of(-25), Optional.of(true));
    assertThat(galvo.places()).doesNotContain(FocusReference.NOZZLE_TIP);
    Estimate best = new Estimate(205.3, 0.2);
    assertThat(galvo.meantBy(180, best)).containsExactly(FocusReference.HEAD_SHEET);
    assertThat(galvo.notMeasured()).containsExactly(FocusReference.HEAD_LINE);
  }

  private static FocusFinding ofRing(Optional<Focus.Held> held) {
    return Focus.solve(
        new FocusReadings(
            new FocusTask.ByGauge(7, OptionalDouble.of(0.1)),
            new References(FocusReference.NOZZLE_TIP, NONE, NONE, NONE, Optional.empty()),
            OptionalDouble.of(7),
            OptionalDouble.of(0.1),
            OptionalDouble.of(0.5),
            Optional.empty(),
            Optional.empty(),
            0,
            NONE,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            held),
        Help.NONE);
  }

  @Test
  void aRingThatTurnsIsToBeLockedAndOneThatNobodyTriedIsSaid() {
    assertThat(ofRing(Optional.of(Focus.Held.HELD)))
        .isEqualTo(ofRing(Optional.empty()))
        .returns(Verdict.WITHIN, FocusFinding::verdict);
    assertThat(ofRing(Optional.of(Focus.Held.TURNS)).verdict()).isEqualTo(Verdict.ADJUST);
    FocusFinding notTried = ofRing(Optional.of(Focus.Held.NOT_TRIED));
    assertThat(notTried.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(notTried.warnings(ENGLISH)).anyMatch(w -> w.contains("Nobody tried"));
  }

  /** A gap that is too small is made larger by what moves, in its own direction. */
  @Test
  void whatMovesIsCalledByItsName() {
    for (Moves moves : Moves.values()) {
      FocusFinding f =
          Focus.solve(
              new FocusReadings(
                  new FocusTask.ByGauge(7, OptionalDouble.of(0.1)),
                  new References(
                      FocusReference.NOZZLE_TIP,
                      NONE,
                      NONE,
                      OptionalDouble.empty(),
                      Optional.empty()),
                  OptionalDouble.of(5),
                  OptionalDouble.of(0.1),
                  OptionalDouble.of(0.5),
                  Optional.empty(),
                  Optional.empty(),
                  0,
                  NONE,
                  Optional.empty(),
                  Optional.of(moves),
                  Optional.empty(),
                  Optional.empty()),
              Help.NONE);
      assertThat(f.advice(ENGLISH).getFirst())
          .contains("2.00 mm")
          .matches(
              switch (moves) {
                case TABLE -> "Lower the table .*";
                case HEAD -> "Raise the head .*";
                case MODULE -> ".*slide it up .*";
                case COLUMN -> ".*crank it up .*";
                case NOTHING -> "Take .* out from under .*";
              });
    }
  }

  @Test
  void whatIsOnTheTableMovesItDownByWhatItGrew() {
    StackUp then = new StackUp(0, 22, 0, 3);
    assertThat(then.tableUpMm(new StackUp(0, 22, 0, 8), 0)).isEqualTo(-5);
    assertThat(then.tableUpMm(new StackUp(0, 0, 0, 3), 0)).isEqualTo(22);
    assertThat(then.tableUpMm(then, 2)).isEqualTo(-2);
    assertThatThrownBy(() -> new StackUp(-1, Double.NaN, 0, 0))
        .hasMessageContaining("riserMm")
        .hasMessageContaining("honeycombMm");
  }

  @Test
  void aDefocusThatStaysMovesNothing() {
    StackUp stack = new StackUp(0, 22, 0, 3);
    FocusReadings left =
        new FocusReadings(
            new FocusTask.ByGauge(6.5, OptionalDouble.of(0.05)),
            new References(
                FocusReference.NOZZLE_TIP, NONE, NONE, OptionalDouble.empty(), Optional.empty()),
            OptionalDouble.of(8.5),
            NONE,
            OptionalDouble.of(1),
            Optional.of(stack),
            Optional.of(stack),
            2,
            OptionalDouble.of(2),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    assertThat(left.tableUpMm()).hasValue(0);
    assertThat(Focus.solve(left, Help.NONE).verdict()).isEqualTo(Verdict.WITHIN);
  }

  @Test
  void aPlannedRampCoversTheDoubtAndKeepsClear() {
    RampPlan plan = RampPlan.of(7, 2, 1.5, 200, 1);
    assertThat(plan.gapAtStartMm()).isEqualTo(12);
    assertThat(plan.riseMm()).isEqualTo(10);
    assertThat(plan.tooNear()).isFalse();
    RampPlan near = RampPlan.of(7, 2, 1.5, 200, 4);
    assertThat(near.gapAtStartMm() - near.riseMm()).isEqualTo(4);
    assertThat(near.tooNear()).isTrue();
  }

  @Test
  void aCuttingHeadKeepsNoFocusWhoseSensorDoesNotFollow() {
    assertThat(bySensor(new FocusTask.ByGauge(7, OptionalDouble.of(0.05))))
        .containsExactly(Verdict.WITHIN, Verdict.MEASURE_AGAIN, Verdict.MEASURE_AGAIN);
    assertThat(
            bySensor(
                new FocusTask.ByProbe(
                    List.of(7.0, 7.01, 6.99), 0.01, 7, 0.02, OptionalDouble.of(0))))
        .as("by its autofocus too")
        .containsExactly(Verdict.WITHIN, Verdict.MEASURE_AGAIN, Verdict.MEASURE_AGAIN);
  }

  /** With the sensor proven, not so, and not tried. */
  private static List<Verdict> bySensor(FocusTask task) {
    var recipe =
        new CuttingHead.Recipe(
            CuttingHead.Gas.NITROGEN, NONE, CuttingHead.Nozzle.DOUBLE, NONE, NONE, NONE, NONE);
    return java.util.stream.Stream.of(
            Optional.of(true), Optional.of(false), Optional.<Boolean>empty())
        .map(follows ->
            Focus.solve(
                    new FocusReadings(
                        task,
                        new References(
                            FocusReference.NOZZLE_TIP,
                            NONE,
                            NONE,
                            OptionalDouble.empty(),
                            Optional.empty()),
                        OptionalDouble.of(7),
                        NONE,
                        OptionalDouble.of(1),
                        Optional.empty(),
                        Optional.empty(),
                        0,
                        NONE,
                        Optional.of(new CuttingHead(follows, recipe, Optional.empty())),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()),
                    Help.NONE)
                .verdict())
        .toList();
  }

  @Test
  void aManualHeadStopsWhereverTheFocusChanges() {
    var stages =
        List.of(
            new CuttingHead.Stage(12, 4, 1.5, 1),
            new CuttingHead.Stage(8, 4, 2, 1),
            new CuttingHead.Stage(4, -2, 2.5, 0.8));
    var piercing = new CuttingHead.Piercing(stages, OptionalDouble.of(-3), 2, 30);
    assertThat(piercing.stops()).as("after the second and after the third stage").isEqualTo(2);
    assertThat(piercing.minutesWithMotor()).isEqualTo(3);
    assertThat(piercing.minutesByHand()).isEqualTo(7);
    assertThat(new CuttingHead.Piercing(stages, NONE, 2, 30).stops()).isEqualTo(1);
    assertThatThrownBy(() -> new CuttingHead.Piercing(List.of(), NONE, 2, 30))
        .hasMessageContaining("stages");
  }

  /** The eye finds the thinnest to 5 mm of a 20 to 1 slope: 0.25 mm, where 0.22 is allowed. */
  @Test
  void nothingIsWithinByLessThanIsKnown() {
    var byEye = new FocusTask.ByPencil(100, 5, BOARD);
    FocusFinding open = solve(byEye, OptionalDouble.of(7), OptionalDouble.of(0.44), 0);
    assertThat(open.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(open.advice(ENGLISH).getFirst()).contains("Read widths along the ramp");
    assertThat(solve(byEye, OptionalDouble.of(9), OptionalDouble.of(0.44), 0).verdict())
        .as("2 mm off is off, however it was read")
        .isEqualTo(Verdict.ADJUST);
    assertThat(solve(byEye, OptionalDouble.of(7), OptionalDouble.of(0.6), 0).verdict())
        .isEqualTo(Verdict.WITHIN);
    var unchecked = new FocusTask.ByGauge(7, NONE);
    assertThat(solve(unchecked, OptionalDouble.of(7), OptionalDouble.of(0.44), 0).advice(ENGLISH))
        .anyMatch(a -> a.contains("Measure the gauge itself"));
  }

  @Test
  void aCoarselyReadGapDecidesNothing() {
    FocusReadings coarse =
        new FocusReadings(
            new FocusTask.ByGauge(7, OptionalDouble.of(0.05)),
            new References(
                FocusReference.NOZZLE_TIP, NONE, NONE, OptionalDouble.empty(), Optional.empty()),
            OptionalDouble.of(7),
            OptionalDouble.of(1),
            OptionalDouble.of(0.6),
            Optional.empty(),
            Optional.empty(),
            0,
            NONE,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    FocusFinding f = Focus.solve(coarse, Help.NONE);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice(ENGLISH).getFirst()).contains("Read the gap it is set to more finely");
  }

  /** A column that shows 33 to 36 where the gap is some 8 mm. */
  @Test
  void aHeightOnAScaleIsNoGap() {
    List<LadderReadings.Rung> rungs =
        java.util.stream.IntStream.rangeClosed(0, 12)
            .mapToObj(i -> {
              double height = 31 + 0.5 * i;
              double width = 0.2 * Math.hypot(1, (height - 34) / 1.5);
              return new LadderReadings.Rung(
                  height, OptionalDouble.of(Math.round(50 * width) / 50.0), NONE);
            })
            .toList();
    LadderReadings read = new LadderReadings(rungs, 0.02);
    FocusFinding open = solve(ladder(read, NONE), OptionalDouble.of(8), OptionalDouble.of(1), 0);
    assertThat(open.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(open.offMm()).isEmpty();
    assertThat(open.located().heightMm().orElseThrow().value()).isCloseTo(34, within(0.2));
    assertThat(open.advice(ENGLISH).getFirst()).startsWith("Go to 34").contains("on that scale");
    FocusFinding tied =
        solve(ladder(read, OptionalDouble.of(8)), OptionalDouble.of(8.05), OptionalDouble.of(1), 0);
    assertThat(tied.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(tied.offMm().orElseThrow()).isCloseTo(0.05, within(1e-9));
  }

  private static FocusTask ladder(LadderReadings read, OptionalDouble gapAtBest) {
    return new FocusTask.ByLadder(read, Optional.of(new FocusTask.HeightScale(gapAtBest, 0.1)));
  }

  @Test
  void whileItMarksTheMiddleOfBothFadesIsTheFocus() {
    FocusFinding fades =
        solve(
            new FocusTask.ByLive(NONE, OptionalDouble.of(5), OptionalDouble.of(9), 0.4),
            NONE,
            NONE,
            0);
    assertThat(fades.located().gapMm().orElseThrow().value()).isEqualTo(7);
    assertThat(fades.located().gapMm().orElseThrow().uncertainty())
        .isCloseTo(0.1414, within(0.001));
    FocusFinding apart =
        solve(
            new FocusTask.ByLive(
                OptionalDouble.of(8), OptionalDouble.of(5), OptionalDouble.of(9), 0.4),
            NONE,
            NONE,
            0);
    assertThat(apart.warnings()).extracting(w -> w.key()).contains("focus.live.apart");
    assertThat(apart.located().gapMm().orElseThrow().uncertainty()).isEqualTo(0.5);
    assertThatThrownBy(() -> new FocusTask.ByLive(NONE, OptionalDouble.of(5), NONE, 0.4))
        .hasMessageContaining("bestMm");
  }

  private static FocusFinding byGauge(FocusTask.Felt felt, OptionalDouble depth) {
    return solve(
        new FocusTask.ByGauge(7, OptionalDouble.of(0.1), Optional.of(felt)), NONE, depth, 0);
  }

  /** Slides and touches, does not go in, leaves a gap: no figure is read, and none is made up. */
  @Test
  void aGaugeIsFelt() {
    assertThat(byGauge(FocusTask.Felt.TOUCHES, OptionalDouble.of(1)).verdict())
        .isEqualTo(Verdict.WITHIN);
    assertThat(byGauge(FocusTask.Felt.TOUCHES, OptionalDouble.of(0.3)).verdict())
        .as("a touch is no finer than a sheet of paper")
        .isEqualTo(Verdict.MEASURE_AGAIN);
    FocusFinding tight = byGauge(FocusTask.Felt.TIGHT, NONE);
    assertThat(tight.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(tight.advice(ENGLISH)).singleElement().asString().startsWith("Make the gap larger");
    assertThat(byGauge(FocusTask.Felt.LEAVES_GAP, NONE).advice(ENGLISH).getFirst())
        .startsWith("Make the gap smaller");
    assertThat(tight.offMm()).isEmpty();
    FocusFinding read =
        solve(
            new FocusTask.ByGauge(7, OptionalDouble.of(0.1), Optional.of(FocusTask.Felt.TIGHT)),
            OptionalDouble.of(7.05),
            OptionalDouble.of(1),
            0);
    assertThat(read.verdict()).as("a gap that was read goes before").isEqualTo(Verdict.WITHIN);
  }

  @Test
  void aPinOrButtonIsJudgedByItsMark() {
    assertThat(solve(new FocusTask.ByOwn(true), NONE, NONE, 0).verdict()).isEqualTo(Verdict.WITHIN);
    FocusFinding blurred = solve(new FocusTask.ByOwn(false), NONE, NONE, 0);
    assertThat(blurred.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(blurred.located().gapMm()).as("nobody read a height").isEmpty();
  }

  private static FocusFinding leaning(double right, double rear, OptionalDouble most) {
    return Focus.solve(
        new FocusReadings(
            new FocusTask.ByOwn(true),
            new References(
                FocusReference.NOZZLE_TIP, NONE, NONE, OptionalDouble.empty(), Optional.empty()),
            NONE,
            NONE,
            NONE,
            Optional.empty(),
            Optional.empty(),
            0,
            NONE,
            Optional.empty(),
            Optional.empty(),
            Optional.of(new ModulePlumb.Readings(right, rear, 50, 0.2, most)),
            Optional.empty()),
        Help.NONE);
  }

  /** 1 mm over 50 is 20 mrad; two readings of 0.2 mm leave 1.6 mrad. */
  @Test
  void aModuleThatLeansIsToldByItsMarks() {
    FocusFinding f = leaning(1, 0, OptionalDouble.of(10));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.plumb().orElseThrow().leanMrad()).isCloseTo(20, within(1e-9));
    assertThat(f.plumb().orElseThrow().rightMrad().uncertainty())
        .isCloseTo(1000 * 0.2 / Math.sqrt(6) / 50, within(1e-9));
    assertThat(f.advice(ENGLISH)).anyMatch(a -> a.contains("right") && !a.contains("rear"));
    assertThat(leaning(0.3, 0.3, OptionalDouble.of(10)).verdict())
        .as("8.5 mrad, and 3.3 of doubt")
        .isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(leaning(0.1, 0, OptionalDouble.of(10)).verdict()).isEqualTo(Verdict.WITHIN);
    FocusFinding told = leaning(1, 0, NONE);
    assertThat(told.verdict()).as("nobody said what matters").isEqualTo(Verdict.WITHIN);
    assertThat(told.warnings(ENGLISH)).anyMatch(w -> w.contains("20.0 mrad"));
  }
}
