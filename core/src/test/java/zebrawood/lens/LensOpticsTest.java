package zebrawood.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.hipparchus.complex.Complex;
import org.junit.jupiter.api.Test;

class LensOpticsTest {
  private static LensReadings co2(double focal, double beam, LensShape shape, double thickness) {
    return new LensReadings(10_600, focal, beam, 1.2, shape, OptionalDouble.of(thickness));
  }

  /** The complex beam parameter through a thin lens (Kogelnik and Li 1966), M2 as a longer wave. */
  private static double spotByBeamParameter(LensReadings r) {
    double lambda = r.wavelengthNm() * 1e-6 * r.m2();
    double w = r.beamDiameterMm() / 2;
    // A beam that comes to its waist at the lens.
    Complex q = new Complex(0, Math.PI * w * w / lambda);
    Complex after = q.reciprocal().subtract(1 / r.focalLengthMm()).reciprocal();
    return 2 * Math.sqrt(lambda * after.getImaginaryPart() / Math.PI);
  }

  @Test
  void aWideBeamsSpotIsThatOfItsBeamParameter() {
    for (double focal : new double[] {38.1, 50.8, 63.5, 101.6}) {
      LensReadings r = co2(focal, 14, LensShape.IDEAL, 3);
      LensFinding f = LensOptics.solve(r);
      // A collimated beam's paraxial spot and the real one's differ by a small share.
      assertThat(f.diffractionSpotMm()).isCloseTo(spotByBeamParameter(r), within(1e-3));
      assertThat(f.aberrationSpotMm()).isZero();
    }
  }

  @Test
  void aberrationFollowsTheShape() {
    // By hand: 0.0286 * 15^3 / 50.8^2 and 0.0187 * 15^3 / 50.8^2.
    assertThat(LensOptics.solve(co2(50.8, 15, LensShape.PLANO_CONVEX, 3)).aberrationSpotMm())
        .isCloseTo(0.037404, within(1e-6));
    assertThat(LensOptics.solve(co2(50.8, 15, LensShape.MENISCUS, 3)).aberrationSpotMm())
        .isCloseTo(0.024456, within(1e-6));
  }

  @Test
  void withinTheDepthTheSpotGrowsByATwentiethAndNoMore() {
    LensFinding f = LensOptics.solve(co2(63.5, 16, LensShape.PLANO_CONVEX, 6));
    assertThat(f.spotAtMm(f.depthOfFieldMm() / 2)).isCloseTo(1.05 * f.spotMm(), within(1e-9));
    assertThat(f.spotAtMm(0)).isEqualTo(f.spotMm());
    assertThat(f.edgeSpotMm().getAsDouble()).isEqualTo(f.spotAtMm(3));
    assertThat(f.warnings()).as("thicker than the depth").hasSize(1);
  }

  @Test
  void whatIsNotKnownIsRefusedWithTheReason() {
    assertThatThrownBy(() ->
            new LensReadings(1064, 160, 8, 1.3, LensShape.PLANO_CONVEX, OptionalDouble.empty()))
        .hasMessageContaining("shape")
        .hasMessageContaining("ideal");
    assertThat(
            new LensReadings(10_388, 50, 8, 1, LensShape.MENISCUS, OptionalDouble.empty()).shape())
        .as("two per cent off is near enough")
        .isEqualTo(LensShape.MENISCUS);
    assertThatThrownBy(
            () -> new LensReadings(10_387, 50, 8, 1, LensShape.MENISCUS, OptionalDouble.empty()))
        .hasMessageContaining("ideal");
    assertThatThrownBy(() ->
            new LensReadings(Double.NaN, 50, 60, 0.9, LensShape.IDEAL, OptionalDouble.empty()))
        .hasMessageContaining("wavelengthNm")
        .hasMessageContaining("beamDiameterMm")
        .hasMessageContaining("m2");
  }
}
