package zebrawood.controller;

import java.util.Locale;

/** A corner of the bed, seen from the front. */
public enum Corner {
  FRONT_LEFT(true, true),
  FRONT_RIGHT(false, true),
  REAR_LEFT(true, false),
  REAR_RIGHT(false, false);

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

  /** Such as {@code front-left}. */
  public String spelled() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
