package zebrawood.desktop.bed;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.BedVisitFinding;
import zebrawood.bed.LevelFinding;
import zebrawood.bed.ScrewTurn;
import zebrawood.bed.Shim;
import zebrawood.bed.ShimFinding;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Step;
import zebrawood.desktop.text.Text;
import zebrawood.measure.ShimStacks.Stack;
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
  static List<Step> steps(Outcome.Solved<BedTask, BedVisitFinding> solved, boolean complete) {
    List<Step> steps = new ArrayList<>();
    if (!complete) {
      steps.add(Step.of(Message.of("bed.do.more"), Message.of("bed.do.more.why")));
    }
    if (!(solved.finding() instanceof LevelFinding level)) {
      solved.finding().advice().forEach(a -> steps.add(Step.of(a)));
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
                      mm(solved.readings().toleranceMm().orElseThrow()))));
      case MEASURE_AGAIN -> {
        if (level.advice().getFirst().what().key().equals("bed.levelling.trial")) {
          level.advice().forEach(a -> steps.add(Step.of(a)));
        } else {
          steps.add(Step.of(Message.of("bed.do.finer"), level.warnings().getFirst()));
        }
      }
      case STOP -> {
        steps.add(
            new Step(Text.of("bed.do.warp.where"), Text.of("bed.do.warp"), Text.of(warp(level)))
                .about("bed.level-fit"));
        steps.addAll(moves(solved));
      }
      case ADJUST -> {
        steps.addAll(moves(solved));
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

  private static List<Step> moves(Outcome.Solved<BedTask, BedVisitFinding> solved) {
    return switch (solved.finding()) {
      case BedFinding f ->
          f.screws().stream()
              .filter(ScrewTurn::asks)
              .sorted(Comparator.comparingDouble((ScrewTurn t) -> t.turns().value()).reversed())
              .map(BedAdvice::turn)
              .toList();
      case ShimFinding f -> shims(f, (BedTask.OnShims) solved.readings());
      default -> List.of();
    };
  }

  private static Step turn(ScrewTurn turn) {
    String exactly =
        Text.of(
            turn.riseMm().value() > 0 ? "bed.do.turn.up" : "bed.do.turn.down",
            bare(turn.turns().value()),
            bare(turn.turns().uncertainty()),
            mm(Math.abs(turn.riseMm().value())));
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
      if (shim.thicknessMm().told() && !stacks.get(i).piecesMm().isEmpty()) {
        steps.add(
            new Step(
                    Text.of(task.underHead() ? "bed.do.column-foot" : "bed.do.foot", shim.id()),
                    Text.of("bed.do.shim", stacks.get(i).said()),
                    Text.of(
                        "bed.do.shim.exact",
                        mm(shim.thicknessMm().value()),
                        Message.bare(mm(shim.thicknessMm().uncertainty()))))
                .about("bed.shimming"));
      }
    }
    return steps;
  }

  /** What it is now, what it will be, and the slopes. */
  static List<FigureTile> tiles(Outcome.Solved<BedTask, BedVisitFinding> solved) {
    if (!(solved.finding() instanceof LevelFinding level)) {
      return List.of();
    }
    double limitMm = solved.readings().toleranceMm().orElseThrow();
    boolean screws = level instanceof BedFinding;
    return List.of(
        FigureTile.of(Message.of("bed.figure.highToLow"), mm(level.peakToValleyNowMm()))
            .limited(mm(limitMm)),
        FigureTile.of(Message.of("bed.tile.after"), mm(level.peakToValleyAfterMm()))
            .limited(mm(limitMm)),
        FigureTile.of(
                Message.of(screws ? "bed.tile.eighths" : "bed.tile.stacks"),
                mm(solved.readings().afterRoundingMm(level)))
            .limited(mm(limitMm)),
        FigureTile.of(Message.of("bed.figure.warp"), mm(level.warpMm())));
  }
}
