package zebrawood.desktop.sheet;

import java.util.List;
import javafx.geometry.Insets;
import javafx.scene.layout.Region;

/**
 * The three columns of a sheet, as high as there is room; where there is no room for three, without
 * the middle one. Each is a layout of its own: what changes in one asks nothing of the others, nor
 * of the window, so that advice can follow every keystroke.
 */
final class SheetColumns extends Region {
  private static final double APART = 16;

  /** Least and usual width of each; the middle one takes what is left. */
  private static final double[] LEAST = {244, 190, 226};

  private static final double[] USUAL = {308, 300, 304};

  SheetColumns(Region left, Region middle, Region right) {
    getStyleClass().add("sheet-columns");
    List<Region> columns = List.of(left, middle, right);
    columns.forEach(c -> c.setManaged(false));
    getChildren().addAll(columns);
  }

  private static double sum(double[] widths) {
    return widths[0] + widths[1] + widths[2] + 2 * APART;
  }

  @Override
  protected double computeMinWidth(double height) {
    return LEAST[0] + LEAST[2] + APART + getInsets().getLeft() + getInsets().getRight();
  }

  @Override
  protected double computePrefWidth(double height) {
    return sum(USUAL) + getInsets().getLeft() + getInsets().getRight();
  }

  @Override
  protected void layoutChildren() {
    Insets in = getInsets();
    double wide = getWidth() - in.getLeft() - in.getRight();
    double high = getHeight() - in.getTop() - in.getBottom();
    boolean three = wide >= sum(LEAST);
    getChildren().get(1).setVisible(three);
    if (!three) {
      double first = Math.floor((wide - APART) * LEAST[0] / (LEAST[0] + LEAST[2]));
      getChildren().get(0).resizeRelocate(in.getLeft(), in.getTop(), first, high);
      getChildren()
          .get(2)
          .resizeRelocate(in.getLeft() + first + APART, in.getTop(), wide - first - APART, high);
      return;
    }
    double share = Math.clamp((wide - sum(LEAST)) / (sum(USUAL) - sum(LEAST)), 0, 1);
    double left = Math.floor(LEAST[0] + share * (USUAL[0] - LEAST[0]));
    double right = Math.floor(LEAST[2] + share * (USUAL[2] - LEAST[2]));
    double middle = wide - left - right - 2 * APART;
    double x = in.getLeft();
    double[] widths = {left, middle, right};
    for (int i = 0; i < widths.length; i++) {
      getChildren().get(i).resizeRelocate(x, in.getTop(), widths[i], high);
      x += widths[i] + APART;
    }
  }
}
