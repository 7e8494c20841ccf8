package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Entry;
import zebrawood.measure.Verdict;

/**
 * A machine from its crate to the sheet that is signed, its controller simulated, by keys alone:
 * nothing is pressed, focused or set but by what a hand types.
 */
class CommissionWindowTest extends WindowTest {
  /** More than all places of the longest sheet, its folds open. */
  private static final int MOST_TABS = 160;

  private boolean has(String id) {
    return onInterface(() -> {
      for (Node n = app.scene().getFocusOwner(); n != null; n = n.getParent()) {
        if (id.equals(n.getId())) {
          return true;
        }
      }
      return false;
    });
  }

  private void tabTo(String id) {
    for (int i = 0; i < MOST_TABS && !has(id); i++) {
      keys(KeyCode.TAB);
    }
    assertThat(has(id)).as("Tab reaches " + id + ", not " + focused()).isTrue();
  }

  private void unfold(String id) {
    tabTo(id);
    keys(KeyCode.SPACE);
  }

  private void line(String... words) {
    for (String word : words) {
      typeWords(word);
      keys(KeyCode.ENTER);
    }
  }

  /** Down the list of a choice, to what it shall be. */
  private void choose(String id, String constant) {
    tabTo(id);
    for (int i = 0; i < 12 && !chosen(id).equals(constant); i++) {
      keys(KeyCode.DOWN);
    }
    assertThat(chosen(id)).isEqualTo(constant);
  }

  private String chosen(String id) {
    return onInterface(() -> String.valueOf(((ComboBox<?>) node("#" + id)).getValue()));
  }

  /** Yes to every line that is asked, from the one that has the focus. */
  private void yesToAll() {
    for (int i = 0; i < 60 && onInterface(this::onALine); i++) {
      keys(KeyCode.Y);
    }
  }

  private boolean onALine() {
    Node focus = app.scene().getFocusOwner();
    return focus != null && String.valueOf(focus.getId()).startsWith("proof-");
  }

  private Stream<Entry> entries(String station) {
    return app.model().opened().ledger().entries().stream()
        .filter(e -> e.stationId().equals(station));
  }

  private void record(String station) {
    long before = onInterface(() -> entries(station).count());
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    until(station + " is recorded", () -> entries(station).count() == before + 1);
    settle();
  }

  private Verdict verdict(String station) {
    return onInterface(() -> entries(station).toList().getLast().verdict());
  }

  @Test
  void fromTheCrateToTheSheet() throws IOException {
    until("the first thing has the focus", () -> "first-machine".equals(ownerId()));
    keys(KeyCode.ENTER);
    keys(KeyCode.ENTER);
    keys(KeyCode.ENTER);
    typeWords("Yarrow");
    tabTo("machine-watts");
    typeWords("90");
    tabTo("machine-width");
    typeWords("600");
    tabTo("machine-depth");
    typeWords("400");
    tabTo("machine-serial-number");
    typeWords("GT-0001");
    // What a stand-in says is recorded of a simulated machine alone.
    choose("machine-reality", "SIMULATED");
    tabTo("machine-add");
    keys(KeyCode.ENTER);
    typeWords("EH");
    keys(KeyCode.ENTER);
    until("the machine is open", () -> app.model().opened() != null);
    settle();

    keys(KeyCode.CONTROL, KeyCode.DIGIT1);
    line("0.12");
    yesToAll();
    record("site");

    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
    yesToAll();
    line("19.5");
    record("start");
    assertThat(verdict("start")).isEqualTo(Verdict.WITHIN);

    keys(KeyCode.CONTROL, KeyCode.DIGIT2);
    line("21", "45", "19.5");
    yesToAll();
    record("cooling");
    assertThat(verdict("cooling")).isEqualTo(Verdict.WITHIN);

    controller();
    mirrors();
    bed();
    sheet();
  }

  private String ownerId() {
    Node owner = app.scene().getFocusOwner();
    return owner == null ? "" : String.valueOf(owner.getId());
  }

  /** Its settings are read over the link, put right line by line, and read back. */
  private void controller() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT4);
    tabTo("controller-dialect-fold");
    keys(KeyCode.SPACE);
    tabTo("dialect-stand-in");
    keys(KeyCode.SPACE);
    choose("controller-switches", "YES");
    choose("controller-home", "FRONT_LEFT");
    tabTo("controller-top-word");
    typeWords("1000");
    choose("controller-units", "MM");
    choose("controller-policy", "MATCH_SOFTWARE");
    tabTo("controller-port");
    keys(KeyCode.CONTROL, KeyCode.A);
    typeWords(zebrawood.desktop.text.Text.of("controller.port.stand-in"));
    tabTo("controller-read");
    keys(KeyCode.SPACE);
    until(
        "it was read",
        () -> !app.shell().shownSheet().orElseThrow().model().outcome().solved().isEmpty());
    settle();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    until("what would be sent is shown", () -> app.scene().lookup("#confirm-go") != null);
    keys(KeyCode.ENTER);
    until(
        "it is written and read back",
        () ->
            entries("controller").count() == 2
                && entries("controller").toList().getLast().tellingFigure().isPresent());
    settle();
    tabTo("controller-homing");
    keys(KeyCode.SPACE);
    until("what would be sent is shown", () -> app.scene().lookup("#confirm-go") != null);
    keys(KeyCode.ENTER);
    until(
        "it stands at home",
        () -> app.model().messageProperty().get().contains("It says that it stands"));
    tabTo("proof-homes");
    yesToAll();
    record("controller");
    assertThat(verdict("controller")).isEqualTo(Verdict.WITHIN);
  }

  private void mirrors() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    line("4 mA");
    line("0.2 -0.2 0.3 -0.1 -0.1 0 -0.2 0.2 -0.1 -0.1 -0.2 0.1".split(" "));
    yesToAll();
    record("mirrors");
    assertThat(verdict("mirrors")).isEqualTo(Verdict.WITHIN);
  }

  private void bed() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT6);
    line("6.0", "6.6", "6.3", "6.9");
    assertThat(focused()).isEqualTo("primary");
    record("bed");
    line("6.4", "6.5", "6.4", "6.4");
    record("bed");
    assertThat(verdict("bed")).isEqualTo(Verdict.WITHIN);
  }

  private void sheet() throws IOException {
    Path folder = Files.createTempDirectory("zebrawood-commission");
    keys(KeyCode.CONTROL, KeyCode.P);
    tabTo("handover-folder");
    keys(KeyCode.CONTROL, KeyCode.A);
    typeWords(folder.toString());
    tabTo("handover-remark");
    typeWords("exhaust and eyewear are read tomorrow");
    keys(KeyCode.ENTER);
    until("it is written", () -> pages(folder).size() == 2);
    String html =
        Files.readString(
            pages(folder).stream().filter(p -> p.toString().endsWith(".html")).findFirst().get());
    assertThat(html)
        .contains("Yarrow", "GT-0001", "exhaust and eyewear are read tomorrow")
        .contains("Technician, date", "simulated, no real machine")
        .contains("beam top")
        .contains("Without its key it does not fire");
    assertThat(openedOutside).isEmpty();
  }

  private static List<Path> pages(Path folder) {
    try (Stream<Path> all = Files.walk(folder)) {
      return all.filter(p -> p.toString().matches(".*\\.(html|pdf)")).toList();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
