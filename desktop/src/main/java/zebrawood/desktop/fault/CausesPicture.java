package zebrawood.desktop.fault;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntConsumer;
import zebrawood.desktop.text.Text;
import zebrawood.fault.FaultFinding;
import zebrawood.fault.FaultFinding.Weighed;
import zebrawood.fault.FaultVisitFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * Nine squares as they were graded, seen from above, and below them the likeliest causes as bars
 * with a stroke where the record alone put them.
 */
final class CausesPicture {
  private static final int SIDE = 3;
  private static final int CAUSES = 6;
  private static final double PERCENT = 100;
  private static final double EDGE = 18;
  private static final double NAMES = 190;
  private static final double BAR = 14;
  private static final String NOT_GRADED = "·";

  /** A name in two lines. */
  private static final double LEAST_ROW = 30;

  private final Canvas on;

  CausesPicture(Canvas on) {
    this.on = on;
  }

  /**
   * @param scores from the front left, row by row
   * @param press what a press on a square does
   */
  void draw(Optional<FaultVisitFinding> finding, List<OptionalDouble> scores, IntConsumer press) {
    double top = EDGE;
    double side = Math.min((on.height() - 3 * EDGE) * 0.4, on.width() * 0.45);
    squares(side, top, scores, press);
    Optional<FaultFinding> found = finding.flatMap(FaultVisitFinding::found);
    double beside = 2 * EDGE + side;
    on.words(
        found
            .flatMap(f -> f.pattern().value())
            .map(p -> Text.of(Message.of(p)))
            .orElse(Text.of("fault.picture.squares")),
        (beside + on.width()) / 2,
        top + side / 2,
        on.width() - beside - EDGE,
        "plan-side");
    found.ifPresent(f -> causes(f, finding.get().before(), top + side + 2 * EDGE));
  }

  private void squares(double side, double top, List<OptionalDouble> scores, IntConsumer press) {
    double step = side / SIDE;
    on.rectangle(EDGE, top, side, side, "field-frame");
    for (int i = 0; i < scores.size(); i++) {
      double x = EDGE + (i % SIDE) * step;
      double y = top + side - (i / SIDE + 1) * step;
      OptionalDouble score = scores.get(i);
      double inset = step * 0.12;
      on.rectangle(x + inset, y + inset, step - 2 * inset, step - 2 * inset, "card-bare");
      if (score.isPresent()) {
        on.rectangle(
            x + inset,
            y + inset,
            step - 2 * inset,
            step - 2 * inset,
            "card-tone-" + Math.clamp(Math.round(score.getAsDouble()), 0, 10));
      }
      int square = i;
      on.button(
          "fault-square-" + (i + 1),
          score.isPresent() ? String.valueOf(Math.round(score.getAsDouble())) : NOT_GRADED,
          0,
          Text.of("fault.field.score", i + 1),
          x + step / 2,
          y + step / 2,
          "square-button",
          () -> press.accept(square));
    }
    on.words(Text.of("fault.picture.front"), EDGE + side / 2, top + side + 10, side, "plan-side");
  }

  private void causes(FaultFinding found, List<Weighed> before, double top) {
    double room = on.height() - top - EDGE - 14;
    int rows = (int) Math.clamp(Math.floor(room / LEAST_ROW), 1, CAUSES);
    List<Weighed> shown = found.causes().stream().limit(rows).toList();
    double step = Math.min(44, room / shown.size());
    double wide = on.width() - NAMES - 2 * EDGE - 50;
    for (int i = 0; i < shown.size(); i++) {
      Weighed cause = shown.get(i);
      double y = top + step * (i + 0.5);
      on.words(Text.of(Message.of(cause.id())), EDGE + NAMES / 2, y, NAMES - 8, "plan-now");
      double bar = Math.max(1, wide * cause.probability());
      on.rectangle(EDGE + NAMES, y - BAR / 2, bar, BAR, i == 0 ? "cause-likeliest" : "cause-other");
      before.stream()
          .filter(b -> b.id() == cause.id())
          .findFirst()
          .ifPresent(b -> {
            double x = EDGE + NAMES + wide * b.probability();
            on.line(x, y - BAR, x, y + BAR, "field-left");
          });
      on.words(share(cause.probability()), on.width() - EDGE - 30, y, 70, "plan-side");
    }
    on.words(
        Text.of("fault.picture.marks"),
        on.width() / 2,
        on.height() - 12,
        on.width() - 2 * EDGE,
        "plan-side");
  }

  /** Rounded down, and never to nothing: what is unlikely is not ruled out. */
  private static String share(double probability) {
    double percent = Math.floor(PERCENT * probability);
    return percent < 1
        ? Text.of("fault.picture.under")
        : Text.words().say(Amount.of(percent, Quantity.PERCENT, 0));
  }
}
