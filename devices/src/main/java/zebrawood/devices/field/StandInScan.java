package zebrawood.devices.field;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * A sheet that a head burnt a grid on, laid askew on a flat-bed scanner whose two directions differ
 * a little; the sheet has grain and shade, some marks did not burn, some are doubled.
 *
 * @param mixed how wide edges are in the scan, in pixels, one standard deviation
 */
public record StandInScan(
    double pxPerMmX,
    double pxPerMmY,
    double turnDeg,
    double markMm,
    double lineMm,
    boolean crosses,
    double mixed,
    double grain,
    double gone,
    double doubled) {
  private static final double MARGIN_MM = 16;

  /** What came of it: where each mark is in truth, of those that burnt, row by row from below. */
  public record Sheet(BufferedImage image, List<Mark> marks, double leftPx, double topPx) {}

  /**
   * One mark, in pixels.
   *
   * @param twice whether it burnt twice, aside
   */
  public record Mark(int column, int row, double xPx, double yPx, boolean twice) {}

  /**
   * Burns and scans.
   *
   * @param burns where a mark comes to lie for where it is commanded
   */
  public Sheet of(
      StandInGalvo.Correction burns, int columns, int rows, double pitchMm, long number) {
    Random random = new Random(number);
    double turn = Math.toRadians(turnDeg);
    double c = Math.cos(turn);
    double s = Math.sin(turn);
    List<double[]> places = new ArrayList<>();
    List<Mark> burnt = new ArrayList<>();
    double reachX = 0;
    double reachY = 0;
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        double u = (column - (columns - 1) / 2.0) * pitchMm;
        double v = (row - (rows - 1) / 2.0) * pitchMm;
        double[] at = burns.command(u, v);
        double x = c * at[0] - s * at[1];
        double y = s * at[0] + c * at[1];
        reachX = Math.max(reachX, Math.abs(x));
        reachY = Math.max(reachY, Math.abs(y));
        boolean outer = column == 0 || row == 0 || column == columns - 1 || row == rows - 1;
        if (random.nextDouble() >= gone || outer && random.nextInt(3) > 0) {
          burnt.add(new Mark(column, row, x, y, random.nextDouble() < doubled));
        }
      }
    }
    double left = (reachX + MARGIN_MM) * pxPerMmX;
    double top = (reachY + MARGIN_MM) * pxPerMmY;
    int width = (int) (2 * left);
    int height = (int) (2 * top);
    float[] dark = new float[width * height];
    List<Mark> marks = new ArrayList<>();
    for (Mark m : burnt) {
      double px = left + m.xPx * pxPerMmX;
      double py = top - m.yPx * pxPerMmY;
      draw(dark, width, height, px, py, turn);
      if (m.twice) {
        double aside = 0.12 * pitchMm;
        draw(dark, width, height, px + aside * pxPerMmX, py + 0.4 * aside * pxPerMmY, turn);
      }
      marks.add(new Mark(m.column, m.row, px, py, m.twice));
    }
    return new Sheet(image(dark, width, height, random.nextLong()), marks, left, top);
  }

  private void draw(float[] dark, int width, int height, double px, double py, double turn) {
    double reach = (markMm / 2 + lineMm) * Math.max(pxPerMmX, pxPerMmY) + 4 * mixed;
    double c = Math.cos(turn);
    double s = Math.sin(turn);
    double soft = mixed / pxPerMmX;
    for (int y = (int) Math.max(0, py - reach); y <= Math.min(height - 1, py + reach); y++) {
      for (int x = (int) Math.max(0, px - reach); x <= Math.min(width - 1, px + reach); x++) {
        double dx = (x + 0.5 - px) / pxPerMmX;
        double dy = (py - y - 0.5) / pxPerMmY;
        double along = c * dx + s * dy;
        double up = -s * dx + c * dy;
        double covered =
            crosses
                ? Math.max(bar(along, up, soft), bar(up, along, soft))
                : edge(markMm / 2 - Math.hypot(along, up), soft);
        int i = y * width + x;
        dark[i] = (float) Math.max(dark[i], covered);
      }
    }
  }

  private double bar(double along, double aside, double soft) {
    return edge(markMm / 2 - Math.abs(along), soft)
        * (edge(aside + lineMm / 2, soft) - edge(aside - lineMm / 2, soft));
  }

  private static double edge(double inside, double soft) {
    return 1 / (1 + Math.exp(-1.702 * inside / soft));
  }

  private BufferedImage image(float[] dark, int width, int height, long number) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
    byte[] bytes = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    IntStream.range(0, height)
        .parallel()
        .forEach(y -> {
          SplittableRandom noise = new SplittableRandom(number + y);
          for (int x = 0; x < width; x++) {
            double shade = 1 - 0.06 * x / width - 0.05 * Math.sin(3.0 * y / height);
            double sheet =
                222 * shade + grain * (noise.nextDouble() + noise.nextDouble() - 1) * 2.4;
            double light = sheet * (1 - 0.78 * dark[y * width + x]);
            byte code = (byte) Math.clamp(Math.round(light), 0, 255);
            int i = 3 * (y * width + x);
            bytes[i] = code;
            bytes[i + 1] = code;
            bytes[i + 2] = code;
          }
        });
    return image;
  }
}
