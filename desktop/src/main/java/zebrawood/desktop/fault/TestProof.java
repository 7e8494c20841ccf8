package zebrawood.desktop.fault;

import java.util.Locale;
import java.util.Optional;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.StationForm;
import zebrawood.fault.CauseTest;
import zebrawood.fault.FaultReadings.Answer;
import zebrawood.fault.Outcome;
import zebrawood.words.Message;

/**
 * A test, answered as everything is that is proven by hand and eye: it is so where it is as it
 * should be.
 *
 * @param second asked where the first is not so and there is more than one way of that; it is so
 *     for the first of these
 */
record TestProof(CauseTest test, ProofField first, Optional<ProofField> second) {
  static TestProof make(StationForm form, CauseTest test) {
    String id = test.name().toLowerCase(Locale.ROOT);
    return new TestProof(
        test,
        form.proof(id, so(test, test.outcomes().getFirst())),
        test.outcomes().size() > 2
            ? Optional.of(form.proof(id + "_other", so(test, test.outcomes().get(1))))
            : Optional.empty());
  }

  private static Message so(CauseTest test, Outcome outcome) {
    return Message.of("fault.so", test, outcome);
  }

  /** What it showed; empty while nobody looked, or nobody said which way it is not so. */
  Optional<Answer> answer() {
    if (first.so().isEmpty()) {
      return Optional.empty();
    }
    if (first.so().get()) {
      return Optional.of(new Answer(test, test.outcomes().getFirst()));
    }
    return second
        .map(s -> s.so().map(is -> new Answer(test, test.outcomes().get(is ? 1 : 2))))
        .orElseGet(() -> Optional.of(new Answer(test, test.outcomes().getLast())));
  }

  /** Answers it. */
  void answer(Outcome outcome) {
    boolean good = outcome == test.outcomes().getFirst();
    first.set(good);
    second.filter(s -> !good).ifPresent(s -> s.set(outcome == test.outcomes().get(1)));
  }

  /** Whether it is half answered. */
  boolean asksMore() {
    return second.isPresent() && first.so().isPresent() && !first.so().get();
  }

  void clear() {
    first.set(ProofField.Answer.NOT_YET);
    second.ifPresent(s -> s.set(ProofField.Answer.NOT_YET));
  }
}
