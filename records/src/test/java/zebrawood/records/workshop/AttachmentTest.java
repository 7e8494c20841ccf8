package zebrawood.records.workshop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.ledger.Event;
import zebrawood.measure.UnusableReading;
import zebrawood.records.Samples;
import zebrawood.records.passport.PassportFile;

class AttachmentTest {
  private static final Event LINE = Samples.moved("m", 90);

  @TempDir private Path folder;

  private Path file() {
    return folder.resolve("w.zebrawood");
  }

  private Workshop opened(String name) {
    return ((Opening.Opened) Workshop.open(folder.resolve(name))).workshop();
  }

  private Workshop begun() {
    Workshop workshop = opened("w.zebrawood");
    workshop.record(Samples.ALDER, "EH", Samples.START);
    workshop.record(LINE);
    return workshop;
  }

  private static byte[] bytes(int size) {
    byte[] bytes = new byte[size];
    new Random(size).nextBytes(bytes);
    return bytes;
  }

  private static Attachment attach(Workshop to, String name, byte[] bytes) {
    return to.attach(LINE, name, bytes, "EH", Samples.START);
  }

  /** The sum of "abc" as FIPS 180-4's examples give it. */
  @Test
  void whatIsInItIsKeptOnceUnderItsSum() throws Exception {
    byte[] abc = "abc".getBytes(StandardCharsets.US_ASCII);
    try (Workshop workshop = begun()) {
      Attachment one = attach(workshop, "one.txt", abc);
      attach(workshop, "other.txt", abc);
      assertThat(one.sha256())
          .isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
      assertThat(workshop.content(one)).isEqualTo(abc);
      assertThat(workshop.attachments(LINE))
          .extracting(Attachment::name)
          .containsExactly("one.txt", "other.txt");
      assertThat(workshop.attachments(Samples.moved("another", 5))).isEmpty();
    }
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement sql = db.createStatement();
        var count = sql.executeQuery("SELECT count(*) FROM content")) {
      assertThat(count.getInt(1)).isOne();
    }
    assertThat(Soundness.of(file())).isInstanceOf(Soundness.Sound.class);
  }

  @Test
  void whatWasChangedIsNotGivenOut() throws Exception {
    Attachment attached;
    try (Workshop workshop = begun()) {
      attached = attach(workshop, "photo.jpg", bytes(5000));
    }
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement sql = db.createStatement()) {
      sql.execute("DROP TRIGGER content_is_final");
      sql.execute("UPDATE content SET bytes = x'00'");
    }
    try (Workshop workshop = opened("w.zebrawood")) {
      assertThatThrownBy(() -> workshop.content(attached))
          .isInstanceOf(UnusableReading.class)
          .hasMessageContaining("photo.jpg");
      assertThat(Soundness.of(file())).isInstanceOf(Soundness.Unsound.class);
    }
  }

  @Test
  void tooLargeEmptyAndTooManyAreRefused() {
    try (Workshop workshop = begun()) {
      assertThatThrownBy(() -> attach(workshop, "none", new byte[0]))
          .isInstanceOf(UnusableReading.class);
      assertThatThrownBy(() -> attach(workshop, "huge", new byte[Attachment.MOST_BYTES + 1]))
          .isInstanceOf(UnusableReading.class);
      for (int i = 0; i < Attachment.MOST_OF_A_LINE; i++) {
        attach(workshop, "f" + i, bytes(10 + i));
      }
      assertThatThrownBy(() -> attach(workshop, "one more", bytes(3)))
          .isInstanceOf(UnusableReading.class)
          .hasMessageContaining("40");
    }
  }

  @Test
  void aPassportCarriesTheLargestThereIs() throws IOException {
    byte[] large = bytes(Attachment.MOST_BYTES);
    Path passport = folder.resolve("alder.passport");
    try (Workshop from = begun();
        Workshop to = opened("to")) {
      Attachment attached = attach(from, "large.png", large);
      PassportFile.write(from, Samples.ALDER, passport);
      for (int twice = 0; twice < 2; twice++) {
        PassportFile read = PassportFile.read(passport, Workshop.version());
        to.merge(read.machineId(), read.rows());
      }
      assertThat(to.attachments(LINE)).containsExactly(attached);
      assertThat(to.content(attached)).isEqualTo(large);
    }
    assertThat(Soundness.of(folder.resolve("to"))).isInstanceOf(Soundness.Sound.class);
  }

  @Test
  void aPassportOfTheFirstVersionIsStillRead() throws IOException {
    Path passport = folder.resolve("alder.passport");
    try (Workshop from = begun()) {
      PassportFile.write(from, Samples.ALDER, passport);
    }
    String text =
        Files.readString(passport)
            .replace("\"version\":2,\"machine\"", "\"version\":1,\"machine\"")
            .replace(",\"attachment\":null", "");
    int foot = text.lastIndexOf("{\"lines\"");
    String body = text.substring(0, foot);
    Path old = folder.resolve("old.passport");
    Files.writeString(
        old,
        body
            + text.substring(foot)
                .replaceFirst(
                    "[0-9a-f]{64}",
                    zebrawood.records.file.Sha256.of(body.getBytes(StandardCharsets.UTF_8))));
    assertThat(PassportFile.read(old, Workshop.version()).rows()).hasSize(2);
  }

  /** The disk takes no attachment: nothing of the passport is taken in. */
  @Test
  void aFullDiskLeavesEverythingAsItWas() throws Exception {
    Path passport = folder.resolve("alder.passport");
    try (Workshop from = begun()) {
      attach(from, "photo.jpg", bytes(3000));
      PassportFile.write(from, Samples.ALDER, passport);
    }
    opened("to").close();
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("to"));
        Statement sql = db.createStatement()) {
      sql.execute(
          "CREATE TRIGGER full BEFORE INSERT ON attachment"
              + " BEGIN SELECT RAISE(ABORT, 'disk full'); END");
    }
    try (Workshop to = opened("to")) {
      PassportFile read = PassportFile.read(passport, Workshop.version());
      assertThatThrownBy(() -> to.merge(read.machineId(), read.rows()))
          .hasMessageContaining("disk full");
      assertThat(to.machines().readable()).isEmpty();
      assertThat(to.history("alder")).isEmpty();
    }
  }
}
