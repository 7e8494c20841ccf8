package zebrawood.records.workshop;

/** What came of opening a workshop file. */
public sealed interface Opening {
  record Opened(Workshop workshop) implements Opening {}

  /**
   * Another window has it.
   *
   * @param holder that window, in words
   */
  record InUse(String holder) implements Opening {}

  /**
   * It cannot be opened.
   *
   * @param because one sentence
   */
  record Unusable(String because) implements Opening {}
}
