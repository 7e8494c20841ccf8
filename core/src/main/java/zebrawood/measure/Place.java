package zebrawood.measure;

/**
 * A place in the machine frame: x to the right, y to the rear, origin front-left of the work area.
 */
public interface Place {
  double xMm();

  double yMm();
}
