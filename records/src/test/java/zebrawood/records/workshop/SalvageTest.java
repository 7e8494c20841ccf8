package zebrawood.records.workshop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Recorded;
import zebrawood.records.Samples;
import zebrawood.words.Phrasebook;

/** What is left of a damaged workshop, and a copy put in its place. */
class SalvageTest {
  private static final int ENTRIES = 60;
  private static final LocalDate DAY = LocalDate.of(2026, 5, 4);
  private static final LocalDateTime NOW = LocalDateTime.of(2026, 5, 5, 9, 30, 7);

  @TempDir private Path folder;

  private Path file() {
    return folder.resolve("w.zebrawood");
  }

  private Workshop opened() {
    return ((Opening.Opened) Workshop.open(file())).workshop();
  }

  private void write() throws IOException {
    try (Workshop workshop = opened()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      for (int i = 0; i < ENTRIES; i++) {
        workshop.record(
            Samples.entry("e" + i, EntryKind.AS_FOUND, i, Samples.onScrews(6, 7, 6, 6.5)));
      }
      workshop.keepBackup(DAY);
    }
  }

  private static Set<String> ids(Workshop workshop) {
    return new HashSet<>(workshop.history("alder").stream().map(Recorded::id).toList());
  }

  /** Overwrites a leaf of the entries' table from outside, found by asking the file itself. */
  private void spoilALeafOfEntries() throws Exception {
    long page;
    int size;
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement sql = db.createStatement()) {
      try (ResultSet row = sql.executeQuery("PRAGMA page_size")) {
        size = row.getInt(1);
      }
      try (ResultSet row =
          sql.executeQuery(
              "SELECT pageno FROM dbstat WHERE name = 'entry' AND pagetype = 'leaf'"
                  + " ORDER BY pageno LIMIT 1 OFFSET 6")) {
        page = row.getLong(1);
      }
    }
    byte[] bytes = Files.readAllBytes(file());
    int at = Math.toIntExact((page - 1) * size);
    Arrays.fill(bytes, at, at + size, (byte) 0x5a);
    Files.write(file(), bytes);
  }

  @Test
  void aSpoiltPageCostsItsLinesAlone() throws Exception {
    write();
    spoilALeafOfEntries();
    byte[] damaged = Files.readAllBytes(file());
    Opening.Damaged opening = (Opening.Damaged) Workshop.openDamaged(file());
    try (Workshop sound = opening.sound().orElseThrow()) {
      assertThat(sound.machines().readable()).containsExactly(Samples.ALDER);
      assertThat(sound.history("alder").size()).isBetween(ENTRIES - 6, ENTRIES - 1);
      assertThat(Phrasebook.ENGLISH.sentence(opening.because()))
          .contains("damaged", "can be read", "of machine", "alder");
      assertThatThrownBy(() -> sound.record(Samples.moved("m", 90)))
          .isInstanceOf(Shut.Damaged.class);
      sound.keepDraft("alder", "bed", Map.of("reading.1", "7"));
      Path next = folder.resolve("next.zebrawood");
      int lines = sound.history("alder").size();
      assertThat(sound.goOnIn(next)).isEmpty();
      sound.record(Samples.moved("m", 90));
      assertThat(sound.history("alder")).hasSize(lines + 1);
      assertThat(sound.draft("alder", "bed")).containsEntry("reading.1", "7");
    }
    assertThat(Files.readAllBytes(file())).isEqualTo(damaged);
    assertThat(Soundness.of(folder.resolve("next.zebrawood"))).isInstanceOf(Soundness.Sound.class);
  }

  @Test
  void ofAHalfCopiedFileTheFirstHalfIsShown() throws Exception {
    write();
    byte[] whole = Files.readAllBytes(file());
    Files.write(file(), Arrays.copyOf(whole, whole.length * 3 / 5));
    Opening.Damaged opening = (Opening.Damaged) Workshop.openDamaged(file());
    assertThat(opening.sound()).isPresent();
    try (Workshop sound = opening.sound().orElseThrow()) {
      assertThat(sound.machines().readable()).hasSize(1);
    }
  }

  @Test
  void whatWasAlteredBesidesIsLeftOut() throws Exception {
    write();
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement sql = db.createStatement()) {
      sql.execute("DROP TRIGGER entry_is_final");
      sql.execute("UPDATE entry SET recorded_by = 'XX' WHERE id = 'e7'");
    }
    Opening.Damaged opening = (Opening.Damaged) Workshop.openDamaged(file());
    try (Workshop sound = opening.sound().orElseThrow()) {
      assertThat(ids(sound)).hasSize(ENTRIES - 1).doesNotContain("e7");
    }
  }

  @Test
  void aSoundWorkshopThatIsSavedSaysTheSame() throws Exception {
    write();
    Opening.Damaged opening = (Opening.Damaged) Workshop.openDamaged(file());
    List<Recorded> saved;
    try (Workshop sound = opening.sound().orElseThrow()) {
      saved = sound.history("alder");
      // Asked for while it is open.
      assertThat(saved).allMatch(line -> !((Entry) line).readings().isEmpty());
    }
    try (Workshop workshop = opened()) {
      assertThat(saved).isEqualTo(workshop.history("alder"));
    }
    assertThat(Phrasebook.ENGLISH.sentence(opening.because())).contains("Nothing of it is lost");
  }

  @Test
  void aCopyTakesThePlaceAndWhatWasThereIsSetAside() throws Exception {
    write();
    try (Workshop workshop = opened()) {
      workshop.record(Samples.moved("m", 90));
      Path copy = new Backups(file()).all().getFirst().file();
      Path aside = ((Restored.Done) workshop.restore(copy, NOW)).aside();
      assertThat(ids(workshop)).hasSize(ENTRIES).doesNotContain("m");
      workshop.record(Samples.moved("after", 95));
      assertThat(Workshop.open(file())).isInstanceOf(Opening.InUse.class);
      try (Workshop before = ((Opening.Opened) Workshop.open(aside)).workshop()) {
        assertThat(ids(before)).hasSize(ENTRIES + 1).contains("m");
      }
    }
    try (Workshop workshop = opened()) {
      assertThat(ids(workshop)).contains("after");
    }
  }

  @Test
  void aFileThatCannotBeOpenedIsRestoredAndADamagedCopyIsNot() throws Exception {
    write();
    Path copy = new Backups(file()).all().getFirst().file();
    byte[] junk = Files.readAllBytes(file());
    Arrays.fill(junk, 100, junk.length, (byte) 1);
    Files.write(file(), junk);
    assertThat(Workshop.open(file()))
        .isInstanceOfSatisfying(Opening.Damaged.class, d -> assertThat(d.sound()).isEmpty());
    Path spoilt = Files.write(folder.resolve("spoilt"), junk);
    assertThat(Restored.of(file(), spoilt, NOW)).isInstanceOf(Restored.Refused.class);
    assertThat(Files.readAllBytes(file())).isEqualTo(junk);
    assertThat(Restored.of(file(), copy, NOW)).isInstanceOf(Restored.Done.class);
    try (Workshop workshop = opened()) {
      assertThat(ids(workshop)).hasSize(ENTRIES);
    }
  }

  /** Something stands where the file would be set aside: all is as it was, and work goes on. */
  @Test
  void whatCannotBeRestoredLeavesTheWorkshopOpen() throws Exception {
    write();
    Path aside = folder.resolve("w.zebrawood.set-aside-2026-05-05-093007");
    Files.writeString(aside, "somebody's");
    try (Workshop workshop = opened()) {
      Path copy = new Backups(file()).all().getFirst().file();
      assertThat(workshop.restore(copy, NOW)).isInstanceOf(Restored.Refused.class);
      workshop.record(Samples.moved("m", 90));
      assertThat(ids(workshop)).hasSize(ENTRIES + 1);
    }
    assertThat(aside).hasContent("somebody's");
    assertThat(folder.resolve("w.zebrawood.restored-part")).doesNotExist();
  }

  @Test
  void aLinkIsNotReplacedByTheCopyAndHasItsFilesCopies() throws Exception {
    write();
    Path link = Files.createSymbolicLink(folder.resolve("link.zebrawood"), file());
    Path copy = new Backups(link).all().getFirst().file();
    assertThat(Restored.of(link, copy, NOW)).isInstanceOf(Restored.Done.class);
    assertThat(link).isSymbolicLink();
    try (Workshop workshop = opened()) {
      assertThat(ids(workshop)).hasSize(ENTRIES);
    }
  }

  @Test
  void aFileWithASecondNameIsNotOpenedUnderEither() throws Exception {
    write();
    Path other = Files.createLink(folder.resolve("other.zebrawood"), file());
    for (Path name : List.of(file(), other)) {
      assertThat(Workshop.open(name))
          .isInstanceOfSatisfying(
              Opening.Unusable.class,
              u -> assertThat(Phrasebook.ENGLISH.sentence(u.because())).contains("second name"));
    }
    Files.delete(other);
    opened().close();
  }

  @Test
  void noFolderIsLeftBehind() throws Exception {
    write();
    Path temporary = Path.of(System.getProperty("java.io.tmpdir"));
    Set<Path> before = begunHere(temporary);
    Opening.Damaged opening = (Opening.Damaged) Workshop.openDamaged(file());
    opening.sound().orElseThrow().close();
    assertThat(begunHere(temporary)).isEqualTo(before);
  }

  private static Set<Path> begunHere(Path temporary) throws IOException {
    Set<Path> found = new HashSet<>();
    for (String kind : List.of("damaged", "sound")) {
      try (var files = Files.newDirectoryStream(temporary, Salvage.folderStart(kind) + "*")) {
        files.forEach(found::add);
      }
    }
    return found;
  }
}
