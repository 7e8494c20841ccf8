package zebrawood.desktop.controller;

/** What the controller shows of its settings. */
public enum Shows {
  SETTINGS,
  /** Behind a print driver, a program on a telephone, or a panel alone. */
  NOTHING
}
