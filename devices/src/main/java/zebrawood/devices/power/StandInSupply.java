package zebrawood.devices.power;

import java.util.Random;

/**
 * A tube on its supply: a dial that sets the current at full power, an analogue milliammeter read
 * by eye, a power meter, and a probe that heats.
 */
public final class StandInSupply {
  private static final double SHARE_OF_DIVISION = 0.5;
  private static final double PARALLAX_DIVISIONS = 0.12;
  private static final double METER_SCATTER = 0.015;

  private final StandInTube tube;
  private final double gainMaPerPercent;
  private final double offsetMa;
  private final double bow;
  private final double divisionMa;
  private final Random random;
  private double dialPercent;

  /**
   * @param gainMaPerPercent of the dial, and {@code offsetMa} where it stands at nothing
   * @param bow how much the dial's middle gives more than a straight line, in mA
   * @param divisionMa of the meter
   */
  public StandInSupply(
      StandInTube tube,
      double gainMaPerPercent,
      double offsetMa,
      double bow,
      double divisionMa,
      double dialPercent,
      long number) {
    this.tube = tube;
    this.gainMaPerPercent = gainMaPerPercent;
    this.offsetMa = offsetMa;
    this.bow = bow;
    this.divisionMa = divisionMa;
    this.dialPercent = dialPercent;
    random = new Random(number);
  }

  public StandInTube tube() {
    return tube;
  }

  public double dialPercent() {
    return dialPercent;
  }

  public void setDial(double percent) {
    dialPercent = Math.clamp(percent, 0, 100);
  }

  /** The true current at a setting of the dial, with the job at full power. */
  public double currentMa(double dial) {
    double share = dial / 100;
    return Math.max(0, offsetMa + gainMaPerPercent * dial + 4 * bow * share * (1 - share));
  }

  /** The needle's place between two lines, as an eye gives it. */
  public double readMa(double dial) {
    double seen = currentMa(dial) / divisionMa + PARALLAX_DIVISIONS * random.nextGaussian();
    return Math.max(0, Math.round(seen / SHARE_OF_DIVISION) * SHARE_OF_DIVISION * divisionMa);
  }

  /** How finely the needle is read, with the eye's place before it reckoned in. */
  public double resolutionMa() {
    return Math.hypot(SHARE_OF_DIVISION, PARALLAX_DIVISIONS * Math.sqrt(12)) * divisionMa;
  }

  private double ma(double jobPercent) {
    return currentMa(dialPercent) * jobPercent / 100;
  }

  /** What the job gives at a percentage, truly. */
  public double watts(double jobPercent) {
    return tube.watts(ma(jobPercent));
  }

  /** By a power meter, to a tenth of a watt. */
  public double readWatts(double jobPercent) {
    double read = tube.wattsNow(ma(jobPercent)) * (1 + METER_SCATTER * random.nextGaussian());
    return Math.round(10 * read) / 10.0;
  }

  /**
   * A block that takes the beam and loses heat to the room.
   *
   * @param joulesPerKelvin its heat capacity
   * @param secondsToCool until it is a factor of e nearer to the room
   */
  public record Probe(double joulesPerKelvin, double secondsToCool, double roomC) {
    /** After so long without light. */
    public double cooled(double fromC, double seconds) {
      return roomC + (fromC - roomC) * Math.exp(-seconds / secondsToCool);
    }
  }

  /** The probe's temperature after a pulse, stepped in small times, read to a tenth. */
  public double heat(Probe probe, double startC, double jobPercent, double seconds) {
    double celsius = startC;
    double watts = tube.wattsNow(ma(jobPercent));
    int steps = 2000;
    double step = seconds / steps;
    for (int i = 0; i < steps; i++) {
      double lost = probe.joulesPerKelvin / probe.secondsToCool * (celsius - probe.roomC);
      celsius += (watts - lost) / probe.joulesPerKelvin * step;
    }
    return Math.round(10 * celsius) / 10.0;
  }
}
