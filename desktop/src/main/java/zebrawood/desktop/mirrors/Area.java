package zebrawood.desktop.mirrors;

/** A part of a picture. */
record Area(double left, double top, double width, double height) {
  double right() {
    return left + width;
  }

  double bottom() {
    return top + height;
  }

  double middle() {
    return left + width / 2;
  }
}
