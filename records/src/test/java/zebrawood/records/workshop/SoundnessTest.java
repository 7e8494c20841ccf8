package zebrawood.records.workshop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.ledger.EntryKind;
import zebrawood.records.Samples;
import zebrawood.words.Phrasebook;

class SoundnessTest {
  @TempDir private Path folder;

  private Path written() {
    Path file = folder.resolve("w.zebrawood");
    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      workshop.record(Samples.ALDER, "EH", Samples.START);
      for (int i = 0; i < 20; i++) {
        workshop.record(
            Samples.entry("e" + i, EntryKind.AS_FOUND, i, Samples.onScrews(6, 7, 6, 6.5)));
      }
      workshop.record(Samples.moved("m", 90));
    }
    return file;
  }

  private static void change(Path file, String... statements) throws Exception {
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = db.createStatement()) {
      for (String one : statements) {
        statement.execute(one);
      }
    }
  }

  private static String said(Soundness soundness) {
    return Phrasebook.ENGLISH.say(((Soundness.Unsound) soundness).because());
  }

  @Test
  void aWorkshopAsItWasWrittenIsSound() {
    assertThat(Soundness.of(written())).isEqualTo(new Soundness.Sound(1, 20, 1));
  }

  @Test
  void whatWasAlteredIsNamed() throws Exception {
    Path file = written();
    change(
        file, "DROP TRIGGER entry_is_final", "UPDATE entry SET recorded_by = 'XX' WHERE id = 'e7'");
    assertThat(said(Soundness.of(file))).contains("altered").contains("The entry").contains("bed");
  }

  @Test
  void whatIsMissingIsNamed() throws Exception {
    Path file = written();
    change(file, "DROP TRIGGER event_is_kept", "DELETE FROM event");
    assertThat(said(Soundness.of(file))).contains("The event").contains("missing");
  }

  @Test
  void aLineThatWasPutInIsNamed() throws Exception {
    Path file = written();
    change(
        file,
        "INSERT INTO entry (id, machine_id, station, kind, at, recorded_at, recorded_by, because,"
            + " readings, finding, verdict, figures, version, ord) SELECT 'forged', machine_id,"
            + " station, kind, at, recorded_at, recorded_by, because, readings, finding, verdict,"
            + " figures, version, 99 FROM entry WHERE id = 'e3'");
    assertThat(said(Soundness.of(file))).contains("altered");
  }

  /** No byte of a damaged file leads to anything but a sentence, or to what was written. */
  @Test
  void everyDamagedFileGetsASentence() throws IOException {
    byte[] whole = Files.readAllBytes(written());
    Random random = new Random(5);
    for (int i = 0; i < 250; i++) {
      byte[] damaged =
          i % 3 == 0 ? Arrays.copyOf(whole, random.nextInt(whole.length)) : whole.clone();
      if (i % 3 != 0 && damaged.length > 0) {
        int at = random.nextInt(damaged.length);
        for (int k = at; k < Math.min(damaged.length, at + 64); k++) {
          damaged[k] = (byte) random.nextInt(256);
        }
      }
      Path file = Files.write(folder.resolve("d" + i), damaged);
      assertThat(Soundness.of(file)).isNotNull();
      switch (Workshop.open(file)) {
        case Opening.Opened(Workshop workshop) -> workshop.close();
        case Opening.Damaged(var because, var sound) -> {
          sound.ifPresent(Workshop::close);
          assertThat(Phrasebook.ENGLISH.sentence(because)).contains("damaged");
          assertThat(Files.readAllBytes(file)).isEqualTo(damaged);
        }
        case Opening.Unusable(var because) ->
            assertThat(Phrasebook.ENGLISH.sentence(because)).isNotBlank();
        case Opening.InUse(var holder) -> throw new AssertionError(holder);
      }
    }
  }

  @Test
  void aFileThatIsNotOursIsNotTouched() throws Exception {
    Path empty = Files.createFile(folder.resolve("empty"));
    Path text = Files.writeString(folder.resolve("text"), "a letter to my aunt ".repeat(20));
    Path other = folder.resolve("other.db");
    change(other, "CREATE TABLE recipes (name TEXT)");
    for (Path file : new Path[] {empty, text, other}) {
      byte[] before = Files.readAllBytes(file);
      assertThat(Workshop.open(file)).as("%s", file).isInstanceOf(Opening.Unusable.class);
      assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }
  }

  @Test
  void aWorkshopIsReadByItsOwnerAlone() throws IOException {
    Path file = written();
    Assumptions.assumeTrue(Files.getFileStore(file).supportsFileAttributeView("posix"));
    assertThat(Files.getPosixFilePermissions(file))
        .containsExactlyInAnyOrder(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
  }
}
