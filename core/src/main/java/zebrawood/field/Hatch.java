package zebrawood.field;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** How lines and pulses overlap, for the spot that burns them. */
public final class Hatch {
  /**
   * In spots. Above one spot single lines show; below a quarter of one, more lines add heat but no
   * depth (rule of practice, see docs/physics.md).
   */
  private static final double CLOSEST = 0.25;

  private Hatch() {}

  /** What can be said of what is known; nothing where it is too little. */
  public static List<Message> said(
      OptionalDouble spotMm,
      OptionalDouble intervalMm,
      OptionalDouble speedMmS,
      OptionalDouble rateKhz) {
    List<Message> said = new ArrayList<>();
    spotMm.ifPresent(spot -> {
      intervalMm.stream().mapToObj(mm -> ofInterval(spot, mm)).forEach(said::add);
      if (speedMmS.isPresent() && rateKhz.isPresent()) {
        said.add(ofPulses(spot, speedMmS.getAsDouble(), rateKhz.getAsDouble()));
      }
    });
    return said;
  }

  /**
   * @param intervalMm from line to line of a fill
   */
  public static Message ofInterval(double spotMm, double intervalMm) {
    Amount overlap = overlap(spotMm, intervalMm);
    return intervalMm > spotMm
        ? Message.of("field.hatch.gaps", Amount.mm(intervalMm, 3), Amount.mm(spotMm, 3))
        : intervalMm < CLOSEST * spotMm
            ? Message.of("field.hatch.dense", overlap)
            : Message.of("field.hatch.lines", overlap);
  }

  /** From pulse to pulse: the speed over the frequency. */
  public static Message ofPulses(double spotMm, double speedMmS, double rateKhz) {
    double apart = speedMmS / (1000 * rateKhz);
    return apart > spotMm
        ? Message.of("field.hatch.dots", Amount.mm(apart, 4), Amount.mm(spotMm, 3))
        : Message.of("field.hatch.pulses", Amount.mm(apart, 4), overlap(spotMm, apart));
  }

  private static Amount overlap(double spotMm, double apartMm) {
    return Amount.of(100 * Math.max(0, 1 - apartMm / spotMm), Quantity.PERCENT, 0);
  }
}
