package zebrawood.mirrors;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.function.ToDoubleFunction;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What the marks come to.
 *
 * @param mirrors by number, from "1"
 * @param headShiftRightMm left at the head after both angles are right
 * @param wanderNowMm largest distance between any two marks at the head
 * @param wanderAfterMm the same, predicted for exact turns
 * @param wanderAfterRoundedMm predicted for turns rounded to minutes of a clock's face
 * @param residualRmsMm misfit over all marks and both axes
 * @param suspicion what the misfit looks like, where there is one
 */
public record MirrorFinding(
    SequencedMap<String, Mirror> mirrors,
    double headShiftRightMm,
    double headShiftUpMm,
    double wanderNowMm,
    double wanderAfterMm,
    double wanderAfterRoundedMm,
    double residualRmsMm,
    Optional<Suspicion> suspicion,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public MirrorFinding {
    mirrors =
        java.util.Collections.unmodifiableSequencedMap(new java.util.LinkedHashMap<>(mirrors));
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /** How far the angles have moved a mark to the right, by its path from each mirror before it. */
  public double movedRightMm(double[] pathsMm) {
    return moved(pathsMm, AxisColumns.SWAPS, m -> m.beamErrorRightMrad().value());
  }

  /** And how far up. */
  public double movedUpMm(double[] pathsMm) {
    return moved(pathsMm, AxisColumns.KEEPS, m -> m.beamErrorUpMrad().value());
  }

  private double moved(double[] pathsMm, double fold, ToDoubleFunction<Mirror> angleMrad) {
    double[] metres = Arrays.stream(pathsMm).map(mm -> mm / 1000).toArray();
    double[] angles = mirrors.values().stream().mapToDouble(angleMrad).toArray();
    return AxisColumns.movedMm(metres, fold, angles);
  }

  /**
   * What a screw has to do.
   *
   * @param turns exact, never below 0
   * @param clockMinutes rounded to minutes of a clock's face, clockwise positive: a sixtieth of a
   *     turn is as fine as a hand turns a thumbscrew
   */
  public record Turn(Estimate turns, TurnDirection direction, int clockMinutes) {

    /** What the rounded turn takes off an angle, in the unit of that angle. */
    double turned(double error) {
      return turns.value() == 0 ? 0 : error * (Math.abs(clockMinutes) / MINUTES) / turns.value();
    }

    private static final double MINUTES = 60;
  }

  /** The deviation added at a mirror, in the frame just after it, and what cancels it. */
  public record Mirror(
      Estimate beamErrorRightMrad, Estimate beamErrorUpMrad, Turn sideways, Turn upDown) {}
}
