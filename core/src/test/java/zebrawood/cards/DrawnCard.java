package zebrawood.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import zebrawood.measure.Picture;

/**
 * A burnt card as a scanner or a phone's camera has it, drawn pixel by pixel from what the card is:
 * stock with grain, unevenly lit, squares of lines, crosses, labels, specks. Shares nothing with
 * what reads it.
 */
public final class DrawnCard {
  /** How it is pictured. */
  public enum Way {
    SCAN(0, 0, 0.02, 0.25, 0.6),
    GRAIN(0, 0.05, 0.02, 0.25, 0.6),
    PHOTO(1, 0.02, 0.25, 0.6, 1.2),
    COARSE(0.4, 0.02, 0.1, 0.5, 1.5);

    final double tilt;
    final double grain;
    final double shade;
    final double blurPx;
    final double noise;

    Way(double tilt, double grain, double shade, double blurPx, double noise) {
      this.tilt = tilt;
      this.grain = grain;
      this.shade = shade;
      this.blurPx = blurPx;
      this.noise = noise;
    }
  }

  public static final double SQUARE_MM = 6;
  public static final double GAP_MM = 2;
  public static final double INTERVAL_MM = 0.2;
  private static final double CROSS_MM = 4;
  private static final double LINE_MM = 0.25;

  private final int columns;
  private final int rows;
  private final Way way;
  private final Random random;
  private final double[][] darkness;
  private final double bands;
  private final double[] toCard;
  private final int width;
  private final int height;
  private final double[] grainWaves = new double[60];
  private final double base;
  private final double light;
  private final List<double[]> specks = new ArrayList<>();
  private final List<List<Double>> crossesPx = new ArrayList<>();
  private final double turned;

  public DrawnCard(int columns, int rows, Way way, double pxPerMm, double bands, long seed) {
    this.columns = columns;
    this.rows = rows;
    this.way = way;
    this.bands = bands;
    random = new Random(seed);
    darkness = new double[rows][columns];
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        double energy = (column + 1.0) / (row + 1) * 0.6;
        darkness[row][column] = 0.9 * energy / (energy + 0.8) * (0.95 + 0.05 * random.nextDouble());
      }
    }
    base = 0.45 + 0.35 * random.nextDouble();
    light = 0.85 + 0.1 * random.nextDouble();
    for (int i = 0; i < grainWaves.length; i += 3) {
      grainWaves[i] = 0.3 + 4 * random.nextDouble();
      grainWaves[i + 1] = 0.12 * random.nextGaussian();
      grainWaves[i + 2] = 2 * Math.PI * random.nextDouble();
    }
    double wide = 2 * (GAP_MM + CROSS_MM + 3) + columns * (SQUARE_MM + GAP_MM) - GAP_MM;
    double high = 2 * (GAP_MM + CROSS_MM + 3) + rows * (SQUARE_MM + GAP_MM) - GAP_MM;
    turned = way.tilt == 0 ? 0.02 * random.nextGaussian() : 0.1 * random.nextGaussian();
    width = (int) (1.25 * wide * pxPerMm);
    height = (int) (1.25 * high * pxPerMm);
    double centreX = (columns * (SQUARE_MM + GAP_MM) - GAP_MM) / 2;
    double centreY = (rows * (SQUARE_MM + GAP_MM) - GAP_MM) / 2;
    // Of a pixel: w = 1 + a u + b v, then turned and scaled about the middle, y up.
    toCard =
        new double[] {
          way.tilt * 0.12 * random.nextGaussian() / (wide * pxPerMm),
          way.tilt * 0.12 * random.nextGaussian() / (wide * pxPerMm),
          pxPerMm,
          centreX,
          centreY
        };
    for (int i = 0; i < 5; i++) {
      specks.add(
          new double[] {
            wide * random.nextDouble() - 8,
            high * random.nextDouble() - 8,
            0.1 + 0.3 * random.nextDouble()
          });
    }
    for (List<Double> mm : crossesMm()) {
      double[] px = px(mm.get(0), mm.get(1));
      crossesPx.add(
          List.of(
              px[0] + 28 * (random.nextDouble() - 0.5), px[1] + 28 * (random.nextDouble() - 0.5)));
    }
  }

  private double[] card(double px, double py) {
    double u = px - width / 2.0;
    double v = py - height / 2.0;
    double w = 1 + toCard[0] * u + toCard[1] * v;
    double x = u / w / toCard[2];
    double y = -v / w / toCard[2];
    double cos = Math.cos(turned);
    double sin = Math.sin(turned);
    return new double[] {toCard[3] + cos * x - sin * y, toCard[4] + sin * x + cos * y};
  }

  /** By stepping towards it: the inverse of {@link #card}. */
  public double[] px(double xMm, double yMm) {
    double px = width / 2.0;
    double py = height / 2.0;
    for (int i = 0; i < 60; i++) {
      double[] at = card(px, py);
      double dx = xMm - at[0];
      double dy = yMm - at[1];
      double cos = Math.cos(turned);
      double sin = Math.sin(turned);
      px += 0.9 * toCard[2] * (cos * dx + sin * dy);
      py -= 0.9 * toCard[2] * (-sin * dx + cos * dy);
    }
    return new double[] {px, py};
  }

  public List<List<Double>> crossesMm() {
    double out = GAP_MM + CROSS_MM / 2;
    double right = columns * (SQUARE_MM + GAP_MM) - GAP_MM + out;
    double rear = rows * (SQUARE_MM + GAP_MM) - GAP_MM + out;
    return List.of(
        List.of(-out, -out), List.of(right, -out), List.of(right, rear), List.of(-out, rear));
  }

  public double darkness(int column, int row) {
    return darkness[row][column];
  }

  private double grain(double x, double y) {
    double sum = 0;
    for (int i = 0; i < grainWaves.length; i += 3) {
      sum +=
          Math.sin(2 * Math.PI * grainWaves[i] * (x + grainWaves[i + 1] * y) + grainWaves[i + 2]);
    }
    return 1 + way.grain * sum / Math.sqrt(grainWaves.length / 6.0);
  }

  /** Light that comes back from a place of the card. */
  private double back(double x, double y) {
    double pitch = SQUARE_MM + GAP_MM;
    double stock = base * grain(x, y);
    int column = (int) Math.floor(x / pitch);
    int row = (int) Math.floor(y / pitch);
    if (column >= 0 && row >= 0 && column < columns && row < rows) {
      double inX = x - column * pitch;
      double inY = y - row * pitch;
      if (inX <= SQUARE_MM && inY <= SQUARE_MM) {
        stock *= 1 - darkness[row][column] + bands * Math.cos(2 * Math.PI * inY / INTERVAL_MM);
      }
    }
    for (List<Double> c : crossesMm()) {
      double dx = Math.abs(x - c.get(0));
      double dy = Math.abs(y - c.get(1));
      if (Math.max(dx, dy) <= CROSS_MM / 2 && Math.min(dx, dy) <= LINE_MM / 2) {
        stock *= 0.25;
      }
    }
    // Labels: short strokes beside the first column and below the first row.
    if (x > -1.9 && x < -0.9 && y > 1.5 && y % pitch < 3 && ((int) (x * 4) & 1) == 0) {
      stock *= 0.4;
    }
    for (double[] s : specks) {
      if (Math.hypot(x - s[0], y - s[1]) < s[2]) {
        stock *= 0.5;
      }
    }
    double shade =
        1 - way.shade * (0.5 + 0.35 * Math.sin(0.03 * x + 0.5) + 0.3 * Math.cos(0.025 * y - 0.4));
    return light * stock * shade;
  }

  /** The whole picture, in levels. */
  public Picture picture() {
    int over = toCard[2] > 15 ? 2 : 3;
    float[] linear = new float[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double sum = 0;
        for (int i = 0; i < over * over; i++) {
          double[] mm = card(x + (i % over + 0.5) / over, y + (i / over + 0.5) / over);
          sum += back(mm[0], mm[1]);
        }
        linear[y * width + x] = (float) (sum / over / over);
      }
    }
    byte[] levels = new byte[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double l = blurred(linear, x, y);
        double level =
            255 * (l <= 0.0031308 ? 12.92 * l : 1.055 * Math.pow(l, 1 / 2.4) - 0.055)
                + way.noise * random.nextGaussian();
        levels[y * width + x] = (byte) Math.clamp(Math.round(level), 0, 255);
      }
    }
    return new Picture() {
      @Override
      public int width() {
        return width;
      }

      @Override
      public int height() {
        return height;
      }

      @Override
      public double light(int x, int y) {
        return levels[y * width + x] & 0xff;
      }
    };
  }

  private double blurred(float[] of, int x, int y) {
    double sum = 0;
    double weights = 0;
    for (int dy = -2; dy <= 2; dy++) {
      for (int dx = -2; dx <= 2; dx++) {
        int u = Math.clamp(x + dx, 0, width - 1);
        int v = Math.clamp(y + dy, 0, height - 1);
        double w = Math.exp(-(dx * dx + dy * dy) / (2 * way.blurPx * way.blurPx));
        sum += w * of[v * width + u];
        weights += w;
      }
    }
    return sum / weights;
  }

  public List<List<Double>> pressed() {
    return crossesPx;
  }

  public CardScanReadings readings(OptionalDouble intervalMm) {
    List<CardScanReadings.Square> squares = new ArrayList<>();
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        squares.add(
            new CardScanReadings.Square(
                column,
                row,
                column * (SQUARE_MM + GAP_MM),
                row * (SQUARE_MM + GAP_MM),
                SQUARE_MM,
                SQUARE_MM,
                intervalMm));
      }
    }
    return new CardScanReadings(
        "card.png", crossesMm(), OptionalDouble.empty(), crossesPx, squares);
  }
}
