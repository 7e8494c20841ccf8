package zebrawood.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.machine.Source;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a visit to the power came to.
 *
 * @param top the current at full power against the agreed one; empty on a source without a tube
 * @param dialPercent where the dial is to stand, when it is known
 * @param slopeMaPerPercent what a percent of the dial changes there
 * @param lossPercent what it gives less than when it was new, in percent of that
 * @param trend empty where too little was read to tell one
 * @param better what to do about output that fell; empty where nothing is to be done
 */
public record PowerFinding(
    Optional<Top> top,
    Optional<Estimate> dialPercent,
    OptionalDouble slopeMaPerPercent,
    Optional<FittedCurve> curve,
    OptionalDouble lossPercent,
    Optional<Ageing.Trend> trend,
    Optional<Better> better,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** What was agreed, what is best done, and what a pulse carries. */
  List<Message> said(PowerReadings readings, Source source) {
    List<Message> said = new ArrayList<>();
    top.ifPresent(t ->
        said.add(
            Message.of(
                "power.summary.agreed",
                Amount.of(t.agreedMa(), Quantity.SMALL_CURRENT, 1),
                Amount.of(t.allowedMa(), Quantity.SMALL_CURRENT, 1))));
    better.map(Message::of).ifPresent(said::add);
    if (readings.task() instanceof PowerTask.ByWords words && words.pulse().rateKhz().isPresent()) {
      double millijoules = source.watts() / words.pulse().rateKhz().getAsDouble();
      said.add(
          Message.of(
              "power.summary.pulse",
              Amount.plain(source.watts(), Quantity.POWER),
              Amount.of(millijoules, Quantity.PULSE_ENERGY, 3)));
    }
    return said;
  }

  /**
   * @param readMa empty while it was not read with the dial set
   * @param allowedMa how far off it may be
   */
  public record Top(double agreedMa, OptionalDouble readMa, double allowedMa) {
    public OptionalDouble offMa() {
      return readMa.isPresent()
          ? OptionalDouble.of(Math.abs(readMa.getAsDouble() - agreedMa))
          : OptionalDouble.empty();
    }
  }

  /** What is best done about it now. */
  public enum Better {
    TURN_THE_DIAL,
    RESCALE,
    REPLACE
  }
}
