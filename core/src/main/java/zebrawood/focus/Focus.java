package zebrawood.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.machine.Moves;
import zebrawood.measure.Estimate;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Help;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Is the machine set to this lens's focus, and if not, by how much is it off?
 *
 * <p>In: one reading of where the focus is, by any way, and the gap that the machine is set to.
 * Out: by how much it is off and which way to go. It is within when it is off by no more than half
 * the depth of focus, and two standard deviations of focus and set gap together are no more than
 * that either: else what is to be read more finely, unless it is clearly off. Where the depth is
 * not known, it is within by no more than those two deviations, with a warning. While nobody read
 * what it is set to, nothing is said of it: the advice is to set it.
 */
public final class Focus {
  public static final Visit<FocusReadings, FocusFinding> VISIT =
      Visit.helped(FocusReadings.class, FocusFinding.class, Focus::solve, Focus::figures)
          .saying((r, f) -> f.said(r));

  /** Whether the ring of a laser module stays where it was set. */
  public enum Held {
    /** Locked, or there is none. */
    HELD,
    TURNS,
    NOT_TRIED
  }

  private Focus() {}

  /**
   * @param help reads a photographed board, and is told how far it is measured
   */
  public static FocusFinding solve(FocusReadings readings, Help help) {
    FocusFinding focus = ofGap(readings, help);
    if (readings.plumb().isPresent()) {
      ModulePlumb.Finding plumb = ModulePlumb.solve(readings.plumb().get());
      focus = focus.with(plumb).with(ModulePlumb.judge(readings.plumb().get(), plumb));
    }
    return readings.ringHeld().isPresent() ? focus.with(ring(readings.ringHeld().get())) : focus;
  }

  /**
   * A ring that can turn moves the focus unseen; that nobody tried it is no more than a warning.
   */
  private static PartFinding ring(Held held) {
    return switch (held) {
      case HELD -> PartFinding.within();
      case TURNS -> PartFinding.adjust(Advice.act("focus.ring.lock").because("focus.ring.turns"));
      case NOT_TRIED -> PartFinding.within().warning(Message.of("focus.ring.not-tried"));
    };
  }

  private static FocusFinding ofGap(FocusReadings readings, Help help) {
    FocusEstimate located = readings.task().locate(help);
    List<Message> warnings = new ArrayList<>(located.warnings());
    OptionalDouble depth = located.depthMm().isPresent() ? located.depthMm() : readings.depthMm();
    OptionalDouble allowed =
        depth.isPresent() ? OptionalDouble.of(depth.getAsDouble() / 2) : OptionalDouble.empty();
    if (readings.task() instanceof FocusTask.ByOwn(boolean sharp)) {
      return byOwn(readings, sharp, located, allowed);
    }
    if (located.gapMm().isEmpty()) {
      return new FocusFinding(
          located,
          OptionalDouble.empty(),
          allowed,
          readings.tableUpMm(),
          Verdict.MEASURE_AGAIN,
          located.again(),
          warnings);
    }
    Estimate gap = located.gapMm().get();
    Optional<FocusTask.Felt> felt = felt(readings);
    if (felt.filter(f -> f != FocusTask.Felt.TOUCHES).isPresent()) {
      return new FocusFinding(
          located,
          OptionalDouble.empty(),
          allowed,
          readings.tableUpMm(),
          Verdict.ADJUST,
          List.of(
              Advice.act(
                      felt.get() == FocusTask.Felt.TIGHT
                          ? "focus.felt.make-larger"
                          : "focus.felt.make-smaller")
                  .because(Message.of(felt.get()))),
          warnings);
    }
    double wanted = gap.value() + readings.defocusMm();
    // What slides and touches stands at the gauge's own length.
    OptionalDouble set = felt.isPresent() ? OptionalDouble.of(gap.value()) : readings.setGapMm();
    double setErrorMm = felt.isPresent() ? FELT_MM : readings.setGapErrorMm();
    OptionalDouble off =
        set.isPresent() ? OptionalDouble.of(set.getAsDouble() - wanted) : OptionalDouble.empty();
    if (located.probe().isPresent()) {
      return probed(readings, located, located.probe().get(), allowed, warnings);
    }
    if (readings.stackChanged()) {
      warnings.add(
          Message.of(
              "focus.stack-changed",
              Amount.mm(readings.stackThen().orElseThrow().totalMm(), 2),
              Amount.mm(readings.stack().orElseThrow().totalMm(), 2)));
    }
    if (off.isPresent() && allowed.isEmpty()) {
      warnings.add(Message.of("focus.depth-unknown"));
    }
    double unsure = 2 * Math.hypot(gap.uncertainty(), setErrorMm);
    boolean near = off.isPresent() && Math.abs(off.getAsDouble()) <= allowed.orElse(unsure);
    boolean open =
        off.isPresent()
            && allowed.isPresent()
            && unsure > allowed.getAsDouble()
            && Math.abs(off.getAsDouble()) <= allowed.getAsDouble() + unsure;
    List<Advice> advice = new ArrayList<>(ofSensor(readings));
    boolean proven = advice.isEmpty();
    advice.addAll(
        open
            ? finer(readings, gap, unsure, allowed.getAsDouble())
            : advice(readings.moves(), wanted, gap, off, near));
    return new FocusFinding(
        located,
        off,
        allowed,
        readings.tableUpMm(),
        open ? Verdict.MEASURE_AGAIN : verdict(near, proven),
        advice,
        warnings);
  }

  /** A sheet of office paper, which is 0.1 mm thick, is felt between two faces. */
  private static final double FELT_MM = 0.1;

  /** How the gauge goes in, unless the gap was read. */
  private static Optional<FocusTask.Felt> felt(FocusReadings readings) {
    return readings.task() instanceof FocusTask.ByGauge gauge && readings.setGapMm().isEmpty()
        ? gauge.felt()
        : Optional.empty();
  }

  /** A pin or button is judged by what it is for: a sharp mark. */
  private static FocusFinding byOwn(
      FocusReadings readings, boolean sharp, FocusEstimate located, OptionalDouble allowed) {
    return new FocusFinding(
        located,
        OptionalDouble.empty(),
        allowed,
        readings.tableUpMm(),
        sharp ? Verdict.WITHIN : Verdict.ADJUST,
        List.of(
            sharp
                ? Advice.leave("focus.own.leave").because("focus.own.sharp")
                : Advice.act("focus.own.set").because("focus.own.blurred")),
        List.of());
  }

  /** What leaves more open of the two: the focus, or the gap as it is set. */
  private static List<Advice> finer(
      FocusReadings readings, Estimate gap, double unsure, double allowed) {
    Advice read =
        gap.uncertainty() < readings.setGapErrorMm()
            ? Advice.read("focus.finer.gap")
            : switch (readings.task()) {
              case FocusTask.ByGauge gauge -> Advice.read("focus.finer.gauge");
              case FocusTask.ByPencil pencil -> Advice.read("focus.finer.widths");
              case FocusTask.ByEqualWidths equal -> Advice.read("focus.finer.widths");
              case FocusTask.ByLive live -> Advice.read("focus.finer.ramp");
              case FocusTask.ByLadder ladder -> Advice.read("focus.finer.rungs");
              default -> Advice.read("focus.finer.again");
            };
    return List.of(read.because("focus.finer.why", Amount.mm(unsure, 2), Amount.mm(allowed, 2)));
  }

  private static Verdict verdict(boolean within, boolean proven) {
    return within ? proven ? Verdict.WITHIN : Verdict.MEASURE_AGAIN : Verdict.ADJUST;
  }

  /** A head that does not follow the sheet keeps no focus. */
  private static List<Advice> ofSensor(FocusReadings readings) {
    Message follows = Message.of("focus.sensor");
    return readings
        .head()
        .map(head ->
            head.sensorFollows()
                .map(so -> so ? List.<Advice>of() : List.of(Advice.notSo(follows)))
                .orElseGet(() -> List.of(Advice.prove(follows))))
        .orElse(List.of());
  }

  /** By what is moved, once that is known. */
  private static Advice move(Optional<Moves> moves, double offMm) {
    Amount by = Amount.mm(Math.abs(offMm), 2);
    return moves
        .map(m -> Advice.act(m.key(offMm > 0 ? "smaller" : "larger"), by))
        .orElseGet(() -> Advice.act(offMm > 0 ? "focus.smaller" : "focus.larger", by));
  }

  private static List<Advice> advice(
      Optional<Moves> moves, double wanted, Estimate gap, OptionalDouble off, boolean within) {
    if (within) {
      return List.of(
          Advice.leave("focus.leave")
              .because("focus.leave.why", Amount.mm(Math.abs(off.getAsDouble()), 2)));
    }
    Message uncertainty = Message.bare(Amount.mm(gap.uncertainty(), 2));
    if (off.isEmpty()) {
      return List.of(
          Advice.act("focus.set", Amount.mm(wanted, 2)).because("focus.set.why", uncertainty),
          Advice.read("focus.read-set"));
    }
    return List.of(
        move(moves, off.getAsDouble()).because("focus.off.why", Amount.mm(wanted, 2), uncertainty),
        Advice.read("focus.read-set"));
  }

  /** The offset that the autofocus needs; one within the allowed is as good. */
  private static FocusFinding probed(
      FocusReadings readings,
      FocusEstimate located,
      FocusEstimate.Probe probe,
      OptionalDouble allowed,
      List<Message> warnings) {
    FocusTask.ByProbe task = (FocusTask.ByProbe) readings.task();
    OptionalDouble set = task.offsetSetMm();
    OptionalDouble off =
        set.isPresent()
            ? OptionalDouble.of(set.getAsDouble() - probe.offsetMm().value())
            : OptionalDouble.empty();
    boolean scatters = allowed.isPresent() && 2 * probe.scatterMm() > allowed.getAsDouble();
    boolean within =
        off.isPresent()
            && !scatters
            && Math.abs(off.getAsDouble()) <= allowed.orElse(2 * probe.offsetMm().uncertainty());
    if (allowed.isEmpty()) {
      warnings.add(Message.of("focus.depth-unknown"));
    }
    List<Advice> advice = new ArrayList<>(ofSensor(readings));
    boolean proven = advice.isEmpty();
    if (scatters) {
      advice.add(
          Advice.act("focus.probe.scatters")
              .because(
                  "focus.probe.scatters.why",
                  Amount.mm(probe.scatterMm(), 2),
                  Amount.mm(allowed.getAsDouble(), 2)));
    } else if (within) {
      advice.add(
          Advice.leave("focus.probe.leave")
              .because("focus.leave.why", Amount.mm(Math.abs(off.getAsDouble()), 2)));
    } else {
      advice.add(
          Advice.act("focus.probe.set", Amount.mm(probe.offsetMm().value(), 2))
              .because(
                  "focus.probe.set.why",
                  Message.bare(Amount.mm(probe.offsetMm().uncertainty(), 2)),
                  Amount.mm(probe.scatterMm(), 2)));
    }
    return new FocusFinding(
        located, off, allowed, readings.tableUpMm(), verdict(within, proven), advice, warnings);
  }

  /** What the notebook shows; how far off it is first, where that is known. */
  public static List<Figure> figures(FocusReadings r, FocusFinding f) {
    List<Figure> figures = new ArrayList<>();
    if (r.task() instanceof FocusTask.ByOwn(boolean sharp)) {
      figures.add(Figure.of("notSharp", sharp ? 0 : 1, Quantity.LINES).limited(0));
    }
    f.offMm()
        .ifPresent(mm ->
            figures.add(Figure.of("off", Math.abs(mm), Quantity.LENGTH).limited(f.allowedMm())));
    f.located()
        .gapMm()
        .ifPresent(gap ->
            figures.add(
                Figure.of("gap", gap.value(), Quantity.LENGTH).uncertain(gap.uncertainty())));
    f.located()
        .probe()
        .ifPresent(p -> {
          figures.add(
              Figure.of("offset", p.offsetMm().value(), Quantity.LENGTH)
                  .uncertain(p.offsetMm().uncertainty()));
          figures.add(Figure.of("scatter", p.scatterMm(), Quantity.LENGTH));
        });
    f.located().depthMm().ifPresent(mm -> figures.add(Figure.of("depth", mm, Quantity.LENGTH)));
    f.located().lineWidthMm().ifPresent(mm -> figures.add(Figure.of("line", mm, Quantity.LENGTH)));
    f.plumb()
        .ifPresent(p ->
            figures.add(
                Figure.of("lean", p.leanMrad(), Quantity.ANGLE)
                    .uncertain(p.rightMrad().uncertainty())));
    if (f.located().axes().size() == 2) {
      for (int i = 0; i < 2; i++) {
        Estimate axis = f.located().axes().get(i);
        figures.add(
            Figure.of(i == 0 ? "gapX" : "gapY", axis.value(), Quantity.LENGTH)
                .uncertain(axis.uncertainty()));
      }
    }
    return figures;
  }
}
