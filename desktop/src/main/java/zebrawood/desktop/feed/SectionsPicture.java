package zebrawood.desktop.feed;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.feed.FeedFinding;
import zebrawood.feed.FeedReadings;
import zebrawood.quantity.Amount;
import zebrawood.records.picture.Canvas;

/** The piece with its sections and joints, to scale along its length. */
final class SectionsPicture {
  private static final double EDGE = 34;
  private static final double HIGH = 70;
  private static final int MOST_DRAWN = 60;

  private final Canvas on;

  SectionsPicture(Canvas on) {
    this.on = on;
  }

  void draw(Optional<Outcome.Solved<FeedReadings, FeedFinding>> solved) {
    if (solved.isEmpty()) {
      on.words(Text.of("feed.picture.empty"), on.width() / 2, on.height() / 2, 220, "plan-side");
      return;
    }
    FeedReadings r = solved.get().readings();
    FeedFinding f = solved.get().finding();
    double scale = (on.width() - 2 * EDGE) / r.pieceMm();
    double high = Math.min(HIGH, on.height() / 4);
    double y = on.height() / 2 - high / 2;
    on.rectangle(EDGE, y, on.width() - 2 * EDGE, high, "field-frame");
    double step = r.windowMm() - r.overlapMm();
    List<Double> begin = begins(f, step);
    for (int i = 0; i < begin.size(); i++) {
      double from = EDGE + scale * begin.get(i);
      double end = f.joints().isEmpty() ? begin.get(i) + r.windowMm() : end(r, begin, i);
      double to = Math.min(on.width() - EDGE, EDGE + scale * end);
      on.rectangle(from, y + 6, to - from, high - 12, i % 2 == 0 ? "weeks-band" : "field-left");
      if (i > 0) {
        on.line(from, y - 10, from, y + high + 10, "field-error");
      }
    }
    r.free()
        .ifPresent(free ->
            free.bands().stream()
                .limit(MOST_DRAWN)
                .forEach(b ->
                    on.line(
                        EDGE + scale * b.fromMm(),
                        y + high,
                        EDGE + scale * b.toMm(),
                        y + high,
                        "meter-red")));
    on.words(
        f.joints().isEmpty()
            ? Text.of("feed.picture.sections", f.sections(), Amount.mm(step, 0))
            : Text.of("feed.picture.joined", f.joints().size() + 1, Amount.mm(step, 0)),
        on.width() / 2,
        y - 26,
        on.width() - 2 * EDGE,
        "plan-side");
    on.words(
        Text.of(
            "feed.picture.joints", Amount.mm(f.spliceErrorMm(), 2), Amount.mm(f.lastErrorMm(), 2)),
        on.width() / 2,
        y + high + 30,
        on.width() - 2 * EDGE,
        "plan-side");
  }

  private static List<Double> begins(FeedFinding f, double step) {
    List<Double> begin = new ArrayList<>(List.of(0.0));
    if (f.joints().isEmpty()) {
      for (int i = 1; i < Math.min(f.sections(), MOST_DRAWN); i++) {
        begin.add(i * step);
      }
    } else {
      f.joints().stream().limit(MOST_DRAWN).forEach(j -> begin.add(j.placeMm()));
    }
    return begin;
  }

  private static double end(FeedReadings r, List<Double> begin, int i) {
    return i + 1 < begin.size() ? begin.get(i + 1) : r.pieceMm();
  }
}
