package zebrawood.measure;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** What one question of a station came to, for the verdict over all of them. */
public record PartFinding(Verdict verdict, List<Advice> advice, List<Message> warnings)
    implements Finding {
  public PartFinding {
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /** In order, with nothing to say. */
  public static PartFinding within() {
    return new PartFinding(Verdict.WITHIN, List.of(), List.of());
  }

  public static PartFinding within(Advice advice) {
    return new PartFinding(Verdict.WITHIN, List.of(advice), List.of());
  }

  public static PartFinding adjust(Advice... advice) {
    return new PartFinding(Verdict.ADJUST, List.of(advice), List.of());
  }

  public static PartFinding stop(Advice... advice) {
    return new PartFinding(Verdict.STOP, List.of(advice), List.of());
  }

  /** Something is still to be read or proven. */
  public static PartFinding again(Advice... advice) {
    return new PartFinding(Verdict.MEASURE_AGAIN, List.of(advice), List.of());
  }

  public PartFinding warning(List<Message> more) {
    return new PartFinding(
        verdict, advice, Stream.concat(warnings.stream(), more.stream()).toList());
  }

  public PartFinding warning(Message more) {
    return warning(List.of(more));
  }

  /** The worst of them. */
  public static Verdict worst(List<PartFinding> parts) {
    return Verdict.worst(parts.stream().map(PartFinding::verdict).toList());
  }

  /** What can hurt comes first; within one verdict the order of the work stays. */
  public static List<PartFinding> worstFirst(List<PartFinding> parts) {
    return parts.stream().sorted(Comparator.comparingInt(p -> -p.verdict().rank())).toList();
  }

  /** What is to be done, the worst first; what is in order needs no step. */
  public static List<Advice> toDo(List<PartFinding> parts) {
    return worstFirst(parts).stream()
        .filter(p -> p.verdict() != Verdict.WITHIN)
        .flatMap(p -> p.advice().stream())
        .toList();
  }
}
