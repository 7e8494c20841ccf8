package zebrawood.lens;

import zebrawood.lens.LensJob.Stock;
import zebrawood.measure.Accepts;

/**
 * How is thick stock cut in several passes?
 *
 * <p>A pass goes as deep as two Rayleigh ranges, over which the spot is at most 1.41 times its
 * smallest, focused in the middle of its layer; the focus goes down by a layer after each. Between
 * passes the heat of a layer must have gone: it spreads over a length L in about {@code L^2 / (4
 * a)}, a being the thermal diffusivity (Carslaw and Jaeger, Conduction of Heat in Solids, 2nd ed.,
 * section 2.4). A planning rule: the first cut on scrap decides.
 *
 * @param count one where the stock is no thicker than two Rayleigh ranges
 * @param layerMm how deep each goes
 * @param firstFocusBelowMm how far below the surface the first is focused
 * @param pauseS between two passes; 0 for a single one
 * @param not whether more passes char the top more than they cut the bottom
 */
public record Passes(
    int count, double layerMm, double firstFocusBelowMm, double pauseS, boolean not) {
  /** A slot deeper than this many times its width lets neither light in nor smoke out. */
  private static final double DEEPEST_SLOT = 30;

  /** Stock that chars is hot at the top for as many passes as there are. */
  private static final int MOST_ON_CHARRING = 4;

  public static Passes of(LensFinding lens, double thicknessMm, Stock stock) {
    new Accepts().positive("thicknessMm", thicknessMm, 1000).orThrow();
    int count = (int) Math.min(1000, Math.ceil(thicknessMm / (2 * lens.rayleighRangeMm()) - 1e-9));
    double layer = thicknessMm / count;
    double pause = count > 1 ? layer * layer / (4 * stock.diffusivityMm2PerS) : 0;
    boolean not =
        thicknessMm > DEEPEST_SLOT * lens.spotMm() || stock.chars && count > MOST_ON_CHARRING;
    return new Passes(count, layer, layer / 2, pause, not);
  }
}
