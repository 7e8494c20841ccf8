package zebrawood.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.measure.Accepts;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * A fibre cutting head as it is set for a sheet. Its nozzle's stand-off from the sheet and the
 * focus's offset from the nozzle's tip are two numbers: the first keeps the gas, the second the
 * cut.
 *
 * @param sensorFollows whether the height sensor was seen to follow a bent sheet; empty while
 *     nobody tried
 * @param recipe what it cuts with; what nobody told is empty
 * @param piercing its stages, in their order; empty for a sheet that is pierced at the cutting
 *     height
 */
public record CuttingHead(
    Optional<Boolean> sensorFollows, Recipe recipe, Optional<Piercing> piercing) {
  public enum Gas {
    OXYGEN,
    NITROGEN,
    AIR
  }

  public enum Nozzle {
    SINGLE,
    DOUBLE
  }

  /** What it cuts with. The focus is above the sheet's surface, less than 0 for inside of it. */
  public record Recipe(
      Gas gas,
      OptionalDouble bar,
      Nozzle nozzle,
      OptionalDouble boreMm,
      OptionalDouble standOffMm,
      OptionalDouble focusMm,
      OptionalDouble speedMmS) {
    public Recipe {
      var accepts = new Accepts();
      bar.ifPresent(v -> accepts.between("bar", v, 0, 60));
      boreMm.ifPresent(v -> accepts.positive("boreMm", v, 20));
      standOffMm.ifPresent(v -> accepts.between("standOffMm", v, 0, 50));
      focusMm.ifPresent(v -> accepts.between("focusMm", v, -100, 100));
      speedMmS.ifPresent(v -> accepts.positive("speedMmS", v, 5000));
      accepts.orThrow();
    }
  }

  /** One stage of a pierce. */
  public record Stage(double standOffMm, double focusMm, double seconds, double bar) {
    public Stage {
      new Accepts()
          .between("standOffMm", standOffMm, 0, 100)
          .between("focusMm", focusMm, -100, 100)
          .positive("seconds", seconds, 600)
          .between("bar", bar, 0, 60)
          .orThrow();
    }
  }

  /**
   * How a thick sheet is pierced.
   *
   * @param cutFocusMm what the focus is brought to after the last stage; empty where the recipe
   *     does not say
   * @param minutesPerStop to go in, turn the focus by hand and come out again
   * @param pierces in the job
   */
  public record Piercing(
      List<Stage> stages, OptionalDouble cutFocusMm, double minutesPerStop, int pierces) {
    public Piercing {
      stages = List.copyOf(stages);
      new Accepts()
          .atLeast("stages", stages, 1, "focus.count.stages")
          .between("minutesPerStop", minutesPerStop, 0, 60)
          .between("pierces", pierces, 1, 100_000)
          .orThrow();
    }

    /** How often the focus changes in one pierce: each time a head without a motor must stop. */
    public int stops() {
      List<Double> focus =
          Stream.concat(
                  stages.stream().map(Stage::focusMm),
                  cutFocusMm.isPresent() ? Stream.of(cutFocusMm.getAsDouble()) : Stream.empty())
              .toList();
      return (int)
          IntStream.range(1, focus.size())
              .filter(i -> !focus.get(i).equals(focus.get(i - 1)))
              .count();
    }

    /** Of the whole job, with a motor that moves while it pierces. */
    public double minutesWithMotor() {
      return pierces * stages.stream().mapToDouble(Stage::seconds).sum() / 60;
    }

    /**
     * Of the whole job by hand: every hole is pierced at one stage before the focus is turned for
     * the next, so that it stops as often as the focus changes and not for each hole.
     */
    public double minutesByHand() {
      return minutesWithMotor() + stops() * minutesPerStop;
    }

    /** How long it takes with a motor and by hand, and how often it stops. */
    public Message said() {
      return Message.of(
          "focus.piercing.takes",
          Amount.of(minutesWithMotor(), Quantity.MINUTES, 0),
          Amount.of(minutesByHand(), Quantity.MINUTES, 0),
          stops());
    }
  }
}
