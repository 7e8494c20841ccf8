package zebrawood.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * A camera over a bed, made up: where it shows a place of the bed. It shares nothing with what it
 * tests: turned by angles about three axes, one after the other.
 */
public final class ImaginedCamera {
  /** What cameras are like. */
  public enum Kind {
    /** In the lid, a wide lens. */
    LID,
    /** On a post, a narrow lens near a pinhole. */
    POST,
    /** In a corner, leaning, seen to 80 degrees from its axis. */
    FISHEYE
  }

  public final int widthPx;
  public final int heightPx;
  public final double[] bedMm;
  private final double focal;
  private final double[] centre;
  private final double[] k;
  private final double[] place;
  private final double leanX;
  private final double leanY;
  private final double turn;
  private final double cosX;
  private final double sinX;
  private final double cosY;
  private final double sinY;
  private final double cosTurn;
  private final double sinTurn;

  private ImaginedCamera(
      int widthPx,
      int heightPx,
      double[] bedMm,
      double focal,
      double[] centre,
      double[] k,
      double[] place,
      double[] turns) {
    this.widthPx = widthPx;
    this.heightPx = heightPx;
    this.bedMm = bedMm;
    this.focal = focal;
    this.centre = centre;
    this.k = k;
    this.place = place;
    this.leanX = turns[0];
    this.leanY = turns[1];
    this.turn = turns[2];
    cosX = Math.cos(leanX);
    sinX = Math.sin(leanX);
    cosY = Math.cos(leanY);
    sinY = Math.sin(leanY);
    cosTurn = Math.cos(turn);
    sinTurn = Math.sin(turn);
  }

  public static ImaginedCamera of(Kind kind, Random random) {
    return of(kind, random, 1280 + random.nextInt(2800));
  }

  /**
   * @param width of its picture, px
   */
  public static ImaginedCamera of(Kind kind, Random random, int width) {
    return of(
        kind,
        random,
        width,
        new double[] {300 + 900 * random.nextDouble(), 200 + 600 * random.nextDouble()});
  }

  /**
   * @param bed how far it reaches, mm
   */
  public static ImaginedCamera of(Kind kind, Random random, int width, double[] bed) {
    double reach = Math.hypot(bed[0], bed[1]) / 2;
    int height = width * 3 / 4;
    double wide =
        switch (kind) {
          case LID -> Math.toRadians(38 + 24 * random.nextDouble());
          case POST -> Math.toRadians(14 + 16 * random.nextDouble());
          case FISHEYE -> Math.toRadians(62 + 10 * random.nextDouble());
        };
    double up = reach / Math.tan(wide);
    double[] k =
        kind == Kind.POST
            ? new double[] {1.0 / 3, 2.0 / 15, 17.0 / 315, 62.0 / 2835}
            : new double[4];
    double[] about = {0.06, 0.02, 0.006, 0.002};
    for (int i = 0; i < 4; i++) {
      k[i] += about[i] * random.nextGaussian() * (kind == Kind.FISHEYE ? 0.5 : 1);
    }
    double lean = kind == Kind.FISHEYE ? 0.06 : 0.12;
    ImaginedCamera one =
        new ImaginedCamera(
            width,
            height,
            bed,
            1,
            new double[] {
              width / 2.0 + 0.012 * width * random.nextGaussian(),
              height / 2.0 + 0.012 * width * random.nextGaussian()
            },
            k,
            new double[] {
              bed[0] / 2 + 0.05 * reach * random.nextGaussian(),
              bed[1] / 2 + 0.05 * reach * random.nextGaussian(),
              up
            },
            new double[] {
              lean * random.nextGaussian(),
              lean * random.nextGaussian(),
              0.03 * random.nextGaussian() + (random.nextInt(4) == 0 ? Math.PI : 0)
            });
    // As large as the bed just fills the picture, with some room.
    double fit = 1e9;
    for (int i = 0; i <= 20; i++) {
      for (double[] edge :
          new double[][] {
            {bed[0] * i / 20, 0},
            {bed[0] * i / 20, bed[1]},
            {0, bed[1] * i / 20},
            {bed[0], bed[1] * i / 20}
          }) {
        double[] at = one.px(edge[0], edge[1], 0);
        fit =
            Math.min(
                fit,
                Math.min(
                    (at[0] > one.centre[0] ? width - one.centre[0] : one.centre[0])
                        / Math.abs(at[0] - one.centre[0]),
                    (at[1] > one.centre[1] ? height - one.centre[1] : one.centre[1])
                        / Math.abs(at[1] - one.centre[1])));
      }
    }
    return new ImaginedCamera(
        width,
        height,
        bed,
        0.97 * fit,
        one.centre,
        k,
        one.place,
        new double[] {one.leanX, one.leanY, one.turn});
  }

  /** Where a place shows. */
  public double[] px(double x, double y, double z) {
    double a = x - place[0];
    double b = -(y - place[1]);
    double c = place[2] - z;
    double b1 = b * cosX - c * sinX;
    double c1 = b * sinX + c * cosX;
    double a2 = a * cosY + c1 * sinY;
    double c2 = -a * sinY + c1 * cosY;
    double a3 = a2 * cosTurn - b1 * sinTurn;
    double b3 = a2 * sinTurn + b1 * cosTurn;
    double aside = Math.sqrt(a3 * a3 + b3 * b3);
    double t = Math.atan2(aside, c2);
    double bent = 1;
    double power = 1;
    for (int i = 0; i < 4; i++) {
      power *= t * t;
      bent += k[i] * power;
    }
    double r = aside < 1e-12 ? 0 : focal * t * bent / aside;
    return new double[] {centre[0] + r * a3, centre[1] + r * b3};
  }

  public CameraLens lens() {
    return new CameraLens(focal, List.of(centre[0], centre[1]), k[0], k[1], k[2], k[3]);
  }

  public double[] place() {
    return place.clone();
  }

  public boolean shows(double[] px) {
    return px[0] >= 0 && px[1] >= 0 && px[0] <= widthPx && px[1] <= heightPx;
  }

  /**
   * Marks of a grid over the bed as they are read.
   *
   * @param margin of the bed's sides that no mark is in
   * @param noisePx deviation of a coordinate
   */
  public List<CameraMark> marks(
      int columns, int rows, double margin, double[] heights, double noisePx, Random random) {
    List<CameraMark> marks = new ArrayList<>();
    for (double height : heights) {
      for (int row = 0; row < rows; row++) {
        for (int column = 0; column < columns; column++) {
          double x = bedMm[0] * (margin + (1 - 2 * margin) * column / (columns - 1));
          double y = bedMm[1] * (margin + (1 - 2 * margin) * row / (rows - 1));
          double[] px = px(x, y, height);
          double[] read = {
            px[0] + noisePx * random.nextGaussian(), px[1] + noisePx * random.nextGaussian()
          };
          if (shows(read)) {
            marks.add(
                new CameraMark(
                    x,
                    y,
                    height == 0 ? OptionalDouble.empty() : OptionalDouble.of(height),
                    read[0],
                    read[1]));
          }
        }
      }
    }
    return marks;
  }

  /**
   * @param at asked places of the bed, n x 3
   */
  public CameraReadings readings(
      List<CameraMark> marks, double resolutionPx, Optional<CameraLens> lens, double[][] at) {
    List<CameraReadings.Asked> asked = new ArrayList<>();
    for (double[] p : at) {
      double[] px = px(p[0], p[1], p[2]);
      asked.add(new CameraReadings.Asked(px[0], px[1], p[2]));
    }
    return new CameraReadings(
        new CameraReadings.Image(widthPx, heightPx),
        marks,
        resolutionPx,
        0.5,
        List.of(bedMm[0], bedMm[1]),
        lens,
        Optional.of(asked));
  }
}
