package zebrawood.desktop.station;

import zebrawood.desktop.text.Text;
import zebrawood.words.Advice;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * One thing to do, as it stands on the sheet.
 *
 * @param where what to touch, possibly empty
 * @param big the instruction, readable at arm's length
 * @param small exact figure and effect, possibly empty
 * @param amount whether the instruction is how far or how much, so that it may stand by itself
 * @param about the key under which more is written about it; possibly empty
 */
public record Step(String where, String big, String small, boolean amount, String about) {
  /** How far to turn, or how much to set. */
  public Step(String where, String big, String small) {
    this(where, big, small, true, "");
  }

  /** The same, with more written about it under this key. */
  public Step about(String key) {
    return new Step(where, big, small, amount, key);
  }

  public static Step of(Message what) {
    return new Step("", Text.words().line(what), "").about(what.key());
  }

  public static Step of(Message what, Message why) {
    return new Step("", Text.words().line(what), Text.words().sentence(why)).about(what.key());
  }

  /** Where a proof is asked for, what is to be proven stands large. */
  public static Step of(Advice advice) {
    Phrasebook words = Text.words();
    String what = words.line(advice.what());
    String why = advice.why().map(words::line).orElse("");
    String where = advice.subject().map(words::line).orElse("");
    return advice.kind() == Advice.Kind.PROVE
            || advice.what().key().endsWith(".not-so")
            || advice.what().key().endsWith(".see")
        ? new Step(what, why, "", false, advice.why().orElse(advice.what()).key())
        : new Step(where, what, why).about(advice.what().key());
  }

  /** The step in one line, for the list below the first one. */
  public String inOneLine() {
    return where.isEmpty() ? big : Text.of("words.at", where, Text.words().within(big));
  }
}
