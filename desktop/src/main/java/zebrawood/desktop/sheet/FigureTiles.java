package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.words.Phrasebook;

/**
 * The figures that matter, side by side below the picture. Tiles are kept and filled anew, since
 * they follow every keystroke.
 */
final class FigureTiles extends Region {
  /** More than these could not be read at arm's length. */
  static final int MOST = 4;

  /** Narrower than this a tile is cut; then they stand in two rows. */
  private static final double LEAST_WIDTH = 84;

  /** About as wide as a digit of the figure, and as a letter beside it. */
  private static final double DIGIT_WIDTH = 12.5;

  private static final double LETTER_WIDTH = 6.4;
  private static final double EDGES = 26;

  private final List<Tile> tiles = new ArrayList<>();
  private boolean low;

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
    }
    if (getChildren().size() != shown.size()) {
      getChildren().setAll(tiles.subList(0, shown.size()));
    }
    setVisible(!shown.isEmpty());
    setManaged(!shown.isEmpty());
  }

  /** One row, of the first figures, where the window is low. */
  void setLow(boolean isLow) {
    if (low != isLow) {
      low = isLow;
      requestLayout();
    }
  }

  private int rows(int columns) {
    return low ? 1 : Math.ceilDiv(getChildren().size(), columns);
  }

  private int columns(double width) {
    int all = Math.max(1, getChildren().size());
    return width / all >= LEAST_WIDTH || all == 1 ? all : (all + 1) / 2;
  }

  private double rowHeight() {
    return getChildren().stream().mapToDouble(tile -> tile.prefHeight(-1)).max().orElse(0);
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computePrefHeight(double width) {
    int columns = columns(width < 0 ? getWidth() : width);
    return rowHeight() * rows(columns) + 2;
  }

  @Override
  protected void layoutChildren() {
    int columns = columns(getWidth());
    double wide = (getWidth() - 2) / columns;
    double high = rowHeight();
    int shown = columns * rows(columns);
    for (int i = 0; i < getChildren().size(); i++) {
      getChildren().get(i).setVisible(i < shown);
      tiles.get(i).setWide(wide);
      getChildren()
          .get(i)
          .resizeRelocate(1 + i % columns * wide, 1 + i / columns * high, wide, high);
    }
  }

  private static final class Tile extends VBox {
    private static final PseudoClass FITS = PseudoClass.getPseudoClass("fits");
    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");
    private final Label name = new Label();
    private final Label value = new Label();
    private final Label unit = new Label();
    private final Label verdict = new Label();
    private String withUnit = "";
    private String bare = "";
    private double wide = Double.MAX_VALUE;

    Tile() {
      getStyleClass().add("tile");
      // All tiles are as high, whatever stands in them: a figure that changes asks for no layout.
      setManaged(false);
      name.getStyleClass().add("tile-name");
      value.getStyleClass().add("tile-value");
      unit.getStyleClass().add("tile-unit");
      verdict.getStyleClass().add("tile-verdict");
      value.setMinWidth(USE_PREF_SIZE);
      HBox number = new HBox(4, value, unit);
      number.setAlignment(Pos.BASELINE_LEFT);
      getChildren().addAll(name, number, verdict);
    }

    void fill(FigureTile figure) {
      Phrasebook words = Text.words();
      name.setText(words.line(figure.name()));
      value.setText(figure.value().map(words::number).orElse("–"));
      String symbol = figure.value().map(Amount::quantity).map(words::unit).orElse("");
      String said = Text.of(figure.verdict());
      // Where nothing is judged the line below is free, and the figure may be long.
      Optional<String> below = said.isEmpty() ? uncertain(figure, symbol) : Optional.empty();
      withUnit = below.isPresent() ? "" : uncertain(figure, symbol).orElse(symbol);
      bare = below.isPresent() ? "" : uncertain(figure, "").map(String::strip).orElse(symbol);
      showUnit();
      String judged = below.orElse(said);
      verdict.setText(
          figure
              .within()
              .map(is -> Text.of(is ? "tile.mark.within" : "tile.mark.not", judged))
              .orElse(judged));
      verdict.pseudoClassStateChanged(FITS, figure.within().equals(Optional.of(true)));
      verdict.pseudoClassStateChanged(WRONG, figure.within().equals(Optional.of(false)));
      setAccessibleText(
          Text.of("tile.name", name.getText(), value.getText(), withUnit, verdict.getText()));
    }

    private static Optional<String> uncertain(FigureTile figure, String symbol) {
      return figure
          .uncertainty()
          .map(u -> Text.of("tile.uncertain", Text.words().number(u), symbol));
    }

    void setWide(double width) {
      wide = width;
      showUnit();
    }

    /** An uncertainty stands without its unit where both have no room. */
    private void showUnit() {
      double needed =
          value.getText().length() * DIGIT_WIDTH + withUnit.length() * LETTER_WIDTH + EDGES;
      unit.setText(wide < needed ? bare : withUnit);
    }
  }
}
