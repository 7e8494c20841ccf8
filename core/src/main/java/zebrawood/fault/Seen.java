package zebrawood.fault;

/** What is seen, in a technician's words. */
public enum Seen {
  /** None of these words fits. */
  SOMETHING_ELSE,
  UNEVEN,
  WEAK,
  SLANTED,
  WRONG_SIZE,
  SCORCHED,
  DEAD,
  LOST_PLACE,
  WORKED_YESTERDAY,
  WEAK_SINCE_NEW,
  MARKS_BELOW,
  POPS_AND_FLAMES
}
