package zebrawood.desktop.focus;

/** Which way the table's scale counts. */
public enum TableScale {
  NOT_KNOWN,
  UP,
  DOWN
}
