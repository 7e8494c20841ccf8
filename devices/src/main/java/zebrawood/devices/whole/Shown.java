package zebrawood.devices.whole;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/** What readings and burns of one machine show: other things are in them. */
final class Shown {
  /** A camera's cross is burnt so far from zero, in metres: the scale's error is in it. */
  private static final double CROSS_AT_M = 0.2;

  private static final double SIDE_MM = 100;
  private static final double[] AT = {0.1, 0.5, 0.9};

  private Shown() {}

  static Message said(Trait trait, double value, double unsure) {
    return Message.of(
        "whole.seen.reading",
        Message.of(trait),
        CaseRun.amount(trait, value),
        CaseRun.amount(trait, unsure));
  }

  /** What a reading of it would show without chance: other things are in it. */
  static double reading(WholeMachine machine, Trait trait) {
    double truth = machine.truth(trait);
    return switch (trait) {
      case TUBE_WEAK ->
          100 * (1 - (1 - truth / 100) * (1 - machine.truth(Trait.COOLANT_WARM) / 100));
      case CAMERA_X -> truth + CROSS_AT_M * machine.truth(Trait.SCALE_X);
      case CAMERA_Y -> truth + CROSS_AT_M * machine.truth(Trait.SCALE_Y);
      default -> truth;
    };
  }

  static Message nineSquares(WholeMachine machine, Random random) {
    List<Message> rows = new ArrayList<>();
    for (int row = AT.length - 1; row >= 0; row--) {
      List<Message> grades = new ArrayList<>();
      for (double x : AT) {
        double dark = machine.darkness(x, AT[row]) + 0.03 * random.nextGaussian();
        grades.add(Message.number(Math.clamp(Math.round(10 * dark), 0, 10)));
      }
      rows.add(Message.list(grades));
    }
    return Message.of("whole.seen.squares", rows.get(0), rows.get(1), rows.get(2));
  }

  static Message trialPiece(WholeMachine machine, Random random) {
    double blur = 0.1 * machine.lineWidth(0.5, 0.5);
    double wide = SIDE_MM * (1 + machine.truth(Trait.SCALE_X) / 1000);
    double deep = SIDE_MM * (1 + machine.truth(Trait.SCALE_Y) / 1000);
    double diagonals = SIDE_MM * Math.sqrt(2) * machine.truth(Trait.SQUARENESS) / 1000;
    return Message.of(
        "whole.seen.trial",
        Amount.mm(wide + blur * random.nextGaussian(), 1),
        Amount.mm(deep + blur * random.nextGaussian(), 1),
        Amount.mm(diagonals + blur * random.nextGaussian(), 1),
        Message.number(Math.clamp(Math.round(10 * machine.darkness(0.5, 0.5)), 0, 10)));
  }
}
