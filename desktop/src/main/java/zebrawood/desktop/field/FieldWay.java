package zebrawood.desktop.field;

/** What is burnt and how it is measured. */
public enum FieldWay {
  SQUARE,
  GRID,
  SCAN
}
