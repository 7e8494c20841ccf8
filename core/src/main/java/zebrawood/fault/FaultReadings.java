package zebrawood.fault;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.measure.Accepts;
import zebrawood.measure.Place;
import zebrawood.words.Message;

/**
 * What is known of a fault.
 *
 * @param places squares burnt at one setting and graded; empty where none were
 * @param bedMm how wide and how deep the bed is
 * @param beamEnters empty where nobody said it
 * @param scoreResolution scores scatter by half of it; empty for 0.1
 * @param answers in the order made; a test may come again
 * @param priors weights of the causes before any answer; those not named count 1
 * @param fitted what of the parts that not every machine has it has
 */
public record FaultReadings(
    Optional<List<Scored>> places,
    List<Double> bedMm,
    Optional<BeamEnters> beamEnters,
    OptionalDouble scoreResolution,
    Optional<List<Answer>> answers,
    Optional<Map<Cause, Double>> priors,
    List<Fitted> fitted) {
  static final double USUAL_RESOLUTION = 0.1;
  private static final double FINEST = 0.001;
  private static final int FEWEST_PLACES = 5;
  private static final int MOST_PLACES = 2000;
  private static final int MOST_ANSWERS = 1000;
  private static final double MOST_MM = 100_000;
  private static final double MOST_WEIGHT = 1e12;

  /**
   * A square, and how good it came out.
   *
   * @param score 1 as good as ever, 0 nothing
   */
  public record Scored(double xMm, double yMm, double score) implements Place {}

  /** What a test showed. */
  public record Answer(CauseTest test, Outcome outcome) {}

  public FaultReadings {
    places = places.map(List::copyOf);
    bedMm = List.copyOf(bedMm);
    answers = answers.map(List::copyOf);
    priors = priors.map(Map::copyOf);
    fitted = fitted.stream().distinct().sorted().toList();
    var accepts = new Accepts();
    if (bedMm.size() != 2) {
      accepts.complain(
          "bedMm", Message.of("accepts.of-them", bedMm.size()), Message.of("fault.accepts.two"));
      accepts.orThrow();
    }
    accepts.positive("bedMm[0]", bedMm.get(0), MOST_MM).positive("bedMm[1]", bedMm.get(1), MOST_MM);
    scoreResolution.ifPresent(s -> accepts.between("scoreResolution", s, FINEST, 1));
    List<Double> bed = bedMm;
    places.ifPresent(all -> check(accepts, all, bed));
    List<Fitted> missing = without(Set.copyOf(fitted));
    answers.ifPresent(all -> checkAnswers(accepts, all, missing));
    priors.ifPresent(all -> checkPriors(accepts, all, missing));
    accepts.orThrow();
  }

  private static List<Fitted> without(Set<Fitted> has) {
    return Stream.of(Fitted.values()).filter(f -> !has.contains(f)).toList();
  }

  private static void check(Accepts accepts, List<Scored> places, List<Double> bed) {
    accepts
        .atLeast("places", places, FEWEST_PLACES, "fault.count.places")
        .atMost("places", places, MOST_PLACES);
    for (int i = 0; i < places.size(); i++) {
      String at = "places[" + i + "].";
      accepts
          .between(at + "xMm", places.get(i).xMm(), 0, bed.get(0))
          .between(at + "yMm", places.get(i).yMm(), 0, bed.get(1))
          .between(at + "score", places.get(i).score(), 0, 1);
    }
  }

  private static void checkAnswers(Accepts accepts, List<Answer> answers, List<Fitted> missing) {
    accepts.atMost("answers", answers, MOST_ANSWERS);
    for (int i = 0; i < answers.size(); i++) {
      Answer answer = answers.get(i);
      if (missing.stream().anyMatch(f -> f.tests().contains(answer.test()))) {
        accepts.complain(
            "answers[" + i + "].test",
            Message.verbatim(FaultTable.spelled(answer.test())),
            Message.of("fault.accepts.fitted"));
      } else if (!answer.test().outcomes().contains(answer.outcome())) {
        accepts.complain(
            "answers[" + i + "].outcome",
            Message.verbatim(FaultTable.spelled(answer.outcome())),
            Message.of(
                "fault.accepts.outcome",
                Message.verbatim(
                    answer.test().outcomes().stream().map(FaultTable::spelled).toList().toString()),
                Message.verbatim(FaultTable.spelled(answer.test()))));
      }
    }
  }

  private static void checkPriors(
      Accepts accepts, Map<Cause, Double> priors, List<Fitted> missing) {
    priors.forEach((cause, weight) ->
        accepts.between("priors." + FaultTable.spelled(cause), weight, 0, MOST_WEIGHT));
    boolean any =
        Stream.of(Cause.values())
            .filter(c -> missing.stream().noneMatch(f -> f.causes().contains(c)))
            .anyMatch(c -> !(priors.getOrDefault(c, 1.0) <= 0));
    if (accepts.fine() && !any) {
      accepts.complain(
          "priors", Message.of("fault.accepts.all-nought"), Message.of("fault.accepts.one-more"));
    }
  }

  private boolean missing(Fitted part) {
    return !fitted.contains(part);
  }

  /** The causes that this machine can have, with their weights. */
  Map<Cause, Double> weights() {
    Map<Cause, Double> weights = new EnumMap<>(Cause.class);
    for (Cause cause : Cause.values()) {
      weights.put(cause, priors.map(p -> p.getOrDefault(cause, 1.0)).orElse(1.0));
    }
    for (Fitted part : Fitted.values()) {
      if (missing(part)) {
        weights.keySet().removeAll(part.causes());
      }
    }
    return weights;
  }

  /** The tests that can be made on this machine. */
  List<CauseTest> tests() {
    return Stream.of(CauseTest.values())
        .filter(t -> Stream.of(Fitted.values()).noneMatch(f -> missing(f) && f.tests().contains(t)))
        .toList();
  }
}
