package zebrawood.mirrors;

import zebrawood.measure.Accepts;

/**
 * Which share of a beam does a round opening cut off?
 *
 * <p>A Gaussian beam of 1/e^2 diameter 2w whose middle lies d off the middle of an opening of
 * radius a lets through the integral over r from 0 to a of 4 r / w^2 exp(-2 (r^2 + d^2) / w^2) I0(4
 * r d / w^2) dr (A. E. Siegman, Lasers, 1986, section 17.1, for d = 0: 1 - exp(-2 a^2 / w^2)). The
 * integral is summed by Simpson's rule; the Bessel function comes scaled, so that nothing
 * overflows.
 */
public final class Aperture {
  private static final int STEPS = 400;

  private Aperture() {}

  /** From 0 to 1. */
  public static double lostShare(double openingMm, double beamMm, double offMm) {
    new Accepts()
        .positive("openingMm", openingMm, 10_000)
        .positive("beamMm", beamMm, 10_000)
        .between("offMm", offMm, 0, 10_000)
        .orThrow();
    double a = openingMm / 2;
    double w = beamMm / 2;
    double h = a / STEPS;
    double sum = 0;
    for (int i = 0; i <= STEPS; i++) {
      double r = i * h;
      double weight = i == 0 || i == STEPS ? 1 : i % 2 == 1 ? 4 : 2;
      double x = 4 * r * offMm / (w * w);
      double near = (r - offMm) / w;
      sum += weight * 4 * r / (w * w) * Math.exp(-2 * near * near) * besselScaled(x);
    }
    return Math.clamp(1 - sum * h / 3, 0, 1);
  }

  /** exp(-x) I0(x): polynomials of M. Abramowitz, I. Stegun, 9.8.1 and 9.8.2, good to 2e-7. */
  private static double besselScaled(double x) {
    if (x < 3.75) {
      double t = x / 3.75;
      double y = t * t;
      return Math.exp(-x)
          * (1
              + y
                  * (3.5156229
                      + y
                          * (3.0899424
                              + y
                                  * (1.2067492
                                      + y * (0.2659732 + y * (0.0360768 + y * 0.0045813))))));
    }
    double y = 3.75 / x;
    return (0.39894228
            + y
                * (0.01328592
                    + y
                        * (0.00225319
                            + y
                                * (-0.00157565
                                    + y
                                        * (0.00916281
                                            + y
                                                * (-0.02057706
                                                    + y
                                                        * (0.02635537
                                                            + y
                                                                * (-0.01647633
                                                                    + y * 0.00392377))))))))
        / Math.sqrt(x);
  }
}
