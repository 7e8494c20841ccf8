package zebrawood.marks;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import zebrawood.measure.DrawnPicture;
import zebrawood.measure.Picture;

/**
 * A scan of a burnt grid, drawn by itself: it shares nothing with the finder, nor with any
 * stand-in. Paper or wood first, then what else lies in the scan, then the marks, each pixel by how
 * much of it the mark covers; at last light, noise and compression.
 */
public final class DrawnScan {
  public double dpi = 300;
  public int columns = 7;
  public int rows = 7;
  public double pitchMm = 15;
  public boolean dots;

  /** Across a cross, or of a dot. */
  public double sizeMm = 3;

  public double lineMm = 0.2;
  public double turnDeg = 0.7;
  public double stretchX = 1;
  public double stretchY = 1;

  /** Of a corner's distance, towards the middle. */
  public double bow = 0.01;

  public double depth = 0.6;

  /** Of each mark: from this share of the depth to all of it. */
  public double leastDepth = 1;

  public double paper = 228;
  public double toneLevels;
  public double grainLevels;
  public double noiseLevels = 2;

  /** How dark the creases between a leather's pebbles are. */
  public double creaseShare;

  /** Joints of boards or veneers across the sheet, each with another tone beside it. */
  public int seams;

  /** How much of what is missing to white a lamp's reflection adds, in its middle. */
  public double glare;

  public double unevenShare;
  public int specks;
  public boolean writing;
  public boolean rule;
  public int missing;
  public int doubled;
  public int jpeg;
  public boolean lightOnDark;
  public long seed = 1;

  private Random random;
  private double px;
  private int width;
  private int height;
  private double middleX;
  private double middleY;

  /** Cells where nothing was burnt: column + row times the columns. */
  public final Set<Integer> without = new HashSet<>();

  /** Cells whose mark was burnt twice, a little apart. */
  public final Set<Integer> twice = new HashSet<>();

  public double pxPerMm() {
    return dpi / 25.4;
  }

  /** Where a mark's middle is, in pixels with their corners at whole numbers. */
  public double[] truth(int column, int row) {
    double u = (column - (columns - 1) / 2.0) * pitchMm * stretchX;
    double v = (row - (rows - 1) / 2.0) * pitchMm * stretchY;
    double reach = Math.hypot((columns - 1) * pitchMm, (rows - 1) * pitchMm) / 2;
    double factor = 1 - bow * (u * u + v * v) / (reach * reach);
    double t = Math.toRadians(turnDeg);
    double x = factor * (u * Math.cos(t) - v * Math.sin(t));
    double y = factor * (u * Math.sin(t) + v * Math.cos(t));
    return new double[] {middleX + x * px, middleY - y * px};
  }

  public Picture picture() {
    random = new Random(seed);
    px = pxPerMm();
    double across = (columns - 1) * pitchMm * stretchX;
    double up = (rows - 1) * pitchMm * stretchY;
    double larger = 1.05 * Math.max(across, up) + 2.2 * sizeMm + 26;
    width = (int) Math.ceil((Math.min(larger, across * 1.25 + 40) + 4) * px);
    height = (int) Math.ceil((Math.min(larger, up * 1.25 + 40) + 4) * px);
    middleX = width / 2.0 + 1.7;
    middleY = height / 2.0 - 2.3;
    float[] light = sheet();
    draw(light);
    burn(light);
    if (glare > 0) {
      reflect(light);
    }
    return finished(light);
  }

  private float[] sheet() {
    float[] light = new float[width * height];
    Waves tone = new Waves(random, 2.2 * px);
    Waves wide = new Waves(random, 60 * px);
    Waves rings = new Waves(random, 40 * px);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double l = paper + toneLevels * tone.at(x, y);
        if (grainLevels > 0) {
          double ring = Math.sin((y / px + 6 * rings.at(x * 0.2, y)) * 2 * Math.PI / 1.7);
          l += grainLevels * (ring + 0.6 * tone.at(x * 0.08, y * 2.5));
        }
        l *= 1 - unevenShare * (0.5 + 0.5 * wide.at(x, y));
        light[y * width + x] = (float) l;
      }
    }
    if (creaseShare > 0) {
      crease(light);
    }
    for (int i = 0; i < seams; i++) {
      seam(light);
    }
    return light;
  }

  /** Pebbles about points of a jittered net: a crease where two points are equally near. */
  private void crease(float[] light) {
    double step = 1.3 * px;
    int wide = (int) (width / step) + 3;
    int high = (int) (height / step) + 3;
    double[][] points = new double[wide * high][];
    for (int i = 0; i < points.length; i++) {
      points[i] =
          new double[] {
            (i % wide - 1 + random.nextDouble()) * step,
            ((double) (i / wide) - 1 + random.nextDouble()) * step
          };
    }
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int column = (int) (x / step) + 1;
        int row = (int) (y / step) + 1;
        double nearest = 1e9;
        double second = 1e9;
        for (int r = Math.max(0, row - 1); r <= Math.min(high - 1, row + 1); r++) {
          for (int c = Math.max(0, column - 1); c <= Math.min(wide - 1, column + 1); c++) {
            double[] p = points[r * wide + c];
            double far = Math.hypot(p[0] - x, p[1] - y);
            second = Math.min(second, Math.max(nearest, far));
            nearest = Math.min(nearest, far);
          }
        }
        double crease = Math.exp(-(second - nearest) / (0.18 * px));
        light[y * width + x] *= (float) (1 - creaseShare * crease);
      }
    }
  }

  private void seam(float[] light) {
    boolean upright = random.nextBoolean();
    double at = (0.15 + 0.7 * random.nextDouble()) * (upright ? width : height);
    double slope = 0.02 * random.nextGaussian();
    double half = (0.08 + 0.12 * random.nextDouble()) * px;
    double dark = 0.2 + 0.35 * random.nextDouble();
    double tone = 1 + 0.04 * random.nextGaussian();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double off = upright ? x - at - slope * y : y - at - slope * x;
        light[y * width + x] *=
            (float) ((off > 0 ? tone : 1) * (1 - dark * cover(half - Math.abs(off))));
      }
    }
  }

  /** After the marks were burnt: they are paler there, too. */
  private void reflect(float[] light) {
    double x0 = (0.2 + 0.6 * random.nextDouble()) * width;
    double y0 = (0.2 + 0.6 * random.nextDouble()) * height;
    double wide = (0.12 + 0.15 * random.nextDouble()) * width;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double far = Math.hypot(x - x0, y - y0) / wide;
        float l = light[y * width + x];
        light[y * width + x] = (float) (l + glare * (255 - l) * Math.exp(-far * far / 2));
      }
    }
  }

  /** What else lies in the scan: specks, a pen's strokes, a rule with its ticks. */
  private void draw(float[] light) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    for (int i = 0; i < specks; i++) {
      double r = (0.05 + 0.25 * random.nextDouble()) * px;
      g.setColor(new Color(1, 1, 1, (float) (0.3 + 0.6 * random.nextDouble())));
      g.fill(
          new java.awt.geom.Ellipse2D.Double(
              random.nextDouble() * width, random.nextDouble() * height, 2 * r, 2 * r));
    }
    if (writing) {
      g.setColor(new Color(1, 1, 1, 0.75f));
      g.setStroke(
          new BasicStroke((float) (0.5 * px), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
      for (int word = 0; word < 5; word++) {
        Path2D.Double path = new Path2D.Double();
        double x = (0.1 + 0.6 * random.nextDouble()) * width;
        double y = (0.1 + 0.8 * random.nextDouble()) * height;
        path.moveTo(x, y);
        for (int i = 0; i < 14; i++) {
          x += 1.2 * px;
          path.quadTo(
              x,
              y + (random.nextDouble() - 0.5) * 9 * px,
              x + 1.3 * px,
              y + (random.nextDouble() - 0.5) * 3 * px);
        }
        g.draw(path);
      }
    }
    if (rule) {
      g.setColor(new Color(1, 1, 1, 0.85f));
      g.setStroke(new BasicStroke((float) (0.15 * px)));
      double base = height - 12 * px;
      g.draw(new Line2D.Double(4 * px, base, width - 4 * px, base));
      for (int mm = 0; 4 + mm < width / px - 4; mm++) {
        double long1 = mm % 10 == 0 ? 6 : mm % 5 == 0 ? 4.5 : 3;
        double x = (4 + mm) * px;
        g.draw(new Line2D.Double(x, base, x, base - long1 * px));
      }
    }
    g.dispose();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        light[y * width + x] *= (float) (1 - image.getRaster().getSample(x, y, 0) / 255.0 * 0.8);
      }
    }
  }

  private void burn(float[] light) {
    while (without.size() < missing) {
      without.add(1 + random.nextInt(columns - 2) + (1 + random.nextInt(rows - 2)) * columns);
    }
    while (twice.size() < doubled) {
      int cell = random.nextInt(columns * rows);
      if (!without.contains(cell)) {
        twice.add(cell);
      }
    }
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        int cell = column + row * columns;
        if (without.contains(cell)) {
          continue;
        }
        double itsDepth = depth * (leastDepth + (1 - leastDepth) * random.nextDouble());
        double[] at = truth(column, row);
        one(light, at[0], at[1], itsDepth);
        if (twice.contains(cell)) {
          one(light, at[0] + 0.45 * px, at[1] + 0.3 * px, itsDepth);
        }
      }
    }
  }

  private void one(float[] light, double cx, double cy, double itsDepth) {
    double half = sizeMm / 2 * px;
    double line = lineMm / 2 * px;
    double t = Math.toRadians(turnDeg);
    int reach = (int) Math.ceil(half + 3);
    for (int y = (int) cy - reach; y <= cy + reach; y++) {
      for (int x = (int) cx - reach; x <= cx + reach; x++) {
        if (x < 0 || y < 0 || x >= width || y >= height) {
          continue;
        }
        double dx = x + 0.5 - cx;
        double dy = y + 0.5 - cy;
        double along = dx * Math.cos(t) - dy * Math.sin(t);
        double aside = dx * Math.sin(t) + dy * Math.cos(t);
        double covered =
            dots
                ? cover(half - Math.hypot(dx, dy))
                : Math.max(
                    cover(line - Math.abs(aside)) * cover(half - Math.abs(along)),
                    cover(line - Math.abs(along)) * cover(half - Math.abs(aside)));
        light[y * width + x] *= (float) (1 - itsDepth * covered);
      }
    }
  }

  /** Of a pixel whose middle lies so far inside of an edge; a scanner's own softness with it. */
  private static double cover(double inside) {
    return 1 / (1 + Math.exp(-3.2 * inside));
  }

  private Picture finished(float[] light) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double l = light[y * width + x] + noiseLevels * random.nextGaussian();
        int level = Math.clamp(Math.round(l), 0, 255);
        image.getRaster().setSample(x, y, 0, lightOnDark ? 255 - level : level);
      }
    }
    return DrawnPicture.of(image, jpeg);
  }

  /** Soft random waves between -1 and 1. */
  private static final class Waves {
    private static final int SIDE = 64;
    private final double[] knots = new double[SIDE * SIDE];
    private final double step;

    Waves(Random random, double step) {
      this.step = step;
      for (int i = 0; i < knots.length; i++) {
        knots[i] = 2 * random.nextDouble() - 1;
      }
    }

    private double knot(long x, long y) {
      return knots[Math.floorMod(y, SIDE) * SIDE + Math.floorMod(x, SIDE)];
    }

    double at(double x, double y) {
      double u = x / step;
      double v = y / step;
      long iu = (long) Math.floor(u);
      long iv = (long) Math.floor(v);
      double fu = soft(u - iu);
      double fv = soft(v - iv);
      return (1 - fv) * ((1 - fu) * knot(iu, iv) + fu * knot(iu + 1, iv))
          + fv * ((1 - fu) * knot(iu, iv + 1) + fu * knot(iu + 1, iv + 1));
    }

    private static double soft(double t) {
      return t * t * (3 - 2 * t);
    }
  }
}
