package zebrawood.devices.feed;

import java.util.Random;
import zebrawood.feed.FeedReadings.Feed;

/**
 * A simulated feed: its wheel is a little too large or too small, it runs to one side, and it slips
 * by chance, some of them by more than any setting cures.
 */
public final class StandInFeed {
  private static final double READ_MM = 0.1;

  private final Random random;
  private final double scale;
  private final double skew;
  private double slipMm;
  private double factor = 1;

  public StandInFeed(long number) {
    random = new Random(number);
    scale = 1 + 0.01 * random.nextGaussian();
    skew = 0.001 * random.nextGaussian();
    slipMm = random.nextInt(4) == 0 ? 0.8 : 0.05;
  }

  /** Commands so much, and measures how far it went. */
  public Feed feed(double mm) {
    double went = mm * scale * factor + slipMm * random.nextGaussian();
    double aside = mm * skew + 0.3 * slipMm * random.nextGaussian();
    return new Feed(mm, read(went), read(aside));
  }

  private static double read(double mm) {
    return READ_MM * Math.round(mm / READ_MM);
  }

  /** From now on so much more or less is commanded. */
  public void correct(double times) {
    factor *= times;
  }

  /** Rollers cleaned and pressed. */
  public void stopSlipping() {
    slipMm = 0.05;
  }

  /** By how much a feed of 100 mm is off, without its chance. */
  public double offMm() {
    return Math.abs(100 * scale * factor - 100);
  }
}
