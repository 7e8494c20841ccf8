package zebrawood.camera;

/** A piece of the plane, drawn so many pixels a millimetre from its upper left. */
record PlanePiece(double leftMm, double topMm, double pxPerMm, int width, int height) {
  double x(double xMm) {
    return (xMm - leftMm) * pxPerMm;
  }

  double y(double yMm) {
    return (topMm - yMm) * pxPerMm;
  }

  double xMm(double x) {
    return leftMm + x / pxPerMm;
  }

  double yMm(double y) {
    return topMm - y / pxPerMm;
  }
}
