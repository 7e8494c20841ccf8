package zebrawood.desktop.sheet;

import javafx.scene.control.Label;
import javafx.scene.layout.Region;

/**
 * Words that wrap and are never cut, and that remember how high they are for a width, as {@link
 * HeightCachingBox} does.
 */
public class WrappedLabel extends Label {
  private final Heights preferred = new Heights();

  @SuppressWarnings("this-escape") // only its style is named
  public WrappedLabel(String words, String... styleClasses) {
    super(words);
    getStyleClass().addAll(styleClasses);
    setWrapText(true);
    setMinHeight(Region.USE_PREF_SIZE);
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
