package zebrawood.devices.site;

import java.util.EnumSet;
import java.util.Random;
import java.util.Set;

/**
 * A simulated loop in a simulated room.
 *
 * <p>Two lumps, tube and tank, exchange heat through the flow, which is a fuller model than the
 * solver's one lump: after a burst the tube is warmer than the tank. The chiller is a switch with a
 * band about its set point, as cheap ones are. Steps are of one second.
 */
public final class StandInLoop {
  /** What can be wrong with it. */
  public enum Fault {
    LEAK,
    BUBBLE,
    INTERLOCK_BRIDGED,
    PUMP_STOPPED
  }

  private static final double WATER_J_PER_KG_K = 4186;
  private static final double TUBE_J_PER_K = 2500;
  private static final double FLOW_W_PER_K = 140;
  private static final double TO_ROOM_W_PER_K = 6;
  private static final double BAND_K = 0.5;

  private final Random random;
  private final Set<Fault> faults;
  private final double litres;
  private final double chillerW;
  private final double roomC;
  private final double humidityPercent;
  private double setPointC;
  private double tankC;
  private double tubeC;
  private boolean chilling;

  /**
   * @param litres in the loop and the tank
   * @param chillerW what the chiller carries off while it runs; 0 for a bucket
   * @param seed the same room and loop again for the same number
   */
  public StandInLoop(double litres, double chillerW, Set<Fault> faults, long seed) {
    this.random = new Random(seed);
    this.litres = litres;
    this.chillerW = chillerW;
    this.faults = faults.isEmpty() ? EnumSet.noneOf(Fault.class) : EnumSet.copyOf(faults);
    this.roomC = 19 + 9 * random.nextDouble();
    this.humidityPercent = 40 + 35 * random.nextDouble();
    this.setPointC = 15 + 5 * random.nextDouble();
    this.tankC = chillerW > 0 ? setPointC : roomC - 1;
    this.tubeC = tankC;
  }

  /** Lets time pass with so much heat going into the tube. */
  public void run(double minutes, double heatW) {
    long seconds = Math.round(minutes * 60);
    double flowWPerK = faults.contains(Fault.PUMP_STOPPED) ? 0 : FLOW_W_PER_K;
    for (long s = 0; s < seconds; s++) {
      if (tankC > setPointC + BAND_K) {
        chilling = true;
      } else if (tankC < setPointC - BAND_K) {
        chilling = false;
      }
      double carried = flowWPerK * (tubeC - tankC);
      tubeC += (heatW - carried) / TUBE_J_PER_K;
      double lost = TO_ROOM_W_PER_K * (tankC - roomC) + (chilling ? chillerW : 0);
      tankC += (carried - lost) / (litres * WATER_J_PER_KG_K);
    }
  }

  public void setPoint(double celsius) {
    setPointC = celsius;
  }

  public double readRoomC() {
    return tenth(roomC + 0.1 * random.nextGaussian());
  }

  /** To a whole, as wall instruments show it. */
  public double readHumidityPercent() {
    return Math.clamp(Math.round(humidityPercent + 0.8 * random.nextGaussian()), 0, 100);
  }

  /** In the tank, where the sensor sits. */
  public double readCoolantC() {
    return tenth(tankC + 0.05 * random.nextGaussian());
  }

  /** What no sensor shows: for scoring the practice, never for its advice. */
  public double tubeC() {
    return tubeC;
  }

  private static double tenth(double value) {
    return Math.round(value * 10) / 10.0;
  }

  /** Whether water comes back to the tank. */
  public boolean flows() {
    return !faults.contains(Fault.PUMP_STOPPED);
  }

  /** A dry hand round every joint. */
  public boolean dry() {
    return !faults.contains(Fault.LEAK);
  }

  /** Tilted and run. */
  public boolean freeOfBubbles() {
    return !faults.contains(Fault.BUBBLE);
  }

  /** Whether the laser is stopped when the hose is pinched. */
  public boolean pinchStopsLaser() {
    return !faults.contains(Fault.INTERLOCK_BRIDGED);
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
