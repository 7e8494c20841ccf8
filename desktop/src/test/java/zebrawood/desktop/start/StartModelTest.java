package zebrawood.desktop.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.sheet.Proven;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.records.start.StartRecord;
import zebrawood.start.GoCard;
import zebrawood.start.GoLine;
import zebrawood.start.StartReadings.Answer;

class StartModelTest {
  private static final Instant NOW = Instant.parse("2026-11-24T09:00:00Z");
  private static final Machine ALDER =
      new Machine(
          "id",
          "Alder",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.SCREWS,
          0.3);

  private static GoCard card(Event... events) {
    return GoCard.of(new Ledger(ALDER, List.of(), List.of(events)), List.of(), NOW, ZoneOffset.UTC);
  }

  private final StartModel model = new StartModel(card(), true, OptionalDouble.of(28));

  private StartOutcome.Found found() {
    assertThat(model.outcomeProperty().get()).isInstanceOf(StartOutcome.Found.class);
    return (StartOutcome.Found) model.outcomeProperty().get();
  }

  private void answerAll(Proven proven) {
    model.proofs().values().forEach(p -> p.set(proven));
  }

  @Test
  void theNextLineIsTheFirstThatNobodyAnswered() {
    assertThat(model.next().orElseThrow().id()).isEqualTo("emergency-stop");
    model.proofs().get(model.next().get()).set(Proven.YES);
    assertThat(model.next().orElseThrow().id()).isEqualTo("switch-on-1");
    answerAll(Proven.YES);
    assertThat(model.next()).isEmpty();
    assertThat(found().finding().verdict())
        .as("the coolant is still to be read")
        .isEqualTo(Verdict.MEASURE_AGAIN);
    model.coolant().set(18.5);
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    model.coolant().textProperty().set("cold");
    assertThat(model.outcomeProperty().get()).isInstanceOf(StartOutcome.Refused.class);
  }

  @Test
  void whatWasSoThisMorningIsNotAskedAgainButTheRunIs() {
    answerAll(Proven.YES);
    model.coolant().set(18.5);
    var morning = found().readings();
    model.clearReadings();
    model.setToday(card(), List.of(morning));
    assertThat(model.next().orElseThrow().kind()).isEqualTo(GoLine.Kind.BEFORE_RUN);
    assertThat(found().readings().asked())
        .filteredOn(a -> a.line().kind() == GoLine.Kind.INTERLOCK)
        .isNotEmpty()
        .allMatch(a -> a.answer() == Answer.EARLIER);
    model.coolant().set(19);
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    GoLine lid =
        model.proofs().keySet().stream()
            .filter(l -> l.id().equals("lid"))
            .findFirst()
            .orElseThrow();
    model.proofs().get(lid).set(Proven.NO);
    assertThat(found().finding().verdict()).isEqualTo(Verdict.STOP);
    var noon = found().readings();
    model.clearReadings();
    model.setToday(card(), List.of(morning, noon));
    assertThat(model.earlier(lid)).as("it was not so at noon").isFalse();
  }

  @Test
  void aNewLessonComesOntoTheCardAndAnswersStay() {
    GoLine stop = model.next().orElseThrow();
    model.proofs().get(stop).set(Proven.YES);
    int before = model.proofs().size();
    Event forgotten =
        new Event("v", "id", EventKind.SPOILT, NOW, NOW, "EH", "lens cap", Optional.empty());
    model.setToday(card(forgotten), List.of());
    assertThat(model.proofs()).hasSize(before + 1);
    assertThat(model.proofs().get(stop).get()).isEqualTo(Proven.YES);
    assertThat(model.cardProperty().get().lines().getLast().words()).contains("lens cap");
  }

  @Test
  void whatIsTypedIsKeptAndFilledAgain() {
    answerAll(Proven.YES);
    model.coolant().set(18.5);
    StartRecord kept = StartRecord.of(StartRecord.readings(model.typed(), found().readings()));
    assertThat(kept.readings()).isEqualTo(found().readings());
    StartModel other = new StartModel(card(), true, OptionalDouble.of(28));
    other.type(kept.typed());
    assertThat(other.outcomeProperty().get()).isEqualTo(model.outcomeProperty().get());
    other.clearReadings();
    assertThat(other.nothingRead()).isTrue();
  }
}
