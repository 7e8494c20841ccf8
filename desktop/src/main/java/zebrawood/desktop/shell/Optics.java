package zebrawood.desktop.shell;

/** Whether anybody is to turn the mirrors' screws. */
enum Optics {
  OPEN,
  SEALED
}
