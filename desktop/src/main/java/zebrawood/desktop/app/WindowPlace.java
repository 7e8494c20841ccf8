package zebrawood.desktop.app;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import javafx.geometry.Rectangle2D;

/**
 * Where a window is, in the points of the screens together.
 *
 * @param large whether it fills its screen
 */
record WindowPlace(double x, double y, double width, double height, boolean large) {
  /** The least that all sheets fit in. */
  static final double LEAST_WIDTH = 1024;

  static final double LEAST_HEIGHT = 640;

  private static final int FIGURES = 4;

  /** No screen reaches further. */
  private static final double FARTHEST = 1e6;

  /** As it is kept: five figures with blanks between. */
  String kept() {
    return String.format(Locale.ROOT, "%.0f %.0f %.0f %.0f %d", x, y, width, height, large ? 1 : 0);
  }

  /** Empty where these are no such figures. */
  static Optional<WindowPlace> of(String kept) {
    try {
      double[] figures =
          Stream.of(kept.strip().split(" +")).mapToDouble(Double::parseDouble).toArray();
      boolean usable =
          figures.length == FIGURES + 1
              && DoubleStream.of(figures).allMatch(f -> Math.abs(f) < FARTHEST)
              && figures[2] > 0
              && figures[3] > 0;
      return usable
          ? Optional.of(
              new WindowPlace(
                  figures[0], figures[1], figures[2], figures[3], figures[FIGURES] != 0))
          : Optional.empty();
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  /**
   * In the middle of a screen.
   *
   * @param screen without the system's bars
   */
  static WindowPlace inTheMiddle(double width, double height, Rectangle2D screen) {
    double w = Math.min(width, screen.getWidth());
    double h = Math.min(height, screen.getHeight());
    return new WindowPlace(
        screen.getMinX() + (screen.getWidth() - w) / 2,
        screen.getMinY() + (screen.getHeight() - h) / 2,
        w,
        h,
        false);
  }

  /**
   * The same within one of the screens that are there now: that which shows most of it, or the
   * first.
   *
   * @param screens without the system's bars; at least one
   */
  WindowPlace within(List<Rectangle2D> screens) {
    Rectangle2D screen =
        screens.stream()
            .filter(s -> shown(s) > 0)
            .max(Comparator.comparingDouble(this::shown))
            .orElse(screens.getFirst());
    double w = Math.min(Math.max(width, LEAST_WIDTH), screen.getWidth());
    double h = Math.min(Math.max(height, LEAST_HEIGHT), screen.getHeight());
    return new WindowPlace(
        Math.clamp(x, screen.getMinX(), screen.getMaxX() - w),
        Math.clamp(y, screen.getMinY(), screen.getMaxY() - h),
        w,
        h,
        large);
  }

  /** How much of it a screen shows. */
  private double shown(Rectangle2D screen) {
    double across = Math.min(x + width, screen.getMaxX()) - Math.max(x, screen.getMinX());
    double down = Math.min(y + height, screen.getMaxY()) - Math.max(y, screen.getMinY());
    return Math.max(0, across) * Math.max(0, down);
  }
}
