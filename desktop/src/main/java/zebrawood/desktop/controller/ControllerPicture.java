package zebrawood.desktop.controller;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.ControllerFinding;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerVisit;
import zebrawood.controller.ControllerVisit.Judged;
import zebrawood.controller.Corner;
import zebrawood.controller.PowerScale;
import zebrawood.controller.Role;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;

/**
 * The software's percentage across and the true share of the laser up, now and after; below it the
 * bed from above with the corner it homes to and the one it should.
 */
final class ControllerPicture {
  private static final double SIDE = 44;
  private static final double TOP = 20;
  private static final double PLAN_HEIGHT = 110;
  private static final double GAP = 54;
  private static final int STEPS = 100;

  private final Canvas on;

  private ControllerPicture(Canvas on) {
    this.on = on;
  }

  static void draw(Canvas on, Optional<Outcome.Found<ControllerVisit, Judged>> found) {
    Optional<ControllerReadings> numbered = found.flatMap(f -> f.readings().numbered());
    Optional<ControllerFinding> audit = found.flatMap(f -> f.finding().audit());
    if (numbered.isEmpty() || audit.isEmpty()) {
      on.words(Text.of("controller.picture.empty"), on.width() / 2, on.height() / 2, "plan-side");
      return;
    }
    ControllerPicture picture = new ControllerPicture(on);
    picture.power(numbered.get(), audit.get());
    picture.plan(numbered.get(), audit.get());
  }

  private double bottom() {
    return on.height() - PLAN_HEIGHT - GAP;
  }

  private double x(double percent) {
    return SIDE + percent / 100 * (on.width() - SIDE - 24);
  }

  private double y(double share) {
    return bottom() - share * (bottom() - TOP);
  }

  private void power(ControllerReadings r, ControllerFinding f) {
    on.line(x(0), y(0), x(100), y(0), "trend-axis");
    on.line(x(0), y(0), x(0), y(1), "trend-axis");
    on.line(x(0), y(1), x(100), y(1), "plan-grid");
    for (int percent = 0; percent <= 100; percent += 50) {
      on.words(
          Text.of("controller.picture.percent", percent),
          x(percent) - (percent == 100 ? 12 : 0),
          y(0) + 13,
          "plan-side");
    }
    on.words(Text.of("controller.picture.percent", 100), x(0) - 22, y(1), "plan-side");
    on.line(x(0), y(0), x(100), y(1), "power-after");
    OptionalDouble top = number(f, "power-word-scale");
    OptionalDouble least = number(f, "minimum-power-word");
    if (top.isEmpty()) {
      on.words(Text.of("controller.picture.unknown"), x(50), y(0.5), "plan-now");
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
          x(100) - 70,
          y(full) - 12,
          "plan-now");
    } else if (scale.saturatesAtPercent() < 99.5) {
      on.words(
          Text.of(
              "controller.picture.flat",
              Amount.of(scale.saturatesAtPercent(), Quantity.PERCENT, 0)),
          x(scale.saturatesAtPercent() / 2 + 50),
          y(1) - 10,
          "plan-now");
    }
    if (scale.deadBelowPercent() > 0.5) {
      on.words(
          Text.of(
              "controller.picture.dead", Amount.of(scale.deadBelowPercent(), Quantity.PERCENT, 0)),
          x(scale.deadBelowPercent()) + 40,
          y(0) - 12,
          "plan-after");
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
    double high = PLAN_HEIGHT - 26;
    double wide =
        Math.min(
            on.width() - 2 * SIDE,
            high * r.machine().travelMm().get(0) / r.machine().travelMm().get(1));
    double left = SIDE;
    double topY = on.height() - PLAN_HEIGHT;
    on.rectangle(left, topY, wide, high, "plan-bed");
    on.words(Text.of("controller.picture.front"), left + wide / 2, topY + high + 12, "plan-side");
    Corner right = r.machine().homeCorner();
    on.circle(cornerX(right, left, wide), cornerY(right, topY, high), 9, "home-right");
    Optional<Corner> now =
        word(f, "homing")
            .filter(Role.ON::equals)
            .flatMap(on -> word(f, "home-corner"))
            .flatMap(
                c -> Arrays.stream(Corner.values()).filter(k -> k.spelled().equals(c)).findFirst());
    now.ifPresent(c -> on.circle(cornerX(c, left, wide), cornerY(c, topY, high), 5, "home-now"));
    on.words(
        now.map(c ->
                Text.of(c == right ? "controller.picture.homes" : "controller.picture.homes-wrong"))
            .orElse(Text.of("controller.picture.homes-not")),
        left + wide + (on.width() - left - wide) / 2,
        topY + high / 2,
        now.filter(c -> c == right).isPresent() ? "plan-side" : "plan-now");
  }

  private static double cornerX(Corner corner, double left, double wide) {
    return corner.left() ? left : left + wide;
  }

  private static double cornerY(Corner corner, double top, double high) {
    return corner.front() ? top + high : top;
  }
}
