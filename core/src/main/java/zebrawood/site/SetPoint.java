package zebrawood.site;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Numbers;

/**
 * Where may the chiller be set? Above the dew point with its margin, and so far below the limit
 * that what the loop gained in an hour stays under it.
 *
 * @param leastC from the dew point
 * @param mostC from the limit
 */
public record SetPoint(double leastC, double mostC) {
  static SetPoint of(CoolingReadings r, Air.Finding air) {
    double gainedK = Math.max(0, r.afterHourC().orElse(0) - r.air().coolantC());
    return new SetPoint(
        air.lowestCoolantC(), r.limitC() - (r.afterHourC().isPresent() ? gainedK : 0));
  }

  Optional<Part> judge(OptionalDouble setC) {
    if (leastC > mostC) {
      return Optional.of(
          Part.stop(
              "Dry the room before you fire: no set point is above the dew point and below the limit."));
    }
    if (setC.isEmpty()) {
      return Optional.empty();
    }
    double set = setC.getAsDouble();
    String window =
        "between %s and %s °C".formatted(Numbers.fixed(leastC, 1), Numbers.fixed(mostC, 1));
    return set < leastC || set > mostC
        ? Optional.of(
            Part.adjust(
                "Set the chiller %s: it stands at %s.".formatted(window, Numbers.fixed(set, 1))))
        : Optional.empty();
  }
}
