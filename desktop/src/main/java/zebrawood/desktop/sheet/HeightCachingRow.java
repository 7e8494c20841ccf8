package zebrawood.desktop.sheet;

import javafx.scene.Node;
import javafx.scene.layout.HBox;

/** A row that remembers how high it is for a width, as {@link HeightCachingBox} does. */
class HeightCachingRow extends HBox {
  private final Heights least = new Heights();
  private final Heights preferred = new Heights();

  HeightCachingRow(double spacing, Node... children) {
    super(spacing, children);
  }

  @Override
  protected double computeMinHeight(double width) {
    return least.at(width, super::computeMinHeight);
  }

  @Override
  protected double computePrefHeight(double width) {
    return preferred.at(width, super::computePrefHeight);
  }

  @Override
  public void requestLayout() {
    // The toolkit asks for a layout before the fields exist.
    if (preferred != null) {
      least.forget();
      preferred.forget();
    }
    super.requestLayout();
  }
}
