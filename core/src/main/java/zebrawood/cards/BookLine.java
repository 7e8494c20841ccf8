package zebrawood.cards;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * One line of the settings book, for one stock through one lens.
 *
 * @param work what it is for: large areas, fine lines, tiny letters, cutting
 * @param leastPercent of the power, where the machine has a pair; empty where it has one
 * @param from where it comes from: what was copied is never trusted until it was burnt
 */
public record BookLine(
    String work,
    OptionalDouble speedMmS,
    OptionalDouble leastPercent,
    OptionalDouble percent,
    OptionalDouble intervalMm,
    OptionalDouble passes,
    OptionalDouble pauseS,
    OptionalDouble focusOffsetMm,
    OptionalDouble khz,
    OptionalDouble pulseNs,
    OptionalDouble wobbleMm,
    Optional<Air> air,
    Origin from) {

  /** Where a setting comes from. */
  public enum Origin {
    CARD,
    TRIAL,
    COPIED
  }

  /** How much air is blown. */
  public enum Air {
    OFF,
    LEAST,
    FULL
  }

  public BookLine {
    var accepts = new Accepts().filled("work", work);
    speedMmS.ifPresent(v -> accepts.positive("speedMmS", v, CardPlanReadings.FASTEST_MM_S));
    leastPercent.ifPresent(v -> accepts.between("leastPercent", v, 0, 100));
    percent.ifPresent(v -> accepts.positive("percent", v, 100));
    intervalMm.ifPresent(v -> accepts.positive("intervalMm", v, 100));
    passes.ifPresent(v -> accepts.between("passes", v, 1, 1000));
    pauseS.ifPresent(v -> accepts.between("pauseS", v, 0, 36_000));
    focusOffsetMm.ifPresent(v -> accepts.between("focusOffsetMm", v, -1000, 1000));
    khz.ifPresent(v -> accepts.positive("khz", v, 1_000_000));
    pulseNs.ifPresent(v -> accepts.positive("pulseNs", v, 1e9));
    wobbleMm.ifPresent(v -> accepts.between("wobbleMm", v, 0, 100));
    accepts.orThrow();
  }
}
