package zebrawood.devices.power;

import java.util.Random;

/** A source that is told its power by a word of its controller; its scale may not be right. */
public final class StandInWordSource {
  private final double controllerTop;
  private final double firingPercent;
  private double jobTop;
  private final double pulseKhz;

  /**
   * @param controllerTop the word that is all of it
   * @param jobTop the word that the job's program sends for all
   */
  public StandInWordSource(double controllerTop, double jobTop, double pulseKhz, long number) {
    this.controllerTop = controllerTop;
    this.jobTop = jobTop;
    this.pulseKhz = pulseKhz;
    firingPercent = 2 + 6 * new Random(number).nextDouble();
  }

  public double controllerTop() {
    return controllerTop;
  }

  public double jobTop() {
    return jobTop;
  }

  public void setJobTop(double word) {
    jobTop = word;
  }

  public double pulseKhz() {
    return pulseKhz;
  }

  /** How dark a mark is, from 0 to 1, at a job's percentage. */
  public double mark(double percent) {
    double told = Math.min(1, percent / 100 * jobTop / controllerTop);
    double least = firingPercent / 100;
    return told <= least ? 0 : (told - least) / (1 - least);
  }

  /** The lowest whole percentage that marks. */
  public double readFiringPercent() {
    for (int percent = 1; percent <= 100; percent++) {
      if (mark(percent) > 0) {
        return percent;
      }
    }
    return 100;
  }

  /** How far the scale is off, in percent of all. */
  public double offPercent() {
    return 100 * Math.abs(1 - jobTop / controllerTop);
  }
}
