package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;

/**
 * What was compared, a row each: its mark, its name and why, what it is and what it should be. Rows
 * are kept and filled anew, since the list follows every keystroke.
 */
final class JudgedList extends HeightCachingBox {
  private static final double IS_WIDTH = 78;
  private static final double SHOULD_WIDTH = 92;

  private final List<Row> rows = new ArrayList<>();

  JudgedList() {
    getStyleClass().add("judged");
  }

  void show(List<JudgedLine> lines) {
    while (rows.size() < lines.size()) {
      rows.add(new Row());
    }
    for (int i = 0; i < lines.size(); i++) {
      rows.get(i).fill(lines.get(i));
    }
    if (getChildren().size() != lines.size()) {
      getChildren().setAll(rows.subList(0, lines.size()));
    }
  }

  private static final class Row extends HeightCachingRow {
    private final StandingMark mark = new StandingMark();
    private final Label name = new WrappedLabel("", "judged-name");
    private final Label why = new WrappedLabel("", "soft");
    private final Label is = new WrappedLabel("", "judged-is");
    private final Label shouldBe = new WrappedLabel("", "judged-should");

    Row() {
      super(0);
      getStyleClass().add("judged-row");
      setAlignment(Pos.CENTER_LEFT);
      VBox words = new HeightCachingBox(0, name, why);
      HBox.setHgrow(words, Priority.ALWAYS);
      fix(is, IS_WIDTH);
      fix(shouldBe, SHOULD_WIDTH);
      getChildren().addAll(mark, words, is, shouldBe);
    }

    private static void fix(Label label, double width) {
      label.setMinWidth(width);
      label.setPrefWidth(width);
      label.setMaxWidth(width);
    }

    void fill(JudgedLine line) {
      mark.show(line.mark());
      name.setText(Text.words().line(line.name()));
      why.setText(Text.words().line(line.why()));
      is.setText(Text.of(line.is()));
      shouldBe.setText(Text.of(line.shouldBe()));
      setAccessibleText(
          Text.of("sheet.judged", name.getText(), is.getText(), shouldBe.getText(), why.getText()));
    }
  }
}
