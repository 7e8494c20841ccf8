package zebrawood.jobfile;

/** A rectangle along the axes, in the unit of its file. */
public record Extent(double minX, double minY, double maxX, double maxY) {
  public double width() {
    return maxX - minX;
  }

  public double depth() {
    return maxY - minY;
  }

  /** The same in another unit. */
  public Extent times(double factor) {
    return new Extent(minX * factor, minY * factor, maxX * factor, maxY * factor);
  }
}
