package zebrawood.start;

import java.util.ArrayList;
import java.util.List;
import zebrawood.ledger.Figure;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartReadings.Asked;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * May it run today?
 *
 * <p>A line that is not so stops. A protection that is not answered, or a coolant that was not
 * read, asks to go on with the card. The other lines are advice: left open they are named, and do
 * not keep the entry from proving the protections.
 */
public final class Start {
  public static final Visit<StartReadings, StartFinding> VISIT =
      Visit.of(StartReadings.class, StartFinding.class, Start::solve, Start::figures);

  private Start() {}

  public static StartFinding solve(StartReadings r) {
    List<Advice> failed = new ArrayList<>();
    List<Advice> open = new ArrayList<>();
    boolean unproven = false;
    int rest = 0;
    for (Asked asked : r.asked()) {
      Message said = asked.line().said();
      switch (asked.answer()) {
        case NO -> failed.add(Advice.notSo(said));
        case NOT_YET -> {
          boolean protects = asked.line().kind().protects();
          open.add(protects ? Advice.prove(said) : Advice.act("start.see").because(said));
          unproven |= protects;
          rest += protects ? 0 : 1;
        }
        case YES, EARLIER -> {}
      }
    }
    boolean unread = r.coolantNeeded() && r.coolantC().isEmpty();
    List<Advice> advice = new ArrayList<>(failed);
    Verdict verdict = failed.isEmpty() ? Verdict.WITHIN : Verdict.STOP;
    if (tooWarm(r)) {
      advice.add(
          Advice.act("start.start.wait-cooling")
              .because(
                  "start.start.coolant-limit",
                  Amount.of(r.coolantC().getAsDouble(), Quantity.TEMPERATURE, 1),
                  Amount.plain(r.warmestC().getAsDouble(), Quantity.TEMPERATURE)));
      verdict = Verdict.STOP;
    }
    advice.addAll(open);
    if (unread) {
      advice.add(Advice.read("start.start.read-coolant").because("start.start.figure-not-glance"));
    }
    if (verdict == Verdict.WITHIN && (unread || unproven)) {
      verdict = Verdict.MEASURE_AGAIN;
    }
    List<Message> warnings = new ArrayList<>();
    if (verdict == Verdict.WITHIN && rest > 0) {
      warnings.add(Message.of("start.start.before-every-run", rest));
    }
    if (advice.isEmpty()) {
      advice.add(Advice.leave("start.start.go").because("start.start.everything-card-order"));
    }
    return new StartFinding(failed.size(), verdict, advice, warnings);
  }

  private static boolean tooWarm(StartReadings r) {
    return r.coolantC().isPresent()
        && r.warmestC().isPresent()
        && r.coolantC().getAsDouble() > r.warmestC().getAsDouble();
  }

  /** What the notebook shows; the coolant is the telling figure where there is one. */
  public static List<Figure> figures(StartReadings r, StartFinding f) {
    List<Figure> figures = new ArrayList<>();
    r.coolantC()
        .ifPresent(
            c -> figures.add(Figure.of("coolant", c, Quantity.TEMPERATURE).limited(r.warmestC())));
    if (r.asked().stream().anyMatch(a -> a.answer() != Answer.NOT_YET)) {
      figures.add(Figure.of("notSo", f.notSo(), Quantity.LINES).limited(0));
    }
    return figures;
  }

  /**
   * The protections that nobody has proven today.
   *
   * @param today the cards gone through today, oldest first: the last answer to a line counts
   */
  public static List<GoLine> notProven(GoCard card, List<StartReadings> today) {
    return card.protections().stream().filter(line -> !proven(line, today)).toList();
  }

  /** Whether the last answer to a line is that it is so. */
  public static boolean proven(GoLine line, List<StartReadings> today) {
    return today.reversed().stream()
        .flatMap(r -> r.asked().stream())
        .filter(a -> a.line().id().equals(line.id()))
        .filter(a -> a.answer() == Answer.YES || a.answer() == Answer.NO)
        .findFirst()
        .filter(a -> a.answer() == Answer.YES)
        .isPresent();
  }
}
