package zebrawood.tape;

import zebrawood.measure.Picture;

/** How much light a place of a picture stands for: linear, by the sRGB curve (IEC 61966-2-1). */
final class Light {
  private Light() {}

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
    return (1 - fv) * ((1 - fu) * picture.linear(iu, iv) + fu * picture.linear(right, iv))
        + fv * ((1 - fu) * picture.linear(iu, below) + fu * picture.linear(right, below));
  }
}
