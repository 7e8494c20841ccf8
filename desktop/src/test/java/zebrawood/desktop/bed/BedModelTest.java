package zebrawood.desktop.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.found;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.said;
import static zebrawood.desktop.Models.summary;
import static zebrawood.desktop.Models.type;
import static zebrawood.desktop.Models.waitsFor;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.LevelFinding;
import zebrawood.bed.ShimFinding;
import zebrawood.devices.bed.StandInBed;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.picture.SvgCanvas;

class BedModelTest {
  private static BedModel work(Build build, BedSupport support) {
    return new BedModel(
        new Machine(
            "id", "Alder", build, new Source(SourceKind.DIODE, 20, 450), 600, 400, support, 0.3),
        DisplayUnits.METRIC);
  }

  private final BedModel work = work(Build.GANTRY_WITH_MIRRORS, BedSupport.SCREWS);

  private static void read(BedModel work, String... gaps) {
    work.form()
        .allAtOnce(() -> {
          for (int i = 0; i < gaps.length; i++) {
            work.places().get(i).reading().textProperty().set(gaps[i]);
          }
        });
  }

  private LevelFinding level() {
    return (LevelFinding) finding(work);
  }

  @Test
  void adviceFollowsEveryKeystroke() {
    assertThat(waitsFor(work)).isEqualTo("3 more places");
    read(work, "6", "6.6");
    assertThat(waitsFor(work)).isEqualTo("1 more place");
    read(work, "6", "6.6", "6.3");
    assertThat(work.steps(found(work)).getFirst().big()).isEqualTo("Read the other places");
    read(work, "6", "6.6", "6.3", "6.9");
    assertThat(work.steps(found(work)).getFirst().where()).startsWith("Screw");
    assertThat(level().verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(level().slopeXMmPerM().value()).isNegative();
  }

  @Test
  void theThreeWaysToReadAgreeOnOneBed() {
    read(work, "6.0", "6.6", "6.3", "6.9");
    LevelFinding byGap = level();
    work.way.set(BedWay.HEAD_HEIGHT);
    read(work, "44.0", "43.4", "43.7", "43.1");
    LevelFinding byHead = level();
    work.way.set(BedWay.BED_HEIGHT);
    read(work, "-12.0", "-11.4", "-11.7", "-11.1");
    LevelFinding byBed = level();
    for (LevelFinding other : List.of(byHead, byBed)) {
      assertThat(other.slopeXMmPerM().value())
          .isCloseTo(byGap.slopeXMmPerM().value(), within(1e-9));
      assertThat(other.slopeYMmPerM().value())
          .isCloseTo(byGap.slopeYMmPerM().value(), within(1e-9));
      assertThat(other.peakToValleyNowMm()).isCloseTo(0.9, within(1e-9));
    }
  }

  @Test
  void aGridOfAnySizeKeepsTheCornersThatWereRead() {
    read(work, "6.0", "6.6", "6.3", "6.9");
    work.setGrid(5, 5);
    assertThat(work.places()).hasSize(25);
    assertThat(work.places().get(0).reading().text()).isEqualTo("6.0");
    assertThat(work.places().get(24).reading().text()).isEqualTo("6.9");
    assertThat(said(work.places().get(12).name())).isEqualTo("column 3, row 3");
    assertThat(work.steps(found(work)).getFirst().big()).isEqualTo("Read the other places");
  }

  @Test
  void whatIsTypedIsWhatIsFilledAgain() {
    work.setGrid(3, 2);
    read(work, "6", "1/4 in", "6,3", "", "six", "6.4");
    work.way.set(BedWay.BED_HEIGHT);
    work.supports().get(1).id().set("the loose one");
    work.keep.set("the loose one");
    type(work, "supports", "5");
    Map<String, String> typed = work.form().typed();
    BedModel other = work(Build.GANTRY_WITH_MIRRORS, BedSupport.SCREWS);
    other.form().type(typed);
    assertThat(other.form().typed()).isEqualTo(typed);
    assertThat(other.outcome()).isEqualTo(work.outcome());
    Map<String, String> partly = new HashMap<>(typed);
    partly.keySet().removeIf(k -> k.startsWith("support"));
    other.form().type(partly);
    assertThat(other.supports()).hasSize(5);
  }

  @Test
  void whatTheFirstVersionKeptInInchesIsTheSameLength() {
    type(
        work,
        "unit",
        "INCH",
        "columns",
        "2",
        "rows",
        "2",
        "resolution",
        "0.004",
        "tolerance",
        "0.01",
        "x.0",
        "1",
        "x.1",
        "23",
        "y.0",
        "1",
        "y.1",
        "15",
        "reading.0",
        "0.25",
        "reading.1",
        "6.6 mm",
        "reading.2",
        "0.25",
        "reading.3",
        "0.25",
        "atHand",
        "0.004, 0.02 in");
    assertThat(work.places().getFirst().reading().number()).isEqualTo(6.35);
    assertThat(work.resolution.number()).isEqualTo(0.1016);
    assertThat(work.places().get(1).reading().number()).isEqualTo(6.6);
    assertThat(work.form().typed().get("atHand")).isEqualTo("0.004 in, 0.02 in");
  }

  @Test
  void everyBadFieldStopsRecordingWithASentence() {
    read(work, "6", "6.6", "6.3", "-1");
    assertThat(refusal(work)).startsWith("Rear right is -1 mm. Accepted is 0 mm to");
    read(work, "6", "6.6", "6.3", "6.9");
    type(work, "x.0", "");
    assertThat(waitsFor(work)).isEqualTo("Place 1 x");
    type(work, "x.0", "588", "x.1", "588");
    assertThat(refusal(work)).contains("in one line");
    type(work, "x.0", "12", "support.0.pitch", "0");
    assertThat(refusal(work)).contains("itch of screw 1");
    type(work, "support.0.pitch", "0.7", "support.0.id", "front right");
    assertThat(refusal(work)).contains("twice");
    type(work, "support.0.id", "");
    assertThat(waitsFor(work)).contains("Name of the screw");
    type(work, "support.0.id", "a");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.ADJUST);
  }

  @Test
  void threeScrewsMustStay() {
    type(work, "supports", "2");
    assertThat(work.supports()).hasSize(3);
    read(work, "6", "6.6", "6.3", "6.9");
    assertThat(((BedFinding) level()).screws()).hasSize(3);
  }

  @Test
  void aBedWithoutScrewsGetsShimsInStacksOfWhatIsAtHand() {
    BedModel shims = work(Build.GANTRY_WITH_HEAD_MODULE, BedSupport.SHIMS);
    read(shims, "20", "20.8", "20", "20.8");
    assertThat(finding(shims)).isInstanceOf(ShimFinding.class);
    type(shims, "atHand", "0,5; 0.1 1");
    BedTask.OnShims task = (BedTask.OnShims) found(shims).readings();
    assertThat(task.underHead()).isFalse();
    assertThat(task.atHandMm()).containsExactly(0.5, 0.1, 1.0);
    type(shims, "atHand", "card");
    assertThat(refusal(shims)).contains("Shims at hand", "thicknesses");
  }

  /**
   * A ring of 90 mm whose right side is 0.64 mm further up, on a column with feet 240 mm apart: 10
   * mm a metre, 2.4 mm under the left feet; and nothing of it before ring and feet were measured.
   */
  @Test
  void aColumnsShimsComeFromWhatWasMeasured() {
    BedModel head = work(Build.GALVO, BedSupport.SHIMS);
    read(head, "180", "180.64", "180", "180.64");
    assertThat(waitsFor(head)).isEqualTo("Ring's diameter, where gaps are read");
    type(head, "ring", "90.51");
    assertThat(waitsFor(head)).contains("foot 1");
    String[] feet = {"-120", "100", "120", "100", "-120", "300", "120", "300"};
    for (int i = 0; i < 4; i++) {
      type(head, "support." + i + ".x", feet[2 * i], "support." + i + ".y", feet[2 * i + 1]);
    }
    assertThat(((BedTask.OnShims) found(head).readings()).underHead()).isTrue();
    ShimFinding f = (ShimFinding) finding(head);
    assertThat(f.slopeXMmPerM().value()).isCloseTo(10, within(0.05));
    assertThat(f.shims().get(0).thicknessMm().value()).isCloseTo(2.4, within(0.02));
    assertThat(f.shims().get(1).thicknessMm().value()).isZero();
    type(head, "boltsApart", "150");
    // The field of 600 mm: 3 mm at its corners.
    assertThat(String.join(" ", summary(head)))
        .contains("At the field's corners the height is off by 3.00")
        .as("its front and rear are alike")
        .doesNotContain("bolts of the bracket");
    assertThat(drawn(head)).doesNotContain("NaN");
  }

  @Test
  void theUnitOnShowChangesNoLength() {
    read(work, "6", "6.6", "6.3", "6.9");
    LevelFinding before = level();
    work.form().setUnits(DisplayUnits.METRIC.with(DisplayUnits.Length.INCH));
    assertThat(work.form().find("tolerance").orElseThrow())
        .extracting(f -> ((zebrawood.desktop.form.QuantityField) f).text())
        .isEqualTo("0.0118");
    assertThat(level().peakToValleyNowMm()).isEqualTo(before.peakToValleyNowMm());
    work.form().setUnits(DisplayUnits.METRIC);
    assertThat(level()).isEqualTo(before);
  }

  @Test
  void stepsSayTheAmountTheWayAndTheUncertainty() {
    read(work, "6", "6.6", "6.3", "6.9");
    var steps = work.steps(found(work));
    assertThat(steps.getFirst().where()).startsWith("Screw");
    assertThat(steps.getFirst().big()).matches("[⅛¼⅜½⅝¾⅞1-9]+ turns? (counter-)?clockwise");
    assertThat(steps.getFirst().small()).contains("±").contains("mm");
    assertThat(summary(work).getFirst())
        .startsWith("High to low 0.90 mm now, 0.00 mm after exact turns");
    read(work, "6", "8", "8", "6");
    assertThat(work.steps(found(work)).getFirst().big()).contains("one whole turn");
    type(work, "frame", "STIFF");
    assertThat(work.steps(found(work)).getFirst().big()).contains("Pack, flatten or replace");
    type(work, "frame", "FOLLOWS");
    assertThat(level().verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(level().peakToValleyAfterMm()).isZero();
  }

  @Test
  void feelIsReadFromItsFirstLetters() {
    work.way.set(BedWay.FEEL);
    read(work, "s", "SLIDES", "Sl", "s");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(drawn(work)).contains("slides");
    read(work, "s", "q", "s", "s");
    assertThat(refusal(work)).contains("\"q\" is not a feel");
  }

  @Test
  void thePlanStandsOnPaperAsInTheWindow() {
    read(work, "6", "6.6", "6.3", "6.9");
    assertThat(drawn(work)).contains("+0.45", "−0.45", "cw").doesNotContain("NaN");
    BedModel shims = work(Build.GANTRY_WITH_HEAD_MODULE, BedSupport.SHIMS);
    read(shims, "20", "20.8", "20", "20.8");
    assertThat(drawn(shims)).contains("0.8");
  }

  private static String drawn(BedModel work) {
    SvgCanvas canvas = new SvgCanvas(400, 400);
    work.draw(canvas);
    return canvas.svg();
  }

  private static Verdict practise(BedModel work, StandInBed.Variant variant, long number) {
    BedPractice practice = new BedPractice(work);
    practice.prepare();
    practice.start(practice.make(variant, number));
    Verdict verdict = Verdict.ADJUST;
    for (int round = 0; round < 4 && verdict == Verdict.ADJUST; round++) {
      practice.readAll();
      verdict = finding(work).verdict();
      practice.obey(found(work));
    }
    return verdict;
  }

  @ParameterizedTest
  @EnumSource(names = {"GANTRY_WITH_MIRRORS", "GANTRY_WITH_HEAD_MODULE", "GALVO"})
  void screwsShimsAndColumnsAreAllLevelledByTheirAdvice(Build build) {
    BedSupport support = build == Build.GANTRY_WITH_MIRRORS ? BedSupport.SCREWS : BedSupport.SHIMS;
    int within = 0;
    for (long number = 0; number < 40; number++) {
      BedModel practised = work(build, support);
      practised.setGrid(3, 3);
      within += practise(practised, StandInBed.Variant.TILTED, number) == Verdict.WITHIN ? 1 : 0;
    }
    assertThat(within).isGreaterThanOrEqualTo(36);
  }

  @Test
  void aHiddenWarpIsFoundOut() {
    work.setGrid(3, 3);
    assertThat(practise(work, StandInBed.Variant.WARPED, 3)).isEqualTo(Verdict.STOP);
  }

  @Test
  void headHeightsArePractisedToo() {
    work.setGrid(3, 3);
    work.way.set(BedWay.HEAD_HEIGHT);
    assertThat(practise(work, StandInBed.Variant.TILTED, 5)).isEqualTo(Verdict.WITHIN);
    work.way.set(BedWay.FEEL);
    assertThat(practise(work, StandInBed.Variant.TILTED, 5))
        .as("feel has no figures, so the gap is practised")
        .isEqualTo(Verdict.WITHIN);
  }
}
