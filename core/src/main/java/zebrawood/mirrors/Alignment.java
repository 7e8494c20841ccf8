package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;
import zebrawood.measure.Estimate;
import zebrawood.measure.LinearFit;
import zebrawood.measure.Numbers;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorFinding.Mirror;
import zebrawood.mirrors.MirrorFinding.Turn;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Learned;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;

/**
 * Which screws of the steering mirrors must be turned, how far and which way, for the beam to stay
 * in one place at the head wherever the head is?
 *
 * <p>In: marks in mm with their paths in mm. Out: the deviation added at each mirror in mrad with
 * its standard deviation, turns, offsets left in mm. One linear least-squares solution over all
 * marks and both axes; unknown in each axis are the offset of the marks at each place, and the
 * angle of each mirror, as {@link Columns} has them: a mark has moved by each angle times the path
 * from its mirror, to the right with the sign changed by each fold on the way.
 *
 * <p>A mirror turned by a about the vertical turns the beam by 2a; tipped by b about the horizontal
 * line in its face by 2 cos(i) b, at an angle of incidence i (the root of 2 at 45 degrees): the law
 * of reflection, for small angles; checked against rays in three dimensions. The only mirror of a
 * train of one folds the beam down, so that the two change places. A screw that was tried has its
 * own response instead.
 *
 * <p>Refuses marks that do not determine every angle. Not for misalignments of several degrees.
 */
public final class Alignment {
  private static final double MINUTES = 60;

  private static final double NOTHING_MRAD = 1e-9;

  /** The beam turns twice as far as the mirror where both turn in the plane of the fold. */
  private static final double IN_PLANE = 2;

  private final MirrorReadings readings;
  private final List<Mark> marks;
  private final int mirrors;
  private final Columns columns;
  private final LinearFit fit;

  private Alignment(MirrorReadings readings) {
    this.readings = readings;
    marks = readings.marks();
    mirrors = readings.mirrorTrain().mirrors();
    columns = Columns.of(marks, mirrors);
    fit = fit(marks, columns, readings);
  }

  public static MirrorFinding solve(MirrorReadings readings) {
    return new Alignment(readings).solve();
  }

  /** Both axes in one fit: first all to the right, then all up. */
  static LinearFit fit(List<Mark> marks, Columns columns, MirrorReadings readings) {
    int n = marks.size();
    int u = columns.count();
    double[][] design = new double[2 * n][2 * u];
    double[] read = new double[2 * n];
    for (int i = 0; i < n; i++) {
      Mark mark = marks.get(i);
      System.arraycopy(columns.row(mark, Columns.SWAPS), 0, design[i], 0, u);
      System.arraycopy(columns.row(mark, Columns.KEEPS), 0, design[n + i], u, u);
      read[i] = mark.rightMm();
      read[n + i] = mark.upMm();
    }
    return LinearFit.of(design, read, readings.markResolutionMm() / Math.sqrt(12));
  }

  private Estimate right(int mirror) {
    return fit.estimate(columns.angle(mirror));
  }

  private Estimate up(int mirror) {
    return fit.estimate(columns.count() + columns.angle(mirror));
  }

  private MirrorFinding solve() {
    SequencedMap<String, Mirror> found = new LinkedHashMap<>();
    double[] rightMrad = new double[mirrors];
    double[] upMrad = new double[mirrors];
    double[] roundedRight = new double[mirrors];
    double[] roundedUp = new double[mirrors];
    for (int i = 1; i <= mirrors; i++) {
      var mount = readings.mounts().get(String.valueOf(i));
      double across =
          2 * Math.cos(Math.toRadians(readings.mirrorTrain().incidenceDeg().get(i - 1)));
      boolean down = readings.mirrorTrain().foldsDown();
      Mirror mirror =
          new Mirror(
              snapped(right(i).value()),
              right(i).uncertainty(),
              snapped(up(i).value()),
              up(i).uncertainty(),
              turn(mount.sideways(), right(i), down ? across : IN_PLANE),
              turn(mount.upDown(), up(i), down ? IN_PLANE : across));
      found.put(String.valueOf(i), mirror);
      rightMrad[i - 1] = right(i).value();
      upMrad[i - 1] = up(i).value();
      roundedRight[i - 1] = mirror.sideways().turned(mirror.beamErrorRightMrad());
      roundedUp[i - 1] = mirror.upDown().turned(mirror.beamErrorUpMrad());
    }
    double now = wander(new double[mirrors], new double[mirrors]);
    double after = wander(rightMrad, upMrad);
    double rounded = wander(roundedRight, roundedUp);
    double rms = Misfit.rmsMm(fit);
    double shiftRight = fit.coefficient(columns.offset(At.HEAD));
    double shiftUp = fit.coefficient(columns.count() + columns.offset(At.HEAD));
    Optional<Suspicion> suspicion = Misfit.of(readings, columns, fit);
    Verdict verdict = verdict(now, after);
    return new MirrorFinding(
        found,
        shiftRight,
        shiftUp,
        now,
        after,
        rounded,
        rms,
        suspicion,
        verdict,
        advice(verdict, suspicion, found, now, rounded, shiftRight, shiftUp),
        warnings(verdict, suspicion, rms, after, shiftRight, shiftUp));
  }

  private static double snapped(double mrad) {
    return Numbers.snap(mrad, NOTHING_MRAD);
  }

  private static Turn turn(Screw screw, Estimate error, double gain) {
    double errorMrad = error.value();
    Learned response = screw.response(gain);
    double mradPerTurn = response.mradPerTurn();
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
    double uncertainty =
        Math.hypot(error.uncertainty(), turns * response.mradPerTurnUncertainty()) / mradPerTurn;
    return new Turn(turns, uncertainty, direction, clockwise ? minutes : -minutes);
  }

  /**
   * Largest distance between any two marks at the head when these angles are taken away.
   *
   * <p>Metres times mrad are mm.
   */
  private double wander(double[] rightMrad, double[] upMrad) {
    List<double[]> places = new ArrayList<>();
    for (Mark mark : marks) {
      if (mark.atHead()) {
        places.add(
            new double[] {
              mark.rightMm() - columns.moved(mark, Columns.SWAPS, rightMrad),
              mark.upMm() - columns.moved(mark, Columns.KEEPS, upMrad)
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

  private List<String> warnings(
      Verdict verdict,
      Optional<Suspicion> suspicion,
      double rms,
      double after,
      double shiftRight,
      double shiftUp) {
    List<String> warnings = new ArrayList<>();
    double expected = readings.markResolutionMm() / Math.sqrt(12);
    suspicion.ifPresent(s ->
        warnings.add(
            "The marks do not fit any set of angles: %s mm off, the worst %s, reading error %s mm%s."
                .formatted(
                    Numbers.fixed(rms, 2),
                    Misfit.worst(marks, fit),
                    Numbers.fixed(expected, 2),
                    // What has to be done first says it already.
                    verdict == Verdict.STOP ? "" : "; " + s.words())));
    if (verdict == Verdict.STOP) {
      warnings.add(
          "Exact turns would leave %s mm of wander, limit %s."
              .formatted(Numbers.fixed(after, 2), Numbers.plain(readings.toleranceMm())));
    }
    double shift = Math.hypot(shiftRight, shiftUp);
    if (verdict != Verdict.STOP && shift > readings.apertureMm() / 4) {
      warnings.add(
          "The beam enters the head %s mm off its middle: no screw cures that, a mount or the tube is to be moved."
              .formatted(Numbers.fixed(shift, 1)));
    }
    return warnings;
  }

  private List<String> advice(
      Verdict verdict,
      Optional<Suspicion> suspicion,
      SequencedMap<String, Mirror> mirrors,
      double now,
      double rounded,
      double shiftRight,
      double shiftUp) {
    List<String> advice = new ArrayList<>();
    switch (verdict) {
      case WITHIN ->
          advice.add(
              "Leave the screws: the marks at the head wander %s mm, limit %s."
                  .formatted(Numbers.fixed(now, 2), Numbers.plain(readings.toleranceMm())));
      case STOP ->
          advice.add(
              "Look for what is loose or bent before you turn a screw: %s."
                  .formatted(
                      suspicion
                          .map(Suspicion::words)
                          .orElse("no angles bring the marks within the limit")));
      default -> {
        mirrors.forEach((name, m) -> {
          screw(advice, new MountScrew(Integer.parseInt(name), true), m.sideways());
          screw(advice, new MountScrew(Integer.parseInt(name), false), m.upDown());
        });
        advice.add(
            "Burn the marks again: %s mm of wander are left after these turns."
                .formatted(Numbers.fixed(rounded, 2)));
      }
    }
    if (verdict != Verdict.STOP && Math.hypot(shiftRight, shiftUp) > readings.apertureMm() / 4) {
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

  private static void screw(List<String> advice, MountScrew screw, Turn turn) {
    int minutes = Math.abs(turn.clockMinutes());
    if (minutes != 0) {
      advice.add(
          "%s %s by %s ± %s turn: %d %s on a clock's face."
              .formatted(
                  turn(screw),
                  turn.direction().words(),
                  Numbers.fixed(turn.turns(), 2),
                  Numbers.fixed(turn.turnsUncertainty(), 2),
                  minutes,
                  minutes == 1 ? "minute" : "minutes"));
    }
  }

  /** How the advice to turn a screw begins. */
  static String turn(MountScrew screw) {
    return "Turn " + screw.words();
  }
}
