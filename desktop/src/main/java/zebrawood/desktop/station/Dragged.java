package zebrawood.desktop.station;

/** Something in a picture that follows the hand. */
@FunctionalInterface
public interface Dragged {
  void to(double x, double y);
}
