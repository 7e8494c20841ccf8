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
    List<PowerScale.Row> powerTable,
    List<Item> findings,
    List<String> writes,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {

  public ControllerFinding {
    powerTable = List.copyOf(powerTable);
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
   * @param setting its number as {@code $30}, or where else it is set
   * @param observed number, text or two numbers; null where it was not reported
   * @param advised what it should be, of the same kind
   * @param why what to do, and what it does to the work as it is
   */
  public record Item(
      String id, String setting, Value observed, Value advised, Severity severity, Advice why) {}

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
    record Pair(OptionalDouble x, OptionalDouble y) implements Value {
      @Override
      public Object plainValue() {
        return Arrays.asList(
            x.isPresent() ? x.getAsDouble() : null, y.isPresent() ? y.getAsDouble() : null);
      }
    }

    record Word(String word) implements Value {
      @Override
      public Object plainValue() {
        return word;
      }
    }

    static Value of(OptionalDouble number) {
      return number.isPresent() ? new Number(number.getAsDouble()) : new Nothing();
    }

    /** As people read it. */
    default Message said() {
      return switch (this) {
        case Nothing n -> Message.of("controller.value.not-reported");
        case Number(double number) -> Message.number(number);
        case Pair(OptionalDouble x, OptionalDouble y) ->
            Message.of("controller.value.pair", of(x).said(), of(y).said());
        case Word(String word) -> Message.verbatim(word.replace('-', ' '));
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
