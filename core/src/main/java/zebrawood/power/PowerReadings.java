package zebrawood.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.measure.Accepts;

/**
 * One visit to the power.
 *
 * @param lowPulseMa a current for mirror work, low and set first; empty where it was not read, and
 *     on a source without a tube
 * @param tube whether there is a tube with a current at all
 * @param curve as it is now, when it was read
 * @param output what it gives at the test job, and what it gave
 * @param life of the tube's data sheet, when it was at hand
 * @param tubeLabel what tells this tube from another, when it was told
 */
public record PowerReadings(
    PowerTask task,
    boolean tube,
    OptionalDouble lowPulseMa,
    Optional<Curve> curve,
    Output output,
    Optional<LifeRule> life,
    Optional<String> tubeLabel) {

  /**
   * Readings over the scale.
   *
   * @param resolution of the instrument, in its unit
   * @param before what the jobs were made for, read the same way; empty where it was not kept
   */
  public record Curve(
      List<CurvePoint> now, double resolution, double scatterPercent, List<CurvePoint> before) {
    public Curve {
      now = List.copyOf(now);
      before = List.copyOf(before);
      new Accepts()
          .positive("resolution", resolution, 100_000)
          .between("scatterPercent", scatterPercent, 0, 50)
          .orThrow();
    }
  }

  /**
   * At the test job, always in the same unit.
   *
   * @param inWatts else in percent of what it was at first, by marks that look alike
   * @param now empty where it was not read
   * @param first what this tube gave when it was new here
   * @param lossLimitPercent from which on it is to be replaced; empty while nobody said so
   * @param history earlier readings of this tube, in hours or days
   * @param at when this reading is taken, in the same
   * @param inHours whether these are the counter's hours, else days since the first reading
   * @param hours on the counter, or counted up by the entries, when they were read
   * @param meter what it was read with, when that was told
   * @param onMeter of this reading, as in {@link Ageing.Reading}
   */
  public record Output(
      boolean inWatts,
      OptionalDouble now,
      OptionalDouble first,
      OptionalDouble lossLimitPercent,
      List<Ageing.Reading> history,
      double at,
      boolean inHours,
      OptionalDouble hours,
      Optional<String> meter,
      OptionalInt onMeter) {
    public static final Output NOT_READ =
        new Output(
            false,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            List.of(),
            0,
            false,
            OptionalDouble.empty(),
            Optional.empty(),
            OptionalInt.empty());

    public Output {
      history = List.copyOf(history);
      var accepts = new Accepts();
      now.ifPresent(v -> accepts.positive("output", v, 100_000));
      lossLimitPercent.ifPresent(p -> accepts.between("lossLimitPercent", p, 1, 90));
      hours.ifPresent(h -> accepts.between("hours", h, 0, 1_000_000));
      accepts.orThrow();
    }

    /** Whether what is read now can be held against what was read first. */
    public boolean onFirstScale() {
      return history.isEmpty() || history.getFirst().onMeter().orElse(0) == onMeter.orElse(0);
    }
  }

  public PowerReadings {
    var accepts = new Accepts();
    lowPulseMa.ifPresent(ma -> accepts.positive("lowPulseMa", ma, CeilingReadings.MOST_MA));
    accepts.orThrow();
  }
}
