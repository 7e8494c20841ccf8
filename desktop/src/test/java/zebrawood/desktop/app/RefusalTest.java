package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationTest;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;

/** A workshop of which nothing can be read: the window says so, and its newest copy opens. */
class RefusalTest extends ApplicationTest {
  @TempDir private Path folder;

  private final CountDownLatch opened = new CountDownLatch(1);
  private final CountDownLatch begun = new CountDownLatch(1);
  private Stage stage;

  @Override
  public void start(Stage primary) {
    stage = primary;
  }

  private Path spoilt() throws IOException {
    Path file = folder.resolve("w.zebrawood");
    DemoWorkshop.write(file, Clock.systemUTC().instant());
    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      workshop.keepBackup(LocalDate.of(2026, 5, 4));
    }
    byte[] bytes = Files.readAllBytes(file);
    Arrays.fill(bytes, 100, bytes.length, (byte) 1);
    return Files.write(file, bytes);
  }

  @Test
  void theNewestCopyIsOfferedAndOpened() throws Exception {
    Path file = spoilt();
    Opening.Damaged damaged = (Opening.Damaged) Workshop.open(file);
    assertThat(damaged.sound()).isEmpty();
    Platform.runLater(() ->
        new Refusal(stage, file, Clock.systemUTC(), begun::countDown)
            .show(damaged.because(), true, s -> opened.countDown()));
    CountDownLatch pressed = new CountDownLatch(1);
    Platform.runLater(() -> {
      assertThat(((Label) stage.getScene().lookup("#refusal")).getText()).contains("damaged");
      Button restore = (Button) stage.getScene().lookup("#refusal-restore");
      assertThat(restore.getText()).contains("04 May 2026");
      restore.fire();
      pressed.countDown();
    });
    assertThat(pressed.await(20, TimeUnit.SECONDS)).isTrue();
    assertThat(opened.await(20, TimeUnit.SECONDS)).isTrue();
    assertThat(begun.getCount()).isZero();
    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      assertThat(workshop.machines().readable()).isNotEmpty();
    }
  }

  @Test
  void whereNothingIsDamagedNoCopyIsOffered() throws Exception {
    CountDownLatch looked = new CountDownLatch(1);
    Path file = folder.resolve("none.zebrawood");
    boolean[] offered = {true};
    Platform.runLater(() -> {
      new Refusal(stage, file, Clock.systemUTC(), () -> {})
          .show(Message.of("workshop.empty", file.toString()), false, s -> {});
      offered[0] = stage.getScene().lookup("#refusal-restore") != null;
      looked.countDown();
    });
    assertThat(looked.await(20, TimeUnit.SECONDS)).isTrue();
    assertThat(offered[0]).isFalse();
  }
}
