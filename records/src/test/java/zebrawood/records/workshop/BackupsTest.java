package zebrawood.records.workshop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Recorded;
import zebrawood.records.Samples;
import zebrawood.records.workshop.Backups.Backup;

class BackupsTest {
  private static final LocalDate FIRST = LocalDate.of(2026, 5, 4);

  @TempDir private Path folder;

  private Path file() {
    return folder.resolve("w.zebrawood");
  }

  private Workshop opened() {
    return ((Opening.Opened) Workshop.open(file())).workshop();
  }

  @Test
  void aWeekOfDaysAndTwoMonthsOfWeeksAreKept() throws IOException {
    LocalDate last = FIRST.plusDays(120);
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      for (LocalDate day = FIRST; !day.isAfter(last); day = day.plusDays(1)) {
        assertThat(workshop.keepBackup(day)).isInstanceOf(Soundness.Sound.class);
      }
    }
    List<LocalDate> days = new Backups(file()).all().stream().map(Backup::day).toList();
    for (int ago = 0; ago < 7; ago++) {
      assertThat(days).contains(last.minusDays(ago));
    }
    List<LocalDate> older = days.subList(7, days.size());
    assertThat(older).hasSizeBetween(7, 9);
    assertThat(ChronoUnit.DAYS.between(older.getLast(), last)).isBetween(49L, 63L);
  }

  @Test
  void aCopyIsAWorkshopOfItsOwn() throws IOException {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      workshop.record(Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.5)));
      workshop.keepBackup(FIRST);
      workshop.record(Samples.moved("m", 90));
      workshop.keepBackup(FIRST);
    }
    Path copy = new Backups(file()).all().getFirst().file();
    try (Workshop there = ((Opening.Opened) Workshop.open(copy)).workshop()) {
      assertThat(there.history("alder").stream().map(Recorded::id)).containsExactly("a");
    }
  }

  @Test
  void nothingIsLeftBesideTheFileButItself() throws IOException {
    opened().close();
    try (var files = Files.list(folder)) {
      assertThat(files.map(f -> f.getFileName().toString())).containsExactly("w.zebrawood");
    }
  }

  @Test
  void aLinkLeadsToTheSameHold() throws IOException {
    opened().close();
    Path link = Files.createSymbolicLink(folder.resolve("link.zebrawood"), file());
    try (Workshop workshop = opened()) {
      assertThat(Workshop.open(link)).isInstanceOf(Opening.InUse.class);
      assertThat(workshop.file()).exists();
    }
  }
}
