package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.devices.fault.StandInCase;
import zebrawood.fault.BeamEnters;
import zebrawood.fault.Cause;
import zebrawood.fault.CauseTest;
import zebrawood.fault.Fault;
import zebrawood.fault.FaultFinding;
import zebrawood.fault.FaultFinding.Weighed;
import zebrawood.fault.FaultReadings;
import zebrawood.fault.FaultReadings.Answer;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.fault.FaultTable;
import zebrawood.fault.Fitted;

/**
 * Simulated faults on a whole machine: is the right cause named first, how many minutes does it
 * take by the test that tells most, by a fixed order, and where everything is cleaned first; and do
 * causes that are said to be so likely turn out to be it as often?
 *
 * <p>Argument: how many cases.
 */
public final class FaultTrials {
  private static final int MOST_TESTS = 60;

  /** Lens, mirrors and honeycomb, looked at or not. */
  private static final int CLEANING_MINUTES = 30;

  private static final EnumSet<Fitted> ALL = EnumSet.allOf(Fitted.class);

  private final int[] said = new int[10];
  private final int[] was = new int[10];
  private final List<Integer> informed = new ArrayList<>();
  private final List<Integer> fixed = new ArrayList<>();
  private final List<Integer> cleanedFirst = new ArrayList<>();
  private int rightAtOnce;
  private int rightAtLast;
  private int rightFixed;
  private int mendedInOne;
  private int single;

  private FaultTrials() {}

  /** Runs the trials. */
  public static void main(String[] args) {
    new FaultTrials().run(args.length > 0 ? Integer.parseInt(args[0]) : 300);
  }

  private static FaultFinding found(List<Scored> squares, List<Answer> answers) {
    Map<Cause, Double> priors = new EnumMap<>(Cause.class);
    for (Cause cause : Cause.values()) {
      priors.put(cause, FaultTable.commonness(cause));
    }
    return Fault.solve(
        new FaultReadings(
            Optional.of(squares),
            List.of(700.0, 500.0),
            Optional.of(BeamEnters.REAR_LEFT),
            OptionalDouble.empty(),
            Optional.of(answers),
            Optional.of(priors),
            List.copyOf(ALL)));
  }

  private void run(int cases) {
    for (int number = 0; number < cases; number++) {
      byInformation(number);
      byOrder(number);
      afterCleaning(number);
    }
    print(cases);
  }

  private static StandInCase numbered(int number) {
    return new StandInCase(number, ALL, 700, 500, BeamEnters.REAR_LEFT);
  }

  private void byInformation(int number) {
    StandInCase on = numbered(number);
    List<Scored> squares = on.squares();
    List<Answer> answers = new ArrayList<>();
    FaultFinding now = found(squares, answers);
    rightAtOnce += on.began().contains(now.likeliest().id()) ? 1 : 0;
    if (on.began().size() == 1) {
      single++;
      for (Weighed w : now.causes()) {
        int bin = (int) Math.min(9, Math.floor(10 * w.probability()));
        said[bin]++;
        was[bin] += on.began().contains(w.id()) ? 1 : 0;
      }
    }
    while (now.next().value().isPresent() && answers.size() < MOST_TESTS) {
      CauseTest test = now.next().value().get().test();
      answers.add(new Answer(test, on.answer(test)));
      now = found(squares, answers);
    }
    informed.add(on.minutes());
    rightAtLast += on.began().contains(now.likeliest().id()) ? 1 : 0;
    on.mend(now.likeliest().id());
    mendedInOne += on.good() ? 1 : 0;
  }

  private void byOrder(int number) {
    StandInCase on = numbered(number);
    List<Scored> squares = on.squares();
    List<Answer> answers = new ArrayList<>();
    FaultFinding now = found(squares, answers);
    for (int i = 0; i < MOST_TESTS && now.next().value().isPresent(); i++) {
      CauseTest test = CauseTest.values()[i % CauseTest.values().length];
      answers.add(new Answer(test, on.answer(test)));
      now = found(squares, answers);
    }
    fixed.add(on.minutes());
    rightFixed += on.began().contains(now.likeliest().id()) ? 1 : 0;
  }

  private void afterCleaning(int number) {
    StandInCase on = numbered(number);
    List.of(Cause.DIRTY_LENS, Cause.DIRTY_MIRROR, Cause.HONEYCOMB_DIRTY).forEach(on::mend);
    if (on.good()) {
      cleanedFirst.add(CLEANING_MINUTES);
      return;
    }
    List<Scored> squares = on.squares();
    List<Answer> answers = new ArrayList<>();
    FaultFinding now = found(squares, answers);
    while (now.next().value().isPresent() && answers.size() < MOST_TESTS) {
      CauseTest test = now.next().value().get().test();
      answers.add(new Answer(test, on.answer(test)));
      now = found(squares, answers);
    }
    cleanedFirst.add(CLEANING_MINUTES + on.minutes());
  }

  private static String summary(List<Integer> minutes) {
    int[] sorted = minutes.stream().mapToInt(m -> m).sorted().toArray();
    double mean = Arrays.stream(sorted).average().orElse(0);
    return String.format(
        Locale.ROOT,
        "mean %.1f, median %d, 90 %% %d",
        mean,
        sorted[sorted.length / 2],
        sorted[sorted.length * 9 / 10]);
  }

  private void print(int cases) {
    System.out.printf(
        Locale.ROOT,
        "right cause first, by squares and commonness alone: %.3f%n",
        part(rightAtOnce, cases));
    System.out.printf(
        Locale.ROOT,
        "right cause named at last: %.3f; good again after mending it alone: %.3f (one fault in %.3f)%n",
        part(rightAtLast, cases),
        part(mendedInOne, cases),
        part(single, cases));
    System.out.println("minutes, test that tells most: " + summary(informed));
    System.out.println("minutes, fixed order: " + summary(fixed));
    System.out.printf(Locale.ROOT, "right in fixed order: %.3f%n", part(rightFixed, cases));
    System.out.println("minutes, everything cleaned first: " + summary(cleanedFirst));
    System.out.println("said likely to be it, and was (single faults, after the squares):");
    for (int i = 0; i < said.length; i++) {
      if (said[i] > 0) {
        System.out.printf(
            Locale.ROOT,
            "  %.1f to %.1f: %d said, %.3f were%n",
            i / 10.0,
            (i + 1) / 10.0,
            said[i],
            part(was[i], said[i]));
      }
    }
  }

  private static double part(int of, int all) {
    return (double) of / all;
  }
}
