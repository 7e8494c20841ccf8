package zebrawood.desktop.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.type;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.cards.CardSteps;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.desktop.Models;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Ledger;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.words.Message;

class CardsModelTest {
  private static final Machine GALVO =
      new Machine(
          "id",
          "Flint",
          Build.GALVO,
          new Source(SourceKind.FIBRE, 20, 1064),
          110,
          110,
          BedSupport.SHIMS,
          0.3);

  private static CardsModel opened(Machine machine) {
    return (CardsModel) Models.open(CardsModel.DEFINITION, new Ledger(machine, List.of()));
  }

  private static String planSaid(CardsModel model) {
    return Text.of(model.plan.words());
  }

  @Test
  void cutSquaresOfPassesAreChosenByEye() {
    CardsModel model = opened(ALDER);
    type(model, "way", "EYE", "across", "PASSES", "passesLeast", "1", "passesMost", "4");
    type(model, "columns", "4", "speedLeast", "10", "speedMost", "20", "rows", "2");
    type(model, "powerLeast", "60", "wantedGrade", "CUT_THROUGH");
    type(model, "visit.grade.1", "llcb", "visit.grade.2", "lllc");
    Chosen fastest = finding(model).fastest().orElseThrow();
    assertThat(fastest.speedMmS()).isEqualTo(20);
    assertThat(fastest.all().orElseThrow().passes()).hasValue(4);
    // No interval was said: none is in the setting.
    assertThat(fastest.all().orElseThrow().intervalMm()).isEmpty();
  }

  @Test
  void pulseLengthsAreThoseThatTheSourceOffers() {
    CardsModel model = opened(GALVO);
    type(model, "pulsesOffered", "4 8; 20,5 200 500", "way", "EYE", "across", "PULSE_LENGTH");
    type(model, "pulseLeast", "4", "pulseMost", "200", "columns", "4", "powerLeast", "60");
    type(model, "speedLeast", "500", "speedMost", "500", "rows", "1");
    assertThat(model.grid.grid().across().orElseThrow())
        .isEqualTo(new CardSteps(CardSteps.Step.PULSE_LENGTH, List.of(4.0, 8.0, 20.5, 200.0)));
    type(model, "pulsesOffered", "4 short");
    assertThat(model.form().fields().filter(f -> f.name().equals("pulsesOffered")))
        .allMatch(f -> f.problem().isPresent());
  }

  @Test
  void aPlanOfIntervalsSaysWhatItTakesAndAnotherAxisIsAsked() {
    CardsModel model = opened(ALDER);
    type(model, "powerLeast", "10", "powerMost", "60", "columns", "6", "rows", "3");
    type(model, "up", "INTERVAL", "intervalLeast", "0.1", "intervalMost", "0.4");
    type(model, "squareW", "6", "squareH", "6", "gap", "2", "atX", "60", "atY", "60");
    type(model, "crossPower", "60", "crossSpeed", "60");
    assertThat(planSaid(model)).doesNotContain("18 squares");
    type(model, "speedLeast", "100");
    assertThat(planSaid(model)).contains("18 squares");
    type(model, "across", "INTERVAL");
    assertThat(planSaid(model)).doesNotContain("18 squares");
  }

  @Test
  void theFastestSquareThatIsDeepEnoughIsChosen() {
    CardsModel model = opened(ALDER);
    type(model, "way", "DEPTH", "powerLeast", "40", "powerMost", "80", "columns", "3");
    type(model, "speedLeast", "100", "speedMost", "200", "rows", "2");
    type(model, "visit.depth.1", "0.3 0.52 0.8", "visit.depth.2", "0.1 0.25 0,51");
    type(model, "wantedDepth", "0.5", "depthTo", "0.05");
    Chosen fastest = finding(model).fastest().orElseThrow();
    assertThat(fastest.speedMmS()).isEqualTo(200);
    assertThat(fastest.percent()).isEqualTo(80);
    assertThat(finding(model).warnings()).extracting(Message::key).contains("cards.depth.unsure");
    type(model, "wantedDepth", "2");
    assertThat(finding(model).fastest()).isEmpty();
    type(model, "visit.depth.1", "0.3 deep 0.8");
    assertThat(Models.refusal(model)).contains("depths in mm");
  }
}
