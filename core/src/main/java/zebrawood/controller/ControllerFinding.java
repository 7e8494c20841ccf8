package zebrawood.controller;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.PlainValue;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What the settings come to.
 *
 * @param effectiveFullPower the part of the laser that the software's 100 % reaches; empty where
 *     the top power word was not reported
 * @param findings every item once, what is in order as a note
 * @param writes lines in an order that is safe to send one by one
 */
public record ControllerFinding(
    OptionalDouble effectiveFullPower,
    OptionalDouble saturatesAtPercent,
    PowerTable powerTable,
    List<Item> findings,
    List<Write> writes,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {

  public ControllerFinding {
    findings = List.copyOf(findings);
    writes = List.copyOf(writes);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /** How bad it is. */
  public enum Severity {
    /** In order, or nobody can tell. */
    NOTE,
    ADJUST,
    /** Can burn, crash or hurt. */
    STOP
  }

  /**
   * One thing compared.
   *
   * @param setting its key as printed; nothing where no such role is known, or it is set elsewhere
   * @param observed number, meaning or two of them; as printed where that is not understood;
   *     nothing where it was not reported
   * @param advised what it should be, of the same kind
   * @param why what to do, and what it does to the work as it is
   */
  public record Item(
      String id, Value setting, Value observed, Value advised, Severity severity, Advice why) {}

  /** A value of a setting. */
  public sealed interface Value extends PlainValue {
    /** Not reported. */
    record Nothing() implements Value {
      @Override
      public Object plainValue() {
        return null;
      }
    }

    record Number(double number) implements Value {
      @Override
      public Object plainValue() {
        return number;
      }
    }

    /** To the right and to the rear; either may be missing. */
    record Two(Value x, Value y) implements Value {
      @Override
      public Object plainValue() {
        return Arrays.asList(x.plainValue(), y.plainValue());
      }
    }

    record Word(String word) implements Value {
      @Override
      public Object plainValue() {
        return word;
      }
    }

    static Value two(double x, double y) {
      return new Two(new Number(x), new Number(y));
    }

    /** A key, where there is one. */
    static Value key(Optional<String> key) {
      return key.<Value>map(Word::new).orElse(new Nothing());
    }

    static Value of(OptionalDouble number) {
      return number.isPresent() ? new Number(number.getAsDouble()) : new Nothing();
    }

    /** As people read it. */
    default Message said() {
      return switch (this) {
        case Nothing n -> Message.of("controller.value.not-reported");
        case Number(double number) -> Message.number(number);
        case Two(Value x, Value y) -> Message.of("controller.value.pair", x.said(), y.said());
        case Word(String word) -> Role.saidOrPrinted(word);
      };
    }
  }

  /** How many items are not in order. */
  int wrong() {
    return (int) findings.stream().filter(i -> i.severity() != Severity.NOTE).count();
  }

  /** The item of this id, when it was asked. */
  public Optional<Item> item(String id) {
    return findings.stream().filter(i -> i.id().equals(id)).findFirst();
  }
}
