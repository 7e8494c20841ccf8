package zebrawood.jobfile;

import java.util.OptionalDouble;

/**
 * How long moves take: each with a trapezoid of speed, as {@code v^2 = v0^2 + 2 a s} has it
 * (uniform acceleration). Where a move goes on in the direction of the one before by less than
 * {@value #STRAIGHT_DEGREES} degrees, it goes on at speed; elsewhere the head stops. A look ahead
 * over several moves is not made: short moves that only together brake come out a little short.
 */
final class JobClock {
  private static final double STRAIGHT_DEGREES = 10;
  private static final double STRAIGHT = Math.cos(Math.toRadians(STRAIGHT_DEGREES));

  private final Motion motion;
  private double seconds;
  private double atSpeed;
  private boolean speedMissing;
  private double pauses;

  /** The move that waits for the next one: where it ends depends on that. */
  private double length;

  private double speed;
  private double enters;
  private double cosine;
  private double sine;

  JobClock(Motion motion) {
    this.motion = motion;
  }

  /**
   * A straight move.
   *
   * @param speedMmS 0 where none was ever said
   */
  void move(double dx, double dy, double speedMmS) {
    double now = Math.hypot(dx, dy);
    if (now <= 0) {
      return;
    }
    if (!(speedMmS > 0)) {
      speedMissing = true;
      stop();
      return;
    }
    atSpeed += now / speedMmS;
    if (!motion.knowsAcceleration()) {
      return;
    }
    double cos = dx / now;
    double sin = dy / now;
    boolean straight = length > 0 && cos * cosine + sin * sine > STRAIGHT;
    double through = straight ? Math.min(speed, speedMmS) : 0;
    double reached = end(through);
    length = now;
    speed = speedMmS;
    enters = straight ? reached : 0;
    cosine = cos;
    sine = sin;
  }

  /** The head stands for so long. */
  void pause(double s) {
    stop();
    pauses += s;
  }

  void stop() {
    end(0);
    length = 0;
  }

  /**
   * Ends the move that waits.
   *
   * @return at what speed it ends
   */
  private double end(double wanted) {
    if (length <= 0) {
      return 0;
    }
    double a = motion.along(cosine, sine);
    double out = Math.min(wanted, Math.sqrt(enters * enters + 2 * a * length));
    double peak = Math.min(speed, Math.sqrt(a * length + (enters * enters + out * out) / 2));
    double in = Math.min(enters, peak);
    double up = (peak * peak - in * in) / (2 * a);
    double down = (peak * peak - out * out) / (2 * a);
    double flat = Math.max(0, length - up - down);
    seconds += (peak - in) / a + Math.max(0, peak - out) / a + flat / peak;
    return out;
  }

  /** All of it as the machine accelerates; empty where that, or a speed, is not known. */
  OptionalDouble seconds() {
    return speedMissing || !motion.knowsAcceleration()
        ? OptionalDouble.empty()
        : OptionalDouble.of(seconds + pauses);
  }

  OptionalDouble secondsAtSpeed() {
    return speedMissing ? OptionalDouble.empty() : OptionalDouble.of(atSpeed + pauses);
  }
}
