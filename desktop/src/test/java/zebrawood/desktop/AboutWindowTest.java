package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.text.Text;

/** F1 tells about whatever has the focus, over a card too, and the palette finds what is told. */
class AboutWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private String told() {
    return onInterface(() -> {
      StringBuilder all = new StringBuilder();
      for (Node label : node("#about").lookupAll(".label")) {
        all.append(((javafx.scene.control.Labeled) label).getText()).append('\n');
      }
      return all.toString();
    });
  }

  private void focus(String selector) {
    onInterface(() -> {
      node(selector).requestFocus();
      return null;
    });
  }

  @Test
  void ofAFieldItTellsAllThereIsAndGivesTheFocusBack() {
    openStation("bed");
    focus("#reading-1-1");
    String field = focused();
    keys(KeyCode.F1);
    assertThat(told())
        .contains(
            Text.of("help.bed.place.name"),
            Text.of("help.bed.place.what"),
            Text.of("help.bed.place.how.gauge"),
            Text.of("help.bed.place.why"),
            Text.of("help.bed.place.wrong"),
            Text.of("help.bed.source"),
            Text.of("bed.caution"));
    keys(KeyCode.ESCAPE);
    assertThat(shows("#about")).isFalse();
    assertThat(focused()).isEqualTo(field);
  }

  /** The caution is that of the machine that is open, of whichever station is asked. */
  @Test
  void thePaletteTellsOfAnotherStationToo() {
    openStation("bed");
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords(Text.of("help.controller.field.acceleration.name") + " controller");
    keys(KeyCode.ENTER);
    assertThat(told())
        .contains(
            Text.of("help.controller.field.acceleration.what"),
            Text.of("help.controller.source"),
            Text.of("controller.caution.moves"));
  }

  @Test
  void shiftF1OpensTheManualAsOnePage() throws IOException {
    openStation("bed");
    keys(KeyCode.SHIFT, KeyCode.F1);
    until("it is open", () -> !openedOutside.isEmpty());
    assertThat(Files.readString(openedOutside.getFirst()))
        .contains(Text.of("manual.title"), Text.of("help.bed.sheet.what"));
    assertThat(shows("#about")).isFalse();
  }

  @Test
  void ofTheLargeButtonItTellsOfTheStepAndLeadsToTheSheet() {
    openStation("bed");
    focus("#secondary");
    onInterface(() -> {
      node("#primary").setDisable(false);
      node("#primary").requestFocus();
      return null;
    });
    keys(KeyCode.F1);
    assertThat(told()).contains(Text.of("help.bed.do.what"));
    onInterface(() -> {
      node("#about").lookupAll(".button").stream()
          .map(javafx.scene.control.Button.class::cast)
          .filter(b -> b.getText().equals(Text.of("help.bed.sheet.name")))
          .findFirst()
          .ifPresent(javafx.scene.control.Button::fire);
      return null;
    });
    settle();
    assertThat(told()).contains(Text.of("help.bed.sheet.what"));
  }

  @Test
  void itLiesOverACardAndLeavesItAsItWas() {
    keys(KeyCode.CONTROL, KeyCode.N);
    fill("#machine-name", "Moss");
    keys(KeyCode.F1);
    assertThat(told()).contains(Text.of("help.machine.field.name.what"));
    keys(KeyCode.ENTER);
    assertThat(shows("#about")).isFalse();
    assertThat(focused()).isEqualTo("machine-name");
    assertThat(words("#machine-name")).isEqualTo("Moss");
  }

  @Test
  void thePaletteFindsWhatIsWrittenAbout() {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("about pitch of the screw levelling");
    keys(KeyCode.ENTER);
    assertThat(told()).contains(Text.of("help.bed.field.pitch.what"));
  }

  @Test
  void ofThePageItTellsWhereNothingIsByItself() {
    keys(KeyCode.F1);
    assertThat(told()).contains(Text.of("help.today.sheet.what"));
  }
}
