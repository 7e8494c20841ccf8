package zebrawood.desktop.rotary;

import java.util.Optional;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.records.picture.Canvas;
import zebrawood.rotary.RotaryFinding;
import zebrawood.rotary.RotaryReadings;
import zebrawood.rotary.RotaryReadings.Taper;

/**
 * The work from its end, with the strip that stays in focus, and from the side, with the artwork on
 * it; both to one scale.
 */
final class RotaryPicture {
  private static final double EDGE = 30;

  private final Canvas on;

  RotaryPicture(Canvas on) {
    this.on = on;
  }

  void draw(Optional<Outcome.Solved<RotaryReadings, RotaryFinding>> solved) {
    if (solved.isEmpty()) {
      on.words(Text.of("rotary.picture.empty"), on.width() / 2, on.height() / 2, 220, "plan-side");
      return;
    }
    RotaryReadings r = solved.get().readings();
    RotaryFinding f = solved.get().finding();
    double along = r.artworkMm().get(1);
    double large = r.workDiameterMm() * f.stretchLarge();
    double small = r.workDiameterMm() * f.stretchSmall();
    double half = on.height() / 2;
    double scale = Math.min((half - 2 * EDGE) / large, (on.width() - 4 * EDGE) / (along * 1.3));
    end(r, f, scale, half / 2 + 4);
    side(r, along, large, small, scale, half * 1.5 - 6);
  }

  private void end(RotaryReadings r, RotaryFinding f, double scale, double y) {
    double x = on.width() / 2;
    double radius = scale * r.workDiameterMm() / 2;
    on.circle(x, y, radius, "opening");
    double halfAngle = Math.toDegrees(f.stripMm() / r.workDiameterMm());
    on.arc(x, y, radius + 3, 90 - halfAngle, 2 * halfAngle, "meter-red");
    on.line(x, y - radius - 26, x, y - radius - 6, "focus-beam");
    on.words(
        Text.of("rotary.picture.strip", Amount.mm(f.stripMm(), 1), f.strips()),
        x,
        y + radius + 14,
        on.width() - 2 * EDGE,
        "plan-side");
  }

  private void side(
      RotaryReadings r, double along, double large, double small, double scale, double y) {
    double x = on.width() / 2;
    double length = scale * along;
    double beyond = 0.15 * length;
    double slope = r.taper().map(Taper::slope).orElse(0.0);
    double left = scale * (large + slope * along * 0.15) / 2;
    double right = scale * Math.max(0, small - slope * along * 0.15) / 2;
    double from = x - length / 2 - beyond;
    double to = x + length / 2 + beyond;
    on.line(from, y - left, to, y - right, "opening");
    on.line(from, y + left, to, y + right, "opening");
    on.line(from, y - left, from, y + left, "opening");
    on.line(to, y - right, to, y + right, "opening");
    on.line(from, y, to, y, "mark-way");
    on.line(
        x - length / 2, y - scale * large / 2, x - length / 2, y + scale * large / 2, "card-ring");
    on.line(
        x + length / 2, y - scale * small / 2, x + length / 2, y + scale * small / 2, "card-ring");
    on.words(
        Text.of("rotary.picture.artwork", Amount.mm(r.artworkMm().get(0), 0), Amount.mm(along, 0)),
        x,
        on.height() - 12,
        on.width() - 2 * EDGE,
        "plan-side");
  }
}
