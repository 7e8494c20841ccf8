package zebrawood.desktop.text;

import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * Looks up the interface's words, in the language and the units of whoever sits before it. One
 * person sits before one window.
 */
public final class Text {
  private static volatile Phrasebook words = Phrasebook.ENGLISH;

  private Text() {}

  /** Speaks so from now on; what is shown already changes when it is shown again. */
  public static void use(Phrasebook others) {
    words = others;
  }

  public static Phrasebook words() {
    return words;
  }

  public static String of(String key, Object... arguments) {
    return words.say(key, arguments);
  }

  public static String of(Message message) {
    return words.say(message);
  }

  public static String of(Enum<?> constant) {
    return words.say(constant);
  }
}
