package zebrawood.desktop.start;

import java.util.List;
import java.util.Optional;
import zebrawood.desktop.text.Text;
import zebrawood.records.picture.Canvas;
import zebrawood.start.GoLine;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartReadings.Asked;
import zebrawood.words.Phrasebook;

/** The line that is next, to be read from the machine, and how far the card has come. */
final class CardPicture {
  private static final double SIDE = 26;
  private static final double BEAM_Y = 60;
  private static final double DOT = 8;

  private CardPicture() {}

  static void draw(Canvas on, List<Asked> lines) {
    double apart = (on.width() - 2 * SIDE) / Math.max(1, lines.size() - 1);
    on.line(SIDE, BEAM_Y, on.width() - SIDE, BEAM_Y, "trend-axis");
    for (int i = 0; i < lines.size(); i++) {
      Answer answer = lines.get(i).answer();
      double x = SIDE + i * apart;
      on.circle(x, BEAM_Y, Math.min(DOT, apart / 2.4), "card-dot")
          .state("yes", answer == Answer.YES || answer == Answer.EARLIER)
          .state("no", answer == Answer.NO);
      if (answer == Answer.NO) {
        on.line(x - 4, BEAM_Y - 4, x + 4, BEAM_Y + 4, "card-cross");
        on.line(x - 4, BEAM_Y + 4, x + 4, BEAM_Y - 4, "card-cross");
      }
    }
    Optional<GoLine> next =
        lines.stream().filter(a -> a.answer() == Answer.NOT_YET).map(Asked::line).findFirst();
    double wide = on.width() - 2 * SIDE;
    next.ifPresent(
        l -> on.words(Text.of(l.kind()), on.width() / 2, on.height() * 0.36, wide, "plan-side"));
    on.words(
        next.map(l -> Phrasebook.upperFirst(Text.of(l.said())))
            .orElse(Text.of("start.picture.through")),
        on.width() / 2,
        on.height() * 0.52,
        wide,
        "card-next");
  }
}
