package zebrawood.cooling;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.climate.Air;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where may the chiller be set? Above the dew point with its margin, and so far below the limit
 * that what the loop gained in an hour stays under it.
 *
 * @param leastC from the dew point; the room itself where that is lower, since water never settles
 *     on what is not below it
 * @param mostC from the limit
 */
public record SetPoint(double leastC, double mostC) {
  static SetPoint of(CoolingReadings r, Air.Finding air) {
    double gainedK = Math.max(0, r.afterHourC().orElse(0) - r.air().coolantC());
    return new SetPoint(
        Math.min(air.lowestCoolantC(), r.air().temperatureC()),
        r.limitC() - (r.afterHourC().isPresent() ? gainedK : 0));
  }

  Optional<PartFinding> judge(OptionalDouble setC) {
    if (leastC > mostC) {
      return Optional.of(
          PartFinding.stop(
              Advice.act("cooling.set-point.dry-room-before")
                  .because("cooling.set-point.no-set-point")));
    }
    if (setC.isEmpty()) {
      return Optional.empty();
    }
    double set = setC.getAsDouble();
    Message window =
        Message.of(
            "cooling.set-point.between",
            Message.bare(Amount.of(leastC, Quantity.TEMPERATURE, 1)),
            Amount.of(mostC, Quantity.TEMPERATURE, 1));
    return set < leastC || set > mostC
        ? Optional.of(
            PartFinding.adjust(
                Advice.act("cooling.set-point.set-chiller", window)
                    .because("cooling.set-point.stands", Amount.of(set, Quantity.NUMBER, 1))))
        : Optional.empty();
  }
}
