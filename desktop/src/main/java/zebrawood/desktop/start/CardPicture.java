package zebrawood.desktop.start;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.text.Text;
import zebrawood.records.picture.Canvas;
import zebrawood.start.GoLine;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartReadings.Asked;
import zebrawood.words.Phrasebook;

/** One line of the card, to be read from the machine, how it is tried, and how far the card is. */
final class CardPicture {
  private static final double SIDE = 26;
  private static final double BEAM_Y = 30;
  private static final double DOT = 8;

  /** A lower picture has room for the line and the answers alone. */
  private static final double ROOMY = 420;

  /** A still lower one has room for the line alone. */
  private static final double LOW = 200;

  private static final double ANSWERS_Y = 30;

  private CardPicture() {}

  /**
   * @param now the line that is asked; empty when all are answered
   * @param answer what a press on one of the two answers does
   */
  static void draw(Canvas on, List<Asked> lines, Optional<GoLine> now, Consumer<Answer> answer) {
    double apart = (on.width() - 2 * SIDE) / Math.max(1, lines.size() - 1);
    on.line(SIDE, BEAM_Y, on.width() - SIDE, BEAM_Y, "trend-axis");
    for (int i = 0; i < lines.size(); i++) {
      Answer its = lines.get(i).answer();
      double x = SIDE + i * apart;
      double radius = Math.min(DOT, apart / 2.4);
      on.circle(x, BEAM_Y, radius, "card-dot")
          .state("yes", its == Answer.YES || its == Answer.EARLIER)
          .state("no", its == Answer.NO);
      if (its == Answer.NO) {
        on.line(x - 4, BEAM_Y - 4, x + 4, BEAM_Y + 4, "card-cross");
        on.line(x - 4, BEAM_Y + 4, x + 4, BEAM_Y - 4, "card-cross");
      }
      if (now.filter(lines.get(i).line()::equals).isPresent()) {
        on.line(x, BEAM_Y + DOT + 3, x, BEAM_Y + DOT + 12, "card-here");
      }
    }
    boolean roomy = on.height() >= ROOMY;
    double wide = on.width() - 2 * SIDE;
    double middle = on.width() / 2;
    if (roomy) {
      now.ifPresent(l -> on.words(Text.of(l.kind()), middle, BEAM_Y + 40, wide, "card-kind"));
    }
    on.words(
        now.map(l -> Phrasebook.upperFirst(Text.of(l.said())))
            .orElse(Text.of("start.picture.through")),
        middle,
        on.height() * (roomy ? 0.36 : 0.48),
        wide,
        roomy ? "card-next" : "card-next-small");
    if (roomy) {
      now.flatMap(l -> Topic.of(l.said().key()))
          .ifPresent(t -> on.words(t.how(), middle, on.height() * 0.62, wide, "card-how"));
    }
    if (now.isPresent() && on.height() >= LOW) {
      double y = on.height() - ANSWERS_Y;
      answer(on, "card-yes", "form.answer.yes", middle - 60, y, () -> answer.accept(Answer.YES));
      answer(on, "card-no", "form.answer.no", middle + 60, y, () -> answer.accept(Answer.NO));
    }
  }

  private static void answer(
      Canvas on, String id, String words, double x, double y, Runnable press) {
    on.button(id, Text.of(words), 0, Text.of(words), x, y, "card-answer", press);
  }
}
