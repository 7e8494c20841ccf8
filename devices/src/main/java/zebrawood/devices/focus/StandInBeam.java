package zebrawood.devices.focus;

/**
 * A Gaussian beam with its quality and the threshold of what it burns.
 *
 * <p>A line's dose falls with the beam's width as well, so that the burnt width is not the beam's:
 * {@code burnt = w sqrt(ln(k w0 / w) / 2)} with k the dose over the threshold at the waist. It is
 * thinnest at the focus all the same, until the line fades where {@code k w0 < w}.
 *
 * @param waistMm diameter to 1/e^2 at the focus
 * @param rayleighMm where the diameter is the waist's times the root of 2
 * @param focusGapMm from the reference on the head
 * @param overThreshold the dose at the focus over what just marks, more than 1
 */
public record StandInBeam(
    double waistMm, double rayleighMm, double focusGapMm, double overThreshold) {
  private static final double MM_PER_NM = 1e-6;

  /**
   * The beam behind a lens, from its wavelength, focal length, diameter at the lens and quality.
   */
  public static StandInBeam behind(
      double wavelengthNm,
      double focalLengthMm,
      double beamDiameterMm,
      double m2,
      double focusGapMm,
      double overThreshold) {
    double halfAngle = beamDiameterMm / 2 / focalLengthMm;
    double waist = 2 * m2 * wavelengthNm * MM_PER_NM / (Math.PI * halfAngle);
    return new StandInBeam(waist, waist / 2 / halfAngle, focusGapMm, overThreshold);
  }

  public double diameterMm(double gapMm) {
    return waistMm * Math.hypot(1, (gapMm - focusGapMm) / rayleighMm);
  }

  /** How wide it burns; 0 where it does not mark. */
  public double burntMm(double gapMm) {
    double w = diameterMm(gapMm);
    double over = overThreshold * waistMm / w;
    return over <= 1 ? 0 : w * Math.sqrt(Math.log(over) / 2);
  }

  /** How bright a mark is, of 10: the intensity on the axis. */
  public double brightness(double gapMm) {
    double share = waistMm / diameterMm(gapMm);
    return 10 * share * share;
  }

  public StandInBeam at(double otherFocusGapMm) {
    return new StandInBeam(waistMm, rayleighMm, otherFocusGapMm, overThreshold);
  }
}
