package zebrawood.focus;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import zebrawood.measure.DrawnPicture;
import zebrawood.measure.Picture;
import zebrawood.measure.PixelScale;

/**
 * A photograph of a ramp's board, drawn by itself: it shares nothing with what reads it, nor with
 * any stand-in. The board lies from 0, 0 to its size in mm, the line along x in its middle, from
 * {@link #MARGIN_MM} on; the camera looks at its middle from a distance, off square where asked.
 */
public final class DrawnRamp {
  public static final double RUN_MM = 120;
  public static final double RISE_MM = 10;
  public static final double START_GAP_MM = 12;
  public static final double MARGIN_MM = 8;
  public static final double DOWN_MM = 50;
  public static final double ACROSS_MM = RUN_MM + 2 * MARGIN_MM;

  public double focusMm = 7;
  public double spotMm = 0.3;
  public double rayleighMm = 1.6;
  public double pxPerMm = 12;
  public double depth = 0.6;
  public double paper = 200;
  public double noiseLevels = 2;

  /** Of wood: streaks along the line, this strong. */
  public double grainLevels;

  /** Standard deviation of the picture's own blur. */
  public double blurPx = 0.6;

  /** How far the line's middle bows off the straight one. */
  public double bendMm;

  /** Another line, of even width, so far to the side, and this share as dark. */
  public double besideMm = 4;

  public double besideShare;

  /** Of the board's normal against the line of sight, and towards where it leans. */
  public double tiltDeg;

  public double towardsDeg;

  public double unevenShare;
  public int jpeg;
  public long seed = 1;

  private static final double DISTANCE_MM = 260;

  private double[] grain;

  /** Where a place of the board is in the picture, in pixels. */
  public List<Double> at(double xMm, double yMm) {
    double[] there = seen(xMm - ACROSS_MM / 2, yMm - DOWN_MM / 2);
    return List.of(width() / 2.0 + there[0], height() / 2.0 + there[1]);
  }

  /**
   * What a person presses: the board's corners where it is seen at an angle, else a length.
   *
   * @param asideMm how far beside the line its ends are pressed
   */
  public RampPhotoReadings readings(double asideMm) {
    double middle = DOWN_MM / 2 + asideMm;
    return new RampPhotoReadings(
        "board.png",
        tiltDeg == 0
            ? Optional.of(new PixelScale(at(MARGIN_MM, 42), at(MARGIN_MM + 100, 42), 100))
            : Optional.empty(),
        new RampPhotoReadings.Line(at(MARGIN_MM, middle), at(MARGIN_MM + RUN_MM, middle)),
        RUN_MM,
        RISE_MM,
        START_GAP_MM,
        tiltDeg == 0
            ? Optional.empty()
            : Optional.of(
                new RampPhotoReadings.Board(
                    List.of(at(0, 0), at(ACROSS_MM, 0), at(ACROSS_MM, DOWN_MM), at(0, DOWN_MM)),
                    ACROSS_MM,
                    DOWN_MM)));
  }

  private int width() {
    return (int) (1.25 * ACROSS_MM * pxPerMm);
  }

  private int height() {
    return (int) (1.4 * DOWN_MM * pxPerMm);
  }

  private double[] seen(double x, double y) {
    double a = Math.toRadians(towardsDeg);
    double along = x * Math.cos(a) + y * Math.sin(a);
    double aside = y * Math.cos(a) - x * Math.sin(a);
    double t = Math.toRadians(tiltDeg);
    double far = 1 + along * Math.sin(t) / DISTANCE_MM;
    double u = along * Math.cos(t) / far;
    double v = aside / far;
    return new double[] {
      pxPerMm * (u * Math.cos(a) - v * Math.sin(a)), pxPerMm * (u * Math.sin(a) + v * Math.cos(a))
    };
  }

  /** Backwards: which place of the board a place of the picture shows. */
  private double[] board(double px, double py) {
    double a = Math.toRadians(towardsDeg);
    double x = px / pxPerMm;
    double y = py / pxPerMm;
    double u = x * Math.cos(a) + y * Math.sin(a);
    double v = y * Math.cos(a) - x * Math.sin(a);
    double t = Math.toRadians(tiltDeg);
    double along = u / (Math.cos(t) - u * Math.sin(t) / DISTANCE_MM);
    double aside = v * (1 + along * Math.sin(t) / DISTANCE_MM);
    return new double[] {
      ACROSS_MM / 2 + along * Math.cos(a) - aside * Math.sin(a),
      DOWN_MM / 2 + along * Math.sin(a) + aside * Math.cos(a)
    };
  }

  /** Share of the wood's light that is gone at a place. */
  private double burnt(double xMm, double yMm) {
    double along = xMm - MARGIN_MM;
    double middle = DOWN_MM / 2 + bendMm * Math.sin(Math.PI * along / RUN_MM);
    double gap = START_GAP_MM - along * RISE_MM / RUN_MM;
    double wide = spotMm * Math.hypot(1, (gap - focusMm) / rayleighMm);
    double softMm = blurPx / pxPerMm;
    double its = along < 0 || along > RUN_MM ? 0 : bar(yMm - middle, wide, softMm);
    double other =
        besideShare == 0 ? 0 : besideShare * bar(yMm - DOWN_MM / 2 - besideMm, 0.35, softMm);
    return depth * Math.max(its, other);
  }

  /** Of a bar so wide, through a Gaussian blur (its error function by a logistic, to 1 %). */
  private static double bar(double off, double wide, double soft) {
    return 1 / (1 + Math.exp(-1.702 * (off + wide / 2) / soft))
        - 1 / (1 + Math.exp(-1.702 * (off - wide / 2) / soft));
  }

  public Picture picture() {
    Random random = new Random(seed);
    grain = new double[4096];
    for (int i = 0; i < grain.length; i++) {
      grain[i] = random.nextGaussian();
    }
    BufferedImage image = new BufferedImage(width(), height(), BufferedImage.TYPE_BYTE_GRAY);
    for (int y = 0; y < height(); y++) {
      for (int x = 0; x < width(); x++) {
        double[] mm = board(x + 0.5 - width() / 2.0, y + 0.5 - height() / 2.0);
        double light = 70;
        if (mm[0] >= 0 && mm[1] >= 0 && mm[0] <= ACROSS_MM && mm[1] <= DOWN_MM) {
          light =
              (paper + grainLevels * streak(mm[0], mm[1]))
                  * (1 - burnt(mm[0], mm[1]))
                  * (1 - unevenShare * mm[0] / ACROSS_MM);
        }
        long level = Math.round(light + noiseLevels * random.nextGaussian());
        image.getRaster().setSample(x, y, 0, Math.clamp(level, 0, 255));
      }
    }
    return DrawnPicture.of(image, jpeg);
  }

  /** Soft streaks, 0.3 mm apart, that wander slowly along the board. */
  private double streak(double xMm, double yMm) {
    double at = (yMm + 0.4 * Math.sin(xMm / 23)) / 0.3;
    int below = (int) Math.floor(at);
    double part = at - below;
    int strip = (int) Math.floor(xMm / 30) * 300;
    return (1 - part) * grain[Math.floorMod(below + strip, grain.length)]
        + part * grain[Math.floorMod(below + 1 + strip, grain.length)];
  }
}
