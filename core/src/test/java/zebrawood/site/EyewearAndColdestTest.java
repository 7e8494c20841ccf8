package zebrawood.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.climate.Coldest;
import zebrawood.climate.Coldest.Glycol;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.site.Eyewear.Filter;
import zebrawood.site.Eyewear.Pulse;

class EyewearAndColdestTest {
  /** Radiant exposures worked out by hand from the standard's table, J/m2. */
  @ParameterizedTest
  @CsvSource({
    "355, 1e-8, 56.0",
    "355, 1, 5600",
    "355, 100, 1e4",
    "355, 3e4, 3e5",
    "450, 0.25, 6.364",
    "450, 30, 100",
    "450, 1000, 1000",
    "450, 1e-7, 2e-3",
    "532, 30, 300",
    "532, 100, 1000",
    "650, 100, 1000",
    "800, 10, 158.5",
    "1064, 1e-8, 0.02",
    "1064, 1e-3, 0.5061",
    "1064, 1, 90",
    "1064, 100, 5000",
    "1180, 10, 1733.6",
    "1550, 1, 1e4",
    "10600, 1e-8, 100",
    "10600, 1, 5600",
    "10600, 100, 1e5"
  })
  void permissibleExposureAsInTheTable(double nm, double seconds, double joulesPerM2) {
    assertThat(PermissibleExposure.radiantExposureJPerM2(nm, seconds))
        .isCloseTo(joulesPerM2, within(2e-3 * joulesPerM2));
  }

  /** A longer look never allows less energy in all, nor more power. */
  @Test
  void exposuresAreMonotoneInTime() {
    for (double nm = 310; nm < 12_000; nm *= 1.01) {
      double before = 0;
      for (double t = 1e-12; t < 3e4; t *= 1.3) {
        double now = PermissibleExposure.radiantExposureJPerM2(nm, t);
        assertThat(now).as("%s nm %s s", nm, t).isGreaterThanOrEqualTo(before * 0.98);
        before = now;
      }
    }
  }

  private static Eyewear.Readings beam(
      double nm, double watts, double diameter, double seconds, Filter... filters) {
    return new Eyewear.Readings(nm, watts, diameter, seconds, List.of(filters), Optional.empty());
  }

  /** By hand: power over the area of beam or aperture, over the permissible irradiance. */
  @ParameterizedTest
  @CsvSource({
    "10600, 90, 3.5, 10, 3.971",
    "10600, 90, 0.1, 10, 3.971",
    "10600, 90, 10, 10, 3.059",
    "1064, 50, 7, 10, 4.415",
    "450, 20, 5, 100, 5.716",
    "355, 5, 1, 3e4, 5.804",
    "1064, 1e-4, 7, 10, 0"
  })
  void requiredDensity(double nm, double watts, double diameter, double seconds, double density) {
    assertThat(Eyewear.solve(beam(nm, watts, diameter, seconds)).requiredOpticalDensity())
        .isCloseTo(density, within(2e-3));
  }

  @Test
  void coveredByOneFilterThatHoldsTheWavelengthWithEnough() {
    Filter weak = new Filter(9000, 11_000, 3.9);
    Filter elsewhere = new Filter(180, 540, 7);
    Filter enough = new Filter(10_600, 10_600, 4);
    assertThat(Eyewear.solve(beam(10_600, 90, 3.5, 10, weak, elsewhere)).covered()).isFalse();
    assertThat(Eyewear.solve(beam(10_600, 90, 3.5, 10, weak, enough)).covered()).isTrue();
    Eyewear.Readings none = beam(10_600, 90, 3.5, 10);
    PartFinding part = Eyewear.judge(none, Eyewear.solve(none));
    assertThat(part.verdict()).isEqualTo(Verdict.STOP);
    assertThat(part.advice(ENGLISH).getFirst()).contains("optical density 4.0 or more at 10600 nm");
  }

  @Test
  void pulsesAskForMoreThanTheirAverage() {
    Eyewear.Readings average = beam(1064, 1, 7, 10);
    Eyewear.Readings pulsed =
        new Eyewear.Readings(1064, 1, 7, 10, List.of(), Optional.of(new Pulse(1e-3, 1e-7, 1000)));
    double area = Math.PI / 4 * 0.007 * 0.007;
    double single = 1e-3 / area / 0.02;
    // 10 000 pulses in ten seconds: the train factor is half
    assertThat(Eyewear.solve(pulsed).requiredOpticalDensity())
        .isCloseTo(Math.log10(single / 0.5), within(1e-3));
    assertThat(Eyewear.solve(pulsed).requiredOpticalDensity())
        .isGreaterThan(Eyewear.solve(average).requiredOpticalDensity());
    assertThat(Eyewear.judge(average, Eyewear.solve(average)).warnings(ENGLISH).getFirst())
        .contains("usually pulse");
    assertThat(Eyewear.judge(pulsed, Eyewear.solve(pulsed)).warnings(ENGLISH))
        .noneMatch(w -> w.contains("usually pulse"));
  }

  @Test
  void fewPulsesAreNotReducedAndFarInfraredIsJudgedSingly() {
    Pulse slow = new Pulse(1e-3, 1e-7, 10);
    Eyewear.Readings few = new Eyewear.Readings(1064, 0.01, 7, 10, List.of(), Optional.of(slow));
    double area = Math.PI / 4 * 0.007 * 0.007;
    assertThat(Eyewear.solve(few).requiredOpticalDensity())
        .isCloseTo(Math.log10(1e-3 / area / 0.02), within(1e-9));
    Eyewear.Readings co2 =
        new Eyewear.Readings(10_600, 1, 3.5, 10, List.of(), Optional.of(new Pulse(1, 1e-3, 1)));
    double far = 1 / (Math.PI / 4 * 0.0035 * 0.0035) / (5600 * Math.pow(1e-3, 0.25));
    assertThat(Eyewear.solve(co2).requiredOpticalDensity())
        .isCloseTo(Math.log10(far), within(1e-9));
  }

  @Test
  void eyewearRefusesWhatIsNoBeam() {
    assertThatThrownBy(() -> beam(100, 0, -1, 1e6))
        .hasMessageContaining("wavelengthNm")
        .hasMessageContaining("powerW")
        .hasMessageContaining("beamDiameterMm")
        .hasMessageContaining("exposureS is 1000000");
    assertThatThrownBy(() -> new Filter(1100, 900, 5)).hasMessageContaining("at least fromNm");
  }

  /** Rows of the handbook's finer table that the solver does not hold. */
  @ParameterizedTest
  @CsvSource({
    "ETHYLENE, -8.9, 20.1",
    "ETHYLENE, -12.7, 25.8",
    "ETHYLENE, -17.0, 31.6",
    "ETHYLENE, -26.4, 41.5",
    "ETHYLENE, -39.3, 51.6",
    "PROPYLENE, -9.1, 23.4",
    "PROPYLENE, -13.4, 30.4",
    "PROPYLENE, -18.2, 36.5",
    "PROPYLENE, -30.6, 47.8",
    "PROPYLENE, -45.2, 57.0"
  })
  void theMixAgreesWithTheTable(Glycol glycol, double freezesC, double percent) {
    Coldest.Finding f = Coldest.solve(new Coldest.Readings(freezesC, glycol, 10));
    assertThat(f.glycolPercentByVolume()).isCloseTo(percent, within(0.4));
    assertThat(f.glycolLitres() + f.waterLitres()).isCloseTo(10, within(1e-12));
    assertThat(f.glycolLitres()).isCloseTo(percent / 10, within(0.04));
  }

  @Test
  void noFrostNeedsNoGlycolAndTooMuchOfItIsRefused() {
    assertThat(Coldest.solve(new Coldest.Readings(3, Glycol.ETHYLENE, 10)).glycolLitres()).isZero();
    assertThat(
            Coldest.solve(new Coldest.Readings(-51.1, Glycol.PROPYLENE, 10))
                .glycolPercentByVolume())
        .isCloseTo(60, within(1e-9));
    assertThatThrownBy(() -> new Coldest.Readings(-55, Glycol.ETHYLENE, 0))
        .hasMessageContaining("lowestC is -55, accepted is a number from -48.3")
        .hasMessageContaining("loopLitres");
  }
}
