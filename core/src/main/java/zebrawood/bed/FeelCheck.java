package zebrawood.bed;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Is the bed level as far as a gauge that is only felt can tell?
 *
 * <p>A quick check without figures; with a second, thicker gauge that goes in nowhere while the
 * first slides everywhere it is one: no place is further from another than both differ. Level is
 * told from height: where the gauge touches everywhere, or leaves a gap everywhere, it is the wrong
 * gauge for this height and decides nothing.
 */
public final class FeelCheck {
  private FeelCheck() {}

  /** One place, by the name that the technician sees. */
  public record FeltPlace(String name, double xMm, double yMm, Feel feel) {}

  /**
   * @param places at least three
   * @param gauges the one that was felt with, and a thicker one that went in nowhere; empty where
   *     there was no second
   */
  public record FeelReadings(List<FeltPlace> places, Optional<Gauges> gauges) {
    public FeelReadings {
      places = List.copyOf(places);
      new Accepts().atLeast("places", places, 3, "bed.count.places").orThrow();
    }
  }

  /**
   * @param feltMm thickness of the one that was felt with
   * @param nowhereMm of the one that went in nowhere
   */
  public record Gauges(double feltMm, double nowhereMm, double toleranceMm) {
    public Gauges {
      var accepts =
          new Accepts()
              .positive("feltMm", feltMm, GapPoint.LARGEST_GAP_MM)
              .positive("nowhereMm", nowhereMm, GapPoint.LARGEST_GAP_MM)
              .positive("toleranceMm", toleranceMm, 100);
      if (accepts.fine() && nowhereMm <= feltMm) {
        accepts.complain("nowhereMm", nowhereMm, Message.of("bed.accepts.thicker"));
      }
      accepts.orThrow();
    }

    double apartMm() {
      return nowhereMm - feltMm;
    }
  }

  /**
   * @param mostMm highest to lowest is no more than this; empty where only one gauge was felt, and
   *     there are verdict and sentences only
   */
  public record FeelFinding(
      OptionalDouble mostMm, Verdict verdict, List<Advice> advice, List<Message> warnings)
      implements BedVisitFinding {
    private FeelFinding(Verdict verdict, List<Advice> advice) {
      this(OptionalDouble.empty(), verdict, advice, List.of());
    }
  }

  public static FeelFinding judge(FeelReadings readings) {
    List<FeltPlace> places = readings.places();
    if (places.stream().allMatch(p -> p.feel() == Feel.SLIDES)) {
      return readings
          .gauges()
          .map(FeelCheck::between)
          .orElseGet(() ->
              new FeelFinding(
                  Verdict.WITHIN,
                  List.of(
                      Advice.leave("bed.feel-check.leave")
                          .because("bed.feel-check.gauge-slides-alike"))));
    }
    for (Feel wrong : List.of(Feel.TOUCHES, Feel.GAP)) {
      if (places.stream().allMatch(p -> p.feel() == wrong)) {
        return new FeelFinding(
            Verdict.MEASURE_AGAIN,
            List.of(
                Advice.read(wrong == Feel.TOUCHES ? "bed.feel.thinner" : "bed.feel.thicker")
                    .because("bed.feel.cannot-tell")));
      }
    }
    List<Advice> advice = new ArrayList<>();
    for (FeltPlace place : places) {
      switch (place.feel()) {
        case TOUCHES ->
            advice.add(Advice.act("bed.feel.lower", place.name()).because("bed.feel.touches"));
        case GAP -> advice.add(Advice.act("bed.feel.raise", place.name()).because("bed.feel.gap"));
        case SLIDES -> {}
      }
    }
    advice.add(Advice.read("bed.feel-check.feel-all-places"));
    return new FeelFinding(Verdict.ADJUST, advice);
  }

  /** The first slides everywhere, the second goes in nowhere. */
  private static FeelFinding between(Gauges gauges) {
    Amount apart = Amount.mm(gauges.apartMm(), 2);
    Amount tolerance = Amount.mm(gauges.toleranceMm(), 2);
    boolean within = gauges.apartMm() <= gauges.toleranceMm() + LevelFit.NOTHING_MM;
    return new FeelFinding(
        OptionalDouble.of(gauges.apartMm()),
        within ? Verdict.WITHIN : Verdict.MEASURE_AGAIN,
        List.of(
            within
                ? Advice.leave("bed.feel-check.leave")
                    .because("bed.feel-check.between", apart, tolerance)
                : Advice.read(
                        "bed.feel-check.nearer",
                        Amount.mm(gauges.feltMm() + gauges.toleranceMm(), 2))
                    .because("bed.feel-check.nearer.why", apart, tolerance)),
        List.of());
  }
}
