package zebrawood.cooling;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.climate.Air;
import zebrawood.climate.Bucket;
import zebrawood.climate.Coldest;
import zebrawood.measure.Accepts;
import zebrawood.station.Proof;

/**
 * One visit to the cooling: what was read, and what was proven by hand.
 *
 * @param air where the humidity was not read it stands at 100 percent, the worst that can be
 * @param limitC the warmest coolant that the machine's data sheet allows
 * @param afterHourC coolant after an hour of running, when it was waited for
 * @param conductivityUsCm of the coolant in microsiemens per centimetre, when it was measured
 * @param coolant what is in the loop
 * @param bucket when it is cooled by a bucket and a pump
 * @param chiller when it is cooled by a chiller whose pull-down was timed
 * @param setPointC what the chiller is set to
 * @param coldest when the loop may freeze
 * @param flowSwitch whether something stops the laser when the water stops
 * @param proofs what was looked at, each once
 * @param followsRoomK how far above the room the chiller keeps itself, where it follows it; less
 *     than 0 for below
 * @param noHygrometer whether nobody could read the humidity; empty counts as no
 */
public record CoolingReadings(
    Air.Readings air,
    double limitC,
    OptionalDouble afterHourC,
    OptionalDouble conductivityUsCm,
    Coolant coolant,
    Optional<Bucket.Readings> bucket,
    Optional<Chiller.Readings> chiller,
    OptionalDouble setPointC,
    Optional<Coldest.Readings> coldest,
    boolean flowSwitch,
    List<Proof<Item>> proofs,
    Optional<Boolean> noHygrometer,
    OptionalDouble followsRoomK) {

  /** What is proven by hand and eye. */
  public enum Item {
    FLOW,
    LEAKS,
    BUBBLES,
    FLOW_INTERLOCK
  }

  public CoolingReadings {
    proofs = List.copyOf(proofs);
    var accepts = new Accepts().between("limitC", limitC, 5, 60);
    afterHourC.ifPresent(c -> accepts.between("afterHourC", c, -40, 100));
    setPointC.ifPresent(c -> accepts.between("setPointC", c, -40, 60));
    followsRoomK.ifPresent(k -> accepts.between("followsRoomK", k, -20, 20));
    conductivityUsCm.ifPresent(c -> accepts.between("conductivityUsCm", c, 0, 100_000));
    Proof.eachOnce("proofs", proofs, accepts);
    accepts.orThrow();
  }

  /** What the chiller stands at: set, or by the room as it is now. */
  OptionalDouble standsAtC() {
    return followsRoomK.isPresent()
        ? OptionalDouble.of(air.temperatureC() + followsRoomK.getAsDouble())
        : setPointC;
  }

  /** Whether nobody read the humidity, so that the worst counts. */
  public boolean dampUnknown() {
    return noHygrometer.orElse(false);
  }
}
