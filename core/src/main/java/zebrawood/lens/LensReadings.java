package zebrawood.lens;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A beam and the lens that it meets.
 *
 * @param beamDiameterMm at the lens, to 1/e^2 of the middle's intensity
 * @param m2 beam quality, 1 for a perfect beam
 * @param thicknessMm of stock that is focused in its middle
 */
public record LensReadings(
    double wavelengthNm,
    double focalLengthMm,
    double beamDiameterMm,
    double m2,
    LensShape shape,
    OptionalDouble thicknessMm) {
  private static final double ZNSE_NM = 10_600;
  private static final double NEAR = 0.02;
  private static final double LARGEST_M2 = 1000;

  public LensReadings {
    var accepts =
        new Accepts()
            .between("wavelengthNm", wavelengthNm, 100, 30_000)
            .between("focalLengthMm", focalLengthMm, 1, 5000)
            .positive("beamDiameterMm", beamDiameterMm, 500)
            .between("m2", m2, 1, LARGEST_M2);
    thicknessMm.ifPresent(mm -> accepts.between("thicknessMm", mm, 0, 1000));
    if (beamDiameterMm > focalLengthMm) {
      accepts.complain(
          "beamDiameterMm",
          beamDiameterMm,
          Message.of("lens.accepts.below-focal", Message.number(focalLengthMm)));
    }
    if (shape != LensShape.IDEAL && !aberrationKnown(wavelengthNm)) {
      accepts.complain(
          "shape",
          Message.of("lens.found.shape", Message.of(shape), Message.number(wavelengthNm)),
          Message.of("lens.accepts.ideal"));
    }
    accepts.orThrow();
  }

  /** Whether the figures for a lens's aberration are of this wavelength. */
  static boolean aberrationKnown(double wavelengthNm) {
    return Math.abs(wavelengthNm - ZNSE_NM) <= NEAR * ZNSE_NM;
  }
}
