package zebrawood.tape;

import zebrawood.measure.Picture;

/** How much light a place of a picture stands for: linear, by the sRGB curve (IEC 61966-2-1). */
final class Light {
  private static final double[] LINEAR = new double[256];

  static {
    for (int i = 0; i < LINEAR.length; i++) {
      LINEAR[i] = linear(i);
    }
  }

  private Light() {}

  private static double linear(double level) {
    double c = level / 255;
    return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
  }

  /** At a place between pixels, whose middles lie at halves; at the edge, the edge's own. */
  static double at(Picture picture, double x, double y) {
    double u = Math.clamp(x - 0.5, 0, picture.width() - 1.001);
    double v = Math.clamp(y - 0.5, 0, picture.height() - 1.001);
    int iu = (int) u;
    int iv = (int) v;
    double fu = u - iu;
    double fv = v - iv;
    int right = Math.min(iu + 1, picture.width() - 1);
    int below = Math.min(iv + 1, picture.height() - 1);
    return (1 - fv) * ((1 - fu) * of(picture, iu, iv) + fu * of(picture, right, iv))
        + fv * ((1 - fu) * of(picture, iu, below) + fu * of(picture, right, below));
  }

  private static double of(Picture picture, int x, int y) {
    double level = Math.clamp(picture.light(x, y), 0, 255);
    int low = (int) level;
    int high = Math.min(255, low + 1);
    return LINEAR[low] + (level - low) * (LINEAR[high] - LINEAR[low]);
  }
}
