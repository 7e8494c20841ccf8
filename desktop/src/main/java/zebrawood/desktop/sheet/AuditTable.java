package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.station.AuditRow;
import zebrawood.desktop.text.Text;

/**
 * What was compared, a row each: its mark, its name and why, what it is and what it should be. Rows
 * are kept and filled anew, since the list follows every keystroke.
 */
final class AuditTable extends HeightCachingBox {
  private static final double IS_WIDTH = 78;
  private static final double SHOULD_WIDTH = 92;

  /** Narrower than this there is no room for words beside both values: they stand below. */
  private static final double NARROW = 330;

  private final List<Row> rows = new ArrayList<>();
  private boolean narrow;

  AuditTable() {
    getStyleClass().add("judged");
    widthProperty()
        .subscribe(width -> {
          boolean now = width.doubleValue() > 0 && width.doubleValue() < NARROW;
          if (now != narrow) {
            narrow = now;
            rows.forEach(row -> row.setNarrow(now));
          }
        });
  }

  void show(List<AuditRow> lines) {
    while (rows.size() < lines.size()) {
      rows.add(new Row());
      rows.getLast().setNarrow(narrow);
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
    private final VBox words = new HeightCachingBox(0);
    private final HBox below = new HeightCachingRow(9);

    Row() {
      super(0);
      getStyleClass().add("judged-row");
      setAlignment(Pos.CENTER_LEFT);
      HBox.setHgrow(words, Priority.ALWAYS);
      setNarrow(false);
    }

    void setNarrow(boolean isNarrow) {
      below.getChildren().clear();
      getChildren().setAll(mark, words);
      words.getChildren().setAll(name, why);
      if (isNarrow) {
        free(is);
        free(shouldBe);
        below.getChildren().addAll(is, shouldBe);
        words.getChildren().add(below);
      } else {
        fix(is, IS_WIDTH);
        fix(shouldBe, SHOULD_WIDTH);
        getChildren().addAll(is, shouldBe);
      }
    }

    private static void fix(Label label, double width) {
      label.setMinWidth(width);
      label.setPrefWidth(width);
      label.setMaxWidth(width);
    }

    private static void free(Label label) {
      label.setMinWidth(0);
      label.setPrefWidth(USE_COMPUTED_SIZE);
      label.setMaxWidth(USE_PREF_SIZE);
    }

    void fill(AuditRow line) {
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
