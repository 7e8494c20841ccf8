package zebrawood.desktop.text;

import java.util.Locale;
import java.util.ResourceBundle;

/** Looks up the interface's words. */
public final class Text {
  private static final ResourceBundle WORDS =
      ResourceBundle.getBundle("zebrawood.desktop.text.words", Locale.ROOT);

  private Text() {}

  public static String of(String key) {
    return WORDS.getString(key);
  }

  /** With the arguments put in as {@link String#format} does. */
  public static String of(String key, Object... arguments) {
    return String.format(Locale.ROOT, WORDS.getString(key), arguments);
  }
}
