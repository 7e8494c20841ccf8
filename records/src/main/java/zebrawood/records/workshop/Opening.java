package zebrawood.records.workshop;

import java.util.Optional;
import zebrawood.words.Message;

/** What came of opening a workshop file. */
public sealed interface Opening {
  /** Whether there is a workshop that holds the file, to be closed. */
  default boolean holds() {
    return this instanceof Opened || this instanceof Damaged damaged && damaged.sound().isPresent();
  }

  record Opened(Workshop workshop) implements Opening {}

  /** Whether something failed since the file is damaged, and not for a reason of the moment. */
  static boolean tellsOfDamage(RuntimeException because) {
    return because instanceof Sql.Refused refused && refused.ofTheFile();
  }

  /**
   * Another window has it.
   *
   * @param holder that window, in words
   */
  record InUse(Message holder) implements Opening {}

  /**
   * It is damaged, and stays as it is.
   *
   * @param because what is wrong, what is sound and what is lost
   * @param sound what of it is sound: it takes nothing in; empty where nothing can be read
   */
  record Damaged(Message because, Optional<Workshop> sound) implements Opening {}

  /**
   * It cannot be opened.
   *
   * @param because one sentence
   */
  record Unusable(Message because) implements Opening {}
}
