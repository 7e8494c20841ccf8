package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Standing;
import zebrawood.mirrors.MirrorStation;

/** The mirrors of the demo's Alder, by keyboard. */
class MirrorWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private List<Entry> entries() {
    return onInterface(() -> app.model().opened().ledger().entriesAt(MirrorStation.STATION));
  }

  private void goOnWithAReason() {
    press("#secondary");
    typeWords("proven on the other shift's card");
    keys(KeyCode.ENTER);
    typeWords("EH");
    keys(KeyCode.ENTER);
    until(
        "the reason is kept",
        () ->
            app.model().opened().ledger().events().stream()
                .anyMatch(e -> e.kind() == EventKind.WENT_ON));
    settle();
  }

  @Test
  void nothingFiresBeforeTodaysProofAndThenTheMarksBecomeTurns() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    assertThat(page())
        .contains("Not proven today", "more that are not proven today")
        .containsIgnoringCase("opening the lid stops the laser");
    assertThat(words("#primary")).isEqualTo("Prove it now");
    goOnWithAReason();
    assertThat(focused()).isEqualTo("mirrors-least-pulse");
    assertThat(page()).contains("Find the least pulse that marks");
    typeWords("4 mA");
    keys(KeyCode.ENTER);
    assertThat(focused()).isEqualTo("mirrors-mirror-2-rear-right");
    assertThat(page()).doesNotContain("Find the least pulse that marks");
    for (String mm : "0.5 -0.5 3 -1.5 -1 0 -3.5 2 -3.5 -1 -6 1".split(" ")) {
      typeWords(mm);
      keys(KeyCode.ENTER);
    }
    assertThat(focused()).isEqualTo("primary");
    assertThat(page())
        .contains("sideways screw of mirror 1", "minutes on a clock's face")
        .contains("Wander now\n5.1\nmm", "Lost at worst");
    int before = entries().size();
    keys(KeyCode.ENTER);
    until(
        "it is recorded",
        () -> app.model().opened().ledger().entriesAt(MirrorStation.STATION).size() == before + 1);
    settle();
    assertThat(entries().getLast().kind()).isEqualTo(EntryKind.AS_FOUND);
    assertThat(words("#mirrors-least-pulse")).as("stays for the visit").isEqualTo("4 mA");
    clock.advance(java.time.Duration.ofHours(20));
    reopen();
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    assertThat(words("#mirrors-least-pulse")).as("is found anew").isEmpty();
    assertThat(words("#mirrors-head-rear-left-right")).isEmpty();
    fill("#mirrors-mirror-2-rear-right", "far");
    assertThat(words("#mirrors-message")).contains("Mirror 2, rear, right");
    fill("#mirrors-mirror-2-rear-right", "1");
    fill("#mirrors-mirror-2-rear-up", "1");
    assertThat(page()).contains("at least two marks at the head");
  }

  /** What a key press, Enter and letters can do; nothing is fired or clicked. */
  private void tabTo(String id) {
    for (int i = 0; i < 80 && !focused().equals(id); i++) {
      keys(KeyCode.TAB);
    }
    assertThat(focused()).isEqualTo(id);
  }

  @Test
  void theStandInIsCommissionedByKeyboardAlone() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    int before = entries().size();
    tabTo("practise");
    keys(KeyCode.SPACE);
    double first = 0;
    int round = 0;
    for (; round < 8; round++) {
      tabTo("read-all");
      keys(KeyCode.SPACE);
      if (round == 0) {
        first = wanderMm();
      }
      if (page().contains("In order. Rounds")) {
        break;
      }
      // Tries, then turns; what was only tried leaves the marks where they are.
      while (onInterface(() -> !node("#primary").isDisabled())) {
        assertThat(focused()).isEqualTo("primary");
        keys(KeyCode.ENTER);
        if (focused().equals("mirrors-mirror-2-rear-right")) {
          break;
        }
      }
    }
    assertThat(first).as("mm of wander at first").isGreaterThan(8);
    assertThat(wanderMm()).isLessThanOrEqualTo(1);
    assertThat(round).isLessThan(4);
    tabTo("secondary");
    keys(KeyCode.ENTER);
    assertThat(words("#mirrors-head-rear-left-up")).isEmpty();
    assertThat(words("#mirrors-least-pulse")).isEmpty();
    assertThat(entries()).hasSize(before);
  }

  private double wanderMm() {
    var found = java.util.regex.Pattern.compile("Wander now\n([0-9.]+)\n").matcher(page());
    assertThat(found.find()).isTrue();
    return Double.parseDouble(found.group(1));
  }

  @Test
  void aQuickCheckIsKeptAsACheckAndAClickPutsAMark() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    goOnWithAReason();
    onInterface(() -> {
      ComboBox<?> school = (ComboBox<?>) node("#mirrors-school");
      school.getSelectionModel().select(1);
      return null;
    });
    settle();
    assertThat(shows("#mirrors-mirror-2-rear-right")).isFalse();
    fill("#mirrors-head-rear-left-right", "0");
    keys(KeyCode.ENTER);
    typeWords("0");
    keys(KeyCode.ENTER);
    var tape = onInterface(() -> node("#mirrors-picture").localToScreen(120, 90));
    clickOn(tape);
    settle();
    assertThat(words("#mirrors-head-rear-right-right")).isNotBlank();
    assertThat(words("#mirrors-head-rear-right-up")).isNotBlank();
    String right = words("#mirrors-head-rear-right-right");
    String up = words("#mirrors-head-rear-right-up");
    drag(tape).dropTo(tape.add(40, -20));
    settle();
    assertThat(Double.parseDouble(words("#mirrors-head-rear-right-right")))
        .as("drawn to the right")
        .isGreaterThan(Double.parseDouble(right));
    assertThat(Double.parseDouble(words("#mirrors-head-rear-right-up")))
        .as("drawn up")
        .isGreaterThan(Double.parseDouble(up));
    assertThat(focused()).isEqualTo("mirrors-head-rear-right-right");
    fill("#mirrors-head-rear-right-right", "1/64 in");
    fill("#mirrors-head-rear-right-up", "0");
    onInterface(() -> {
      node("#proof-round").requestFocus();
      return null;
    });
    keys(KeyCode.Y);
    assertThat(page()).contains("Leave the mirrors", "Wander now\n0.4\nmm");
    int before = entries().size();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    until(
        "it is recorded",
        () -> app.model().opened().ledger().entriesAt(MirrorStation.STATION).size() == before + 1);
    settle();
    assertThat(entries().getLast().kind()).isEqualTo(EntryKind.CHECK);
    assertThat(entries().getLast().tellingFigure()).isEmpty();
    assertThat(onInterface(() -> app.model().opened().standing(MirrorStation.STATION)))
        .as("a check proves nothing anew after a new tube")
        .isInstanceOf(Standing.Stale.class);
  }
}
