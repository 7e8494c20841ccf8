package zebrawood.jobfile;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/** Where a job burns along each axis, in steps of a tenth of a millimetre. */
public final class BurntAlong {
  private static final double CELL_MM = 0.1;

  /** What is farther away, more than a kilometre, counts as there. */
  private static final int MIDDLE = 10_000_000;

  private final BitSet x = new BitSet();
  private final BitSet y = new BitSet();

  /** A stretch without a burn. */
  public record Stretch(double fromMm, double toMm) {}

  /** An axis of the file. */
  public enum Axis {
    X,
    Y
  }

  void add(double x0, double y0, double x1, double y1) {
    set(x, x0, x1);
    set(y, y0, y1);
  }

  private static void set(BitSet cells, double from, double to) {
    cells.set(cell(Math.min(from, to)), cell(Math.max(from, to)) + 1);
  }

  private static int cell(double mm) {
    return MIDDLE + Math.clamp((long) Math.floor(mm / CELL_MM), -MIDDLE, MIDDLE);
  }

  /**
   * The stretches of an axis over which nothing is burnt, in order.
   *
   * @param leastMm shorter ones are left out
   */
  public List<Stretch> free(Axis axis, double fromMm, double toMm, double leastMm) {
    BitSet cells = axis == Axis.X ? x : y;
    List<Stretch> free = new ArrayList<>();
    int end = cell(toMm);
    for (int at = cells.nextClearBit(cell(fromMm)); at <= end; ) {
      int burnt = cells.nextSetBit(at);
      int stop = burnt < 0 || burnt > end ? end : burnt;
      double from = Math.max(fromMm, mm(at));
      double to = Math.min(toMm, stop == end ? toMm : mm(stop));
      if (to - from >= leastMm) {
        free.add(new Stretch(from, to));
      }
      at = burnt < 0 ? end + 1 : cells.nextClearBit(burnt);
    }
    return free;
  }

  private static double mm(int cell) {
    return (cell - MIDDLE) * CELL_MM;
  }
}
