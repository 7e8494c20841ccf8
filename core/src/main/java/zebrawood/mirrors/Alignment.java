package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import zebrawood.measure.Estimate;
import zebrawood.measure.LinearFit;
import zebrawood.measure.Numbers;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorFinding.Mirror;
import zebrawood.mirrors.MirrorFinding.Turn;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;

/**
 * Which screws of both mirrors must be turned, how far and which way, for the beam to stay in one
 * place at the head wherever the head is?
 *
 * <p>In: marks in mm with their paths in mm. Out: the deviation added at each mirror in mrad with
 * its standard deviation, turns, offsets left in mm. One linear least-squares solution over all
 * marks and both axes; unknown in each axis are the offset of the marks at mirror 2, the offset of
 * those at the head, and the angle of each mirror. A mark at the head has moved by angle 1 over the
 * whole path, with its sign changed to the right by the fold at mirror 2, and by angle 2 over the
 * path from there.
 *
 * <p>A mirror turned by a about the vertical turns the beam by 2a; tipped by b about the horizontal
 * line in its face by sqrt(2) b, at 45 degrees: the law of reflection, for small angles; checked
 * against rays in three dimensions.
 *
 * <p>Refuses marks that do not determine both angles. Not for misalignments of several degrees.
 */
public final class Alignment {
  private static final double MINUTES = 60;

  private static final double NOTHING_MRAD = 1e-9;
  private static final double FOLDED = Math.sqrt(2);
  private static final double TURNED = 2;

  /** Well above the reading error: something is loose or bent. */
  private static final double SUSPICIOUS = 2.5;

  private final MirrorReadings readings;
  private final List<Mark> marks;
  private final boolean atMirror2;
  private final LinearFit fit;

  private Alignment(MirrorReadings readings) {
    this.readings = readings;
    marks = readings.marks();
    atMirror2 = marks.stream().anyMatch(m -> !m.atHead());
    fit = fit();
  }

  public static MirrorFinding solve(MirrorReadings readings) {
    return new Alignment(readings).solve();
  }

  /**
   * Unknowns of one axis: offset at mirror 2 where there are such marks, angle 1, offset, angle 2.
   */
  private int unknowns() {
    return atMirror2 ? 4 : 3;
  }

  private LinearFit fit() {
    int n = marks.size();
    int u = unknowns();
    double[][] design = new double[2 * n][2 * u];
    double[] read = new double[2 * n];
    for (int i = 0; i < n; i++) {
      Mark mark = marks.get(i);
      System.arraycopy(MarksNeeded.row(mark, -1), 4 - u, design[i], 0, u);
      System.arraycopy(MarksNeeded.row(mark, 1), 4 - u, design[n + i], u, u);
      read[i] = mark.rightMm();
      read[n + i] = mark.upMm();
    }
    return LinearFit.of(design, read, readings.markResolutionMm() / Math.sqrt(12));
  }

  private Estimate right(int angleOfMirror) {
    return fit.estimate(index(angleOfMirror));
  }

  private Estimate up(int angleOfMirror) {
    return fit.estimate(unknowns() + index(angleOfMirror));
  }

  private int index(int angleOfMirror) {
    return (angleOfMirror == 1 ? 0 : 2) + unknowns() - 3;
  }

  private int headOffset() {
    return unknowns() - 2;
  }

  private MirrorFinding solve() {
    SequencedMap<String, Mirror> mirrors = new LinkedHashMap<>();
    for (int i = 1; i <= 2; i++) {
      var mount = readings.mounts().get(String.valueOf(i));
      mirrors.put(
          String.valueOf(i),
          new Mirror(
              snapped(right(i).value()),
              right(i).uncertainty(),
              snapped(up(i).value()),
              up(i).uncertainty(),
              turn(mount.sideways(), right(i), TURNED),
              turn(mount.upDown(), up(i), FOLDED)));
    }
    double now = wander(0, 0, 0, 0);
    double after = wander(right(1).value(), up(1).value(), right(2).value(), up(2).value());
    double rounded =
        wander(
            turned(mirrors, "1", true),
            turned(mirrors, "1", false),
            turned(mirrors, "2", true),
            turned(mirrors, "2", false));
    double rms =
        Math.sqrt(fit.residuals().stream().mapToDouble(r -> r * r).sum() / (2.0 * marks.size()));
    double shiftRight = fit.coefficient(headOffset());
    double shiftUp = fit.coefficient(unknowns() + headOffset());
    List<String> warnings = warnings(rms, shiftRight, shiftUp);
    Verdict verdict = verdict(now, after);
    return new MirrorFinding(
        mirrors,
        shiftRight,
        shiftUp,
        now,
        after,
        rounded,
        rms,
        verdict,
        advice(verdict, mirrors, now, after, rounded, shiftRight, shiftUp),
        warnings);
  }

  private static double snapped(double mrad) {
    return Numbers.snap(mrad, NOTHING_MRAD);
  }

  private static Turn turn(Screw screw, Estimate error, double gain) {
    double errorMrad = error.value();
    double mradPerTurn = 1000 * gain * screw.pitchMm() / screw.armMm();
    double turns = Math.abs(snapped(errorMrad)) / mradPerTurn;
    boolean positive =
        screw.clockwiseMovesBeam() == Towards.RIGHT || screw.clockwiseMovesBeam() == Towards.UP;
    // The turn takes the beam back from where the error has it.
    boolean clockwise = (errorMrad > 0) != positive;
    TurnDirection direction =
        turns == 0
            ? TurnDirection.NONE
            : clockwise ? TurnDirection.CLOCKWISE : TurnDirection.COUNTER_CLOCKWISE;
    int minutes = (int) Math.round(turns * MINUTES);
    return new Turn(
        turns, error.uncertainty() / mradPerTurn, direction, clockwise ? minutes : -minutes);
  }

  /** What the rounded turns take off an angle, in mrad. */
  private double turned(SequencedMap<String, Mirror> mirrors, String mirror, boolean sideways) {
    Mirror m = mirrors.get(mirror);
    Turn turn = sideways ? m.sideways() : m.upDown();
    double error = sideways ? m.beamErrorRightMrad() : m.beamErrorUpMrad();
    return turn.turns() == 0 ? 0 : error * (Math.abs(turn.clockMinutes()) / MINUTES) / turn.turns();
  }

  /**
   * Largest distance between any two marks at the head when these angles are taken away.
   *
   * <p>Metres times mrad are mm.
   */
  private double wander(double right1, double up1, double right2, double up2) {
    List<double[]> places = new ArrayList<>();
    for (Mark mark : marks) {
      if (mark.atHead()) {
        double p1 = mark.pathFrom1Mm() / 1000;
        double p2 = mark.pathFrom2Mm().getAsDouble() / 1000;
        places.add(
            new double[] {
              mark.rightMm() + right1 * p1 - right2 * p2, mark.upMm() - up1 * p1 - up2 * p2
            });
      }
    }
    double largest = 0;
    for (int i = 0; i < places.size(); i++) {
      for (int k = 0; k < i; k++) {
        largest =
            Math.max(
                largest,
                Math.hypot(
                    places.get(i)[0] - places.get(k)[0], places.get(i)[1] - places.get(k)[1]));
      }
    }
    return largest;
  }

  private Verdict verdict(double now, double after) {
    if (now <= readings.toleranceMm()) {
      return Verdict.WITHIN;
    }
    return after > readings.toleranceMm() ? Verdict.STOP : Verdict.ADJUST;
  }

  private List<String> warnings(double rms, double shiftRight, double shiftUp) {
    List<String> warnings = new ArrayList<>();
    double expected = readings.markResolutionMm() / Math.sqrt(12);
    if (fit.degreesOfFreedom() > 0
        && fit.chiSquare() / fit.degreesOfFreedom() > SUSPICIOUS * SUSPICIOUS) {
      warnings.add(
          "The marks do not fit any pair of angles (%s mm off, reading error %s mm): burn one of them again; where it differs, a mount is loose, where it does not, a rail is twisted."
              .formatted(Numbers.fixed(rms, 2), Numbers.fixed(expected, 2)));
    }
    double shift = Math.hypot(shiftRight, shiftUp);
    if (shift > readings.apertureMm() / 4) {
      warnings.add(
          "The beam enters the head %s mm off its middle: no screw cures that, a mount or the tube is to be moved."
              .formatted(Numbers.fixed(shift, 1)));
    }
    return warnings;
  }

  private List<String> advice(
      Verdict verdict,
      SequencedMap<String, Mirror> mirrors,
      double now,
      double after,
      double rounded,
      double shiftRight,
      double shiftUp) {
    List<String> advice = new ArrayList<>();
    if (verdict == Verdict.WITHIN) {
      advice.add(
          "Leave the screws: the marks at the head wander %s mm, limit %s."
              .formatted(Numbers.fixed(now, 2), Numbers.plain(readings.toleranceMm())));
    } else {
      mirrors.forEach((name, m) -> {
        screw(advice, name, "sideways", m.sideways());
        screw(advice, name, "up-and-down", m.upDown());
      });
      if (verdict == Verdict.STOP) {
        advice.addFirst(
            "Look for what is loose or bent before you turn a screw: %s mm of wander stay after exact turns, limit %s."
                .formatted(Numbers.fixed(after, 2), Numbers.plain(readings.toleranceMm())));
      } else {
        advice.add(
            "Burn the marks again: %s mm of wander are left after these turns."
                .formatted(Numbers.fixed(rounded, 2)));
      }
    }
    if (Math.hypot(shiftRight, shiftUp) > readings.apertureMm() / 4) {
      advice.add(
          "Then move the mount or the tube: the beam by %s mm to the %s and %s mm %s, angles first."
              .formatted(
                  Numbers.fixed(Math.abs(shiftRight), 1),
                  shiftRight > 0 ? "left" : "right",
                  Numbers.fixed(Math.abs(shiftUp), 1),
                  shiftUp > 0 ? "down" : "up"));
    }
    return advice;
  }

  private static void screw(List<String> advice, String mirror, String name, Turn turn) {
    int minutes = Math.abs(turn.clockMinutes());
    if (minutes != 0) {
      advice.add(
          "Turn the %s screw of mirror %s %s by %s ± %s turn: %d %s on a clock's face."
              .formatted(
                  name,
                  mirror,
                  turn.direction().words(),
                  Numbers.fixed(turn.turns(), 2),
                  Numbers.fixed(turn.turnsUncertainty(), 2),
                  minutes,
                  minutes == 1 ? "minute" : "minutes"));
    }
  }
}
