package zebrawood.records.workshop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.records.Samples;

class AtHandTest {
  private static final Station BED =
      new Station(
          "bed",
          Phase.MAKE_READY,
          m -> true,
          Set.of(),
          Map.of(EventKind.MOVED, Doubt.READ_AGAIN),
          60,
          10);
  private static final List<Station> STATIONS = List.of(BED);

  @TempDir Path folder;

  private Path file() {
    return folder.resolve("w.zebrawood");
  }

  private Workshop opened() {
    return ((Opening.Opened) Workshop.open(file())).workshop();
  }

  private static Entry bed(String id, int day) {
    return Samples.entry(id, EntryKind.CHECK, day, Samples.onScrews(6, 6.1, 6, 6.05));
  }

  private static Object standing(Ledger ledger) {
    return ledger.standings(STATIONS, Samples.START.plusSeconds(40 * 86_400L)).toString();
  }

  private static Object whole(Workshop workshop) {
    List<Recorded> outlined =
        workshop.history("alder").stream()
            .<Recorded>map(r -> r instanceof Entry e ? outline(e) : r)
            .toList();
    return standing(new Ledger(Samples.ALDER, outlined));
  }

  private static Entry outline(Entry e) {
    return new Entry(
        e.id(),
        e.machineId(),
        e.stationId(),
        e.subject(),
        e.kind(),
        e.at(),
        e.recordedAt(),
        e.by(),
        e.because(),
        "",
        "",
        e.verdict(),
        e.figures(),
        e.replaces());
  }

  private static String said(Recorded line) {
    return line.id() + " 12.35 " + (line instanceof Entry e ? e.readings() : "");
  }

  private static void sql(Path file, String statement) throws Exception {
    try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        var run = connection.createStatement()) {
      run.executeUpdate(statement);
    }
  }

  @Test
  void aGlanceSaysWhatTheRecordSaysWhateverIsAddedToIt() {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      for (int i = 0; i < 30; i++) {
        workshop.record(bed("e" + i, i));
      }
      for (int i = 0; i < 3; i++) {
        assertThat(standing(workshop.atHand().glance(Samples.ALDER, STATIONS)))
            .isEqualTo(whole(workshop));
      }
      assertThat(workshop.atHand().glance(Samples.ALDER, STATIONS).entries()).hasSizeLessThan(5);
      workshop.record(Samples.moved("m", 31));
      assertThat(standing(workshop.atHand().glance(Samples.ALDER, STATIONS)))
          .isEqualTo(whole(workshop))
          .asString()
          .contains("Stale");
      workshop.record(
          Samples.moved("m", 31).withdrawnBy("w", Samples.START.plusSeconds(32 * 86_400L), "EH"));
      assertThat(standing(workshop.atHand().glance(Samples.ALDER, STATIONS)))
          .isEqualTo(whole(workshop))
          .asString()
          .contains("Holds");
    }
  }

  @Test
  void whatDoesNotFitIsMadeAnew() throws Exception {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(bed("a", 1));
      workshop.atHand().glance(Samples.ALDER, STATIONS);
    }
    sql(file(), "UPDATE telling SET ids = '{\"ids\":[\"gone\"]}'");
    try (Workshop workshop = opened()) {
      assertThat(standing(workshop.atHand().glance(Samples.ALDER, STATIONS)))
          .isEqualTo(whole(workshop));
      Station other =
          new Station("bed", Phase.MAKE_READY, m -> true, Set.of("x"), Map.of(), 30, 10);
      assertThat(workshop.atHand().glance(Samples.ALDER, List.of(other)).entries()).hasSize(1);
    }
    sql(file(), "UPDATE telling SET ids = 'no list'");
    try (Workshop workshop = opened()) {
      assertThat(standing(workshop.atHand().glance(Samples.ALDER, STATIONS)))
          .isEqualTo(whole(workshop));
    }
  }

  @Test
  void wordsAreFoundOnAllMachinesTheNewestFirst() {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(bed("first", 0));
      workshop.record(Samples.moved("moved", 90));
      Function<Recorded, String> said = AtHandTest::said;
      // Once by reading, and once by what is kept.
      for (boolean learnt : new boolean[] {false, true}) {
        if (learnt) {
          assertThat(workshop.atHand().learnWords("alder", "en", said)).isTrue();
          assertThat(workshop.atHand().learnWords("alder", "en", said)).isFalse();
        }
        assertThat(ids(workshop, "alder")).containsExactly("moved", "first");
        assertThat(ids(workshop, "Alder's FIR")).containsExactly("first");
        assertThat(ids(workshop, "12.35 moved")).containsExactly("moved");
        assertThat(ids(workshop, "12.3 first")).containsExactly("first");
        assertThat(ids(workshop, "irst")).containsExactly("first");
        assertThat(ids(workshop, "onscrews")).isEmpty();
        assertThat(ids(workshop, "6.05 first")).containsExactly("first");
        assertThat(ids(workshop, "  ")).isEmpty();
        assertThat(ids(workshop, "- \" * NEAR( ")).isEmpty();
      }
      workshop.record(bed("second", 91));
      assertThat(ids(workshop, "second")).containsExactly("second");
      assertThat(ids(workshop, "12.35"))
          .as("what has no words yet is not passed over")
          .containsExactly("second", "moved", "first");
      workshop.atHand().learnWords("alder", "en", said);
      assertThat(ids(workshop, "12.35")).containsExactly("second", "moved", "first");
      workshop.atHand().learnWords("alder", "other", r -> "otherwise " + r.id());
      assertThat(ids(workshop, "otherwise")).hasSize(3);
    }
  }

  private static List<String> ids(Workshop workshop, String wanted) {
    return workshop.atHand().search(wanted, 10, AtHandTest::said).stream()
        .map(h -> h.line().id())
        .toList();
  }

  @Test
  void whatIsKeptAtHandIsNoPartOfTheRecord() {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(bed("a", 1));
      workshop.atHand().glance(Samples.ALDER, STATIONS);
      workshop.atHand().learnWords("alder", "en", AtHandTest::said);
    }
    assertThat(Soundness.of(file())).isInstanceOf(Soundness.Sound.class);
    try (Workshop workshop = opened()) {
      assertThat(workshop.history("alder")).hasSize(1);
      assertThat(workshop.goOnIn(folder.resolve("other.zebrawood"))).isEqualTo(Optional.empty());
      assertThat(ids(workshop, "alder")).containsExactly("a");
    }
  }

  /** A full disk rolls back by itself. */
  @Test
  void afterAFullDiskTheNextEntryIsKept() throws Exception {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      sql(
          file(),
          "CREATE TRIGGER full BEFORE INSERT ON entry BEGIN SELECT RAISE(ROLLBACK, 'is full'); END");
      assertThatThrownBy(() -> workshop.record(bed("a", 1)))
          .satisfies(e ->
              assertThat(Workshop.notTaken((RuntimeException) e).orElseThrow().toString())
                  .contains("is full"));
      sql(file(), "DROP TRIGGER full");
      workshop.record(bed("b", 2));
      assertThat(workshop.read("alder")).extracting(Recorded::id).containsExactly("b");
    }
    try (Workshop workshop = opened()) {
      assertThat(workshop.history("alder")).extracting(Recorded::id).containsExactly("b");
    }
  }

  private static Machine flint() {
    return new Machine(
        "flint",
        "Flint",
        Samples.ALDER.build(),
        Samples.ALDER.source(),
        300,
        200,
        Samples.ALDER.bedSupport(),
        0.3);
  }

  private static Entry of(String machineId, Entry e) {
    return new Entry(
        e.id(),
        machineId,
        e.stationId(),
        e.subject(),
        e.kind(),
        e.at(),
        e.recordedAt(),
        e.by(),
        e.because(),
        e.readings(),
        e.finding(),
        e.verdict(),
        e.figures(),
        e.replaces());
  }

  /** A word may stand in the name of a machine, and the others in its lines. */
  @Test
  void aMachinesNameAndTheWordsOfItsLinesAreOneSearch() {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(flint(), "EH", Samples.START);
      for (int i = 0; i < 25; i++) {
        workshop.record(bed("alder-" + i, i));
        workshop.record(of("flint", bed("flint-" + i, i)));
      }
      for (boolean learnt : new boolean[] {false, true}) {
        if (learnt) {
          workshop.atHand().learnWords("alder", "en", AtHandTest::said);
          workshop.atHand().learnWords("flint", "en", AtHandTest::said);
        }
        assertThat(workshop.atHand().search("flint 12.35", 100, AtHandTest::said))
            .hasSize(25)
            .allMatch(h -> h.machineId().equals("flint"));
        assertThat(workshop.atHand().search("12.35", 100, AtHandTest::said)).hasSize(50);
        assertThat(ids(workshop, "flint 12.35"))
            .as("the newest ten, newest first")
            .containsExactlyElementsOf(
                IntStream.iterate(24, i -> i > 14, i -> i - 1)
                    .mapToObj(i -> "flint-" + i)
                    .toList());
        assertThat(ids(workshop, "flint alder")).isEmpty();
      }
    }
  }

  /** Lines of another laptop come between those that were there. */
  @Test
  void whatIsMergedInCounts() {
    Path other = folder.resolve("other.zebrawood");
    List<PassportRow> rows = new ArrayList<>();
    try (Workshop theirs = ((Opening.Opened) Workshop.open(other)).workshop()) {
      theirs.record(Samples.ALDER, "EH", Samples.START);
      theirs.record(bed("theirs", 5));
      theirs.record(Samples.moved("moved", 40));
      theirs.passport("alder", rows::add);
    }
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(bed("early", 1));
      workshop.record(bed("late", 60));
      workshop.atHand().glance(Samples.ALDER, STATIONS);
      workshop.atHand().learnWords("alder", "en", AtHandTest::said);
      workshop.merge("alder", rows);
      assertThat(standing(workshop.atHand().glance(Samples.ALDER, STATIONS)))
          .isEqualTo(whole(workshop));
      assertThat(standing(workshop.atHand().glance(Samples.ALDER, STATIONS)))
          .as("kept anew, and read from it")
          .isEqualTo(whole(workshop));
      workshop.atHand().learnWords("alder", "en", AtHandTest::said);
      assertThat(ids(workshop, "theirs")).containsExactly("theirs");
      assertThat(ids(workshop, "moved")).containsExactly("moved");
    }
  }

  /** Nothing is written to a damaged file; it can still be looked at and searched. */
  @Test
  void aDamagedFileIsSearchedByReading() throws Exception {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(bed("a", 1));
      workshop.foundDamaged();
      assertThat(workshop.atHand().learnWords("alder", "en", AtHandTest::said)).isFalse();
      assertThat(standing(workshop.atHand().glance(Samples.ALDER, STATIONS)))
          .isEqualTo(whole(workshop));
      assertThat(ids(workshop, "12.35")).containsExactly("a");
    }
    try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file());
        var run = connection.createStatement();
        var tables =
            run.executeQuery(
                "SELECT count(*) FROM sqlite_master WHERE name IN ('telling', 'word')")) {
      assertThat(tables.getInt(1)).isZero();
    }
  }

  @Test
  void theEntriesOfOneStationAreWhole() {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      Entry entry = bed("a", 1);
      workshop.record(entry);
      workshop.record(Samples.moved("m", 2));
      assertThat(workshop.atHand().at("alder", BED)).containsExactly(entry);
      assertThat(workshop.atHand().at("flint", BED)).isEmpty();
    }
  }
}
