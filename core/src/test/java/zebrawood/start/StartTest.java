package zebrawood.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.start.GoLine.Kind;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartReadings.Asked;
import zebrawood.words.Message;

class StartTest {
  private static final Instant NOW = Instant.parse("2026-11-24T09:00:00Z");
  private static final Source TUBE = new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600);

  private static Machine machine(Build build, Source source) {
    return new Machine("id", "Alder", build, source, 700, 500, BedSupport.SCREWS, 0.3);
  }

  private static final Machine ALDER = machine(Build.GANTRY_WITH_MIRRORS, TUBE);

  private static GoCard card(Machine machine, List<Entry> entries, List<Event> events) {
    return GoCard.of(
        new Ledger(machine, Stream.<Recorded>concat(entries.stream(), events.stream()).toList()),
        List.of(StartStation.STATION),
        NOW,
        ZoneOffset.UTC);
  }

  private static StartReadings read(GoCard card, Function<GoLine, Answer> answer, double coolantC) {
    return new StartReadings(
        card.lines().stream().map(l -> new Asked(l, answer.apply(l))).toList(),
        Double.isNaN(coolantC) ? OptionalDouble.empty() : OptionalDouble.of(coolantC),
        OptionalDouble.of(28),
        true);
  }

  @Test
  void theStopComesBeforeAnythingIsPoweredThenTheMachinesOwnOrder() {
    Machine own =
        new Machine(
            "id",
            "Alder",
            Build.GANTRY_WITH_MIRRORS,
            TUBE,
            700,
            500,
            BedSupport.SCREWS,
            0.3,
            Optional.of(List.of(Fitting.EXHAUST, Fitting.EMERGENCY_STOP, Fitting.EMERGENCY_STOP)),
            Optional.of(List.of("computer", "chiller")),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.of(List.of("the yard's door is shut")));
    assertThat(card(own, List.of(), List.of()).lines())
        .last()
        .satisfies(l -> {
          assertThat(ENGLISH.say(l.said())).isEqualTo("the yard's door is shut");
          assertThat(l.kind().protects()).isFalse();
        });
    List<GoLine> lines = card(own, List.of(), List.of()).lines();
    assertThat(ENGLISH.say(lines.get(0).said()))
        .contains("emergency stop", "coolant pump included");
    assertThat(ENGLISH.say(lines.get(1).said())).isEqualTo("1. computer on");
    assertThat(ENGLISH.say(lines.get(2).said())).isEqualTo("2. chiller on");
    assertThat(lines.get(3).id()).as("no lid fitted").isEqualTo("eyewear-on");
    assertThat(lines).noneMatch(l -> l.id().equals("key") || l.id().equals("air"));
    assertThat(own.fitted()).containsExactly(Fitting.EMERGENCY_STOP, Fitting.EXHAUST);
  }

  @Test
  void anArmSwitchIsProvenWhereOneIsFitted() {
    Machine armed =
        new Machine(
            "id",
            "Alder",
            Build.GALVO,
            new Source(SourceKind.FIBRE, 30, 1064),
            110,
            110,
            BedSupport.SHIMS,
            0.3,
            Optional.of(List.of(Fitting.ARM_SWITCH)),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    assertThat(card(armed, List.of(), List.of()).protections())
        .extracting(GoLine::id)
        .contains("arm");
    assertThatThrownBy(() ->
            new Machine(
                "id",
                "Alder",
                Build.GALVO,
                armed.source(),
                110,
                110,
                BedSupport.SHIMS,
                0.3,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(java.util.Collections.nCopies(9, "one more"))))
        .hasMessageContaining("ownLines");
  }

  @Test
  void anOpenMachineHasEyewearDoorAndSignInstead() {
    Machine sedge = machine(Build.GANTRY_WITH_HEAD_MODULE, new Source(SourceKind.DIODE, 20, 450));
    GoCard card = card(sedge, List.of(), List.of());
    assertThat(card.protections())
        .extracting(GoLine::id)
        .containsExactly("eyewear-on", "door-shut", "sign-out");
    assertThat(card.lines()).noneMatch(l -> ENGLISH.say(l.said()).contains("coolant"));
  }

  @Test
  void whatWentWrongHereBeforeIsOnTheCard() {
    Entry stopped =
        new Entry(
            "e1",
            "id",
            "start",
            Optional.empty(),
            EntryKind.CHECK,
            NOW.minus(Duration.ofDays(3)),
            NOW,
            "EH",
            Message.of("ledger.reason.check"),
            "",
            "",
            Verdict.STOP,
            List.of(),
            Optional.empty());
    List<Event> events =
        List.of(
            event("v1", EventKind.CRASH, 30, ""),
            event("v2", EventKind.SPOILT, 20, "refocus after the slate"),
            event("v3", EventKind.SPOILT, 2, "Refocus after the slate"),
            event("v4", EventKind.SPOILT, 500, "long ago"));
    List<String> lessons =
        card(ALDER, List.of(stopped), events).lines().stream()
            .filter(l -> l.kind() == Kind.LESSON)
            .map(l -> ENGLISH.say(l.said()))
            .toList();
    assertThat(lessons)
        .containsExactly(
            "forgotten on 22 Nov: Refocus after the slate",
            "the job was framed without hitting anything: it crashed on 25 Oct",
            "Start-up looked at: it had to be stopped on 21 Nov");
  }

  private static Event event(String id, EventKind kind, int days, String note) {
    Instant at = NOW.minus(Duration.ofDays(days));
    return new Event(
        id, "id", kind, at, at, "EH", note, Optional.empty(), List.of(), Optional.empty());
  }

  @Test
  void protectionsAndAFigureDecideTheOtherLinesAreNamed() {
    GoCard card = card(ALDER, List.of(), List.of());
    StartReadings proven = read(card, l -> l.kind().protects() ? Answer.YES : Answer.NOT_YET, 19.5);
    StartFinding f = Start.solve(proven);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.warnings(ENGLISH).getFirst()).contains("still open");
    assertThat(f.advice(ENGLISH)).allMatch(a -> a.startsWith("See to it"));
    assertThat(Start.solve(read(card, l -> Answer.YES, 19.5)).advice(ENGLISH))
        .containsExactly("Go: everything on the card is in order.");
    assertThat(Start.solve(read(card, l -> Answer.YES, Double.NaN)).verdict())
        .as("a glance is not a figure")
        .isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(Start.solve(read(card, l -> Answer.YES, 28.5)).verdict()).isEqualTo(Verdict.STOP);
    StartFinding failed =
        Start.solve(read(card, l -> l.id().equals("lid") ? Answer.NO : Answer.YES, 19));
    assertThat(failed.verdict()).isEqualTo(Verdict.STOP);
    assertThat(failed.notSo()).isEqualTo(1);
    assertThat(failed.advice(ENGLISH).getFirst()).contains("opening the lid");
    assertThat(Start.figures(proven, f)).hasSize(2);
  }

  @Test
  void theLastAnswerOfTheDayCounts() {
    GoCard card = card(ALDER, List.of(), List.of());
    assertThat(Start.notProven(card, List.of())).hasSize(4);
    StartReadings morning = read(card, l -> Answer.YES, 19);
    StartReadings noon = read(card, l -> l.id().equals("lid") ? Answer.NO : Answer.NOT_YET, 19);
    assertThat(Start.notProven(card, List.of(morning))).isEmpty();
    assertThat(Start.notProven(card, List.of(morning, noon)))
        .extracting(GoLine::id)
        .containsExactly("lid");
    assertThatThrownBy(() ->
            new StartReadings(List.of(), OptionalDouble.empty(), OptionalDouble.empty(), false))
        .hasMessageContaining("at least 1 line");
  }
}
