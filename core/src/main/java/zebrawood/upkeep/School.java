package zebrawood.upkeep;

/** By what a workshop goes. */
public enum School {
  /** Days and hours, whichever come first; how it was found changes both. */
  BY_LOOK,
  /** Hours of beam where it wears by them. */
  BY_HOURS,
  /** The same day of the week, whatever was found. */
  WEEKLY
}
