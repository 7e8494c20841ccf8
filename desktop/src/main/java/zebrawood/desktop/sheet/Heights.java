package zebrawood.desktop.sheet;

import java.util.HashMap;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/** Heights of a node for widths that were asked for, until it changes. */
final class Heights {
  private final Map<Double, Double> known = new HashMap<>();

  /** Not {@code computeIfAbsent}: computing may trigger a layout that clears this map. */
  double at(double width, DoubleUnaryOperator compute) {
    Double height = known.get(width);
    if (height == null) {
      height = compute.applyAsDouble(width);
      known.put(width, height);
    }
    return height;
  }

  void forget() {
    known.clear();
  }
}
