package zebrawood.bed;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.Place;
import zebrawood.measure.PlaneFit;
import zebrawood.measure.TurnDirection;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How far must each screw be turned, and which way, for the bed to be level with the head?
 *
 * <p>In: gaps in mm at three places or more, screws with position and pitch in mm. Out: slopes in
 * mm per m, rise in mm and turns for each screw, highest to lowest in mm now and after. Frame: x to
 * the right, y to the rear, heights up; turns are seen from the screw's head.
 *
 * <p>A bed of which each corner follows its own screw is the surface {@code a + b x + c y + d x y}:
 * its twist is turned out. Where nobody knows how it goes and only that would help, a trial turn
 * decides.
 *
 * <p>The common height, when no screw is kept, minimises the sum of turns. That sum is piecewise
 * linear in the height, so its minimum is the median of the screws' heights weighted by one over
 * the pitch; where a whole range does, its middle is taken (Koenker, Quantile Regression, 2005,
 * section 1.3).
 *
 * <p>Accuracy: with readings rounded to r, a slope over n evenly spread places is known to about
 * r/sqrt(12 n) over their spread. Not to be used where the plate bends by its own screws: read
 * again after turning.
 */
public final class Levelling {
  private static final Comparator<ScrewTurn> MOST_TURNS_FIRST =
      Comparator.comparingDouble((ScrewTurn t) -> t.turns().value()).reversed();

  private Levelling() {}

  public static BedFinding solve(BedReadings readings) {
    LevelFit level = level(readings, readings.is(Frame.FOLLOWS));
    PlaneFit surface = level.surface();
    Target target = target(readings, surface);
    List<ScrewTurn> turns = new ArrayList<>();
    for (Screw screw : readings.screws()) {
      turns.add(turn(screw, target, surface));
    }
    boolean trial =
        readings.is(Frame.NOT_KNOWN)
            && level.verdict() == Verdict.STOP
            && !level(readings, true).warped();
    Verdict verdict = trial ? Verdict.MEASURE_AGAIN : level.verdict();
    return new BedFinding(
        perMetre(level.plane().slopeX(), 1),
        perMetre(level.plane().slopeY(), 1),
        List.copyOf(turns),
        level.nowMm,
        level.warpMm,
        afterEighthsMm(readings, turns, level),
        level.warpMm,
        level.highest(),
        level.lowest(),
        verdict,
        trial ? List.of(trialTurn(readings, surface)) : advice(verdict, turns, level),
        level.warnings());
  }

  /** What is left at each place after the exact turns, in their order. */
  public static List<Double> leftMm(BedReadings readings) {
    return level(readings, readings.is(Frame.FOLLOWS)).surface().residualsMm();
  }

  private static LevelFit level(BedReadings readings, boolean twisting) {
    return new LevelFit(
        readings.points(), readings.gaugeResolutionMm(), readings.toleranceMm(), twisting);
  }

  /** Of the lowest corner's screw, up: whether the others stay tells how the bed goes. */
  private static Advice trialTurn(BedReadings readings, PlaneFit surface) {
    Screw lowest =
        readings.screws().stream()
            .min(Comparator.comparingDouble(s -> surface.heightMm(s.xMm(), s.yMm())))
            .orElseThrow();
    return Advice.read(
            "bed.levelling.trial",
            lowest.id(),
            lowest.clockwise() == Clockwise.RAISES
                ? TurnDirection.CLOCKWISE
                : TurnDirection.COUNTER_CLOCKWISE)
        .because("bed.levelling.trial.why");
  }

  /**
   * @param sign -1 for what hangs over the surface
   */
  static Estimate perMetre(Estimate slope, double sign) {
    return new Estimate(
        Numbers.snap(1000 * (sign * slope.value()), LevelFit.NOTHING_MM),
        1000 * slope.uncertainty());
  }

  /** The height to come to, and the place whose height that is on the plane. */
  private record Target(double heightMm, double xMm, double yMm) {}

  private record At(double xMm, double yMm, double heightMm) implements Place {}

  private static Target target(BedReadings readings, PlaneFit surface) {
    List<Screw> lowToHigh = new ArrayList<>(readings.screws());
    lowToHigh.sort(Comparator.comparingDouble(s -> surface.heightMm(s.xMm(), s.yMm())));
    if (readings.keepScrew().isPresent()) {
      String kept = readings.keepScrew().get();
      return at(
          lowToHigh.stream().filter(s -> s.id().equals(kept)).findFirst().orElseThrow(), surface);
    }
    DoubleSummaryStatistics weights = new DoubleSummaryStatistics();
    lowToHigh.forEach(s -> weights.accept(1 / s.pitchMm()));
    double half = weights.getSum() / 2;
    double below = 0;
    for (int i = 0; i < lowToHigh.size(); i++) {
      below += 1 / lowToHigh.get(i).pitchMm();
      if (Math.abs(below - half) <= 1e-9 * half) {
        Target a = at(lowToHigh.get(i), surface);
        Target b = at(lowToHigh.get(i + 1), surface);
        return new Target((a.heightMm + b.heightMm) / 2, (a.xMm + b.xMm) / 2, (a.yMm + b.yMm) / 2);
      }
      if (below > half) {
        return at(lowToHigh.get(i), surface);
      }
    }
    throw new IllegalStateException("a median lies between the lowest and the highest");
  }

  private static Target at(Screw screw, PlaneFit surface) {
    return new Target(surface.heightMm(screw.xMm(), screw.yMm()), screw.xMm(), screw.yMm());
  }

  private static ScrewTurn turn(Screw screw, Target target, PlaneFit surface) {
    double rise =
        Numbers.snap(
            target.heightMm - surface.heightMm(screw.xMm(), screw.yMm()), LevelFit.NOTHING_MM);
    double riseUncertainty =
        surface.differenceMm(target.xMm, target.yMm, screw.xMm(), screw.yMm()).uncertainty();
    Accepts.canExist("screws", "bed.rise", rise, LevelFit.HIGHEST_MM);
    Accepts.canExist("screws", "bed.rise", riseUncertainty, LevelFit.HIGHEST_MM);
    double turns = Math.abs(rise) / screw.pitchMm();
    boolean clockwise = (rise > 0) == (screw.clockwise() == Clockwise.RAISES);
    TurnDirection direction =
        turns == 0
            ? TurnDirection.NONE
            : clockwise ? TurnDirection.CLOCKWISE : TurnDirection.COUNTER_CLOCKWISE;
    int eighths = (int) Math.round(8 * turns);
    return new ScrewTurn(
        screw.id(),
        new Estimate(rise, riseUncertainty),
        new Estimate(turns, riseUncertainty / screw.pitchMm()),
        direction,
        clockwise ? eighths : -eighths);
  }

  /**
   * The bed follows the plane nearest to the rounded rises, as a stiff plate on springs does; or
   * each corner its own.
   */
  private static double afterEighthsMm(
      BedReadings readings, List<ScrewTurn> turns, LevelFit level) {
    List<At> rises = new ArrayList<>();
    for (int i = 0; i < turns.size(); i++) {
      Screw screw = readings.screws().get(i);
      double up = screw.clockwise() == Clockwise.RAISES ? 1 : -1;
      rises.add(
          new At(screw.xMm(), screw.yMm(), up * turns.get(i).eighths() / 8.0 * screw.pitchMm()));
    }
    PlaneFit plane = PlaneFit.of(rises, At::heightMm, 1);
    PlaneFit moved =
        level.twisted() ? PlaneFit.twisted(rises, At::heightMm, 1).orElse(plane) : plane;
    return Numbers.snap(level.afterMm(p -> moved.heightMm(p.xMm(), p.yMm())), LevelFit.NOTHING_MM);
  }

  private static List<Advice> advice(Verdict verdict, List<ScrewTurn> turns, LevelFit level) {
    List<Advice> advice = new ArrayList<>();
    switch (verdict) {
      case WITHIN -> advice.add(level.alreadyWithin());
      case MEASURE_AGAIN -> advice.add(level.finerGauge());
      case STOP -> {
        advice.add(level.noCure(Message.of("bed.levelling.screws")));
        addTurns(advice, turns);
      }
      case ADJUST -> {
        addTurns(advice, turns);
        advice.add(Advice.read("bed.levelling.read-same-places"));
      }
    }
    return advice;
  }

  private static void addTurns(List<Advice> advice, List<ScrewTurn> turns) {
    List<ScrewTurn> largestFirst = new ArrayList<>(turns);
    largestFirst.sort(MOST_TURNS_FIRST);
    for (ScrewTurn turn : largestFirst) {
      if (turn.asks()) {
        advice.add(sentence(turn));
      }
    }
  }

  private static Advice sentence(ScrewTurn turn) {
    return Advice.act(
            turn.turns().value() > 1 ? "bed.levelling.turns" : "bed.levelling.turn",
            turn.id(),
            Amount.of(turn.turns().value(), Quantity.TURNS, 2),
            turn.direction(),
            turn.eighths() == 0
                ? Message.of("bed.levelling.less-than")
                : Message.of("bed.levelling.about", turn.roundedTurns()))
        .because(
            turn.riseMm().value() > 0 ? "bed.levelling.up" : "bed.levelling.down",
            Amount.mm(Math.abs(turn.riseMm().value()), 2));
  }
}
