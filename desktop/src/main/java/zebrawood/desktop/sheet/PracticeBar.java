package zebrawood.desktop.sheet;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import zebrawood.desktop.text.Text;

/** The way into a practice on a stand-in, and where it stands while it runs. */
public final class PracticeBar extends HeightCachingBox {
  private final Label words = new WrappedLabel("", "practice");
  private final Button practise = new Button(Text.of("practice.start"));
  private final Button readAll = new Button(Text.of("practice.read-all"));

  /**
   * @param onReadAll fills the readings from the stand-in
   */
  public PracticeBar(Runnable onStart, Runnable onReadAll) {
    practise.setId("practise");
    practise.setOnAction(e -> onStart.run());
    readAll.setId("read-all");
    readAll.setOnAction(e -> onReadAll.run());
    setSpacing(8);
    getChildren().addAll(words, new HBox(8, practise, readAll));
    show("");
  }

  /** Where the practice stands; empty when there is none. */
  public void show(String practiceWords) {
    boolean practising = !practiceWords.isEmpty();
    words.setText(practiceWords);
    for (Node node : List.of(words, readAll)) {
      node.setVisible(practising);
      node.setManaged(practising);
    }
    practise.setVisible(!practising);
    practise.setManaged(!practising);
  }

  /** Puts the focus on the button that reads the stand-in. */
  public void focusReadAll() {
    readAll.requestFocus();
  }
}
