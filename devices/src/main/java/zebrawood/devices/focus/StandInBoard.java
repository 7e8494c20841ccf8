package zebrawood.devices.focus;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;

/**
 * A tilted board with a line burnt along it: widths read with a rule or a glass, over grain and
 * with places where nothing burnt, or a photograph of it.
 */
public final class StandInBoard {
  private final StandInBeam beam;
  private final double runMm;
  private final double riseMm;
  private final double gapAtStartMm;
  private final double grain;
  private final double dropOuts;
  private final Random random;

  /**
   * @param grain how much wider or thinner the wood burns from place to place, as a share
   * @param dropOuts share of places at which nothing burnt
   */
  public StandInBoard(
      StandInBeam beam,
      double runMm,
      double riseMm,
      double gapAtStartMm,
      double grain,
      double dropOuts,
      long number) {
    this.beam = beam;
    this.runMm = runMm;
    this.riseMm = riseMm;
    this.gapAtStartMm = gapAtStartMm;
    this.grain = grain;
    this.dropOuts = dropOuts;
    this.random = new Random(number);
  }

  public double gapMm(double alongMm) {
    return gapAtStartMm - alongMm * riseMm / runMm;
  }

  /** Where along it the beam is smallest; it may lie off the board. */
  public double thinnestAlongMm() {
    return (gapAtStartMm - beam.focusGapMm()) * runMm / riseMm;
  }

  /** One width, where there is a line to read it at. */
  public record Width(double alongMm, double lineWidthMm) {}

  /** Widths at evenly spread places; those where nothing is to be seen are missing. */
  public List<Width> read(int places, double resolutionMm) {
    List<Width> read = new ArrayList<>();
    for (int i = 0; i < places; i++) {
      double along = runMm * (i + 0.5) / places;
      double burnt = beam.burntMm(gapMm(along)) * (1 + grain * random.nextGaussian());
      double shown = Math.round(burnt / resolutionMm) * resolutionMm;
      if (random.nextDouble() >= dropOuts && shown > 0) {
        read.add(new Width(Math.round(along * 10) / 10.0, shown));
      }
    }
    return read;
  }

  /**
   * How it is photographed.
   *
   * @param pxPerMm on the board
   * @param tiltRad of the line in the picture
   * @param blurPx of the lens and the hand
   * @param noise of the sensor, in steps of 255
   */
  public record Camera(
      int widthPx, int heightPx, double pxPerMm, double tiltRad, double blurPx, double noise) {}

  /**
   * A photograph and where its line is.
   *
   * @param startPx the line's beginning, x and y
   */
  public record Photograph(BufferedImage image, List<Double> startPx, List<Double> endPx) {}

  /** Light is mixed as light, then coded as sRGB (IEC 61966-2-1), as a camera does. */
  public Photograph photograph(Camera camera) {
    int w = camera.widthPx;
    int h = camera.heightPx;
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_3BYTE_BGR);
    byte[] bytes = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    double cos = Math.cos(camera.tiltRad);
    double sin = Math.sin(camera.tiltRad);
    double startX = w / 2.0 - runMm * camera.pxPerMm / 2 * cos;
    double startY = h / 2.0 - runMm * camera.pxPerMm / 2 * sin;
    Wood wood = new Wood(h, w, random.nextLong());
    boolean[] gone = gone();
    double blurMm = camera.blurPx / camera.pxPerMm;
    SplittableRandom noise = new SplittableRandom(random.nextLong());
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        double dx = (x + 0.5 - startX) / camera.pxPerMm;
        double dy = (y + 0.5 - startY) / camera.pxPerMm;
        double along = dx * cos + dy * sin;
        double aside = dy * cos - dx * sin;
        double left = wood.light(x, y) * (1 - charred(along, aside, blurMm, gone));
        double tremble = camera.noise * (noise.nextDouble() + noise.nextDouble() - 1) * 2.4;
        int at = (y * w + x) * 3;
        bytes[at] = coded(0.27 * left, tremble);
        bytes[at + 1] = coded(0.47 * left, tremble);
        bytes[at + 2] = coded(0.68 * left, tremble);
      }
    }
    double endX = startX + runMm * camera.pxPerMm * cos;
    double endY = startY + runMm * camera.pxPerMm * sin;
    return new Photograph(image, List.of(startX, startY), List.of(endX, endY));
  }

  /** Which millimetres of the line did not burn. */
  private boolean[] gone() {
    boolean[] gone = new boolean[(int) Math.ceil(runMm) + 1];
    for (int i = 0; i < gone.length; i++) {
      gone[i] = random.nextDouble() < dropOuts;
    }
    return gone;
  }

  /**
   * How much of the light is taken: a bar as wide as the burn, its edges as soft as the picture.
   */
  private double charred(double along, double aside, double blurMm, boolean[] gone) {
    if (along < 0 || along > runMm || Math.abs(aside) > 3 || gone[(int) along]) {
      return 0;
    }
    double half = beam.burntMm(gapMm(along)) / 2;
    if (half == 0 || Math.abs(aside) > half + 4 * blurMm) {
      return 0;
    }
    double over = beam.overThreshold() * beam.waistMm() / beam.diameterMm(gapMm(along));
    double depth = 0.9 * (1 - 1 / over);
    return depth * (step((aside + half) / blurMm) - step((aside - half) / blurMm));
  }

  /** A step blurred by a Gaussian, by a logistic curve that is within a hundredth of it. */
  private static double step(double z) {
    return 1 / (1 + Math.exp(-1.702 * z));
  }

  private static byte coded(double light, double tremble) {
    double l = Math.clamp(light, 0, 1);
    double code = l <= 0.0031308 ? 12.92 * l : 1.055 * Math.pow(l, 1 / 2.4) - 0.055;
    return (byte) Math.clamp(Math.round(255 * code + tremble), 0, 255);
  }

  /** Streaks along the board under uneven light. */
  private static final class Wood {
    private static final int STREAK = 40;
    private final double[][] streaks;
    private final int width;
    private final int height;

    Wood(int height, int width, long number) {
      this.width = width;
      this.height = height;
      Random random = new Random(number);
      streaks = new double[height / 2 + 2][width / STREAK + 2];
      for (double[] row : streaks) {
        for (int i = 0; i < row.length; i++) {
          row[i] = random.nextGaussian();
        }
      }
    }

    double light(int x, int y) {
      double[] row = streaks[y / 2];
      double share = (double) (x % STREAK) / STREAK;
      double streak = row[x / STREAK] * (1 - share) + row[x / STREAK + 1] * share;
      double uneven = 1 + 0.25 * ((double) x / width - 0.5) - 0.2 * ((double) y / height - 0.5);
      return uneven * (1 + 0.05 * streak);
    }
  }
}
