package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.ledger.Entry;
import zebrawood.machine.Fitting;
import zebrawood.start.StartStation;

/** The go card of the demo's machines, by keyboard alone. */
class StartWindowTest extends WindowTest {
  @TempDir private Path folder;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private List<Entry> entries() {
    return onInterface(() -> app.model().opened().ledger().entriesAt(StartStation.STATION));
  }

  private void initials() {
    signIfAsked();
  }

  private void choose(String machine) {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("machine: " + machine);
    keys(KeyCode.ENTER);
    until(
        machine + " is open",
        () -> app.model().opened().machine().name().equalsIgnoreCase(machine));
    settle();
  }

  @Test
  void oneKeyALineAndTheNextRunAsksOnlyWhatChanges() {
    keys(KeyCode.CONTROL, KeyCode.G);
    assertThat(focused()).isEqualTo("proof-emergency-stop");
    assertThat(page())
        .contains("1. chiller on", "opening the lid stops the laser")
        .contains("focus not set again after the slate");
    keys(KeyCode.Y);
    assertThat(focused()).isEqualTo("proof-switch-on-1");
    keys(KeyCode.N);
    assertThat(page()).contains("Do not fire until it is so");
    int before = entries().size();
    onInterface(() -> {
      node("#proof-switch-on-1").requestFocus();
      return null;
    });
    int lines = onInterface(() -> app.scene().getRoot().lookupAll(".proof-answer").size());
    for (int i = 1; i < lines; i++) {
      keys(KeyCode.Y);
    }
    assertThat(focused()).isEqualTo("start-coolant");
    typeWords("29");
    assertThat(page()).contains("Wait for the cooling");
    fill("#start-coolant", "18.6");
    keys(KeyCode.ENTER);
    assertThat(focused()).isEqualTo("primary");
    assertThat(page()).contains("Everything on the card is in order");
    keys(KeyCode.ENTER);
    initials();
    until("it is recorded", () -> started() == before + 1);
    settle();
    assertThat(page()).contains("lines were proven earlier today");
    assertThat(focused()).as("what is asked before every run").isEqualTo("proof-coolant");
  }

  private int started() {
    return app.model().opened().ledger().entriesAt(StartStation.STATION).size();
  }

  @Test
  void anOpenMachineIsAskedForDoorSignAndEyewear() {
    choose("sedge");
    keys(KeyCode.CONTROL, KeyCode.G);
    assertThat(shows("#proof-door-shut")).isTrue();
    assertThat(shows("#proof-lid")).isFalse();
    assertThat(shows("#start-coolant")).isFalse();
  }

  @Test
  void whatIsFittedAndItsOrderChangeTheCard() {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("what is known");
    keys(KeyCode.ENTER);
    onInterface(() -> {
      ((CheckBox) node("#fitted-key_switch")).fire();
      return null;
    });
    fill("#machine-start-up", "computer, chiller, machine");
    onInterface(() -> {
      ((Button) node("#machine-add")).fire();
      return null;
    });
    initials();
    until("the change is kept", () -> !app.model().opened().machine().has(Fitting.KEY_SWITCH));
    settle();
    keys(KeyCode.CONTROL, KeyCode.G);
    assertThat(page()).contains("1. computer on").doesNotContain("without its key");
    assertThat(onInterface(() -> app.model().machinesProperty().get().size())).isEqualTo(7);
  }

  @Test
  void theCardIsWrittenForTheWall() throws IOException {
    keys(KeyCode.CONTROL, KeyCode.G);
    onInterface(() -> {
      ((Button) node("#start-print")).fire();
      return null;
    });
    settle();
    onInterface(() -> {
      ((TextField) node("#handover-folder")).setText(folder.toString());
      ((Button) node("#handover-write")).fire();
      return null;
    });
    until("both files are written", () -> node("#handover-open").isVisible());
    try (Stream<Path> files = Files.list(folder)) {
      List<Path> written = files.sorted().toList();
      assertThat(written).hasSize(2);
      assertThat(Files.readString(written.getFirst()))
          .contains("Switch on, in this order", "1. chiller on", "Never in this machine", "PVC");
      assertThat(Files.size(written.get(1))).isGreaterThan(10_000);
    }
  }
}
