package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** It worked then, it does not now: Alder's two days in the real window, by keyboard. */
class TwoDaysWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  @Test
  void whatDiffersIsListedAndLeadsToItsStation() {
    keys(KeyCode.CONTROL, KeyCode.T);
    settle();
    assertThat(page()).contains("Two days beside each other", "What differs");
    onInterface(() -> {
      ComboBox<?> worked = (ComboBox<?>) node("#days-worked");
      for (int i = 0; i < worked.getItems().size(); i++) {
        if (worked.getItems().get(i).toString().contains("Cards left in order")) {
          worked.getSelectionModel().select(i);
        }
      }
      ((ComboBox<?>) node("#days-not")).getSelectionModel().select(0);
      return null;
    });
    settle();
    assertThat(page())
        .contains("Bed", "not read", "Machine moved", "Tube or source replaced")
        .contains("Look first at");
    press("#days-go");
    settle();
    assertThat(page()).contains("Do next");
    keys(KeyCode.CONTROL, KeyCode.T);
    settle();
    assertThat(focused()).isEqualTo("days-worked");
  }
}
