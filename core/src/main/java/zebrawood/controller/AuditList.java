package zebrawood.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.ControllerFinding.Item;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** What an audit says so far: an item for each thing compared, what is to be written, warnings. */
final class AuditList {
  private final Dialect dialect;
  private final Settings settings;
  private final List<Item> items = new ArrayList<>();
  private final Writes writes = new Writes();
  private final List<Message> warnings = new ArrayList<>();

  AuditList(Dialect dialect, Settings settings) {
    this.dialect = dialect;
    this.settings = settings;
  }

  Dialect dialect() {
    return dialect;
  }

  Settings settings() {
    return settings;
  }

  List<Item> items() {
    return items;
  }

  List<Write> writes() {
    return writes.inOrder();
  }

  List<Message> warnings() {
    return warnings;
  }

  void warn(Message warning) {
    warnings.add(warning);
  }

  /** Whether it is printed, but not as anything that is known: never written. */
  boolean notUnderstood(Role role) {
    Optional<String> printed = settings.printed(role);
    boolean understood =
        role.isChoice()
            ? settings.meaning(role).isPresent()
            : printed.filter(p -> Printed.number(p).isPresent()).isPresent();
    return printed.isPresent() && !understood;
  }

  /** As it is to be told: number or meaning, else as printed, else nothing. */
  Value observed(Role role) {
    Optional<String> printed = settings.printed(role);
    if (printed.isEmpty()) {
      return new Value.Nothing();
    }
    if (role.isChoice()) {
      return new Value.Word(settings.meaning(role).orElse(printed.get()));
    }
    OptionalDouble number = Printed.number(printed.get());
    return number.isPresent()
        ? new Value.Number(number.getAsDouble())
        : new Value.Word(printed.get());
  }

  private Optional<Write> line(Role role, double value) {
    return Settings.line(dialect, role, value);
  }

  Optional<Write> line(Role role, String meaning) {
    return Settings.line(dialect, role, meaning);
  }

  /** Writes a meaning, or says that nobody knows how it is printed. */
  boolean write(Writes.Rank rank, Role role, String meaning) {
    Optional<Write> line = line(role, meaning);
    line.ifPresentOrElse(
        l -> writes.add(rank, l),
        () -> warnings.add(Message.of("controller.audit.cannot-write", role, Role.said(meaning))));
    return line.isPresent();
  }

  void write(Writes.Rank rank, Role role, double value) {
    line(role, value).ifPresent(l -> writes.add(rank, l));
  }

  void note(String id, Role role, Message why) {
    note(id, dialect.key(role), observed(role), why);
  }

  void note(String id, Optional<String> setting, Value observed, Message why) {
    items.add(
        new Item(
            id,
            Value.key(setting),
            observed,
            observed,
            Severity.NOTE,
            Advice.leave(
                "words.said",
                observed instanceof Value.Nothing
                    ? Message.of("controller.audit.was-not-reported")
                    : why)));
  }

  void adjust(
      String id, Role role, Value advised, Severity severity, Message todo, Message because) {
    add(id, dialect.key(role), observed(role), advised, severity, todo, because);
  }

  void add(
      String id,
      Optional<String> setting,
      Value observed,
      Value advised,
      Severity severity,
      Message todo,
      Message because) {
    items.add(
        new Item(
            id,
            Value.key(setting),
            observed,
            advised,
            severity,
            new Advice(Advice.Kind.DO, todo, Optional.of(because), Optional.empty())));
  }
}
