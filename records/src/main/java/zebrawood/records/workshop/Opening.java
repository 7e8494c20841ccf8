package zebrawood.records.workshop;

import zebrawood.words.Message;

/** What came of opening a workshop file. */
public sealed interface Opening {
  record Opened(Workshop workshop) implements Opening {}

  /**
   * Another window has it.
   *
   * @param holder that window, in words
   */
  record InUse(Message holder) implements Opening {}

  /**
   * It cannot be opened.
   *
   * @param because one sentence
   */
  record Unusable(Message because) implements Opening {}
}
