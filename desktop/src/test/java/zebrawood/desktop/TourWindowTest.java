package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The first minutes of somebody who has no machine at hand. */
class TourWindowTest extends WindowTest {
  @Test
  void fiveStepsOnASimulatedMachine() {
    assertThat(page()).contains("An empty workshop");
    press("#try-it");
    typeWords("EH");
    keys(KeyCode.ENTER);
    until("it is there", () -> app.model().opened() != null);
    settle();
    assertThat(page()).contains("Trial machine", "Step 1 of 5");
    press("#go-bed");
    step("Step 2 of 5");
    press("#practise");
    step("Step 3 of 5");
    press("#read-all");
    step("Step 4 of 5");
    press("#primary");
    step("Step 5 of 5");
    keys(KeyCode.CONTROL, KeyCode.SPACE);
    until(
        "it is over", () -> node("#tour-words").isVisible() && words().startsWith("All stations"));
    keys(KeyCode.ESCAPE);
    press("#tour-end");
    assertThat(onInterface(() -> node("#tour-words").getParent().isVisible())).isFalse();
    assertThat(onInterface(() -> app.model().opened().ledger().entries()))
        .as("nothing of a tour is recorded")
        .isEmpty();
    assertThat(page()).contains("simulated, no real machine", "simulated, 0 of");
    openStation("bed");
    assertThat(page()).contains("Notebook, simulated");

    keys(KeyCode.CONTROL, KeyCode.SPACE);
    typeWords("remove the simulated");
    keys(KeyCode.ENTER);
    assertThat(page()).contains("what was recorded of it stays in the file");
    press("#confirm-go");
    until("it is gone", () -> app.model().opened() == null);
    settle();
    assertThat(onInterface(() -> app.model().machinesProperty().get())).isEmpty();
    assertThat(shows("#first-machine")).isTrue();
  }

  private String words() {
    return ((javafx.scene.control.Label) node("#tour-words")).getText();
  }

  private void step(String count) {
    until(
        count,
        () ->
            app.scene().getRoot().lookupAll(".strip-title").stream()
                .anyMatch(n -> count.equals(((javafx.scene.control.Label) n).getText())));
  }
}
