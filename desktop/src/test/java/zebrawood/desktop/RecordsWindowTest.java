package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import zebrawood.machine.Machine;
import zebrawood.records.passport.PassportFile;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;

/** Passports and search in the real window. */
class RecordsWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private void says(String words) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!page().contains(words)) {
      assertThat(System.nanoTime()).as(words + " in " + page()).isLessThan(end);
    }
  }

  private void command(String words) {
    keys(KeyCode.CONTROL, KeyCode.SPACE);
    typeWords(words);
    keys(KeyCode.ENTER);
  }

  @Test
  void aPassportIsWrittenAndTakenInWithoutDoubles() throws IOException {
    open("Alder", "bed");
    int before = onInterface(() -> app.model().opened().ledger().entries().size());
    Path file = this.file.resolveSibling("alder-out.passport");
    command("Write this machine");
    fill("#passport-file", file.toString());
    keys(KeyCode.ENTER);
    until("it is written", () -> Files.exists(file));
    command("Take a passport");
    fill("#passport-file", file.toString());
    keys(KeyCode.ENTER);
    says("taken in");
    assertThat(onInterface(() -> app.model().opened().ledger().entries().size())).isEqualTo(before);
    String text = Files.readString(file);
    Path changed =
        Files.writeString(file.resolveSibling("changed"), text.replace("commissioning", "xx"));
    command("Take a passport");
    fill("#passport-file", changed.toString());
    keys(KeyCode.ENTER);
    says("one that was cut, or changed");
    keys(KeyCode.ESCAPE);
  }

  @Test
  void wordsAreFoundOnAnotherMachineAndItsStationOpens() {
    open("Alder", "bed");
    keys(KeyCode.CONTROL, KeyCode.F);
    typeWords("flint lens");
    keys(KeyCode.ENTER);
    says("found, the newest first");
    says("Flint");
    onInterface(() -> {
      ((javafx.scene.control.Button)
              app.scene().getRoot().lookupAll(".button").stream()
                  .filter(n -> String.valueOf(n.getId()).startsWith("hit-"))
                  .findFirst()
                  .orElseThrow())
          .fire();
      return null;
    });
    until("Flint is open", () -> app.model().opened().machine().name().equals("Flint"));
    keys(KeyCode.CONTROL, KeyCode.F);
    typeWords("no such words anywhere");
    keys(KeyCode.ENTER);
    says("Nothing on record has all of these words");
  }

  private Path written(String name, String text) throws IOException {
    return Files.writeString(file.resolveSibling(name), text);
  }

  @Test
  void readingsGoIntoACsvFileAndComeBack() throws IOException {
    open("Alder", "bed");
    fill("#reading-0-0", "6.1");
    fill("#reading-1-0", "0.25 in");
    Path csv = file.resolveSibling("bed-out.csv");
    command("Write these readings");
    fill("#readings-file", csv.toString());
    keys(KeyCode.ENTER);
    until("it is written", () -> Files.exists(csv));
    String text = Files.readString(csv);
    assertThat(text.lines().findFirst().orElseThrow()).contains("reading.0 [mm]");
    assertThat(text.lines().count()).as("those on record too").isGreaterThan(2);
    until("the card is gone", () -> app.scene().lookup("#readings-file") == null);
    fill("#reading-0-0", "");
    fill("#reading-1-0", "");
    command("readings from");
    fill("#readings-file", csv.toString());
    keys(KeyCode.ENTER);
    until("it is read", () -> app.scene().lookup("#readings-file") == null);
    settle();
    assertThat(words("#reading-0-0")).isEqualTo("6.1");
    assertThat(words("#reading-1-0")).isEqualTo("0.25 in");

    Path wrong = written("wrong.csv", "reading.0 [mm],reading.9.9 [mm]\r\n6.2,6.3\r\n");
    command("readings from");
    fill("#readings-file", wrong.toString());
    keys(KeyCode.ENTER);
    says("reading.9.9");
    says("no column of this sheet");
    written("wrong.csv", "reading.0 [kg]\r\n6.2\r\n");
    keys(KeyCode.ENTER);
    says("one of these units");
    keys(KeyCode.ESCAPE);
    assertThat(words("#reading-0-0")).as("nothing was changed").isEqualTo("6.1");
    Path inches = written("inches.csv", "reading.0 [in];row\n1,5;now\n");
    command("readings from");
    fill("#readings-file", inches.toString());
    keys(KeyCode.ENTER);
    until("it is read", () -> app.scene().lookup("#readings-file") == null);
    settle();
    assertThat(words("#reading-0-0")).isEqualTo("1,5 in");
  }

  private static byte[] picture(int width, int height) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int x = 0; x < width; x++) {
      image.setRGB(x, height / 2, 0xc04020);
    }
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "png", bytes);
    return bytes.toByteArray();
  }

  @Test
  void aPictureStaysWithItsEntry() throws IOException {
    open("Alder", "bed");
    keys(KeyCode.F9);
    press("#attachments");
    Path photo = Files.write(file.resolveSibling("photo.png"), picture(1200, 700));
    fill("#attach-file", photo.toString());
    keys(KeyCode.ENTER);
    signIfAsked();
    if (app.scene().lookup("#attach-file") == null) {
      press("#attachments");
    }
    says("photo.png");
    until("its small picture is there", () -> app.scene().lookup(".thumbnail .image-view") != null);
    fill("#attach-file", file.resolveSibling("no such file").toString());
    keys(KeyCode.ENTER);
    says("There is no such file");
    Files.delete(photo);
    press("#" + saveButton());
    until("it was saved", () -> Files.exists(photo));
    assertThat(photo).hasBinaryContent(picture(1200, 700));
    keys(KeyCode.ESCAPE);
    reopen();
    openStation("bed");
    keys(KeyCode.F9);
    press("#attachments");
    says("photo.png");
  }

  /** As when its file was opened from outside. */
  @Test
  void aPassportIsOfferedAndTakenInByEnter() throws IOException {
    open("Alder", "bed");
    Path passport = file.resolveSibling("alder.passport");
    onInterface(() -> {
      app.model()
          .withFile(
              w -> {
                try {
                  return PassportFile.write(w, app.model().opened().machine(), passport);
                } catch (IOException e) {
                  throw new UncheckedIOException(e);
                }
              },
              lines -> app.shell().record().passportIn(passport.toString()),
              e -> {});
      return null;
    });
    until("it is offered", () -> app.scene().lookup("#passport-file") != null);
    assertThat(words("#passport-file")).isEqualTo(passport.toString());
    keys(KeyCode.ENTER);
    until("it is taken in", () -> app.model().messageProperty().get().contains("Alder"));
    assertThat(app.model().messageProperty().get()).contains("0 ");
  }

  @Test
  void aPictureStaysWithWhatHappened() throws IOException {
    open("Alder", "");
    press("#today-all-events");
    Path photo = Files.write(file.resolveSibling("crate.png"), picture(300, 200));
    press("#event-attachments");
    says("What belongs to what happened on");
    fill("#attach-file", photo.toString());
    keys(KeyCode.ENTER);
    signIfAsked();
    if (app.scene().lookup("#attach-file") == null) {
      press("#event-attachments");
    }
    says("crate.png");
    keys(KeyCode.ESCAPE);
    reopen();
    open("Alder", "");
    press("#today-all-events");
    press("#event-attachments");
    says("crate.png");
  }

  private String saveButton() {
    return onInterface(() ->
        app.scene().getRoot().lookupAll(".button").stream()
            .map(n -> String.valueOf(n.getId()))
            .filter(id -> id.startsWith("attachment-save-"))
            .findFirst()
            .orElseThrow());
  }

  private Machine called(String name) {
    Machine m = onInterface(() -> app.model().opened().machine());
    return new Machine(
        m.id(),
        name,
        m.build(),
        m.source(),
        m.areaXMm(),
        m.areaYMm(),
        m.bedSupport(),
        m.levelToleranceMm());
  }

  @Test
  void twoDescriptionsStandBesideEachOtherUntilOneIsChosen() throws IOException {
    open("Alder", "bed");
    Path first = file.resolveSibling("first.passport");
    Path back = file.resolveSibling("back.passport");
    Machine ours = called("Alder of the shed");
    Machine theirs = called("Alder of the hall");
    onInterface(() -> {
      app.model()
          .withFile(
              w -> {
                try {
                  return PassportFile.write(w, app.model().opened().machine(), first);
                } catch (IOException e) {
                  throw new UncheckedIOException(e);
                }
              },
              lines -> app.model().add(ours, () -> {}, () -> {}),
              e -> {});
      return null;
    });
    until("it is called so", () -> app.model().opened().machine().name().equals(ours.name()));
    Path other = file.resolveSibling("other.zebrawood");
    try (Workshop there = ((Opening.Opened) Workshop.open(other)).workshop()) {
      PassportFile passport = PassportFile.read(first, Workshop.version());
      there.merge(passport.machineId(), passport.rows());
      there.record(theirs, "TR", clock.instant());
      PassportFile.write(there, theirs, back);
    }
    command("Take a passport");
    fill("#passport-file", back.toString());
    keys(KeyCode.ENTER);
    until("both are shown", () -> app.scene().lookup("#twice-rows") != null);
    says("Alder of the shed");
    says("Alder of the hall");
    keys(KeyCode.ESCAPE);
    keys(KeyCode.CONTROL, KeyCode.HOME);
    says("described anew on two computers");
    command("Choose between two");
    press("#twice-one");
    signIfAsked();
    until("it is chosen", () -> app.model().opened().machine().name().equals(ours.name()));
    until("it is settled", () -> app.model().opened().twice().isEmpty());
  }

  private int entries() {
    return app.model().opened().ledger().events().size();
  }

  @Test
  void aCopyOfTheDayIsPutBackAndNothingIsLost() throws IOException {
    open("Alder", "bed");
    int before = onInterface(this::entries);
    command("Restore a copy");
    says("There is no copy of this workshop yet");
    onInterface(() -> {
      app.model()
          .withFile(
              w -> {
                try {
                  return w.keepBackup(LocalDate.of(2026, 5, 4));
                } catch (IOException e) {
                  throw new UncheckedIOException(e);
                }
              },
              sound -> app.model().say("a copy is kept"),
              e -> {});
      return null;
    });
    says("a copy is kept");
    tellThatItWasMoved();
    until("it is recorded", () -> entries() == before + 1);
    command("Restore a copy");
    until("it is listed", () -> app.scene().lookup("#restore-copies") != null);
    keys(KeyCode.ENTER);
    says("The copy of 04 May 2026 is open");
    assertThat(onInterface(this::entries)).isEqualTo(before);
    tellThatItWasMoved();
    until("work goes on", () -> entries() == before + 1);
    try (var aside =
        Files.newDirectoryStream(file.getParent(), file.getFileName() + ".set-aside-*")) {
      Path was = aside.iterator().next();
      try (Workshop there = ((Opening.Opened) Workshop.open(was)).workshop()) {
        assertThat(there.machines().readable()).isNotEmpty();
      }
    }
  }

  @Test
  void aDamagedWorkshopIsLookedAtAndNothingIsWrittenToIt() {
    open("Alder", "bed");
    int before = onInterface(this::entries);
    onInterface(() -> {
      app.model().fileState().tellDamage(Message.of("workshop.damaged", file.toString()));
      return null;
    });
    until("it is told", () -> app.scene().lookup("#lost-file") != null);
    says("look at what is sound");
    press("#lost-cancel");
    tellThatItWasMoved();
    says("nothing is written to it");
    keys(KeyCode.ESCAPE);
    assertThat(onInterface(this::entries)).isEqualTo(before);
    command("Save all elsewhere");
    Path next = file.resolveSibling("sound/w.zebrawood");
    fill("#lost-file", next.toString());
    press("#lost-save");
    until("it goes on there", () -> app.scene().lookup("#lost-file") == null);
    tellThatItWasMoved();
    until("it is kept", () -> entries() == before + 1);
    assertThat(next).exists();
  }
}
