package zebrawood.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerVisitReadings.HomeAtStart;
import zebrawood.controller.ControllerVisitReadings.Motion;
import zebrawood.controller.ControllerVisitReadings.PanelAnswer;
import zebrawood.controller.ControllerVisitReadings.PanelStep;
import zebrawood.controller.ControllerVisitReadings.TwoMarks;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.measure.PartFinding;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Proven;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** Judges one visit to the controller; its settings are read once. */
final class VisitAudit {
  private final ControllerVisitReadings visit;
  private final Machine machine;
  private final Settings settings;
  private final List<Advice> advice = new ArrayList<>();
  private final List<Message> warnings = new ArrayList<>();
  private final List<Verdict> verdicts = new ArrayList<>(List.of(Verdict.WITHIN));

  VisitAudit(ControllerVisitReadings visit, Machine machine) {
    this.visit = visit;
    this.machine = machine;
    settings =
        visit
            .numbered()
            .map(r -> Settings.parse(r.settings(), r.dialect()))
            .or(() -> visit.named().map(p -> Settings.parse(p.text(), p.dialect())))
            .orElse(Settings.NONE);
  }

  ControllerVisitFinding solve() {
    Optional<ControllerFinding> audit = visit.numbered().map(r -> Audit.solve(r, settings));
    List<Difference> since = sinceLeft();
    boolean reset = Difference.looksLikeReset(since);
    if (reset) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          Advice.act("controller.controller-visit.restore-snapshot-as")
              .because("controller.controller-visit.settings-changed-once", since.size()));
    } else if (!since.isEmpty()) {
      warnings.add(
          Message.of(
              "controller.controller-visit.not-as-left",
              since.stream()
                  .map(Difference::said)
                  .reduce((a, b) -> Message.of("controller.semicolon", a, b))
                  .orElseThrow()));
    }
    audit.ifPresent(f -> {
      verdicts.add(f.verdict());
      if (f.verdict() != Verdict.WITHIN) {
        advice.addAll(f.advice());
      }
      warnings.addAll(f.warnings());
    });
    FieldAudit.Finding fields = FieldAudit.solve(settings, machine, fitted());
    warnings.addAll(fields.warnings());
    judge(fields.items());
    int notJudged = notJudged(fields.items());
    if (visit.named().isPresent()
        && visit.silent().isEmpty()
        && visit.leftBefore().isEmpty()
        && fields.items().stream().noneMatch(VisitAudit::isJudged)) {
      verdicts.add(Verdict.MEASURE_AGAIN);
      advice.add(
          Advice.read("controller.controller-visit.teach")
              .because("controller.controller-visit.nothing-understood"));
    }
    if (notJudged > 0) {
      warnings.add(
          Message.of(
              visit.leftBefore().isPresent()
                  ? "controller.controller-visit.only-compared"
                  : "controller.controller-visit.not-judged",
              notJudged));
    }
    List<Advice> apart = otherwiseOffline();
    advice.addAll(apart);
    verdicts.add(apart.isEmpty() ? Verdict.WITHIN : Verdict.ADJUST);
    int wrong =
        (int) fields.items().stream().filter(f -> f.severity() != Severity.NOTE).count()
            + apart.size()
            + audit.map(ControllerFinding::wrong).orElse(0);
    Optional<AxisScale.Finding> right = visit.across().map(AxisScale::solve);
    Optional<AxisScale.Finding> rear = visit.along().map(AxisScale::solve);
    right.ifPresent(f -> scale(Message.of("controller.axis.right"), f));
    rear.ifPresent(f -> scale(Message.of("controller.axis.rear"), f));
    if (visit.twoMarks() == TwoMarks.LOWER_IS_DARKER) {
      verdicts.add(Verdict.STOP);
      advice.addFirst(turnRound());
    }
    visit.numbered().ifPresent(this::atStart);
    if (visit.silent().isPresent() && !visit.tellsAnything()) {
      verdicts.add(Verdict.MEASURE_AGAIN);
      advice.add(
          Advice.read("controller.controller-visit.type-what-is-known")
              .because("controller.controller-visit.tells-nothing"));
    }
    proofs();
    panel();
    if (advice.isEmpty()) {
      advice.add(Advice.leave("controller.controller-visit.leave").because(fits(audit, notJudged)));
    }
    return new ControllerVisitFinding(
        audit,
        fields.items(),
        notJudged,
        wrong,
        since,
        reset,
        right,
        rear,
        visit.runUp().map(RunUp::solve),
        writes(audit, right, rear),
        Verdict.worst(verdicts),
        advice,
        warnings);
  }

  /** Never "the settings fit" for what was not understood, nor "proven" for what was not asked. */
  private Message fits(Optional<ControllerFinding> audit, int notJudged) {
    boolean allReported =
        audit.stream()
            .flatMap(f -> f.findings().stream())
            .noneMatch(i -> i.observed() instanceof Value.Nothing);
    Message settingsFit =
        Message.of(
            visit.silent().isPresent()
                ? "controller.controller-visit.kept-as-said"
                : notJudged == 0 && allReported
                    ? "controller.controller-visit.settings-fit"
                    : "controller.controller-visit.understood-fits");
    return Stream.of(Motion.values()).anyMatch(item -> visit.asks(item, machine))
        ? Message.of("controller.controller-visit.and-proven", settingsFit)
        : settingsFit;
  }

  private void judge(List<ControllerFinding.Item> fields) {
    for (ControllerFinding.Item item : fields) {
      if (item.severity() != Severity.NOTE) {
        advice.add(item.why());
        verdicts.add(Verdict.ADJUST);
      }
    }
  }

  /** What turns the power's sense round, as far as the dialect knows it. */
  private Advice turnRound() {
    Message lower = Message.of("controller.controller-visit.lower-word-burns");
    Optional<String> key = settings.dialect().key(Role.POWER_SENSE);
    Optional<String> now = settings.printed(Role.POWER_SENSE);
    if (otherSense().isPresent()) {
      return Advice.act(
              "controller.controller-visit.turn-sense",
              Message.quoted(key.orElseThrow()),
              Role.said(otherSense().get()))
          .because(lower);
    }
    return key.isPresent() && now.isPresent()
        ? Advice.act(
                "controller.controller-visit.look-at-sense",
                Message.quoted(key.get()),
                Message.quoted(now.get()))
            .because(lower)
        : Advice.act("controller.controller-visit.turn-power-signal").because(lower);
  }

  /** The sense that it has not now, where both are known. */
  private Optional<String> otherSense() {
    return settings
        .meaning(Role.POWER_SENSE)
        .map(now -> now.equals(Role.RISING) ? Role.FALLING : Role.RISING)
        .filter(other -> settings.dialect().printed(Role.POWER_SENSE, other).isPresent());
  }

  /** The power's sense first, then the audit's, the axes' steps, and what holds the motors. */
  private List<Write> writes(
      Optional<ControllerFinding> audit,
      Optional<AxisScale.Finding> right,
      Optional<AxisScale.Finding> rear) {
    if (visit.numbered().isEmpty()) {
      return List.of();
    }
    Dialect dialect = visit.numbered().get().dialect();
    List<Write> writes = new ArrayList<>();
    if (visit.twoMarks() == TwoMarks.LOWER_IS_DARKER) {
      otherSense()
          .flatMap(other -> Settings.line(dialect, Role.POWER_SENSE, other))
          .ifPresent(writes::add);
    }
    writes.addAll(audit.map(ControllerFinding::writes).orElse(List.of()));
    steps(right)
        .flatMap(s -> Settings.line(dialect, Role.STEPS_PER_MM_X, s))
        .ifPresent(writes::add);
    steps(rear).flatMap(s -> Settings.line(dialect, Role.STEPS_PER_MM_Y, s)).ifPresent(writes::add);
    Optional<String> idle = settings.printed(Role.IDLE_DELAY);
    dialect
        .talk()
        .flatMap(WireSyntax::idleHolds)
        .filter(holds -> idle.filter(now -> !Printed.same(now, holds)).isPresent())
        .ifPresent(
            holds -> writes.add(dialect.write(dialect.key(Role.IDLE_DELAY).orElseThrow(), holds)));
    return List.copyOf(writes);
  }

  /** Steps that are worth writing: the reading decides, and the scale is off by no unit. */
  private static Optional<Double> steps(Optional<AxisScale.Finding> scale) {
    return scale
        .filter(f -> f.decides() && !f.within() && !SpaceAudit.inchesFor(f.factor().value(), 1))
        .filter(f -> f.stepsPerMm().isPresent())
        .map(f -> Math.round(1000 * f.stepsPerMm().getAsDouble()) / 1000.0);
  }

  /** What is otherwise on the page that it uses without the computer. */
  private List<Advice> otherwiseOffline() {
    List<Advice> apart = new ArrayList<>();
    visit
        .offline()
        .map(text -> Settings.parse(text, settings.dialect()))
        .ifPresent(other -> {
          for (Difference d : Difference.between(settings, other)) {
            apart.add(
                Advice.act("controller.controller-visit.make-both")
                    .because(
                        "controller.controller-visit.one-other",
                        Message.quoted(d.name()),
                        there(d.before()),
                        there(d.now())));
          }
        });
    return apart;
  }

  private static Message there(Optional<String> value) {
    return value.map(Message::quoted).orElse(Message.of("controller.difference.not-there"));
  }

  /** The lens that is on it: the one named, or the only one it has. */
  private Optional<Lens> fitted() {
    List<Lens> its = machine.lenses().orElse(List.of());
    if (visit.lensFocalLengthMm().isEmpty()) {
      return its.size() == 1 ? Optional.of(its.getFirst()) : Optional.empty();
    }
    double mm = visit.lensFocalLengthMm().getAsDouble();
    return Optional.of(
        its.stream()
            .filter(l ->
                !l.knownByField() && Math.abs(l.focalLengthMm() - mm) < FieldAudit.SAME_LENS * mm)
            .findFirst()
            .orElse(new Lens(mm, OptionalDouble.empty())));
  }

  private void atStart(ControllerReadings r) {
    if (visit.homeAtStart() == HomeAtStart.YES && !r.machine().limitSwitches()) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          Advice.act("controller.controller-visit.switch-homing-start")
              .because("controller.controller-visit.no-switches-would"));
    } else if (visit.homeAtStart() == HomeAtStart.YES && settings.is(Role.HOMING, Role.OFF)) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          Advice.act("controller.controller-visit.homing-is-off")
              .because("controller.controller-visit.homing-is-off.why"));
    } else if (visit.homeAtStart() == HomeAtStart.NO && r.machine().limitSwitches()) {
      warnings.add(Message.of("controller.controller-visit.job-software-does"));
    }
    Optional<String> idle = settings.printed(Role.IDLE_DELAY);
    Optional<String> holds = r.dialect().talk().flatMap(WireSyntax::idleHolds);
    if (idle.isPresent() && holds.filter(h -> !Printed.same(h, idle.get())).isPresent()) {
      warnings.add(
          Message.of(
              "controller.controller-visit.motors-let-go",
              Message.quoted(idle.get()),
              Message.quoted(holds.get())));
    }
  }

  private void scale(Message axis, AxisScale.Finding f) {
    if (!f.decides()) {
      verdicts.add(Verdict.MEASURE_AGAIN);
      advice.add(
          Advice.read("controller.controller-visit.measure-longer-travel", axis)
              .because(
                  "controller.controller-visit.would-decide",
                  Amount.of(Math.ceil(f.travelThatDecidesMm()), Quantity.LENGTH, 0)));
    } else if (!f.within() && SpaceAudit.inchesFor(f.factor().value(), 1)) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          Advice.act("controller.audit.look-at-units")
              .because("controller.controller-visit.goes-by-inches", axis));
    } else if (!f.within()) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          (f.stepsPerMm().isPresent()
                  ? Advice.act(
                      "controller.controller-visit.set-steps",
                      Amount.of(f.stepsPerMm().getAsDouble(), Quantity.NUMBER, 3),
                      axis)
                  : Advice.act(
                      "controller.controller-visit.multiply-steps",
                      Amount.of(f.factor().value(), Quantity.NUMBER, 5),
                      axis))
              .because(
                  "controller.controller-visit.goes-wrong-by",
                  Amount.of(1000 * Math.abs(1 - 1 / f.factor().value()), Quantity.NUMBER, 1),
                  Amount.of(1000 * f.factor().uncertainty(), Quantity.NUMBER, 1)));
    }
  }

  private void proofs() {
    List<Motion> asked =
        Stream.of(Motion.values()).filter(item -> visit.asks(item, machine)).toList();
    for (PartFinding part : Proven.of(asked, visit.proofs()).parts(Verdict.STOP)) {
      verdicts.add(part.verdict());
      advice.addAll(part.advice());
    }
  }

  /** The next step of a shot that was begun; a beam that did not end comes before all else. */
  private void panel() {
    if (visit.panel().isEmpty()) {
      return;
    }
    for (PanelStep step : PanelStep.values()) {
      Optional<Boolean> so =
          visit.panel().stream().filter(a -> a.step() == step).map(PanelAnswer::so).findFirst();
      if (so.isEmpty()) {
        verdicts.add(Verdict.MEASURE_AGAIN);
        advice.add(Advice.prove(Message.of(step)));
        return;
      }
      if (!so.get()) {
        panelNotSo(step);
        return;
      }
    }
  }

  private void panelNotSo(PanelStep step) {
    switch (step) {
      case READY, LEAST -> {
        verdicts.add(Verdict.MEASURE_AGAIN);
        advice.add(Advice.notSo(Message.of(step)));
      }
      case ENDED -> {
        verdicts.add(Verdict.STOP);
        advice.addFirst(
            Advice.act("controller.panel.stop").because("controller.panel.did-not-end"));
      }
      case MARKED -> {
        verdicts.add(Verdict.MEASURE_AGAIN);
        advice.add(Advice.act("controller.panel.raise").because("controller.panel.no-mark"));
      }
    }
  }

  /** What differs from the text as it was last left; nothing where that was of another kind. */
  private List<Difference> sinceLeft() {
    boolean nothingNow = visit.numbered().isEmpty() && visit.named().isEmpty();
    if (visit.leftBefore().isEmpty() || nothingNow) {
      return List.of();
    }
    try {
      return Difference.between(
          Settings.parse(visit.leftBefore().get(), settings.dialect()), settings);
    } catch (UnusableReading e) {
      return List.of();
    }
  }

  /** Whether there was something that it could be compared with. */
  private static boolean isJudged(ControllerFinding.Item field) {
    return !(field.advised() instanceof Value.Nothing);
  }

  /** How many settings play no role that is known, or one that nothing could be compared with. */
  private int notJudged(List<ControllerFinding.Item> fields) {
    List<String> known =
        Stream.concat(
                settings.dialect().byRole().entrySet().stream()
                    .filter(e -> !e.getKey().isOfAField())
                    .map(e -> e.getValue().key().strip()),
                fields.stream()
                    .filter(VisitAudit::isJudged)
                    .flatMap(f -> settings.dialect().key(Role.find(f.id()).orElseThrow()).stream()))
            .toList();
    return (int) settings.keys().stream().filter(k -> !known.contains(k)).count();
  }
}
