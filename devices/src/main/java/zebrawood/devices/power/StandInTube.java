package zebrawood.devices.power;

import java.util.Random;

/**
 * A glass tube as gain and loss make it: gain rises with the current and falls off as the gas
 * warms, output is what gain exceeds the loss by (A. E. Siegman, Lasers, 1986, chapter 12). It ages
 * faster the more current it draws, gives a little less once warm, and hops between modes.
 */
public final class StandInTube {
  /** Minutes until it is warm. */
  private static final double WARMING_MINUTES = 4;

  private static final double LESS_WHEN_WARM = 0.05;
  private static final double HOP = 0.012;
  private static final double LIFE_EXPONENT = 3;

  /** What is lost of the output at the rated current in its life. */
  private static final double LOST_IN_LIFE = 0.2;

  private final double ratedMa;
  private final double ratedWatts;
  private final double thresholdMa;

  /** The current at which warm gas halves the gain. */
  private final double warmGasMa;

  private final double lifeHours;
  private final double course;
  private final Random random;

  /** How much of its life is lived, in hours at the rated current over those it has. */
  private double lived;

  private double minutesOn = 30;

  /**
   * @param ratedMa where it gives its rated watts when new
   * @param thresholdMa below it there is no light
   * @param flattening the share of a straight line that is missing at the rated current, to 0.4
   * @param lifeHours at the rated current until a fifth is lost
   * @param course of its ageing: 1 loses as much in every hour, more loses ever faster, less slower
   */
  public StandInTube(
      double ratedMa,
      double ratedWatts,
      double thresholdMa,
      double flattening,
      double lifeHours,
      double course,
      long number) {
    this.ratedMa = ratedMa;
    this.ratedWatts = ratedWatts;
    this.thresholdMa = thresholdMa;
    warmGasMa = ratedMa * Math.sqrt((1 - flattening) / Math.max(flattening, 1e-6));
    this.lifeHours = lifeHours;
    this.course = course;
    random = new Random(number);
  }

  private double gainAt(double ma) {
    return ma / (1 + ma * ma / (warmGasMa * warmGasMa));
  }

  private double wattsNew(double ma, double share) {
    double above = share * gainAt(ma) / gainAt(thresholdMa) - 1;
    double atRated = gainAt(ratedMa) / gainAt(thresholdMa) - 1;
    return Math.max(0, ratedWatts * above / atRated);
  }

  private double gain() {
    double inLife = LOST_IN_LIFE * (1 - gainAt(thresholdMa) / gainAt(ratedMa));
    return Math.max(0, 1 - inLife * Math.pow(lived, course));
  }

  /** What it gives now, without the hop of the moment. */
  public double watts(double ma) {
    double warm = 1 - LESS_WHEN_WARM * (1 - Math.exp(-minutesOn / WARMING_MINUTES));
    return wattsNew(ma, gain()) * warm / (1 - LESS_WHEN_WARM);
  }

  /** What it gives at this moment. */
  public double wattsNow(double ma) {
    return watts(ma) * (1 + HOP * random.nextGaussian());
  }

  /** Runs at a current. */
  public void run(double hours, double ma) {
    lived += Math.pow(ma / ratedMa, LIFE_EXPONENT) * hours / lifeHours;
    minutesOn += 60 * hours;
  }

  /** Left to cool. */
  public void rest() {
    minutesOn = 0;
  }
}
