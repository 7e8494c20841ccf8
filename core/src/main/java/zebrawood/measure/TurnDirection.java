package zebrawood.measure;

/** Which way to turn a screw, seen from its head. */
public enum TurnDirection {
  CLOCKWISE("clockwise"),
  COUNTER_CLOCKWISE("counter-clockwise"),
  NONE("not at all");

  private final String words;

  TurnDirection(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
