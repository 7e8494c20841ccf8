package zebrawood.cards;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.cards.CardsTask.ReadFor;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * A card whose squares differ in something else than power and speed: lines, passes, pulses. One of
 * its squares is chosen, never what lies between them: no law of ours tells that.
 */
final class SteppedCard {
  /** Over the bare stock's light: what an eye sees side by side. */
  static final double SEEN = 0.03;

  private SteppedCard() {}

  private static boolean steps(CardGrid grid, CardSteps.Step figure) {
    return grid.across().filter(s -> s.figure() == figure).isPresent()
        || grid.up().filter(s -> s.figure() == figure).isPresent();
  }

  /**
   * @param pictured whether it was scanned, so that bands could be told; figures that were typed
   *     have none
   */
  static CardsFinding read(
      CardGrid grid, CardScanFinding scan, boolean pictured, ReadFor what, List<Message> warnings) {
    if (what.kept().isPresent()) {
      return again(scan, "cards.steps.no-power", warnings);
    }
    boolean judged = steps(grid, CardSteps.Step.INTERVAL) && pictured;
    if (!judged && what.wantedDarkness().isEmpty()) {
      return again(scan, "cards.point", warnings);
    }
    List<CardScanFinding.Square> even =
        scan.squares().stream().filter(s -> !judged || isEven(s)).toList();
    if (even.isEmpty()) {
      boolean coarse = scan.squares().stream().anyMatch(s -> s.banding().isEmpty());
      return again(scan, coarse ? "cards.steps.finer-scan" : "cards.steps.closer", warnings);
    }
    List<CardScanFinding.Square> wanted =
        what.wantedDarkness().isEmpty() ? even : asDark(even, what);
    if (wanted.isEmpty()) {
      return again(scan, "cards.steps.none", warnings);
    }
    Chosen fastest =
        wanted.stream()
            .map(s -> chosen(grid, s.column(), s.row()))
            .max(Comparator.comparingDouble(SteppedCard::pace))
            .orElseThrow();
    Chosen steadiest =
        wanted.stream()
            .max(Comparator.comparingLong(s -> near(wanted, s)))
            .map(s -> chosen(grid, s.column(), s.row()))
            .orElseThrow();
    return new CardsFinding(
        Optional.of(scan),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.of(fastest),
        Optional.of(steadiest),
        Verdict.WITHIN,
        advice(fastest, steadiest, judged),
        warnings);
  }

  /**
   * Whether a square was seen to have no bands: where lines lie too close for the picture nobody
   * knows, and a square that is hardly there shows none either.
   */
  private static boolean isEven(CardScanFinding.Square s) {
    return s.banding().isPresent()
        && s.banding().getAsDouble() <= SEEN
        && s.darkness().value() > 2 * SEEN;
  }

  private static CardsFinding again(CardScanFinding scan, String key, List<Message> warnings) {
    return CardsVisit.read(scan, Verdict.MEASURE_AGAIN, List.of(Advice.read(key)), warnings);
  }

  /** Within what may differ; where nobody said that, what cannot be told from the wanted look. */
  private static List<CardScanFinding.Square> asDark(
      List<CardScanFinding.Square> squares, ReadFor what) {
    double wanted = what.wantedDarkness().getAsDouble();
    return squares.stream()
        .filter(s ->
            Math.abs(s.darkness().value() - wanted)
                <= what.mayDiffer().orElse(Math.max(SEEN, 2 * s.darkness().uncertainty())))
        .toList();
  }

  private static long near(List<CardScanFinding.Square> wanted, CardScanFinding.Square s) {
    return wanted.stream()
        .filter(o -> Math.abs(o.column() - s.column()) <= 1 && Math.abs(o.row() - s.row()) <= 1)
        .count();
  }

  static double pace(Chosen chosen) {
    return chosen.all().map(CardSetting::pace).orElse(chosen.speedMmS());
  }

  static Chosen chosen(CardGrid grid, int column, int row) {
    CardSetting its = grid.setting(column, row);
    return new Chosen(
        its.speedMmS(), its.percent(), grid.stepped() ? Optional.of(its) : Optional.empty());
  }

  static List<Advice> advice(Chosen fastest, Chosen steadiest, boolean judged) {
    List<Advice> advice = new ArrayList<>();
    advice.add(
        Advice.leave("cards.steps.set", said(fastest))
            .because(judged ? "cards.steps.widest" : "cards.steps.fastest"));
    if (!steadiest.equals(fastest)) {
      advice.add(
          Advice.leave("cards.steps.steadier", said(steadiest)).because("cards.eye.steadier.why"));
    }
    advice.add(Advice.leave("cards.confirm").because("cards.confirm.why"));
    return advice;
  }

  /** The fastest square that went as deep as wanted, and the one with most such about it. */
  static CardsFinding byDepth(CardsTask.ByDepth task, List<Message> warnings) {
    CardGrid grid = task.grid();
    double error = Resolution.standardDeviation(task.resolutionMm());
    List<CardScanFinding.Square> deep = new ArrayList<>();
    for (int row = 0; row < grid.rows(); row++) {
      for (int column = 0; column < grid.columns(); column++) {
        double mm = task.rowsMm().get(row).get(column);
        if (mm >= task.wantedMm()) {
          deep.add(
              new CardScanFinding.Square(
                  column, row, new Estimate(mm, error), OptionalDouble.empty()));
        }
      }
    }
    if (deep.isEmpty()) {
      return chosen(
          Optional.empty(),
          Optional.empty(),
          Verdict.MEASURE_AGAIN,
          List.of(Advice.read("cards.depth.deeper")),
          warnings);
    }
    CardScanFinding.Square fastest =
        deep.stream()
            .max(Comparator.comparingDouble(s -> pace(chosen(grid, s.column(), s.row()))))
            .orElseThrow();
    if (fastest.darkness().value() - 2 * error < task.wantedMm()) {
      warnings.add(Message.of("cards.depth.unsure", Amount.mm(2 * error, 2)));
    }
    Chosen steadiest =
        deep.stream()
            .max(Comparator.comparingLong(s -> near(deep, s)))
            .map(s -> chosen(grid, s.column(), s.row()))
            .orElseThrow();
    Chosen its = chosen(grid, fastest.column(), fastest.row());
    return chosen(
        Optional.of(its),
        Optional.of(steadiest),
        Verdict.WITHIN,
        advice(its, steadiest, false),
        warnings);
  }

  /** What is chosen without a look or a power. */
  static CardsFinding chosen(
      Optional<Chosen> fastest,
      Optional<Chosen> steadiest,
      Verdict verdict,
      List<Advice> advice,
      List<Message> warnings) {
    return new CardsFinding(
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        fastest,
        steadiest,
        verdict,
        advice,
        warnings);
  }

  /** All that is set, as far as it was said. */
  static Message said(Chosen chosen) {
    List<Message> parts = new ArrayList<>();
    parts.add(
        Message.of(
            "cards.setting.power",
            Amount.of(chosen.percent(), Quantity.PERCENT, chosen.percent() < 10 ? 1 : 0),
            Amount.of(chosen.speedMmS(), Quantity.SPEED, chosen.speedMmS() < 20 ? 1 : 0)));
    chosen
        .all()
        .ifPresent(s -> {
          part(parts, "cards.setting.interval", s.intervalMm(), Quantity.LINE_INTERVAL, 3);
          part(parts, "cards.setting.passes", s.passes(), Quantity.NUMBER, 0);
          part(parts, "cards.setting.khz", s.khz(), Quantity.PULSE_RATE, 1);
          part(parts, "cards.setting.pulse", s.pulseNs(), Quantity.PULSE_LENGTH, 1);
          part(parts, "cards.setting.wobble", s.wobbleMm(), Quantity.LENGTH, 3);
        });
    return Message.list(parts);
  }

  private static void part(
      List<Message> into, String key, OptionalDouble value, Quantity quantity, int decimals) {
    value.ifPresent(v -> into.add(Message.of(key, Amount.of(v, quantity, decimals))));
  }
}
