package zebrawood.controller;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.measure.Accepts;
import zebrawood.measure.Finding;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;

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
    HOMES("it homes to its own corner"),
    CORNERS("the head reaches all four corners of the work area and stops short of the frame"),
    SWITCHES("each limit switch, pressed by hand, stops it"),
    CABLES("cables and hoses stay slack at the far ends");

    private final String words;

    Motion(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public record Proof(Motion item, boolean passed) {}

  /**
   * What it came to.
   *
   * @param wrong settings or fields that do not fit
   * @param reset whether so much changed at once as after a firmware reset
   */
  public record Judged(
      Optional<ControllerFinding> audit,
      int wrong,
      List<Difference> sinceLeft,
      boolean reset,
      Optional<AxisScale.Finding> across,
      Optional<AxisScale.Finding> along,
      Optional<RunUp.Finding> runUp,
      Verdict verdict,
      List<String> advice,
      List<String> warnings)
      implements Finding {}

  /** Advice begins so when something is still to be proven. */
  public static final String PROVE = "Prove it";

  /** This idle delay means for ever. */
  private static final double HOLDS = 255;

  private static final List<Verdict> WORSE =
      List.of(Verdict.WITHIN, Verdict.MEASURE_AGAIN, Verdict.ADJUST, Verdict.STOP);

  public ControllerVisit {
    proofs = List.copyOf(proofs);
    var accepts = new Accepts();
    if (numbered.isPresent() == named.isPresent()) {
      accepts.complain("settings", "neither or both kinds", "numbered settings or named fields");
    }
    accepts.orThrow();
  }

  public Judged solve(Machine machine) {
    List<String> advice = new ArrayList<>();
    List<String> warnings = new ArrayList<>();
    List<Verdict> verdicts = new ArrayList<>(List.of(Verdict.WITHIN));
    Optional<ControllerFinding> audit = numbered.map(Audit::solve);
    List<Difference> since = sinceLeft();
    boolean reset = Difference.looksLikeReset(since);
    if (reset) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          "Restore the snapshot as it was left: %d settings changed at once, as after a firmware reset."
              .formatted(since.size()));
    } else if (!since.isEmpty()) {
      warnings.add(
          "Not as it was left: "
              + String.join("; ", since.stream().map(Difference::words).toList())
              + ".");
    }
    audit.ifPresent(f -> {
      verdicts.add(f.verdict());
      if (f.verdict() != Verdict.WITHIN) {
        advice.addAll(f.advice());
      }
      warnings.addAll(f.warnings());
    });
    List<String> misfits = misfits(machine);
    advice.addAll(misfits);
    verdicts.add(misfits.isEmpty() ? Verdict.WITHIN : Verdict.ADJUST);
    int wrong = misfits.size() + audit.map(ControllerFinding::wrong).orElse(0);
    Optional<AxisScale.Finding> right = across.map(AxisScale::solve);
    Optional<AxisScale.Finding> rear = along.map(AxisScale::solve);
    right.ifPresent(f -> scale("right ($100)", f, advice, verdicts));
    rear.ifPresent(f -> scale("rear ($101)", f, advice, verdicts));
    if (twoMarks == TwoMarks.LOWER_IS_DARKER) {
      verdicts.add(Verdict.STOP);
      advice.addFirst(
          "Turn the power signal round before anything else: a lower word burns harder, and 0 may be full power.");
    }
    numbered.ifPresent(r -> atStart(r, advice, verdicts, warnings));
    proofs(machine, advice, verdicts);
    if (advice.isEmpty()) {
      advice.add("Leave it: the settings fit, and the motion is proven.");
    }
    return new Judged(
        audit,
        wrong,
        since,
        reset,
        right,
        rear,
        runUp.map(RunUp::solve),
        verdicts.stream().max(Comparator.comparingInt(WORSE::indexOf)).orElseThrow(),
        advice,
        warnings);
  }

  /** What of named fields does not fit the machine, its lens, and the page used offline. */
  private List<String> misfits(Machine machine) {
    if (named.isEmpty()) {
      return List.of();
    }
    NamedFields online = NamedFields.parse(named.get());
    List<String> misfits = new ArrayList<>(online.against(machine, lensOn(machine)));
    offline.ifPresent(text -> {
      for (Difference d : Difference.between(online.values(), NamedFields.parse(text).values())) {
        misfits.add(
            "Make both configurations alike: \"%s\" is %s with the computer and %s without it."
                .formatted(d.name(), d.before().orElse("not there"), d.now().orElse("not there")));
      }
    });
    return misfits;
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
      ControllerReadings r, List<String> advice, List<Verdict> verdicts, List<String> warnings) {
    if (homeAtStart == HomeAtStart.YES && !r.machine().limitSwitches()) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          "Switch homing at the start off in the job software: it has no switches and would drive against the frame.");
    } else if (homeAtStart == HomeAtStart.NO && r.machine().limitSwitches()) {
      warnings.add(
          "The job software does not home it at the start: until somebody homes it, soft limits guard nothing.");
    }
    OptionalDouble idle = Settings.parse(r.settings()).number(Settings.IDLE_DELAY, 0, 65_535);
    if (idle.isPresent() && idle.getAsDouble() < HOLDS) {
      warnings.add(
          "Its motors let go %s ms after a move ($1): a head that is pushed loses its place. 255 holds them."
              .formatted(Numbers.plain(idle.getAsDouble())));
    }
  }

  private static void scale(
      String axis, AxisScale.Finding f, List<String> advice, List<Verdict> verdicts) {
    if (!f.decides()) {
      verdicts.add(Verdict.MEASURE_AGAIN);
      advice.add(
          "Measure a longer travel to the %s: %s mm would decide."
              .formatted(axis, Numbers.fixed(Math.ceil(f.travelThatDecidesMm()), 0)));
    } else if (!f.within()) {
      verdicts.add(Verdict.ADJUST);
      advice.add(
          "%s to the %s: it goes wrong by %s per mille (± %s)."
              .formatted(
                  f.stepsPerMm().isPresent()
                      ? "Set the steps per mm to " + Numbers.fixed(f.stepsPerMm().getAsDouble(), 3)
                      : "Multiply the steps per mm by " + Numbers.fixed(f.factor(), 5),
                  axis,
                  Numbers.fixed(1000 * Math.abs(1 - 1 / f.factor()), 1),
                  Numbers.fixed(1000 * f.factorUncertainty(), 1)));
    }
  }

  private void proofs(Machine machine, List<String> advice, List<Verdict> verdicts) {
    for (Motion item : Motion.values()) {
      if (!asks(item, machine)) {
        continue;
      }
      Optional<Proof> proof = proofs.stream().filter(p -> p.item == item).findFirst();
      if (proof.isEmpty()) {
        verdicts.add(Verdict.MEASURE_AGAIN);
        advice.add(PROVE + ": " + item.words() + ".");
      } else if (!proof.get().passed) {
        verdicts.add(Verdict.STOP);
        advice.add("Do not run it until it is so: " + item.words() + ".");
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
              Settings.parse(leftBefore.get()), Settings.parse(numbered.get().settings()))
          : Difference.between(
              NamedFields.parse(leftBefore.get()).values(),
              NamedFields.parse(named.orElseThrow()).values());
    } catch (zebrawood.measure.UnusableReading e) {
      return List.of();
    }
  }

  /** The text as it is now. */
  public String text() {
    return numbered.map(ControllerReadings::settings).or(() -> named).orElseThrow();
  }

  /** What the notebook shows; how many settings are wrong is the telling figure. */
  public List<Figure> figures(Judged f) {
    List<Figure> figures = new ArrayList<>();
    figures.add(
        new Figure(
            "wrong", "Faults", f.wrong(), "lines", OptionalDouble.empty(), OptionalDouble.of(0)));
    f.audit()
        .filter(a -> a.effectiveFullPower().isPresent())
        .ifPresent(a ->
            figures.add(
                figure(
                    "fullPower",
                    "100 % reaches",
                    100 * a.effectiveFullPower().getAsDouble(),
                    "%")));
    f.across().ifPresent(a -> figures.add(figure("scaleX", "Scale right", 1 / a.factor(), "")));
    f.along().ifPresent(a -> figures.add(figure("scaleY", "Scale rear", 1 / a.factor(), "")));
    return figures;
  }

  private static Figure figure(String id, String label, double value, String unit) {
    return new Figure(id, label, value, unit, OptionalDouble.empty(), OptionalDouble.empty());
  }
}
