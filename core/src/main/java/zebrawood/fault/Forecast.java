package zebrawood.fault;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import zebrawood.fault.FaultFinding.Weighed;
import zebrawood.fault.FaultReadings.Answer;

/**
 * How long it will take from here: causes are drawn by their probabilities, tests answer as the
 * table says, and the case is played to its end, a few times, always the same ones.
 */
final class Forecast {
  private static final int PLAYED = 40;
  private static final int MOST_TESTS = 40;

  private final FaultReadings r;
  private final List<Weighed> causes;

  Forecast(FaultReadings r, List<Weighed> causes) {
    this.r = r;
    this.causes = causes;
  }

  /** Minutes until one cause is sure, by the test that tells most each time. */
  double byInformation() {
    return mean(true);
  }

  /** Minutes until one cause is sure, by the tests in the order in which they are taught. */
  double inFixedOrder() {
    return mean(false);
  }

  private double mean(boolean byInformation) {
    Random random = new Random(PLAYED);
    double sum = 0;
    for (int i = 0; i < PLAYED; i++) {
      sum += played(drawn(random), byInformation, random);
    }
    return sum / PLAYED;
  }

  private Cause drawn(Random random) {
    double at = random.nextDouble();
    for (Weighed weighed : causes) {
      at -= weighed.probability();
      if (at <= 0) {
        return weighed.id();
      }
    }
    return causes.getFirst().id();
  }

  private int played(Cause cause, boolean byInformation, Random random) {
    Map<Cause, Double> chances = new EnumMap<>(Cause.class);
    causes.forEach(w -> chances.put(w.id(), w.probability()));
    List<CauseTest> tests = r.tests();
    List<CauseTest> fixed = new ArrayList<>(tests);
    int minutes = 0;
    for (int i = 0; i < MOST_TESTS && !sure(chances); i++) {
      CauseTest test =
          byInformation ? Fault.mostTelling(tests, chances) : fixed.get(i % fixed.size());
      minutes += test.minutes();
      Answer answer = answered(test, cause, random);
      chances.replaceAll((c, p) -> p * FaultTable.likelihood(test, answer.outcome(), c));
      double all = chances.values().stream().mapToDouble(p -> p).sum();
      chances.replaceAll((c, p) -> p / all);
    }
    return minutes;
  }

  private static boolean sure(Map<Cause, Double> chances) {
    return chances.values().stream().anyMatch(p -> p >= Fault.SURE);
  }

  private static Answer answered(CauseTest test, Cause cause, Random random) {
    double at = random.nextDouble();
    for (Outcome outcome : test.outcomes()) {
      at -= FaultTable.likelihood(test, outcome, cause);
      if (at <= 0) {
        return new Answer(test, outcome);
      }
    }
    return new Answer(test, test.outcomes().getLast());
  }
}
