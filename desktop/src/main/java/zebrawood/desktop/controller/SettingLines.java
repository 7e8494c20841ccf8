package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.controller.AxisScale;
import zebrawood.controller.ControllerFinding.Item;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerVisitFinding;
import zebrawood.controller.Difference;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.Write;
import zebrawood.desktop.station.AuditRow;
import zebrawood.desktop.station.AuditRow.Mark;
import zebrawood.desktop.station.Step;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** What the settings are and should be, in plain words, the worst first; and what to do of it. */
final class SettingLines {
  /** More of what changed is told by its number. */
  private static final int MOST_CHANGED = 40;

  private SettingLines() {}

  static List<AuditRow> of(ControllerVisitFinding finding, Optional<Settings> settings) {
    List<AuditRow> lines = new ArrayList<>();
    items(finding).map(SettingLines::line).forEach(lines::add);
    scale(Role.STEPS_PER_MM_X, finding.across(), settings).ifPresent(lines::add);
    scale(Role.STEPS_PER_MM_Y, finding.along(), settings).ifPresent(lines::add);
    lines.sort(Comparator.comparing(AuditRow::mark, Comparator.comparing(SettingLines::rank)));
    changed(finding, settings).forEach(lines::add);
    if (finding.notJudged() > 0) {
      lines.add(
          new AuditRow(
              Mark.NOT_KNOWN,
              Message.of("controller.line.not-judged", finding.notJudged()),
              Message.of("controller.line.not-judged.why"),
              Message.NONE,
              Message.NONE));
    }
    return lines;
  }

  private static Stream<Item> items(ControllerVisitFinding finding) {
    return Stream.concat(
        finding.audit().stream()
            .flatMap(a -> a.findings().stream())
            .sorted(Comparator.comparing(Item::severity).reversed()),
        finding.fields().stream());
  }

  private static int rank(Mark mark) {
    return switch (mark) {
      case WRONG -> 0;
      case CHANGED -> 1;
      case FITS -> 2;
      case NOT_KNOWN -> 3;
    };
  }

  private static AuditRow line(Item item) {
    boolean known = !(item.observed() instanceof Value.Nothing);
    boolean wrong = item.severity() != Severity.NOTE;
    boolean compared = !(item.advised() instanceof Value.Nothing);
    Mark mark = wrong ? Mark.WRONG : known && compared ? Mark.FITS : Mark.NOT_KNOWN;
    return new AuditRow(
        mark,
        Role.find(item.id())
            .map(role -> Message.of(role))
            .orElse(Message.of("controller.item." + item.id())),
        item.why().why().orElse(item.why().what()),
        known ? item.observed().said() : Message.of("controller.line.unknown"),
        wrong ? item.advised().said() : Message.NONE);
  }

  private static Optional<AuditRow> scale(
      Role role, Optional<AxisScale.Finding> scale, Optional<Settings> settings) {
    return scale.map(f -> {
      Mark mark = !f.decides() ? Mark.NOT_KNOWN : f.within() ? Mark.FITS : Mark.WRONG;
      return new AuditRow(
          mark,
          Message.of(role),
          f.decides()
              ? Message.of(
                  "controller.controller-visit.goes-wrong-by",
                  Amount.of(1000 * Math.abs(1 - 1 / f.factor().value()), Quantity.NUMBER, 1),
                  Amount.of(1000 * f.factor().uncertainty(), Quantity.NUMBER, 1))
              : Message.of(
                  "controller.controller-visit.would-decide",
                  Amount.of(Math.ceil(f.travelThatDecidesMm()), Quantity.LENGTH, 0)),
          settings
              .flatMap(s -> s.printed(role))
              .map(Message::quoted)
              .orElse(Message.of("controller.line.unknown")),
          mark == Mark.WRONG && f.stepsPerMm().isPresent()
              ? Message.of(
                  "controller.line.amount",
                  Amount.of(f.stepsPerMm().getAsDouble(), Quantity.NUMBER, 3))
              : Message.NONE);
    });
  }

  /** What no role is known for is compared with the list as it was left. */
  private static Stream<AuditRow> changed(
      ControllerVisitFinding finding, Optional<Settings> settings) {
    List<String> known =
        settings
            .map(s -> s.dialect().byRole().values().stream().map(r -> r.key().strip()).toList())
            .orElse(List.of());
    return finding.sinceLeft().stream()
        .filter(d -> !known.contains(d.name()))
        .limit(MOST_CHANGED)
        .map(SettingLines::line);
  }

  private static AuditRow line(Difference d) {
    return new AuditRow(
        Mark.CHANGED,
        Message.quoted(d.name()),
        Message.of("controller.line.left-as", there(d.before())),
        there(d.now()),
        Message.NONE);
  }

  private static Message there(Optional<String> value) {
    return value.map(Message::quoted).orElse(Message.of("controller.difference.not-there"));
  }

  /** What can be written is one step, and what a line of the list says already is none. */
  static List<Step> steps(ControllerVisitFinding finding) {
    List<Step> steps = new ArrayList<>();
    int writes = finding.writes().size();
    if (writes > 0) {
      steps.add(
          Step.of(
              Message.of("controller.step.write", writes),
              Message.of("controller.step.write.why")));
    }
    Set<Advice> written = Collections.newSetFromMap(new IdentityHashMap<>());
    items(finding)
        .filter(i -> i.severity() != Severity.NOTE && isWritten(i, finding.writes()))
        .forEach(i -> written.add(i.why()));
    finding.advice().stream().filter(a -> !written.contains(a)).map(Step::of).forEach(steps::add);
    return steps;
  }

  /** Whether a line that is written puts it right; a pair of settings stands with a comma. */
  private static boolean isWritten(Item item, List<Write> writes) {
    return item.setting() instanceof Value.Word(String key)
        && writes.stream()
            .map(Write::key)
            .anyMatch(k -> key.equals(k) || key.startsWith(k + ", ") || key.endsWith(", " + k));
  }
}
