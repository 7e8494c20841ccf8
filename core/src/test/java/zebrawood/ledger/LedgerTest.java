package zebrawood.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

class LedgerTest {
  private static final Instant START = Instant.parse("2026-03-01T08:00:00Z");

  private static final Machine ALDER =
      new Machine(
          "alder",
          "Alder",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.SCREWS,
          0.3);

  private static final Station LEVEL =
      station(
          "level",
          Set.of(),
          Map.of(EventKind.MOVED, Doubt.READ_AGAIN, EventKind.POWER_CUT, Doubt.QUICK_CHECK));
  private static final Station FOCUS =
      station("focus", Set.of("level"), Map.of(EventKind.LENS_NEW, Doubt.READ_AGAIN));
  private static final Station CARDS = station("cards", Set.of("focus"), Map.of());
  private static final List<Station> STATIONS = List.of(LEVEL, FOCUS, CARDS);

  private final List<Entry> entries = new ArrayList<>();
  private final List<Event> events = new ArrayList<>();
  private final List<Recorded> history = new ArrayList<>();

  private static Station station(String id, Set<String> restsOn, Map<EventKind, Doubt> doubts) {
    return new Station(id, Phase.MAKE_READY, m -> true, restsOn, doubts, 100, 10);
  }

  private static Instant day(double days) {
    return START.plusSeconds(Math.round(days * 86_400));
  }

  private Entry read(Station station, double day, Verdict verdict) {
    return entry(station, EntryKind.AS_LEFT, day, verdict, true, Optional.empty());
  }

  private Entry check(Station station, double day, Verdict verdict) {
    return entry(station, EntryKind.CHECK, day, verdict, false, Optional.empty());
  }

  private Entry entry(
      Station station,
      EntryKind kind,
      double day,
      Verdict verdict,
      boolean figures,
      Optional<String> replaces) {
    Figure figure = Figure.of("highToLow", 0.4, Quantity.LENGTH).limited(0.3);
    Entry entry =
        new Entry(
            "e" + entries.size(),
            "alder",
            station.id(),
            Optional.empty(),
            kind,
            day(day),
            day(day + 0.001 * entries.size()),
            "EH",
            Message.of("ledger.reason.check"),
            "{}",
            "{}",
            verdict,
            figures ? List.of(figure) : List.of(),
            replaces);
    entries.add(entry);
    history.add(entry);
    return entry;
  }

  private Event happened(EventKind kind, double day) {
    Event event =
        new Event(
            "v" + events.size(),
            "alder",
            kind,
            day(day),
            day(day),
            "EH",
            "",
            Optional.empty(),
            List.of(),
            Optional.empty());
    events.add(event);
    history.add(event);
    return event;
  }

  private Ledger ledger() {
    return new Ledger(ALDER, history);
  }

  private Standing standing(Station station, double today) {
    return ledger().standings(STATIONS, day(today)).get(station);
  }

  private void proveAll(double day) {
    STATIONS.forEach(s -> read(s, day, Verdict.WITHIN));
  }

  @Test
  void nothingRecordedIsOpenAndWaitsForWhatItRestsOn() {
    assertThat(standing(LEVEL, 1)).isEqualTo(new Standing.Open(Optional.empty(), Optional.empty()));
    assertThat(standing(FOCUS, 1))
        .isEqualTo(new Standing.Open(Optional.empty(), Optional.of(LEVEL)));
  }

  @Test
  void aReadingWithinTheLimitHolds() {
    Entry proof = read(LEVEL, 1, Verdict.WITHIN);
    assertThat(standing(LEVEL, 2)).isEqualTo(new Standing.Holds(proof));
  }

  @Test
  void aReadingOutsideTheLimitIsOutUntilAnotherIsWithin() {
    read(LEVEL, 1, Verdict.WITHIN);
    Entry out = read(LEVEL, 2, Verdict.ADJUST);
    assertThat(standing(LEVEL, 3)).isEqualTo(new Standing.Out(out));
    Entry again = read(LEVEL, 4, Verdict.WITHIN);
    assertThat(standing(LEVEL, 5)).isEqualTo(new Standing.Holds(again));
  }

  @Test
  void whatCouldNotBeDecidedChangesNothing() {
    Entry proof = read(LEVEL, 1, Verdict.WITHIN);
    read(LEVEL, 2, Verdict.MEASURE_AGAIN);
    assertThat(standing(LEVEL, 3)).isEqualTo(new Standing.Holds(proof));
  }

  @Test
  void anEventDoubtsItsStationsAndAllThatRestsOnThem() {
    proveAll(1);
    Event moved = happened(EventKind.MOVED, 2);
    for (Station station : STATIONS) {
      assertThat(standing(station, 3))
          .isInstanceOfSatisfying(
              Standing.Stale.class,
              stale ->
                  assertThat(stale.cause())
                      .isEqualTo(new Standing.Cause.Happened(moved, Doubt.READ_AGAIN)));
    }
    read(LEVEL, 4, Verdict.WITHIN);
    assertThat(standing(LEVEL, 5).holds()).isTrue();
    assertThat(standing(FOCUS, 5).holds()).isFalse();
    read(FOCUS, 5, Verdict.WITHIN);
    read(CARDS, 6, Verdict.WITHIN);
    assertThat(ledger().standings(STATIONS, day(7)).values()).allMatch(Standing::holds);
  }

  @Test
  void aLaterEventAtAStationLeavesWhatItRestsOnAlone() {
    proveAll(1);
    happened(EventKind.LENS_NEW, 2);
    assertThat(standing(LEVEL, 3).holds()).isTrue();
    assertThat(standing(FOCUS, 3).holds()).isFalse();
    assertThat(standing(CARDS, 3).holds()).isFalse();
  }

  @Test
  void aQuickCheckClearsAQuickDoubtAndNothingMore() {
    proveAll(1);
    happened(EventKind.POWER_CUT, 2);
    assertThat(standing(LEVEL, 3).holds()).isFalse();
    assertThat(standing(FOCUS, 3).holds()).as("a quick doubt stays where it is").isTrue();
    check(LEVEL, 3, Verdict.WITHIN);
    assertThat(standing(LEVEL, 4).holds()).isTrue();
    happened(EventKind.MOVED, 5);
    check(LEVEL, 6, Verdict.WITHIN);
    assertThat(standing(LEVEL, 7).holds()).isFalse();
  }

  @Test
  void aCheckAloneIsNoProof() {
    Entry passed = check(LEVEL, 1, Verdict.WITHIN);
    assertThat(standing(LEVEL, 2))
        .isEqualTo(new Standing.Open(Optional.of(passed), Optional.empty()));
    check(LEVEL, 3, Verdict.ADJUST);
    assertThat(standing(LEVEL, 4)).isInstanceOf(Standing.Out.class);
  }

  @Test
  void figuresGrowOld() {
    read(LEVEL, 1, Verdict.WITHIN);
    assertThat(standing(LEVEL, 101).holds()).isTrue();
    assertThat(standing(LEVEL, 102.1))
        .isInstanceOfSatisfying(
            Standing.Stale.class,
            s -> assertThat(s.cause()).isInstanceOf(Standing.Cause.Aged.class));
  }

  @Test
  void whatRestsOnAnAdjustedStationIsInDoubt() {
    proveAll(1);
    read(LEVEL, 2, Verdict.ADJUST);
    read(LEVEL, 2.01, Verdict.WITHIN);
    assertThat(standing(LEVEL, 3).holds()).isTrue();
    assertThat(standing(FOCUS, 3))
        .isInstanceOfSatisfying(
            Standing.Stale.class,
            s -> assertThat(s.cause()).isEqualTo(new Standing.Cause.Upstream(LEVEL, day(2))));
  }

  @Test
  void aCorrectionCountsInsteadAndAWithdrawalMakesVoid() {
    Entry wrong = read(LEVEL, 1, Verdict.ADJUST);
    Entry right = entry(LEVEL, EntryKind.AS_LEFT, 1, Verdict.WITHIN, true, Optional.of(wrong.id()));
    assertThat(ledger().entries()).containsExactly(right);
    Entry withdrawal = right.withdrawnBy("w", day(2), "EH");
    history.add(withdrawal);
    assertThat(ledger().entries()).containsExactly(wrong);
    history.add(withdrawal.withdrawnBy("w2", day(3), "EH"));
    assertThat(ledger().entries()).containsExactly(right);
  }

  @Test
  void aRingOfReplacementsInADamagedFileEnds() {
    entry(LEVEL, EntryKind.CHECK, 1, Verdict.WITHIN, true, Optional.of("e1"));
    entry(LEVEL, EntryKind.CHECK, 1, Verdict.WITHIN, true, Optional.of("e0"));
    assertThat(ledger().entries().size()).isLessThanOrEqualTo(2);
  }

  @Test
  void aWithdrawalNamesWhatItWithdraws() {
    assertThatThrownBy(
            () -> entry(LEVEL, EntryKind.WITHDRAWN, 1, Verdict.WITHIN, false, Optional.empty()))
        .hasMessageContaining("replaces");
  }

  @Test
  void otherMachinesEntriesArePassedOver() {
    read(LEVEL, 1, Verdict.WITHIN);
    Machine other =
        new Machine(
            "sedge",
            "Sedge",
            Build.GALVO,
            new Source(SourceKind.UV, 5, 355),
            100,
            100,
            BedSupport.SHIMS,
            0.2);
    assertThat(new Ledger(other, history).entries()).isEmpty();
  }

  @Test
  void aVisitBeginsAsFoundGoesOnAsChecksAndEndsAsLeft() {
    assertThat(ledger().kindOfNext(LEVEL, false, day(1))).isEqualTo(EntryKind.AS_FOUND);
    entry(LEVEL, EntryKind.AS_FOUND, 1, Verdict.ADJUST, true, Optional.empty());
    assertThat(ledger().kindOfNext(LEVEL, false, day(1.05))).isEqualTo(EntryKind.CHECK);
    assertThat(ledger().kindOfNext(LEVEL, true, day(1.05))).isEqualTo(EntryKind.AS_LEFT);
    assertThat(ledger().kindOfNext(LEVEL, false, day(2))).isEqualTo(EntryKind.AS_FOUND);
    entry(LEVEL, EntryKind.AS_LEFT, 2, Verdict.WITHIN, true, Optional.empty());
    assertThat(ledger().kindOfNext(LEVEL, false, day(2.1))).isEqualTo(EntryKind.AS_FOUND);
  }

  @Test
  void theAftermathOfAnEventSaysWhatIsProvenAgain() {
    proveAll(1);
    happened(EventKind.MOVED, 2);
    read(LEVEL, 3, Verdict.WITHIN);
    Aftermath after = ledger().aftermaths(STATIONS).getFirst();
    assertThat(after.doubted().keySet()).containsExactlyElementsOf(STATIONS);
    assertThat(after.proved()).containsExactly(LEVEL);
    assertThat(after.provedAt()).isEmpty();
    read(FOCUS, 4, Verdict.WITHIN);
    read(CARDS, 5, Verdict.WITHIN);
    assertThat(ledger().aftermaths(STATIONS).getFirst().provedAt()).contains(day(5));
    assertThat(ledger().aftermaths(STATIONS).getFirst().cleared()).isTrue();
  }

  @Test
  void standingsHaveWords() {
    assertThat(StandingWords.of(standing(FOCUS, 1), ZoneOffset.UTC))
        .isEqualTo(Message.of("ledger.standing.waits", LEVEL.title()));
    read(LEVEL, 1, Verdict.WITHIN);
    assertThat(ENGLISH.say(StandingWords.of(standing(LEVEL, 2), ZoneOffset.UTC)))
        .isEqualTo("holds · 02 Mar");
    happened(EventKind.MOVED, 2);
    assertThat(ENGLISH.say(StandingWords.of(standing(LEVEL, 3), ZoneOffset.UTC)))
        .isEqualTo("in doubt · machine moved");
    read(LEVEL, 4, Verdict.ADJUST);
    assertThat(ENGLISH.say(StandingWords.of(standing(LEVEL, 5), ZoneOffset.UTC)))
        .isEqualTo("out: 0.40 mm, limit 0.30");
    assertThat(ENGLISH.say(StandingWords.reasonToRead(standing(LEVEL, 5)))).isEqualTo("was out");
  }

  @Test
  void onlyWhatCanHappenToAMachineIsOffered() {
    assertThat(EventKind.HEAD_SHIMMED.canHappenTo(ALDER)).isFalse();
    assertThat(EventKind.MIRROR_CLEANED.canHappenTo(ALDER)).isTrue();
    assertThat(EventKind.WITHDRAWN.canHappenTo(ALDER)).isFalse();
  }

  /** Written down in this order, whatever the clock said. */
  private Entry written(double at, double recordedAt, Verdict verdict) {
    Entry entry =
        new Entry(
            "w" + history.size(),
            "alder",
            "level",
            Optional.empty(),
            EntryKind.AS_LEFT,
            day(at),
            day(recordedAt),
            "EH",
            Message.of("ledger.reason.check"),
            "{}",
            "{}",
            verdict,
            List.of(Figure.of("highToLow", 0.4, Quantity.LENGTH).limited(0.3)),
            Optional.empty());
    history.add(entry);
    return entry;
  }

  private Event moved(double at, double recordedAt) {
    Event event =
        new Event(
            "m" + history.size(),
            "alder",
            EventKind.MOVED,
            day(at),
            day(recordedAt),
            "EH",
            "",
            Optional.empty(),
            List.of(),
            Optional.empty());
    history.add(event);
    return event;
  }

  @Test
  void anEntryDatedInTheFutureMasksNothingThatComesAfterIt() {
    written(400, 1, Verdict.WITHIN);
    Event moved = moved(2, 2);
    assertThat(standing(LEVEL, 3))
        .isInstanceOfSatisfying(
            Standing.Stale.class,
            s ->
                assertThat(s.cause())
                    .isEqualTo(new Standing.Cause.Happened(moved, Doubt.READ_AGAIN)));
    Entry bad = written(4, 4, Verdict.ADJUST);
    assertThat(standing(LEVEL, 5)).isEqualTo(new Standing.Out(bad));
    assertThat(ledger().ahead(day(5))).extracting(Recorded::id).containsExactly("w0");
    assertThat(ledger().ahead(day(401))).isEmpty();
  }

  @Test
  void whatCountsIsTheOrderOfWritingAfterTheClockWasSetBack() {
    written(10, 10, Verdict.WITHIN);
    Event moved = moved(3, 3);
    assertThat(standing(LEVEL, 4)).isInstanceOf(Standing.Stale.class);
    Entry again = written(3.5, 3.5, Verdict.WITHIN);
    assertThat(standing(LEVEL, 4)).isEqualTo(new Standing.Holds(again));
    assertThat(ledger().lastWritten()).contains(again);
    assertThat(ledger().aftermaths(STATIONS).getFirst().event()).isEqualTo(moved);
    assertThat(ledger().aftermaths(STATIONS).getFirst().proved()).contains(LEVEL);
  }

  /** The clock ran two years ahead for one entry and was set back. */
  @Test
  void whatIsToldNowStandsAfterALineThatWasWrittenWithTheClockAhead() {
    Entry ahead = written(730, 730, Verdict.WITHIN);
    assertThat(standing(LEVEL, 3)).isEqualTo(new Standing.Holds(ahead));
    Event crash = moved(3, 3.01);
    assertThat(standing(LEVEL, 3.02))
        .isInstanceOfSatisfying(
            Standing.Stale.class,
            s ->
                assertThat(s.cause())
                    .isEqualTo(new Standing.Cause.Happened(crash, Doubt.READ_AGAIN)));
    assertThat(ledger().isAfter(crash, ahead)).isTrue();
    written(2.9, 3.02, Verdict.WITHIN);
    assertThat(standing(LEVEL, 3.03))
        .as("read before the crash")
        .isInstanceOf(Standing.Stale.class);
  }

  @Test
  void aLineDatedAheadHoldsNoLongerThanFromTheDayItWasFoundOut() {
    Entry ahead = written(730, 730, Verdict.WITHIN);
    Map<String, Instant> found = Map.of(ahead.id(), day(3));
    Ledger ledger = new Ledger(ALDER, history, found);
    assertThat(ledger.standings(STATIONS, day(102)).get(LEVEL))
        .isEqualTo(new Standing.Holds(ahead));
    assertThat(Due.of(ledger, Map.of(LEVEL, new Standing.Holds(ahead))).getFirst().on())
        .isEqualTo(day(103));
    assertThat(ledger.standings(STATIONS, day(104)).get(LEVEL))
        .isEqualTo(new Standing.Stale(ahead, new Standing.Cause.Aged(day(103), 100)));
    assertThat(ledger.ahead(day(800))).as("named for good").containsExactly(ahead);
    assertThat(new Ledger(ALDER, history).standings(STATIONS, day(104)).get(LEVEL))
        .as("what it would be otherwise")
        .isEqualTo(new Standing.Holds(ahead));
  }

  @Test
  void whatIsDatedBackIsJudgedAsOfThen() {
    Entry proof = written(5, 5, Verdict.WITHIN);
    moved(4, 6);
    assertThat(standing(LEVEL, 7)).isEqualTo(new Standing.Holds(proof));
    moved(5.5, 6.5);
    assertThat(standing(LEVEL, 7)).isInstanceOf(Standing.Stale.class);
    written(5.2, 8, Verdict.WITHIN);
    assertThat(standing(LEVEL, 9)).as("read before the move").isInstanceOf(Standing.Stale.class);
  }

  @Test
  void anyLineCanBeTakenBackAndBroughtBack() {
    Entry proof = written(1, 1, Verdict.WITHIN);
    Event first = moved(2, 2);
    moved(3, 3);
    history.add(first.withdrawnBy("back", day(4), "EH"));
    assertThat(ledger().events()).extracting(Event::id).containsExactly("m2");
    assertThat(ledger().withdrawn()).extracting(w -> w.what().id()).containsExactly("m1");
    history.add(((Event) history.getLast()).withdrawnBy("again", day(5), "EH"));
    assertThat(ledger().events()).extracting(Event::id).containsExactly("m1", "m2");
    assertThat(ledger().withdrawn()).isEmpty();
    history.add(proof.withdrawnBy("undone", day(6), "EH"));
    assertThat(standing(LEVEL, 7)).isInstanceOf(Standing.Open.class);
    history.add(((Entry) history.getLast()).withdrawnBy("redone", day(6), "EH"));
    assertThat(standing(LEVEL, 7)).isInstanceOf(Standing.Stale.class);
  }

  private static final Station AIM =
      new Station(
          "aim",
          Phase.MAKE_READY,
          m -> true,
          Set.of(),
          Map.of(EventKind.LENS_NEW, Doubt.READ_AGAIN, EventKind.CRASH, Doubt.READ_AGAIN),
          100,
          10,
          Optional.of(SubjectKind.LENS));

  private Entry aimed(String lens, double day, Verdict verdict) {
    Entry entry =
        new Entry(
            "a" + history.size(),
            "alder",
            "aim",
            Optional.of(lens),
            EntryKind.AS_LEFT,
            day(day),
            day(day),
            "EH",
            Message.of("ledger.reason.check"),
            "{}",
            "{}",
            verdict,
            List.of(Figure.of("gap", 6, Quantity.LENGTH)),
            Optional.empty());
    history.add(entry);
    return entry;
  }

  private void lens(EventKind kind, String lens, double day) {
    history.add(
        new Event(
            "l" + history.size(),
            "alder",
            kind,
            day(day),
            day(day),
            "EH",
            "",
            Optional.of(lens),
            List.of(),
            Optional.empty()));
  }

  /** "160mm" and "160 mm" are one lens. */
  @Test
  void aNameIsTheSameWhateverItsBlanksAndCapitals() {
    List<Station> stations = List.of(AIM);
    aimed("160 mm", 1, Verdict.WITHIN);
    lens(EventKind.LENS_KNOWN, "160MM", 2);
    assertThat(ledger().standings(stations, day(3)).get(AIM).holds()).isTrue();
    assertThat(ledger().onFile(AIM, stations, day(3))).isEmpty();
    assertThat(ledger().entriesOfFitted(AIM)).hasSize(1);
    lens(EventKind.LENS_KNOWN, "254 mm", 4);
    assertThat(ledger().onFile(AIM, stations, day(5))).containsOnlyKeys("160 mm");
  }

  @Test
  void theOnlyLensOfAMachineIsTheOneThatIsOnIt() {
    Machine one = ALDER.withLenses(List.of(new Lens(50.8, OptionalDouble.empty())));
    assertThat(new Ledger(one, List.of()).subjectNow(AIM)).contains("50.8 mm");
    assertThat(new Ledger(ALDER, List.of()).subjectNow(AIM)).isEmpty();
    Machine two =
        ALDER.withLenses(
            List.of(
                new Lens(50.8, OptionalDouble.empty()),
                new Lens(
                    Optional.of("the long one"),
                    101.6,
                    OptionalDouble.empty(),
                    OptionalDouble.empty())));
    assertThat(new Ledger(two, List.of()).subjectNow(AIM)).as("one of two").isEmpty();
    assertThat(two.lensNames()).containsExactly("50.8 mm", "the long one");
  }

  @Test
  void aStationStandsForEachSubjectAndTheRailShowsWhatIsFitted() {
    List<Station> stations = List.of(AIM);
    lens(EventKind.LENS_NEW, "50.8", 1);
    Entry shorter = aimed("50.8", 2, Verdict.WITHIN);
    lens(EventKind.LENS_NEW, "101.6", 3);
    assertThat(ledger().standings(stations, day(4)).get(AIM)).isInstanceOf(Standing.Open.class);
    assertThat(ledger().onFile(AIM, stations, day(4)))
        .containsExactly(Map.entry("50.8", new Standing.Holds(shorter)));
    Entry longer = aimed("101.6", 5, Verdict.WITHIN);
    lens(EventKind.LENS_KNOWN, "50.8", 6);
    assertThat(ledger().fitted(SubjectKind.LENS)).contains("50.8");
    assertThat(ledger().standings(stations, day(7)).get(AIM))
        .isEqualTo(new Standing.Holds(shorter));
    assertThat(ledger().onFile(AIM, stations, day(7)))
        .containsExactly(Map.entry("101.6", new Standing.Holds(longer)));
    happened(EventKind.CRASH, 8);
    assertThat(ledger().standings(stations, day(9)).get(AIM)).isInstanceOf(Standing.Stale.class);
    assertThat(ledger().onFile(AIM, stations, day(9)).get("101.6"))
        .as("a crash doubts what is on file as well")
        .isInstanceOf(Standing.Stale.class);
  }

  @Test
  void whatThisVersionDoesNotKnowDecidesNothingAndIsTold() {
    Entry proof = written(1, 1, Verdict.WITHIN);
    history.add(
        new Entry(
            "u",
            "alder",
            "level",
            Optional.empty(),
            EntryKind.UNKNOWN,
            day(2),
            day(2),
            "EH",
            Message.verbatim("RECALIBRATED"),
            "{}",
            "{}",
            Verdict.STOP,
            List.of(),
            Optional.empty()));
    assertThat(standing(LEVEL, 3)).isEqualTo(new Standing.Holds(proof));
    assertThat(ledger().unread()).extracting(Recorded::id).containsExactly("u");
    assertThat(ledger().stationsNotAmong(List.of(FOCUS))).containsExactly("level");
  }
}
