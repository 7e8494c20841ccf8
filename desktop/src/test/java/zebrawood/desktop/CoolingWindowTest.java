package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.cooling.CoolingStation;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Standing;
import zebrawood.start.StartStation;

/** The cooling of the demo's machines, by keyboard alone. */
class CoolingWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private List<Entry> entries() {
    return onInterface(() -> app.model().opened().ledger().entriesAt(CoolingStation.STATION));
  }

  private Standing standing() {
    return onInterface(() -> app.model().opened().standing(CoolingStation.STATION));
  }

  private void withInitials() {
    signIfAsked();
  }

  /** The go card of the demo's Alder, line by line. */
  private void goThroughTheCard() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
    int lines = onInterface(() -> app.scene().getRoot().lookupAll(".proof-answer").size());
    for (int i = 0; i < lines; i++) {
      keys(KeyCode.Y);
    }
    typeWords("18.4");
    keys(KeyCode.ENTER);
    keys(KeyCode.ENTER);
    withInitials();
    until(
        "the card is recorded",
        () -> app.model().opened().ledger().entriesAt(StartStation.STATION).size() == 3);
    settle();
  }

  @Test
  void nothingIsPoweredBeforeTheStopIsProvenToday() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT2);
    assertThat(page()).contains("Not proven today").contains("coolant pump included");
    assertThat(words("#primary")).isEqualTo("Prove it now");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    assertThat(focused()).isEqualTo("proof-emergency-stop");
    keys(KeyCode.CONTROL, KeyCode.DIGIT2);
    onInterface(() -> {
      ((javafx.scene.control.Button) node("#secondary")).fire();
      return null;
    });
    settle();
    assertThat(disabled("#reason-go")).as("a reason is needed").isTrue();
    typeWords("stop button is at the electrician's");
    keys(KeyCode.ENTER);
    withInitials();
    until(
        "the reason is kept",
        () ->
            app.model().opened().ledger().events().stream()
                .anyMatch(e -> e.note().contains("at the electrician's")));
    settle();
    assertThat(page()).doesNotContain("Not proven today");
    assertThat(words("#primary")).isEqualTo("Record as found");
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    assertThat(page())
        .as("the reason settles what it named, and nothing else")
        .contains("Opening the lid stops the laser")
        .doesNotContain("tried with the mains on");
    keys(KeyCode.CONTROL, KeyCode.HOME);
    assertThat(page()).contains("Went on without today's proof");
  }

  @Test
  void readProvenAndRecordedByKeysAlone() {
    goThroughTheCard();
    keys(KeyCode.CONTROL, KeyCode.DIGIT2);
    assertThat(focused()).isEqualTo("cooling-room");
    int before = entries().size();
    for (String words : List.of("72 F", "45", "18.5")) {
      typeWords(words);
      keys(KeyCode.ENTER);
    }
    assertThat(focused()).isEqualTo("proof-flow");
    keys(KeyCode.Y);
    assertThat(page()).contains("pinching the hose stops").contains("dew point");
    keys(KeyCode.Y);
    keys(KeyCode.N);
    keys(KeyCode.Y);
    assertThat(focused()).isEqualTo("primary");
    assertThat(page()).contains("Do not fire until it is so");
    fill("#cooling-humidity", "450");
    assertThat(disabled("#primary")).isTrue();
    assertThat(words("#cooling-message")).contains("0 % to 100 %");
    fill("#cooling-humidity", "45");
    onInterface(() -> {
      node("#proof-bubbles").requestFocus();
      return null;
    });
    keys(KeyCode.Y);
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    withInitials();
    until(
        "it is recorded",
        () -> app.model().opened().ledger().entriesAt(CoolingStation.STATION).size() == before + 1);
    settle();
    assertThat(entries().getLast().kind()).isEqualTo(EntryKind.AS_LEFT);
    assertThat(entries().getLast().readings()).contains("72 F").contains("22.2");
    assertThat(standing().holds()).isTrue();
    assertThat(focused()).isEqualTo("cooling-room");
    assertThat(words("#proof-leaks")).as("proven anew at each visit").isEqualTo("not yet");
  }

  @Test
  void thePracticeLeavesNoTrace() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT2);
    typeWords("21");
    int before = entries().size();
    onInterface(() -> {
      ((javafx.scene.control.Button) node("#practise")).fire();
      ((javafx.scene.control.Button) node("#read-all")).fire();
      return null;
    });
    settle();
    assertThat(focused()).isEqualTo("primary");
    assertThat(page()).contains("nothing here is recorded").contains("Do not fire");
    keys(KeyCode.ENTER);
    assertThat(page()).contains("Rounds so far: 1");
    onInterface(() -> {
      ((javafx.scene.control.Button) node("#secondary")).fire();
      return null;
    });
    settle();
    assertThat(words("#cooling-room")).as("the machine's own reading is back").isEqualTo("21");
    assertThat(entries()).hasSize(before);
  }

  @Test
  void typedReadingsWaitThereAfterReopening() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT2);
    typeWords("21");
    keys(KeyCode.ENTER);
    typeWords("5");
    reopen();
    keys(KeyCode.CONTROL, KeyCode.DIGIT2);
    assertThat(words("#cooling-room")).isEqualTo("21");
    assertThat(words("#cooling-humidity")).isEqualTo("5");
    assertThat(focused()).isEqualTo("cooling-coolant");
  }

  @Test
  void aMachineCooledByAirHasNoSuchStation() {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("sedge");
    keys(KeyCode.ENTER);
    until("Sedge is open", () -> app.model().opened().machine().name().equals("Sedge"));
    assertThat(shows("#rail-cooling")).isFalse();
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("bryony");
    keys(KeyCode.ENTER);
    until("Bryony is open", () -> app.model().opened().machine().name().equals("Bryony"));
    settle();
    assertThat(standing()).isInstanceOf(Standing.Out.class);
  }
}
