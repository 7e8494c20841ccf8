package zebrawood.station;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What there is to prove by hand and eye, against what was answered.
 *
 * @param notSo looked at and not so, in the order of the work
 * @param open not answered yet, in the order of the work
 */
public record Proven(List<Message> notSo, List<Message> open) {
  public Proven {
    notSo = List.copyOf(notSo);
    open = List.copyOf(open);
  }

  /**
   * @param asked in the order of the work; answers to anything else count for nothing
   */
  public static <I extends Enum<I>> Proven of(Collection<I> asked, List<Proof<I>> answers) {
    Map<I, Boolean> passed = asked.isEmpty() ? Map.of() : new EnumMap<>(declaring(asked));
    answers.forEach(p -> passed.computeIfAbsent(p.item(), item -> p.passed()));
    List<Message> notSo = new ArrayList<>();
    List<Message> open = new ArrayList<>();
    for (I item : asked) {
      if (!passed.containsKey(item)) {
        open.add(Message.of(item));
      } else if (!passed.get(item)) {
        notSo.add(Message.of(item));
      }
    }
    return new Proven(notSo, open);
  }

  private static <I extends Enum<I>> Class<I> declaring(Collection<I> asked) {
    return asked.iterator().next().getDeclaringClass();
  }

  public boolean all() {
    return notSo.isEmpty() && open.isEmpty();
  }

  /**
   * What is to be put right, then what is still to be proven.
   *
   * @param ifNot the verdict where something is not so: stop where it can hurt
   */
  public List<PartFinding> parts(Verdict ifNot) {
    List<PartFinding> parts = new ArrayList<>();
    if (!notSo.isEmpty()) {
      parts.add(new PartFinding(ifNot, notSo.stream().map(Advice::notSo).toList(), List.of()));
    }
    if (!open.isEmpty()) {
      parts.add(
          new PartFinding(
              Verdict.MEASURE_AGAIN, open.stream().map(Advice::prove).toList(), List.of()));
    }
    return parts;
  }
}
