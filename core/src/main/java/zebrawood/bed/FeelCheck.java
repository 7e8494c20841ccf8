package zebrawood.bed;

import java.util.ArrayList;
import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;

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
      new Accepts().atLeast("places", places, 3, "places").orThrow();
    }
  }

  /** Without figures: verdict and sentences only. */
  public record FeelFinding(Verdict verdict, List<String> advice, List<String> warnings)
      implements Finding {}

  public static FeelFinding judge(FeelReadings readings) {
    List<FeltPlace> places = readings.places();
    if (places.stream().allMatch(p -> p.feel() == Feel.SLIDES)) {
      return new FeelFinding(
          Verdict.WITHIN, List.of("Leave it: the gauge slides alike everywhere."), List.of());
    }
    for (Feel wrong : List.of(Feel.TOUCHES, Feel.GAP)) {
      if (places.stream().allMatch(p -> p.feel() == wrong)) {
        String gauge = wrong == Feel.TOUCHES ? "thinner" : "thicker";
        return new FeelFinding(
            Verdict.MEASURE_AGAIN,
            List.of("Feel again with a " + gauge + " gauge: this one cannot tell places apart."),
            List.of());
      }
    }
    List<String> advice = new ArrayList<>();
    for (FeltPlace place : places) {
      switch (place.feel()) {
        case TOUCHES -> advice.add("Lower the bed at " + place.name() + ": the gauge touches.");
        case GAP -> advice.add("Raise the bed at " + place.name() + ": the gauge leaves a gap.");
        case SLIDES -> {}
      }
    }
    advice.add("Feel all places again, or read the gaps to get the turns.");
    return new FeelFinding(Verdict.ADJUST, advice, List.of());
  }
}
