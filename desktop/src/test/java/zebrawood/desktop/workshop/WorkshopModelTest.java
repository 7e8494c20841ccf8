package zebrawood.desktop.workshop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.bed.BedStation;
import zebrawood.desktop.DemoCopy;
import zebrawood.desktop.Models;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Standing;
import zebrawood.measure.Verdict;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** The open workshop without a window: a queue stands for the interface's thread. */
class WorkshopModelTest {
  @TempDir Path folder;

  private final BlockingQueue<Runnable> ui = new LinkedBlockingQueue<>();
  private Clock clock = Clock.systemUTC();
  private Path file;
  private WorkshopModel model;

  @BeforeEach
  void open() {
    file = folder.resolve("w.zebrawood");
    DemoCopy.write(file, clock.instant());
    model = start();
  }

  private WorkshopModel start() {
    Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop();
    return new WorkshopModel(
        WorkshopModel.start(workshop, List.of(BedStation.STATION), "eh", clock.instant()),
        List.of(BedStation.STATION),
        ui::add,
        clock,
        "eh");
  }

  @AfterEach
  void close() {
    model.close();
  }

  /** Runs what comes back from the writer until the count is reached. */
  private void pump(AtomicInteger done) throws InterruptedException {
    while (done.get() == 0) {
      Runnable next = ui.poll(10, TimeUnit.SECONDS);
      assertThat(next).as("the writer answered").isNotNull();
      next.run();
    }
  }

  private Standing standing() {
    return model.opened().standing(BedStation.STATION);
  }

  private Entry entry(EntryKind kind) {
    Entry pattern = model.opened().ledger().entriesAt(BedStation.STATION).getLast();
    return NewEntry.of(
        model,
        BedStation.STATION,
        kind,
        pattern.readings(),
        pattern.finding(),
        Verdict.WITHIN,
        pattern.figures(),
        Optional.empty(),
        Optional.empty());
  }

  @Test
  void theDemoShowsEveryStanding() throws InterruptedException {
    assertThat(standing()).isInstanceOf(Standing.Stale.class);
    Map<String, Class<?>> expected =
        Map.of(
            "Sedge",
            Standing.Holds.class,
            "Flint",
            Standing.Out.class,
            "Bryony",
            Standing.Open.class);
    for (var machine : model.machinesProperty().get().subList(1, 4)) {
      model.say("of the machine before");
      model.choose(machine);
      while (!model.opened().machine().equals(machine)) {
        ui.poll(10, TimeUnit.SECONDS).run();
      }
      assertThat(standing()).as(machine.name()).isInstanceOf(expected.get(machine.name()));
      assertThat(model.messageProperty().get()).isEmpty();
    }
  }

  @Test
  void whatIsRecordedIsOnTheDiskBeforeItIsSaidAndStandingsFollow() throws InterruptedException {
    model.setInitials("EH");
    Entry entry = entry(EntryKind.AS_LEFT);
    AtomicInteger done = new AtomicInteger();
    model.record(entry, StationPaper.NOTHING, done::incrementAndGet, () -> {});
    assertThat(standing()).as("not before it is written").isInstanceOf(Standing.Stale.class);
    pump(done);
    assertThat(standing().holds()).isTrue();
    assertThat(Models.said(entry.because())).isEqualTo("machine moved");
    assertThat(model.draft(BedStation.STATION)).isEmpty();
    model.close();
    model = start();
    assertThat(standing().holds()).isTrue();
    assertThat(model.initials()).contains("EH");
  }

  @Test
  void aFileThatCannotBeWrittenIsSaidAndTheStandingStays()
      throws InterruptedException, SQLException {
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
        var sql = other.createStatement()) {
      sql.execute(
          "CREATE TRIGGER full BEFORE INSERT ON entry BEGIN SELECT RAISE(ABORT, 'disk full'); END");
    }
    AtomicInteger failed = new AtomicInteger();
    model.record(entry(EntryKind.AS_LEFT), StationPaper.NOTHING, () -> {}, failed::incrementAndGet);
    pump(failed);
    assertThat(model.messageProperty().get()).startsWith("Not recorded:").contains("still here");
    assertThat(standing()).isInstanceOf(Standing.Stale.class);
  }

  private void restart(Clock at) {
    model.close();
    clock = at;
    model = start();
  }

  /** The clock is two years ahead for one entry, then set back. */
  private void provenWithTheClockAhead(Clock right) throws InterruptedException {
    restart(Clock.offset(right, Duration.ofDays(730)));
    AtomicInteger done = new AtomicInteger();
    model.record(entry(EntryKind.AS_LEFT), StationPaper.NOTHING, done::incrementAndGet, () -> {});
    pump(done);
    restart(right);
    assertThat(standing().holds()).isTrue();
    assertThat(model.opened().notices())
        .extracting(m -> Text.of(m))
        .anySatisfy(n -> assertThat(n).contains("ahead").contains("as left, dated"));
  }

  @Test
  void whatHappensAfterALineDatedAheadPutsInDoubt() throws InterruptedException {
    provenWithTheClockAhead(clock);
    AtomicInteger done = new AtomicInteger();
    model.happened(Happening.now(EventKind.MOVED, ""), done::incrementAndGet, () -> {});
    pump(done);
    assertThat(standing()).as("moved, told now").isInstanceOf(Standing.Stale.class);
  }

  @Test
  void whatHappenedTenMinutesAgoPutsInDoubtALineDatedAhead() throws InterruptedException {
    provenWithTheClockAhead(clock);
    AtomicInteger done = new AtomicInteger();
    model.happened(
        new Happening(
            EventKind.MOVED,
            Optional.of(clock.instant().minus(Duration.ofMinutes(10))),
            "",
            Optional.empty(),
            List.of()),
        done::incrementAndGet,
        () -> {});
    pump(done);
    assertThat(standing()).isInstanceOf(Standing.Stale.class);
  }

  @Test
  void aLineDatedAheadHoldsFromTheDayItWasFoundOut() throws InterruptedException {
    Clock right = clock;
    provenWithTheClockAhead(right);
    Duration holds = Duration.ofDays(BedStation.STATION.holdsDays());
    restart(Clock.offset(right, holds.minusDays(1)));
    assertThat(standing().holds()).isTrue();
    restart(Clock.offset(right, holds.plusDays(2)));
    assertThat(standing())
        .isInstanceOfSatisfying(
            Standing.Stale.class,
            s -> assertThat(s.cause()).isInstanceOf(Standing.Cause.Aged.class));
  }

  @Test
  void anEventAndItsWithdrawal() throws InterruptedException {
    int before = model.opened().ledger().events().size();
    AtomicInteger done = new AtomicInteger();
    model.happened(Happening.now(EventKind.CRASH, ""), done::incrementAndGet, () -> {});
    pump(done);
    assertThat(model.opened().ledger().events()).hasSize(before + 1);
    done.set(0);
    model.withdraw(model.opened().ledger().events().getLast(), done::incrementAndGet);
    pump(done);
    assertThat(model.opened().ledger().events()).hasSize(before);
  }

  @Test
  void onlyTheNewestDraftIsKept() {
    for (int i = 0; i < 500; i++) {
      model.keepDraft(BedStation.STATION, Map.of("reading.0", String.valueOf(i)));
    }
    assertThat(model.draft(BedStation.STATION)).isEqualTo(Map.of("reading.0", "499"));
    model.close();
    model = start();
    assertThat(model.draft(BedStation.STATION)).isEqualTo(Map.of("reading.0", "499"));
  }

  @Test
  void aCorrectionLeavesTheDraftAlone() throws InterruptedException {
    model.keepDraft(BedStation.STATION, Map.of("reading.0", "7"));
    Entry wrong = model.opened().ledger().entriesAt(BedStation.STATION).getLast();
    Entry right =
        NewEntry.of(
            model,
            BedStation.STATION,
            EntryKind.CHECK,
            wrong.readings(),
            wrong.finding(),
            wrong.verdict(),
            wrong.figures(),
            Optional.of(wrong),
            Optional.empty());
    assertThat(right.kind()).isEqualTo(wrong.kind());
    assertThat(right.at()).isEqualTo(wrong.at());
    AtomicInteger done = new AtomicInteger();
    model.record(right, StationPaper.NOTHING, done::incrementAndGet, () -> {});
    pump(done);
    assertThat(model.draft(BedStation.STATION)).isEqualTo(Map.of("reading.0", "7"));
  }
}
