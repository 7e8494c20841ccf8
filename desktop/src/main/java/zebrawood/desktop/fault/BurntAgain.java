package zebrawood.desktop.fault;

/** What closes a case. */
enum BurntAgain {
  SAME_PIECE_GOOD
}
