package zebrawood.devices.mirrors;

import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A simulated gantry with two steering mirrors: the beam comes from the right along the rear,
 * mirror 1 at the rear left folds it to the front, mirror 2 on the gantry folds it to the right, to
 * the head.
 *
 * <p>Rays and true reflections, no small angles; hidden tilts of both mirrors and a tube out of
 * place; screws with play, whose arm, thread and sense nobody need know; marks read to a step with
 * the hand's noise. A twisted rail tips mirror 2 as the gantry travels, a gantry that does not stay
 * square turns it; a loose mount has mirror 1 at another tilt at each burn.
 */
public final class StandInTrain {
  /** What is wrong beside the angles. */
  public enum Kind {
    SOUND,
    TWISTED_RAIL,
    UNSQUARE_GANTRY,
    LOOSE_MOUNT
  }

  /** The screws that can be turned. */
  public enum Knob {
    SIDEWAYS_1,
    UP_DOWN_1,
    SIDEWAYS_2,
    UP_DOWN_2
  }

  /** Where a mark fell, looking the way the beam travels. */
  public record Spot(double rightMm, double upMm) {}

  /** It has two steering mirrors. */
  public static final int MIRRORS = 2;

  /** Of a usual mount: pivot to screw, and thread. */
  public static final double ARM_MM = 50;

  public static final double PITCH_MM = 0.5;

  private static final Vector3D UP = Vector3D.PLUS_K;
  private static final Vector3D FROM_TUBE = Vector3D.MINUS_I;
  private static final Vector3D TO_FRONT = Vector3D.MINUS_J;
  private static final Vector3D TO_RIGHT = Vector3D.PLUS_I;
  private static final double PLAY_TURNS = 0.01;
  private static final double TWIST_MRAD_PER_M = 5;
  private static final double LOOSE_MRAD = 1.5;
  private static final double HAND_MM = 0.05;

  private final Random random;

  /** Tilt of the mirror for a clockwise turn of each screw; its sign is the screw's sense. */
  private final double[] tiltPerTurn = new double[Knob.values().length];

  private Kind kind;
  private final double tubeRightMm;
  private final double tubeUpMm;

  /** Turned about the vertical, tipped about the horizontal line in its face; radians. */
  private final double[] turned = new double[2];

  private final double[] tipped = new double[2];
  private final int[] lastWay = new int[4];

  /**
   * @param errorMrad largest angle of the beam after each mirror
   * @param offsetMm largest shift of the tube
   * @param number the same train again for the same number
   */
  public StandInTrain(Kind kind, double errorMrad, double offsetMm, long number) {
    random = new Random(number);
    this.kind = kind;
    java.util.Arrays.fill(tiltPerTurn, PITCH_MM / ARM_MM);
    tubeRightMm = offsetMm * (2 * random.nextDouble() - 1);
    tubeUpMm = offsetMm * (2 * random.nextDouble() - 1);
    for (int i = 0; i < 2; i++) {
      turned[i] = errorMrad / 1000 / 2 * (2 * random.nextDouble() - 1);
      tipped[i] = errorMrad / 1000 / Math.sqrt(2) * (2 * random.nextDouble() - 1);
    }
  }

  /** The same with mounts of unknown arms and threads, some of whose screws work the other way. */
  public static StandInTrain withUnknownScrews(
      Kind kind, double errorMrad, double offsetMm, long number) {
    StandInTrain train = new StandInTrain(kind, errorMrad, offsetMm, number);
    for (int i = 0; i < train.tiltPerTurn.length; i++) {
      double arm = 30 + 40 * train.random.nextDouble();
      double pitch = 0.35 + 0.45 * train.random.nextDouble();
      train.tiltPerTurn[i] = (train.random.nextBoolean() ? 1 : -1) * pitch / arm;
    }
    return train;
  }

  /**
   * A sound one as it stands in a whole machine: tube in its place, each mirror off sideways.
   *
   * @param firstMrad of the beam to the right after the first mirror, {@code secondMrad} after the
   *     second
   */
  public static StandInTrain leaning(double firstMrad, double secondMrad, long number) {
    StandInTrain train = new StandInTrain(Kind.SOUND, 0, 0, number);
    train.turned[0] = -firstMrad / 2000;
    train.turned[1] = -secondMrad / 2000;
    return train;
  }

  public Kind kind() {
    return kind;
  }

  /** What was loose or bent is put right; the angles stay. */
  public void mend() {
    kind = Kind.SOUND;
  }

  private record Ray(Vector3D from, Vector3D along) {
    Vector3D at(Vector3D planePoint, Vector3D normal) {
      double t = planePoint.subtract(from).dotProduct(normal) / along.dotProduct(normal);
      return from.add(t, along);
    }

    Ray reflected(Vector3D planePoint, Vector3D normal) {
      Vector3D hit = at(planePoint, normal);
      return new Ray(hit, along.subtract(2 * along.dotProduct(normal), normal).normalize());
    }
  }

  private Vector3D normal(
      int mirror, Vector3D in, Vector3D out, double extraTurn, double extraTip) {
    Vector3D ideal = out.subtract(in).normalize();
    Vector3D inFace = UP.crossProduct(ideal).normalize();
    Rotation turn =
        new Rotation(UP, turned[mirror] + extraTurn, RotationConvention.VECTOR_OPERATOR);
    Rotation tip =
        new Rotation(inFace, tipped[mirror] + extraTip, RotationConvention.VECTOR_OPERATOR);
    return turn.applyTo(tip.applyTo(ideal));
  }

  private Ray afterMirror1(double loose) {
    Vector3D right = FROM_TUBE.crossProduct(UP);
    Vector3D start = new Vector3D(500, 0, 0).add(tubeRightMm, right).add(tubeUpMm, UP);
    return new Ray(start, FROM_TUBE)
        .reflected(Vector3D.ZERO, normal(0, FROM_TUBE, TO_FRONT, 0, loose));
  }

  private double loose() {
    return kind == Kind.LOOSE_MOUNT ? LOOSE_MRAD / 1000 * (2 * random.nextDouble() - 1) : 0;
  }

  private static Spot spot(Vector3D hit, Vector3D planePoint, Vector3D along) {
    Vector3D off = hit.subtract(planePoint);
    return new Spot(off.dotProduct(along.crossProduct(UP)), off.dotProduct(UP));
  }

  /** Where the beam meets tape on mirror 2, with the gantry so far from mirror 1. */
  public Spot trueAtMirror2(double pathFrom1Mm) {
    Vector3D place = new Vector3D(0, -pathFrom1Mm, 0);
    return spot(afterMirror1(loose()).at(place, TO_FRONT), place, TO_FRONT);
  }

  /** Where the beam meets tape on the head. */
  public Spot trueAtHead(double pathFrom1Mm, double pathFrom2Mm) {
    double gantry = pathFrom1Mm - pathFrom2Mm;
    Vector3D place2 = new Vector3D(0, -gantry, 0);
    double growing = TWIST_MRAD_PER_M / 1000 * gantry / 1000;
    double turn = kind == Kind.UNSQUARE_GANTRY ? growing : 0;
    double twist = kind == Kind.TWISTED_RAIL ? growing : 0;
    Ray ray = afterMirror1(loose()).reflected(place2, normal(1, TO_FRONT, TO_RIGHT, turn, twist));
    Vector3D place = place2.add(pathFrom2Mm, TO_RIGHT);
    return spot(ray.at(place, TO_RIGHT), place, TO_RIGHT);
  }

  /** A mark burnt and read. */
  public Spot readAtMirror2(double pathFrom1Mm, double resolutionMm) {
    return read(trueAtMirror2(pathFrom1Mm), resolutionMm);
  }

  /** A mark burnt and read. */
  public Spot readAtHead(double pathFrom1Mm, double pathFrom2Mm, double resolutionMm) {
    return read(trueAtHead(pathFrom1Mm, pathFrom2Mm), resolutionMm);
  }

  private Spot read(Spot truth, double resolutionMm) {
    return new Spot(
        rounded(truth.rightMm + HAND_MM * random.nextGaussian(), resolutionMm),
        rounded(truth.upMm + HAND_MM * random.nextGaussian(), resolutionMm));
  }

  private static double rounded(double mm, double resolutionMm) {
    return Math.round(mm / resolutionMm) * resolutionMm;
  }

  /**
   * Turns a screw: clockwise moves the beam after its mirror to the right, or up, but for unknown
   * screws of the other sense. Changing the way loses the play.
   */
  public void turn(Knob knob, double clockwiseTurns) {
    if (clockwiseTurns == 0) {
      return;
    }
    int way = clockwiseTurns > 0 ? 1 : -1;
    double turns = clockwiseTurns;
    if (lastWay[knob.ordinal()] == -way) {
      turns -= way * Math.min(Math.abs(clockwiseTurns), PLAY_TURNS);
    }
    lastWay[knob.ordinal()] = way;
    double tilt = turns * tiltPerTurn[knob.ordinal()];
    switch (knob) {
      case SIDEWAYS_1 -> turned[0] += rightward(0) * tilt;
      case SIDEWAYS_2 -> turned[1] += rightward(1) * tilt;
      case UP_DOWN_1 -> tipped[0] += upward(0) * tilt;
      case UP_DOWN_2 -> tipped[1] += upward(1) * tilt;
    }
  }

  /** Which sense of turning about the vertical takes the beam to its right: found by trying. */
  private int rightward(int mirror) {
    return Double.compare(response(mirror, true), 0);
  }

  private int upward(int mirror) {
    return Double.compare(response(mirror, false), 0);
  }

  private static double response(int mirror, boolean sideways) {
    Vector3D in = mirror == 0 ? FROM_TUBE : TO_FRONT;
    Vector3D out = mirror == 0 ? TO_FRONT : TO_RIGHT;
    Vector3D ideal = out.subtract(in).normalize();
    Vector3D axis = sideways ? UP : UP.crossProduct(ideal).normalize();
    Vector3D normal = new Rotation(axis, 1e-3, RotationConvention.VECTOR_OPERATOR).applyTo(ideal);
    Vector3D after = in.subtract(2 * in.dotProduct(normal), normal);
    return after.dotProduct(sideways ? out.crossProduct(UP) : UP);
  }

  /** The largest distance between the true places over these corners: for scoring. */
  public double trueWanderMm(double[][] pathsFrom1And2Mm) {
    double largest = 0;
    for (double[] a : pathsFrom1And2Mm) {
      for (double[] b : pathsFrom1And2Mm) {
        Spot one = trueAtHead(a[0], a[1]);
        Spot two = trueAtHead(b[0], b[1]);
        largest = Math.max(largest, Math.hypot(one.rightMm - two.rightMm, one.upMm - two.upMm));
      }
    }
    return largest;
  }

  /** What the wander would be with every mirror as drawn and nothing loose or bent. */
  public double leastWanderMm(double[][] pathsFrom1And2Mm) {
    StandInTrain perfect = new StandInTrain(Kind.SOUND, 0, 0, 0);
    return perfect.trueWanderMm(pathsFrom1And2Mm);
  }

  /** The beam's true angle added at a mirror, in mrad to the right and up: for scoring. */
  public double[] trueErrorMrad(int mirror) {
    Vector3D in = mirror == 1 ? FROM_TUBE : TO_FRONT;
    Vector3D out = mirror == 1 ? TO_FRONT : TO_RIGHT;
    Vector3D normal = normal(mirror - 1, in, out, 0, 0);
    Vector3D after = in.subtract(2 * in.dotProduct(normal), normal);
    return new double[] {
      1000 * after.dotProduct(out.crossProduct(UP)), 1000 * after.dotProduct(UP)
    };
  }
}
