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
  private static final double THINNEST_BEAM_MM = 0.01;

  public LensReadings {
    var accepts =
        new Accepts()
            .between("wavelengthNm", wavelengthNm, 100, 30_000)
            .between("focalLengthMm", focalLengthMm, 1, 5000)
            .between("beamDiameterMm", beamDiameterMm, THINNEST_BEAM_MM, 500)
            .between("m2", m2, 1, LARGEST_M2);
    thicknessMm.ifPresent(mm -> accepts.between("thicknessMm", mm, 0, 1000));
    if (beamDiameterMm > focalLengthMm) {
      accepts.complain(
          "beamDiameterMm",
          beamDiameterMm,
          Message.of("lens.accepts.below-focal", Message.number(focalLengthMm)));
    }
    // Where the spot would be as wide as the beam, the lens makes no focus.
    double least = Math.sqrt(LensOptics.diffractionMm(wavelengthNm, focalLengthMm, 1, m2));
    if (accepts.fine() && beamDiameterMm < least) {
      accepts.complain(
          "beamDiameterMm",
          beamDiameterMm,
          Message.of("lens.accepts.wider-than-spot", Message.number(Math.ceil(1e4 * least) / 1e4)));
    }
    if (thicknessMm.isPresent() && thicknessMm.getAsDouble() >= 2 * focalLengthMm) {
      accepts.complain(
          "thicknessMm",
          thicknessMm.getAsDouble(),
          Message.of("lens.accepts.below-lens", Message.number(2 * focalLengthMm)));
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
