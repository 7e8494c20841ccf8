package zebrawood.desktop.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.answerAll;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.type;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.Models;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;
import zebrawood.records.picture.SvgCanvas;

class LensModelTest {
  private final LensModel model = opened(ALDER);

  private static LensModel opened(Machine machine) {
    return (LensModel) Models.open(LensModel.DEFINITION, new Ledger(machine, List.of()));
  }

  @Test
  void nothingIsWithinBeforeItsFittingIsProven() {
    assertThat(model.outcome().within()).isFalse();
    answerAll(model, Answer.YES);
    assertThat(finding(model).verdict()).isEqualTo(Verdict.WITHIN);
    model.form().proofs().findFirst().orElseThrow().set(Answer.NO);
    assertThat(finding(model).verdict()).isNotEqualTo(Verdict.WITHIN);
  }

  @Test
  void theSpotIsTheDiffractionLimitOfTheBeam() {
    type(model, "focal", "63.5", "beam", "6", "m2", "1.2", "shape", "MENISCUS");
    double limit = 4 * 1.2 * 10.6e-3 * 63.5 / (Math.PI * 6);
    assertThat(finding(model).compared().getFirst().optics().spotMm())
        .isBetween(limit, 1.5 * limit);
    type(model, "beam", "thin");
    assertThat(refusal(model)).contains("thin is no number");
  }

  /** Few have the data sheet of their source at hand. */
  @Test
  void aBeamQualityThatNobodyTypedIsAssumedAndSaidToBe() {
    type(model, "focal", "63.5", "beam", "6");
    assertThat(finding(model).warnings(ENGLISH)).anyMatch(w -> w.contains("M² 1.3"));
    type(model, "m2", "1.2");
    assertThat(finding(model).warnings(ENGLISH)).noneMatch(w -> w.contains("assumed"));
  }

  @Test
  void aLensOfTheRackThatIsKnownByItsFieldIsCompared() {
    type(model, "focal", "160", "beam", "7", "rack.1.name", "wide", "rack.1.field", "175");
    assertThat(finding(model).compared().getLast().lens().focalLengthMm())
        .isCloseTo(254, withinPercentage(3));
    assertThat(finding(model).said()).anyMatch(m -> Text.of(m).contains("wide: its focal length"));
  }

  @Test
  void theOnlyLensOfTheMachineIsTheOneThatIsOn() {
    LensModel one = opened(ALDER.withLenses(List.of(new Lens(50.8, OptionalDouble.empty()))));
    assertThat(one.form().typed()).containsEntry("focal", "50.8");
  }

  /** With the second of two on, the first is what it is held against. */
  @Test
  void theMachinesOtherLensesAreItsRack() {
    var two =
        ALDER.withLenses(
            List.of(
                new Lens(50.8, OptionalDouble.empty()),
                new Lens(
                    Optional.of("long"), 101.6, OptionalDouble.empty(), OptionalDouble.of(7))));
    Instant day = Instant.parse("2026-05-01T10:00:00Z");
    Event on =
        new Event(
            "e",
            two.id(),
            EventKind.LENS_KNOWN,
            day,
            day,
            "EH",
            "",
            Optional.of("long"),
            List.of(),
            Optional.empty());
    var opened = (LensModel) Models.open(LensModel.DEFINITION, new Ledger(two, List.of(on)));
    assertThat(opened.form().typed())
        .containsEntry("focal", "101.6")
        .containsEntry("beam", "7")
        .containsEntry("rack.1.name", "50.8 mm")
        .containsEntry("rack.1.focal", "50.8");
    assertThat(finding(opened).compared()).hasSize(2);
  }

  @Test
  void whatIsTypedIsFilledAgainAndDrawn() {
    answerAll(model, Answer.YES);
    type(
        model,
        "focal",
        "63.5",
        "beam",
        "6",
        "m2",
        "1.2",
        "rack.1.name",
        "short",
        "rack.1.focal",
        "38.1");
    LensModel other = opened(ALDER);
    other.form().type(model.form().typed());
    assertThat(other.form().typed()).isEqualTo(model.form().typed());
    assertThat(other.outcome()).isEqualTo(model.outcome());
    SvgCanvas canvas = new SvgCanvas(382, 400);
    other.draw(canvas);
    assertThat(canvas.svg()).contains("short").doesNotContain("NaN");
  }
}
