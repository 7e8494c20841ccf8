package zebrawood.devices.site;

import java.util.EnumSet;
import java.util.Random;
import java.util.Set;

/**
 * A simulated room with a machine that was just brought in.
 *
 * <p>The room's air and its walls are two lumps: heat warms the air at once and the walls slowly,
 * and both lose it to the outdoors. What it takes up of water stays, so the relative humidity falls
 * as the air warms. Steps are of ten seconds.
 */
public final class StandInRoom {
  /** What can be wrong with it. */
  public enum Fault {
    EARTH_OPEN,
    STRAP_LEFT,
    CONNECTOR_LOOSE,
    AIR_STUCK_ON,
    NO_EXTINGUISHER,
    CLOSE_TO_WALL
  }

  private static final double STEP_S = 10;
  private static final double AIR_J_PER_K = 80_000;
  private static final double WALLS_J_PER_K = 4e6;
  private static final double AIR_TO_WALLS_W_PER_K = 120;
  private static final double TO_OUTDOORS_W_PER_K = 40;
  private static final double OPEN_OHM = 2e6;
  private static final double GAP_MM = 260;
  private static final double CLOSE_MM = 70;

  private final Random random;
  private final Set<Fault> faults;
  private final double outdoorsC;
  private final double waterHPa;
  private final double earthOhm;
  private double airC;
  private double wallsC;

  /**
   * @param seed the same room again for the same number
   */
  public StandInRoom(Set<Fault> faults, long seed) {
    this.random = new Random(seed);
    this.faults = faults.isEmpty() ? EnumSet.noneOf(Fault.class) : EnumSet.copyOf(faults);
    outdoorsC = 8 + 12 * random.nextDouble();
    airC = 18 + 4 * random.nextDouble();
    wallsC = airC - 1;
    waterHPa = saturationHPa(airC) * (0.4 + 0.25 * random.nextDouble());
    earthOhm = 0.05 + 0.2 * random.nextDouble();
  }

  /** Lets time pass with so much heat going into the room. */
  public void run(double minutes, double heatW) {
    long steps = Math.round(minutes * 60 / STEP_S);
    for (long i = 0; i < steps; i++) {
      double toWalls = AIR_TO_WALLS_W_PER_K * (airC - wallsC);
      double out = TO_OUTDOORS_W_PER_K * (airC - outdoorsC);
      airC += (heatW - toWalls - out) * STEP_S / AIR_J_PER_K;
      wallsC += toWalls * STEP_S / WALLS_J_PER_K;
    }
  }

  /** Over water, after Buck (1981): another formula than the solver's. */
  private static double saturationHPa(double celsius) {
    return 6.1121 * Math.exp((18.678 - celsius / 234.5) * celsius / (257.14 + celsius));
  }

  public double readRoomC() {
    return Math.round((airC + 0.1 * random.nextGaussian()) * 10) / 10.0;
  }

  /** To a whole, as wall instruments show it. */
  public double readHumidityPercent() {
    double percent = 100 * waterHPa / saturationHPa(airC) + 0.8 * random.nextGaussian();
    return Math.clamp(Math.round(percent), 0, 100);
  }

  /** From the frame to the plug's earth pin, to a hundredth. */
  public double readEarthOhm() {
    double ohm = faults.contains(Fault.EARTH_OPEN) ? OPEN_OHM : earthOhm;
    return Math.max(0.01, Math.round(ohm * (1 + 0.02 * random.nextGaussian()) * 100) / 100.0);
  }

  /** The narrowest gap to a wall. */
  public double readGapMm() {
    return Math.round(
        (faults.contains(Fault.CLOSE_TO_WALL) ? CLOSE_MM : GAP_MM) + random.nextGaussian());
  }

  /** Whether this cannot be found wrong by looking or trying. */
  public boolean inOrder(Fault fault) {
    return !faults.contains(fault);
  }

  /** What was wrong is put right. */
  public void mend(Fault fault) {
    faults.remove(fault);
  }

  /** What is still wrong: for scoring the practice, never for its advice. */
  public Set<Fault> faultsLeft() {
    return Set.copyOf(faults);
  }
}
