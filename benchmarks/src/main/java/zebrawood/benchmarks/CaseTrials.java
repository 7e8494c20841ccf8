package zebrawood.benchmarks;

import java.util.Arrays;
import java.util.Map;
import java.util.Random;
import java.util.function.Consumer;
import zebrawood.devices.whole.Adviser;
import zebrawood.devices.whole.CaseKind;
import zebrawood.devices.whole.CaseRun;
import zebrawood.devices.whole.CaseStart;
import zebrawood.devices.whole.Deed;
import zebrawood.devices.whole.Guard;
import zebrawood.devices.whole.Score;
import zebrawood.devices.whole.Trait;

/**
 * Cases played by following the advice, by a fixed order and by a careless hand: finished, within
 * limits, minutes over the best possible, dangers. {@code CaseTrials [SEEDS]}.
 */
public final class CaseTrials {
  private static final int MOST_STEPS = 300;

  private CaseTrials() {}

  public static void main(String[] args) {
    int seeds = args.length > 0 ? Integer.parseInt(args[0]) : 300;
    Map<String, Consumer<CaseRun>> ways =
        Map.of(
            "advice", CaseTrials::follow,
            "fixed order", CaseTrials::inOrder,
            "careless", CaseTrials::careless);
    for (String way : new String[] {"advice", "fixed order", "careless"}) {
      for (CaseKind kind : CaseKind.values()) {
        tell(way, kind, seeds, ways.get(way));
      }
    }
    long began = System.nanoTime();
    for (CaseKind kind : CaseKind.values()) {
      for (int i = 0; i < 100; i++) {
        new CaseRun(CaseStart.of(kind, i));
      }
    }
    System.out.printf("a start %.3f ms%n", (System.nanoTime() - began) / 1e6 / 1000);
  }

  private static void tell(String way, CaseKind kind, int seeds, Consumer<CaseRun> play) {
    int finished = 0;
    int within = 0;
    int dangers = 0;
    int asserted = 0;
    double[] over = new double[seeds];
    for (int seed = 0; seed < seeds; seed++) {
      CaseRun run = new CaseRun(CaseStart.of(kind, seed));
      play.accept(run);
      Score score = Score.of(run);
      finished += score.finished() ? 1 : 0;
      within += score.out().isEmpty() ? 1 : 0;
      dangers += score.dangers();
      asserted += score.asserted().isEmpty() ? 0 : 1;
      over[seed] = (double) score.minutes() / score.bestMinutes();
    }
    Arrays.sort(over);
    System.out.printf(
        "%-12s %-26s finished %3d, within %3d, unread %3d, dangers %3d of %d; minutes over best: median %.2f, 90 %% %.2f%n",
        way,
        kind.id(),
        finished,
        within,
        asserted,
        dangers,
        seeds,
        over[seeds / 2],
        over[seeds * 9 / 10]);
  }

  private static void follow(CaseRun run) {
    for (int i = 0; i < MOST_STEPS && !run.isOver(); i++) {
      Adviser.Step step = Adviser.next(run);
      run.act(step.deed(), step.amount());
    }
  }

  /** Guards on, then everything the machine has is read and put right once, whatever was said. */
  private static void inOrder(CaseRun run) {
    for (Guard guard : Guard.values()) {
      if (guard.isOf(run.start().kind())) {
        act(run, Deed.guarding(guard), 0);
      }
    }
    for (Trait trait : Trait.of(run.start().kind())) {
      if (trait != Trait.TUBE_WEAK) {
        readAndMend(run, trait);
      }
    }
    act(run, Deed.HAND_OVER, 0);
  }

  /** What counts, each once; nobody looks at guards, and one in four is moved by guess. */
  private static void careless(CaseRun run) {
    Random random = new Random(run.start().seed());
    run.start().counts().stream()
        .sorted()
        .forEach(trait -> {
          if (random.nextInt(4) > 0) {
            readAndMend(run, trait);
          } else {
            Deed deed = Deed.mending(trait);
            act(run, deed, trait.limit() * random.nextGaussian());
          }
        });
    act(run, Deed.HAND_OVER, 0);
  }

  private static void readAndMend(CaseRun run, Trait trait) {
    if (run.known(trait).isEmpty()) {
      act(run, Deed.reading(trait), 0);
    }
    run.known(trait)
        .filter(e -> Math.abs(e.value()) > trait.limit())
        .ifPresent(e -> act(run, Deed.mending(trait), -e.value()));
  }

  private static void act(CaseRun run, Deed deed, double amount) {
    if (run.possible().contains(deed)) {
      double most = deed.changes().map(Trait::most).orElse(0.0);
      run.act(deed, Math.clamp(amount, -most, most));
    }
  }
}
