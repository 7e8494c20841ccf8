package zebrawood.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.withinPercentage;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Figure;
import zebrawood.lens.LensCompared.Beam;
import zebrawood.lens.LensVisit.Item;
import zebrawood.machine.Lens;
import zebrawood.measure.Verdict;
import zebrawood.station.Proof;

class LensVisitTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final List<Proof<Item>> ALL =
      Arrays.stream(Item.values()).map(i -> new Proof<>(i, true)).toList();

  private static RackLens lens(double focal) {
    return new RackLens(focal + " mm", focal, LensShape.MENISCUS, NONE, Optional.empty());
  }

  private static LensVisit.Rack rack(LensJob job, double... focals) {
    List<RackLens> all = Arrays.stream(focals).mapToObj(LensVisitTest::lens).toList();
    return new LensVisit.Rack(
        new Beam(10_600, 9, 1.3),
        all.getFirst(),
        all.subList(1, all.size()),
        job,
        OptionalDouble.of(700),
        Optional.empty());
  }

  private static LensVisitFinding solve(List<Proof<Item>> proofs, Optional<LensVisit.Rack> rack) {
    return LensVisit.solve(new LensVisitReadings(proofs, rack));
  }

  @Test
  void onlyAFittingThatWasLookedAtAllOverIsInOrder() {
    assertThat(solve(ALL, Optional.empty()).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(solve(List.of(), Optional.empty()).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(solve(ALL.subList(0, 3), Optional.empty()).verdict())
        .isEqualTo(Verdict.MEASURE_AGAIN);
    LensVisitFinding loose = solve(List.of(new Proof<>(Item.TUG, false)), Optional.empty());
    assertThat(loose.verdict()).isEqualTo(Verdict.STOP);
    assertThat(loose.advice(ENGLISH).getFirst()).contains("tugged");
    assertThat(
            LensVisit.figures(
                    new LensVisitReadings(List.of(new Proof<>(Item.TUG, false)), Optional.empty()),
                    loose)
                .getFirst()
                .overLimit())
        .isTrue();
    assertThat(loose.compared()).as("nothing is said of optics nobody told").isEmpty();
  }

  /** A usual beam stands there as such: its figures have names that no other station looks for. */
  @Test
  void whatIsAssumedIsSaidAndNeverTakenForRead() {
    LensJob none = new LensJob(NONE, NONE, NONE, NONE, NONE, NONE);
    LensVisit.Rack read = rack(none, 63.5);
    LensVisitReadings assumed =
        new LensVisitReadings(
            ALL,
            Optional.of(
                new LensVisit.Rack(
                    read.beam(),
                    read.on(),
                    List.of(),
                    none,
                    NONE,
                    Optional.of(List.of(LensVisit.Assumed.values())))));
    LensVisitFinding f = LensVisit.solve(assumed);
    assertThat(f.warnings(ENGLISH)).hasSize(3).allMatch(w -> w.contains("is assumed"));
    assertThat(LensVisit.figures(assumed, f))
        .extracting(Figure::id)
        .containsExactly("notSo", "spotAssumed", "depthAssumed");
    LensVisitReadings told = new LensVisitReadings(ALL, Optional.of(read));
    assertThat(LensVisit.figures(told, LensVisit.solve(told)))
        .extracting(Figure::id)
        .contains("depth")
        .doesNotContain("depthAssumed");
  }

  /** Engraved 110 x 110, 175 x 175, 300 x 300: lenses of 160, 254 and 420 mm are sold so. */
  @Test
  void aLensKnownByItsFieldIsAboutTheOneThatIsSoldForIt() {
    double[][] sold = {{110, 160}, {175, 254}, {300, 420}};
    for (double[] one : sold) {
      assertThat(Lens.focalForField(one[0])).isCloseTo(one[1], withinPercentage(3));
    }
    Lens lens = Lens.byField(Optional.empty(), 110, NONE);
    assertThat(lens.called()).isEqualTo("110 x 110");
    assertThat(ENGLISH.say(lens.said())).contains("not read");
  }

  @Test
  void theShortestLensThatSuitsTheJobIsTaken() {
    LensJob fine =
        new LensJob(NONE, OptionalDouble.of(0.12), OptionalDouble.of(300), NONE, NONE, NONE);
    LensVisitFinding f = solve(ALL, Optional.of(rack(fine, 101.6, 63.5, 50.8)));
    assertThat(f.best()).contains("50.8 mm");
    assertThat(f.on().orElseThrow().suits()).as("4 M2 lambda f / (pi D) is 0.198").isFalse();
    assertThat(f.advice(ENGLISH)).anyMatch(a -> a.contains("Take the lens 50.8 mm"));

    LensJob thick =
        new LensJob(OptionalDouble.of(12), NONE, NONE, OptionalDouble.of(0.1), NONE, NONE);
    LensVisitFinding cut = solve(ALL, Optional.of(rack(thick, 38.1, 101.6, 190)));
    assertThat(cut.best()).as("the long one leans least").contains("190.0 mm");
    assertThat(cut.on().orElseThrow().taperMm().getAsDouble()).isPositive();

    LensJob large = new LensJob(NONE, NONE, OptionalDouble.of(900), NONE, NONE, NONE);
    LensVisitFinding none = solve(ALL, Optional.of(rack(large, 50.8)));
    assertThat(none.best()).isEmpty();
    assertThat(none.warnings(ENGLISH)).anyMatch(w -> w.contains("field ends at 700 mm"));
  }

  /** 6 mm plywood through a lens of 51 mm: cut every day, in one to three passes. */
  @Test
  void passesComeFromATrial() {
    LensJob untried = new LensJob(OptionalDouble.of(6), NONE, NONE, NONE, NONE, NONE);
    LensVisitFinding open = solve(ALL, Optional.of(rack(untried, 50.8)));
    assertThat(open.passes()).isEmpty();
    assertThat(open.advice(ENGLISH)).anyMatch(a -> a.contains("one pass on scrap"));
    assertThat(open.on().orElseThrow().suits()).as("nobody said that a lean matters").isTrue();
    assertThat(passes(6, 2.1)).isEqualTo(4);
    assertThat(passes(6, 3.7)).isEqualTo(2);
    assertThat(passes(6, 6)).as("through").isEqualTo(1);
    assertThat(passes(6, 5.5)).as("nearly through").isEqualTo(2);
    LensJob paused =
        new LensJob(
            OptionalDouble.of(6), NONE, NONE, NONE, OptionalDouble.of(2.1), OptionalDouble.of(30));
    assertThat(solve(ALL, Optional.of(rack(paused, 50.8))).advice(ENGLISH))
        .anyMatch(a -> a.startsWith("Plan 4 passes, 1.50 mm each, with 30 s between two"));
    LensVisitFinding through = solve(ALL, Optional.of(rack(tried(6, 6), 50.8)));
    assertThat(through.advice(ENGLISH)).anyMatch(a -> a.contains("One pass goes through"));
    assertThat(through.passes().orElseThrow().clean()).isFalse();
  }

  private static LensJob tried(double thick, double deep) {
    return new LensJob(OptionalDouble.of(thick), NONE, NONE, NONE, OptionalDouble.of(deep), NONE);
  }

  private static int passes(double thick, double deep) {
    return solve(ALL, Optional.of(rack(tried(thick, deep), 50.8))).passes().orElseThrow().count();
  }

  @Test
  void twoLensesOfOneNameAreRefused() {
    LensJob any = new LensJob(NONE, NONE, NONE, NONE, NONE, NONE);
    assertThatThrownBy(() -> rack(any, 50.8, 50.8)).hasMessageContaining("others");
  }

  @Test
  void aberrationIsOnlyReckonedWhereItIsKnown() {
    assertThat(LensShape.known(10_600)).containsExactly(LensShape.values());
    assertThat(LensShape.known(1064)).containsExactly(LensShape.IDEAL);
  }
}
