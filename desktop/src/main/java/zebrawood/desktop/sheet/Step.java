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

  /** The step in one line, for the list below the first one. */
  public String inOneLine() {
    return where.isEmpty()
        ? big
        : where + ": " + big.substring(0, 1).toLowerCase(Locale.ROOT) + big.substring(1);
  }
}
