package zebrawood.fault;

/** What the machine's record says of the part that a cause is of. */
public enum RecordSays {
  /** Nothing is known of it. */
  NOTHING,
  /** It was proven and nothing has happened since. */
  HOLDS,
  /** It was not read for longer than it holds. */
  AGED,
  /** Something happened that puts it in doubt. */
  DISTURBED,
  /** It was left outside its limit. */
  OUT,
  /** It was to be cleaned by now. */
  OVERDUE,
  /** It was cleaned, and is not to be cleaned again for long. */
  CLEANED;

  /** How many times as likely that makes it. */
  public double factor() {
    return FaultTable.factor(this);
  }
}
