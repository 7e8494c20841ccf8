package zebrawood.climate;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How much antifreeze does the loop need for the coldest night?
 *
 * <p>Freezing points of aqueous solutions by volume, joined by straight lines: ASHRAE Handbook,
 * Fundamentals, chapter on physical properties of secondary coolants (brines), tables of freezing
 * points of ethylene and propylene glycol. Volumes are taken to add.
 */
public final class Coldest {
  /** Of the loop's volume; the rest goes in once the pump has filled hoses and tube. */
  private static final double FIRST_FILL = 2 / 3.0;

  private Coldest() {}

  /** Which antifreeze. */
  public enum Glycol {
    ETHYLENE(
        List.of(0.0, 4.4, 8.9, 13.6, 18.1, 22.9, 27.7, 32.6, 37.5, 42.5, 47.6, 52.7, 57.8),
        List.of(
            0.0, -1.4, -3.2, -5.4, -7.8, -10.7, -14.1, -17.9, -22.3, -27.5, -33.8, -41.1, -48.3)),
    PROPYLENE(
        List.of(0.0, 4.8, 9.6, 14.5, 19.4, 24.4, 29.4, 34.4, 39.6, 44.7, 49.9, 55.0, 60.0),
        List.of(
            0.0, -1.6, -3.3, -5.1, -7.1, -9.6, -12.7, -16.4, -21.1, -26.7, -33.5, -41.6, -51.1));

    private final List<Double> percentByVolume;
    private final List<Double> freezesC;

    Glycol(List<Double> percentByVolume, List<Double> freezesC) {
      this.percentByVolume = percentByVolume;
      this.freezesC = freezesC;
    }

    double coldestInTableC() {
      return freezesC.getLast();
    }

    /** The least share that stays liquid at {@code lowestC}. */
    double percentFor(double lowestC) {
      if (lowestC >= 0) {
        return 0;
      }
      int i = 1;
      while (freezesC.get(i) > lowestC) {
        i++;
      }
      double share = (lowestC - freezesC.get(i - 1)) / (freezesC.get(i) - freezesC.get(i - 1));
      return percentByVolume.get(i - 1)
          + share * (percentByVolume.get(i) - percentByVolume.get(i - 1));
    }
  }

  /**
   * @param lowestC the coldest night the machine will see
   * @param loopLitres what the whole loop holds
   */
  public record Readings(double lowestC, Glycol glycol, double loopLitres) {
    public Readings {
      new Accepts()
          .between("lowestC", lowestC, glycol == null ? -48.3 : glycol.coldestInTableC(), 60)
          .between("loopLitres", loopLitres, 0.01, 10_000)
          .orThrow();
    }
  }

  public record Finding(double glycolPercentByVolume, double glycolLitres, double waterLitres) {}

  public static Finding solve(Readings r) {
    double percent = r.glycol.percentFor(r.lowestC);
    double litres = r.loopLitres * percent / 100;
    return new Finding(percent, litres, r.loopLitres - litres);
  }

  /** What is to be done about it. */
  public static PartFinding judge(Finding f) {
    if (f.glycolPercentByVolume == 0) {
      return PartFinding.within(
          Advice.act("climate.coldest.fill-with-distilled")
              .because("climate.coldest.loop-does-not"));
    }
    return PartFinding.adjust(
            Advice.act(
                "climate.coldest.mix-glycol-into",
                Amount.of(f.glycolLitres, Quantity.VOLUME, 2),
                Amount.of(f.waterLitres, Quantity.VOLUME, 2),
                Amount.of(f.glycolPercentByVolume, Quantity.PERCENT, 0)),
            Advice.act(
                "climate.coldest.pour-first-run",
                Amount.of((f.glycolLitres + f.waterLitres) * FIRST_FILL, Quantity.VOLUME, 1)),
            Advice.act("climate.coldest.check-mix-with"))
        .warning(List.of(Message.of("climate.coldest.glycol-carries-less")));
  }
}
