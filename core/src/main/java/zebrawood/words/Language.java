package zebrawood.words;

import java.util.Locale;
import java.util.stream.Stream;

/** What the program speaks. Each is a set of files beside the English ones. */
public enum Language {
  ENGLISH(Locale.ROOT, '.', true),
  GERMAN(Locale.GERMAN, ',', false);

  private final Locale locale;
  private final char decimalSign;
  private final boolean lowersWithin;

  Language(Locale locale, char decimalSign, boolean lowersWithin) {
    this.locale = locale;
    this.decimalSign = decimalSign;
    this.lowersWithin = lowersWithin;
  }

  /** That of this computer's settings; English where it is none of these. */
  public static Language ofSystem(Locale system) {
    return Stream.of(values())
        .filter(l -> l != ENGLISH && l.locale.getLanguage().equals(system.getLanguage()))
        .findFirst()
        .orElse(ENGLISH);
  }

  /** Ends the names of its files; none of English. */
  public Locale locale() {
    return locale;
  }

  /** As a page of it says, by BCP 47. */
  public String tag() {
    return this == ENGLISH ? "en" : locale.toLanguageTag();
  }

  /** A plain number as it is written in it. */
  public String written(String plainNumber) {
    return plainNumber.replace('.', decimalSign);
  }

  /** What stands behind a colon; nouns have a capital in some. */
  String within(String words) {
    return !lowersWithin || words.isEmpty()
        ? words
        : words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
  }
}
