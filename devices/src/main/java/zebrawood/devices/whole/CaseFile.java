package zebrawood.devices.whole;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A trainer's own case, as its file says it (docs/formats.md).
 *
 * @param zebrawoodCase the format's version, 1
 * @param counts what must be within its limit and proven at the hand-over
 * @param inOrder the guards that are in order
 * @param asLeft whether a list of the settings as they were left is at hand
 * @param seed of the chance in readings and hands
 */
public record CaseFile(
    int zebrawoodCase,
    String name,
    WholeKind machine,
    String says,
    List<Trait> counts,
    List<Hidden> hidden,
    List<Guard> inOrder,
    boolean asLeft,
    int seed) {
  public static final int VERSION = 1;

  /** A larger file is none. */
  public static final long MOST_BYTES = 100_000;

  private static final int MOST_LETTERS = 500;

  /** By how much something is off, in the trait's unit. */
  public record Hidden(Trait trait, double off) {}

  public CaseFile {
    counts = List.copyOf(counts);
    hidden = List.copyOf(hidden);
    inOrder = List.copyOf(inOrder);
    Accepts accepts =
        new Accepts()
            .between("zebrawoodCase", zebrawoodCase, VERSION, VERSION)
            .filled("name", name)
            .filled("says", says)
            .atLeast("counts", counts, 1, "whole.count.traits");
    if (name.length() > MOST_LETTERS || says.length() > MOST_LETTERS) {
      accepts.complain(
          "says",
          Message.of("whole.accepts.letters", Math.max(name.length(), says.length())),
          Message.of("whole.accepts.short", MOST_LETTERS));
    }
    for (int i = 0; i < counts.size(); i++) {
      ofTheMachine(accepts, "counts[" + i + "]", counts.get(i), machine);
    }
    Set<Trait> once = new HashSet<>();
    for (int i = 0; i < hidden.size(); i++) {
      String at = "hidden[" + i + "]";
      Trait trait = hidden.get(i).trait();
      ofTheMachine(accepts, at + ".trait", trait, machine);
      accepts.between(at + ".off", hidden.get(i).off(), -trait.most(), trait.most());
      if (!once.add(trait)) {
        accepts.complain(at + ".trait", Message.of(trait), Message.of("whole.accepts.once"));
      }
    }
    for (int i = 0; i < inOrder.size(); i++) {
      if (!inOrder.get(i).isOf(machine)) {
        accepts.complain(
            "inOrder[" + i + "]",
            Message.of(inOrder.get(i)),
            Message.of("whole.accepts.of-machine", Message.of(machine)));
      }
    }
    accepts.orThrow();
  }

  private static void ofTheMachine(Accepts accepts, String at, Trait trait, WholeKind machine) {
    if (!trait.isOf(machine)) {
      accepts.complain(
          at, Message.of(trait), Message.of("whole.accepts.of-machine", Message.of(machine)));
    }
  }

  public CaseStart start() {
    Map<Trait, Double> off = new EnumMap<>(Trait.class);
    hidden.forEach(h -> off.put(h.trait(), h.off()));
    return new CaseStart(
        machine,
        Message.verbatim(says),
        Set.copyOf(counts),
        off,
        Set.copyOf(inOrder),
        asLeft,
        seed);
  }
}
