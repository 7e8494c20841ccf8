package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Which optical density must eyewear have for this beam, and does a filter on the shelf have it?
 *
 * <p>The density is log10 of the irradiance at the eye over the maximum permissible exposure of
 * {@link PermissibleExposure}, for a direct look into the whole beam. Irradiance is averaged over
 * the standard's limiting aperture where the beam is smaller. With pulses, the single pulse and the
 * train are judged too and the largest density counts (IEC 60825-1:2014, 4.3 f and annex A).
 * Supports, and does not replace, the laser safety officer.
 */
public final class Eyewear {
  private Eyewear() {}

  /**
   * A filter on the shelf, as printed on it.
   *
   * @param opticalDensity the number that holds over the whole range
   */
  public record Filter(double fromNm, double toNm, double opticalDensity) {
    public Filter {
      var accepts =
          new Accepts()
              .between("fromNm", fromNm, 100, 1_000_000)
              .between("toNm", toNm, 100, 1_000_000)
              .between("opticalDensity", opticalDensity, 0, 20);
      if (fromNm > toNm) {
        accepts.complain("toNm", toNm, Message.of("site.eyewear.least-fromnm"));
      }
      accepts.orThrow();
    }
  }

  /** The pulses of a source that has them. */
  public record Pulse(double energyJ, double durationS, double repetitionHz) {
    public Pulse {
      new Accepts()
          .positive("energyJ", energyJ, 10_000)
          .between("durationS", durationS, PermissibleExposure.SHORTEST_S, 10)
          .positive("repetitionHz", repetitionHz, 1e10)
          .orThrow();
    }
  }

  /**
   * @param powerW average power
   * @param beamDiameterMm the diameter that holds 63 % of the power
   * @param exposureS how long somebody may look into it
   */
  public record Readings(
      double wavelengthNm,
      double powerW,
      double beamDiameterMm,
      double exposureS,
      List<Filter> filters,
      Optional<Pulse> pulse) {
    public Readings {
      filters = List.copyOf(filters);
      new Accepts()
          .between("wavelengthNm", wavelengthNm, 180, 1_000_000)
          .positive("powerW", powerW, 1_000_000)
          .positive("beamDiameterMm", beamDiameterMm, 10_000)
          .between(
              "exposureS", exposureS, PermissibleExposure.SHORTEST_S, PermissibleExposure.LONGEST_S)
          .orThrow();
    }

    /**
     * The most that one filter on the shelf has at the wavelength, 0 where none holds it; empty
     * while no filter was told.
     */
    OptionalDouble densityThere() {
      return filters.isEmpty()
          ? OptionalDouble.empty()
          : OptionalDouble.of(
              filters.stream()
                  .filter(f -> f.fromNm <= wavelengthNm && wavelengthNm <= f.toNm)
                  .mapToDouble(Filter::opticalDensity)
                  .max()
                  .orElse(0));
    }
  }

  /**
   * @param mpeWPerM2 for the exposure time, as irradiance
   * @param covered whether one filter holds the wavelength with enough density
   */
  public record Finding(double mpeWPerM2, double requiredOpticalDensity, boolean covered) {}

  public static Finding solve(Readings r) {
    double mpe = PermissibleExposure.irradianceWPerM2(r.wavelengthNm, r.exposureS);
    double ratio = r.powerW / areaM2(r, r.exposureS) / mpe;
    if (r.pulse.isPresent()) {
      ratio = Math.max(ratio, pulseRatio(r, r.pulse.get()));
    }
    double required = Math.max(0, Math.log10(ratio));
    boolean covered =
        r.filters.stream()
            .anyMatch(f ->
                f.fromNm <= r.wavelengthNm
                    && r.wavelengthNm <= f.toNm
                    && f.opticalDensity >= required - 1e-12);
    return new Finding(mpe, required, covered);
  }

  private static double areaM2(Readings r, double exposureS) {
    double apertureMm = PermissibleExposure.apertureMm(r.wavelengthNm, exposureS);
    double diameterM = Math.max(r.beamDiameterMm, apertureMm) * 1e-3;
    return Math.PI / 4 * diameterM * diameterM;
  }

  /**
   * The single pulse, reduced for the train where heat on the retina adds up. Pulses closer
   * together than the time in which it does not spread count as one.
   */
  private static double pulseRatio(Readings r, Pulse pulse) {
    double single =
        pulse.energyJ
            / areaM2(r, pulse.durationS)
            / PermissibleExposure.radiantExposureJPerM2(r.wavelengthNm, pulse.durationS);
    if (!PermissibleExposure.retinal(r.wavelengthNm)) {
      return single;
    }
    double together = PermissibleExposure.togetherS(r.wavelengthNm);
    if (pulse.durationS > together) {
      return single;
    }
    double inOne = Math.max(1, together * pulse.repetitionHz);
    double groups =
        pulse.repetitionHz / inOne * Math.min(r.exposureS, PermissibleExposure.POINT_SOURCE_T2_S);
    double reduced = PermissibleExposure.trainFactor(groups, r.exposureS);
    double group =
        inOne
            * pulse.energyJ
            / areaM2(r, together)
            / PermissibleExposure.radiantExposureJPerM2(
                r.wavelengthNm, inOne > 1 ? together : pulse.durationS);
    return Math.max(single, group / reduced);
  }

  /** Whether sources of this wavelength usually pulse. */
  private static boolean usuallyPulses(double wavelengthNm) {
    return wavelengthNm < 400
        || (wavelengthNm > 500 && wavelengthNm < 560)
        || (wavelengthNm > 1000 && wavelengthNm < 1100);
  }

  static PartFinding judge(Readings r, Finding f) {
    List<Message> warnings = new ArrayList<>();
    if (r.pulse.isEmpty() && usuallyPulses(r.wavelengthNm)) {
      warnings.add(Message.of("site.eyewear.sources-this-wavelength"));
    }
    warnings.add(Message.of("site.eyewear.eyewear-stray-light"));
    Amount density =
        Amount.of(Math.ceil(f.requiredOpticalDensity * 10 - 1e-9) / 10, Quantity.NUMBER, 1);
    Amount nm = Amount.plain(r.wavelengthNm, Quantity.WAVELENGTH);
    return (f.covered
            ? PartFinding.within(
                Advice.act("site.eyewear.wear").because("site.eyewear.it-has", density, nm))
            : PartFinding.stop(
                Advice.act("site.eyewear.do-not-fire").because("site.eyewear.none", density, nm)))
        .warning(warnings);
  }
}
