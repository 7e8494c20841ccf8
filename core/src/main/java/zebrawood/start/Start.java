package zebrawood.start;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartReadings.Asked;

/**
 * May it run today?
 *
 * <p>A line that is not so stops. A protection that is not answered, or a coolant that was not
 * read, asks to go on with the card. The other lines are advice: left open they are named, and do
 * not keep the entry from proving the protections.
 */
public final class Start {
  /** Advice begins so when something is still to be proven. */
  public static final String PROVE = "Prove it";

  /** Advice begins so for the other lines of the card. */
  public static final String SEE = "See to it";

  private Start() {}

  public static StartFinding solve(StartReadings r) {
    List<String> failed = new ArrayList<>();
    List<String> open = new ArrayList<>();
    boolean unproven = false;
    int rest = 0;
    for (Asked asked : r.asked()) {
      String words = asked.line().words();
      switch (asked.answer()) {
        case NO -> failed.add("Do not fire until it is so: " + words + ".");
        case NOT_YET -> {
          boolean protects = asked.line().kind().protects();
          open.add((protects ? PROVE : SEE) + ": " + words + ".");
          unproven |= protects;
          rest += protects ? 0 : 1;
        }
        case YES, EARLIER -> {}
      }
    }
    boolean unread = r.coolantNeeded() && r.coolantC().isEmpty();
    List<String> advice = new ArrayList<>(failed);
    Verdict verdict = failed.isEmpty() ? Verdict.WITHIN : Verdict.STOP;
    if (tooWarm(r)) {
      advice.add(
          "Wait for the cooling: the coolant has %s °C, limit %s °C."
              .formatted(
                  Numbers.fixed(r.coolantC().getAsDouble(), 1),
                  Numbers.plain(r.warmestC().getAsDouble())));
      verdict = Verdict.STOP;
    }
    advice.addAll(open);
    if (unread) {
      advice.add("Read the coolant: a figure, not a glance.");
    }
    if (verdict == Verdict.WITHIN && (unread || unproven)) {
      verdict = Verdict.MEASURE_AGAIN;
    }
    List<String> warnings = new ArrayList<>();
    if (verdict == Verdict.WITHIN && rest > 0) {
      warnings.add("Before every run: %d lines of the card are still open.".formatted(rest));
    }
    if (advice.isEmpty()) {
      advice.add("Go: everything on the card is in order.");
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
        .ifPresent(c ->
            figures.add(
                new Figure("coolant", "Coolant", c, "°C", OptionalDouble.empty(), r.warmestC())));
    figures.add(
        new Figure(
            "notSo",
            "Not in order",
            f.notSo(),
            "lines",
            OptionalDouble.empty(),
            OptionalDouble.of(0)));
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
