package zebrawood.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import zebrawood.desktop.text.Text;
import zebrawood.focus.StackUp;
import zebrawood.quantity.Amount;
import zebrawood.records.picture.Canvas;

/**
 * What lies on the table, from the side: the layers one on the other, the beam with its focus, and
 * where the smoke goes with what is done against scorched backs. Thin layers are drawn thicker.
 */
final class StackPicture {
  private static final double LEAST_PX = 13;
  private static final double SIDE = 0.16;
  private static final double TOP = 40;
  private static final double BOTTOM = 16;
  private static final double POST_PX = 8;

  /** Of the width; the middle is left to the words. */
  private static final double[] POSTS_AT = {0, 0.15, 0.85, 1};

  private static final double HEAD = 4;

  private final Canvas on;
  private final double height;
  private final ScorchCure cure;
  private final double left;
  private final double right;

  /** The middle of what stands on posts, where something does. */
  private double between = Double.NaN;

  /**
   * @param height of the upper part of the picture that it has
   */
  StackPicture(Canvas on, double height, ScorchCure cure) {
    this.on = on;
    this.height = height;
    this.cure = cure;
    left = SIDE * on.width();
    right = (1 - SIDE) * on.width();
  }

  private record Layer(String key, double mm, boolean open) {}

  private List<Layer> layers(StackUp stack) {
    List<Layer> layers = new ArrayList<>();
    layers.add(new Layer("focus.field.riser", stack.riserMm(), true));
    layers.add(new Layer("focus.field.honeycomb", stack.honeycombMm(), false));
    boolean pins = cure == ScorchCure.RAISE_WORK;
    layers.add(
        new Layer(
            pins ? "focus.picture.pins" : "focus.field.spoilBoard", stack.spoilBoardMm(), pins));
    layers.add(new Layer("focus.field.stock", stack.stockMm(), false));
    return layers.stream().filter(l -> l.mm > 0).toList();
  }

  /**
   * @param defocusMm how far the focus is meant to lie above the surface
   */
  void draw(StackUp stack, double defocusMm) {
    List<Layer> layers = layers(stack);
    double table = height - BOTTOM;
    on.rectangle(left - 14, table, right - left + 28, 6, "duct-piece");
    double room = table - TOP - layers.size() * LEAST_PX;
    double y = table;
    for (Layer layer : layers) {
      double thick = LEAST_PX + Math.max(0, room) * 0.8 * layer.mm / stack.totalMm();
      y -= thick;
      layer(layer, y, thick);
    }
    beam(y, defocusMm);
    smoke(y, table);
  }

  /** Posts or pins stand far apart; all else is whole. */
  private void layer(Layer layer, double y, double thick) {
    if (layer.open) {
      between = y + thick / 2;
      for (double at : POSTS_AT) {
        double x = left + 6 + (right - left - 12 - POST_PX) * at;
        on.rectangle(x, y, POST_PX, thick, "duct-piece");
      }
    } else {
      on.rectangle(left, y, right - left, thick, "scale-stem");
    }
    on.words(
        Text.of("focus.picture.layer", Text.of(layer.key), Amount.mm(layer.mm, 1)),
        (left + right) / 2,
        y + thick / 2,
        right - left - 20,
        "plan-side");
  }

  private void beam(double surface, double defocusMm) {
    double x = left + (right - left) * 0.2;
    double focus = surface - Math.clamp(defocusMm * 2.5, -12, 12);
    on.line(x - 9, 4, x, focus, "focus-beam");
    on.line(x + 9, 4, x, focus, "focus-beam");
  }

  /** It goes out to the side between posts, or is drawn away below. */
  private void smoke(double surface, double table) {
    double wide = right - left;
    if (cure == ScorchCure.DRAW_SMOKE) {
      arrow(right - 0.06 * wide, surface + 6, right - 0.06 * wide, table + 4);
      arrow(right - 0.14 * wide, surface + 6, right - 0.14 * wide, table + 4);
    } else if (!Double.isNaN(between)) {
      arrow(right + 2, between, right + 30, between);
      arrow(left - 2, between, left - 30, between);
    }
    if (cure != ScorchCure.NOTHING) {
      on.words(Text.of(cure), left + 0.65 * wide, 13, 0.6 * wide, "plan-side");
    }
  }

  private void arrow(double fromX, double fromY, double toX, double toY) {
    on.line(fromX, fromY, toX, toY, "turn-arrow");
    double angle = Math.atan2(toY - fromY, toX - fromX);
    for (double turned : new double[] {angle + 2.6, angle - 2.6}) {
      on.line(
          toX,
          toY,
          toX + 2 * HEAD * Math.cos(turned),
          toY + 2 * HEAD * Math.sin(turned),
          "turn-head");
    }
  }
}
