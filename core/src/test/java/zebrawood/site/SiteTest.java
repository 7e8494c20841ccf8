package zebrawood.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Figure;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.site.SiteReadings.Answer;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.SiteReadings.Proof;

class SiteTest {
  private static Machine machine(Build build) {
    return new Machine(
        "id",
        "Alder",
        build,
        new Source(SourceKind.DIODE, 20, 450),
        400,
        400,
        BedSupport.SHIMS,
        0.3);
  }

  private static final Machine ENCLOSED = machine(Build.GANTRY_WITH_MIRRORS);
  private static final Machine OPEN = machine(Build.GALVO);

  private static List<Proof> proofs(Machine machine, boolean fitted) {
    List<Proof> proofs = new ArrayList<>();
    for (Item item : Item.values()) {
      if (item.appliesTo(machine.build())) {
        proofs.add(
            new Proof(item, !fitted && item.mayBeMissing() ? Answer.NOT_FITTED : Answer.PASSED));
      }
    }
    return proofs;
  }

  private static SiteReadings read(OptionalDouble earthOhm, List<Proof> proofs) {
    return new SiteReadings(
        earthOhm, 0.5, Optional.empty(), Optional.empty(), Optional.empty(), proofs);
  }

  @Test
  void earthAndProofsAreEnoughToSwitchOn() {
    assertThat(Site.solve(ENCLOSED, read(OptionalDouble.of(0.1), proofs(ENCLOSED, true))).verdict())
        .isEqualTo(Verdict.WITHIN);
    assertThat(Site.solve(OPEN, read(OptionalDouble.of(0.1), proofs(OPEN, false))).verdict())
        .as("an open machine has neither lid nor key, but a door and a sign")
        .isEqualTo(Verdict.WITHIN);
    assertThat(Item.DOOR_AND_SIGN.appliesTo(OPEN.build())).isTrue();
    assertThat(Item.DOOR_AND_SIGN.appliesTo(ENCLOSED.build())).isFalse();
  }

  @Test
  void theEarthIsNeverWaived() {
    SiteFinding unread = Site.solve(ENCLOSED, read(OptionalDouble.empty(), proofs(ENCLOSED, true)));
    assertThat(unread.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(unread.advice().getFirst()).contains("never waived");
    SiteFinding bad = Site.solve(ENCLOSED, read(OptionalDouble.of(3), proofs(ENCLOSED, true)));
    assertThat(bad.verdict()).isEqualTo(Verdict.STOP);
    assertThat(bad.advice().getFirst()).contains("licensed electrician");
  }

  @Test
  void whatIsNotProvenIsAskedForInTheOrderOfTheWork() {
    SiteFinding f = Site.solve(ENCLOSED, read(OptionalDouble.of(0.1), List.of()));
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice().getFirst()).contains("emergency stop", "before anything is powered");
    SiteFinding failed =
        Site.solve(
            ENCLOSED, read(OptionalDouble.of(0.1), List.of(new Proof(Item.LID, Answer.FAILED))));
    assertThat(failed.verdict()).isEqualTo(Verdict.STOP);
    assertThat(failed.advice().getFirst()).contains("opening the lid");
  }

  @Test
  void onlyWhatAMachineCanLackIsNotFitted() {
    assertThatThrownBy(() ->
            read(OptionalDouble.empty(), List.of(new Proof(Item.EXTINGUISHER, Answer.NOT_FITTED))))
        .hasMessageContaining("it can be had anywhere");
    assertThatThrownBy(() -> read(OptionalDouble.of(-1), List.of()))
        .hasMessageContaining("earthOhm is -1");
  }

  @Test
  void everyPartReadIsJudgedAndShown() {
    SiteReadings r =
        new SiteReadings(
            OptionalDouble.of(0.1),
            0.5,
            Optional.of(new Circuit.Readings(230, 10, 0.8, List.of(new Circuit.Load("all", 2200)))),
            Optional.of(
                Duct.Readings.of(
                    List.of(new Duct.Piece(125, 3, 1, 1)),
                    300,
                    Optional.of(List.of(new Duct.FanPoint(0, 400), new Duct.FanPoint(700, 0))))),
            Optional.of(
                new Eyewear.Readings(
                    450, 20, 3, 10, List.of(new Eyewear.Filter(400, 540, 6)), Optional.empty())),
            proofs(ENCLOSED, true));
    SiteFinding f = Site.solve(ENCLOSED, r);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.advice()).hasSize(1);
    assertThat(f.advice().getFirst()).startsWith("Take 360 W off");
    assertThat(Site.figures(r, f))
        .extracting(Figure::id)
        .containsExactly("earth", "breaker", "exhaust", "density");
  }
}
