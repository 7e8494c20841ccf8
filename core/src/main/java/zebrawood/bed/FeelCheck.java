package zebrawood.bed;

import java.util.ArrayList;
import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Is the bed level as far as a gauge that is only felt can tell?
 *
 * <p>A quick check without figures. Level is told from height: where the gauge touches everywhere,
 * or leaves a gap everywhere, it is the wrong gauge for this height and decides nothing.
 */
public final class FeelCheck {
  private FeelCheck() {}

  /** One place, by the name that the technician sees. */
  public record FeltPlace(String name, double xMm, double yMm, Feel feel) {}

  /**
   * @param places at least three
   */
  public record FeelReadings(List<FeltPlace> places) {
    public FeelReadings {
      places = List.copyOf(places);
      new Accepts().atLeast("places", places, 3, "bed.count.places").orThrow();
    }
  }

  /** Without figures: verdict and sentences only. */
  public record FeelFinding(Verdict verdict, List<Advice> advice, List<Message> warnings)
      implements BedVisitFinding {}

  public static FeelFinding judge(FeelReadings readings) {
    List<FeltPlace> places = readings.places();
    if (places.stream().allMatch(p -> p.feel() == Feel.SLIDES)) {
      return new FeelFinding(
          Verdict.WITHIN,
          List.of(
              Advice.leave("bed.feel-check.leave").because("bed.feel-check.gauge-slides-alike")),
          List.of());
    }
    for (Feel wrong : List.of(Feel.TOUCHES, Feel.GAP)) {
      if (places.stream().allMatch(p -> p.feel() == wrong)) {
        return new FeelFinding(
            Verdict.MEASURE_AGAIN,
            List.of(
                Advice.read(wrong == Feel.TOUCHES ? "bed.feel.thinner" : "bed.feel.thicker")
                    .because("bed.feel.cannot-tell")),
            List.of());
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
    return new FeelFinding(Verdict.ADJUST, advice, List.of());
  }
}
