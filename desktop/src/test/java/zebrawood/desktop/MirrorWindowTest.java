package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.EventKind;
import zebrawood.mirrors.MirrorStation;

/** The mirrors of the demo's Alder, by keyboard. */
class MirrorWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoWorkshop.write(workshopFile, clock.instant());
  }

  private List<Entry> entries() {
    return onInterface(() -> app.model().opened().ledger().entriesAt(MirrorStation.STATION));
  }

  private void press(String button) {
    onInterface(() -> {
      ((Button) node(button)).fire();
      return null;
    });
    settle();
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
    assertThat(page()).contains("Not proven today", "opening the lid stops the laser");
    assertThat(words("#primary")).isEqualTo("Prove it now");
    goOnWithAReason();
    assertThat(focused()).isEqualTo("mirrors-mirror-2-rear-right");
    for (String mm : "0.5 -0.5 3 -1.5 -1 0 -3.5 2 -3.5 -1 -6 1".split(" ")) {
      typeWords(mm);
      keys(KeyCode.ENTER);
    }
    assertThat(focused()).isEqualTo("primary");
    assertThat(page())
        .contains("sideways screw of mirror 1", "minutes on a clock's face")
        .contains("Wander 5.1 mm now");
    int before = entries().size();
    keys(KeyCode.ENTER);
    until(
        "it is recorded",
        () -> app.model().opened().ledger().entriesAt(MirrorStation.STATION).size() == before + 1);
    settle();
    assertThat(entries().getLast().kind()).isEqualTo(EntryKind.AS_FOUND);
    fill("#mirrors-mirror-2-rear-right", "far");
    assertThat(words("#mirrors-message")).contains("Mirror 2, rear, right");
    fill("#mirrors-mirror-2-rear-right", "1");
    fill("#mirrors-mirror-2-rear-up", "1");
    assertThat(page()).contains("at least two marks at the head");
  }

  @Test
  void theStandInIsCommissionedByTheAdviceAlone() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    int before = entries().size();
    press("#practise");
    int round = 0;
    for (; round < 4; round++) {
      press("#read-all");
      if (page().contains("Within the limit after")) {
        break;
      }
      keys(KeyCode.ENTER);
    }
    assertThat(round).isLessThan(4);
    press("#secondary");
    assertThat(words("#mirrors-head-rear-left-up")).isEmpty();
    assertThat(entries()).hasSize(before);
  }
}
