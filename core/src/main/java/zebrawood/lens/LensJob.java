package zebrawood.lens;

import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * A piece of work that a lens is wanted for; what nobody said asks for nothing.
 *
 * @param thicknessMm of the stock that is cut
 * @param finestMm the finest line or letter's stroke
 * @param areaMm the longer side of what is worked on without moving it
 * @param mostTaperMm how far each side of a cut may lean
 * @param trialDepthMm how deep one pass went on scrap; the thickness where it went through
 * @param pauseS between two passes, so that smoke clears and the stock cools
 */
public record LensJob(
    OptionalDouble thicknessMm,
    OptionalDouble finestMm,
    OptionalDouble areaMm,
    OptionalDouble mostTaperMm,
    OptionalDouble trialDepthMm,
    OptionalDouble pauseS) {
  public static final double LONGEST_PAUSE_S = 3600;

  public LensJob {
    var accepts = new Accepts();
    thicknessMm.ifPresent(mm -> accepts.positive("thicknessMm", mm, 1000));
    finestMm.ifPresent(mm -> accepts.positive("finestMm", mm, 100));
    areaMm.ifPresent(mm -> accepts.positive("areaMm", mm, 10_000));
    mostTaperMm.ifPresent(mm -> accepts.positive("mostTaperMm", mm, 100));
    trialDepthMm.ifPresent(mm -> accepts.positive("trialDepthMm", mm, 1000));
    pauseS.ifPresent(s -> accepts.between("pauseS", s, 0, LONGEST_PAUSE_S));
    accepts.orThrow();
  }
}
