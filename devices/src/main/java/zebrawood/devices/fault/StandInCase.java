package zebrawood.devices.fault;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.fault.BeamEnters;
import zebrawood.fault.Cause;
import zebrawood.fault.CauseTest;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.fault.FaultTable;
import zebrawood.fault.Fitted;
import zebrawood.fault.Outcome;
import zebrawood.fault.Seen;

/**
 * A machine with one or two hidden faults.
 *
 * <p>Each fault is so much of something: dirt that takes power, a bed that leans by millimetres, a
 * beam that walks along its way. What is burnt follows from all of it: the power that is left, cut
 * off at the lens as the beam walks, spread where the bed lies out of focus. A test looks at one of
 * these amounts and misses a small one; nothing here knows the fault finder's table but how common
 * each fault is.
 */
public final class StandInCase {
  private static final double RAYLEIGH_MM = 2;
  private static final double BEAM_RADIUS_MM = 3.5;
  private static final double OPENING_RADIUS_MM = 8;
  private static final double GRADE = 0.1;
  private static final double EYE = 0.03;

  /** As good as ever, to the eye. */
  private static final double GOOD = 0.87;

  private static final double[] AT = {0.1, 0.5, 0.9};

  /** So often a look misleads. */
  private static final double MISLEADS = 0.03;

  private final Random random;
  private final double wideMm;
  private final double deepMm;
  private final BeamEnters enters;

  /** How much there is of each fault: 0 none, 1 plainly there. */
  private final Map<Cause, Double> faults = new EnumMap<>(Cause.class);

  private final double leansTowards;
  private final Set<Cause> began;
  private int minutes;

  /**
   * @param number the same gives the same
   * @param fitted what the machine has
   * @param enters where its beam comes over the bed
   */
  public StandInCase(
      long number, Set<Fitted> fitted, double wideMm, double deepMm, BeamEnters enters) {
    random = new Random(number);
    this.wideMm = wideMm;
    this.deepMm = deepMm;
    this.enters = enters;
    leansTowards = 2 * Math.PI * random.nextDouble();
    List<Cause> possible =
        Stream.of(Cause.values())
            .filter(c ->
                Stream.of(Fitted.values())
                    .noneMatch(f -> !fitted.contains(f) && f.causes().contains(c)))
            .toList();
    int count = random.nextInt(5) == 0 ? 2 : 1;
    while (faults.size() < count) {
      faults.put(drawn(possible), 0.8 + 0.5 * random.nextDouble());
    }
    began = EnumSet.copyOf(faults.keySet());
  }

  private Cause drawn(List<Cause> possible) {
    double all = possible.stream().mapToDouble(FaultTable::commonness).sum();
    double at = all * random.nextDouble();
    for (Cause cause : possible) {
      at -= FaultTable.commonness(cause);
      if (at <= 0) {
        return cause;
      }
    }
    return possible.getLast();
  }

  private double much(Cause cause) {
    return faults.getOrDefault(cause, 0.0);
  }

  /** What it had at first. */
  public Set<Cause> began() {
    return Set.copyOf(began);
  }

  /** What it still has. */
  public Set<Cause> left() {
    return Set.copyOf(faults.keySet());
  }

  /** Spent so far. */
  public int minutes() {
    return minutes;
  }

  /** What somebody says who sees the work. */
  public Seen seen() {
    double least = 1;
    double most = 0;
    for (double y : AT) {
      for (double x : AT) {
        double score = score(x * wideMm, y * deepMm);
        least = Math.min(least, score);
        most = Math.max(most, score);
      }
    }
    if (most - least > 0.2) {
      return Seen.UNEVEN;
    }
    return much(Cause.AIR_OFF) > 0
            || much(Cause.HONEYCOMB_DIRTY) > 0
            || much(Cause.SMOKE_TRAPPED) > 0
        ? Seen.SCORCHED
        : Seen.WEAK;
  }

  /** Nine squares, graded, from the front left row by row. */
  public List<Scored> squares() {
    List<Scored> squares = new ArrayList<>();
    for (double y : AT) {
      for (double x : AT) {
        double seen = score(x * wideMm, y * deepMm) + EYE * random.nextGaussian();
        double grade = Math.clamp(Math.round(seen / GRADE) * GRADE, 0, 1);
        squares.add(new Scored(x * wideMm, y * deepMm, grade));
      }
    }
    return squares;
  }

  /** Whether the same piece is good again. */
  public boolean good() {
    return Stream.of(0.1, 0.5, 0.9)
        .allMatch(
            y -> Stream.of(0.1, 0.5, 0.9).allMatch(x -> score(x * wideMm, y * deepMm) > GOOD));
  }

  private double score(double xMm, double yMm) {
    double power = 1;
    power *= 1 - 0.35 * much(Cause.DIRTY_LENS);
    power *= 1 - 0.35 * much(Cause.DIRTY_MIRROR);
    power *= 1 - 0.35 * much(Cause.WEAK_TUBE);
    power *= 1 - 0.35 * much(Cause.DIAL_MOVED);
    power *= 1 - 0.35 * much(Cause.SETTINGS_CHANGED);
    power *= 1 - 0.35 * much(Cause.POWER_WORDS_DIFFER);
    power *= 1 - 0.3 * much(Cause.WARM_COOLANT);
    power *= 1 - 0.3 * much(Cause.SOURCE_COLD);
    double way = along(xMm, yMm) / (wideMm + deepMm);
    double walkedMm = 9 * much(Cause.MIRROR_OUT) * way + 8.5 * much(Cause.OFF_CENTRE_AT_NOZZLE);
    power *= through(walkedMm);
    double lean =
        ((xMm - wideMm / 2) * Math.cos(leansTowards) + (yMm - deepMm / 2) * Math.sin(leansTowards))
            / (Math.abs(wideMm * Math.cos(leansTowards))
                + Math.abs(deepMm * Math.sin(leansTowards)));
    double bow = 2 * (xMm / wideMm - 0.5);
    double offMm =
        2.2 * much(Cause.FOCUS_OFF)
            + 2 * much(Cause.LENS_LOOSE)
            + 3.2 * much(Cause.BED_NOT_LEVEL) * (lean + 0.5)
            + 2.6 * much(Cause.STOCK_BOWED) * bow * bow;
    double fluence = power / (1 + offMm * offMm / (RAYLEIGH_MM * RAYLEIGH_MM));
    double looks = 1;
    for (Cause cause :
        List.of(
            Cause.AIR_OFF,
            Cause.PLAY,
            Cause.STOCK_DIFFERS,
            Cause.STOCK_DIRTY,
            Cause.HONEYCOMB_DIRTY,
            Cause.SMOKE_TRAPPED)) {
      looks *= 1 - 0.3 * much(cause);
    }
    return Math.clamp(Math.pow(fluence, 0.8) * looks, 0, 1);
  }

  private double along(double xMm, double yMm) {
    boolean left = enters == BeamEnters.FRONT_LEFT || enters == BeamEnters.REAR_LEFT;
    boolean front = enters == BeamEnters.FRONT_LEFT || enters == BeamEnters.FRONT_RIGHT;
    return (left ? xMm : wideMm - xMm) + (front ? yMm : deepMm - yMm);
  }

  /** Part of a Gaussian beam that goes through a round opening it has walked off the middle of. */
  private static double through(double walkedMm) {
    int steps = 14;
    double sum = 0;
    double all = 0;
    for (int i = -steps; i <= steps; i++) {
      for (int k = -steps; k <= steps; k++) {
        double x = 2.5 * BEAM_RADIUS_MM * i / steps;
        double y = 2.5 * BEAM_RADIUS_MM * k / steps;
        double here = Math.exp(-2 * (x * x + y * y) / (BEAM_RADIUS_MM * BEAM_RADIUS_MM));
        all += here;
        sum += Math.hypot(x + walkedMm, y) < OPENING_RADIUS_MM ? here : 0;
      }
    }
    return sum / all;
  }

  /** Makes a test, and says what it showed. */
  public Outcome answer(CauseTest test) {
    minutes += test.minutes();
    List<Outcome> outcomes = test.outcomes();
    boolean shows = shows(test);
    if (random.nextDouble() < MISLEADS) {
      shows = !shows;
    }
    if (test == CauseTest.BURN_ON_FRESH_STOCK) {
      return shows ? Outcome.GOOD : Outcome.BAD;
    }
    return shows ? outcomes.get(1) : outcomes.getFirst();
  }

  private boolean shows(CauseTest test) {
    return switch (test) {
      case LOOK_AT_LENS -> plain(Cause.DIRTY_LENS);
      case LOOK_AT_MIRRORS -> plain(Cause.DIRTY_MIRROR);
      case GAUGE_AT_CENTRE -> plain(Cause.FOCUS_OFF) || plain(Cause.LENS_LOOSE);
      case GAUGE_FOUR_CORNERS -> plain(Cause.BED_NOT_LEVEL);
      case STOCK_ON_STRAIGHT_EDGE -> plain(Cause.STOCK_BOWED);
      case TAPE_NEAR_FAR -> plain(Cause.MIRROR_OUT);
      case TAPE_UNDER_NOZZLE -> plain(Cause.OFF_CENTRE_AT_NOZZLE);
      case METER_AT_TEST_JOB -> plain(Cause.DIAL_MOVED);
      case SETTINGS_AGAINST_RECORD -> plain(Cause.SETTINGS_CHANGED);
      case COOLANT_NOW -> plain(Cause.WARM_COOLANT);
      case AIR_AT_NOZZLE -> plain(Cause.AIR_OFF);
      case PLAY_BY_HAND -> plain(Cause.PLAY);
      case TUG_THE_LENS -> plain(Cause.LENS_LOOSE);
      case BURN_ON_FRESH_STOCK -> ofTheStock();
      case HONEYCOMB_LOOK -> plain(Cause.HONEYCOMB_DIRTY);
      case POWER_WORDS -> plain(Cause.POWER_WORDS_DIFFER);
      case RAISE_AND_LISTEN -> plain(Cause.SMOKE_TRAPPED);
      case WAIT_WARM -> plain(Cause.SOURCE_COLD);
      case WASH_STOCK -> plain(Cause.STOCK_DIRTY);
    };
  }

  private boolean plain(Cause cause) {
    return much(cause) > 0.5;
  }

  /** Whether a fresh, flat, clean piece of the old stock burns well. */
  private boolean ofTheStock() {
    Set<Cause> stock = EnumSet.of(Cause.STOCK_BOWED, Cause.STOCK_DIFFERS, Cause.STOCK_DIRTY);
    return stock.containsAll(faults.keySet());
  }

  /** Mends something, whether it was it or not. */
  public void mend(Cause cause) {
    faults.remove(cause);
  }

  /**
   * Minutes of somebody who knows what it is, and makes for each fault the one test that shows it.
   */
  public int bestMinutes() {
    return began.stream()
        .mapToInt(c ->
            FaultTable.tellsOf(c).stream()
                .mapToInt(CauseTest::minutes)
                .min()
                .orElse(CauseTest.METER_AT_TEST_JOB.minutes()))
        .sum();
  }
}
