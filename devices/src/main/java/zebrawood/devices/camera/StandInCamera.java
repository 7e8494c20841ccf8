package zebrawood.devices.camera;

import java.awt.image.BufferedImage;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * A camera in the lid of a machine, with hidden errors: its lens bends as an equisolid-angle lens
 * does, it leans, light is uneven with a glare, the lid closes to a slightly other place each time
 * and can be knocked, and the table may stand at another height than believed.
 */
public final class StandInCamera {
  public static final int WIDTH_PX = 1600;
  public static final int HEIGHT_PX = 1200;
  private static final double LID_SCATTER_RAD = 0.0003;
  private static final double OF_THE_PICTURE = 0.95;
  private static final double PAPER = 214;
  private static final double BED = 88;
  private static final double INK = 52;

  private final double bedX;
  private final double bedY;
  private final double focalPx;
  private final double[] centrePx;
  private final double[] placeMm;
  private final double[] turnRad;
  private final double[] glareMm;
  private final Random random;
  private double[] lidRad = new double[2];
  private double[] knockRad = new double[2];
  private double tableHigherMm;

  /**
   * @param bedX how far the bed reaches to the right, mm
   * @param bedY how far to the rear
   */
  public StandInCamera(double bedX, double bedY, long number) {
    this.bedX = bedX;
    this.bedY = bedY;
    random = new Random(number);
    double reach = Math.hypot(bedX, bedY) / 2;
    double wide = Math.toRadians(48 + 8 * random.nextDouble());
    double up = reach / Math.tan(wide);
    placeMm =
        new double[] {
          bedX / 2 + 0.03 * reach * random.nextGaussian(),
          bedY / 2 + 0.03 * reach * random.nextGaussian(),
          up
        };
    turnRad =
        new double[] {
          0.05 * random.nextGaussian(), 0.05 * random.nextGaussian(), 0.02 * random.nextGaussian()
        };
    centrePx =
        new double[] {
          WIDTH_PX / 2.0 + 9 * random.nextGaussian(), HEIGHT_PX / 2.0 + 9 * random.nextGaussian()
        };
    focalPx = focalOfWholeBed();
    glareMm =
        new double[] {
          bedX * (0.3 + 0.4 * random.nextDouble()), bedY * (0.6 + 0.3 * random.nextDouble())
        };
    closeLid();
  }

  /** As long as the bed's sides just stay in the picture. */
  private double focalOfWholeBed() {
    double longest = Double.MAX_VALUE;
    for (int i = 0; i <= 20; i++) {
      double x = bedX * i / 20;
      double y = bedY * i / 20;
      for (double[] at : new double[][] {{x, 0}, {x, bedY}, {0, y}, {bedX, y}}) {
        double[] one = px(at[0], at[1], 0, 1);
        double across = one[0] - centrePx[0];
        double down = one[1] - centrePx[1];
        double roomAcross = across > 0 ? WIDTH_PX - centrePx[0] : centrePx[0];
        double roomDown = down > 0 ? HEIGHT_PX - centrePx[1] : centrePx[1];
        longest = Math.min(longest, roomAcross / Math.abs(across));
        longest = Math.min(longest, roomDown / Math.abs(down));
      }
    }
    return OF_THE_PICTURE * longest;
  }

  /** Opened and shut: it never lies quite where it lay. */
  public void closeLid() {
    lidRad =
        new double[] {
          LID_SCATTER_RAD * random.nextGaussian(), LID_SCATTER_RAD * random.nextGaussian()
        };
  }

  /** Knocked, or left short of its stop. */
  public void knockLid(double forwardsRad, double sidewaysRad) {
    knockRad = new double[] {forwardsRad, sidewaysRad};
  }

  /** Back to its stop. */
  public void pushToStop() {
    knockRad = new double[2];
    closeLid();
  }

  public void raiseTable(double mm) {
    tableHigherMm += mm;
  }

  public double tableHigherMm() {
    return tableHigherMm;
  }

  /** What the lid's scatter alone moves a place by, one standard deviation, in mm. */
  public double lidScatterMm() {
    return LID_SCATTER_RAD * placeMm[2] * Math.sqrt(2);
  }

  public double aboveMm() {
    return placeMm[2];
  }

  /** The camera's axes as the bed has them. */
  private double[][] axes() {
    double a = turnRad[0] + lidRad[0] + knockRad[0];
    double b = turnRad[1] + lidRad[1] + knockRad[1];
    double c = turnRad[2];
    double[] x = {Math.cos(b), 0, -Math.sin(b)};
    double[] down = {-Math.sin(b) * Math.cos(a), Math.sin(a), -Math.cos(b) * Math.cos(a)};
    double[] y = {
      down[1] * x[2] - down[2] * x[1],
      down[2] * x[0] - down[0] * x[2],
      down[0] * x[1] - down[1] * x[0]
    };
    double length = Math.sqrt(y[0] * y[0] + y[1] * y[1] + y[2] * y[2]);
    for (int i = 0; i < 3; i++) {
      y[i] /= length;
    }
    double[][] axes = new double[3][];
    axes[0] =
        new double[] {
          Math.cos(c) * x[0] + Math.sin(c) * y[0],
          Math.cos(c) * x[1] + Math.sin(c) * y[1],
          Math.cos(c) * x[2] + Math.sin(c) * y[2]
        };
    axes[1] =
        new double[] {
          -Math.sin(c) * x[0] + Math.cos(c) * y[0],
          -Math.sin(c) * x[1] + Math.cos(c) * y[1],
          -Math.sin(c) * x[2] + Math.cos(c) * y[2]
        };
    axes[2] = down;
    return axes;
  }

  /**
   * Where a place shows.
   *
   * @param heightMm above the table as it is believed to stand
   */
  public double[] px(double xMm, double yMm, double heightMm) {
    return px(xMm, yMm, heightMm, focalPx);
  }

  private double[] px(double xMm, double yMm, double heightMm, double focal) {
    double[][] axes = axes();
    double[] to = {xMm - placeMm[0], yMm - placeMm[1], heightMm + tableHigherMm - placeMm[2]};
    double[] seen = new double[3];
    for (int i = 0; i < 3; i++) {
      seen[i] = axes[i][0] * to[0] + axes[i][1] * to[1] + axes[i][2] * to[2];
    }
    double aside = Math.hypot(seen[0], seen[1]);
    if (aside < 1e-12) {
      return centrePx.clone();
    }
    double angle = Math.atan2(aside, seen[2]);
    double r = 2 * focal * Math.sin(angle / 2);
    return new double[] {centrePx[0] + r * seen[0] / aside, centrePx[1] + r * seen[1] / aside};
  }

  /**
   * A sheet with a grid of marks on the table.
   *
   * @param originX the lower left mark, {@code originY} too, mm
   * @param crosses otherwise dots
   * @param heightMm of the sheet above the table
   */
  public record Target(
      int columns,
      int rows,
      double pitchMm,
      double originX,
      double originY,
      boolean crosses,
      double heightMm) {}

  /** As the camera sees it now. */
  public BufferedImage photograph(Target target) {
    BufferedImage image = new BufferedImage(WIDTH_PX, HEIGHT_PX, BufferedImage.TYPE_INT_RGB);
    double[][] axes = axes();
    long grain = random.nextLong();
    IntStream.range(0, HEIGHT_PX)
        .parallel()
        .forEach(y -> {
          Random noise = new Random(grain + y);
          int[] row = new int[WIDTH_PX];
          for (int x = 0; x < WIDTH_PX; x++) {
            double light = light(target, axes, x + 0.5, y + 0.5) + 1.8 * noise.nextGaussian();
            int l = (int) Math.clamp(Math.rint(light), 0, 255);
            row[x] = l << 16 | (int) (0.97 * l) << 8 | (int) (0.9 * l);
          }
          synchronized (image) {
            image.setRGB(0, y, WIDTH_PX, 1, row, 0, WIDTH_PX);
          }
        });
    return image;
  }

  private double light(Target target, double[][] axes, double px, double py) {
    double dx = (px - centrePx[0]) / (2 * focalPx);
    double dy = (py - centrePx[1]) / (2 * focalPx);
    double r = Math.hypot(dx, dy);
    if (r > 0.75) {
      return 12;
    }
    double angle = 2 * Math.asin(r);
    double aside = r < 1e-12 ? 0 : Math.sin(angle) / r;
    double[] seen = {aside * dx, aside * dy, Math.cos(angle)};
    double[] ray = new double[3];
    for (int i = 0; i < 3; i++) {
      ray[i] = axes[0][i] * seen[0] + axes[1][i] * seen[1] + axes[2][i] * seen[2];
    }
    if (ray[2] > -0.05) {
      return 12;
    }
    double along = (target.heightMm + tableHigherMm - placeMm[2]) / ray[2];
    double x = placeMm[0] + along * ray[0];
    double y = placeMm[1] + along * ray[1];
    // As large as a pixel is there: edges fade over it.
    double pixelMm = 1.3 * along / (focalPx * Math.cos(angle / 2));
    double tone = tone(target, x, y, pixelMm);
    double shade = 1.04 - 0.3 * x / bedX + 0.1 * Math.sin(2.2 * y / bedY);
    double far = Math.hypot(x - glareMm[0], y - glareMm[1]) / (0.07 * bedX);
    return tone * shade * (1 - 0.25 * angle * angle) + 22 * Math.exp(-far * far);
  }

  private double tone(Target t, double x, double y, double pixelMm) {
    double edge = 0.04 * bedX;
    boolean sheet = x > -edge && y > -edge && x < bedX + edge && y < bedY + edge;
    if (!sheet) {
      return BED + 10 * Math.sin(0.9 * x);
    }
    double column = Math.clamp(Math.rint((x - t.originX) / t.pitchMm), 0, t.columns - 1);
    double row = Math.clamp(Math.rint((y - t.originY) / t.pitchMm), 0, t.rows - 1);
    double u = Math.abs(x - t.originX - column * t.pitchMm);
    double v = Math.abs(y - t.originY - row * t.pitchMm);
    double out;
    if (t.crosses) {
      double half = Math.max(0.4, 0.012 * t.pitchMm);
      double arm = 0.2 * t.pitchMm;
      out = Math.max(Math.min(u, v) - half, Math.max(u, v) - arm);
    } else {
      out = Math.hypot(u, v) - 0.09 * t.pitchMm;
    }
    double ink = Math.clamp(0.5 - out / pixelMm, 0, 1);
    return PAPER + ink * (INK - PAPER);
  }
}
