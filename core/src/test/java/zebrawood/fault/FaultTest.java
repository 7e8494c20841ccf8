package zebrawood.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.fault.FaultFinding.NextTest;
import zebrawood.fault.FaultReadings.Answer;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

class FaultTest {
  private static final List<Fitted> ALL = List.of(Fitted.values());

  /** Written from the contract, not from the table of the program. */
  private static final String TESTS =
      "look-at-lens 2 clean dirty;look-at-mirrors 4 clean dirty;gauge-at-centre 1 right wrong;"
          + "gauge-four-corners 4 even slope;stock-on-straight-edge 1 flat bowed;"
          + "tape-near-far 8 together wander;tape-under-nozzle 3 centred off;"
          + "meter-at-test-job 3 as-left low high;settings-against-record 3 same differ;"
          + "coolant-now 1 in-range warm;air-at-nozzle 1 blows weak;play-by-hand 3 tight slack;"
          + "tug-the-lens 1 firm loose;burn-on-fresh-stock 5 good bad;honeycomb-look 1 clean dirty;"
          + "power-words 2 agree differ;raise-and-listen 4 no-change better;"
          + "wait-warm 10 no-change better;wash-stock 3 no-change better";

  private static final String GIVEN_AWAY =
      "dirty-lens look-at-lens dirty;dirty-mirror look-at-mirrors dirty;"
          + "focus-off gauge-at-centre wrong;bed-not-level gauge-four-corners slope;"
          + "stock-bowed stock-on-straight-edge bowed;mirror-out tape-near-far wander;"
          + "off-centre-at-nozzle tape-under-nozzle off;dial-moved meter-at-test-job low,high;"
          + "settings-changed settings-against-record differ;warm-coolant coolant-now warm;"
          + "air-off air-at-nozzle weak;play play-by-hand slack;lens-loose tug-the-lens loose;"
          + "lens-loose gauge-at-centre wrong;stock-dirty wash-stock better;"
          + "honeycomb-dirty honeycomb-look dirty;smoke-trapped raise-and-listen better;"
          + "source-cold wait-warm better;power-words-differ power-words differ";

  private static String spelled(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static double chance(String cause, String test, String outcome) {
    String[] row =
        Stream.of(TESTS.split(";"))
            .filter(t -> t.startsWith(test + " "))
            .findFirst()
            .orElseThrow()
            .split(" ");
    List<String> outcomes = List.of(row).subList(2, row.length);
    Set<String> own = Set.of(outcomes.getFirst());
    for (String given : GIVEN_AWAY.split(";")) {
      String[] g = given.split(" ");
      if (g[0].equals(cause) && g[1].equals(test)) {
        own = Set.of(g[2].split(","));
      }
    }
    if (test.equals("burn-on-fresh-stock")) {
      own =
          Set.of(
              Set.of("stock-bowed", "stock-differs", "stock-dirty").contains(cause)
                  ? "good"
                  : "bad");
    }
    return own.contains(outcome) ? 0.95 / own.size() : 0.05 / (outcomes.size() - own.size());
  }

  private static Map<String, Double> posterior(Map<String, Double> weights, List<Answer> answers) {
    Map<String, Double> all = new TreeMap<>(weights);
    answers.forEach(
        a -> all.replaceAll((c, w) -> w * chance(c, spelled(a.test()), spelled(a.outcome()))));
    double sum = all.values().stream().mapToDouble(w -> w).sum();
    all.replaceAll((c, w) -> w / sum);
    return all;
  }

  private static double entropy(Map<String, Double> of) {
    return of.values().stream()
        .filter(p -> p > 0)
        .mapToDouble(p -> -p * Math.log(p) / Math.log(2))
        .sum();
  }

  /** By entropies before and after, not by mutual information. */
  private static double bits(Map<String, Double> now, CauseTest test) {
    double after = 0;
    for (Outcome outcome : test.outcomes()) {
      double p =
          now.entrySet().stream()
              .mapToDouble(e -> e.getValue() * chance(e.getKey(), spelled(test), spelled(outcome)))
              .sum();
      after += p * entropy(posterior(now, List.of(new Answer(test, outcome))));
    }
    return entropy(now) - after;
  }

  private static FaultFinding solve(
      List<Answer> answers, Optional<Map<Cause, Double>> priors, List<Fitted> fitted) {
    return Fault.solve(
        new FaultReadings(
            Optional.empty(),
            List.of(700.0, 500.0),
            Optional.empty(),
            OptionalDouble.empty(),
            Optional.of(answers),
            priors,
            fitted));
  }

  @Test
  void agreesWithEntropiesCountedOutOfTheContract() {
    Random random = new Random(4);
    for (int trial = 0; trial < 300; trial++) {
      Map<Cause, Double> priors = new LinkedHashMap<>();
      Map<String, Double> weights = new TreeMap<>();
      for (Cause cause : Cause.values()) {
        boolean given = random.nextBoolean();
        if (given) {
          priors.put(cause, 5 * random.nextDouble());
        }
        weights.put(spelled(cause), given ? priors.get(cause) : 1.0);
      }
      List<Answer> answers = new ArrayList<>();
      for (int i = 0; i < random.nextInt(6); i++) {
        CauseTest test = CauseTest.values()[random.nextInt(CauseTest.values().length)];
        answers.add(new Answer(test, test.outcomes().get(random.nextInt(test.outcomes().size()))));
      }
      FaultFinding found = solve(answers, Optional.of(priors), ALL);
      Map<String, Double> expected = posterior(weights, answers);
      found
          .causes()
          .forEach(w ->
              assertThat(w.probability()).isCloseTo(expected.get(spelled(w.id())), within(1e-12)));
      assertThat(found.causes())
          .isSortedAccordingTo((a, b) ->
              Long.compare(Math.round(1e12 * b.probability()), Math.round(1e12 * a.probability())));
      double most = 0;
      for (CauseTest test : CauseTest.values()) {
        most = Math.max(most, bits(expected, test) / test.minutes());
      }
      found
          .next()
          .value()
          .ifPresent(n -> {
            assertThat(n.bits()).isCloseTo(bits(expected, n.test()), within(1e-9));
          });
      if (found.next().value().isPresent()) {
        NextTest next = found.next().value().get();
        assertThat(next.bits() / next.minutes()).isCloseTo(most, within(1e-9));
        assertThat(found.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
      } else {
        assertThat(found.likeliest().probability()).isGreaterThanOrEqualTo(0.95);
        assertThat(found.verdict()).isEqualTo(Verdict.ADJUST);
      }
    }
  }

  @Test
  void minutesAndOutcomesAreThoseOfTheContract() {
    String[] rows = TESTS.split(";");
    assertThat(rows).hasSameSizeAs(CauseTest.values());
    for (int i = 0; i < rows.length; i++) {
      CauseTest test = CauseTest.values()[i];
      String said =
          spelled(test)
              + " "
              + test.minutes()
              + " "
              + String.join(" ", test.outcomes().stream().map(FaultTest::spelled).toList());
      assertThat(said).isEqualTo(rows[i]);
    }
  }

  @Test
  void whatIsNotFittedIsNoCauseAndHasNoTest() {
    FaultFinding bare = solve(List.of(), Optional.empty(), List.of());
    assertThat(bare.causes().stream().map(w -> w.id()))
        .doesNotContain(
            Cause.DIRTY_MIRROR,
            Cause.MIRROR_OUT,
            Cause.WARM_COOLANT,
            Cause.HONEYCOMB_DIRTY,
            Cause.SMOKE_TRAPPED,
            Cause.PLAY)
        .hasSize(14);
    assertThat(bare.tests().stream().map(NextTest::test))
        .doesNotContain(CauseTest.METER_AT_TEST_JOB, CauseTest.COOLANT_NOW, CauseTest.TAPE_NEAR_FAR)
        .hasSize(12);
    assertThatThrownBy(() ->
            solve(
                List.of(new Answer(CauseTest.COOLANT_NOW, Outcome.WARM)),
                Optional.empty(),
                List.of()))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("answers[0].test");
  }

  @Test
  void anOutcomeOfAnotherTestIsRefused() {
    assertThatThrownBy(() ->
            solve(List.of(new Answer(CauseTest.LOOK_AT_LENS, Outcome.WARM)), Optional.empty(), ALL))
        .hasMessageContaining("answers[0].outcome")
        .hasMessageContaining("[clean, dirty]");
    assertThatThrownBy(() -> solve(List.of(), Optional.of(Map.of(Cause.PLAY, -1.0)), ALL))
        .hasMessageContaining("priors.play");
  }

  @Test
  void aSlopeSaysNothingBetweenBedAndMirrorsWhereTheBeamsCornerIsNotKnown() {
    FaultFinding found = sloped(Optional.empty());
    assertThat(probability(found, Cause.MIRROR_OUT))
        .isEqualTo(probability(found, Cause.BED_NOT_LEVEL), within(1e-12));
    assertThat(found.warnings().stream().map(m -> m.key())).contains("fault.beam-enters-missing");
    FaultFinding known = sloped(Optional.of(BeamEnters.FRONT_LEFT));
    assertThat(probability(known, Cause.MIRROR_OUT))
        .isLessThan(probability(known, Cause.BED_NOT_LEVEL) / 10);
  }

  private static double probability(FaultFinding found, Cause cause) {
    return found.causes().stream()
        .filter(w -> w.id() == cause)
        .findFirst()
        .orElseThrow()
        .probability();
  }

  private static FaultFinding sloped(Optional<BeamEnters> enters) {
    List<Scored> places = new ArrayList<>();
    for (double x : List.of(70.0, 350.0, 630.0)) {
      for (double y : List.of(50.0, 250.0, 450.0)) {
        places.add(new Scored(x, y, 1 - 0.7 * x / 700));
      }
    }
    return Fault.solve(
        new FaultReadings(
            Optional.of(places),
            List.of(700.0, 500.0),
            enters,
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty(),
            ALL));
  }

  @Test
  void aThousandAnswersThatContradictOneAnotherStayNumbers() {
    List<Answer> answers = new ArrayList<>();
    for (int i = 0; i < 500; i++) {
      answers.add(new Answer(CauseTest.LOOK_AT_LENS, Outcome.CLEAN));
      answers.add(new Answer(CauseTest.LOOK_AT_LENS, Outcome.DIRTY));
    }
    FaultFinding found = solve(answers, Optional.empty(), ALL);
    assertThat(found.causes().stream().mapToDouble(w -> w.probability()).sum())
        .isCloseTo(1, within(1e-9));
    assertThat(found.minutesSpent()).isEqualTo(2000);
  }

  @Test
  void everyFigureOfTheTableIsThere() {
    for (Cause cause : Cause.values()) {
      assertThat(FaultTable.commonness(cause)).isPositive();
      boolean pointed =
          Stream.of(Seen.values()).anyMatch(s -> FaultTable.pointedTo(s).contains(cause));
      assertThat(pointed).as(spelled(cause)).isTrue();
    }
  }
}
