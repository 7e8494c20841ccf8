package zebrawood.focus;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import zebrawood.focus.WaistFit.Reading;

/** Where the fit of a law through widths or scores begins. */
final class WaistStarts {
  private WaistStarts() {}

  /** Parameters to begin with, the place first: several, the fit takes the nearest end. */
  static Stream<double[]> of(Law law, List<Reading> readings) {
    return law == Law.DOSE_WIDTH ? startsOfDose(readings) : starts(law, readings);
  }

  /** Faded ends are thin as well: begun at many places, with several depths. */
  private static Stream<double[]> startsOfDose(List<Reading> readings) {
    double low = readings.stream().mapToDouble(Reading::heightMm).min().orElseThrow();
    double high = readings.stream().mapToDouble(Reading::heightMm).max().orElseThrow();
    double least = readings.stream().mapToDouble(Reading::value).min().orElseThrow();
    return Stream.of(0.3, 0.5, 0.7)
        .flatMap(share ->
            Stream.of(3, 7, 15)
                .map(parts -> {
                  double rayleigh = (high - low) / parts;
                  return new double[] {
                    low + share * (high - low), least * least, 1 / (rayleigh * rayleigh), 0.25
                  };
                }));
  }

  /** Where to begin: the middle of the best third, and places around it. */
  private static Stream<double[]> starts(Law law, List<Reading> readings) {
    double low = readings.stream().mapToDouble(Reading::heightMm).min().orElseThrow();
    double high = readings.stream().mapToDouble(Reading::heightMm).max().orElseThrow();
    boolean width = law == Law.GAUSSIAN_WIDTH || law == Law.HIGHER_WIDTH;
    double least = readings.stream().mapToDouble(Reading::value).min().orElseThrow();
    double most = readings.stream().mapToDouble(Reading::value).max().orElseThrow();
    double middle =
        readings.stream()
            .sorted(Comparator.comparingDouble(r -> width ? r.value() : -r.value()))
            .limit(Math.max(1, readings.size() / 3))
            .mapToDouble(Reading::heightMm)
            .average()
            .orElseThrow();
    double reach = high - low;
    return Stream.of(middle, low + 0.15 * reach, high - 0.15 * reach)
        .map(at -> {
          double far = Math.max(high - at, at - low);
          double[] p = new double[law.parameters];
          p[0] = at;
          if (width) {
            p[1] = least * least;
            p[2] = Math.max(most * most - least * least, 1e-3 * least * least) / (far * far);
          } else if (law == Law.PARABOLA_SCORE) {
            p[1] = most;
            p[2] = Math.max(most - least, 1e-9) / (far * far);
          } else {
            p[1] = law == Law.INTENSITY_SCORE ? most : Math.max(most - least, 1e-9);
            p[2] = 4 / (far * far);
            if (p.length > 3) {
              p[3] = least;
            }
          }
          return p;
        });
  }
}
