package zebrawood.measure;

/** What an instrument's resolution says about the error of one reading. */
public final class Resolution {
  private Resolution() {}

  /**
   * Standard deviation of a reading with this resolution: a uniform error of that full width (JCGM
   * 100:2008, 4.3.7).
   */
  public static double standardDeviation(double resolution) {
    return resolution / Math.sqrt(12);
  }
}
