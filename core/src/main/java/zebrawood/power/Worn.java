package zebrawood.power;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;

/** Whether a source has lost more than it may. */
enum Worn {
  NOT_ASKED,
  NO,
  YES,
  /** By this reading alone, or too near to the limit for it. */
  READ_AGAIN;

  /**
   * By all readings where there are enough for a trend: beyond the limit by two deviations. Fewer
   * decide where the one before was beyond it as well.
   *
   * @param lossPercent by this reading; empty where it is not known
   */
  static Worn of(
      PowerReadings.Output output, OptionalDouble lossPercent, Optional<Ageing.Trend> trend) {
    if (lossPercent.isEmpty() || output.lossLimitPercent().isEmpty()) {
      return NOT_ASKED;
    }
    boolean beyond = lossPercent.getAsDouble() > output.lossLimitPercent().getAsDouble();
    if (output.first().isEmpty() || output.now().isEmpty()) {
      return beyond ? YES : NO;
    }
    double least =
        output.first().getAsDouble() * (1 - output.lossLimitPercent().getAsDouble() / 100);
    boolean alone = trend.filter(Ageing.Trend::lastAlone).isPresent();
    if (!beyond) {
      return alone ? READ_AGAIN : NO;
    }
    Optional<Estimate> now = trend.flatMap(Ageing.Trend::now);
    boolean sure =
        now.isPresent()
            ? !alone && least - now.get().value() > 2 * now.get().uncertainty()
            : !output.history().isEmpty() && output.history().getLast().value() < least;
    return sure ? YES : READ_AGAIN;
  }
}
