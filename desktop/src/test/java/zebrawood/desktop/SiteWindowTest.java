package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.TitledPane;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Standing;
import zebrawood.site.SiteStation;

/** The site of the demo's machines, by keyboard alone. */
class SiteWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoWorkshop.write(workshopFile, clock.instant());
  }

  private List<Entry> entries() {
    return onInterface(() -> app.model().opened().ledger().entriesAt(SiteStation.STATION));
  }

  @Test
  void earthAndProofsByOneKeyEach() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT1);
    int before = entries().size();
    assertThat(focused()).isEqualTo("site-earth");
    typeWords("0.13");
    keys(KeyCode.ENTER);
    assertThat(focused()).isEqualTo("proof-emergency_stop");
    keys(KeyCode.Y);
    keys(KeyCode.Y);
    keys(KeyCode.Y);
    assertThat(focused()).isEqualTo("proof-key");
    keys(KeyCode.X);
    assertThat(words("#proof-key")).isEqualTo("not fitted");
    keys(KeyCode.X);
    assertThat(focused()).as("eyewear can be had anywhere").isEqualTo("proof-eyewear");
    keys(KeyCode.Y);
    keys(KeyCode.Y);
    assertThat(focused()).isEqualTo("primary");
    keys(KeyCode.ENTER);
    typeWords("EH");
    keys(KeyCode.ENTER);
    until(
        "it is recorded",
        () -> app.model().opened().ledger().entriesAt(SiteStation.STATION).size() == before + 1);
    settle();
    Entry entry = entries().getLast();
    assertThat(entry.kind()).isEqualTo(EntryKind.AS_LEFT);
    assertThat(entry.by()).isEqualTo("EH");
    assertThat(entry.readings()).contains("not-fitted");
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
    onInterface(() -> {
      ((TitledPane) node("#site-exhaust")).setExpanded(true);
      return null;
    });
    settle();
    assertThat(page()).contains("This blower moves");
    fill("#site-bore-of-piece-1", "0");
    assertThat(disabled("#primary")).isTrue();
    assertThat(words("#site-message")).contains("Bore of piece 1", "Accepted is a number from 10");
    fill("#site-bore-of-piece-1", "");
    assertThat(page()).contains("This part is begun");
    fill("#site-bore-of-piece-1", "80");
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
    assertThat(shows("#proof-door_and_sign")).isTrue();
  }
}
