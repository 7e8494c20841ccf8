package zebrawood.desktop.sheet;

import javafx.scene.control.Label;
import javafx.scene.layout.Region;

/**
 * Words that wrap and are never cut, and that remember how high they are for a width, as {@link
 * HeightCachingBox} does.
 *
 * <p>The toolkit throws when it wraps words that are written from right to left, between others or
 * alone; a frame with such a note would never be drawn. They are broken into lines here.
 */
public class WrappedLabel extends Label {
  private static final double LETTER_WIDTH = 7;
  private static final int LEAST_LETTERS = 12;
  private static final char FIRST_RIGHT_TO_LEFT = '\u0590';

  private final Heights preferred = new Heights();

  /** Words that are broken into lines here, and what was made of them. */
  private String whole = "";

  private String broken = "";

  @SuppressWarnings("this-escape") // only its style is named
  public WrappedLabel(String words, String... styleClasses) {
    super(words);
    getStyleClass().addAll(styleClasses);
    setWrapText(true);
    setMinHeight(Region.USE_PREF_SIZE);
    textProperty().subscribe(this::take);
    widthProperty().subscribe(w -> breakLines());
  }

  private void take(String words) {
    if (words == null || words.equals(broken)) {
      return;
    }
    boolean hard = hasRightToLeft(words);
    whole = hard ? words : "";
    setWrapText(!hard);
    breakLines();
  }

  private void breakLines() {
    if (whole.isEmpty() || textProperty().isBound()) {
      return;
    }
    double width = getWidth() > 0 ? getWidth() : getMaxWidth();
    int letters =
        (int)
            Math.clamp(
                width / LETTER_WIDTH, LEAST_LETTERS, Math.max(LEAST_LETTERS, whole.length()));
    broken = lines(whole, letters);
    setText(broken);
  }

  /** Advice follows every keystroke: most words have no letter so far on. */
  static boolean hasRightToLeft(String words) {
    for (int i = 0; i < words.length(); i++) {
      if (words.charAt(i) >= FIRST_RIGHT_TO_LEFT) {
        byte direction = Character.getDirectionality(words.codePointAt(i));
        if (direction == Character.DIRECTIONALITY_RIGHT_TO_LEFT
            || direction == Character.DIRECTIONALITY_RIGHT_TO_LEFT_ARABIC) {
          return true;
        }
      }
    }
    return false;
  }

  /** Whole words in lines of so many letters at most; a longer word has a line of its own. */
  static String lines(String words, int letters) {
    StringBuilder lines = new StringBuilder();
    int inLine = 0;
    for (String word : words.strip().split("\\s+")) {
      if (inLine > 0 && inLine + 1 + word.length() > letters) {
        lines.append('\n');
        inLine = 0;
      } else if (inLine > 0) {
        lines.append(' ');
        inLine++;
      }
      lines.append(word);
      inLine += word.length();
    }
    return lines.toString();
  }

  @Override
  protected double computePrefHeight(double width) {
    return preferred.at(width, super::computePrefHeight);
  }

  @Override
  protected double computeMaxHeight(double width) {
    return prefHeight(width);
  }

  @Override
  public void requestLayout() {
    // The toolkit asks for a layout before the field exists.
    if (preferred != null) {
      preferred.forget();
    }
    super.requestLayout();
  }
}
