package zebrawood.devices.controller;

import java.util.List;

/** Where the head of a simulated controller stands, in millimetres from the home corner. */
final class SimulatedMotion {
  private double xMm;
  private double yMm;
  private double fromXMm;
  private double fromYMm;
  private long since;
  private double furthestXMm;
  private double furthestYMm;
  private int count;

  double xMm() {
    return xMm;
  }

  double yMm() {
    return yMm;
  }

  double wayMm(double toXMm, double toYMm) {
    return Math.hypot(toXMm - xMm, toYMm - yMm);
  }

  void begin(double toXMm, double toYMm, long now) {
    count++;
    fromXMm = xMm;
    fromYMm = yMm;
    since = now;
    xMm = toXMm;
    yMm = toYMm;
  }

  /** Stands where it has come to by now, of a motion that would have ended at a time. */
  void stop(long now, long until) {
    if (until > now && until > since) {
      double share = (double) (now - since) / (until - since);
      xMm = fromXMm + share * (xMm - fromXMm);
      yMm = fromYMm + share * (yMm - fromYMm);
    }
  }

  void sent(double toXMm, double toYMm) {
    furthestXMm = Math.max(furthestXMm, toXMm);
    furthestYMm = Math.max(furthestYMm, toYMm);
  }

  /** How far it was sent so far. */
  List<Double> furthestMm() {
    return List.of(furthestXMm, furthestYMm);
  }

  /** How many motions were begun. */
  int count() {
    return count;
  }
}
