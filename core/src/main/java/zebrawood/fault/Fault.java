package zebrawood.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.fault.FaultFinding.NextTest;
import zebrawood.fault.FaultFinding.Weighed;
import zebrawood.fault.FaultReadings.Answer;
import zebrawood.measure.OrNull;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Weighs causes by what was seen and tried. Given the cause, answers are independent of one
 * another: weights are multiplied (Bayes's rule; Pearl, Probabilistic reasoning in intelligent
 * systems, 1988, section 2.1). What a test is expected to tell is the mutual information of cause
 * and outcome in bits (Cover and Thomas, Elements of information theory, 2nd ed., section 2.4).
 *
 * <p>One fault at a time is assumed; with two, the one that shows more is found first.
 */
public final class Fault {
  /** Enough to mend it. */
  public static final double SURE = 0.95;

  private static final double LN2 = Math.log(2);
  private static final double PERCENT = 100;
  private static final double SAME = 1e12;
  private static final double WORTH_SAYING = 0.1;

  private final FaultReadings r;

  private Fault(FaultReadings r) {
    this.r = r;
  }

  public static FaultFinding solve(FaultReadings r) {
    return new Fault(r).weighed();
  }

  private FaultFinding weighed() {
    Optional<Pattern.Shape> pattern = r.places().map(p -> Pattern.of(r));
    Map<Cause, Double> logs = new EnumMap<>(Cause.class);
    r.weights().forEach((cause, weight) -> logs.put(cause, Math.log(weight)));
    pattern
        .filter(Pattern.Shape.CLAIMED::contains)
        .ifPresent(p -> logs.replaceAll((cause, log) -> log + Math.log(likelihood(p, cause))));
    for (Answer a : r.answers().orElse(List.of())) {
      logs.replaceAll(
          (cause, log) -> log + Math.log(FaultTable.likelihood(a.test(), a.outcome(), cause)));
    }
    Map<Cause, Double> chances = normalised(logs);
    List<Weighed> causes =
        chances.entrySet().stream()
            .map(e -> new Weighed(e.getKey(), e.getValue()))
            .sorted(Comparator.comparingLong((Weighed w) -> -rounded(w.probability())))
            .toList();
    List<NextTest> tests = tests(chances);
    boolean sure = causes.getFirst().probability() >= SURE;
    return new FaultFinding(
        new OrNull<>(pattern),
        causes,
        new OrNull<>(sure ? Optional.empty() : tests.stream().findFirst()),
        tests,
        r.answers().orElse(List.of()).stream().mapToInt(a -> a.test().minutes()).sum(),
        sure ? Verdict.ADJUST : Verdict.MEASURE_AGAIN,
        advice(causes.getFirst(), sure, tests),
        warnings(pattern, chances));
  }

  /** A slope may be the beam's way where nobody said where it enters. */
  private double likelihood(Pattern.Shape pattern, Cause cause) {
    boolean mayBePath =
        pattern == Pattern.Shape.SLOPE
            && cause == Cause.MIRROR_OUT
            && r.beamEnters().isEmpty()
            && r.fitted().contains(Fitted.MIRRORS);
    return FaultTable.likelihood(pattern, mayBePath ? Cause.BED_NOT_LEVEL : cause);
  }

  private static Map<Cause, Double> normalised(Map<Cause, Double> logs) {
    double largest = logs.values().stream().mapToDouble(v -> v).max().orElseThrow();
    Map<Cause, Double> chances = new EnumMap<>(Cause.class);
    logs.forEach((cause, log) -> chances.put(cause, Math.exp(log - largest)));
    double sum = chances.values().stream().mapToDouble(v -> v).sum();
    chances.replaceAll((cause, weight) -> weight / sum);
    return chances;
  }

  private List<NextTest> tests(Map<Cause, Double> chances) {
    return r.tests().stream()
        .map(test -> new NextTest(test, test.minutes(), bits(test, chances)))
        .sorted(Comparator.comparingLong((NextTest t) -> -rounded(t.bits() / t.minutes())))
        .toList();
  }

  /** What differs by rounding alone keeps the table's order. */
  private static long rounded(double value) {
    return Math.round(value * SAME);
  }

  /** The test with the most expected bits a minute. */
  static CauseTest mostTelling(List<CauseTest> tests, Map<Cause, Double> chances) {
    CauseTest best = tests.getFirst();
    double most = -1;
    for (CauseTest test : tests) {
      double rate = bits(test, chances) / test.minutes();
      if (rate > most) {
        most = rate;
        best = test;
      }
    }
    return best;
  }

  private static double bits(CauseTest test, Map<Cause, Double> chances) {
    double bits = 0;
    for (Outcome outcome : test.outcomes()) {
      double of =
          chances.entrySet().stream()
              .mapToDouble(e -> e.getValue() * FaultTable.likelihood(test, outcome, e.getKey()))
              .sum();
      for (var e : chances.entrySet()) {
        double likelihood = FaultTable.likelihood(test, outcome, e.getKey());
        if (e.getValue() > 0) {
          bits += e.getValue() * likelihood * Math.log(likelihood / of) / LN2;
        }
      }
    }
    return Math.max(0, bits);
  }

  private List<Advice> advice(Weighed likeliest, boolean sure, List<NextTest> tests) {
    List<Advice> advice = new ArrayList<>();
    Message percent = percent(likeliest.probability());
    if (sure) {
      advice.add(
          Advice.act(Message.keyOf(likeliest.id()) + ".cure")
              .because("fault.sure", likeliest.id(), percent));
      advice.add(Advice.act("fault.burn-again"));
    } else {
      advice.add(
          Advice.read(Message.keyOf(tests.getFirst().test()) + ".how")
              .because("fault.likeliest", likeliest.id(), percent));
    }
    return advice;
  }

  /** Rounded down: never more than is known. */
  private static Message percent(double probability) {
    return Message.number(Math.floor(PERCENT * probability));
  }

  private List<Message> warnings(Optional<Pattern.Shape> pattern, Map<Cause, Double> chances) {
    List<Message> warnings = new ArrayList<>();
    if (pattern.equals(Optional.of(Pattern.Shape.MIXED))) {
      warnings.add(Message.of("fault.pattern-mixed"));
    }
    if (pattern.equals(Optional.of(Pattern.Shape.SLOPE))
        && r.beamEnters().isEmpty()
        && r.fitted().contains(Fitted.MIRRORS)) {
      warnings.add(Message.of("fault.beam-enters-missing"));
    }
    boolean dialOrTube =
        chances.getOrDefault(Cause.DIAL_MOVED, 0.0) > WORTH_SAYING
            && chances.getOrDefault(Cause.WEAK_TUBE, 0.0) > WORTH_SAYING;
    if (!r.fitted().contains(Fitted.METER) && dialOrTube) {
      warnings.add(Message.of("fault.no-meter"));
    }
    r.priors()
        .ifPresent(p -> {
          if (p.keySet().stream().anyMatch(c -> !r.weights().containsKey(c))) {
            warnings.add(Message.of("fault.prior-not-fitted"));
          }
        });
    return warnings;
  }
}
