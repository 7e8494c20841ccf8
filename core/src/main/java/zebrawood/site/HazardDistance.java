package zebrawood.site;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * How far off is the bare beam still too much for the eye?
 *
 * <p>Along the beam, with hyperbolic growth from its waist: the irradiance falls to the limit where
 * the diameter is sqrt(4 P / (pi E)), so r = sqrt(4 P / (pi E) - a^2) / phi. From a matt surface
 * that scatters all of it: r = sqrt(P / (pi E)), seen head on. ANSI Z136.1, appendix B. Diameter
 * and divergence are those that hold 63 %. For a beam behind its lens the divergence is its
 * diameter over the focal length. Uses the average power: for pulses the optical density says more.
 */
public final class HazardDistance {
  private HazardDistance() {}

  /**
   * @param alongBeamM nominal ocular hazard distance; empty without a divergence
   * @param fromMattM the same from a matt surface
   */
  public record Finding(OptionalDouble alongBeamM, double fromMattM) {}

  /**
   * @param divergenceMrad full angle
   */
  public static Finding solve(
      double powerW, double beamDiameterMm, OptionalDouble divergenceMrad, double mpeWPerM2) {
    var accepts =
        new Accepts()
            .positive("powerW", powerW, 1_000_000)
            .positive("beamDiameterMm", beamDiameterMm, 10_000)
            .positive("mpeWPerM2", mpeWPerM2, 1e12);
    divergenceMrad.ifPresent(d -> accepts.between("divergenceMrad", d, 0.001, 3000));
    accepts.orThrow();
    double wideM2 = 4 * powerW / (Math.PI * mpeWPerM2);
    double startM2 = beamDiameterMm * beamDiameterMm * 1e-6;
    return new Finding(
        divergenceMrad.isPresent()
            ? OptionalDouble.of(
                Math.sqrt(Math.max(0, wideM2 - startM2)) / (divergenceMrad.getAsDouble() * 1e-3))
            : OptionalDouble.empty(),
        Math.sqrt(powerW / (Math.PI * mpeWPerM2)));
  }
}
