package zebrawood.desktop.controller;

/** Whether something is so, as far as somebody said it. */
public enum IfKnown {
  NOT_KNOWN,
  YES,
  NO
}
