package zebrawood.mirrors;

import java.util.List;
import zebrawood.mirrors.MirrorFinding.Turn;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * Did the screws do what was asked of them?
 *
 * <p>The angles before and after are compared with the turns that were advised between; a screw is
 * told of when the difference is more than three of its standard deviations and a good share of
 * what was asked.
 */
final class LastTurns {
  /** A screw that did less or more than this share of what was asked is told of. */
  private static final double AMISS = 0.4;

  private static final double SURE = 3;

  private LastTurns() {}

  /**
   * @param earlier marks before the turns, with the screws as they were taken for
   * @param now what the marks after them came to
   */
  static void disobeyed(MirrorReadings earlier, MirrorFinding now, List<Message> warnings) {
    MirrorFinding was = Alignment.solve(earlier);
    was.mirrors()
        .forEach((name, m) -> {
          var after = now.mirrors().get(name);
          if (after != null) {
            disobeyed(
                new MountScrew(Integer.parseInt(name), true),
                m.sideways(),
                m.beamErrorRightMrad().value(),
                after.beamErrorRightMrad().value(),
                Math.hypot(
                    m.beamErrorRightMrad().uncertainty(), after.beamErrorRightMrad().uncertainty()),
                warnings);
            disobeyed(
                new MountScrew(Integer.parseInt(name), false),
                m.upDown(),
                m.beamErrorUpMrad().value(),
                after.beamErrorUpMrad().value(),
                Math.hypot(
                    m.beamErrorUpMrad().uncertainty(), after.beamErrorUpMrad().uncertainty()),
                warnings);
          }
        });
  }

  private static void disobeyed(
      MountScrew screw,
      Turn turn,
      double was,
      double is,
      double uncertainty,
      List<Message> warnings) {
    double asked = turn.turned(was);
    double did = was - is;
    double amiss = Math.abs(did - asked);
    if (asked == 0 || amiss < SURE * uncertainty || amiss < AMISS * Math.abs(asked)) {
      return;
    }
    Message why =
        Message.of(
            did * asked < 0
                ? "mirrors.last-turns.was-turned-other"
                : Math.abs(did) < Math.abs(asked)
                    ? "mirrors.last-turns.play-was-not"
                    : "mirrors.last-turns.does-more-turn");
    warnings.add(
        Message.of(
            "mirrors.last-turns.since-last-marks",
            screw.said(),
            Amount.of(Math.signum(asked) * did, Quantity.NUMBER, 1),
            Amount.of(uncertainty, Quantity.ANGLE, 1),
            Amount.of(Math.abs(asked), Quantity.NUMBER, 1),
            why));
  }
}
