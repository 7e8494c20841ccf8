package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Phrasebook;

/**
 * The figures that matter, side by side below the picture. Tiles are kept and filled anew, since
 * they follow every keystroke.
 */
final class FigureTiles extends HBox {
  /** More than these could not be read at arm's length. */
  static final int MOST = 4;

  private static final PseudoClass LAST = PseudoClass.getPseudoClass("last");
  private final List<Tile> tiles = new ArrayList<>();

  FigureTiles() {
    getStyleClass().add("tiles");
    setMinHeight(USE_PREF_SIZE);
  }

  void show(List<FigureTile> figures) {
    List<FigureTile> shown = figures.stream().limit(MOST).toList();
    while (tiles.size() < shown.size()) {
      tiles.add(new Tile());
    }
    for (int i = 0; i < shown.size(); i++) {
      tiles.get(i).fill(shown.get(i));
      tiles.get(i).pseudoClassStateChanged(LAST, i == shown.size() - 1);
    }
    if (getChildren().size() != shown.size()) {
      getChildren().setAll(tiles.subList(0, shown.size()));
    }
    setVisible(!shown.isEmpty());
    setManaged(!shown.isEmpty());
  }

  private static final class Tile extends VBox {
    private final Label name = new Label();
    private final Label value = new Label();
    private final Label unit = new Label();
    private final Label verdict = new Label();

    Tile() {
      getStyleClass().add("tile");
      name.getStyleClass().add("tile-name");
      value.getStyleClass().add("tile-value");
      unit.getStyleClass().add("tile-unit");
      value.setMinWidth(USE_PREF_SIZE);
      HBox number = new HBox(5, value, unit);
      number.setAlignment(Pos.BASELINE_LEFT);
      getChildren().addAll(name, number, verdict);
      HBox.setHgrow(this, Priority.ALWAYS);
      setPrefWidth(0);
      setMinWidth(0);
    }

    void fill(FigureTile figure) {
      Phrasebook words = Text.words();
      DisplayUnits units = words.units();
      name.setText(words.line(figure.name()));
      value.setText(figure.value().map(v -> v.number(units)).orElse("–"));
      String symbol =
          figure.value().map(Amount::quantity).map(q -> q.shownIn(units).symbol()).orElse("");
      unit.setText(
          figure
              .uncertainty()
              .map(u -> Text.of("tile.uncertain", u.number(units), symbol))
              .orElse(symbol));
      String judged = Text.of(figure.verdict());
      verdict.setText(
          figure
              .within()
              .map(is -> Text.of(is ? "tile.mark.within" : "tile.mark.not", judged))
              .orElse(judged));
      verdict
          .getStyleClass()
          .setAll(
              "label",
              figure.within().map(is -> is ? "tile-fits" : "tile-wrong").orElse("tile-unit"));
      setAccessibleText(
          Text.of("tile.name", name.getText(), value.getText(), unit.getText(), verdict.getText()));
    }
  }
}
