package zebrawood.desktop.site;

/** How many hoses alike share the air. */
enum SideBySide {
  ONE,
  TWO,
  THREE,
  FOUR;

  int count() {
    return ordinal() + 1;
  }
}
