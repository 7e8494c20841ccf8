package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CountDownLatch;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is told as recorded is in the file that everybody sees. */
class LostFileWindowTest extends WindowTest {
  enum Loss {
    REMOVED {
      @Override
      void happen(Path file) throws IOException {
        Files.delete(file);
      }
    },
    RENAMED {
      @Override
      void happen(Path file) throws IOException {
        Files.move(file, file.resolveSibling("elsewhere"));
      }
    },
    REPLACED {
      @Override
      void happen(Path file) throws IOException {
        Path other = Files.copy(file, file.resolveSibling("other"));
        Files.move(file, file.resolveSibling("elsewhere"));
        Files.move(other, file);
      }
    };

    abstract void happen(Path file) throws IOException;
  }

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private int events() {
    return app.model().opened().ledger().events().size();
  }

  /** Waits for the disk, so that what is noticed is what the test does next. */
  private void whatIsTypedIsKept() {
    settle();
    CountDownLatch kept = new CountDownLatch(1);
    onInterface(() -> {
      app.model().withFile(w -> "", k -> kept.countDown(), e -> {});
      return null;
    });
    until("it is kept", () -> kept.getCount() == 0);
  }

  @ParameterizedTest
  @EnumSource
  void nothingIsToldAsRecordedInAFileThatIsGoneAndAllGoesOnInAnother(Loss loss) throws IOException {
    String machine = onInterface(() -> app.model().opened().machine().id());
    int before = onInterface(this::events);
    keys(KeyCode.CONTROL, KeyCode.DIGIT6);
    fill("#reading-0-0", "6.1");
    whatIsTypedIsKept();
    loss.happen(file);
    tellThatItWasMoved();
    until("it is noticed", () -> app.scene().lookup("#lost-file") != null);
    assertThat(onInterface(() -> app.model().messageProperty().get())).contains("Not recorded");
    assertThat(onInterface(this::events)).isEqualTo(before);

    Path taken = Files.writeString(file.resolveSibling("taken"), "something");
    fill("#lost-file", taken.toString());
    press("#lost-save");
    until(
        "it is refused",
        () -> ((Labeled) node("#lost-problem")).getText().contains("there already"));
    assertThat(taken).hasContent("something");

    Path next = file.resolveSibling("saved/w.zebrawood");
    fill("#lost-file", next.toString());
    press("#lost-save");
    until("it goes on there", () -> app.scene().lookup("#lost-file") == null);
    onInterface(() -> {
      node("#event-kinds").requestFocus();
      return null;
    });
    keys(KeyCode.ENTER);
    until("it is kept", () -> events() == before + 1);
    fill("#reading-1-0", "6.2");
    settle();
    file = next;
    reopen();
    assertThat(onInterface(() -> app.model().opened().machine().id())).isEqualTo(machine);
    assertThat(onInterface(this::events)).isEqualTo(before + 1);
    keys(KeyCode.CONTROL, KeyCode.DIGIT6);
    assertThat(words("#reading-0-0")).isEqualTo("6.1");
    assertThat(words("#reading-1-0")).isEqualTo("6.2");
  }

  @Test
  void whatIsTypedIsSaidNotToBeKept() throws IOException {
    keys(KeyCode.CONTROL, KeyCode.DIGIT6);
    settle();
    Files.delete(file);
    fill("#reading-0-0", "6.1");
    until("it is noticed", () -> app.scene().lookup("#lost-file") != null);
    assertThat(words("#reading-0-0")).isEqualTo("6.1");
  }
}
