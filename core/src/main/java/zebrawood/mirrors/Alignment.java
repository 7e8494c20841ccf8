package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.LinearFit;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorFinding.Mirror;
import zebrawood.mirrors.MirrorFinding.Turn;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Learned;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Which screws of the steering mirrors must be turned, how far and which way, for the beam to stay
 * in one place at the head wherever the head is?
 *
 * <p>In: marks in mm with their paths in mm. Out: the deviation added at each mirror in mrad with
 * its standard deviation, turns, offsets left in mm. One linear least-squares solution over all
 * marks and both axes; unknown in each axis are the offset of the marks at each place, and the
 * angle of each mirror, as {@link AxisColumns} has them: a mark has moved by each angle times the
 * path from its mirror, to the right with the sign changed by each fold on the way.
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
  public static final String TURN = "mirrors.alignment.turn";

  private static final double MINUTES = 60;

  private static final double NOTHING_MRAD = 1e-9;

  /** The beam turns twice as far as the mirror where both turn in the plane of the fold. */
  private static final double IN_PLANE = 2;

  private final MirrorReadings readings;
  private final List<Mark> marks;
  private final int mirrors;
  private final AxisColumns columns;
  private final LinearFit fit;

  private Alignment(MirrorReadings readings) {
    this.readings = readings;
    marks = readings.marks();
    mirrors = readings.mirrorTrain().mirrors();
    columns = AxisColumns.of(marks, mirrors);
    fit = fit(marks, columns, readings);
  }

  public static MirrorFinding solve(MirrorReadings readings) {
    return new Alignment(readings).solve();
  }

  /** Both axes in one fit: first all to the right, then all up. */
  static LinearFit fit(List<Mark> marks, AxisColumns columns, MirrorReadings readings) {
    int n = marks.size();
    int u = columns.count();
    double[][] design = new double[2 * n][2 * u];
    double[] read = new double[2 * n];
    for (int i = 0; i < n; i++) {
      Mark mark = marks.get(i);
      System.arraycopy(columns.row(mark, AxisColumns.SWAPS), 0, design[i], 0, u);
      System.arraycopy(columns.row(mark, AxisColumns.KEEPS), 0, design[n + i], u, u);
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
      canExist(right(i));
      canExist(up(i));
      Mirror mirror =
          new Mirror(
              new Estimate(snapped(right(i).value()), right(i).uncertainty()),
              new Estimate(snapped(up(i).value()), up(i).uncertainty()),
              turn(mount.sideways(), right(i), down ? across : IN_PLANE),
              turn(mount.upDown(), up(i), down ? IN_PLANE : across));
      found.put(String.valueOf(i), mirror);
      rightMrad[i - 1] = right(i).value();
      upMrad[i - 1] = up(i).value();
      roundedRight[i - 1] = mirror.sideways().turned(mirror.beamErrorRightMrad().value());
      roundedUp[i - 1] = mirror.upDown().turned(mirror.beamErrorUpMrad().value());
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

  /** A beam that is off by more leaves the machine before it meets anything. */
  private static final double MOST_MRAD = 300;

  /** No screw has more thread. */
  private static final double MOST_TURNS = 1000;

  private static void canExist(Estimate mrad) {
    Accepts.canExist("marks", "mirrors.beam-error", mrad.value(), MOST_MRAD);
    Accepts.canExist("marks", "mirrors.beam-error", mrad.uncertainty(), MOST_MRAD);
  }

  private static double snapped(double mrad) {
    return Numbers.snap(mrad, NOTHING_MRAD);
  }

  private static Turn turn(Screw screw, Estimate error, double gain) {
    double errorMrad = error.value();
    Learned response = screw.response(gain);
    double mradPerTurn = response.mradPerTurn().value();
    double turns = Math.abs(snapped(errorMrad)) / mradPerTurn;
    Accepts.canExist("mounts", "mirrors.turns", turns, MOST_TURNS);
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
        Math.hypot(error.uncertainty(), turns * response.mradPerTurn().uncertainty()) / mradPerTurn;
    return new Turn(new Estimate(turns, uncertainty), direction, clockwise ? minutes : -minutes);
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
              mark.rightMm() - columns.moved(mark, AxisColumns.SWAPS, rightMrad),
              mark.upMm() - columns.moved(mark, AxisColumns.KEEPS, upMrad)
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

  private List<Message> warnings(
      Verdict verdict,
      Optional<Suspicion> suspicion,
      double rms,
      double after,
      double shiftRight,
      double shiftUp) {
    List<Message> warnings = new ArrayList<>();
    Amount error = Amount.mm(readings.markResolutionMm() / Math.sqrt(12), 2);
    Message worst = Misfit.worst(marks, fit);
    suspicion.ifPresent(s ->
        warnings.add(
            // What has to be done first says it already.
            verdict == Verdict.STOP
                ? Message.of("mirrors.alignment.no-fit", Amount.mm(rms, 2), worst, error)
                : Message.of(
                    "mirrors.alignment.no-fit-since", Amount.mm(rms, 2), worst, error, s.said())));
    if (verdict == Verdict.STOP) {
      warnings.add(
          Message.of(
              "mirrors.alignment.exact-turns-would",
              Amount.of(after, Quantity.LENGTH, 2),
              Message.bare(Amount.plain(readings.toleranceMm(), Quantity.LENGTH))));
    }
    double shift = Math.hypot(shiftRight, shiftUp);
    if (verdict != Verdict.STOP && shift > readings.apertureMm() / 4) {
      warnings.add(
          Message.of("mirrors.alignment.beam-enters-head", Amount.of(shift, Quantity.LENGTH, 1)));
    }
    return warnings;
  }

  private List<Advice> advice(
      Verdict verdict,
      Optional<Suspicion> suspicion,
      SequencedMap<String, Mirror> mirrors,
      double now,
      double rounded,
      double shiftRight,
      double shiftUp) {
    List<Advice> advice = new ArrayList<>();
    switch (verdict) {
      case WITHIN ->
          advice.add(
              Advice.leave("mirrors.alignment.leave-screws")
                  .because(
                      "mirrors.alignment.marks-head-wander",
                      Amount.of(now, Quantity.LENGTH, 2),
                      Message.bare(Amount.plain(readings.toleranceMm(), Quantity.LENGTH))));
      case STOP ->
          advice.add(
              Advice.act("mirrors.alignment.look-what-loose")
                  .because(
                      suspicion
                          .map(Suspicion::said)
                          .orElse(Message.of("mirrors.alignment.no-angles"))));
      default -> {
        mirrors.forEach((name, m) -> {
          screw(advice, new MountScrew(Integer.parseInt(name), true), m.sideways());
          screw(advice, new MountScrew(Integer.parseInt(name), false), m.upDown());
        });
        if (advice.isEmpty()) {
          advice.add(Advice.read("mirrors.alignment.finer").because("mirrors.alignment.finer.why"));
        }
        advice.add(
            Advice.read("mirrors.alignment.burn-marks-again")
                .because(
                    "mirrors.alignment.wander-are-left", Amount.of(rounded, Quantity.LENGTH, 2)));
      }
    }
    if (verdict != Verdict.STOP && Math.hypot(shiftRight, shiftUp) > readings.apertureMm() / 4) {
      advice.add(
          Advice.act("mirrors.alignment.then-move-mount")
              .because(
                  "mirrors.alignment.beam-by-angles",
                  Amount.mm(Math.abs(shiftRight), 1),
                  way("mirrors.way", shiftRight > 0 ? "left" : "right"),
                  Amount.mm(Math.abs(shiftUp), 1),
                  way("mirrors.way", shiftUp > 0 ? "down" : "up")));
    }
    return advice;
  }

  private static void screw(List<Advice> advice, MountScrew screw, Turn turn) {
    int minutes = Math.abs(turn.clockMinutes());
    if (minutes != 0 && turn.turns().told()) {
      advice.add(
          Advice.act(
                  TURN,
                  screw.said(),
                  turn.direction(),
                  Amount.of(turn.turns().value(), Quantity.TURNS, 2),
                  Amount.of(turn.turns().uncertainty(), Quantity.TURNS, 2))
              .because(
                  minutes == 1 ? "mirrors.alignment.minute" : "mirrors.alignment.minutes",
                  minutes));
    }
  }

  /** Whether this advice is to turn that screw by a figure. */
  static boolean turns(Advice advice, MountScrew screw) {
    return advice.what().key().equals(TURN)
        && advice.what().arguments().getFirst().equals(screw.said());
  }

  private static Message way(String key, String towards) {
    return Message.of(key + "." + towards);
  }
}
