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
import zebrawood.desktop.sheet.FigureTile;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Finding;
import zebrawood.measure.ShimStacks.Stack;
import zebrawood.measure.TurnDirection;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A bed finding as the steps and sentences of the sheet. */
final class BedAdvice {
  private static final Map<String, String> FRACTIONS =
      Map.of("1/8", "⅛", "1/4", "¼", "3/8", "⅜", "1/2", "½", "5/8", "⅝", "3/4", "¾", "7/8", "⅞");

  private BedAdvice() {}

  /**
   * @param complete whether every place has its reading; a finding can be recorded before
   */
  static List<Step> steps(Outcome.Found<BedTask, Finding> found, boolean complete) {
    List<Step> steps = new ArrayList<>();
    if (!complete) {
      steps.add(Step.of(Message.of("bed.do.more"), Message.of("bed.do.more.why")));
    }
    if (!(found.finding() instanceof LevelFinding level)) {
      found.finding().advice().forEach(a -> steps.add(Step.of(a)));
      return steps;
    }
    switch (level.verdict()) {
      case WITHIN ->
          steps.add(
              Step.of(
                  Message.of("do.nothing"),
                  Message.of(
                      "bed.do.within",
                      mm(level.peakToValleyNowMm()),
                      mm(found.readings().toleranceMm().orElseThrow()))));
      case MEASURE_AGAIN ->
          steps.add(Step.of(Message.of("bed.do.finer"), level.warnings().getFirst()));
      case STOP -> {
        steps.add(
            new Step(Text.of("bed.do.warp.where"), Text.of("bed.do.warp"), Text.of(warp(level)))
                .about("bed.level-fit"));
        steps.addAll(moves(found));
      }
      case ADJUST -> {
        steps.addAll(moves(found));
        steps.add(Step.of(Message.of("bed.do.again")));
      }
    }
    return steps;
  }

  private static Message warp(LevelFinding level) {
    return Message.of(
        "bed.do.warp.why",
        mm(level.warpMm()),
        at(level.highest().xMm()),
        at(level.highest().yMm()),
        at(level.lowest().xMm()),
        at(level.lowest().yMm()));
  }

  private static Amount mm(double value) {
    return Amount.of(value, Quantity.LENGTH, 2);
  }

  private static Message at(double value) {
    return Message.bare(Amount.of(value, Quantity.LENGTH, 0));
  }

  private static List<Step> moves(Outcome.Found<BedTask, Finding> found) {
    return switch (found.finding()) {
      case BedFinding f ->
          f.screws().stream()
              .filter(t -> t.direction() != TurnDirection.NONE)
              .sorted(Comparator.comparingDouble(ScrewTurn::turns).reversed())
              .map(BedAdvice::turn)
              .toList();
      case ShimFinding f -> shims(f, (BedTask.OnShims) found.readings());
      default -> List.of();
    };
  }

  private static Step turn(ScrewTurn turn) {
    String exactly =
        Text.of(
            turn.riseMm() > 0 ? "bed.do.turn.up" : "bed.do.turn.down",
            bare(turn.turns()),
            bare(turn.turnsUncertainty()),
            mm(Math.abs(turn.riseMm())));
    String big =
        turn.eighths() == 0
            ? Text.of("bed.do.leave-screw")
            : Text.of(
                Math.abs(turn.eighths()) > 8 ? "bed.do.turns" : "bed.do.turn",
                pretty(turn),
                turn.direction());
    return new Step(Text.of("bed.do.screw", turn.id()), big, exactly).about("bed.do");
  }

  private static Message bare(double number) {
    return Message.bare(Amount.of(number, Quantity.NUMBER, 2));
  }

  /** Turns rounded to eighths with the typeface's own fractions, such as "1¼". */
  static String pretty(ScrewTurn turn) {
    String rounded = turn.roundedTurns();
    int space = rounded.indexOf(' ');
    String fraction = rounded.substring(space + 1);
    return (space < 0 ? "" : rounded.substring(0, space))
        + FRACTIONS.getOrDefault(fraction, fraction);
  }

  private static List<Step> shims(ShimFinding f, BedTask.OnShims task) {
    List<Stack> stacks = task.stacks(f);
    List<Step> steps = new ArrayList<>();
    for (int i = 0; i < stacks.size(); i++) {
      Shim shim = f.shims().get(i);
      if (shim.thicknessMm() > 0 && !stacks.get(i).piecesMm().isEmpty()) {
        steps.add(
            new Step(
                    Text.of(task.underHead() ? "bed.do.column-foot" : "bed.do.foot", shim.id()),
                    Text.of("bed.do.shim", stacks.get(i).said()),
                    Text.of(
                        "bed.do.shim.exact",
                        mm(shim.thicknessMm()),
                        Message.bare(mm(shim.thicknessMmUncertainty()))))
                .about("bed.shimming"));
      }
    }
    return steps;
  }

  /** To the hundredth that is shown, so that the cost is the difference of the figures seen. */
  private static double asShown(double mm) {
    return Math.round(100 * mm) / 100.0;
  }

  /** The line under the plan: now, after, and what rounding costs. */
  static List<Message> summary(Outcome.Found<BedTask, Finding> found) {
    if (!(found.finding() instanceof LevelFinding level)) {
      return List.of();
    }
    double rounded =
        switch (level) {
          case BedFinding f -> f.peakToValleyAfterEighthsMm();
          case ShimFinding f -> ((BedTask.OnShims) found.readings()).afterStacksMm(f);
        };
    return List.of(
        Message.of(
            level instanceof BedFinding ? "bed.summary.screws" : "bed.summary.shims",
            mm(level.peakToValleyNowMm()),
            mm(level.peakToValleyAfterMm()),
            mm(rounded),
            mm(Math.max(0, asShown(rounded) - asShown(level.peakToValleyAfterMm())))),
        Message.of(
            "bed.summary.slope",
            bare(level.slopeXMmPerM()),
            bare(level.slopeXMmPerMUncertainty()),
            bare(level.slopeYMmPerM()),
            Amount.of(level.slopeYMmPerMUncertainty(), Quantity.SLOPE, 2)));
  }

  /** What it is now, what it will be, and the slopes. */
  static List<FigureTile> tiles(Outcome.Found<BedTask, Finding> found) {
    if (!(found.finding() instanceof LevelFinding level)) {
      return List.of();
    }
    double limitMm = found.readings().toleranceMm().orElseThrow();
    boolean screws = level instanceof BedFinding;
    double rounded =
        switch (level) {
          case BedFinding f -> f.peakToValleyAfterEighthsMm();
          case ShimFinding f -> ((BedTask.OnShims) found.readings()).afterStacksMm(f);
        };
    return List.of(
        FigureTile.of(Message.of("bed.figure.highToLow"), mm(level.peakToValleyNowMm()))
            .limited(mm(limitMm)),
        FigureTile.of(Message.of("bed.tile.after"), mm(level.peakToValleyAfterMm()))
            .limited(mm(limitMm)),
        FigureTile.of(Message.of(screws ? "bed.tile.eighths" : "bed.tile.stacks"), mm(rounded))
            .limited(mm(limitMm)),
        FigureTile.of(Message.of("bed.figure.warp"), mm(level.warpMm())));
  }
}
