package zebrawood.devices.whole;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import zebrawood.words.Message;

/**
 * A run held against the truth, and against the best that was possible.
 *
 * @param finished whether it was handed over
 * @param bestMinutes of somebody who knew all from the beginning, and proved it
 * @param out what counts and is not within its limit
 * @param asserted what counts and was not read since it, or what it rests on, was changed
 */
public record Score(
    boolean finished,
    int minutes,
    int bestMinutes,
    int burns,
    int bestBurns,
    int helps,
    List<Trait> within,
    List<Trait> out,
    List<Trait> asserted,
    int dangers) {
  public Score {
    within = List.copyOf(within);
    out = List.copyOf(out);
    asserted = List.copyOf(asserted);
  }

  public static Score of(CaseRun run) {
    List<Trait> within = new ArrayList<>();
    List<Trait> out = new ArrayList<>();
    List<Trait> asserted = new ArrayList<>();
    for (Trait trait : counted(run.start())) {
      (run.machine().isWithin(trait) ? within : out).add(trait);
      if (run.known(trait).isEmpty()) {
        asserted.add(trait);
      }
    }
    int[] best = best(run.start());
    return new Score(
        run.handedOver(),
        run.minutes(),
        best[0],
        run.burns(),
        best[1],
        run.helps(),
        within,
        out,
        asserted,
        run.wasDangerous() ? 1 : 0);
  }

  private static Set<Trait> counted(CaseStart start) {
    Set<Trait> counted = EnumSet.noneOf(Trait.class);
    counted.addAll(start.counts());
    return counted;
  }

  /**
   * Minutes and burns: guards, each thing put right once and in order, each read once, handed over.
   */
  private static int[] best(CaseStart start) {
    WholeMachine machine = start.machine();
    Set<Deed> readings = EnumSet.noneOf(Deed.class);
    Set<Deed> mends = EnumSet.noneOf(Deed.class);
    for (Trait trait : counted(start)) {
      readings.add(Deed.reading(trait));
      if (!machine.isWithin(trait)) {
        mends.add(
            start.asLeft() && CaseRun.isSetting(trait)
                ? Deed.RESTORE_SETTINGS
                : Deed.mending(trait));
        CaseRun.exactly(machine, trait);
      }
    }
    int minutes = Deed.HAND_OVER.minutes();
    int burns = 0;
    for (Deed deed : readings) {
      minutes += deed.minutes();
      burns += deed.burns() ? 1 : 0;
    }
    for (Deed deed : mends) {
      minutes += deed.minutes();
    }
    if (mends.contains(Deed.REPLACE_TUBE)) {
      minutes +=
          Deed.POWER_OFF.minutes() + Deed.WAIT_DISCHARGED.minutes() + Deed.POWER_ON.minutes();
    }
    for (Guard guard : Guard.values()) {
      boolean needed = guard != Guard.AIR_ON && guard != Guard.LID_SWITCH_WORKS;
      if (needed && burns > 0 && guard.isOf(start.kind()) && !start.inOrder().contains(guard)) {
        minutes += Deed.guarding(guard).minutes();
      }
    }
    return new int[] {minutes, burns};
  }

  /** What is said of it at the end, in sentences: for trainer and trainee. */
  public List<Message> said() {
    List<Message> said = new ArrayList<>();
    said.add(Message.of("whole.score.minutes", minutes, bestMinutes));
    said.add(Message.of("whole.score.burns", burns, bestBurns));
    said.add(Message.of("whole.score.within", within.size(), within.size() + out.size()));
    if (!out.isEmpty()) {
      said.add(Message.of("whole.score.out", Message.list(out.stream().map(Message::of).toList())));
    }
    said.add(
        asserted.isEmpty()
            ? Message.of("whole.score.all-read")
            : Message.of(
                "whole.score.asserted", Message.list(asserted.stream().map(Message::of).toList())));
    said.add(Message.of("whole.score.helps", helps));
    said.add(Message.of(dangers == 0 ? "whole.score.no-danger" : "whole.score.danger"));
    return said;
  }
}
