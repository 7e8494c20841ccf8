package zebrawood.machine;

import java.util.Optional;
import zebrawood.measure.Accepts;

/**
 * The laser source: kind, rated optical power and wavelength.
 *
 * @param pulses of a pulsed source, when its data sheet was at hand
 */
public record Source(
    SourceKind kind, double watts, double wavelengthNm, Optional<PulseRange> pulses) {
  public Source {
    new Accepts()
        .positive("watts", watts, 100_000)
        .between("wavelengthNm", wavelengthNm, 180, 20_000)
        .orThrow();
  }

  public Source(SourceKind kind, double watts, double wavelengthNm) {
    this(kind, watts, wavelengthNm, Optional.empty());
  }
}
