package zebrawood.cards;

import zebrawood.measure.Accepts;

/**
 * A mark inside of glass: how far the head moves so that the focus lies at a depth.
 *
 * <p>For a narrow cone the focus lies deeper than the head moved by the glass's refractive index
 * (E. Hecht, Optics, 5th ed., section 5.2.2, a plane surface). Of a wide cone the outer rays meet
 * deeper still: not for lenses faster than f/4.
 *
 * @param index of the glass
 * @param depthMm below its face
 */
public record GlassMark(double index, double depthMm) {
  private static final double LARGEST_INDEX = 2.5;
  private static final double DEEPEST_MM = 500;

  public GlassMark {
    new Accepts()
        .between("index", index, 1, LARGEST_INDEX)
        .positive("depthMm", depthMm, DEEPEST_MM)
        .orThrow();
  }

  /** How much nearer the head goes than for a mark on the face. */
  public double headMm() {
    return depthMm / index;
  }

  /** How far off the mark lies where the face is higher or lower than believed. */
  public double offMm(double faceOffMm) {
    return index * faceOffMm;
  }
}
