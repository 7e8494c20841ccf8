package zebrawood.tape;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import zebrawood.measure.DrawnPicture;
import zebrawood.measure.Picture;

/**
 * A photograph of printed targets with burns on them, drawn by itself: it shares nothing with the
 * reader. Each pixel's ray goes through a bent lens to the bowed card, where print and burns are
 * asked what they reflect; then light, softness, shake, noise, and what a camera writes.
 */
public final class DrawnTape {
  public int width = 1400;
  public int height = 1050;
  public double pxPerMm = 20;
  public double tiltDeg = 15;
  public double tiltTowardsDeg = 30;
  public double focalShare = 0.9;

  /** How far the lens shifts the picture's corner, of its distance from the middle. */
  public double bend;

  public double unevenShare = 0.25;
  public double shadowShare;
  public double glare;
  public double grain = 0.004;
  public double softPx = 0.9;
  public double shakePx;
  public double shakeDeg;
  public double noise = 1.5;
  public int jpeg;
  public long seed = 1;
  public final List<Card> cards = new ArrayList<>();

  /** One target on the table, its middle and turn there; its paper is bowed about a line. */
  public static final class Card {
    public int number = 3;
    public double xMm;
    public double yMm;
    public double turnDeg = 8;
    public double bowMm;
    public double bowDeg;
    public boolean mirrored;
    public double stretchX = 1;
    public double stretchY = 1;
    public double fold;
    public double crepe;
    public double strayMm;
    public final List<Burn> burns = new ArrayList<>();

    public Card with(Burn burn) {
      burns.add(burn);
      return this;
    }
  }

  /**
   * A burn.
   *
   * @param stretch of its x over its y before it is turned
   * @param edgeMm over which its rim fades
   * @param cutMm where a rim cuts it, from its middle towards {@code cutDeg}
   * @param archMm radius of that rim, which bends away from the burn's middle; straight where 0
   * @param hole burnt through: what shows there is lighter or darker, of paper
   */
  public record Burn(
      double xMm,
      double yMm,
      double diameterMm,
      double dark,
      double stretch,
      double turnDeg,
      double edgeMm,
      double cutMm,
      double cutDeg,
      double archMm,
      double soot,
      double hole) {
    public static Burn round(double x, double y, double diameter, double dark) {
      return new Burn(x, y, diameter, dark, 1, 0, 0.05, 1e9, 0, 0, 0.25, 0);
    }

    public Burn cut(double mm, double deg, double arch) {
      return new Burn(
          xMm, yMm, diameterMm, dark, stretch, turnDeg, edgeMm, mm, deg, arch, soot, hole);
    }

    public Burn oval(double ratio, double deg) {
      return new Burn(
          xMm,
          yMm,
          diameterMm,
          dark,
          Math.sqrt(ratio),
          deg,
          edgeMm,
          cutMm,
          cutDeg,
          archMm,
          soot,
          hole);
    }

    public Burn edge(double mm) {
      return new Burn(
          xMm, yMm, diameterMm, dark, stretch, turnDeg, mm, cutMm, cutDeg, archMm, soot, hole);
    }

    public Burn soot(double share) {
      return new Burn(
          xMm, yMm, diameterMm, dark, stretch, turnDeg, edgeMm, cutMm, cutDeg, archMm, share, hole);
    }

    public Burn through(double mm) {
      return new Burn(
          xMm, yMm, diameterMm, dark, stretch, turnDeg, edgeMm, cutMm, cutDeg, archMm, soot, mm);
    }

    /** How much of the light it takes, and less than nothing where something else shows. */
    double darkening(double x, double y) {
      double reach = 0.7 * diameterMm + 3;
      if (Math.abs(x - xMm) > reach || Math.abs(y - yMm) > reach) {
        return 0;
      }
      double c = Math.cos(Math.toRadians(turnDeg));
      double s = Math.sin(Math.toRadians(turnDeg));
      double dx = ((x - xMm) * c + (y - yMm) * s) / stretch;
      double dy = (-(x - xMm) * s + (y - yMm) * c) * stretch;
      double r = Math.hypot(dx, dy);
      if (r > diameterMm / 2 + 4) {
        return 0;
      }
      double cc = Math.cos(Math.toRadians(cutDeg));
      double cs = Math.sin(Math.toRadians(cutDeg));
      double along = (x - xMm) * cc + (y - yMm) * cs;
      double past = along - cutMm;
      if (archMm > 0) {
        // The rim is a circle about a place on the burn's side.
        double ox = xMm + (cutMm - archMm) * cc;
        double oy = yMm + (cutMm - archMm) * cs;
        past = Math.hypot(x - ox, y - oy) - archMm;
      }
      double in = 1 / (1 + Math.exp((r - diameterMm / 2) / (edgeMm / 2.2)));
      double open = 1 / (1 + Math.exp(past / (edgeMm / 2.2)));
      double here = dark * in * open;
      if (hole > 0 && r < hole / 2) {
        return here * 0.4;
      }
      double halo = soot * dark * Math.exp(-Math.max(0, r - diameterMm / 2) / 0.8) * open;
      return Math.max(here, halo * (1 - in));
    }
  }

  private static final double[][] SMALL = {
    {-10, 16}, {8, 16}, {16, 10}, {16, -8}, {10, -16}, {-8, -16}, {-16, -10}, {-16, 8}
  };

  /** What a card reflects at a place of it; less than 0 beside it. */
  private static double albedo(Card card, double cx, double cy) {
    if (Math.abs(cx) > 20 || Math.abs(cy) > 20) {
      return -1;
    }
    double x = (card.mirrored ? -cx : cx) / card.stretchX;
    double y = cy / card.stretchY;
    double a = 0.86;
    if (card.fold > 0) {
      double from = 0.8 * x + 0.6 * y - 7;
      a *= 1 - card.fold * Math.exp(-from * from / 0.05);
    }
    if (card.crepe > 0) {
      a *= 1 + card.crepe * Math.sin(x * 3.1 + 0.7 * Math.sin(y * 0.9));
    }
    if (card.strayMm > 0) {
      // A pen's stroke, outside of where burns lie.
      double from = Math.abs(0.96 * (x - 9) + 0.28 * (y + 18.2));
      a *= from < 0.2 && Math.abs(y + 18.2) < card.strayMm ? 0.3 : 1;
    }
    if (Math.max(Math.abs(x), Math.abs(y)) > 13.8) {
      a *= black(card.number, x, y) ? 0.06 : 1;
    } else if (Math.abs(x) < 1.6 || Math.abs(y) < 0.2 || x < -11 && y > 10) {
      boolean grey =
          Math.abs(x) < 0.15 && Math.abs(y) < 12
              || Math.abs(y) < 0.15 && Math.abs(x) < 12
              || y > 10.4 && y < 12 && Math.abs(Math.abs(x) - (12 - y) * 1.2 / 1.6) < 0.2
              || figure(card.number, x + 12.2, y - 12.2);
      a *= grey ? 0.75 : 1;
    }
    for (Burn b : card.burns) {
      a *= 1 - b.darkening(cx, cy);
    }
    return a;
  }

  private static boolean black(int number, double x, double y) {
    double ring = Math.hypot(x + 16, y - 16);
    boolean black = ring < 2.2 && ring > 1.1;
    for (int i = 0; i < 3; i++) {
      black |= Math.hypot(x - (i < 2 ? 16 : -16), y - (i < 1 ? 16 : -16)) < 2;
    }
    for (int i = 0; i < 8 && !black; i++) {
      double r = i + 1 == number ? 1.5 : 1;
      black = Math.hypot(x - SMALL[i][0], y - SMALL[i][1]) < r;
    }
    return black;
  }

  /** Strokes of a digit 2.2 mm high by seven pieces. */
  private static boolean figure(int n, double x, double y) {
    int[] pieces = {0, 0x24, 0x5d, 0x6d, 0x2e, 0x6b, 0x7b, 0x25, 0x7f};
    int of = pieces[n];
    double h = 1.1;
    double w = 0.6;
    double s = 0.15;
    boolean in = false;
    double[][] segments = {
      {-w, h, w, h},
      {-w, h, -w, 0},
      {w, h, w, 0},
      {-w, 0, w, 0},
      {-w, 0, -w, -h},
      {w, 0, w, -h},
      {-w, -h, w, -h}
    };
    for (int i = 0; i < 7; i++) {
      double[] g = segments[i];
      in |=
          (of >> i & 1) == 1
              && x > Math.min(g[0], g[2]) - s
              && x < Math.max(g[0], g[2]) + s
              && y > Math.min(g[1], g[3]) - s
              && y < Math.max(g[1], g[3]) + s;
    }
    return in;
  }

  private double focal() {
    return focalShare * width;
  }

  /** From table to pixels: the lens's own line hits the table at its origin. */
  double[] at(double x, double y, double z) {
    double towards = Math.toRadians(tiltTowardsDeg);
    double tilt = Math.toRadians(tiltDeg);
    double distance = focal() / pxPerMm;
    double along = x * Math.cos(towards) - y * Math.sin(towards);
    double aside = -x * Math.sin(towards) - y * Math.cos(towards);
    double far = distance + along * Math.sin(tilt) - z * Math.cos(tilt);
    double flat = along * Math.cos(tilt) + z * Math.sin(tilt);
    double u = focal() * (flat * Math.cos(towards) - aside * Math.sin(towards)) / far;
    double v = focal() * (flat * Math.sin(towards) + aside * Math.cos(towards)) / far;
    double corner = Math.hypot(width, height) / 2;
    double k = 1 + bend * (u * u + v * v) / (corner * corner);
    return new double[] {width / 2.0 + u * k, height / 2.0 + v * k};
  }

  /** Where a card's place falls, in pixels. */
  public double[] at(Card card, double x, double y) {
    double[] t = table(card, x, y);
    return at(t[0], t[1], bow(card, x, y));
  }

  private static double[] table(Card card, double x, double y) {
    double t = Math.toRadians(card.turnDeg);
    return new double[] {
      card.xMm + x * Math.cos(t) - y * Math.sin(t), card.yMm + x * Math.sin(t) + y * Math.cos(t)
    };
  }

  private static double bow(Card card, double x, double y) {
    double b = Math.toRadians(card.bowDeg);
    double s = (x * Math.cos(b) + y * Math.sin(b)) / 20;
    return card.bowMm * (1 - s * s);
  }

  /** What does not change from pixel to pixel. */
  private final class Eye {
    final double focal = focal();
    final double distance = focal() / pxPerMm;
    final double ct = Math.cos(Math.toRadians(tiltTowardsDeg));
    final double st = Math.sin(Math.toRadians(tiltTowardsDeg));
    final double cTilt = Math.cos(Math.toRadians(tiltDeg));
    final double sTilt = Math.sin(Math.toRadians(tiltDeg));
    final double perCorner = 4 * bend / (width * (double) width + height * (double) height);
    final double[] cos =
        cards.stream().mapToDouble(c -> Math.cos(Math.toRadians(c.turnDeg))).toArray();
    final double[] sin =
        cards.stream().mapToDouble(c -> Math.sin(Math.toRadians(c.turnDeg))).toArray();

    /** The table's place, at a height, that a pixel shows. */
    double[] seen(double px, double py, double z) {
      double u = px - width / 2.0;
      double v = py - height / 2.0;
      double su = u;
      double sv = v;
      for (int i = 0; i < 3; i++) {
        double k = 1 + perCorner * (su * su + sv * sv);
        su = u / k;
        sv = v / k;
      }
      double a = (su * ct + sv * st) / focal;
      double b = (-su * st + sv * ct) / focal;
      double along = (a * (distance - z * cTilt) - z * sTilt) / (cTilt - a * sTilt);
      double far = distance + along * sTilt - z * cTilt;
      double aside = b * far;
      return new double[] {along * ct - aside * st, -along * st - aside * ct};
    }

    double reflected(double px, double py) {
      double[] flat = seen(px, py, 0);
      for (int k = 0; k < cards.size(); k++) {
        Card card = cards.get(k);
        double[] on = flat;
        double x = 0;
        double y = 0;
        for (int i = 0; i < (card.bowMm == 0 ? 1 : 3); i++) {
          double dx = on[0] - card.xMm;
          double dy = on[1] - card.yMm;
          x = dx * cos[k] + dy * sin[k];
          y = -dx * sin[k] + dy * cos[k];
          if (Math.abs(x) > 24 || Math.abs(y) > 24) {
            break;
          }
          on = card.bowMm == 0 ? on : seen(px, py, bow(card, x, y));
        }
        double a = albedo(card, x, y);
        if (a >= 0) {
          return a;
        }
      }
      return 0.3 + 0.06 * Math.sin(flat[0] / 1.7) * Math.cos(flat[1] / 2.3);
    }
  }

  public Picture picture() {
    float[] linear = new float[width * height];
    Eye eye = new Eye();
    IntStream.range(0, height)
        .parallel()
        .forEach(y -> {
          Random rough = new Random(seed * 7919 + y);
          for (int x = 0; x < width; x++) {
            double sum = 0;
            for (int i = 0; i < 4; i++) {
              sum += eye.reflected(x + 0.25 + 0.5 * (i % 2), y + 0.25 + 0.5 * (i / 2));
            }
            double fx = (double) x / width;
            double fy = (double) y / height;
            double light = 1 - unevenShare * (0.5 + 0.5 * Math.sin(2.9 * fx + 1.7 * fy));
            double edge = (fx * 0.8 + fy * 0.6 - 0.55) / 0.03;
            light *= 1 - shadowShare / (1 + Math.exp(-edge));
            double spot = Math.hypot(fx - 0.3, fy - 0.7) / 0.12;
            double shine = glare * Math.exp(-spot * spot);
            linear[y * width + x] =
                (float) (0.85 * light * sum / 4 * (1 + grain * rough.nextGaussian()) + shine);
          }
        });
    float[] soft = linear;
    if (softPx > 0) {
      soft = softened(softened(soft, 1, 0, softPx), 0, 1, softPx);
    }
    if (shakePx > 0) {
      soft = shaken(soft);
    }
    Random random = new Random(seed);
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
    for (int i = 0; i < soft.length; i++) {
      double c = Math.min(1, soft[i]);
      double gamma = c <= 0.0031308 ? 12.92 * c : 1.055 * Math.pow(c, 1 / 2.4) - 0.055;
      long level = Math.round(255 * gamma + noise * random.nextGaussian());
      image.getRaster().setSample(i % width, i / width, 0, Math.clamp(level, 0, 255));
    }
    return DrawnPicture.of(image, jpeg);
  }

  private float[] softened(float[] from, int dx, int dy, double sigma) {
    int reach = (int) Math.ceil(3 * sigma);
    double[] weight = new double[2 * reach + 1];
    double all = 0;
    for (int k = -reach; k <= reach; k++) {
      weight[k + reach] = Math.exp(-k * k / (2 * sigma * sigma));
      all += weight[k + reach];
    }
    double of = all;
    float[] to = new float[from.length];
    IntStream.range(0, height)
        .parallel()
        .forEach(y -> {
          for (int x = 0; x < width; x++) {
            double sum = 0;
            for (int k = -reach; k <= reach; k++) {
              int u = Math.clamp(x + k * dx, 0, width - 1);
              int v = Math.clamp(y + k * dy, 0, height - 1);
              sum += weight[k + reach] * from[v * width + u];
            }
            to[y * width + x] = (float) (sum / of);
          }
        });
    return to;
  }

  /** The hand moved along a line while it was open. */
  private float[] shaken(float[] from) {
    float[] to = new float[from.length];
    int steps = 9;
    for (int k = 0; k < steps; k++) {
      double by = shakePx * (k / (steps - 1.0) - 0.5);
      int dx = (int) Math.round(by * Math.cos(Math.toRadians(shakeDeg)));
      int dy = (int) Math.round(by * Math.sin(Math.toRadians(shakeDeg)));
      for (int y = 0; y < height; y++) {
        int v = Math.clamp(y + dy, 0, height - 1);
        for (int x = 0; x < width; x++) {
          to[y * width + x] += from[v * width + Math.clamp(x + dx, 0, width - 1)] / steps;
        }
      }
    }
    return to;
  }
}
