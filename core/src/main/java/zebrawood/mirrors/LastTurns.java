package zebrawood.mirrors;

import java.util.List;
import zebrawood.measure.Numbers;
import zebrawood.mirrors.MirrorFinding.Turn;

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
  static void disobeyed(MirrorReadings earlier, MirrorFinding now, List<String> warnings) {
    MirrorFinding was = Alignment.solve(earlier);
    was.mirrors()
        .forEach((name, m) -> {
          var after = now.mirrors().get(name);
          if (after != null) {
            disobeyed(
                new MountScrew(Integer.parseInt(name), true),
                m.sideways(),
                m.beamErrorRightMrad(),
                after.beamErrorRightMrad(),
                Math.hypot(
                    m.beamErrorRightMradUncertainty(), after.beamErrorRightMradUncertainty()),
                warnings);
            disobeyed(
                new MountScrew(Integer.parseInt(name), false),
                m.upDown(),
                m.beamErrorUpMrad(),
                after.beamErrorUpMrad(),
                Math.hypot(m.beamErrorUpMradUncertainty(), after.beamErrorUpMradUncertainty()),
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
      List<String> warnings) {
    double asked = turn.turned(was);
    double did = was - is;
    double amiss = Math.abs(did - asked);
    if (asked == 0 || amiss < SURE * uncertainty || amiss < AMISS * Math.abs(asked)) {
      return;
    }
    String why =
        did * asked < 0
            ? "it was turned the other way, or clockwise does the opposite there"
            : Math.abs(did) < Math.abs(asked)
                ? "it has play, or was not turned as far"
                : "it does more a turn than was thought";
    warnings.add(
        "Since the last marks %s took off %s ± %s mrad and not %s: %s. Try it by a quarter turn."
            .formatted(
                screw.words(),
                Numbers.fixed(Math.signum(asked) * did, 1),
                Numbers.fixed(uncertainty, 1),
                Numbers.fixed(Math.abs(asked), 1),
                why));
  }
}
