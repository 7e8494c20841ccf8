package zebrawood.devices.controller;

/** The beam of a simulated controller: its power word, and how long it was on at a stretch. */
final class SimulatedBeam {
  private boolean on;
  private long since;
  private long longestNanos;
  private double word;

  /**
   * @param shines whether a word above zero lights it at once
   */
  void word(double given, boolean shines, long now) {
    word = given;
    if (given > 0 && shines) {
      if (!on) {
        since = now;
      }
      on = true;
    } else {
      off(now);
    }
  }

  void off(long now) {
    if (on) {
      longestNanos = Math.max(longestNanos, now - since);
    }
    on = false;
  }

  /** Off, and nothing commanded. */
  void dark(long now) {
    off(now);
    word = 0;
  }

  boolean on() {
    return on;
  }

  double word() {
    return word;
  }

  long longestNanos() {
    return longestNanos;
  }
}
