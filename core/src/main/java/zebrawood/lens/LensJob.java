package zebrawood.lens;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * A piece of work that a lens is wanted for; what nobody said asks for nothing.
 *
 * @param thicknessMm of the stock that is cut
 * @param finestMm the finest line or letter's stroke
 * @param areaMm the longer side of what is worked on without moving it
 */
public record LensJob(
    OptionalDouble thicknessMm, OptionalDouble finestMm, OptionalDouble areaMm, Stock stock) {
  public LensJob {
    var accepts = new Accepts();
    thicknessMm.ifPresent(mm -> accepts.positive("thicknessMm", mm, 1000));
    finestMm.ifPresent(mm -> accepts.positive("finestMm", mm, 100));
    areaMm.ifPresent(mm -> accepts.positive("areaMm", mm, 10_000));
    accepts.orThrow();
  }

  /**
   * What is cut, as far as heat is concerned.
   *
   * <p>Thermal diffusivities at room temperature: Incropera et al., Fundamentals of Heat and Mass
   * Transfer, 6th ed., tables A.3 and A.1, from conductivity, density and heat capacity.
   */
  public enum Stock {
    WOOD(0.15, true),
    ACRYLIC(0.11, false),
    LEATHER(0.11, true),
    STEEL(4.0, false);

    final double diffusivityMm2PerS;

    /** Whether its edge turns to charcoal when it stays hot. */
    final boolean chars;

    Stock(double diffusivityMm2PerS, boolean chars) {
      this.diffusivityMm2PerS = diffusivityMm2PerS;
      this.chars = chars;
    }
  }
}
