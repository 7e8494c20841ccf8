package zebrawood.cards;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.cards.CardPlanFinding.Program;
import zebrawood.cards.CardPlanFinding.Run;
import zebrawood.cards.CardPlanFinding.Square;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where each square of a card lies, what it is burnt with, how long that takes, and whether it fits
 * on the machine.
 *
 * <p>A line is run up to outside of its square, so that the speed is even on it: v squared over
 * twice the acceleration (uniform acceleration from rest; any textbook of mechanics). Each move
 * begins and ends at rest, a line with its run-up and run-down being one move; a move of d at speed
 * v takes d / v + v / a where it is long enough to reach v, and 2 sqrt(d / a) where it is not.
 * Gentlest squares come first, the four crosses last.
 */
public final class CardPlan {
  /** Sums of decimal fractions are off by less. */
  private static final double ROUNDING_MM = 1e-9;

  private CardPlan() {}

  /**
   * @throws UnusableReading where a power word comes out as 0: nothing would be burnt
   */
  public static CardPlanFinding solve(CardPlanReadings r) {
    CardPlanFinding planned = planned(r);
    boolean written =
        planned.fits()
            && r.topPowerWord().isPresent()
            && r.accelerationMmS2().isPresent()
            && inProgram(r);
    Optional<String> program =
        written ? Optional.of(new CardProgram(r, planned).gcode()) : Optional.empty();
    return new CardPlanFinding(
        planned.squares(),
        planned.crossesMm(),
        planned.extentMm(),
        planned.fits(),
        planned.seconds(),
        new Program(program),
        planned.runs(),
        planned.verdict(),
        planned.advice(),
        planned.warnings());
  }

  private static boolean inProgram(CardPlanReadings r) {
    return Stream.concat(r.across().stream(), r.up().stream())
        .allMatch(s -> s.figure().inProgram());
  }

  /** The same without its program, which is long. */
  public static CardPlanFinding planned(CardPlanReadings r) {
    List<Square> squares = squares(r);
    OptionalInt crossWord = word(r, "crossAt.percent", r.crossAt().percent());
    List<Double> extent = extent(r);
    boolean fits =
        extent.get(0) >= -ROUNDING_MM
            && extent.get(1) >= -ROUNDING_MM
            && extent.get(2) <= r.travelMm().get(0) + ROUNDING_MM
            && extent.get(3) <= r.travelMm().get(1) + ROUNDING_MM;
    OptionalDouble seconds =
        r.accelerationMmS2().isPresent() && r.travelSpeedMmS().isPresent()
            ? OptionalDouble.of(new CardClock(r).seconds(inOrder(squares)))
            : OptionalDouble.empty();
    List<Message> warnings = new ArrayList<>();
    if (r.accelerationMmS2().isEmpty()) {
      warnings.add(Message.of("cards.plan.no-acceleration"));
    }
    if (crossWord.isEmpty()) {
      warnings.add(Message.of("cards.plan.no-word"));
    }
    if (!inProgram(r)) {
      warnings.add(Message.of("cards.plan.not-in-program"));
    }
    if (r.travelSpeedMmS().isEmpty()) {
      warnings.add(Message.of("cards.plan.no-travel-speed"));
    }
    return new CardPlanFinding(
        squares,
        r.crossesMm(),
        extent,
        fits,
        seconds,
        new Program(Optional.empty()),
        r.layersMost().isPresent() ? Optional.of(runs(squares, r)) : Optional.empty(),
        fits ? Verdict.WITHIN : Verdict.STOP,
        List.of(fits ? burn(seconds) : move(extent, r)),
        warnings);
  }

  private static Advice burn(OptionalDouble seconds) {
    Advice burn = Advice.leave("cards.plan.burn");
    return seconds.isPresent()
        ? burn.because(
            "cards.plan.burn.why", Amount.of(seconds.getAsDouble() / 60, Quantity.MINUTES, 1))
        : burn;
  }

  private static Advice move(List<Double> extent, CardPlanReadings r) {
    return Advice.act("cards.plan.off")
        .because(
            "cards.plan.off.why",
            Message.bare(Amount.mm(extent.get(0), 1)),
            Amount.mm(extent.get(1), 1),
            Message.bare(Amount.mm(extent.get(2), 1)),
            Amount.mm(extent.get(3), 1),
            Message.bare(Amount.mm(r.travelMm().get(0), 1)),
            Amount.mm(r.travelMm().get(1), 1));
  }

  private static List<Square> squares(CardPlanReadings r) {
    boolean timed = r.accelerationMmS2().isPresent() && r.travelSpeedMmS().isPresent();
    Optional<CardClock> clock = timed ? Optional.of(new CardClock(r)) : Optional.empty();
    List<Square> squares = new ArrayList<>();
    for (int row = 0; row < r.rows(); row++) {
      for (int column = 0; column < r.columns(); column++) {
        CardSetting setting = r.setting(column, row);
        String field = "percents[" + (r.across().isPresent() ? 0 : column) + "]";
        Square square =
            new Square(
                column,
                row,
                setting.percent(),
                setting.speedMmS(),
                word(r, field, setting.percent()),
                r.xMm(column),
                r.yMm(row),
                r.widthMm(),
                r.heightMm(),
                runUp(r, setting.speedMmS()),
                r.strokes(column, row),
                OptionalDouble.empty(),
                r.stepped() ? Optional.of(setting) : Optional.empty());
        squares.add(clock.map(c -> square.lasting(c.squareSeconds(square))).orElse(square));
      }
    }
    return squares;
  }

  static OptionalDouble runUp(CardPlanReadings r, double speedMmS) {
    return r.accelerationMmS2().isPresent()
        ? OptionalDouble.of(speedMmS * speedMmS / (2 * r.accelerationMmS2().getAsDouble()))
        : OptionalDouble.empty();
  }

  static OptionalInt word(CardPlanReadings r, String field, double percent) {
    if (r.topPowerWord().isEmpty()) {
      return OptionalInt.empty();
    }
    long word = Math.round(percent / 100 * r.topPowerWord().getAsDouble());
    if (word == 0) {
      throw UnusableReading.of(
          field,
          Message.of("cards.found.word-0", Message.number(percent)),
          Message.of("cards.accepts.word"));
    }
    return OptionalInt.of((int) word);
  }

  private static List<Double> extent(CardPlanReadings r) {
    double beside = r.speedsMmS().stream().mapToDouble(v -> runUp(r, v).orElse(0)).max().orElse(0);
    double arm = r.crossSizeMm() / 2 + runUp(r, r.crossAt().speedMmS()).orElse(0);
    List<Double> first = r.crossesMm().get(0);
    List<Double> last = r.crossesMm().get(2);
    double right = r.xMm(r.columns() - 1) + r.widthMm();
    double upright = r.filled().upright() ? beside : 0;
    double rear = r.yMm(r.rows() - 1) + r.heightMm();
    return List.of(
        Math.min(r.xMm(0) - beside, first.get(0) - arm),
        Math.min(r.yMm(0) - upright, first.get(1) - arm),
        Math.max(right + beside, last.get(0) + arm),
        Math.max(rear + upright, last.get(1) + arm));
  }

  /** Gentlest first; of equal ones those that lie further apart in the list stay so. */
  static List<Square> inOrder(List<Square> squares) {
    return squares.stream()
        .sorted(
            Comparator.comparingDouble(
                s -> s.setting().map(CardSetting::energy).orElse(s.percent() / s.speedMmS())))
        .toList();
  }

  /** Row by row, a new run where one more setting would be too many. */
  private static List<Run> runs(List<Square> squares, CardPlanReadings r) {
    int most = r.layersMost().getAsInt();
    List<Run> runs = new ArrayList<>();
    List<List<Integer>> now = new ArrayList<>();
    Set<CardSetting> settings = new HashSet<>();
    for (Square s : squares) {
      CardSetting setting = r.setting(s.column(), s.row());
      if (!settings.contains(setting) && settings.size() == most) {
        runs.add(new Run(now));
        now = new ArrayList<>();
        settings.clear();
      }
      settings.add(setting);
      now.add(List.of(s.column(), s.row()));
    }
    return Stream.concat(runs.stream(), Stream.of(new Run(now))).toList();
  }
}
