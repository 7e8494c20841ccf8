package zebrawood.desktop.sheet;

/** What was answered to a proof. */
public enum Proven {
  NOT_YET,
  YES,
  NO
}
