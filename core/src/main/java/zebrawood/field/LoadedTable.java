package zebrawood.field;

/** What was in the controller as a grid was burnt: what is measured is what that left. */
public sealed interface LoadedTable {
  /** No table. */
  record None() implements LoadedTable {}

  /** The table of an earlier entry of this lens. */
  record Recorded(String entryId) implements LoadedTable {}

  /**
   * A table that was written.
   *
   * @param name with or without ending
   */
  record OfFile(String name) implements LoadedTable {}
}
