package zebrawood.desktop.controller;

/** Whether the machine has something. */
public enum YesNo {
  YES,
  NO
}
