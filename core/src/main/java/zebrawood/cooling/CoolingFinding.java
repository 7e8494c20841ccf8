package zebrawood.cooling;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.climate.Air;
import zebrawood.climate.Bucket;
import zebrawood.climate.Coldest;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What the cooling came to.
 *
 * @param minutesToCool from the limit back to the start with the machine off, for a bucket
 * @param setPoint where the chiller may be set; none for a bucket
 * @param litresEnough a bucket that would hold the limit for eight hours, or that comes to rest
 *     below it
 */
public record CoolingFinding(
    Air.Finding air,
    Optional<Bucket.Finding> bucket,
    OptionalDouble minutesToCool,
    OptionalDouble litresEnough,
    Optional<Chiller.Finding> chiller,
    Optional<SetPoint> setPoint,
    Optional<Coldest.Finding> coldest,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** Air, bucket or chiller, and where it may be set, in sentences. */
  List<Message> said(CoolingReadings r) {
    List<Message> said = new ArrayList<>();
    if (!r.dampUnknown()) {
      said.add(air(r.limitC()));
    }
    bucket
        .filter(b -> b.steadyC().isPresent())
        .ifPresent(b ->
            said.add(Message.of("cooling.summary.bucket", celsius(b.steadyC().getAsDouble()))));
    minutesToCool.ifPresent(
        m -> said.add(Message.of("cooling.summary.cool", Amount.of(m, Quantity.MINUTES, 0))));
    litresEnough.ifPresent(
        l -> said.add(Message.of("cooling.summary.litres", Amount.of(l, Quantity.VOLUME, 0))));
    chiller.ifPresent(c ->
        said.add(
            Message.of(
                "cooling.summary.chiller",
                Amount.of(c.capacityW(), Quantity.POWER, 0),
                Amount.of(100 * c.shareUsed(), Quantity.PERCENT, 0))));
    setPoint
        .filter(s -> s.leastC() <= s.mostC())
        .ifPresent(s ->
            said.add(
                Message.of(
                    "cooling.summary.set-point",
                    Message.bare(celsius(s.leastC())),
                    celsius(s.mostC()))));
    return said;
  }

  private Message air(double limitC) {
    return Message.of(
        "cooling.summary.air",
        Amount.of(air.marginK(), Quantity.TEMPERATURE_DIFFERENCE, 1),
        celsius(air.dewPointC()),
        Message.bare(celsius(air.lowestCoolantC())),
        Amount.plain(limitC, Quantity.TEMPERATURE));
  }

  private static Amount celsius(double value) {
    return Amount.of(value, Quantity.TEMPERATURE, 1);
  }
}
