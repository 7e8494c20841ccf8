package zebrawood.machine;

import zebrawood.measure.Accepts;

/** The laser source: kind, rated optical power and wavelength. */
public record Source(SourceKind kind, double watts, double wavelengthNm) {
  public Source {
    new Accepts()
        .positive("watts", watts, 100_000)
        .between("wavelengthNm", wavelengthNm, 180, 20_000)
        .orThrow();
  }
}
