package zebrawood.mirrors;

import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.mirrors.MirrorReadings.Learned;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * A screw turned on trial, and how far a mark moved on the tape that the beam meets next.
 *
 * <p>What does a turn of this screw do? Arm and pitch of a thumbscrew are seldom known; a quarter
 * turn and a second mark tell its response and its direction, and whether it is the screw it was
 * taken for. Accuracy: the tape's step over path and turn; for half a millimetre over half a metre
 * and a quarter turn, 1.6 mrad a turn.
 *
 * @param mirror whose screw it is, from 1
 * @param clockwiseTurns negative for counter-clockwise
 * @param pathMm from that mirror to the tape, with no mirror between
 */
public record ScrewTrial(
    int mirror,
    boolean sideways,
    double clockwiseTurns,
    double movedRightMm,
    double movedUpMm,
    double pathMm) {

  /** What came of it. */
  public sealed interface Outcome {
    record Works(Towards clockwiseMovesBeam, Learned response) implements Outcome {}

    /**
     * @param because says what it may be, and what to do
     */
    record Contradicts(Advice because) implements Outcome {}
  }

  /** A hand turns a screw to half a minute of a clock's face. */
  private static final double HAND_TURNS = 1 / 120.0;

  /** A movement is one when it is so many times its uncertainty. */
  private static final double SURE = 3;

  public ScrewTrial {
    var accepts =
        new Accepts()
            .between("mirror", mirror, 1, 3)
            .between("clockwiseTurns", clockwiseTurns, -5, 5)
            .between("movedRightMm", movedRightMm, -500, 500)
            .between("movedUpMm", movedUpMm, -500, 500)
            .positive("pathMm", pathMm, 100_000);
    if (Math.abs(clockwiseTurns) < 2 * HAND_TURNS) {
      accepts.complain(
          "clockwiseTurns", clockwiseTurns, Message.of("mirrors.screw-trial.least-minute-clock"));
    }
    accepts.orThrow();
  }

  public MountScrew screw() {
    return new MountScrew(mirror, sideways);
  }

  /**
   * @param markResolutionMm what both marks were read to
   */
  public Outcome solve(double markResolutionMm) {
    double own = sideways ? movedRightMm : movedUpMm;
    double other = sideways ? movedUpMm : movedRightMm;
    double moveMm = markResolutionMm / Math.sqrt(6);
    if (Math.abs(own) < SURE * moveMm && Math.abs(other) < SURE * moveMm) {
      return new Outcome.Contradicts(
          Advice.act("mirrors.screw-trial.turn-by-same", screw().said())
              .because("mirrors.screw-trial.mark-not-moved"));
    }
    if (Math.abs(other) > Math.abs(own)) {
      return new Outcome.Contradicts(
          Advice.act("mirrors.screw-trial.look-which-screw")
              .because(
                  "mirrors.screw-trial.mark-went-only",
                  screw().said(),
                  Amount.plain(Math.abs(other), Quantity.LENGTH),
                  way(!sideways, other),
                  Amount.plain(Math.abs(own), Quantity.LENGTH),
                  way(sideways, own)));
    }
    double metres = pathMm / 1000;
    double turns = Math.abs(clockwiseTurns);
    double response = Math.abs(own) / metres / turns;
    double uncertainty = Math.hypot(moveMm / metres / turns, response * HAND_TURNS / turns);
    boolean positive = (own > 0) == (clockwiseTurns > 0);
    return new Outcome.Works(
        sideways ? positive ? Towards.RIGHT : Towards.LEFT : positive ? Towards.UP : Towards.DOWN,
        new Learned(new Estimate(response, uncertainty)));
  }

  private static Message way(boolean sideways, double mm) {
    String towards = sideways ? mm < 0 ? "left" : "right" : mm < 0 ? "down" : "up";
    return Message.of("mirrors.way." + towards);
  }
}
