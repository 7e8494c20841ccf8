package zebrawood.desktop.sheet;

import java.time.ZoneId;
import java.util.List;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.FigureHistory;
import zebrawood.ledger.FigureWords;
import zebrawood.records.picture.Canvas;
import zebrawood.records.picture.TrendPicture;

/** One figure over a station's entries, with the first and the last day below. */
public final class Trend extends StackPane {
  private static final double BOTTOM = 18;
  private static final double DAY_WIDTH = 60;
  private final FigureHistory history;
  private final ZoneId zone;

  public Trend(String stationId, FigureHistory history, ZoneId zone) {
    this.history = history;
    this.zone = zone;
    getStyleClass().add("trend");
    getChildren().add(new PictureRegion(this::draw, 40, 40));
    setMinHeight(60);
    history
        .newest()
        .ifPresent(figure ->
            setAccessibleText(
                Text.of(
                    "trend.name",
                    FigureWords.label(stationId, figure, Text.words()),
                    FigureWords.withUnit(figure, Text.words()))));
  }

  /** The line alone, for a row. */
  public static Region small(FigureHistory history, double width, double height) {
    PictureRegion line =
        new PictureRegion(on -> TrendPicture.drawLine(on, history.figures()), width, height);
    line.setMaxSize(width, height);
    return line;
  }

  private void draw(Canvas on) {
    TrendPicture.draw(on, history.figures(), BOTTOM);
    List<Entry> entries = history.entries();
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
