package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.shape.Arc;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/**
 * A live picture's nodes, kept from one drawing to the next: what costs most of a keystroke is to
 * style nodes that are new. Draw between {@link #begin} and {@link #end} in the same order each
 * time.
 */
public final class Drawing {
  private static final double WORDS_WIDTH = 160;

  private final Map<String, List<Node>> kept = new HashMap<>();
  private final Map<String, Integer> used = new HashMap<>();
  private final List<Node> order = new ArrayList<>();

  public void begin() {
    used.clear();
    order.clear();
  }

  /** Puts what was drawn into a parent's children, when anything came or went. */
  public void end(List<Node> children) {
    if (!order.equals(children)) {
      children.clear();
      children.addAll(order);
    }
  }

  public Circle circle(double x, double y, double radius, String styleClass) {
    Circle circle = take(Circle.class, Circle::new, styleClass);
    circle.setCenterX(x);
    circle.setCenterY(y);
    circle.setRadius(radius);
    return circle;
  }

  public Line line(double fromX, double fromY, double toX, double toY, String styleClass) {
    Line line = take(Line.class, Line::new, styleClass);
    line.setStartX(fromX);
    line.setStartY(fromY);
    line.setEndX(toX);
    line.setEndY(toY);
    return line;
  }

  /**
   * Part of a circle.
   *
   * @param startDeg counter-clockwise from three o'clock
   */
  public Arc arc(
      double x, double y, double radius, double startDeg, double lengthDeg, String styleClass) {
    Arc arc = take(Arc.class, Arc::new, styleClass);
    arc.setCenterX(x);
    arc.setCenterY(y);
    arc.setRadiusX(radius);
    arc.setRadiusY(radius);
    arc.setStartAngle(startDeg);
    arc.setLength(lengthDeg);
    return arc;
  }

  public Rectangle rectangle(double x, double y, double width, double height, String styleClass) {
    Rectangle rectangle = take(Rectangle.class, Rectangle::new, styleClass);
    rectangle.setX(x);
    rectangle.setY(y);
    rectangle.setWidth(width);
    rectangle.setHeight(height);
    return rectangle;
  }

  /** Words with their middle at a place. */
  public Text words(String words, double x, double y, String styleClass) {
    Text text = take(Text.class, Drawing::centred, styleClass);
    text.setText(words);
    text.setX(x - WORDS_WIDTH / 2);
    text.setY(y);
    return text;
  }

  private static Text centred() {
    Text text = new Text();
    text.setTextOrigin(VPos.CENTER);
    text.setTextAlignment(TextAlignment.CENTER);
    text.setWrappingWidth(WORDS_WIDTH);
    return text;
  }

  /** A node that keeps itself, such as a control. */
  public void add(Node node) {
    order.add(node);
  }

  private <T extends Node> T take(Class<T> type, Supplier<T> make, String styleClass) {
    List<Node> nodes = kept.computeIfAbsent(styleClass, s -> new ArrayList<>());
    int next = used.merge(styleClass, 1, Integer::sum) - 1;
    if (next == nodes.size()) {
      T made = make.get();
      made.getStyleClass().add(styleClass);
      made.setMouseTransparent(true);
      made.setManaged(false);
      nodes.add(made);
    }
    Node node = nodes.get(next);
    order.add(node);
    return type.cast(node);
  }
}
