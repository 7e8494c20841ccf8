package zebrawood.desktop.sheet;

import java.util.Locale;

/**
 * One thing to do.
 *
 * @param where what to touch, possibly empty
 * @param big the instruction, readable at arm's length
 * @param small exact figure and effect, possibly empty
 */
public record Step(String where, String big, String small) {
  /** A whole sentence that is its own instruction. */
  public static Step sentence(String sentence) {
    return new Step("", sentence, "");
  }

  /**
   * A sentence of the core: what is to be done stands large, the reason behind the colon small.
   * Behind the words that ask for a proof, the thing to prove stands large.
   *
   * @param prove the words before the colon that ask for a proof
   */
  public static Step ofAdvice(String sentence, String prove) {
    int colon = sentence.indexOf(": ");
    if (colon < 0) {
      return sentence(sentence);
    }
    String before = sentence.substring(0, colon);
    String after = sentence.substring(colon + 2);
    String behind = after.substring(0, 1).toUpperCase(Locale.ROOT) + after.substring(1);
    return before.equals(prove) ? new Step(before, behind, "") : new Step("", before, behind);
  }

  /** The step in one line, for the list below the first one. */
  public String inOneLine() {
    return where.isEmpty()
        ? big
        : where + ": " + big.substring(0, 1).toLowerCase(Locale.ROOT) + big.substring(1);
  }
}
