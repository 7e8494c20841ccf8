package zebrawood.desktop.bed;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import javafx.geometry.VPos;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import javafx.scene.shape.Shape;
import javafx.scene.text.TextAlignment;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.Feel;
import zebrawood.bed.GapPoint;
import zebrawood.bed.LevelFinding;
import zebrawood.bed.ScrewTurn;
import zebrawood.bed.ShimFinding;
import zebrawood.bed.TurnDirection;
import zebrawood.desktop.text.Text;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Numbers;
import zebrawood.measure.PlaneFit;

/**
 * The bed from above, to scale, rear at the top: what was read at each place, now and as the advice
 * will make it, and what each screw or foot wants. A place that stands high is a filled disc, a low
 * one a ring; its size is how far it is off. Clicking a screw keeps it where it is.
 */
final class BedPlan extends Region {
  private static final double MARGIN_X = 48;
  private static final double MARGIN_Y = 68;

  /** From a screw or foot to the middle of its words. */
  private static final double BESIDE = 38;

  /** Figures of the outermost columns stand this far inside the outline. */
  private static final double INSIDE = 25;

  private static final double SMALLEST = 3;
  private static final double LARGEST = 13;

  /** Closer together than this, in pixels, figures would run into one another. */
  private static final double ROOM_FOR_FIGURES = 46;

  private static final String TURN_ARROW =
      "M 2 9 A 7 7 0 1 1 9 16 L 9 13 M 9 16 L 12.5 13.2 M 9 16 L 12.2 18.6";

  private final BedModel model;
  private final Map<String, Button> screws = new TreeMap<>();
  private Optional<BedPlace> current = Optional.empty();
  private double left;
  private double rear;
  private double scale;

  BedPlan(BedModel model) {
    this.model = model;
    getStyleClass().add("plan");
    setMinSize(280, 240);
    model.outcomeProperty().subscribe(o -> draw());
    widthProperty().subscribe(w -> draw());
    heightProperty().subscribe(h -> draw());
  }

  /** Marks the place that is being read. */
  void setCurrent(Optional<BedPlace> place) {
    if (!place.equals(current)) {
      current = place;
      draw();
    }
  }

  private void draw() {
    if (!(getWidth() > 2 * MARGIN_X) || !(getHeight() > 2 * MARGIN_Y)) {
      return;
    }
    List<Node> nodes = new ArrayList<>();
    if (fitScale()) {
      nodes.addAll(outline());
      leaders(nodes);
      places(nodes);
      supports(nodes);
    }
    getChildren().setAll(nodes);
  }

  /** Finds the scale at which all places and supports fit; false when none has a position. */
  private boolean fitScale() {
    List<double[]> all = new ArrayList<>();
    for (BedPlace place : model.placesProperty().get()) {
      at(place).ifPresent(all::add);
    }
    for (Support support : model.supportsProperty().get()) {
      at(support).ifPresent(all::add);
    }
    if (all.isEmpty()) {
      return false;
    }
    left = all.stream().mapToDouble(p -> p[0]).min().orElse(0);
    rear = all.stream().mapToDouble(p -> p[1]).max().orElse(0);
    double across = all.stream().mapToDouble(p -> p[0]).max().orElse(0) - left;
    double deep = rear - all.stream().mapToDouble(p -> p[1]).min().orElse(0);
    scale =
        Math.min(
            (getWidth() - 2 * MARGIN_X) / Math.max(across, 1),
            (getHeight() - 2 * MARGIN_Y) / Math.max(deep, 1));
    left -= ((getWidth() - 2 * MARGIN_X) / scale - across) / 2;
    rear += ((getHeight() - 2 * MARGIN_Y) / scale - deep) / 2;
    return true;
  }

  private Optional<double[]> at(BedPlace place) {
    OptionalDouble x = model.columnsProperty().get().get(place.column()).mm();
    OptionalDouble y = model.rowsProperty().get().get(place.row()).mm();
    return x.isPresent() && y.isPresent()
        ? Optional.of(new double[] {x.getAsDouble(), y.getAsDouble()})
        : Optional.empty();
  }

  private static Optional<double[]> at(Support support) {
    OptionalDouble x = support.x().mm();
    OptionalDouble y = support.y().mm();
    return x.isPresent() && y.isPresent()
        ? Optional.of(new double[] {x.getAsDouble(), y.getAsDouble()})
        : Optional.empty();
  }

  private double px(double xMm) {
    return MARGIN_X + (xMm - left) * scale;
  }

  private double py(double yMm) {
    return MARGIN_Y + (rear - yMm) * scale;
  }

  private List<Node> outline() {
    List<Node> nodes = new ArrayList<>();
    double x0 = px(0);
    double y0 = py(model.areaYMm());
    Rectangle bed = new Rectangle(x0, y0, model.areaXMm() * scale, model.areaYMm() * scale);
    nodes.add(styled(bed, "plan-bed"));
    for (int i = 1; i < 10; i++) {
      double x = px(model.areaXMm() * i / 10);
      double y = py(model.areaYMm() * i / 10);
      nodes.add(styled(new Line(x, y0, x, py(0)), "plan-grid"));
      nodes.add(styled(new Line(x0, y, px(model.areaXMm()), y), "plan-grid"));
    }
    nodes.add(words(Text.of("bed.plan.front"), getWidth() / 2, getHeight() - 12, "plan-side"));
    nodes.add(words(Text.of("bed.plan.rear"), getWidth() / 2, 12, "plan-side"));
    return nodes;
  }

  private void places(List<Node> nodes) {
    List<BedPlace> places = model.placesProperty().get();
    Map<String, double[]> heights = heights();
    double most =
        heights.values().stream()
            .mapToDouble(h -> Math.max(Math.abs(h[0]), Math.abs(h[1])))
            .max()
            .orElse(0);
    int columns = model.columnsProperty().get().size();
    int rows = model.rowsProperty().get().size();
    boolean figures =
        (getWidth() - 2 * MARGIN_X) / columns > ROOM_FOR_FIGURES
            && (getHeight() - 2 * MARGIN_Y) / rows > ROOM_FOR_FIGURES - 8;
    for (BedPlace place : places) {
      double[] at = at(place).orElse(null);
      if (at == null) {
        continue;
      }
      double x = px(at[0]);
      double y = py(at[1]);
      if (current.filter(place::equals).isPresent()) {
        nodes.add(styled(new Circle(x, y, LARGEST + 4), "plan-current"));
      }
      double[] height = heights.get(place.name());
      if (height != null) {
        nodes.add(disc(x, y, height[0], most));
        if (figures) {
          double wordsX =
              x + (place.column() == 0 ? INSIDE : place.column() == columns - 1 ? -INSIDE : 0);
          nodes.add(
              words(signed(height[0]), wordsX, y + (inward(place, rows) ? 21 : -21), "plan-now"));
          if (!Double.isNaN(height[1])) {
            nodes.add(
                words(
                    signed(height[1]), wordsX, y + (inward(place, rows) ? 35 : -35), "plan-after"));
          }
        }
      } else if (model.wayProperty().get() == BedWay.FEEL && place.feel().isPresent()) {
        Feel feel = place.feel().get();
        nodes.add(disc(x, y, feel.compareTo(Feel.SLIDES) * -1.0, 2));
        nodes.add(words(feel.name().toLowerCase(java.util.Locale.ROOT), x, y + 22, "plan-now"));
      } else {
        nodes.add(styled(new Circle(x, y, SMALLEST), "plan-unread"));
      }
    }
  }

  /** Figures stand on the side of their place that faces the middle of the bed. */
  private static boolean inward(BedPlace place, int rows) {
    return place.row() >= rows / 2.0;
  }

  /**
   * Height above the mean of all places by name, now and after; after is NaN where unknown. It is
   * the bed's height, or the ring's over the table where a fixed head is shimmed.
   */
  private Map<String, double[]> heights() {
    Map<String, double[]> heights = new TreeMap<>();
    if (!(model.outcomeProperty().get() instanceof BedOutcome.Found found)
        || !(found.finding() instanceof LevelFinding)) {
      return heights;
    }
    List<GapPoint> points =
        switch (found.task()) {
          case BedTask.OnScrews s -> s.readings().points();
          case BedTask.OnShims s -> s.readings().points();
          case BedTask.ByFeel f -> List.of();
        };
    double mean = points.stream().mapToDouble(GapPoint::gapMm).average().orElse(0);
    double sign = model.underHead() ? -1 : 1;
    List<Double> left = PlaneFit.of(points, p -> -p.gapMm(), 1).residualsMm();
    List<BedPlace> read =
        model.placesProperty().get().stream().filter(p -> !p.reading().isEmpty()).toList();
    for (int i = 0; i < points.size(); i++) {
      heights.put(
          read.get(i).name(),
          new double[] {sign * (mean - points.get(i).gapMm()), sign * left.get(i)});
    }
    return heights;
  }

  private static Node disc(double x, double y, double height, double most) {
    double share = most == 0 ? 0 : Math.min(1, Math.abs(height) / most);
    Circle disc = new Circle(x, y, SMALLEST + share * (LARGEST - SMALLEST));
    return styled(disc, height < 0 ? "plan-low" : "plan-high");
  }

  /** From each screw or foot to its words, under the places. */
  private void leaders(List<Node> nodes) {
    for (Support support : model.supportsProperty().get()) {
      at(support)
          .ifPresent(at -> {
            double x = px(at[0]);
            double y = py(at[1]);
            double beside = y < getHeight() / 2 ? -BESIDE : BESIDE;
            nodes.add(styled(new Line(x, y, x, y + beside), "plan-leader"));
          });
    }
  }

  private void supports(List<Node> nodes) {
    double middleX = getWidth() / 2;
    double middleY = getHeight() / 2;
    List<Support> supports = model.supportsProperty().get();
    for (int i = 0; i < supports.size(); i++) {
      Support support = supports.get(i);
      double[] at = at(support).orElse(null);
      if (at == null) {
        continue;
      }
      double x = px(at[0]);
      double y = py(at[1]);
      double beside = y < middleY ? -BESIDE : BESIDE;
      Region label = model.onShims() ? shim(i) : screw(support, i);
      label.autosize();
      double width = label.prefWidth(-1);
      double height = label.prefHeight(-1);
      double shifted = x + (x < middleX ? 6 : -6) - width / 2;
      label.resizeRelocate(
          Math.clamp(shifted, 2, getWidth() - width - 2), y + beside - height / 2, width, height);
      nodes.add(label);
    }
  }

  private Region screw(Support support, int index) {
    String id = support.idProperty().get();
    Button button =
        screws.computeIfAbsent(
            id,
            name -> {
              Button made = new Button();
              made.getStyleClass().add("plan-screw");
              made.setOnAction(e -> toggleKept(name));
              return made;
            });
    boolean kept = model.keepProperty().get().filter(id::equals).isPresent();
    button.pseudoClassStateChanged(javafx.css.PseudoClass.getPseudoClass("kept"), kept);
    String words = "–";
    Node arrow = null;
    if (model.outcomeProperty().get() instanceof BedOutcome.Found found
        && found.finding() instanceof BedFinding finding) {
      ScrewTurn turn = finding.screws().get(index);
      if (kept) {
        words = Text.of("bed.plan.kept");
      } else if (turn.direction() == TurnDirection.NONE) {
        words = Text.of("bed.plan.stays");
      } else {
        boolean clockwise = turn.direction() == TurnDirection.CLOCKWISE;
        words = BedAdvice.pretty(turn) + (clockwise ? " cw" : " ccw");
        arrow = arrow(clockwise);
      }
    } else if (kept) {
      words = Text.of("bed.plan.kept");
    }
    button.setText(words);
    button.setGraphic(arrow);
    button.setAccessibleText(
        Text.of(kept ? "bed.plan.screw.free" : "bed.plan.screw.keep", id, words));
    return button;
  }

  private void toggleKept(String id) {
    Optional<String> kept = model.keepProperty().get();
    model
        .keepProperty()
        .set(kept.filter(id::equals).isPresent() ? Optional.empty() : Optional.of(id));
  }

  private static Node arrow(boolean clockwise) {
    SVGPath path = new SVGPath();
    path.setContent(TURN_ARROW);
    path.getStyleClass().add("plan-arrow");
    path.setScaleX(clockwise ? 0.75 : -0.75);
    path.setScaleY(0.75);
    return new Group(path);
  }

  private Region shim(int index) {
    Label label = new Label("–");
    label.getStyleClass().add("plan-shim");
    if (model.outcomeProperty().get() instanceof BedOutcome.Found found
        && found.finding() instanceof ShimFinding finding) {
      double mm = finding.shims().get(index).thicknessMm();
      label.setText(mm == 0 ? Text.of("bed.plan.no-shim") : model.unit().showWithUnit(mm, 2));
    }
    return label;
  }

  private String signed(double mm) {
    LengthUnit unit = model.unit();
    String figure = Numbers.fixed(Math.abs(unit.fromMm(mm)), unit == LengthUnit.INCH ? 4 : 2);
    boolean nothing = figure.matches("0\\.0*");
    return nothing ? figure : (mm < 0 ? "−" : "+") + figure;
  }

  private static Node words(String words, double x, double y, String styleClass) {
    var text = new javafx.scene.text.Text(words);
    text.setTextOrigin(VPos.CENTER);
    text.setTextAlignment(TextAlignment.CENTER);
    text.getStyleClass().add(styleClass);
    text.setX(x - 80);
    text.setY(y);
    text.setWrappingWidth(160);
    return text;
  }

  private static Node styled(Shape shape, String styleClass) {
    shape.getStyleClass().add(styleClass);
    return shape;
  }
}
