package zebrawood.controller;

/** A corner of the bed, seen from the front. */
public enum Corner {
  FRONT_LEFT(true, true),
  FRONT_RIGHT(false, true),
  REAR_LEFT(true, false),
  REAR_RIGHT(false, false);

  private static final int X_BIT = 1;
  private static final int Y_BIT = 2;

  private final boolean left;
  private final boolean front;

  Corner(boolean left, boolean front) {
    this.left = left;
    this.front = front;
  }

  public boolean left() {
    return left;
  }

  public boolean front() {
    return front;
  }

  /**
   * The two lowest bits of the homing direction mask ($23): an axis homes towards its positive end,
   * right or rear, unless its bit is set.
   */
  int homingBits() {
    return (left ? X_BIT : 0) | (front ? Y_BIT : 0);
  }

  /** Where a controller with this mask homes to. */
  public static Corner ofMask(int mask) {
    boolean left = (mask & X_BIT) != 0;
    boolean front = (mask & Y_BIT) != 0;
    if (left) {
      return front ? FRONT_LEFT : REAR_LEFT;
    }
    return front ? FRONT_RIGHT : REAR_RIGHT;
  }
}
