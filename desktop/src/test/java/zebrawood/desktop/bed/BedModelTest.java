package zebrawood.desktop.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.LevelFinding;
import zebrawood.bed.ShimFinding;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Verdict;

class BedModelTest {
  private static Machine machine(Build build, BedSupport support) {
    return new Machine(
        "id", "Alder", build, new Source(SourceKind.DIODE, 20, 450), 600, 400, support, 0.3);
  }

  private final BedModel model =
      new BedModel(machine(Build.GANTRY_WITH_MIRRORS, BedSupport.SCREWS), LengthUnit.MILLIMETRE);

  private static void read(BedModel model, String... gaps) {
    for (int i = 0; i < gaps.length; i++) {
      model.placesProperty().get().get(i).reading().textProperty().set(gaps[i]);
    }
  }

  private static BedOutcome.Found found(BedModel model) {
    assertThat(model.outcomeProperty().get()).isInstanceOf(BedOutcome.Found.class);
    return (BedOutcome.Found) model.outcomeProperty().get();
  }

  private LevelFinding level() {
    return (LevelFinding) found(model).finding();
  }

  private String refusal() {
    assertThat(model.outcomeProperty().get()).isInstanceOf(BedOutcome.Refused.class);
    return ((BedOutcome.Refused) model.outcomeProperty().get()).because();
  }

  @Test
  void adviceFollowsEveryKeystroke() {
    assertThat(model.outcomeProperty().get()).isEqualTo(new BedOutcome.Waiting(3));
    read(model, "6", "6.6");
    assertThat(model.outcomeProperty().get()).isEqualTo(new BedOutcome.Waiting(1));
    read(model, "6", "6.6", "6.3");
    assertThat(found(model).complete()).isFalse();
    read(model, "6", "6.6", "6.3", "6.9");
    assertThat(found(model).complete()).isTrue();
    assertThat(level().verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(level().slopeXMmPerM()).isNegative();
  }

  @Test
  void theThreeWaysToReadAgreeOnOneBed() {
    read(model, "6.0", "6.6", "6.3", "6.9");
    LevelFinding byGap = level();
    model.wayProperty().set(BedWay.HEAD_HEIGHT);
    read(model, "44.0", "43.4", "43.7", "43.1");
    LevelFinding byHead = level();
    model.wayProperty().set(BedWay.BED_HEIGHT);
    read(model, "-12.0", "-11.4", "-11.7", "-11.1");
    LevelFinding byBed = level();
    for (LevelFinding other : List.of(byHead, byBed)) {
      assertThat(other.slopeXMmPerM()).isCloseTo(byGap.slopeXMmPerM(), within(1e-9));
      assertThat(other.slopeYMmPerM()).isCloseTo(byGap.slopeYMmPerM(), within(1e-9));
      assertThat(other.peakToValleyNowMm()).isCloseTo(0.9, within(1e-9));
    }
  }

  @Test
  void aGridOfAnySizeKeepsTheCornersThatWereRead() {
    read(model, "6.0", "6.6", "6.3", "6.9");
    model.setGrid(5, 5);
    assertThat(model.placesProperty().get()).hasSize(25);
    assertThat(model.placesProperty().get().get(0).reading().text()).isEqualTo("6.0");
    assertThat(model.placesProperty().get().get(24).reading().text()).isEqualTo("6.9");
    assertThat(model.placesProperty().get().get(12).name()).isEqualTo("column 3, row 3");
    assertThat(found(model).complete()).isFalse();
  }

  @Test
  void whatIsTypedIsWhatIsFilledAgain() {
    model.setGrid(3, 2);
    read(model, "6", "1/4 in", "6,3", "", "six", "6.4");
    model.wayProperty().set(BedWay.BED_HEIGHT);
    model.supportsProperty().get().get(1).idProperty().set("the loose one");
    model.keepProperty().set(Optional.of("the loose one"));
    model.addSupport();
    Map<String, String> typed = model.typed();
    BedModel other =
        new BedModel(machine(Build.GANTRY_WITH_MIRRORS, BedSupport.SCREWS), LengthUnit.MILLIMETRE);
    other.type(typed);
    assertThat(other.typed()).isEqualTo(typed);
    assertThat(other.outcomeProperty().get()).isEqualTo(model.outcomeProperty().get());
    Map<String, String> partly = new HashMap<>(typed);
    partly.keySet().removeIf(k -> k.startsWith("support"));
    other.type(partly);
    assertThat(other.supportsProperty().get()).hasSize(5);
  }

  @Test
  void everyBadFieldStopsRecordingWithASentence() {
    read(model, "6", "6.6", "6.3", "-1");
    assertThat(refusal()).startsWith("Rear right: -1 mm is out of range. Accepted is from 0 mm");
    read(model, "6", "6.6", "6.3", "6.9");
    model.columnsProperty().get().get(0).textProperty().set("");
    assertThat(refusal()).startsWith("Place 1 x is empty");
    model.columnsProperty().get().get(0).textProperty().set("588");
    model.columnsProperty().get().get(1).textProperty().set("588");
    assertThat(refusal()).contains("in one line");
    model.columnsProperty().get().get(0).textProperty().set("12");
    Support first = model.supportsProperty().get().getFirst();
    first.pitch().textProperty().set("0");
    assertThat(refusal()).contains("pitch");
    first.pitch().textProperty().set("0.7");
    first.idProperty().set("front right");
    assertThat(refusal()).contains("twice");
    first.idProperty().set("");
    assertThat(refusal()).contains("empty");
    first.idProperty().set("a");
    assertThat(model.outcomeProperty().get()).isInstanceOf(BedOutcome.Found.class);
  }

  @Test
  void threeScrewsMustStay() {
    model.removeSupport(model.supportsProperty().get().getFirst());
    model.removeSupport(model.supportsProperty().get().getFirst());
    assertThat(model.supportsProperty().get()).hasSize(3);
    read(model, "6", "6.6", "6.3", "6.9");
    assertThat(((BedFinding) level()).screws()).hasSize(3);
  }

  @Test
  void aBedWithoutScrewsGetsShimsInStacksOfWhatIsAtHand() {
    BedModel shims =
        new BedModel(
            machine(Build.GANTRY_WITH_HEAD_MODULE, BedSupport.SHIMS), LengthUnit.MILLIMETRE);
    read(shims, "20", "20.8", "20", "20.8");
    assertThat(found(shims).finding()).isInstanceOf(ShimFinding.class);
    assertThat(((BedTask.OnShims) found(shims).task()).underHead()).isFalse();
    shims.atHandProperty().set("0,5; 0.1 1");
    assertThat(((BedTask.OnShims) found(shims).task()).atHandMm()).containsExactly(0.5, 0.1, 1.0);
    shims.atHandProperty().set("card");
    assertThat(((BedOutcome.Refused) shims.outcomeProperty().get()).because())
        .contains("Shims at hand", "thicknesses");
    BedModel head = new BedModel(machine(Build.GALVO, BedSupport.SHIMS), LengthUnit.MILLIMETRE);
    read(head, "180", "180.8", "180", "180.8");
    assertThat(((BedTask.OnShims) found(head).task()).underHead()).isTrue();
  }

  @Test
  void theUnitOnShowChangesNoLength() {
    read(model, "6", "6.6", "6.3", "6.9");
    LevelFinding before = level();
    model.setUnit(LengthUnit.INCH);
    assertThat(model.tolerance().text()).isEqualTo("0.0118");
    assertThat(level().peakToValleyNowMm()).isCloseTo(before.peakToValleyNowMm(), within(1e-9));
    model.setUnit(LengthUnit.MILLIMETRE);
    assertThat(level().peakToValleyNowMm()).isCloseTo(before.peakToValleyNowMm(), within(1e-4));
  }

  @Test
  void stepsSayTheAmountTheWayAndTheUncertainty() {
    read(model, "6", "6.6", "6.3", "6.9");
    var steps = BedAdvice.steps(model.outcomeProperty().get(), LengthUnit.MILLIMETRE);
    assertThat(steps.getFirst().where()).startsWith("Screw");
    assertThat(steps.getFirst().big()).matches("[⅛¼⅜½⅝¾⅞1-9]+ turns? (counter-)?clockwise");
    assertThat(steps.getFirst().small()).contains("±").contains("mm");
    assertThat(BedAdvice.summary(model.outcomeProperty().get(), LengthUnit.MILLIMETRE))
        .startsWith("High to low 0.90 mm now, 0.00 mm after exact turns");
    read(model, "6", "8", "8", "6");
    steps = BedAdvice.steps(model.outcomeProperty().get(), LengthUnit.MILLIMETRE);
    assertThat(steps.getFirst().big()).contains("Pack, flatten or replace");
  }

  @Test
  void feelIsReadFromItsFirstLetters() {
    model.wayProperty().set(BedWay.FEEL);
    read(model, "s", "SLIDES", "Sl", "s");
    assertThat(found(model).finding().verdict()).isEqualTo(Verdict.WITHIN);
    read(model, "s", "q", "s", "s");
    assertThat(refusal()).contains("\"q\" is not a feel");
  }
}
