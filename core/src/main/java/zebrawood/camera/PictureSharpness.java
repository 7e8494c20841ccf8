package zebrawood.camera;

import zebrawood.measure.Picture;
import zebrawood.measure.ReducedPicture;

/**
 * How sharp a picture is: the mean square of its slopes over the square of its mean light, in the
 * middle half of each side, times ten thousand. Source of the measure: E. Krotkov, Int. J. Computer
 * Vision 1, 223 (1987). A figure of itself: only pictures of the same scrap by the same camera
 * compare.
 */
public final class PictureSharpness {
  /** Pixels become as many in the longer side: noise of single ones falls away. */
  private static final int SIDE_PX = 1200;

  private static final double TIMES = 1e4;

  private PictureSharpness() {}

  /**
   * @return above 0 of any picture that is not of one tone
   */
  public static double of(Picture picture) {
    int block = Math.max(1, Math.max(picture.width(), picture.height()) / SIDE_PX);
    Picture seen = ReducedPicture.of(picture, block);
    int left = seen.width() / 4;
    int top = seen.height() / 4;
    double squares = 0;
    double light = 0;
    long n = 0;
    for (int y = Math.max(1, top); y < seen.height() - Math.max(1, top); y++) {
      for (int x = Math.max(1, left); x < seen.width() - Math.max(1, left); x++) {
        double across = seen.light(x + 1, y) - seen.light(x - 1, y);
        double down = seen.light(x, y + 1) - seen.light(x, y - 1);
        squares += across * across + down * down;
        light += seen.light(x, y);
        n++;
      }
    }
    double mean = light / Math.max(1, n);
    return n == 0 || mean <= 0 ? 0 : TIMES * squares / n / (mean * mean);
  }
}
