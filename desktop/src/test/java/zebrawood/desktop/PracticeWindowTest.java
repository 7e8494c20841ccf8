package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A practice in which something else is done than is advised, and what it says of it. */
class PracticeWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private void begin(String station) {
    onInterface(() -> {
      app.shell().show(station);
      return null;
    });
    settle();
    press("#practise");
  }

  private void choose(int deed) {
    onInterface(() -> {
      ((ComboBox<?>) node("#practice-deed")).getSelectionModel().select(deed);
      return null;
    });
    settle();
  }

  private int deeds() {
    return onInterface(() -> ((ComboBox<?>) node("#practice-deed")).getItems().size());
  }

  @Test
  void anotherScrewByAnotherAmountIsDoneAndScoredAgainstTheBest() {
    begin("bed");
    press("#read-all");
    String before = words("#reading-0-0");
    assertThat(before).isNotEmpty();
    choose(1);
    fill("#practice-amount", "much");
    press("#practice-act");
    assertThat(words("#reading-0-0")).as("nothing is done by no number").isEqualTo(before);
    assertThat(focused()).isEqualTo("practice-amount");
    fill("#practice-amount", "1 1/2");
    press("#practice-act");
    assertThat(focused()).isEqualTo("read-all");
    assertThat(words("#reading-0-0")).isEmpty();
    assertThat(page()).contains("Rounds so far: 1.");
    press("#read-all");
    assertThat(words("#reading-0-0")).isNotEqualTo(before);
    press("#secondary");
    assertThat(status())
        .matches(
            "Rounds: 1; a perfect gauge would read \\d+\\.\\d\\d mm high to low\\. "
                + "The best possible: \\d+\\.\\d\\d mm, in one round of turning all screws\\.");
  }

  @ParameterizedTest
  @ValueSource(strings = {"site", "cooling", "mirrors", "bed"})
  void everythingOfferedCanBeDone(String station) {
    begin(station);
    int all = deeds();
    assertThat(all).isGreaterThan(4);
    for (int i = 0; i < all; i++) {
      press("#read-all");
      choose(i);
      if (onInterface(() -> node("#practice-amount").getParent().isVisible())) {
        fill("#practice-amount", station.equals("cooling") ? "21" : "-0.25");
      }
      press("#practice-act");
    }
    assertThat(page()).contains("Rounds so far: " + all + ".");
    keys(KeyCode.ESCAPE);
    press("#secondary");
    assertThat(status()).startsWith("Rounds: " + all).contains("The best possible");
  }

  @Test
  void doingNothingIsARoundToo() {
    begin("cooling");
    press("#read-all");
    choose(0);
    press("#practice-act");
    assertThat(page()).contains("Rounds so far: 1.");
    press("#read-all");
    press("#secondary");
    assertThat(status()).contains("faults left: 1").contains("no fault left after round 1");
  }

  @Test
  void aPressOnAPlaceOfTheBedGoesToItsReading() {
    begin("bed");
    press("#read-all");
    press("#secondary");
    var corner =
        onInterface(() -> {
          var picture = (javafx.scene.layout.Region) node("#bed-picture");
          return picture.localToScreen(picture.getWidth() - 48, 68);
        });
    for (int right = -30; right <= 0 && !focused().equals("reading-2-1"); right += 6) {
      for (int down = -10; down <= 60 && !focused().equals("reading-2-1"); down += 6) {
        clickOn(corner.add(right, down));
        settle();
      }
    }
    assertThat(focused()).isEqualTo("reading-2-1");
  }
}
