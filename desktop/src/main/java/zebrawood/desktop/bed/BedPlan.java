package zebrawood.desktop.bed;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedReadings;
import zebrawood.bed.BedTask;
import zebrawood.bed.GapPoint;
import zebrawood.bed.LevelFinding;
import zebrawood.bed.Levelling;
import zebrawood.bed.ScrewTurn;
import zebrawood.bed.ShimFinding;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Finding;
import zebrawood.measure.PlaneFit;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.quantity.Unit;
import zebrawood.records.picture.Canvas;

/**
 * The bed from above, to scale, rear at the top; a fixed head's ring below its column's feet, both
 * not to scale: what was read at each place, now and as the advice will make it, and what each
 * screw or foot wants. A place that stands high is a filled disc, a low one a ring; its size is how
 * far it is off. Pressing a screw keeps it where it is.
 */
final class BedPlan {
  private static final double MARGIN_X = 48;
  private static final double MARGIN_Y = 68;

  /** A fixed head's feet stand in the upper part of the picture. */
  private static final double FEET_OF_HEIGHT = 0.36;

  private static final double FOOT_PX = 12;

  /** From a screw or foot to the middle of its words. */
  private static final double BESIDE = 38;

  /** Figures of the outermost columns stand this far inside the outline. */
  private static final double INSIDE = 25;

  private static final double NEAR = 8;
  private static final double SMALLEST = 3;
  private static final double LARGEST = 13;

  /** Between rows, in pixels, for the figure now, and for the one after as well. */
  private static final double ROOM_FOR_ONE = 58;

  private static final double ROOM_FOR_BOTH = 92;

  /** Width of a letter of a figure. */
  private static final double LETTER = 9;

  private final BedModel work;
  private final Canvas on;
  private final Optional<Finding> finding;
  private Frame ofPlaces;
  private Frame ofSupports;

  /**
   * A part of the picture with a scale of its own.
   *
   * @param left what lies at its left edge, in mm, and {@code rear} at its top
   * @param topPx where that top is, and {@code middlePx} its middle
   */
  private record Frame(
      double left, double rear, double scale, double scaleY, double topPx, double middlePx) {
    double px(double xMm) {
      return MARGIN_X + (xMm - left) * scale;
    }

    double py(double yMm) {
      return topPx + (rear - yMm) * scaleY;
    }

    /** Away from its middle. */
    double beside(double y) {
      return y < middlePx ? -BESIDE : BESIDE;
    }
  }

  BedPlan(BedModel work, Canvas on) {
    this.work = work;
    this.on = on;
    finding = work.solved().map(f -> f.finding());
  }

  void draw() {
    if (fitScale()) {
      outline();
      work.supports().forEach(s -> BedPlace.at(s.x(), s.y()).ifPresent(this::leader));
      places();
      supports();
    }
  }

  /** The place that is drawn there, or near it. */
  Optional<BedPlace> placeAt(double x, double y) {
    return fitScale()
        ? work.places().stream()
            .filter(p ->
                p.at()
                    .filter(at -> Math.hypot(px(at[0]) - x, py(at[1]) - y) <= LARGEST + NEAR)
                    .isPresent())
            .findFirst()
        : Optional.empty();
  }

  /** Finds the scale at which all places and supports fit; false when none has a position. */
  private boolean fitScale() {
    List<double[]> places = new ArrayList<>();
    work.places().forEach(p -> p.at().ifPresent(places::add));
    List<double[]> supports = new ArrayList<>();
    work.supports().forEach(s -> BedPlace.at(s.x(), s.y()).ifPresent(supports::add));
    double bottom = on.height() - MARGIN_Y;
    if (work.underHead()) {
      double border = FEET_OF_HEIGHT * on.height();
      ofSupports = fitted(supports, MARGIN_Y, Math.max(MARGIN_Y + 1, border - BESIDE), false);
      ofPlaces = fitted(places, Math.min(border + MARGIN_Y, bottom - 1), bottom, false);
    } else {
      List<double[]> all = new ArrayList<>(places);
      all.addAll(supports);
      ofPlaces = fitted(all, MARGIN_Y, bottom, true);
      ofSupports = ofPlaces;
    }
    return !places.isEmpty() || !supports.isEmpty();
  }

  private Frame fitted(List<double[]> all, double fromPx, double toPx, boolean toScale) {
    double left = all.stream().mapToDouble(p -> p[0]).min().orElse(0);
    double rear = all.stream().mapToDouble(p -> p[1]).max().orElse(0);
    double across = all.stream().mapToDouble(p -> p[0]).max().orElse(0) - left;
    double deep = rear - all.stream().mapToDouble(p -> p[1]).min().orElse(0);
    double wide = (on.width() - 2 * MARGIN_X) / Math.max(across, 1);
    double high = (toPx - fromPx) / Math.max(deep, 1);
    double x = toScale ? Math.min(wide, high) : wide;
    double y = toScale ? x : high;
    return new Frame(
        left - ((on.width() - 2 * MARGIN_X) / x - across) / 2,
        rear + ((toPx - fromPx) / y - deep) / 2,
        x,
        y,
        fromPx,
        (fromPx + toPx) / 2);
  }

  private double px(double xMm) {
    return ofPlaces.px(xMm);
  }

  private double py(double yMm) {
    return ofPlaces.py(yMm);
  }

  private void outline() {
    on.words(Text.of("bed.plan.front"), on.width() / 2, on.height() - 12, "plan-side");
    on.words(Text.of("bed.plan.rear"), on.width() / 2, 12, "plan-side");
    if (work.underHead()) {
      on.rectangle(
          MARGIN_X,
          ofPlaces.topPx,
          on.width() - 2 * MARGIN_X,
          2 * (ofPlaces.middlePx - ofPlaces.topPx),
          "plan-bed");
      return;
    }
    double areaXMm = work.machine.areaXMm();
    double areaYMm = work.machine.areaYMm();
    on.rectangle(
        px(0), py(areaYMm), areaXMm * ofPlaces.scale, areaYMm * ofPlaces.scale, "plan-bed");
    for (int i = 1; i < 10; i++) {
      double x = px(areaXMm * i / 10);
      double y = py(areaYMm * i / 10);
      on.line(x, py(areaYMm), x, py(0), "plan-grid");
      on.line(px(0), y, px(areaXMm), y, "plan-grid");
    }
  }

  private void leader(double[] at) {
    double x = ofSupports.px(at[0]);
    double y = ofSupports.py(at[1]);
    // What a screw wants stands on the line's end, what a foot wants beside it.
    double reach = work.onShims() ? 0.7 * ofSupports.beside(y) : ofSupports.beside(y);
    on.line(x, y, x, y + reach, "plan-leader");
    if (work.underHead()) {
      on.rectangle(x - FOOT_PX / 2, y - FOOT_PX / 2, FOOT_PX, FOOT_PX, "duct-piece");
    }
  }

  /** Between two columns that lie closest. */
  private double between() {
    List<Double> at =
        work.places().stream()
            .filter(place -> place.row() == 0)
            .flatMap(place -> place.at().stream())
            .map(xy -> px(xy[0]))
            .sorted()
            .toList();
    double least = on.width() - 2 * MARGIN_X;
    for (int i = 1; i < at.size(); i++) {
      least = Math.min(least, at.get(i) - at.get(i - 1));
    }
    return least;
  }

  private void places() {
    Map<BedPlace, double[]> heights = heights();
    double most =
        heights.values().stream()
            .mapToDouble(h -> Math.max(Math.abs(h[0]), Math.abs(h[1])))
            .max()
            .orElse(0);
    int columns = work.columns().size();
    double inside = columns > 3 ? 0 : INSIDE;
    double roomX = between() - inside;
    double roomY =
        (work.underHead()
                ? Math.abs(
                    py(work.rows().getLast().value().orElse(0))
                        - py(work.rows().getFirst().value().orElse(0)))
                : on.height() - 2 * MARGIN_Y)
            / Math.max(1, work.rows().size() - 1);
    int longest =
        heights.values().stream()
            .flatMapToInt(h -> IntStream.of(signed(h[0]).length(), signed(h[1]).length()))
            .max()
            .orElse(0);
    // Where figures of neighbours would meet, every other one stands a line further in.
    boolean staggered = roomX <= LETTER * longest;
    boolean figures = 2 * roomX > LETTER * longest && roomY > ROOM_FOR_ONE;
    boolean both = roomY > ROOM_FOR_BOTH && !staggered;
    Optional<BedPlace> current = work.current();
    for (BedPlace place : work.places()) {
      double[] at = place.at().orElse(null);
      if (at == null) {
        continue;
      }
      double x = px(at[0]);
      double y = py(at[1]);
      if (current.filter(place::equals).isPresent()) {
        on.circle(x, y, LARGEST + 4, "plan-current");
      }
      boolean read = heights.containsKey(place);
      double[] height = read ? heights.get(place) : new double[] {felt(place)};
      disc(x, y, height[0], most);
      double wordsX =
          x + (place.column() == 0 ? inside : place.column() == columns - 1 ? -inside : 0);
      double below = place.row() > 0 ? 1 : -1;
      String now = read && figures ? signed(height[0]) : feltWords(place, roomX);
      boolean further = staggered && place.column() % 2 == 1;
      on.words(
          further && roomY <= ROOM_FOR_BOTH ? "" : now,
          wordsX,
          y + (further ? 35 : 21) * below,
          "plan-now");
      on.words(
          read && figures && both ? signed(height[1]) : "", wordsX, y + 35 * below, "plan-after");
    }
  }

  /** The feel in words, or its first letter where there is little room. */
  private String feltWords(BedPlace place, double room) {
    if (work.way.get() != BedWay.FEEL) {
      return "";
    }
    String word = place.feel().map(Text::of).orElse("");
    return room > LETTER * word.length() || word.isEmpty() ? word : word.substring(0, 1);
  }

  /** A felt place stands high or low by no figure; one that was not read has none at all. */
  private double felt(BedPlace place) {
    if (work.way.get() != BedWay.FEEL) {
      return Double.NaN;
    }
    return place
        .feel()
        .map(feel ->
            switch (feel) {
              case TOUCHES -> 1.0;
              case SLIDES -> 0.0;
              case GAP -> -1.0;
            })
        .orElse(Double.NaN);
  }

  /**
   * Height above the mean of all places, now and after. It is the bed's height, or the ring's over
   * the table where a fixed head is shimmed.
   */
  private Map<BedPlace, double[]> heights() {
    Map<BedPlace, double[]> heights = new HashMap<>();
    if (finding.filter(LevelFinding.class::isInstance).isEmpty()) {
      return heights;
    }
    List<GapPoint> points =
        switch (work.solved().orElseThrow().readings()) {
          case BedTask.OnScrews s -> s.readings().points();
          case BedTask.OnShims s -> s.readings().points();
          case BedTask.ByFeel f -> List.of();
        };
    double mean = points.stream().mapToDouble(GapPoint::gapMm).average().orElse(0);
    double sign = work.underHead() ? -1 : 1;
    List<Double> after =
        work.solved().orElseThrow().readings() instanceof BedTask.OnScrews(BedReadings readings)
            ? Levelling.leftMm(readings)
            : PlaneFit.of(points, p -> -p.gapMm(), 1).residualsMm();
    List<BedPlace> read = work.places().stream().filter(BedPlace::isRead).toList();
    for (int i = 0; i < Math.min(points.size(), read.size()); i++) {
      heights.put(
          read.get(i), new double[] {sign * (mean - points.get(i).gapMm()), sign * after.get(i)});
    }
    return heights;
  }

  private void disc(double x, double y, double height, double most) {
    boolean unread = Double.isNaN(height);
    double share = unread ? 0 : Math.min(1, Math.abs(height) / Math.max(most, 1e-12));
    on.circle(x, y, SMALLEST + share * (LARGEST - SMALLEST), "plan-place")
        .state("low", height < 0)
        .state("unread", unread);
  }

  private void supports() {
    for (int i = 0; i < work.supports().size(); i++) {
      Support support = work.supports().get(i);
      int index = i;
      BedPlace.at(support.x(), support.y())
          .ifPresent(at -> {
            double x = ofSupports.px(at[0]);
            double level = ofSupports.py(at[1]);
            double y = level + ofSupports.beside(level);
            double shifted = x + (x < on.width() / 2 ? 6 : -6);
            if (work.onShims()) {
              on.words(
                  shim(index), Math.min(Math.max(shifted, 40), on.width() - 40), y, "plan-shim");
            } else {
              screw(support, index, shifted, y);
            }
          });
    }
  }

  private void screw(Support support, int index, double x, double y) {
    String id = support.name();
    boolean kept = !id.isEmpty() && work.keep.text().equals(id);
    String words = kept ? Text.of("bed.plan.kept") : "–";
    int turns = 0;
    if (!kept && finding.isPresent() && finding.get() instanceof BedFinding f) {
      ScrewTurn turn = f.screws().get(index);
      turns =
          switch (turn.direction()) {
            case NONE -> 0;
            case CLOCKWISE -> 1;
            case COUNTER_CLOCKWISE -> -1;
          };
      words =
          turns == 0
              ? Text.of("bed.plan.stays")
              : Text.of(turns > 0 ? "bed.plan.cw" : "bed.plan.ccw", BedAdvice.pretty(turn));
    }
    on.button(
            "screw-" + index,
            words,
            turns,
            Text.of(kept ? "bed.plan.screw.free" : "bed.plan.screw.keep", id, words),
            x,
            y,
            "plan-screw",
            () -> work.keep.set(kept ? "" : id))
        .state("kept", kept);
  }

  private String shim(int index) {
    if (finding.isPresent() && finding.get() instanceof ShimFinding f) {
      double mm = f.shims().get(index).thicknessMm().value();
      return mm == 0
          ? Text.of("bed.plan.no-shim")
          : Text.of("bed.plan.shim", Amount.of(mm, Quantity.LENGTH, 2));
    }
    return "–";
  }

  private static String signed(double mm) {
    Unit unit = Quantity.LENGTH.shownIn(Text.words().units());
    int decimals = Quantity.LENGTH.isCanonical(unit) ? 2 : 4;
    String figure = Numbers.fixed(Math.abs(unit.fromCanonical(mm)), decimals);
    boolean nothing = figure.chars().allMatch(c -> c == '0' || c == '.');
    String written = Text.words().language().written(figure);
    return nothing ? written : (mm < 0 ? "−" : "+") + written;
  }
}
