package zebrawood.desktop.controller;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.ControllerFinding;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerVisitFinding;
import zebrawood.controller.ControllerVisitReadings;
import zebrawood.controller.Corner;
import zebrawood.controller.PowerScale;
import zebrawood.controller.Role;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;

/**
 * Beside one another: the software's percentage across and the true share of the laser up, now and
 * after; and the bed from above with the corner it homes to and the one it should.
 */
final class ControllerPicture {
  private static final double EDGE = 14;
  private static final double CAPTION = 24;
  private static final double HALF = 0.47;
  private static final double CROSS = 5;
  private static final int STEPS = 50;

  private final Canvas on;

  private ControllerPicture(Canvas on) {
    this.on = on;
  }

  static void draw(
      Canvas on, Optional<Outcome.Solved<ControllerVisitReadings, ControllerVisitFinding>> found) {
    Optional<ControllerReadings> numbered = found.flatMap(f -> f.readings().numbered());
    Optional<ControllerFinding> audit = found.flatMap(f -> f.finding().audit());
    if (numbered.isEmpty() || audit.isEmpty()) {
      on.words(
          Text.of(
              found.isEmpty()
                  ? "controller.picture.empty"
                  : found.get().readings().silent().isPresent()
                      ? "controller.picture.silent"
                      : "controller.picture.no-gantry"),
          on.width() / 2,
          on.height() / 2,
          "plan-side");
      return;
    }
    ControllerPicture picture = new ControllerPicture(on);
    picture.power(numbered.get(), audit.get());
    picture.plan(numbered.get(), audit.get());
  }

  private double bottom() {
    return on.height() - CAPTION;
  }

  private double x(double percent) {
    return EDGE + percent / 100 * (HALF * on.width() - 2 * EDGE);
  }

  private double y(double share) {
    return bottom() - share * (bottom() - EDGE);
  }

  private void power(ControllerReadings r, ControllerFinding f) {
    on.line(x(0), y(0), x(100), y(0), "trend-axis");
    on.line(x(0), y(0), x(0), y(1), "trend-axis");
    on.line(x(0), y(0), x(100), y(1), "power-after");
    on.words(Text.of("controller.picture.software"), x(50), y(0) + CAPTION / 2, "plan-side");
    OptionalDouble top = number(f, "power-word-scale");
    OptionalDouble least = number(f, "minimum-power-word");
    if (top.isEmpty()) {
      on.words(Text.of("controller.picture.unknown"), x(50), y(0.5), x(100) - x(0), "plan-now");
      return;
    }
    PowerScale scale =
        new PowerScale(top.getAsDouble(), least.orElse(0), r.jobSoftware().topPowerWord());
    double before = 0;
    for (int i = 1; i <= STEPS; i++) {
      double share = scale.shareAtPercent(i * 100.0 / STEPS);
      on.line(x((i - 1) * 100.0 / STEPS), y(before), x(i * 100.0 / STEPS), y(share), "power-now");
      before = share;
    }
    double full = scale.effectiveFullPower();
    if (full < 0.995) {
      on.words(
          Text.of("controller.picture.reaches", Amount.of(100 * full, Quantity.PERCENT, 0)),
          x(72),
          full > 0.6 ? y(0.2) : y(full) - 12,
          "power-value");
    } else if (scale.saturatesAtPercent() < 99.5) {
      on.words(
          Text.of(
              "controller.picture.flat",
              Amount.of(scale.saturatesAtPercent(), Quantity.PERCENT, 0)),
          x(60),
          y(0.2),
          "power-value");
    }
  }

  private static OptionalDouble number(ControllerFinding f, String id) {
    return f.item(id)
        .map(ControllerFinding.Item::observed)
        .filter(Value.Number.class::isInstance)
        .map(v -> OptionalDouble.of(((Value.Number) v).number()))
        .orElse(OptionalDouble.empty());
  }

  private static Optional<String> word(ControllerFinding f, String id) {
    return f.item(id)
        .map(ControllerFinding.Item::observed)
        .filter(Value.Word.class::isInstance)
        .map(v -> ((Value.Word) v).word());
  }

  private void plan(ControllerReadings r, ControllerFinding f) {
    double room = (1 - HALF) * on.width() - 2 * EDGE;
    double deepest = bottom() - EDGE;
    double ratio = r.machine().travelMm().get(0) / r.machine().travelMm().get(1);
    double wide = Math.min(room, deepest * ratio);
    double high = wide / ratio;
    double left = HALF * on.width() + EDGE + (room - wide) / 2;
    double top = bottom() - high;
    on.rectangle(left, top, wide, high, "plan-bed");
    Optional<Corner> right = r.machine().homeCorner();
    right.ifPresent(c -> on.circle(cornerX(c, left, wide), cornerY(c, top, high), 7, "home-right"));
    boolean homes = word(f, "homing").filter(Role.ON::equals).isPresent();
    Optional<Corner> now =
        word(f, "home-corner")
            .flatMap(
                c -> Arrays.stream(Corner.values()).filter(k -> k.spelled().equals(c)).findFirst());
    now.filter(c -> !right.equals(Optional.of(c)))
        .ifPresent(c -> cross(cornerX(c, left, wide), cornerY(c, top, high)));
    on.words(
        Text.of(
            !homes
                ? "controller.picture.homes-not"
                : now.equals(right)
                    ? "controller.picture.homes"
                    : "controller.picture.homes-wrong"),
        left + wide / 2,
        bottom() + CAPTION / 2,
        room + EDGE,
        "plan-side");
  }

  private void cross(double x, double y) {
    on.line(x - CROSS, y - CROSS, x + CROSS, y + CROSS, "home-now");
    on.line(x - CROSS, y + CROSS, x + CROSS, y - CROSS, "home-now");
  }

  private static double cornerX(Corner corner, double left, double wide) {
    return corner.left() ? left : left + wide;
  }

  private static double cornerY(Corner corner, double top, double high) {
    return corner.front() ? top + high : top;
  }
}
