package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

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
}
