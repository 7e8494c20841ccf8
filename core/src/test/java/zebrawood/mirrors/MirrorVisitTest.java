package zebrawood.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.machine.Train;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorVisitReadings.ScrewsBy;

class MirrorVisitTest {
  private static final Mount MOUNT =
      new Mount(new Screw(50, 0.5, Towards.RIGHT), new Screw(50, 0.5, Towards.UP));

  /**
   * Marks of a train whose first mirror adds this angle to the right, and nothing else is amiss.
   */
  private static MirrorReadings train(double mrad, Optional<Train> train) {
    List<Mark> marks = new ArrayList<>();
    for (double p1 : new double[] {200, 700}) {
      marks.add(new Mark(At.MIRROR_2, p1, OptionalDouble.empty(), mrad * p1 / 1000, 0));
      for (double p2 : new double[] {150, 850}) {
        marks.add(new Mark(At.HEAD, p1 + p2, OptionalDouble.of(p2), -mrad * (p1 + p2) / 1000, 0));
      }
    }
    return new MirrorReadings(0.1, 16, 0.8, Map.of("1", MOUNT, "2", MOUNT), marks, train);
  }

  private static MirrorVisitReadings visit(
      MirrorReadings full,
      OptionalDouble faceMm,
      Optional<QuickCheck.Spot> tube,
      ScrewsBy by,
      List<ScrewTrial> trials,
      Optional<MirrorReadings> before) {
    return new MirrorVisitReadings(
        Optional.of(full),
        Optional.empty(),
        OptionalDouble.of(7),
        faceMm,
        tube,
        by,
        trials,
        before,
        Optional.empty(),
        Optional.empty(),
        "4 mA",
        Optional.empty());
  }

  private static MirrorVisitFinding solve(
      double mrad, ScrewsBy by, List<ScrewTrial> trials, Optional<MirrorReadings> before) {
    return visit(
            train(mrad, Optional.empty()),
            OptionalDouble.empty(),
            Optional.empty(),
            by,
            trials,
            before)
        .solve();
  }

  @Test
  void aScrewIsTriedBeforeItIsTurnedAndThenTurnedByWhatItDid() {
    MirrorVisitFinding untried = solve(4, ScrewsBy.TRIAL, List.of(), Optional.empty());
    assertThat(untried.untried()).containsExactly(new MountScrew(1, true));
    assertThat(untried.advice(ENGLISH)).noneMatch(a -> a.startsWith("Turn"));
    // A quarter turn clockwise took the mark 3 mm to the left over 0.6 m: 20 mrad a turn.
    ScrewTrial trial = new ScrewTrial(1, true, 0.25, -3, 0, 600);
    MirrorVisitFinding tried = solve(4, ScrewsBy.TRIAL, List.of(trial), Optional.empty());
    assertThat(tried.untried()).isEmpty();
    var turn = tried.alignment().orElseThrow().mirrors().get("1").sideways();
    assertThat(turn.turns().value()).isCloseTo(4 / 20.0, within(1e-9));
    assertThat(turn.direction()).isEqualTo(TurnDirection.CLOCKWISE);
    assertThat(solve(4, ScrewsBy.DRAWING, List.of(), Optional.empty()).advice(ENGLISH).getFirst())
        .startsWith("Turn the sideways screw of mirror 1 counter-clockwise by 0.20");
  }

  @Test
  void aTrialThatContradictsItselfIsToldAndTriedAgain() {
    ScrewTrial odd = new ScrewTrial(1, true, 0.25, 0, 3, 600);
    MirrorVisitFinding found = solve(4, ScrewsBy.TRIAL, List.of(odd), Optional.empty());
    assertThat(found.warnings(ENGLISH)).anyMatch(w -> w.startsWith("Look which screw that was"));
    assertThat(found.untried()).containsExactly(new MountScrew(1, true));
  }

  @Test
  void whatTheLastTurnsDidIsComparedWithWhatWasAsked() {
    Optional<MirrorReadings> before = Optional.of(train(4, Optional.empty()));
    assertThat(solve(0, ScrewsBy.DRAWING, List.of(), before).warnings(ENGLISH)).isEmpty();
    assertThat(solve(3, ScrewsBy.DRAWING, List.of(), before).warnings(ENGLISH))
        .anyMatch(w -> w.contains("took off 1.0") && w.contains("has play"));
    assertThat(solve(8, ScrewsBy.DRAWING, List.of(), before).warnings(ENGLISH))
        .anyMatch(w -> w.contains("took off -4.0") && w.contains("turned the other way"));
    assertThat(solve(-4, ScrewsBy.DRAWING, List.of(), before).warnings(ENGLISH))
        .anyMatch(w -> w.contains("took off 8.0") && w.contains("more a turn than was thought"));
  }

  /** Against the opening's own figures, with the face as wide as the beam sees it. */
  @Test
  void whatIsLostAtEachRimFollowsFromItsFoldAndTheFurthestMark() {
    Train folds = new Train(List.of(60.0, 30.0));
    MirrorVisitFinding found =
        visit(
                train(4, Optional.of(folds)),
                OptionalDouble.of(20),
                Optional.of(new QuickCheck.Spot(3, -4)),
                ScrewsBy.DRAWING,
                List.of(),
                Optional.empty())
            .solve();
    assertThat(found.lost())
        .extracting(l -> ENGLISH.say(l.where()))
        .containsExactly("mirror 1", "mirror 2", "the head");
    assertThat(found.lost())
        .extracting(Lost::share)
        .containsExactly(
            Aperture.lostShare(20 * Math.cos(Math.PI / 3), 7, 5),
            Aperture.lostShare(20 * Math.cos(Math.PI / 6), 7, 4 * 0.7),
            Aperture.lostShare(16, 7, 4 * 1.55));
    assertThat(found.warnings(ENGLISH))
        .anyMatch(w -> w.startsWith("The rim of mirror 1 would scorch"));
    assertThat(found.advice(ENGLISH).getFirst())
        .as("5 mm off is no more than a quarter of the face")
        .doesNotStartWith("Move the tube");
  }

  @Test
  void aVisitIsOfOneKindAndSizesAreSizes() {
    assertThatThrownBy(() ->
            new MirrorVisitReadings(
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.of(0),
                OptionalDouble.of(Double.NaN),
                Optional.empty(),
                ScrewsBy.TRIAL,
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                "",
                Optional.empty()))
        .hasMessageContaining("beamMm is 0")
        .hasMessageContaining("faceMm is not a number")
        .hasMessageContaining("the full set or a quick check");
    MirrorVisitReadings quick =
        new MirrorVisitReadings(
            Optional.empty(),
            Optional.of(
                new QuickCheck(
                    0.1, 0.5, true, List.of(new QuickCheck.Spot(0, 0), new QuickCheck.Spot(1, 0)))),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            ScrewsBy.TRIAL,
            List.of(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            "",
            Optional.empty());
    assertThat(quick.solve().verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(quick.figures(quick.solve())).isEmpty();
  }
}
