package zebrawood.camera;

/**
 * A target for a bed: nine marks along its longer side, as many as fit along the other, about its
 * middle.
 *
 * @param originXMm of the lower left mark, as {@code originYMm}
 */
public record BedTarget(int columns, int rows, double pitchMm, double originXMm, double originYMm) {
  private static final int ALONG = 9;
  private static final double OF_THE_BED = 0.92;
  private static final int LEAST = 3;

  /**
   * @param widthMm of the bed, to the right
   * @param depthMm of the bed, to the rear
   */
  public static BedTarget of(double widthMm, double depthMm) {
    double pitchMm = Math.floor(OF_THE_BED * Math.max(widthMm, depthMm) / (ALONG - 1));
    int columns = marks(widthMm, pitchMm);
    int rows = marks(depthMm, pitchMm);
    return new BedTarget(
        columns,
        rows,
        pitchMm,
        (widthMm - (columns - 1) * pitchMm) / 2,
        (depthMm - (rows - 1) * pitchMm) / 2);
  }

  private static int marks(double side, double pitchMm) {
    return Math.max(LEAST, (int) Math.floor(OF_THE_BED * side / pitchMm) + 1);
  }
}
