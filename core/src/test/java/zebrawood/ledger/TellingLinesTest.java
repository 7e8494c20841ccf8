package zebrawood.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What a few lines say is what the whole record says, for random records. */
class TellingLinesTest {
  private static final int RECORDS = Integer.getInteger("telling.records", 150);
  private static final Instant START = Instant.parse("2026-03-01T08:00:00Z");
  private static final Machine MADDER =
      new Machine(
          "madder",
          "Madder",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.SCREWS,
          0.3);
  private static final List<Station> STATIONS =
      List.of(
          station("level", Set.of(), Map.of(EventKind.MOVED, Doubt.READ_AGAIN), Optional.empty()),
          station(
              "focus",
              Set.of("level"),
              Map.of(EventKind.LENS_NEW, Doubt.QUICK_CHECK),
              Optional.of(SubjectKind.LENS)),
          station("cards", Set.of("focus", "level"), Map.of(), Optional.of(SubjectKind.STOCK)),
          station("called", Set.of("cards"), Map.of(), Optional.empty())
              .turning(Station.Turn.ON_CALL));
  private static final List<String> NAMES = List.of("50 mm", "50MM", "100 mm", "birch", "slate");
  private static final List<EventKind> HAPPENED =
      List.of(EventKind.MOVED, EventKind.LENS_NEW, EventKind.POWER_CUT, EventKind.STOCK_TAKEN);

  private final Random random = new Random(11);
  private int lines;
  private Instant now = START;

  private static Station station(
      String id, Set<String> restsOn, Map<EventKind, Doubt> doubts, Optional<SubjectKind> subject) {
    return new Station(id, Phase.MAKE_READY, m -> true, restsOn, doubts, 40, 10, subject);
  }

  private <T> T one(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  /** A line; a plain one is written down as it is read and takes no other's place. */
  private Recorded line(List<Recorded> before, boolean plain) {
    now = now.plusSeconds(600 + random.nextInt(5 * 86_400));
    Instant at =
        plain || random.nextInt(5) > 0 ? now : now.minusSeconds(random.nextInt(30 * 86_400));
    String id = "r" + lines++;
    Optional<String> replaces =
        plain || before.isEmpty() || random.nextInt(6) > 0
            ? Optional.empty()
            : Optional.of(one(before).id());
    Optional<String> name = random.nextInt(4) == 0 ? Optional.empty() : Optional.of(one(NAMES));
    if (random.nextInt(4) == 0) {
      EventKind kind = replaces.isPresent() ? EventKind.WITHDRAWN : one(HAPPENED);
      return new Event(
          id,
          "madder",
          kind,
          replaces.isPresent() ? now : at,
          now,
          "EH",
          "",
          kind.names().isPresent() ? name : Optional.empty(),
          List.of(),
          replaces);
    }
    boolean withdrawn = replaces.isPresent() && random.nextBoolean();
    return new Entry(
        id,
        "madder",
        one(STATIONS).id(),
        name,
        withdrawn ? EntryKind.WITHDRAWN : EntryKind.CHECK,
        withdrawn ? now : at,
        now,
        "EH",
        Message.of("ledger.reason.check"),
        "{}",
        "{}",
        one(List.of(Verdict.values())),
        random.nextInt(3) == 0 ? List.of() : List.of(Figure.of("f", 0.4, Quantity.LENGTH)),
        replaces);
  }

  @Test
  void aFewLinesSayWhatTheWholeRecordSays() {
    int kept = 0;
    int all = 0;
    for (int i = 0; i < RECORDS; i++) {
      List<Recorded> history = new ArrayList<>();
      int many = random.nextInt(150);
      for (int k = 0; k < many; k++) {
        history.add(line(history, false));
      }
      List<Recorded> telling = TellingLines.of(new Ledger(MADDER, history), STATIONS);
      kept += telling.size();
      all += history.size();
      List<Recorded> since = new ArrayList<>();
      for (int more = 0; more < 12; more++) {
        Ledger whole = new Ledger(MADDER, history);
        Ledger few = Ledger.fromTelling(MADDER, telling, since, Map.of());
        Instant later = now.plusSeconds(random.nextInt(60 * 86_400));
        assertThat(few.standings(STATIONS, later)).isEqualTo(whole.standings(STATIONS, later));
        STATIONS.forEach(s -> assertThat(few.subjectNow(s)).isEqualTo(whole.subjectNow(s)));
        Recorded next = line(history, true);
        history.add(next);
        since.add(next);
      }
    }
    assertThat(kept).isLessThan(all * 2 / 3);
  }

  private static Entry read(String id, String station, int day, Verdict verdict) {
    Instant at = START.plusSeconds(86_400L * day);
    return new Entry(
        id,
        "madder",
        station,
        Optional.empty(),
        EntryKind.CHECK,
        at,
        at,
        "EH",
        Message.of("ledger.reason.check"),
        "{}",
        "{}",
        verdict,
        List.of(Figure.of("f", 0.4, Quantity.LENGTH)),
        Optional.empty());
  }

  private static List<String> told(Recorded... history) {
    return TellingLines.of(new Ledger(MADDER, List.of(history)), STATIONS).stream()
        .map(Recorded::id)
        .toList();
  }

  @Test
  void ofManyGoodReadingsTheLastIsEnough() {
    assertThat(
            told(
                read("a", "level", 1, Verdict.WITHIN),
                read("b", "level", 2, Verdict.WITHIN),
                read("c", "level", 3, Verdict.WITHIN)))
        .containsExactly("c");
  }

  /** The last, the last that decided, and the last proof. */
  @Test
  void whatDecidedAndWhatProvedAreKeptBesideTheLast() {
    assertThat(
            told(
                read("proof", "level", 1, Verdict.WITHIN),
                read("out", "level", 2, Verdict.ADJUST),
                read("out again", "level", 3, Verdict.ADJUST),
                read("unsure", "level", 4, Verdict.MEASURE_AGAIN)))
        .containsExactly("proof", "out again", "unsure");
  }

  /** The bed was out once after the focus was proven: that doubts the focus, however long ago. */
  @Test
  void theFirstThatWasOutAfterAProofAboveItIsKept() {
    assertThat(
            told(
                read("level", "level", 1, Verdict.WITHIN),
                read("focus", "focus", 2, Verdict.WITHIN),
                read("out", "level", 3, Verdict.ADJUST),
                read("out later", "level", 4, Verdict.ADJUST),
                read("level again", "level", 5, Verdict.WITHIN)))
        .containsExactly("focus", "out", "level again");
  }

  /** A station that nobody knows here keeps its last entry, so that it is told. */
  @Test
  void whatThisVersionDoesNotKnowIsKept() {
    assertThat(
            told(
                read("a", "unheard of", 1, Verdict.WITHIN),
                read("b", "unheard of", 2, Verdict.STOP)))
        .containsExactly("a", "b");
    assertThat(told()).isEmpty();
  }
}
