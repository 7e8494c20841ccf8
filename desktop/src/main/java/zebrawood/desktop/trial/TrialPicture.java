package zebrawood.desktop.trial;

import java.util.Optional;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.records.cards.TrialArtwork;
import zebrawood.records.picture.Canvas;
import zebrawood.trial.TrialFinding;
import zebrawood.trial.TrialReadings;
import zebrawood.trial.TrialReadings.Cut;

/**
 * The piece to scale with what was found: its size in both axes beside it, a ring where it came
 * through, a cross where it did not.
 */
final class TrialPicture {
  private static final double EDGE = 44;
  private static final double CORNER_MM = 3;

  private final Canvas on;
  private final double scale;
  private final double left;
  private final double bottom;

  TrialPicture(Canvas on) {
    this.on = on;
    scale =
        Math.min(
            (on.width() - 2 * EDGE) / TrialArtwork.WIDE_MM,
            (on.height() - 2 * EDGE) / TrialArtwork.HIGH_MM);
    left = (on.width() - scale * TrialArtwork.WIDE_MM) / 2;
    bottom = (on.height() + scale * TrialArtwork.HIGH_MM) / 2;
  }

  private double x(double mm) {
    return left + scale * mm;
  }

  private double y(double mm) {
    return bottom - scale * mm;
  }

  private void box(double xMm, double yMm, double wide, double high, String look) {
    on.rectangle(x(xMm), y(yMm + high), scale * wide, scale * high, look);
  }

  void draw(Optional<Outcome.Solved<TrialReadings, TrialFinding>> solved) {
    box(0, 0, TrialArtwork.WIDE_MM, TrialArtwork.HIGH_MM, "field-frame");
    box(4, 34, 12, 12, "card-bare");
    box(4, 34, 12, 12, "card-tone-6");
    box(28, 29, 17, 17, "card-open");
    box(49, 29, 17, 17, "card-bare");
    box(49, 29, 17, 17, "card-tone-7");
    for (int i = 0; i <= TrialReadings.COMB_STRIPS; i++) {
      double at = 36 + i * TrialReadings.STRIP_MM;
      on.line(x(at), y(8), x(at), y(16), "field-left");
    }
    words("trial.picture.code", 36.5, 37.5, 17);
    words("trial.picture.letters", 16, 17, 26);
    words("trial.picture.comb", 51, 4.5, 30);
    solved.ifPresent(s -> {
      s.finding()
          .offXMm()
          .ifPresent(e ->
              on.words(
                  Text.of("trial.picture.off", Amount.mm(e.value(), 2)),
                  x(TrialArtwork.WIDE_MM / 2),
                  y(0) + 18,
                  150,
                  "plan-side"));
      s.finding()
          .offYMm()
          .ifPresent(e ->
              on.words(
                  Text.of("trial.picture.off-y", Amount.mm(e.value(), 2)),
                  x(TrialArtwork.WIDE_MM / 2),
                  y(TrialArtwork.HIGH_MM) - 18,
                  150,
                  "plan-side"));
      s.readings().cuts().forEach(this::cut);
    });
  }

  private void words(String key, double xMm, double yMm, double wideMm) {
    on.words(Text.of(key), x(xMm), y(yMm), Math.max(60, scale * wideMm), "plan-side");
  }

  private void cut(Cut cut) {
    double right = TrialArtwork.WIDE_MM - CORNER_MM;
    double rear = TrialArtwork.HIGH_MM - CORNER_MM;
    double[] at =
        switch (cut.where()) {
          case CENTRE -> new double[] {22, 30};
          case FRONT_LEFT -> new double[] {CORNER_MM, CORNER_MM};
          case FRONT_RIGHT -> new double[] {right, CORNER_MM};
          case REAR_LEFT -> new double[] {CORNER_MM, rear};
          case REAR_RIGHT -> new double[] {right, rear};
        };
    if (cut.through()) {
      on.circle(x(at[0]), y(at[1]), 5, "mark-after");
    } else {
      on.line(x(at[0]) - 5, y(at[1]) - 5, x(at[0]) + 5, y(at[1]) + 5, "field-error");
      on.line(x(at[0]) - 5, y(at[1]) + 5, x(at[0]) + 5, y(at[1]) - 5, "field-error");
    }
  }
}
