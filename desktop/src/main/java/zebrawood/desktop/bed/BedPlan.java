package zebrawood.desktop.bed;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.IntStream;
import javafx.css.PseudoClass;
import javafx.scene.Group;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.SVGPath;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.GapPoint;
import zebrawood.bed.LevelFinding;
import zebrawood.bed.ScrewTurn;
import zebrawood.bed.ShimFinding;
import zebrawood.desktop.sheet.Drawing;
import zebrawood.desktop.sheet.LivePicture;
import zebrawood.desktop.text.Text;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Numbers;
import zebrawood.measure.PlaneFit;
import zebrawood.measure.TurnDirection;

/**
 * The bed from above, to scale, rear at the top: what was read at each place, now and as the advice
 * will make it, and what each screw or foot wants. A place that stands high is a filled disc, a low
 * one a ring; its size is how far it is off. Clicking a screw keeps it where it is.
 */
final class BedPlan extends LivePicture {
  private static final PseudoClass LOW = PseudoClass.getPseudoClass("low");
  private static final PseudoClass UNREAD = PseudoClass.getPseudoClass("unread");
  private static final PseudoClass KEPT = PseudoClass.getPseudoClass("kept");
  private static final double MARGIN_X = 48;
  private static final double MARGIN_Y = 68;

  /** From a screw or foot to the middle of its words. */
  private static final double BESIDE = 38;

  /** Figures of the outermost columns stand this far inside the outline. */
  private static final double INSIDE = 25;

  private static final double SMALLEST = 3;
  private static final double LARGEST = 13;

  /** Between rows, in pixels, for the figure now, and for the one after as well. */
  private static final double ROOM_FOR_ONE = 58;

  private static final double ROOM_FOR_BOTH = 92;

  /** Width of a letter of a figure. */
  private static final double LETTER = 9;

  private static final String TURN_ARROW =
      "M 2 9 A 7 7 0 1 1 9 16 L 9 13 M 9 16 L 12.5 13.2 M 9 16 L 12.2 18.6";

  private final BedModel model;
  private Drawing drawing;
  private final Map<String, ScrewButton> screws = new HashMap<>();
  private final List<Label> shims = new ArrayList<>();
  private Optional<BedPlace> current = Optional.empty();
  private double left;
  private double rear;
  private double scale;

  BedPlan(BedModel model) {
    this.model = model;
    model.outcomeProperty().subscribe(o -> draw());
  }

  /** Marks the place that is being read. */
  void setCurrent(Optional<BedPlace> place) {
    if (!place.equals(current)) {
      current = place;
      draw();
    }
  }

  @Override
  protected void draw(Drawing on) {
    drawing = on;
    if (fitScale()) {
      outline();
      leaders();
      places();
      supports();
    }
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

  private void outline() {
    double x0 = px(0);
    double y0 = py(model.areaYMm());
    drawing.rectangle(x0, y0, model.areaXMm() * scale, model.areaYMm() * scale, "plan-bed");
    for (int i = 1; i < 10; i++) {
      double x = px(model.areaXMm() * i / 10);
      double y = py(model.areaYMm() * i / 10);
      drawing.line(x, y0, x, py(0), "plan-grid");
      drawing.line(x0, y, px(model.areaXMm()), y, "plan-grid");
    }
    drawing.words(Text.of("bed.plan.front"), getWidth() / 2, getHeight() - 12, "plan-side");
    drawing.words(Text.of("bed.plan.rear"), getWidth() / 2, 12, "plan-side");
  }

  private void places() {
    Map<String, double[]> heights = heights();
    double most =
        heights.values().stream()
            .mapToDouble(h -> Math.max(Math.abs(h[0]), Math.abs(h[1])))
            .max()
            .orElse(0);
    int columns = model.columnsProperty().get().size();
    int rows = model.rowsProperty().get().size();
    double roomX = (getWidth() - 2 * MARGIN_X) / Math.max(1, columns - 1);
    double roomY = (getHeight() - 2 * MARGIN_Y) / Math.max(1, rows - 1);
    int longest =
        heights.values().stream()
            .flatMapToInt(h -> IntStream.of(signed(h[0]).length(), signed(h[1]).length()))
            .max()
            .orElse(0);
    boolean figures = roomX > LETTER * longest && roomY > ROOM_FOR_ONE;
    boolean both = roomY > ROOM_FOR_BOTH;
    double inside = columns > 3 ? 0 : INSIDE;
    Circle ring = drawing.circle(0, 0, LARGEST + 4, "plan-current");
    ring.setVisible(false);
    for (BedPlace place : model.placesProperty().get()) {
      double[] at = at(place).orElse(null);
      if (at == null) {
        continue;
      }
      double x = px(at[0]);
      double y = py(at[1]);
      if (current.filter(place::equals).isPresent()) {
        ring.setCenterX(x);
        ring.setCenterY(y);
        ring.setVisible(true);
      }
      double[] height = heights.getOrDefault(place.name(), felt(place));
      disc(x, y, height[0], most);
      double wordsX =
          x + (place.column() == 0 ? inside : place.column() == columns - 1 ? -inside : 0);
      double below = place.row() > 0 ? 1 : -1;
      boolean read = heights.containsKey(place.name()) && figures;
      String now = read ? signed(height[0]) : feltWords(place, roomX);
      drawing.words(now, wordsX, y + 21 * below, "plan-now");
      drawing.words(read && both ? signed(height[1]) : "", wordsX, y + 35 * below, "plan-after");
    }
  }

  /** The feel in words, or its first letter where there is little room. */
  private String feltWords(BedPlace place, double room) {
    if (model.wayProperty().get() != BedWay.FEEL) {
      return "";
    }
    String word = place.feel().map(f -> f.name().toLowerCase(Locale.ROOT)).orElse("");
    return room > LETTER * word.length() || word.isEmpty() ? word : word.substring(0, 1);
  }

  /** A felt place stands high or low by no figure; one that was not read has none at all. */
  private double[] felt(BedPlace place) {
    if (model.wayProperty().get() != BedWay.FEEL) {
      return new double[] {Double.NaN};
    }
    return new double[] {
      place
          .feel()
          .map(feel ->
              switch (feel) {
                case TOUCHES -> 1.0;
                case SLIDES -> 0.0;
                case GAP -> -1.0;
              })
          .orElse(Double.NaN)
    };
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

  private void disc(double x, double y, double height, double most) {
    boolean unread = Double.isNaN(height);
    double share = unread ? 0 : Math.min(1, Math.abs(height) / Math.max(most, 1e-12));
    Circle disc = drawing.circle(x, y, SMALLEST + share * (LARGEST - SMALLEST), "plan-place");
    disc.pseudoClassStateChanged(LOW, height < 0);
    disc.pseudoClassStateChanged(UNREAD, unread);
  }

  /** From each screw or foot to its words, under the places. */
  private void leaders() {
    for (Support support : model.supportsProperty().get()) {
      at(support)
          .ifPresent(at -> {
            double x = px(at[0]);
            double y = py(at[1]);
            double beside = y < getHeight() / 2 ? -BESIDE : BESIDE;
            drawing.line(x, y, x, y + beside, "plan-leader");
          });
    }
  }

  private void supports() {
    List<Support> supports = model.supportsProperty().get();
    for (int i = 0; i < supports.size(); i++) {
      double[] at = at(supports.get(i)).orElse(null);
      if (at == null) {
        continue;
      }
      Region label = model.onShims() ? shim(i) : screw(supports.get(i), i);
      drawing.add(label);
      put(label, px(at[0]), py(at[1]));
    }
  }

  /** Beside its screw or foot, on the side away from the middle, within the picture. */
  private void put(Region label, double x, double y) {
    if (label.getParent() != this) {
      getChildren().add(label);
      label.applyCss();
    }
    double width = label.prefWidth(-1);
    double height = label.prefHeight(-1);
    double shifted = x + (x < getWidth() / 2 ? 6 : -6) - width / 2;
    double beside = y < getHeight() / 2 ? -BESIDE : BESIDE;
    label.resizeRelocate(
        Math.clamp(shifted, 2, Math.max(2, getWidth() - width - 2)),
        y + beside - height / 2,
        width,
        height);
  }

  private Region screw(Support support, int index) {
    String id = support.idProperty().get();
    ScrewButton button =
        screws.computeIfAbsent(id, name -> new ScrewButton(() -> toggleKept(name)));
    boolean kept = model.keepProperty().get().filter(id::equals).isPresent();
    String words = kept ? Text.of("bed.plan.kept") : "–";
    TurnDirection arrow = TurnDirection.NONE;
    if (!kept
        && model.outcomeProperty().get() instanceof BedOutcome.Found found
        && found.finding() instanceof BedFinding finding) {
      ScrewTurn turn = finding.screws().get(index);
      arrow = turn.direction();
      words =
          switch (arrow) {
            case NONE -> Text.of("bed.plan.stays");
            case CLOCKWISE -> Text.of("bed.plan.cw", BedAdvice.pretty(turn));
            case COUNTER_CLOCKWISE -> Text.of("bed.plan.ccw", BedAdvice.pretty(turn));
          };
    }
    button.show(words, arrow, kept);
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

  /** A screw's turn with an arrow round it; pressing it keeps the screw where it is. */
  private static final class ScrewButton extends Button {
    private final SVGPath arrow = new SVGPath();

    ScrewButton(Runnable press) {
      getStyleClass().add("plan-screw");
      arrow.setContent(TURN_ARROW);
      arrow.getStyleClass().add("plan-arrow");
      arrow.setScaleY(0.75);
      setGraphic(new Group(arrow));
      setOnAction(e -> press.run());
      setManaged(false);
    }

    void show(String words, TurnDirection direction, boolean kept) {
      setText(words);
      arrow.setScaleX(direction == TurnDirection.CLOCKWISE ? 0.75 : -0.75);
      setContentDisplay(
          direction == TurnDirection.NONE ? ContentDisplay.TEXT_ONLY : ContentDisplay.LEFT);
      pseudoClassStateChanged(KEPT, kept);
    }
  }

  private Region shim(int index) {
    if (shims.size() <= index) {
      Label made = new Label();
      made.getStyleClass().add("plan-shim");
      made.setManaged(false);
      shims.add(made);
    }
    Label label = shims.get(index);
    String words = "–";
    if (model.outcomeProperty().get() instanceof BedOutcome.Found found
        && found.finding() instanceof ShimFinding finding) {
      double mm = finding.shims().get(index).thicknessMm();
      words = mm == 0 ? Text.of("bed.plan.no-shim") : model.unit().showWithUnit(mm, 2);
    }
    label.setText(words);
    return label;
  }

  private String signed(double mm) {
    LengthUnit unit = model.unit();
    String figure = Numbers.fixed(Math.abs(unit.fromMm(mm)), unit == LengthUnit.INCH ? 4 : 2);
    boolean nothing = figure.matches("0\\.0*");
    return nothing ? figure : (mm < 0 ? "−" : "+") + figure;
  }
}
