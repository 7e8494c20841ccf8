package zebrawood.desktop.sheet;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

/**
 * A column that remembers how high it is for a width, until something within it changes.
 *
 * <p>The toolkit asks a column of wrapped text for its height several times at each level of a
 * nest, and remembers only heights that need no width, so that the work multiplies with each level.
 * What is asked for again is answered from memory here.
 */
public class HeightCachingBox extends VBox {
  private final Heights least = new Heights();
  private final Heights preferred = new Heights();

  public HeightCachingBox() {
    this(0);
  }

  public HeightCachingBox(double spacing, Node... children) {
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
