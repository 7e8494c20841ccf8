package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.TitledPane;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Standing;
import zebrawood.site.SiteStation;

/** The site of the demo's machines, by keyboard alone. */
class SiteWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private List<Entry> entries() {
    return onInterface(() -> app.model().opened().ledger().entriesAt(SiteStation.STATION));
  }

  private void unfold(String part) {
    onInterface(() -> {
      ((TitledPane) node(part)).setExpanded(true);
      return null;
    });
    settle();
  }

  @Test
  void whatMissesInThePackingListIsAskedFor() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT1);
    unfold("#site-parts-fold");
    onInterface(() -> {
      node("#site-parts").requestFocus();
      return null;
    });
    typeWords("hose clamp, 4, 3");
    keys(KeyCode.ENTER);
    typeWords("lens");
    assertThat(words("#site-message")).contains("line 2 is \"lens\"");
    typeWords(", 1, 1");
    assertThat(page()).contains("1 × hose clamp");
    unfold("#site-way-fold");
    fill("#site-way-1-first", "800");
    assertThat(page()).contains("even the bare machine lacks 40 mm");
  }

  @Test
  void thePracticeEndsInOrderAndLeavesNoTrace() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT1);
    int before = entries().size();
    press("#practise");
    for (int round = 0; round < 3 && !page().contains("In order. Rounds"); round++) {
      press("#read-all");
      if (!page().contains("In order. Rounds")) {
        press("#primary");
      }
    }
    assertThat(page()).contains("In order. Rounds");
    press("#secondary");
    assertThat(words("#site-earth")).isEmpty();
    assertThat(entries()).hasSize(before);
  }

  @Test
  void earthAndProofsByOneKeyEach() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT1);
    int before = entries().size();
    assertThat(focused()).isEqualTo("site-earth");
    typeWords("0.13");
    keys(KeyCode.ENTER);
    assertThat(focused()).isEqualTo("proof-straps");
    int proofs = onInterface(() -> app.scene().getRoot().lookupAll(".proof-answer").size());
    for (int i = 0; i < proofs; i++) {
      keys(KeyCode.Y);
    }
    assertThat(focused()).isEqualTo("primary");
    unfold("#site-circuit-fold");
    fill("#site-fuse-fitted", "16");
    unfold("#site-air-fold");
    fill("#site-bar", "1.4");
    unfold("#site-room-fold");
    fill("#site-room", "21");
    fill("#site-humidity", "50");
    fill("#site-clearance", "300");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    typeWords("EH");
    keys(KeyCode.ENTER);
    until(
        "it is recorded",
        () -> app.model().opened().ledger().entriesAt(SiteStation.STATION).size() == before + 1);
    settle();
    Entry entry = entries().getLast();
    assertThat(entry.kind()).isEqualTo(EntryKind.AS_LEFT);
    assertThat(entry.by()).isEqualTo("EH");
    assertThat(entry.readings()).contains("fusePlateA");
    assertThat(words("#site-load-1")).as("what hangs on the breaker stays").isEqualTo("1200");
    keys(KeyCode.CONTROL, KeyCode.U);
    until(
        "it is undone",
        () -> app.model().opened().ledger().entriesAt(SiteStation.STATION).size() == before);
    settle();
    assertThat(words("#site-earth")).isEqualTo("0.13");
  }

  @Test
  void theDuctIsDrawnAndARefusalStandsAtTheField() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT1);
    unfold("#site-exhaust-fold");
    assertThat(page()).contains("Exhaust\n");
    fill("#site-bore-1", "0");
    assertThat(disabled("#primary")).isTrue();
    assertThat(words("#site-message")).contains("Bore of piece 1", "Accepted is 10 mm to");
    fill("#site-bore-1", "");
    assertThat(page()).contains("What is begun is needed whole");
    fill("#site-bore-1", "80");
    assertThat(disabled("#primary")).isFalse();
  }

  @Test
  void anUndersizedDuctIsOut() {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("flint");
    keys(KeyCode.ENTER);
    until("Flint is open", () -> app.model().opened().machine().name().equals("Flint"));
    settle();
    assertThat(onInterface(() -> app.model().opened().standing(SiteStation.STATION)))
        .isInstanceOf(Standing.Out.class);
    keys(KeyCode.CONTROL, KeyCode.DIGIT1);
    assertThat(shows("#proof-door")).isTrue();
  }

  /** Only the earth is read on this visit: the others were read when they were read. */
  @Test
  void aFigureThatIsKeptFromBeforeCarriesItsOwnDay() {
    open("Alder", "site");
    Entry before =
        onInterface(() -> app.model().opened().ledger().entriesAt(SiteStation.STATION).getLast());
    fill("#site-earth", "0.21");
    settle();
    int count = onInterface(() -> app.model().opened().ledger().entries().size());
    press(onInterface(() -> node("#primary").isDisabled()) ? "#secondary" : "#primary");
    signIfAsked();
    until("it is recorded", () -> app.model().opened().ledger().entries().size() == count + 1);
    Entry now =
        onInterface(() -> app.model().opened().ledger().entriesAt(SiteStation.STATION).getLast());
    assertThat(now.figure("earth").orElseThrow().value()).isEqualTo(0.21);
    assertThat(now.figure("earth").orElseThrow().keptFrom()).isEmpty();
    assertThat(now.figure("breaker").orElseThrow().keptFrom()).contains(before.time());
    keys(KeyCode.F9);
    until(
        "the day of the others stands there",
        () -> node("#notebook").lookupAll(".table-cell").toString().contains("(of "));
  }
}
