package zebrawood.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.measure.Accepts;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * One visit to the controller: its settings, what was measured, and the motion as it was proven.
 *
 * @param numbered settings beside machine and software; empty for a page of named fields
 * @param named the page's text; empty for numbered settings
 * @param lensFocalLengthMm of the lens that is on it, for named fields that depend on it
 * @param offline the page it uses without the computer, where it has one of its own
 * @param leftBefore the text as it was last left, to be compared with
 * @param across travel commanded and measured to the right
 * @param along travel commanded and measured to the rear
 * @param configuration its name, on machines whose heads are swapped; empty on others
 * @param connection what made the link work, in words
 */
public record ControllerVisit(
    Optional<ControllerReadings> numbered,
    Optional<String> named,
    OptionalDouble lensFocalLengthMm,
    Optional<String> offline,
    Optional<String> leftBefore,
    Optional<AxisScale.Readings> across,
    Optional<AxisScale.Readings> along,
    Optional<RunUp.Readings> runUp,
    TwoMarks twoMarks,
    HomeAtStart homeAtStart,
    String configuration,
    String connection,
    List<Proof> proofs) {

  /** Two marks at the same speed, one with a lower word, tell whether the scale runs backwards. */
  public enum TwoMarks {
    NOT_BURNT,
    LOWER_IS_FAINTER,
    LOWER_IS_DARKER
  }

  /** Whether the job software homes the machine as it starts. */
  public enum HomeAtStart {
    NOT_KNOWN,
    YES,
    NO
  }

  /** The motion, proven after any change. */
  public enum Motion {
    HOMES,
    CORNERS,
    SWITCHES,
    CABLES
  }

  public record Proof(Motion item, boolean passed) {}

  /**
   * What it came to.
   *
   * @param wrong settings or fields that do not fit
   * @param reset whether so much changed at once as after a reset
   * @param writes what would put right what can be written, in an order that is safe
   */
  public record Judged(
      Optional<ControllerFinding> audit,
      int wrong,
      List<Difference> sinceLeft,
      boolean reset,
      Optional<AxisScale.Finding> across,
      Optional<AxisScale.Finding> along,
      Optional<RunUp.Finding> runUp,
      List<Write> writes,
      Verdict verdict,
      List<Advice> advice,
      List<Message> warnings)
      implements Finding {}

  public ControllerVisit {
    proofs = List.copyOf(proofs);
    var accepts = new Accepts();
    if (numbered.isPresent() == named.isPresent()) {
      accepts.complain(
          "settings",
          Message.of("controller.controller-visit.neither-both-kinds"),
          Message.of("controller.controller-visit.numbered-settings-named"));
    }
    accepts.orThrow();
  }

  public Judged solve(Machine machine) {
    List<Advice> advice = new ArrayList<>();
    List<Message> warnings = new ArrayList<>();
    List<Verdict> verdicts = new ArrayList<>(List.of(Verdict.WITHIN));
    Optional<ControllerFinding> audit = numbered.map(Audit::solve);
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
    if (nothingJudged()) {
      verdicts.add(Verdict.MEASURE_AGAIN);
      advice.add(
          Advice.read("controller.controller-visit.teach")
              .because("controller.controller-visit.nothing-understood"));
    }
    if (notJudged() > 0) {
      warnings.add(Message.of("controller.controller-visit.not-judged", notJudged()));
    }
    List<Advice> misfits = misfits(machine);
    advice.addAll(misfits);
    verdicts.add(misfits.isEmpty() ? Verdict.WITHIN : Verdict.ADJUST);
    int wrong = misfits.size() + audit.map(ControllerFinding::wrong).orElse(0);
    Optional<AxisScale.Finding> right = across.map(AxisScale::solve);
    Optional<AxisScale.Finding> rear = along.map(AxisScale::solve);
    right.ifPresent(f -> scale(Message.of("controller.axis.right"), f, advice, verdicts));
    rear.ifPresent(f -> scale(Message.of("controller.axis.rear"), f, advice, verdicts));
    if (twoMarks == TwoMarks.LOWER_IS_DARKER) {
      verdicts.add(Verdict.STOP);
      advice.addFirst(
          Advice.act("controller.controller-visit.turn-power-signal")
              .because("controller.controller-visit.lower-word-burns"));
    }
    numbered.ifPresent(r -> atStart(r, advice, verdicts, warnings));
    proofs(machine, advice, verdicts);
    if (advice.isEmpty()) {
      advice.add(
          Advice.leave("controller.controller-visit.leave")
              .because("controller.controller-visit.settings-fit-motion"));
    }
    return new Judged(
        audit,
        wrong,
        since,
        reset,
        right,
        rear,
        runUp.map(RunUp::solve),
        writes(audit, right, rear),
        Verdict.worst(verdicts),
        advice,
        warnings);
  }

  /** The audit's, then the axes' steps, then what holds the motors. */
  private List<Write> writes(
      Optional<ControllerFinding> audit,
      Optional<AxisScale.Finding> right,
      Optional<AxisScale.Finding> rear) {
    if (numbered.isEmpty()) {
      return List.of();
    }
    Dialect dialect = numbered.get().dialect();
    List<Write> writes = new ArrayList<>(audit.map(ControllerFinding::writes).orElse(List.of()));
    steps(right)
        .flatMap(s -> Settings.line(dialect, Role.STEPS_PER_MM_X, s))
        .ifPresent(writes::add);
    steps(rear).flatMap(s -> Settings.line(dialect, Role.STEPS_PER_MM_Y, s)).ifPresent(writes::add);
    Optional<String> idle =
        Settings.parse(numbered.get().settings(), dialect).printed(Role.IDLE_DELAY);
    dialect
        .talk()
        .flatMap(Talk::idleHolds)
        .filter(holds -> idle.filter(now -> !Printed.same(now, holds)).isPresent())
        .ifPresent(
            holds -> writes.add(dialect.write(dialect.key(Role.IDLE_DELAY).orElseThrow(), holds)));
    return List.copyOf(writes);
  }

  /** Steps that are worth writing: the reading decides, and the scale is off by no unit. */
  private static Optional<Double> steps(Optional<AxisScale.Finding> scale) {
    return scale
        .filter(f -> f.decides() && !f.within() && !Audit.inchesFor(f.factor(), 1))
        .filter(f -> f.stepsPerMm().isPresent())
        .map(f -> Math.round(1000 * f.stepsPerMm().getAsDouble()) / 1000.0);
  }

  /** What of named fields does not fit the machine, its lens, and the page used offline. */
  private List<Advice> misfits(Machine machine) {
    if (named.isEmpty()) {
      return List.of();
    }
    NamedFields online = NamedFields.parse(named.get());
    List<Advice> misfits = new ArrayList<>(online.against(machine, lensOn(machine)));
    offline.ifPresent(text -> {
      for (Difference d : Difference.between(online.values(), NamedFields.parse(text).values())) {
        misfits.add(
            Advice.act("controller.controller-visit.make-both")
                .because(
                    "controller.controller-visit.one-other",
                    Message.quoted(d.name()),
                    there(d.before()),
                    there(d.now())));
      }
    });
    return misfits;
  }

  private static Message there(Optional<String> value) {
    return value.map(Message::quoted).orElse(Message.of("controller.difference.not-there"));
  }

  /** The lens that is on it: the one named, or the only one it has. */
  private Optional<Lens> lensOn(Machine machine) {
    List<Lens> its = machine.lenses().orElse(List.of());
    if (lensFocalLengthMm.isEmpty()) {
      return its.size() == 1 ? Optional.of(its.getFirst()) : Optional.empty();
    }
    double mm = lensFocalLengthMm.getAsDouble();
    return Optional.of(
        its.stream()
            .filter(l -> Math.abs(l.focalLengthMm() - mm) < NamedFields.SAME_LENS * mm)
            .findFirst()
            .orElse(new Lens(mm, OptionalDouble.empty())));
  }

  private void atStart(
      ControllerReadings r, List<Advice> advice, List<Verdict> verdicts, List<Message> warnings) {
    if (homeAtStart == HomeAtStart.YES && !r.machine().limitSwitches()) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          Advice.act("controller.controller-visit.switch-homing-start")
              .because("controller.controller-visit.no-switches-would"));
    } else if (homeAtStart == HomeAtStart.NO && r.machine().limitSwitches()) {
      warnings.add(Message.of("controller.controller-visit.job-software-does"));
    }
    Optional<String> idle = Settings.parse(r.settings(), r.dialect()).printed(Role.IDLE_DELAY);
    Optional<String> holds = r.dialect().talk().flatMap(Talk::idleHolds);
    if (idle.isPresent() && holds.filter(h -> !Printed.same(h, idle.get())).isPresent()) {
      warnings.add(
          Message.of(
              "controller.controller-visit.motors-let-go",
              Message.quoted(idle.get()),
              Message.quoted(holds.get())));
    }
  }

  private static void scale(
      Message axis, AxisScale.Finding f, List<Advice> advice, List<Verdict> verdicts) {
    if (!f.decides()) {
      verdicts.add(Verdict.MEASURE_AGAIN);
      advice.add(
          Advice.read("controller.controller-visit.measure-longer-travel", axis)
              .because(
                  "controller.controller-visit.would-decide",
                  Amount.of(Math.ceil(f.travelThatDecidesMm()), Quantity.LENGTH, 0)));
    } else if (!f.within() && Audit.inchesFor(f.factor(), 1)) {
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
                      Amount.of(f.factor(), Quantity.NUMBER, 5),
                      axis))
              .because(
                  "controller.controller-visit.goes-wrong-by",
                  Amount.of(1000 * Math.abs(1 - 1 / f.factor()), Quantity.NUMBER, 1),
                  Amount.of(1000 * f.factorUncertainty(), Quantity.NUMBER, 1)));
    }
  }

  private void proofs(Machine machine, List<Advice> advice, List<Verdict> verdicts) {
    for (Motion item : Motion.values()) {
      if (!asks(item, machine)) {
        continue;
      }
      Optional<Proof> proof = proofs.stream().filter(p -> p.item == item).findFirst();
      if (proof.isEmpty()) {
        verdicts.add(Verdict.MEASURE_AGAIN);
        advice.add(Advice.prove(Message.of(item)));
      } else if (!proof.get().passed) {
        verdicts.add(Verdict.STOP);
        advice.add(Advice.act("controller.not-so").because(Message.of(item)));
      }
    }
  }

  /** Whether this machine is asked for it: a galvo head has no motion of its own. */
  public boolean asks(Motion item, Machine machine) {
    boolean switches = numbered.map(r -> r.machine().limitSwitches()).orElse(false);
    return machine.build().headTravels()
        && (item != Motion.HOMES && item != Motion.SWITCHES || switches);
  }

  /** What differs from the text as it was last left; nothing where the kinds differ. */
  private List<Difference> sinceLeft() {
    if (leftBefore.isEmpty()) {
      return List.of();
    }
    try {
      return numbered.isPresent()
          ? Difference.between(
              Settings.parse(leftBefore.get(), numbered.get().dialect()),
              Settings.parse(numbered.get().settings(), numbered.get().dialect()))
          : Difference.between(
              NamedFields.parse(leftBefore.get()).values(),
              NamedFields.parse(named.orElseThrow()).values());
    } catch (zebrawood.measure.UnusableReading e) {
      return List.of();
    }
  }

  /** How many settings or names play no role that is known: nobody judged them. */
  public int notJudged() {
    return numbered
        .map(r -> {
          Settings all = Settings.parse(r.settings(), r.dialect());
          List<String> known =
              r.dialect().roles().values().stream().map(said -> said.key().strip()).toList();
          return (int) all.keys().stream().filter(k -> !known.contains(k)).count();
        })
        .orElseGet(() -> NamedFields.parse(named.orElseThrow()).notJudged());
  }

  /** Whether nothing at all was understood, and there is nothing to compare it with. */
  private boolean nothingJudged() {
    return leftBefore.isEmpty()
        && named
            .map(NamedFields::parse)
            .filter(f -> f.notJudged() == f.values().size())
            .isPresent();
  }

  /** The text as it is now. */
  public String text() {
    return numbered.map(ControllerReadings::settings).or(() -> named).orElseThrow();
  }

  /** What the notebook shows; how many settings are wrong is the telling figure. */
  public List<Figure> figures(Judged f) {
    List<Figure> figures = new ArrayList<>();
    figures.add(Figure.of("wrong", f.wrong(), Quantity.LINES).limited(0));
    f.audit()
        .filter(a -> a.effectiveFullPower().isPresent())
        .ifPresent(a ->
            figures.add(
                Figure.of(
                    "fullPower", 100 * a.effectiveFullPower().getAsDouble(), Quantity.PERCENT)));
    f.across().ifPresent(a -> figures.add(Figure.of("scaleX", 1 / a.factor(), Quantity.NUMBER)));
    f.along().ifPresent(a -> figures.add(Figure.of("scaleY", 1 / a.factor(), Quantity.NUMBER)));
    return figures;
  }
}
