package zebrawood.ledger;

/** What an entry says of the machine at its time. */
public enum EntryKind {
  AS_FOUND("as found"),
  CHECK("check"),
  AS_LEFT("as left"),
  /** Makes the entry that it replaces void. */
  WITHDRAWN("withdrawn");

  private final String words;

  EntryKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
