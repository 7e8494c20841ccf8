package zebrawood.devices.rotary;

import java.util.Random;
import zebrawood.rotary.RotaryReadings.Kind;

/**
 * A simulated rotary with work in it. It is turned step by step, as its controller does: a chuck
 * whose gear may be another one than its plate says, rollers that slip a little more on each turn;
 * a tape that is read to half a millimetre.
 */
public final class StandInRotary {
  private static final double READ_MM = 0.5;
  private static final double PLATE_STEPS = 6400;
  private static final double ROLLER_MM = 30;

  private final Random random;
  private final Kind kind;
  private final double stepsPerTurn;
  private final double diameterMm;
  private final double slip;
  private double setStepsPerMm;

  public StandInRotary(long number) {
    random = new Random(number);
    kind = random.nextBoolean() ? Kind.CHUCK : Kind.ROLLERS;
    stepsPerTurn = PLATE_STEPS * (random.nextInt(3) == 0 ? 1.05 : 1);
    diameterMm = 40 + 60 * random.nextDouble();
    slip = kind == Kind.ROLLERS ? 0.004 * random.nextGaussian() : 0;
    double nominal = PLATE_STEPS / (Math.PI * (kind == Kind.CHUCK ? diameterMm : ROLLER_MM));
    setStepsPerMm = nominal * (1 + 0.02 * random.nextGaussian());
  }

  public Kind kind() {
    return kind;
  }

  /** On the plate, which may be wrong. */
  public double plateSteps() {
    return PLATE_STEPS;
  }

  public double rollerMm() {
    return ROLLER_MM;
  }

  /** With a caliper. */
  public double readDiameterMm() {
    return Math.round((diameterMm + 0.03 * random.nextGaussian()) / 0.05) * 0.05;
  }

  public double setStepsPerMm() {
    return setStepsPerMm;
  }

  public void set(double stepsPerMm) {
    setStepsPerMm = stepsPerMm;
  }

  /** How far the surface goes for so much that is commanded. */
  private double goneMm(double commandedMm) {
    double turns = commandedMm * setStepsPerMm / stepsPerTurn;
    double turned = Math.PI * (kind == Kind.CHUCK ? diameterMm : ROLLER_MM);
    return turns * turned * (1 - slip);
  }

  /** The gap after a line of this length; an overlap is negative. */
  public double closesByMm(double commandedMm) {
    return read(Math.PI * diameterMm - goneMm(commandedMm));
  }

  /** A mark of this length, with a tape round the work. */
  public double measuredMm(double commandedMm) {
    return read(goneMm(commandedMm));
  }

  private static double read(double mm) {
    return READ_MM * Math.round(mm / READ_MM);
  }

  /** By how much a line of 100 mm is off, truly. */
  public double offMm() {
    return Math.abs(goneMm(100) - 100);
  }
}
