package zebrawood.desktop.fault;

/** Whether there is a meter for the source's current. */
enum Meter {
  NOT_SAID,
  FITTED,
  NONE
}
