package zebrawood.desktop.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import javafx.scene.Scene;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.ApplicationTest;
import zebrawood.desktop.app.Assembly;

/** A note in any script is laid out, whatever the width. */
class WrappedLabelTest extends ApplicationTest {
  private static final List<String> WORDS =
      List.of(
          "\u0627\u0644\u0639\u062f\u0633\u0629",
          "\u0639\u0644\u0649",
          "note",
          "12",
          "\u05e9\u05dc\u05d5\u05dd",
          "a,b");

  private WrappedLabel label;
  private VBox box;

  @Override
  public void start(Stage stage) {
    Assembly.loadLooks();
    label = new WrappedLabel("");
    box = new VBox(label);
    box.setStyle("-fx-font-family: Inter");
    stage.setScene(new Scene(box, 200, 200));
    stage.show();
  }

  private static String note(Random random) {
    StringBuilder note = new StringBuilder();
    for (int k = random.nextInt(14); k >= 0; k--) {
      note.append(WORDS.get(random.nextInt(WORDS.size()))).append(' ');
    }
    return note.toString();
  }

  @Test
  void wordsFromRightToLeftAreLaidOutAtEveryWidth() {
    Random random = new Random(5);
    for (int i = 0; i < 90; i++) {
      String note = note(random);
      double width = 40 + random.nextInt(260);
      interact(() -> {
        label.setMaxWidth(width);
        label.setText(note);
        box.applyCss();
        box.layout();
        box.snapshot(null, null);
      });
      assertThat(label.getText().strip().replace('\n', ' ')).isEqualTo(note.strip());
    }
    interact(() -> label.setText("plain words again, which the toolkit wraps by itself"));
    assertThat(label.isWrapText()).isTrue();
  }

  @Test
  void linesAreOfWholeWords() {
    assertThat(WrappedLabel.lines("one two three  four", 8)).isEqualTo("one two\nthree\nfour");
    assertThat(WrappedLabel.lines("unbreakablylong a", 5)).isEqualTo("unbreakablylong\na");
    assertThat(WrappedLabel.hasRightToLeft("abc 12 \u00e9")).isFalse();
    assertThat(WrappedLabel.hasRightToLeft("abc \u05d0")).isTrue();
  }
}
