package zebrawood.desktop.form;

import java.util.Optional;
import zebrawood.words.Message;

/** Somebody's own words, as they can be kept, shown and printed. */
public final class PlainWords {
  /** Joins letters and signs of some scripts, and is not seen. */
  private static final String JOINERS = "\u200c\u200d\ufe0f\ufe0e";

  private PlainWords() {}

  /**
   * What is wrong with them; empty when they can be used.
   *
   * @param longest the most letters
   */
  public static Optional<Message> problem(String words, int longest) {
    int letters = words.strip().codePointCount(0, words.strip().length());
    return letters > longest
        ? Optional.of(Message.of("words.too-long", letters, longest))
        : problem(words);
  }

  /** What is wrong with them, however long they are. */
  public static Optional<Message> problem(String words) {
    return words
        .codePoints()
        .filter(PlainWords::unseen)
        .mapToObj(letter -> Message.of("words.unseen", String.format("U+%04X", letter)))
        .findFirst();
  }

  private static boolean unseen(int letter) {
    return switch (Character.getType(letter)) {
      case Character.CONTROL -> letter != '\n' && letter != '\t' && letter != '\r';
      case Character.FORMAT -> JOINERS.indexOf(letter) < 0;
      case Character.SURROGATE,
          Character.PRIVATE_USE,
          Character.UNASSIGNED,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR ->
          true;
      default -> false;
    };
  }
}
