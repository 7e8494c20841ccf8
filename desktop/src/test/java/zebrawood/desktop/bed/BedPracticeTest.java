package zebrawood.desktop.bed;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import org.junit.jupiter.api.Test;
import zebrawood.devices.bed.StandInBed;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Verdict;

class BedPracticeTest {
  private static BedModel model(Build build, BedSupport support) {
    return new BedModel(
        new Machine(
            "id", "Alder", build, new Source(SourceKind.FIBRE, 50, 1064), 600, 400, support, 0.3),
        LengthUnit.MILLIMETRE);
  }

  private static Verdict practise(BedModel model, StandInBed.Variant variant, long seed) {
    BedPractice practice = new BedPractice(model, Clock.systemUTC());
    practice.start(variant, seed);
    Verdict verdict = Verdict.ADJUST;
    for (int round = 0; round < 4 && verdict == Verdict.ADJUST; round++) {
      practice.readAll();
      BedOutcome.Found found = (BedOutcome.Found) model.outcomeProperty().get();
      verdict = found.finding().verdict();
      practice.obey(found);
    }
    return verdict;
  }

  @Test
  void screwsShimsAndColumnsAreAllLevelledByTheirAdvice() {
    for (Build build :
        new Build[] {Build.GANTRY_WITH_MIRRORS, Build.GANTRY_WITH_HEAD_MODULE, Build.GALVO}) {
      BedSupport support =
          build == Build.GANTRY_WITH_MIRRORS ? BedSupport.SCREWS : BedSupport.SHIMS;
      int within = 0;
      for (long seed = 0; seed < 40; seed++) {
        BedModel model = model(build, support);
        model.setGrid(3, 3);
        within += practise(model, StandInBed.Variant.TILTED, seed) == Verdict.WITHIN ? 1 : 0;
      }
      assertThat(within).as("%s", build).isGreaterThanOrEqualTo(36);
    }
  }

  @Test
  void aHiddenWarpIsFoundOut() {
    BedModel model = model(Build.GANTRY_WITH_MIRRORS, BedSupport.SCREWS);
    model.setGrid(3, 3);
    assertThat(practise(model, StandInBed.Variant.WARPED, 3)).isEqualTo(Verdict.STOP);
  }

  @Test
  void headHeightsArePractisedToo() {
    BedModel model = model(Build.GANTRY_WITH_MIRRORS, BedSupport.SCREWS);
    model.setGrid(3, 3);
    model.wayProperty().set(BedWay.HEAD_HEIGHT);
    assertThat(practise(model, StandInBed.Variant.TILTED, 5)).isEqualTo(Verdict.WITHIN);
    model.wayProperty().set(BedWay.FEEL);
    assertThat(practise(model, StandInBed.Variant.TILTED, 5))
        .as("feel has no figures, so the gap is practised")
        .isEqualTo(Verdict.WITHIN);
  }
}
