package zebrawood.field;

/** A side of the field, as the operator sees it. */
public enum Side {
  FRONT,
  REAR,
  LEFT,
  RIGHT
}
