package zebrawood.desktop.camera;

/** The corner marks of a target, in the order in which they are pressed. */
enum Corner {
  LOWER_LEFT,
  LOWER_RIGHT,
  UPPER_RIGHT,
  UPPER_LEFT
}
