package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.event.ActionEvent;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Words of the record, looked for on all machines, by keys alone. */
class SearchWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private List<String> hits() {
    return onInterface(() ->
        node("#search-hits").lookupAll(".button").stream()
            .filter(Button.class::isInstance)
            .map(b -> ((Button) b).getAccessibleText())
            .toList());
  }

  private void look(String words) {
    keys(KeyCode.CONTROL, KeyCode.F);
    keys(KeyCode.CONTROL, KeyCode.A);
    typeWords(words);
    keys(KeyCode.ENTER);
    settle();
  }

  private int machines() {
    return onInterface(() -> app.model().machinesProperty().get().size());
  }

  /** What was asked of the file before this is answered. */
  private void afterTheFile() {
    AtomicBoolean answered = new AtomicBoolean();
    onInterface(() -> {
      app.model().withFile(w -> true, answered::set, e -> answered.set(true));
      return null;
    });
    until("the file answers", answered::get);
    settle();
  }

  private void found(String... each) {
    until(
        "it is found: " + String.join(" ", each),
        () ->
            !node("#search-hits").lookupAll(".button").isEmpty()
                && node("#search-hits").lookupAll(".label").stream()
                    .map(n -> ((Labeled) n).getText())
                    .anyMatch(t -> List.of(each).stream().allMatch(t::contains)));
  }

  private void says(String words) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!page().contains(words)) {
      assertThat(System.nanoTime()).as(words + " in " + page()).isLessThan(end);
    }
  }

  @Test
  void aMachineAndAWordLeadToTheLinesAndToTheSheet() {
    look("flint lens");
    found("Flint");
    assertThat(hits()).isNotEmpty().allMatch(h -> h.startsWith("Flint"));
    keys(KeyCode.TAB);
    for (int i = 0; i < 10 && !focused().startsWith("hit-"); i++) {
      keys(KeyCode.TAB);
    }
    assertThat(focused()).startsWith("hit-");
    // What is looked for once more in the background leaves the keyboard where it is.
    String hit = focused();
    onInterface(() -> {
      ((TextField) node("#search-words")).getOnAction().handle(new ActionEvent());
      return null;
    });
    for (int i = 0; i < 3 * machines(); i++) {
      afterTheFile();
    }
    assertThat(focused()).isEqualTo(hit);
    keys(KeyCode.SPACE);
    until("Flint is open", () -> app.model().opened().machine().name().equals("Flint"));
  }

  /** What was found once is found the same way when the words are known. */
  @Test
  void theSecondLookFindsTheSame() {
    look("alder bed");
    found("Alder");
    List<String> first = hits();
    look("alder bed");
    found("Alder");
    assertThat(hits()).isEqualTo(first);
    look("ALDER'S bed");
    found("Alder");
    assertThat(hits()).isEqualTo(first);
  }

  @Test
  void whatIsNowhereIsSaid() {
    look("rhododendron");
    says("Nothing on record");
    assertThat(hits()).isEmpty();
  }

  /** What is recorded after the words were learnt is found too. */
  @Test
  void whatHappensLaterIsFound() {
    look("moved");
    settle();
    open("Alder", "");
    tellThatItWasMoved();
    signIfAsked();
    until(
        "it is kept",
        () ->
            app.model().opened().ledger().events().stream()
                .anyMatch(e -> e.note().contains("north wall")));
    look("north wall");
    found("Alder");
    assertThat(hits()).hasSize(1);
  }
}
