package zebrawood.lens;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How small is the spot of this beam behind this lens, and how deep?
 *
 * <p>In: wavelength in nm, lengths in mm. Out: diameters to 1/e^2 and depths in mm. Diffraction
 * after ISO 11146-1:2005: {@code d = 4 M2 lambda f / (pi D)} and {@code zR = pi d^2 / (4 M2
 * lambda)}. Third-order spherical aberration of a thin zinc selenide lens at 10.6 um from the
 * coefficients of its shape, {@code k D^3 / f^2}. With z from the focus the spot is {@code sqrt(d^2
 * (1 + (z/zR)^2) + a^2)}.
 *
 * <p>Refuses a beam wider than the focal length is long, where the paraxial laws end, and a shape
 * whose aberration is not known at the wavelength. Not for a beam that is cut by the lens's rim.
 */
public final class LensOptics {
  /** The spot may grow by this share within the depth of field. */
  private static final double GROWTH = 0.05;

  private static final double MM_PER_NM = 1e-6;

  private LensOptics() {}

  /** The spot of a beam by diffraction alone. */
  static double diffractionMm(double nm, double focalLengthMm, double beamMm, double m2) {
    return 4 * m2 * (nm * MM_PER_NM) * focalLengthMm / (Math.PI * beamMm);
  }

  public static LensFinding solve(LensReadings r) {
    double lambda = r.wavelengthNm() * MM_PER_NM;
    double diffraction =
        diffractionMm(r.wavelengthNm(), r.focalLengthMm(), r.beamDiameterMm(), r.m2());
    double aberration =
        r.shape().aberration
            * Math.pow(r.beamDiameterMm(), 3)
            / (r.focalLengthMm() * r.focalLengthMm());
    double spot = Math.hypot(diffraction, aberration);
    double rayleigh = Math.PI * diffraction * diffraction / (4 * r.m2() * lambda);
    double depth = 2 * rayleigh * Math.sqrt((1 + GROWTH) * (1 + GROWTH) - 1) * spot / diffraction;
    LensFinding bare =
        new LensFinding(
            diffraction,
            aberration,
            spot,
            rayleigh,
            depth,
            OptionalDouble.empty(),
            Verdict.WITHIN,
            List.of(
                Advice.leave("lens.optics.leave")
                    .because("lens.optics.spot", Amount.mm(spot, 3), Amount.mm(depth, 2))),
            List.of());
    if (r.thicknessMm().isEmpty()) {
      return bare;
    }
    double edge = bare.spotAtMm(r.thicknessMm().getAsDouble() / 2);
    List<Message> warnings = new ArrayList<>();
    if (r.thicknessMm().getAsDouble() > depth) {
      warnings.add(
          Message.of(
              "lens.optics.thicker",
              Amount.plain(r.thicknessMm().getAsDouble(), zebrawood.quantity.Quantity.LENGTH),
              Amount.mm(depth, 2),
              Amount.mm(edge, 3)));
    }
    return new LensFinding(
        diffraction,
        aberration,
        spot,
        rayleigh,
        depth,
        OptionalDouble.of(edge),
        Verdict.WITHIN,
        bare.advice(),
        warnings);
  }
}
