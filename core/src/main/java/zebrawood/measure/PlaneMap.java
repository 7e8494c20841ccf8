package zebrawood.measure;

/** From places of one plane to places of another. */
@FunctionalInterface
public interface PlaneMap {
  /** Where a place falls: x and y. */
  double[] at(double x, double y);
}
