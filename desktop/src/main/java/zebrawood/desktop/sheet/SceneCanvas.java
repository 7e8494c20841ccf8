package zebrawood.desktop.sheet;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import javafx.css.PseudoClass;
import javafx.geometry.VPos;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Region;
import javafx.scene.shape.Arc;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import zebrawood.records.picture.Canvas;

/**
 * A picture in the window. Its nodes are kept from one drawing to the next: what costs most of a
 * keystroke is to style nodes that are new. Draw between {@link #begin} and {@link #end} in the
 * same order each time.
 */
final class SceneCanvas implements Canvas {
  private static final String TURN_ARROW =
      "M 2 9 A 7 7 0 1 1 9 16 L 9 13 M 9 16 L 12.5 13.2 M 9 16 L 12.2 18.6";

  /** To put in anew what lies elsewhere costs its style; beyond so many all are put in at once. */
  private static final int MOST_MOVED = 12;

  private final Region region;
  private final Map<String, List<Node>> kept = new HashMap<>();
  private final Map<String, Integer> used = new HashMap<>();
  private final Map<String, PressButton> buttons = new HashMap<>();
  private final List<Node> order = new ArrayList<>();
  private final Supplier<List<Node>> children;

  /** The one photograph of a picture. */
  private byte[] shown = {};

  SceneCanvas(Region region, Supplier<List<Node>> children) {
    this.region = region;
    this.children = children;
  }

  void begin() {
    used.clear();
    order.clear();
  }

  /** Puts what was drawn into the region; what is not drawn any more stays there, hidden. */
  void end() {
    List<Node> shown = children.get();
    Set<Node> drawn = new HashSet<>(order);
    if (!shown.isEmpty() && !putIn(shown, drawn)) {
      shown.clear();
    }
    if (shown.isEmpty()) {
      shown.addAll(order);
    }
    shown.forEach(node -> node.setVisible(drawn.contains(node)));
  }

  /** False where too much of what is there lies in another order than it was drawn in. */
  private boolean putIn(List<Node> shown, Set<Node> drawn) {
    int at = 0;
    int moved = 0;
    for (Node node : order) {
      while (at < shown.size() && !drawn.contains(shown.get(at))) {
        at++;
      }
      if (at == shown.size() || shown.get(at) != node) {
        if (node.getParent() == region) {
          moved++;
          if (moved > MOST_MOVED) {
            return false;
          }
          shown.remove(node);
        }
        shown.add(at, node);
      }
      at++;
    }
    return true;
  }

  /** States of a node are its pseudo-classes. */
  private record NodeMark(Node node) implements Mark {
    @Override
    public Mark state(String name, boolean on) {
      node.pseudoClassStateChanged(PseudoClass.getPseudoClass(name), on);
      return this;
    }
  }

  @Override
  public double width() {
    return region.getWidth();
  }

  @Override
  public double height() {
    return region.getHeight();
  }

  @Override
  public Mark circle(double x, double y, double radius, String look) {
    Circle circle = take(Circle.class, Circle::new, look);
    circle.setCenterX(x);
    circle.setCenterY(y);
    circle.setRadius(radius);
    return new NodeMark(circle);
  }

  @Override
  public Mark line(double fromX, double fromY, double toX, double toY, String look) {
    Line line = take(Line.class, Line::new, look);
    line.setStartX(fromX);
    line.setStartY(fromY);
    line.setEndX(toX);
    line.setEndY(toY);
    return new NodeMark(line);
  }

  @Override
  public Mark arc(
      double x, double y, double radius, double startDeg, double lengthDeg, String look) {
    Arc arc = take(Arc.class, Arc::new, look);
    arc.setCenterX(x);
    arc.setCenterY(y);
    arc.setRadiusX(radius);
    arc.setRadiusY(radius);
    arc.setStartAngle(startDeg);
    arc.setLength(lengthDeg);
    return new NodeMark(arc);
  }

  @Override
  public Mark rectangle(double x, double y, double width, double height, String look) {
    Rectangle rectangle = take(Rectangle.class, Rectangle::new, look);
    rectangle.setX(x);
    rectangle.setY(y);
    rectangle.setWidth(Math.max(0, width));
    rectangle.setHeight(Math.max(0, height));
    return new NodeMark(rectangle);
  }

  @Override
  public Mark image(byte[] png, double x, double y, double width, double height) {
    ImageView view = take(ImageView.class, ImageView::new, "photo");
    if (shown != png) {
      shown = png;
      view.setImage(new Image(new ByteArrayInputStream(png)));
    }
    view.setX(x);
    view.setY(y);
    view.setFitWidth(width);
    view.setFitHeight(height);
    return new NodeMark(view);
  }

  @Override
  public Mark words(String words, double x, double y, double width, String look) {
    Text text = take(Text.class, SceneCanvas::centred, look);
    text.setText(words);
    text.setWrappingWidth(width);
    text.setX(x - width / 2);
    text.setY(y);
    return new NodeMark(text);
  }

  private static Text centred() {
    Text text = new Text();
    text.setTextOrigin(VPos.CENTER);
    text.setTextAlignment(TextAlignment.CENTER);
    return text;
  }

  private <T extends Node> T take(Class<T> type, Supplier<T> make, String look) {
    List<Node> nodes = kept.computeIfAbsent(type.getSimpleName() + look, s -> new ArrayList<>());
    int next = used.merge(type.getSimpleName() + look, 1, Integer::sum) - 1;
    if (next == nodes.size()) {
      T made = make.get();
      made.getStyleClass().add(look);
      made.setMouseTransparent(true);
      made.setManaged(false);
      nodes.add(made);
    }
    Node node = nodes.get(next);
    order.add(node);
    return type.cast(node);
  }

  @Override
  public Mark button(
      String id,
      String words,
      int turns,
      String name,
      double x,
      double y,
      String look,
      Runnable press) {
    PressButton button = buttons.computeIfAbsent(id, i -> new PressButton(look));
    button.setOnAction(e -> press.run());
    button.show(words, turns);
    button.setAccessibleText(name);
    order.add(button);
    if (button.getParent() != region) {
      children.get().add(button);
      button.applyCss();
    }
    double wide = button.prefWidth(-1);
    double high = button.prefHeight(-1);
    button.resizeRelocate(
        Math.clamp(x - wide / 2, 2, Math.max(2, width() - wide - 2)), y - high / 2, wide, high);
    return new NodeMark(button);
  }

  /** With an arrow that goes round the way something turns. */
  private static final class PressButton extends Button {
    private final SVGPath arrow = new SVGPath();

    PressButton(String look) {
      getStyleClass().add(look);
      arrow.setContent(TURN_ARROW);
      arrow.getStyleClass().add("plan-arrow");
      arrow.setScaleY(0.75);
      setGraphic(new Group(arrow));
      setManaged(false);
    }

    void show(String words, int turns) {
      setText(words);
      arrow.setScaleX(turns > 0 ? 0.75 : -0.75);
      setContentDisplay(turns == 0 ? ContentDisplay.TEXT_ONLY : ContentDisplay.LEFT);
    }
  }
}
