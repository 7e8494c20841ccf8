package zebrawood.ledger;

/** What an entry says of the machine at its time. */
public enum EntryKind {
  AS_FOUND,
  CHECK,
  AS_LEFT,
  /** Makes the entry that it replaces void. */
  WITHDRAWN,
  /** Kept by another version, or damaged: it is shown as what it is and decides nothing. */
  UNKNOWN
}
