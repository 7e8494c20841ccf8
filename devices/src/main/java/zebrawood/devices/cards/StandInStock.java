package zebrawood.devices.cards;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Random;
import zebrawood.devices.cards.SimulatedJob.Burn;

/**
 * A stock with hidden ways of its own: a threshold, how fast it darkens, how dark it gets, what
 * chars it, grain, and batches that differ. It is burnt line by line, its energy laid down place by
 * place, so that lines far apart show as bands; then it is scanned.
 */
public final class StandInStock {
  /** Of a scan, where nobody asks for a finer one. */
  public static final double PX_PER_MM = 8;

  /** Of each square millimetre. */
  private static final double MM_A_JOULE = 0.06;

  private static final double RIM_MM = 8;
  private static final double SPOT_MM = 0.16;
  private static final int WAVES = 24;

  private final Random random;
  private final double watts;
  private final double threshold;
  private final double half;
  private final double steepness;
  private final double darkest;
  private final double grain;
  private final double[] waves = new double[3 * WAVES];
  private final double bare;
  private double batch = 1;
  private double power = 1;

  public StandInStock(long number) {
    random = new Random(number);
    watts = 40 + 50 * random.nextDouble();
    threshold = 0.15 * random.nextDouble();
    half = 2.2 + 2 * random.nextDouble();
    steepness = 0.9 + 0.5 * random.nextDouble();
    darkest = 0.75 + 0.17 * random.nextDouble();
    grain = 0.01 + 0.03 * random.nextDouble();
    bare = 0.5 + 0.25 * random.nextDouble();
    for (int i = 0; i < waves.length; i += 3) {
      waves[i] = 0.2 + 3 * random.nextDouble();
      waves[i + 1] = 0.1 * random.nextGaussian();
      waves[i + 2] = 2 * Math.PI * random.nextDouble();
    }
  }

  /** The beam has so many times the power that it had. */
  public void weaken(double times) {
    power *= times;
  }

  /** Another batch, which takes the beam a little otherwise. */
  public void otherBatch() {
    batch = Math.exp(0.08 * random.nextGaussian());
  }

  /** Of a place with so much energy on it, in J/mm2. */
  private double darkness(double energy) {
    double above = energy * batch - threshold;
    return above <= 0 ? 0 : darkest * -Math.expm1(-Math.log(2) * Math.pow(above / half, steepness));
  }

  /** Of a large area burnt evenly, without bands. */
  public double darkness(double percent, double speedMmS, double intervalMm) {
    return darkness(power * watts * percent / 100 / speedMmS / intervalMm);
  }

  /** How deep an area goes: in even steps with the energy above its threshold. */
  public double depthMm(double percent, double speedMmS, double intervalMm) {
    double energy = power * watts * percent / 100 / speedMmS / intervalMm;
    return MM_A_JOULE * Math.max(0, energy * batch - threshold);
  }

  /**
   * What these burns leave, scanned: the first square's corner at a place, y up.
   *
   * @param wideMm from the crosses' middles on the left to those on the right, as {@code highMm}
   */
  public Scan scan(List<Burn> burns, double leftMm, double frontMm, double wideMm, double highMm) {
    return scan(burns, leftMm, frontMm, wideMm, highMm, PX_PER_MM);
  }

  /** The same at another resolution. */
  public Scan scan(
      List<Burn> burns,
      double leftMm,
      double frontMm,
      double wideMm,
      double highMm,
      double pxPerMm) {
    int width = (int) ((wideMm + 2 * RIM_MM) * pxPerMm);
    int height = (int) ((highMm + 2 * RIM_MM) * pxPerMm);
    Scan scan = new Scan(width, height, leftMm - RIM_MM, frontMm + highMm + RIM_MM, pxPerMm);
    double[] energy = new double[width * height];
    for (Burn b : burns) {
      lay(energy, scan, b);
    }
    scan.turnRad = 0.01 * random.nextGaussian();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        scan.image.setRGB(x, y, level(energy, scan, x, y));
      }
    }
    return scan;
  }

  /** One picture, and where a place of the card lies in it. */
  public static final class Scan {
    private final int width;
    private final int height;
    private final double leftMm;
    private final double rearMm;
    private final double pxPerMm;
    private double turnRad;
    private final BufferedImage image;

    Scan(int width, int height, double leftMm, double rearMm, double pxPerMm) {
      this.pxPerMm = pxPerMm;
      this.width = width;
      this.height = height;
      this.leftMm = leftMm;
      this.rearMm = rearMm;
      image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    }

    public BufferedImage image() {
      return image;
    }

    /** In pixels. */
    public double[] px(double xMm, double yMm) {
      double u = (xMm - leftMm) * pxPerMm - width / 2.0;
      double v = (rearMm - yMm) * pxPerMm - height / 2.0;
      double cos = Math.cos(turnRad);
      double sin = Math.sin(turnRad);
      return new double[] {width / 2.0 + cos * u - sin * v, height / 2.0 + sin * u + cos * v};
    }

    /** Of a pixel, in the picture as it lay before it was turned. */
    private double[] lay(double px, double py) {
      double u = px - width / 2.0;
      double v = py - height / 2.0;
      double cos = Math.cos(turnRad);
      double sin = Math.sin(turnRad);
      return new double[] {width / 2.0 + cos * u + sin * v, height / 2.0 - sin * u + cos * v};
    }
  }

  /** Energy of one burn, spread across it as a Gaussian spot is. */
  private void lay(double[] energy, Scan scan, Burn b) {
    double length = Math.hypot(b.toX() - b.fromX(), b.toY() - b.fromY());
    double joulesAMm = power * watts * b.share() / b.speedMmS();
    double step = 1 / scan.pxPerMm;
    int steps = (int) Math.ceil(length / step);
    double sigma = SPOT_MM / 4;
    int reach = (int) Math.ceil(3 * sigma * scan.pxPerMm) + 1;
    boolean upright = Math.abs(b.toY() - b.fromY()) > Math.abs(b.toX() - b.fromX());
    for (int i = 0; i < steps; i++) {
      double t = (i + 0.5) / steps;
      double px = (b.fromX() + t * (b.toX() - b.fromX()) - scan.leftMm) * scan.pxPerMm;
      double py = (scan.rearMm - b.fromY() - t * (b.toY() - b.fromY())) * scan.pxPerMm;
      double across = upright ? px : py;
      double sum = 0;
      double[] shares = new double[2 * reach + 1];
      for (int k = -reach; k <= reach; k++) {
        double off = (Math.floor(across) + k + 0.5 - across) / scan.pxPerMm;
        shares[k + reach] = Math.exp(-off * off / (2 * sigma * sigma));
        sum += shares[k + reach];
      }
      for (int k = -reach; k <= reach; k++) {
        int x = (int) Math.floor(px) + (upright ? k : 0);
        int y = (int) Math.floor(py) + (upright ? 0 : k);
        if (x >= 0 && y >= 0 && x < scan.width && y < scan.height) {
          energy[y * scan.width + x] +=
              joulesAMm * length / steps * shares[k + reach] / sum * scan.pxPerMm * scan.pxPerMm;
        }
      }
    }
  }

  private int level(double[] energy, Scan scan, int px, int py) {
    double[] at = scan.lay(px + 0.5, py + 0.5);
    double u = Math.clamp(at[0] - 0.5, 0, scan.width - 1.001);
    double v = Math.clamp(at[1] - 0.5, 0, scan.height - 1.001);
    int x = (int) u;
    int y = (int) v;
    double fu = u - x;
    double fv = v - y;
    double light = 0;
    for (int i = 0; i < 4; i++) {
      double share = (i % 2 == 0 ? 1 - fu : fu) * (i < 2 ? 1 - fv : fv);
      int place = Math.min(scan.height - 1, y + i / 2) * scan.width + x + i % 2;
      light += share * (1 - darkness(energy[place]));
    }
    double xMm = at[0] / scan.pxPerMm;
    double yMm = at[1] / scan.pxPerMm;
    double wave = 0;
    for (int i = 0; i < waves.length; i += 3) {
      wave += Math.sin(2 * Math.PI * waves[i] * (xMm + waves[i + 1] * yMm) + waves[i + 2]);
    }
    double lit = 0.95 - 0.05 * at[1] / scan.height + 0.03 * Math.sin(2.5 * at[0] / scan.width);
    double linear = lit * bare * light * (1 + grain * wave / Math.sqrt(WAVES / 2.0));
    double level =
        255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055)
            + 0.8 * random.nextGaussian();
    int grey = Math.clamp(Math.round(level), 1, 254);
    return grey << 16 | grey << 8 | grey;
  }
}
