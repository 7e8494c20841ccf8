package zebrawood.focus;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * Marks burnt at several heights, judged by the width of their lines or by a score.
 *
 * @param rungs at least four, all with a width or all with a score
 * @param resolution what is told apart, of the width in mm or of the score
 */
public record LadderReadings(List<Rung> rungs, double resolution) {
  static final int LEAST_RUNGS = 4;
  private static final double LARGEST_SCORE = 1e6;

  /**
   * One mark.
   *
   * @param score the higher the better: brightness, sound, what the eye says
   */
  public record Rung(double heightMm, OptionalDouble lineWidthMm, OptionalDouble score) {}

  public LadderReadings {
    rungs = List.copyOf(rungs);
    boolean byScore = !rungs.isEmpty() && rungs.getFirst().score.isPresent();
    var accepts = new Accepts().atLeast("rungs", rungs, LEAST_RUNGS, "focus.count.rungs");
    for (int i = 0; i < rungs.size(); i++) {
      Rung rung = rungs.get(i);
      String at = "rungs[" + i + "]";
      accepts.between(
          at + ".heightMm", rung.heightMm, -RampReadings.LONGEST_MM, RampReadings.LONGEST_MM);
      if (rung.score.isPresent() == rung.lineWidthMm.isPresent()) {
        accepts.complain(
            at,
            Message.of(rung.score.isPresent() ? "focus.found.both" : "focus.found.neither"),
            Message.of("focus.accepts.one-of-two"));
      } else if (rung.score.isPresent() != byScore) {
        accepts.complain(
            at,
            Message.of(byScore ? "focus.found.width" : "focus.found.score"),
            Message.of("focus.accepts.all-alike"));
      } else if (byScore) {
        accepts.between(at + ".score", rung.score.getAsDouble(), -LARGEST_SCORE, LARGEST_SCORE);
      } else {
        accepts.between(
            at + ".lineWidthMm",
            rung.lineWidthMm.getAsDouble(),
            RampReadings.THINNEST_MM,
            RampReadings.WIDEST_MM);
      }
    }
    accepts
        .between(
            "resolution",
            resolution,
            RampReadings.FINEST_MM,
            byScore ? LARGEST_SCORE : RampReadings.WIDEST_MM)
        .atMost("rungs", rungs, RampReadings.MOST_SAMPLES)
        .orThrow();
    RampReadings.reach("rungs", rungs.stream().mapToDouble(Rung::heightMm).summaryStatistics());
  }

  boolean byScore() {
    return rungs.getFirst().score.isPresent();
  }
}
