package zebrawood.records.picture;

import java.util.List;
import java.util.OptionalDouble;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.IntStream;
import zebrawood.ledger.Figure;

/**
 * A station's telling figure over its entries, against its limit, each as far from the next. A
 * point beyond the limit is larger as well as red.
 */
public final class TrendPicture {
  private static final double SIDE = 10;
  private static final double TOP = 6;

  /** Points that share less than this cannot be told apart. */
  private static final double PLACE = 4;

  private TrendPicture() {}

  /**
   * The line and its limit without days or an axis, with a dot at the newest: for a row.
   *
   * @param figures oldest first
   */
  public static void drawLine(Canvas on, List<Figure> figures) {
    if (figures.isEmpty()) {
      return;
    }
    OptionalDouble limit = figures.getLast().limit();
    double least =
        Math.min(
            figures.stream().mapToDouble(Figure::value).min().orElse(0),
            limit.orElse(Double.MAX_VALUE));
    double most =
        Math.max(
            figures.stream().mapToDouble(Figure::value).max().orElse(1),
            limit.orElse(-Double.MAX_VALUE));
    double span = most - least > 0 ? most - least : 1;
    double scale = (on.height() - 2 * TOP) / span;
    double base = on.height() - TOP;
    limit.ifPresent(value ->
        on.line(
            0,
            base - (value - least) * scale,
            on.width(),
            base - (value - least) * scale,
            "trend-limit"));
    double room = on.width() - 2 * SIDE;
    double x = SIDE;
    double y = base;
    for (int i : shown(figures, room)) {
      double nextX = SIDE + (figures.size() == 1 ? room / 2 : room * i / (figures.size() - 1));
      double nextY = base - (figures.get(i).value() - least) * scale;
      if (i > 0) {
        on.line(x, y, nextX, nextY, "trend-line");
      }
      x = nextX;
      y = nextY;
    }
    boolean over = figures.getLast().overLimit();
    on.circle(x, y, over ? 4.5 : 3, over ? "trend-over" : "trend-dot");
  }

  /**
   * @param figures oldest first
   * @param bottom what is left free below, for days
   */
  public static void draw(Canvas on, List<Figure> figures, double bottom) {
    if (figures.isEmpty()) {
      return;
    }
    OptionalDouble limit = figures.getLast().limit();
    double most =
        Math.max(
            figures.stream().mapToDouble(f -> Math.abs(f.value())).max().orElse(1),
            limit.orElse(0));
    double top = most == 0 ? 1 : most * 1.15;
    double axisY = on.height() - bottom;
    double scale = (axisY - TOP) / top;
    on.line(SIDE, axisY, on.width() - SIDE, axisY, "trend-axis");
    limit.ifPresent(value ->
        on.line(
            SIDE, axisY - value * scale, on.width() - SIDE, axisY - value * scale, "trend-limit"));
    double room = on.width() - 2 * SIDE - 16;
    double beforeX = 0;
    double beforeY = 0;
    List<Integer> shown = shown(figures, room);
    for (int i : shown) {
      double x = SIDE + 8 + (figures.size() == 1 ? room / 2 : room * i / (figures.size() - 1));
      double y = axisY - Math.abs(figures.get(i).value()) * scale;
      if (i > 0) {
        on.line(beforeX, beforeY, x, y, "trend-line");
      }
      beforeX = x;
      beforeY = y;
    }
    for (int i : shown) {
      double x = SIDE + 8 + (figures.size() == 1 ? room / 2 : room * i / (figures.size() - 1));
      double y = axisY - Math.abs(figures.get(i).value()) * scale;
      boolean over = limit.isPresent() && figures.get(i).value() > limit.getAsDouble();
      on.circle(x, y, over ? 4.5 : 3, over ? "trend-over" : "trend-dot");
    }
  }

  /**
   * Which of them are drawn, oldest first: all where there is room, else the first, the last and,
   * of as many as share a place, the least and the largest. No peak is lost.
   */
  private static List<Integer> shown(List<Figure> figures, double room) {
    int places = Math.max(1, (int) (room / PLACE));
    int count = figures.size();
    if (count <= 2 * places) {
      return IntStream.range(0, count).boxed().toList();
    }
    SortedSet<Integer> shown = new TreeSet<>(List.of(0, count - 1));
    for (int place = 0; place < places; place++) {
      int from = (int) ((long) place * count / places);
      int to = (int) ((long) (place + 1) * count / places);
      int least = from;
      int most = from;
      for (int i = from; i < to; i++) {
        double value = figures.get(i).value();
        least = value < figures.get(least).value() ? i : least;
        most = value > figures.get(most).value() ? i : most;
      }
      shown.add(least);
      shown.add(most);
    }
    return List.copyOf(shown);
  }
}
