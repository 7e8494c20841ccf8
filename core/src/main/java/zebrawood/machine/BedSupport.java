package zebrawood.machine;

/** What the bed, or a fixed head, is levelled with. */
public enum BedSupport {
  SCREWS("levelling screws"),
  SHIMS("shims, it has no screws");

  private final String words;

  BedSupport(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
