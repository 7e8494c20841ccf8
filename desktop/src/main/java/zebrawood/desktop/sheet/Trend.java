package zebrawood.desktop.sheet;

import java.time.ZoneId;
import java.util.List;
import java.util.OptionalDouble;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.measure.LengthUnit;

/**
 * A station's telling figure over its entries, against its limit. A point beyond the limit is a
 * diamond in shape as well as red.
 */
public final class Trend extends Region {
  private static final double LEFT = 6;
  private static final double RIGHT = 10;
  private static final double TOP = 6;
  private static final double BOTTOM = 18;

  private final List<Entry> entries;
  private final List<Figure> figures;

  /**
   * @param all entries of one station, oldest first; those without figures are passed over
   */
  public Trend(List<Entry> all, LengthUnit unit, ZoneId zone) {
    getStyleClass().add("trend");
    entries = all.stream().filter(e -> e.tellingFigure().isPresent()).toList();
    figures = entries.stream().map(e -> e.tellingFigure().get()).toList();
    setMinHeight(60);
    widthProperty().subscribe(w -> draw(zone));
    heightProperty().subscribe(h -> draw(zone));
    if (!figures.isEmpty()) {
      Figure last = figures.getLast();
      setAccessibleText(last.label() + ", last " + FigureText.withUnit(last, unit));
    }
  }

  private void draw(ZoneId zone) {
    getChildren().clear();
    if (figures.isEmpty() || !(getWidth() > 40) || !(getHeight() > 40)) {
      return;
    }
    OptionalDouble limit = figures.getLast().limit();
    double most =
        Math.max(
            figures.stream().mapToDouble(f -> Math.abs(f.value())).max().orElse(1),
            limit.orElse(0));
    double top = most == 0 ? 1 : most * 1.15;
    double bottomY = getHeight() - BOTTOM;
    add(new Line(LEFT, bottomY, getWidth() - RIGHT, bottomY), "trend-axis");
    limit.ifPresent(value -> {
      double y = y(value, top);
      add(new Line(LEFT, y, getWidth() - RIGHT, y), "trend-limit");
    });
    Polyline line = new Polyline();
    add(line, "trend-line");
    for (int i = 0; i < figures.size(); i++) {
      double x = x(i);
      double y = y(Math.abs(figures.get(i).value()), top);
      line.getPoints().addAll(x, y);
      boolean over = limit.isPresent() && figures.get(i).value() > limit.getAsDouble();
      if (over) {
        add(new Polygon(x, y - 5, x + 5, y, x, y + 5, x - 5, y), "trend-over");
      } else {
        add(new Circle(x, y, 3.5), "trend-dot");
      }
    }
    Label first = label(When.day(entries.getFirst().at(), zone));
    first.setLayoutX(LEFT);
    first.setLayoutY(bottomY + 1);
    if (entries.size() > 1) {
      Label last = label(When.day(entries.getLast().at(), zone));
      last.setLayoutX(getWidth() - RIGHT - 46);
      last.setLayoutY(bottomY + 1);
    }
  }

  private Label label(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("trend-words");
    getChildren().add(label);
    return label;
  }

  private void add(javafx.scene.shape.Shape shape, String styleClass) {
    shape.getStyleClass().add(styleClass);
    shape.setManaged(false);
    getChildren().add(shape);
  }

  private double x(int index) {
    double room = getWidth() - LEFT - RIGHT - 16;
    return LEFT + 8 + (figures.size() == 1 ? room / 2 : room * index / (figures.size() - 1));
  }

  private double y(double value, double top) {
    return getHeight() - BOTTOM - value / top * (getHeight() - TOP - BOTTOM);
  }
}
