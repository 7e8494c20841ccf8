package zebrawood.lens;

import java.util.List;

/** How a lens is ground, as far as it matters for its aberration. */
public enum LensShape {
  PLANO_CONVEX(0.0286),
  MENISCUS(0.0187),
  /** Without aberration worth the name: an f-theta lens or an assembly at its own wavelength. */
  IDEAL(0);

  /** Of zinc selenide at 10.6 um: spot = factor * D^3 / f^2. */
  final double aberration;

  LensShape(double aberration) {
    this.aberration = aberration;
  }

  /** Those whose aberration is known at a wavelength. */
  public static List<LensShape> known(double wavelengthNm) {
    return LensReadings.aberrationKnown(wavelengthNm) ? List.of(values()) : List.of(IDEAL);
  }
}
