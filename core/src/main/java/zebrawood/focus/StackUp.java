package zebrawood.focus;

import zebrawood.measure.Accepts;

/**
 * What lies between the table and the surface that is worked on. The focus is above it by a gap; a
 * thicker stack needs a lower table.
 */
public record StackUp(double riserMm, double honeycombMm, double spoilBoardMm, double stockMm) {
  private static final double HIGHEST_MM = 1000;

  public StackUp {
    new Accepts()
        .between("riserMm", riserMm, 0, HIGHEST_MM)
        .between("honeycombMm", honeycombMm, 0, HIGHEST_MM)
        .between("spoilBoardMm", spoilBoardMm, 0, HIGHEST_MM)
        .between("stockMm", stockMm, 0, HIGHEST_MM)
        .orThrow();
  }

  public double totalMm() {
    return riserMm + honeycombMm + spoilBoardMm + stockMm;
  }

  /**
   * How far the table must go up from where it was for another stack, for the gap to be the same
   * but for a defocus; down is less than 0.
   *
   * @param moreDefocusMm how much further above the surface the focus is to lie than it did; less
   *     than 0 for nearer, or below
   */
  public double tableUpMm(StackUp now, double moreDefocusMm) {
    return totalMm() - now.totalMm() - moreDefocusMm;
  }
}
