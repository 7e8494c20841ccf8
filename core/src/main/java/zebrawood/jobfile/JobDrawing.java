package zebrawood.jobfile;

import java.util.Arrays;

/**
 * A job's lines to look at, of a large one every second, fourth and so on: x0, y0, x1, y1 of each
 * in mm, and whether it is burnt.
 */
public final class JobDrawing {
  private static final int MOST = 24_000;
  private static final int NUMBERS = 4;

  private final float[] ends = new float[NUMBERS * MOST];
  private final boolean[] burnt = new boolean[MOST];
  private int size;
  private long every = 1;
  private long seen;

  void add(double x0, double y0, double x1, double y1, boolean on) {
    if (seen++ % every != 0) {
      return;
    }
    if (size == MOST) {
      for (int i = 0; i < MOST / 2; i++) {
        System.arraycopy(ends, 2 * i * NUMBERS, ends, i * NUMBERS, NUMBERS);
        burnt[i] = burnt[2 * i];
      }
      size = MOST / 2;
      every *= 2;
    }
    ends[size * NUMBERS] = (float) x0;
    ends[size * NUMBERS + 1] = (float) y0;
    ends[size * NUMBERS + 2] = (float) x1;
    ends[size * NUMBERS + 3] = (float) y1;
    burnt[size++] = on;
  }

  public int size() {
    return size;
  }

  /** The ends of a line. */
  public float[] line(int i) {
    return Arrays.copyOfRange(ends, i * NUMBERS, (i + 1) * NUMBERS);
  }

  public boolean isBurnt(int i) {
    return burnt[i];
  }
}
