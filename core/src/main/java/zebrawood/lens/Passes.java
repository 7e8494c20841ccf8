package zebrawood.lens;

import zebrawood.measure.Accepts;

/**
 * How often is stock gone over until it is cut, by a trial on scrap of it?
 *
 * <p>How deep one pass goes hangs on power, speed, air and stock: only a trial with the same
 * settings tells it. Elsewhere on the bed the beam is weaker and the focus less true, so that a
 * fifth more is planned than the trial needs. The lens limits how clean the cut is, not whether it
 * goes through: beyond one Rayleigh range from the focus the spot is 1.41 times its smallest.
 *
 * @param count planned, the margin in it
 * @param layerMm how deep each has to go
 * @param through whether the trial went through in one pass
 * @param clean whether all of the stock lies within a Rayleigh range of a focus that stays in its
 *     middle
 */
public record Passes(int count, double layerMm, boolean through, boolean clean) {
  /** A judgement: what corners of a bed and a warm tube take off. */
  public static final double MARGIN = 1.2;

  private static final int MOST = 1000;

  /**
   * @param deepMm how deep one pass went; the stock's thickness where it went through
   */
  public static Passes of(LensFinding lens, double thicknessMm, double deepMm) {
    new Accepts()
        .positive("thicknessMm", thicknessMm, 1000)
        .positive("trialDepthMm", deepMm, 1000)
        .orThrow();
    boolean through = deepMm >= thicknessMm;
    int count = through ? 1 : (int) Math.min(MOST, Math.ceil(MARGIN * thicknessMm / deepMm - 1e-9));
    return new Passes(
        count, thicknessMm / count, through, thicknessMm <= 2 * lens.rayleighRangeMm());
  }
}
