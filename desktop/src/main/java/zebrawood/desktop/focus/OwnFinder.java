package zebrawood.desktop.focus;

/** What is looked at of a machine that finds the focus itself. */
enum OwnFinder {
  SHARP
}
