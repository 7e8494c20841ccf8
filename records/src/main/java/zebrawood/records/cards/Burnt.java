package zebrawood.records.cards;

import zebrawood.records.field.Decimals;
import zebrawood.records.shapes.Shape;

/** Shapes as G-code. */
final class Burnt {
  private static final double SECONDS_A_MINUTE = 60;

  private Burnt() {}

  /** A shape: filled with lines along x, or along its corners. */
  static void add(StringBuilder out, Shape shape, double intervalMm, double speedMmS, double word) {
    if (shape.filled()) {
      fill(out, shape, intervalMm, speedMmS, word);
      return;
    }
    go(out, shape.corners().getFirst());
    for (double[] corner : shape.corners().subList(1, shape.corners().size())) {
      burn(out, corner, speedMmS, word);
    }
  }

  /** As many lines as fill it wholly: rows of a code must not show stripes between them. */
  private static void fill(
      StringBuilder out, Shape box, double intervalMm, double speedMmS, double word) {
    double left = box.corners().get(0)[0];
    double right = box.corners().get(2)[0];
    double low = box.corners().get(0)[1];
    double high = box.corners().get(2)[1];
    int lines = Math.max(1, (int) Math.ceil((high - low) / intervalMm - 1e-6));
    for (int i = 0; i < lines; i++) {
      double y = low + (high - low) * (i + 0.5) / lines;
      go(out, new double[] {i % 2 == 0 ? left : right, y});
      burn(out, new double[] {i % 2 == 0 ? right : left, y}, speedMmS, word);
    }
  }

  private static void go(StringBuilder out, double[] to) {
    out.append("G0 X" + Decimals.of(to[0]) + " Y" + Decimals.of(to[1]) + " S0\n");
  }

  private static void burn(StringBuilder out, double[] to, double speedMmS, double word) {
    out.append("G1 X" + Decimals.of(to[0]) + " Y" + Decimals.of(to[1]))
        .append(" F" + Decimals.of(speedMmS * SECONDS_A_MINUTE) + " S" + Decimals.of(word) + "\n");
  }
}
