package zebrawood.records.workshop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.machine.Trial;
import zebrawood.records.Samples;
import zebrawood.words.Dates;
import zebrawood.words.Phrasebook;

class WorkshopTest {
  @TempDir Path folder;

  private Path file() {
    return folder.resolve("deep/er/w.zebrawood");
  }

  private static Workshop opened(Path file) {
    return ((Opening.Opened) Workshop.open(file)).workshop();
  }

  @Test
  void keepsMachinesEntriesEventsAndPreferences() {
    Entry first = Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.5));
    Entry second = Samples.entry("b", EntryKind.AS_LEFT, 30, Samples.onScrews(6, 6, 6, 6.1));
    try (Workshop workshop = opened(file())) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(first);
      workshop.record(Samples.moved("m", 90));
      workshop.record(second);
      workshop.prefer("eh", "unit", "INCH");
      workshop.prefer("eh", "unit", "MILLIMETRE");
    }
    try (Workshop workshop = opened(file())) {
      assertThat(workshop.machines().readable()).containsExactly(Samples.ALDER);
      assertThat(workshop.history("alder"))
          .as("in the order of writing, entries and events alike")
          .containsExactly(first, Samples.moved("m", 90), second);
      assertThat(workshop.history("sedge")).isEmpty();
      assertThat(workshop.preference("eh", "unit")).contains("MILLIMETRE");
      assertThat(workshop.preference("tr", "unit")).isEmpty();
    }
  }

  @Test
  void whatWasTypedAndFoundIsReadWhenItIsAskedForAndLinesOfSeveralMachinesStayAtHand() {
    Entry kept = Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.5));
    try (Workshop workshop = opened(file())) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(kept);
    }
    try (Workshop workshop = opened(file())) {
      for (int i = 0; i < 12; i++) {
        assertThat(workshop.history("other-" + i)).isEmpty();
      }
      Entry line = (Entry) workshop.history("alder").getFirst();
      for (int i = 0; i < 12; i++) {
        workshop.history("other-" + i);
        assertThat(workshop.history("alder").getFirst())
            .as("not read again while it is asked for")
            .isSameAs(line);
      }
      Entry more = Samples.entry("b", EntryKind.AS_LEFT, 30, Samples.onScrews(6, 6, 6, 6.1));
      workshop.record(more);
      assertThat(workshop.history("alder")).containsExactly(line, more);
      assertThat(line.readings()).isEqualTo(kept.readings());
      assertThat(line.finding()).isEqualTo(kept.finding());
      assertThat(line).isEqualTo(kept).hasSameHashCodeAs(kept);
    }
    Entry unread;
    String later =
        Samples.entry("b", EntryKind.AS_LEFT, 30, Samples.onScrews(6, 6, 6, 6.1)).readings();
    try (Workshop workshop = opened(file())) {
      unread = (Entry) workshop.history("alder").getFirst();
      Entry meanwhile = (Entry) workshop.history("alder").getLast();
      synchronized (workshop) {
        assertThat(CompletableFuture.supplyAsync(meanwhile::readings))
            .as("asked while other work holds the file")
            .succeedsWithin(Duration.ofSeconds(20))
            .isEqualTo(later);
      }
    }
    assertThat(unread.readings()).as("the file is closed: nothing is made up").isEmpty();
  }

  @Test
  void aNewerDescriptionOfAMachineIsTheMachine() {
    try (Workshop workshop = opened(file())) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      Machine renamed =
          new Machine(
              "alder",
              "Alder two",
              Samples.ALDER.build(),
              Samples.ALDER.source(),
              700,
              500,
              Samples.ALDER.bedSupport(),
              0.25);
      workshop.record(renamed, "EH", Samples.START.plusSeconds(60));
      assertThat(workshop.machines().readable()).containsExactly(renamed);
    }
  }

  @Test
  void aRemovedTrialMachineIsNotListedAndItsRecordStays() {
    try (Workshop workshop = opened(file())) {
      Machine trial = Samples.ALDER.withTrial(Trial.IN_USE);
      workshop.record(trial, "EH", Samples.START);
      Entry entry = Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.5));
      workshop.record(entry);
      assertThat(workshop.machines().readable()).containsExactly(trial);
      workshop.record(trial.withTrial(Trial.REMOVED), "EH", Samples.START.plusSeconds(60));
      assertThat(workshop.machines().readable()).isEmpty();
      assertThat(workshop.machines().unread()).isEmpty();
      assertThat(workshop.history("alder")).containsExactly(entry);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "DELETE FROM entry", "UPDATE entry SET verdict = 'WITHIN'", "DELETE FROM event",
        "UPDATE event SET note = ''", "DELETE FROM machine", "UPDATE machine SET body = ''"
      })
  void theFileItselfRefusesToForget(String statement) throws SQLException {
    try (Workshop workshop = opened(file())) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.5)));
      workshop.record(Samples.moved("m", 1));
    }
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement sql = connection.createStatement()) {
      assertThatThrownBy(() -> sql.executeUpdate(statement))
          .isInstanceOf(SQLException.class)
          .hasMessageContaining("append-only");
    }
  }

  /** No calendar has it, and no zone can add its hours to it. */
  @ParameterizedTest
  @ValueSource(strings = {"-1000000000-01-01T00:00:00Z", "+999999999-12-31T23:59:59Z", "soon"})
  void aDateThatNoCalendarHasMakesALineThatCannotBeReadAndNothingThrows(String date)
      throws SQLException {
    try (Workshop workshop = opened(file())) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(Samples.moved("m", 1));
      workshop.record(Samples.entry("a", EntryKind.AS_FOUND, 2, Samples.onScrews(6, 7, 6, 6.5)));
    }
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement sql = connection.createStatement()) {
      sql.executeUpdate("DROP TRIGGER event_is_final");
      sql.executeUpdate("DROP TRIGGER entry_is_final");
      sql.executeUpdate("UPDATE event SET at = '" + date + "'");
      sql.executeUpdate("UPDATE entry SET at = '" + date + "', recorded_at = '" + date + "'");
    }
    try (Workshop workshop = opened(file())) {
      Ledger ledger = new Ledger(Samples.ALDER, workshop.history("alder"));
      assertThat(ledger.unread()).hasSize(2);
      for (Recorded line : ledger.unread()) {
        for (int hours : new int[] {-18, 0, 18}) {
          assertThat(
                  Phrasebook.ENGLISH.say(Dates.dayAndTime(line.time(), ZoneOffset.ofHours(hours))))
              .isNotBlank();
        }
      }
    }
  }

  @Test
  void recordingAnEntryTakesItsDraftWithItAndAWithdrawalDoesNot() {
    try (Workshop workshop = opened(file())) {
      Entry entry = Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.5));
      workshop.keepDraft("alder", "bed", Map.of("reading.0", "6,3"));
      workshop.keepDraft("alder", "bed", Map.of("reading.0", "6,35"));
      assertThat(workshop.draft("alder", "bed")).isEqualTo(Map.of("reading.0", "6,35"));
      workshop.record(entry);
      assertThat(workshop.draft("alder", "bed")).isEmpty();
      workshop.keepDraft("alder", "bed", Map.of("reading.1", "7"));
      workshop.record(entry.withdrawnBy("w", Samples.START, "EH"));
      assertThat(workshop.draft("alder", "bed")).isNotEmpty();
      workshop.dropDraft("alder", "bed");
      assertThat(workshop.draft("alder", "bed")).isEmpty();
    }
  }

  @Test
  void theSameEntryTwiceIsRefusedAndNothingIsHalfWritten() {
    try (Workshop workshop = opened(file())) {
      Entry entry = Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.5));
      workshop.record(entry);
      workshop.keepDraft("alder", "bed", Map.of("reading.1", "7"));
      assertThatThrownBy(() -> workshop.record(entry)).isInstanceOf(RuntimeException.class);
      assertThat(workshop.history("alder")).hasSize(1);
      assertThat(workshop.draft("alder", "bed")).isNotEmpty();
    }
  }

  @Test
  void aSecondWindowIsToldWhoHasTheFile() {
    try (Workshop first = opened(file())) {
      assertThat(Workshop.open(first.file()))
          .isInstanceOfSatisfying(
              Opening.InUse.class,
              inUse ->
                  assertThat(Phrasebook.ENGLISH.say(inUse.holder()))
                      .contains("process " + ProcessHandle.current().pid()));
    }
    opened(file()).close();
  }

  @Test
  void aFileOfANewerVersionIsLeftAlone() throws SQLException {
    opened(file()).close();
    setVersion(99);
    assertThat(Workshop.open(file()))
        .isInstanceOfSatisfying(
            Opening.Unusable.class,
            u -> assertThat(Phrasebook.ENGLISH.say(u.because())).contains("newer Zebrawood", "99"));
    setVersion(Workshop.SCHEMA);
    opened(file()).close();
  }

  private void setVersion(int version) throws SQLException {
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement sql = connection.createStatement()) {
      sql.execute("PRAGMA user_version = " + version);
    }
  }

  @Test
  void somethingElseIsNotAWorkshop() throws IOException {
    Path text = folder.resolve("letter.txt");
    Files.writeString(text, "Dear customer, ".repeat(400));
    assertThat(Workshop.open(text))
        .isInstanceOfSatisfying(
            Opening.Unusable.class,
            u ->
                assertThat(Phrasebook.ENGLISH.say(u.because()))
                    .contains("no workshop of this program"));
    assertThat(Files.readString(text)).startsWith("Dear customer");
    assertThat(Workshop.open(folder))
        .isInstanceOfSatisfying(
            Opening.Unusable.class,
            u -> assertThat(Phrasebook.ENGLISH.say(u.because())).contains("no file that can"));
    Path notAFolder = text.resolve("w.zebrawood");
    assertThat(Workshop.open(notAFolder)).isInstanceOf(Opening.Unusable.class);
  }

  @Test
  void damagedRowsAndKindsOfANewerVersionAreToldAndEverythingElseIsThere() throws SQLException {
    Entry good = Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.5));
    try (Workshop workshop = opened(file())) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(good);
    }
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement sql = connection.createStatement()) {
      String copy =
          "INSERT INTO entry (id, machine_id, station, kind, at, recorded_at, recorded_by,"
              + " because, readings, finding, verdict, figures, version, ord) SELECT '%s',"
              + " machine_id, station, %s, at, recorded_at, recorded_by, because, readings,"
              + " finding, %s, %s, version, ord + %d FROM entry WHERE id = 'a'";
      sql.execute(copy.formatted("kind", "'SPECTRAL'", "verdict", "figures", 1));
      sql.execute(copy.formatted("verdict", "kind", "'MAYBE'", "figures", 2));
      sql.execute(copy.formatted("figures", "kind", "verdict", "'{['", 3));
      sql.execute(
          "INSERT INTO event (id, machine_id, kind, at, recorded_at, recorded_by, note, version,"
              + " ord) VALUES ('e', 'alder', 'ECLIPSE', '2026-03-02T10:00:00Z',"
              + " '2026-03-02T10:00:00Z', 'TR', '', 2, 9)");
    }
    try (Workshop workshop = opened(file())) {
      Ledger ledger = new Ledger(Samples.ALDER, workshop.history("alder"));
      assertThat(ledger.entries()).contains(good);
      assertThat(ledger.unread())
          .extracting(Recorded::id)
          .containsExactlyInAnyOrder("kind", "verdict", "figures", "e");
    }
  }

  /** Another process records and is killed without warning; what it said was recorded is there. */
  @Test
  void whatWasSaidToBeRecordedSurvivesAKill() throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder(
                ProcessHandle.current().info().command().orElseThrow(),
                "--enable-native-access=ALL-UNNAMED",
                "-cp",
                System.getProperty("java.class.path"),
                Recorder.class.getName(),
                file().toString())
            .redirectErrorStream(true)
            .start();
    int said = 0;
    try (var lines = process.inputReader()) {
      while (said < 40) {
        String line = lines.readLine();
        assertThat(line).as("the process ended early").isNotNull();
        if (line.startsWith("recorded ")) {
          assertThat(line).isEqualTo("recorded " + said);
          said++;
        }
      }
      process.destroyForcibly();
      assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
    }
    try (Workshop workshop = opened(file())) {
      List<Recorded> entries = workshop.history("alder");
      assertThat(entries.size()).isGreaterThanOrEqualTo(said);
      assertThat(Integer.parseInt(workshop.draft("alder", "mirrors").get("reading.0")))
          .isGreaterThanOrEqualTo(said - 1);
    }
  }

  /** Records entries and drafts until it is killed. */
  public static final class Recorder {
    public static void main(String[] args) {
      Workshop workshop = opened(Path.of(args[0]));
      for (int i = 0; i < 100_000; i++) {
        workshop.record(Samples.entry("e" + i, EntryKind.CHECK, i, Samples.onScrews(6, 6.1, 6, 6)));
        // Of another station: recording an entry deletes the draft of its own.
        workshop.keepDraft("alder", "mirrors", Map.of("reading.0", String.valueOf(i)));
        System.out.println("recorded " + i);
      }
    }
  }
}
