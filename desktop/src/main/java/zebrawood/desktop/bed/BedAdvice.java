package zebrawood.desktop.bed;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.LevelFinding;
import zebrawood.bed.ScrewTurn;
import zebrawood.bed.Shim;
import zebrawood.bed.ShimFinding;
import zebrawood.bed.ShimStacks.Stack;
import zebrawood.bed.Spot;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.text.Text;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Numbers;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.Verdict;

/** A bed finding as the steps and sentences of the sheet. */
final class BedAdvice {
  private static final Map<String, String> FRACTIONS =
      Map.of("1/8", "⅛", "1/4", "¼", "3/8", "⅜", "1/2", "½", "5/8", "⅝", "3/4", "¾", "7/8", "⅞");

  private BedAdvice() {}

  static List<Step> steps(BedOutcome outcome, LengthUnit unit) {
    return switch (outcome) {
      case BedOutcome.Waiting(int more) ->
          List.of(
              new Step(
                  "",
                  Text.of(more == 1 ? "bed.do.read-one" : "bed.do.read", more),
                  Text.of("bed.do.read.why")));
      case BedOutcome.Refused(String because) ->
          List.of(new Step("", Text.of("bed.do.mend"), because));
      case BedOutcome.Found found -> steps(found, unit);
    };
  }

  private static List<Step> steps(BedOutcome.Found found, LengthUnit unit) {
    List<Step> steps = new ArrayList<>();
    Verdict verdict = found.finding().verdict();
    if (!found.complete()) {
      steps.add(new Step("", Text.of("bed.do.more"), Text.of("bed.do.more.why")));
    }
    if (found.finding() instanceof LevelFinding level) {
      switch (verdict) {
        case WITHIN -> steps.add(new Step("", Text.of("do.nothing"), within(found, level, unit)));
        case MEASURE_AGAIN ->
            steps.add(new Step("", Text.of("bed.do.finer"), found.finding().warnings().getFirst()));
        case STOP -> {
          steps.add(
              new Step(Text.of("bed.do.warp.where"), Text.of("bed.do.warp"), warp(level, unit)));
          steps.addAll(moves(found, unit));
        }
        case ADJUST -> {
          steps.addAll(moves(found, unit));
          steps.add(new Step("", Text.of("bed.do.again"), ""));
        }
      }
    } else {
      found.finding().advice().forEach(sentence -> steps.add(Step.sentence(sentence)));
    }
    return steps;
  }

  private static String within(BedOutcome.Found found, LevelFinding level, LengthUnit unit) {
    return Text.of(
        "bed.do.within",
        unit.showWithUnit(level.peakToValleyNowMm(), 2),
        unit.showWithUnit(found.task().toleranceMm().orElseThrow(), 2));
  }

  private static String warp(LevelFinding level, LengthUnit unit) {
    Spot high = level.highest();
    Spot low = level.lowest();
    return Text.of(
        "bed.do.warp.why",
        unit.showWithUnit(level.warpMm(), 2),
        unit.show(high.xMm(), 0),
        unit.show(high.yMm(), 0),
        unit.show(low.xMm(), 0),
        unit.show(low.yMm(), 0));
  }

  private static List<Step> moves(BedOutcome.Found found, LengthUnit unit) {
    return switch (found.finding()) {
      case BedFinding f ->
          f.screws().stream()
              .filter(t -> t.direction() != TurnDirection.NONE)
              .sorted(Comparator.comparingDouble(ScrewTurn::turns).reversed())
              .map(t -> turn(t, unit))
              .toList();
      case ShimFinding f -> shims(f, (BedTask.OnShims) found.task(), unit);
      default -> List.of();
    };
  }

  private static Step turn(ScrewTurn turn, LengthUnit unit) {
    String sub =
        Text.of(
            turn.riseMm() > 0 ? "bed.do.turn.up" : "bed.do.turn.down",
            turn.turns(),
            turn.turnsUncertainty(),
            unit.showWithUnit(Math.abs(turn.riseMm()), 2));
    String big =
        turn.eighths() == 0
            ? Text.of("bed.do.leave-screw")
            : Text.of(
                Math.abs(turn.eighths()) > 8 ? "bed.do.turns" : "bed.do.turn",
                pretty(turn),
                turn.direction().words());
    return new Step(Text.of("bed.do.screw", turn.id()), big, sub);
  }

  /** Turns rounded to eighths with the typeface's own fractions, such as "1¼". */
  static String pretty(ScrewTurn turn) {
    String rounded = turn.roundedTurns();
    int space = rounded.indexOf(' ');
    String fraction = rounded.substring(space + 1);
    return (space < 0 ? "" : rounded.substring(0, space))
        + FRACTIONS.getOrDefault(fraction, fraction);
  }

  private static List<Step> shims(ShimFinding f, BedTask.OnShims task, LengthUnit unit) {
    List<Stack> stacks = task.stacks(f);
    List<Step> steps = new ArrayList<>();
    for (int i = 0; i < stacks.size(); i++) {
      Shim shim = f.shims().get(i);
      if (shim.thicknessMm() > 0 && !stacks.get(i).piecesMm().isEmpty()) {
        steps.add(
            new Step(
                Text.of(task.underHead() ? "bed.do.column-foot" : "bed.do.foot", shim.id()),
                Text.of("bed.do.shim", stack(stacks.get(i), unit)),
                Text.of(
                    "bed.do.shim.exact",
                    unit.showWithUnit(shim.thicknessMm(), 2),
                    unit.show(shim.thicknessMmUncertainty(), 2))));
      }
    }
    return steps;
  }

  private static String stack(Stack stack, LengthUnit unit) {
    if (unit == LengthUnit.MILLIMETRE) {
      return stack.inWords();
    }
    return String.join(" + ", stack.piecesMm().stream().map(mm -> unit.show(mm, 2)).toList())
        + " "
        + unit.symbol();
  }

  /** To the hundredth that is shown, so that the cost is the difference of the figures seen. */
  private static double asShown(double mm) {
    return Math.round(100 * mm) / 100.0;
  }

  /** The line under the plan: now, after, and what rounding costs. */
  static String summary(BedOutcome outcome, LengthUnit unit) {
    if (!(outcome instanceof BedOutcome.Found found)
        || !(found.finding() instanceof LevelFinding level)) {
      return "";
    }
    double rounded =
        switch (level) {
          case BedFinding f -> f.peakToValleyAfterEighthsMm();
          case ShimFinding f -> {
            BedTask.OnShims task = (BedTask.OnShims) found.task();
            yield task.afterStacksMm(f);
          }
        };
    return Text.of(
        level instanceof BedFinding ? "bed.summary.screws" : "bed.summary.shims",
        unit.showWithUnit(level.peakToValleyNowMm(), 2),
        unit.showWithUnit(level.peakToValleyAfterMm(), 2),
        unit.showWithUnit(rounded, 2),
        unit.showWithUnit(Math.max(0, asShown(rounded) - asShown(level.peakToValleyAfterMm())), 2),
        Numbers.fixed(level.slopeXMmPerM(), 2),
        Numbers.fixed(level.slopeXMmPerMUncertainty(), 2),
        Numbers.fixed(level.slopeYMmPerM(), 2),
        Numbers.fixed(level.slopeYMmPerMUncertainty(), 2));
  }
}
