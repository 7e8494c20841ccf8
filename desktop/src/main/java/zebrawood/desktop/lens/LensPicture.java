package zebrawood.desktop.lens;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.desktop.text.Text;
import zebrawood.lens.LensCompared;
import zebrawood.lens.LensVisitFinding;
import zebrawood.quantity.Amount;
import zebrawood.records.picture.Canvas;

/**
 * The beams of all lenses side by side, to one scale of widths and one of heights, each through the
 * stock that it is focused in the middle of, with its depth of field.
 */
final class LensPicture {
  private static final double TOP = 30;
  private static final double BOTTOM = 62;
  private static final double SIDE = 12;
  private static final int PIECES = 36;
  private static final int MOST_LENSES = 4;
  private static final double LETTER = 7;

  private final Canvas on;

  LensPicture(Canvas on) {
    this.on = on;
  }

  void draw(Optional<LensVisitFinding> found, OptionalDouble thicknessMm) {
    List<LensCompared> all =
        found.map(f -> f.compared().stream().limit(MOST_LENSES).toList()).orElse(List.of());
    if (all.isEmpty()) {
      on.words(
          Text.of("lens.picture.empty"),
          on.width() / 2,
          on.height() / 2,
          Math.max(80, on.width() - 40),
          "plan-side");
      return;
    }
    double deepest = all.stream().mapToDouble(c -> c.optics().depthOfFieldMm()).max().orElseThrow();
    double half = Math.max(1.3 * deepest, 1.2 * thicknessMm.orElse(0)) / 2;
    double widest = all.stream().mapToDouble(c -> c.optics().spotAtMm(half)).max().orElseThrow();
    double lane = (on.width() - 2 * SIDE) / all.size();
    double perWidth = lane * 0.8 / widest;
    for (int i = 0; i < all.size(); i++) {
      draw(all.get(i), SIDE + lane * (i + 0.5), lane, half, perWidth, thicknessMm);
    }
    on.words(
        Text.of("lens.picture.scale", Amount.mm(2 * half, 1), Amount.mm(widest, 2)),
        on.width() / 2,
        on.height() - 12,
        Math.max(60, on.width() - 20),
        "plan-side");
  }

  private double py(double z, double half) {
    double middle = (TOP + on.height() - BOTTOM) / 2;
    return middle + z / half * (on.height() - TOP - BOTTOM) / 2;
  }

  private void draw(
      LensCompared c,
      double middle,
      double lane,
      double half,
      double perWidth,
      OptionalDouble thicknessMm) {
    double depth = c.optics().depthOfFieldMm() / 2;
    on.rectangle(
        middle - lane * 0.42,
        py(-depth, half),
        lane * 0.84,
        py(depth, half) - py(-depth, half),
        "scale-allowed");
    thicknessMm.ifPresent(mm -> {
      on.line(
          middle - lane * 0.46,
          py(-mm / 2, half),
          middle + lane * 0.46,
          py(-mm / 2, half),
          "plan-bed");
      on.line(
          middle - lane * 0.46,
          py(mm / 2, half),
          middle + lane * 0.46,
          py(mm / 2, half),
          "plan-bed");
    });
    double beforeY = 0;
    double before = 0;
    for (int i = 0; i <= PIECES; i++) {
      double z = half * (2.0 * i / PIECES - 1);
      double wide = c.optics().spotAtMm(z) * perWidth / 2;
      double y = py(z, half);
      if (i > 0) {
        on.line(middle - before, beforeY, middle - wide, y, "focus-beam");
        on.line(middle + before, beforeY, middle + wide, y, "focus-beam");
      }
      beforeY = y;
      before = wide;
    }
    int letters = (int) Math.max(3, lane / LETTER - 2);
    String name = c.lens().name();
    on.words(
        name.length() > letters ? name.substring(0, letters - 1) + "…" : name,
        middle,
        14,
        lane - 4,
        "plan-now");
    String spot = lane < 70 ? "" : Text.of("lens.picture.spot", Amount.mm(c.optics().spotMm(), 3));
    // Both looks each time: a picture whose order stays costs no new styles.
    for (boolean suits : new boolean[] {true, false}) {
      on.words(
          suits == c.suits() ? spot : "",
          middle,
          on.height() - BOTTOM + 18,
          lane - 4,
          suits ? "plan-after" : "power-value");
    }
  }
}
