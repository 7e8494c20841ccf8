package zebrawood.desktop.mirrors;

/** What is looked at and answered by the quick check. */
enum Look {
  ROUND
}
