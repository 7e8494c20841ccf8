package zebrawood.devices.rotary;

import java.util.Random;
import zebrawood.rotary.RotaryReadings.Kind;

/**
 * A simulated rotary with work in it. It is turned step by step, as its controller does: a chuck
 * whose gear may be another one than its plate says, rollers that slip a little more on each turn;
 * a tape that is read to half a millimetre. It stands askew and beside the beam, and its work may
 * be a cone.
 */
public final class StandInRotary {
  private static final double READ_MM = 0.5;
  private static final double SPOT_MM = 0.2;
  private static final double GAUGE_MM = 0.1;
  private static final double PLATE_STEPS = 6400;
  private static final double ROLLER_MM = 30;

  private final Random random;
  private final Kind kind;
  private final double stepsPerTurn;
  private final double diameterMm;
  private final double slip;
  private final double slope;
  private double setStepsPerMm;
  private double askewMrad;
  private double crownMm;

  public StandInRotary(long number) {
    random = new Random(number);
    kind = random.nextBoolean() ? Kind.CHUCK : Kind.ROLLERS;
    stepsPerTurn = PLATE_STEPS * (random.nextInt(3) == 0 ? 1.05 : 1);
    diameterMm = 40 + 60 * random.nextDouble();
    slip = kind == Kind.ROLLERS ? 0.004 * random.nextGaussian() : 0;
    double nominal = PLATE_STEPS / (Math.PI * (kind == Kind.CHUCK ? diameterMm : ROLLER_MM));
    setStepsPerMm = nominal * (1 + 0.02 * random.nextGaussian());
    askewMrad = 8 * random.nextGaussian();
    crownMm = 0.05 * diameterMm * random.nextGaussian();
    slope = random.nextInt(3) == 0 ? 0.04 : 0;
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

  /** How far aside the beam's spot is at the far end, put on the top line at the near one. */
  public double spotOffMm(double apartMm) {
    return to(SPOT_MM, apartMm * askewMrad / 1000);
  }

  /** The gap below a level edge on the crown, so far to the rear of the beam. */
  public double gapMm(double atMm) {
    double from = atMm - crownMm;
    double radius = diameterMm / 2;
    return to(GAUGE_MM, radius - Math.sqrt(radius * radius - from * from));
  }

  private static double to(double step, double mm) {
    return step * Math.round(mm / step);
  }

  /** Of a cone, over so much of its axis; of a cylinder twice the same. */
  public double diameterMm(double alongMm) {
    return to(0.05, diameterMm - slope * alongMm);
  }

  public boolean isCone() {
    return slope > 0;
  }

  /** The far end to the rear. */
  public void turn(double mrad) {
    askewMrad += mrad;
  }

  /** All of it to the rear. */
  public void move(double mm) {
    crownMm += mm;
  }

  /** Of the crown from the beam's way, truly, at an artwork's end so far along. */
  public double asideMm(double alongMm) {
    return Math.hypot(crownMm, alongMm * askewMrad / 1000);
  }
}
