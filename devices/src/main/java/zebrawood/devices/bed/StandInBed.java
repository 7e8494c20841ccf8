package zebrawood.devices.bed;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import zebrawood.bed.Clockwise;
import zebrawood.bed.Screw;
import zebrawood.measure.Place;
import zebrawood.measure.PlaneFit;

/**
 * A simulated bed on screws.
 *
 * <p>The plate follows its screws as a plane, and beyond that bends to them by a part of what they
 * stand off that plane, interpolated with inverse squared distance: a fuller model than the
 * solver's. Each screw has play, which the first part of a turn in a new direction uses up, and a
 * pitch a little off its drawing.
 */
public final class StandInBed {
  /** What is wrong with it. */
  public enum Variant {
    /** Leaning, otherwise sound. */
    TILTED,
    /** Leaning and sagging in its middle by more than any screw cures. */
    WARPED
  }

  /** Part of what the screws stand off their plane that the plate follows. */
  private static final double FOLLOWS = 0.3;

  private static final double PLAY_TURNS = 0.02;

  private static final double MOST_RISE_MM = 50;

  private static final double SAG_MM = 0.9;

  private final Random random;
  private final double gaugeResolutionMm;
  private final double sagMm;
  private final List<Screw> screws;
  private final double widthMm;
  private final double depthMm;
  private final double nominalGapMm;
  private final Map<String, State> states = new HashMap<>();

  /** A screw's hidden state: height of the bed on it, true pitch, play and where in it. */
  private static final class State {
    double heightMm;
    double truePitchMm;
    double freeTurns;
  }

  private record At(double xMm, double yMm, double heightMm) implements Place {}

  /**
   * @param screws as the drawing has them
   * @param seed the same bed again for the same number
   */
  public StandInBed(
      Variant variant,
      double widthMm,
      double depthMm,
      List<Screw> screws,
      double gaugeResolutionMm,
      long seed) {
    this.random = new Random(seed);
    this.gaugeResolutionMm = gaugeResolutionMm;
    this.screws = List.copyOf(screws);
    this.widthMm = widthMm;
    this.depthMm = depthMm;
    this.sagMm = variant == Variant.WARPED ? SAG_MM : 0;
    this.nominalGapMm = 6 + random.nextDouble();
    double slopeX = (random.nextDouble() - 0.5) * 0.006;
    double slopeY = (random.nextDouble() - 0.5) * 0.006;
    for (Screw screw : screws) {
      State state = new State();
      state.heightMm =
          slopeX * (screw.xMm() - widthMm / 2)
              + slopeY * (screw.yMm() - depthMm / 2)
              + 0.05 * random.nextGaussian();
      state.truePitchMm = screw.pitchMm() * (1 + 0.01 * random.nextGaussian());
      states.put(screw.id(), state);
    }
  }

  /**
   * The same, plane, as it stands in a whole machine.
   *
   * @param fallsXMm from left to right, and {@code fallsYMm} from front to rear
   */
  public static StandInBed falling(
      double widthMm,
      double depthMm,
      List<Screw> screws,
      double gaugeResolutionMm,
      double fallsXMm,
      double fallsYMm,
      long seed) {
    StandInBed bed =
        new StandInBed(Variant.TILTED, widthMm, depthMm, screws, gaugeResolutionMm, seed);
    for (Screw screw : screws) {
      bed.states.get(screw.id()).heightMm =
          -fallsXMm * (screw.xMm() / widthMm - 0.5) - fallsYMm * (screw.yMm() / depthMm - 0.5);
    }
    return bed;
  }

  /** Turns a screw; clockwise is positive. */
  public void turn(String screwId, double turnsClockwise) {
    Screw screw =
        screws.stream()
            .filter(s -> s.id().equals(screwId))
            .findFirst()
            .orElseThrow(() -> new IllegalArgumentException("no screw " + screwId));
    State state = states.get(screwId);
    double wanted = state.freeTurns + turnsClockwise;
    double taken = Math.clamp(wanted, -PLAY_TURNS / 2, PLAY_TURNS / 2);
    state.freeTurns = taken;
    double sign = screw.clockwise() == Clockwise.RAISES ? 1 : -1;
    state.heightMm += sign * (wanted - taken) * state.truePitchMm;
  }

  /** One reading of the gap, with the hand's noise, rounded to the gauge. */
  public double readGapMm(double xMm, double yMm) {
    double noise = 0.25 * gaugeResolutionMm * random.nextGaussian();
    double gap = trueGapMm(xMm, yMm) + noise;
    return Math.max(0, Math.round(gap / gaugeResolutionMm) * gaugeResolutionMm);
  }

  /** What a perfect gauge would read; for scoring the practice, never for its advice. */
  public double trueGapMm(double xMm, double yMm) {
    return nominalGapMm - surfaceMm(new double[][] {{xMm, yMm}})[0];
  }

  /** Highest to lowest at these places, as a perfect gauge would find it. */
  public double peakToValleyMm(double[][] placesMm) {
    DoubleSummaryStatistics heights = DoubleStream.of(surfaceMm(placesMm)).summaryStatistics();
    return placesMm.length == 0 ? 0 : heights.getMax() - heights.getMin();
  }

  /**
   * The least that any turning of all screws could leave at these places. The surface is linear in
   * what the screws stand, so that it is the minimum of a linear programme: the spread of sᵢ + Σ
   * aᵢⱼ·hⱼ over further rises hⱼ of the screws.
   */
  public double leastPeakToValleyMm(double[][] placesMm) {
    int count = screws.size();
    double[] now = surfaceMm(placesMm);
    double[][] each = new double[count][];
    for (int j = 0; j < count; j++) {
      State state = states.get(screws.get(j).id());
      state.heightMm += 1;
      each[j] = surfaceMm(placesMm);
      state.heightMm -= 1;
    }
    List<LinearConstraint> within = new ArrayList<>();
    for (int i = 0; i < now.length; i++) {
      double[] below = new double[count + 2];
      double[] above = new double[count + 2];
      for (int j = 0; j < count; j++) {
        below[j] = each[j][i] - now[i];
        above[j] = below[j];
      }
      below[count] = -1;
      above[count + 1] = -1;
      within.add(new LinearConstraint(below, Relationship.LEQ, -now[i]));
      within.add(new LinearConstraint(above, Relationship.GEQ, -now[i]));
    }
    for (int j = 0; j < count; j++) {
      double[] rise = new double[count + 2];
      rise[j] = 1;
      within.add(new LinearConstraint(rise, Relationship.LEQ, MOST_RISE_MM));
      within.add(new LinearConstraint(rise, Relationship.GEQ, -MOST_RISE_MM));
    }
    double[] spread = new double[count + 2];
    spread[count] = 1;
    spread[count + 1] = -1;
    return new SimplexSolver()
        .optimize(
            new LinearObjectiveFunction(spread, 0),
            new LinearConstraintSet(within),
            GoalType.MINIMIZE,
            new NonNegativeConstraint(false))
        .getValue();
  }

  /** At each of these places, in their order. */
  private double[] surfaceMm(double[][] placesMm) {
    List<At> supports =
        screws.stream().map(s -> new At(s.xMm(), s.yMm(), states.get(s.id()).heightMm)).toList();
    PlaneFit plane = PlaneFit.of(supports, At::heightMm, 1);
    return Stream.of(placesMm)
        .mapToDouble(at -> surfaceMm(supports, plane, at[0], at[1]))
        .toArray();
  }

  private double surfaceMm(List<At> supports, PlaneFit plane, double xMm, double yMm) {
    double bend = 0;
    double weights = 0;
    for (At support : supports) {
      double distance = Math.hypot(support.xMm() - xMm, support.yMm() - yMm);
      double weight = 1 / (distance * distance + 1);
      bend += weight * (support.heightMm() - plane.heightMm(support.xMm(), support.yMm()));
      weights += weight;
    }
    double acrossX = 2 * xMm / widthMm - 1;
    double acrossY = 2 * yMm / depthMm - 1;
    double sag = -sagMm * (1 - acrossX * acrossX) * (1 - acrossY * acrossY);
    // A bed that sags in the middle is also twisted at one corner, so that corners alone show it.
    double twist = 0.4 * sagMm * acrossX * acrossY;
    return plane.heightMm(xMm, yMm) + FOLLOWS * bend / weights + sag + twist;
  }
}
