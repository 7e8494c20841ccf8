package zebrawood.field;

import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/** What a visit measured. */
public sealed interface FieldTask {
  /**
   * A square, perhaps with its diagonals, perhaps with a second square of another size by which the
   * line's width is told.
   *
   * @param now what stands in the controller as it was burnt; empty where nobody looked
   */
  record BySquare(
      FieldReadings readings,
      Optional<Diagonals> diagonals,
      Optional<FieldReadings.Square> other,
      Optional<ScaleNow> now)
      implements FieldTask {
    /** Nearer sizes tell no width. */
    private static final double LEAST_APART = 0.15;

    public BySquare {
      if (other.isPresent()) {
        double one = readings.square().orElseThrow().commandedMm();
        double two = other.get().commandedMm();
        if (Math.abs(one - two) < LEAST_APART * Math.max(one, two)) {
          new Accepts()
              .complain("square2.commandedMm", two, Message.of("field.accepts.another-size"))
              .orThrow();
        }
      }
    }
  }

  /** Each axis' scale as it stands in the controller, in whatever the controller counts it. */
  record ScaleNow(double x, double y) {
    public ScaleNow {
      new Accepts().positive("scaleNowX", x, 1e9).positive("scaleNowY", y, 1e9).orThrow();
    }
  }

  /** A grid that was measured with a caliper. */
  record ByGrid(FieldReadings readings) implements FieldTask {}

  /** A grid that was scanned. */
  record ByScan(FieldScanReadings readings) implements FieldTask {}

  /**
   * From corner to corner, between the lines' middles or as the sides were measured.
   *
   * @param risingMm from the lower left to the upper right
   * @param fallingMm from the upper left to the lower right
   */
  record Diagonals(double risingMm, double fallingMm) {
    public Diagonals {
      new Accepts()
          .positive("risingMm", risingMm, 2 * FieldReadings.LARGEST_MM)
          .positive("fallingMm", fallingMm, 2 * FieldReadings.LARGEST_MM)
          .orThrow();
    }
  }
}
