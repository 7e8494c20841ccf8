package zebrawood.desktop.sheet;

import java.time.ZoneId;
import java.util.List;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.FigureWords;
import zebrawood.records.picture.Canvas;
import zebrawood.records.picture.TrendPicture;

/** A station's telling figure over its entries, with the first and the last day below. */
public final class Trend extends StackPane {
  private static final double BOTTOM = 18;
  private static final double DAY_WIDTH = 60;
  private final List<Entry> entries;
  private final ZoneId zone;

  /**
   * @param all entries of one station, oldest first; those without figures are passed over
   */
  public Trend(List<Entry> all, ZoneId zone) {
    this.zone = zone;
    getStyleClass().add("trend");
    entries = all.stream().filter(e -> e.tellingFigure().isPresent()).toList();
    getChildren().add(new PictureRegion(this::draw, 40, 40));
    setMinHeight(60);
    if (!entries.isEmpty()) {
      Entry last = entries.getLast();
      Figure figure = last.figures().getFirst();
      setAccessibleText(
          Text.of(
              "trend.name",
              FigureWords.label(last.stationId(), figure, Text.words()),
              FigureWords.withUnit(figure, Text.words())));
    }
  }

  /** The line alone, for a row. */
  public static Region small(List<Entry> entries, double width, double height) {
    List<Figure> figures = entries.stream().flatMap(e -> e.tellingFigure().stream()).toList();
    PictureRegion line = new PictureRegion(on -> TrendPicture.drawLine(on, figures), width, height);
    line.setMaxSize(width, height);
    return line;
  }

  private void draw(Canvas on) {
    TrendPicture.draw(on, entries.stream().map(e -> e.figures().getFirst()).toList(), BOTTOM);
    double y = on.height() - BOTTOM / 2;
    on.words(
        entries.isEmpty() ? "" : DayWords.day(entries.getFirst().time(), zone),
        DAY_WIDTH / 2,
        y,
        DAY_WIDTH,
        "trend-words");
    on.words(
        entries.size() > 1 ? DayWords.day(entries.getLast().time(), zone) : "",
        on.width() - DAY_WIDTH / 2,
        y,
        DAY_WIDTH,
        "trend-words");
  }
}
