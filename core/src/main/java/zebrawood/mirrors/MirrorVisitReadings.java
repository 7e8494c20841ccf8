package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.measure.Accepts;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorFinding.Turn;
import zebrawood.mirrors.MirrorReadings.Learned;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * One visit to the mirrors: the full set of marks, or the quick check, and what was looked at
 * beside it.
 *
 * @param full marks and mounts; empty for a quick check
 * @param quick corners and a round mark; empty for the full set
 * @param beamMm 1/e^2 diameter of the beam, when it is known
 * @param faceMm diameter of the mirrors' faces, when it is known
 * @param atMirror1 where the beam from the tube meets mirror 1, when it was burnt
 * @param screwsBy where the screws' response comes from
 * @param trials screws that were tried
 * @param before the full set burnt before the screws were turned last, on the same visit
 * @param plumb marks at the nozzle
 * @param pointer the red dot beside the beam
 * @param leastPulse the least current or power that marks, in words
 * @param sealed whether its maker aligned it behind covers that stay shut
 */
public record MirrorVisitReadings(
    Optional<MirrorReadings> full,
    Optional<QuickCheck> quick,
    OptionalDouble beamMm,
    OptionalDouble faceMm,
    Optional<QuickCheck.Spot> atMirror1,
    ScrewsBy screwsBy,
    List<ScrewTrial> trials,
    Optional<MirrorReadings> before,
    Optional<Plumb.Readings> plumb,
    Optional<RedDot.Readings> pointer,
    String leastPulse,
    Optional<Boolean> sealed) {

  /** Where the screws' response comes from. */
  public enum ScrewsBy {
    /** A trial turn of each screw that is needed. */
    TRIAL,
    /** Arm and pitch, from the mount's drawing. */
    DRAWING
  }

  /** A turn shorter than this is not asked for again. */
  private static final double LEAST_TRIED_TURNS = 1 / 60.0;

  /** Where the face is not known: a quarter of a usual one. */
  private static final double USUAL_FACE_MM = 20;

  public MirrorVisitReadings {
    trials = List.copyOf(trials);
    var accepts = new Accepts();
    beamMm.ifPresent(mm -> accepts.positive("beamMm", mm, 1000));
    faceMm.ifPresent(mm -> accepts.positive("faceMm", mm, 1000));
    if (full.isPresent() == quick.isPresent()) {
      accepts.complain(
          "marks",
          Message.of("mirrors.mirror-visit.neither-both-kinds"),
          Message.of("mirrors.mirror-visit.full-set-quick"));
    }
    accepts.orThrow();
  }

  public static final Visit<MirrorVisitReadings, MirrorVisitFinding> VISIT =
      Visit.of(
              MirrorVisitReadings.class,
              MirrorVisitFinding.class,
              MirrorVisitReadings::solve,
              MirrorVisitReadings::figures)
          .saying((r, f) -> f.said());

  public MirrorVisitFinding solve() {
    List<Advice> advice = new ArrayList<>();
    List<Message> warnings = new ArrayList<>();
    List<MountScrew> untried = new ArrayList<>();
    List<Verdict> verdicts = new ArrayList<>();
    tube(advice);
    Optional<MirrorFinding> alignment = taught().map(Alignment::solve);
    alignment.ifPresent(f -> {
      verdicts.add(f.verdict());
      advice.addAll(f.advice());
      warnings.addAll(f.warnings());
      trials.forEach(t -> {
        if (t.solve(resolutionMm()) instanceof ScrewTrial.Outcome.Contradicts(Advice because)) {
          warnings.add(because.said());
        }
      });
      before.ifPresent(b -> LastTurns.disobeyed(b, f, warnings));
      if (screwsBy == ScrewsBy.TRIAL && f.verdict() == Verdict.ADJUST) {
        untried.addAll(untried(f));
        tryFirst(untried, advice);
      }
    });
    Optional<QuickCheck.Finding> checked = quick.map(QuickCheck::solve);
    checked.ifPresent(f -> {
      verdicts.add(f.verdict());
      advice.addAll(f.advice());
    });
    Optional<Plumb.Finding> upright = plumb.map(Plumb::solve);
    upright.ifPresent(f -> {
      verdicts.add(f.verdict());
      advice.addAll(f.advice());
    });
    Optional<RedDot.Finding> dot = pointer.map(RedDot::solve);
    // The dot decides nothing about the mirrors: it is told, and the station stands without it.
    dot.ifPresent(f -> advice.addAll(f.advice()));
    List<Lost> lost = Rims.lost(this);
    Rims.scorches(lost, warnings);
    return new MirrorVisitFinding(
        alignment, checked, upright, dot, untried, lost, Verdict.worst(verdicts), advice, warnings);
  }

  /** The full set with the screws as the trials taught them, for the next round. */
  public Optional<MirrorReadings> taught() {
    return full.map(r -> r.withMounts(mounts(r)));
  }

  private double resolutionMm() {
    return full.map(MirrorReadings::markResolutionMm)
        .or(() -> quick.map(QuickCheck::markResolutionMm))
        .orElseThrow();
  }

  /** Angles do not matter before the beam meets mirror 1 near its middle. */
  private void tube(List<Advice> advice) {
    atMirror1
        .filter(s -> Math.hypot(s.rightMm(), s.upMm()) > faceMm.orElse(USUAL_FACE_MM) / 4)
        .ifPresent(s ->
            advice.add(
                Advice.act("mirrors.mirror-visit.move-tube-before")
                    .because(
                        "mirrors.mirror-visit.beam-meets-mirror",
                        Amount.plain(Math.abs(s.rightMm()), Quantity.LENGTH),
                        Message.of(s.rightMm() < 0 ? "mirrors.way.left" : "mirrors.way.right"),
                        Amount.plain(Math.abs(s.upMm()), Quantity.LENGTH),
                        Message.of(s.upMm() < 0 ? "mirrors.way.below" : "mirrors.way.above"))));
  }

  /** The mounts with what the trials taught. */
  private Map<String, Mount> mounts(MirrorReadings readings) {
    Map<String, Mount> mounts = new HashMap<>(readings.mounts());
    for (ScrewTrial trial : trials) {
      if (trial.solve(readings.markResolutionMm())
          instanceof ScrewTrial.Outcome.Works(var towards, Learned response)) {
        mounts.computeIfPresent(
            String.valueOf(trial.mirror()),
            (name, mount) ->
                trial.sideways()
                    ? new Mount(taught(mount.sideways(), towards, response), mount.upDown())
                    : new Mount(mount.sideways(), taught(mount.upDown(), towards, response)));
      }
    }
    return mounts;
  }

  private static Screw taught(Screw screw, MirrorReadings.Towards towards, Learned response) {
    return new Screw(screw.armMm(), screw.pitchMm(), towards, Optional.of(response));
  }

  private List<MountScrew> untried(MirrorFinding f) {
    List<MountScrew> untried = new ArrayList<>();
    f.mirrors()
        .forEach((name, m) -> {
          for (boolean sideways : new boolean[] {true, false}) {
            Turn turn = sideways ? m.sideways() : m.upDown();
            MountScrew screw = new MountScrew(Integer.parseInt(name), sideways);
            boolean tried =
                trials.stream()
                    .filter(t -> t.solve(resolutionMm()) instanceof ScrewTrial.Outcome.Works)
                    .anyMatch(t -> t.screw().equals(screw));
            if (!tried && turn.turns().value() >= LEAST_TRIED_TURNS) {
              untried.add(screw);
            }
          }
        });
    return untried;
  }

  /** Screws that nobody tried are tried before they are turned by a figure. */
  private static void tryFirst(List<MountScrew> untried, List<Advice> advice) {
    List<Advice> first = new ArrayList<>();
    for (MountScrew screw : untried) {
      advice.removeIf(a -> Alignment.turns(a, screw));
      first.add(
          Advice.act("mirrors.mirror-visit.try", screw.said())
              .because("mirrors.mirror-visit.quarter-turn"));
    }
    advice.addAll(0, first);
  }

  /** Of sealed optics the quick check is all that can be read: it is their proof. */
  private static void ofSealed(QuickCheck check, QuickCheck.Finding f, List<Figure> figures) {
    f.wanderNowMm()
        .ifPresent(mm ->
            figures.add(Figure.of("wander", mm, Quantity.LENGTH).limited(check.toleranceMm())));
    figures.add(Figure.of("notRound", check.round() ? 0 : 1, Quantity.LINES).limited(0));
  }

  /**
   * What the notebook shows; the wander is the telling figure. A quick check has none: it clears a
   * doubt and proves nothing anew.
   */
  public List<Figure> figures(MirrorVisitFinding f) {
    List<Figure> figures = new ArrayList<>();
    full.ifPresent(r ->
        figures.add(
            Figure.of("wander", f.alignment().orElseThrow().wanderNowMm(), Quantity.LENGTH)
                .limited(r.toleranceMm())));
    if (quick.isPresent()) {
      if (sealed.orElse(false)) {
        ofSealed(quick.get(), f.quick().orElseThrow(), figures);
      }
      return figures;
    }
    f.alignment()
        .ifPresent(a -> {
          figures.add(
              Figure.of(
                  "offset", Math.hypot(a.headShiftRightMm(), a.headShiftUpMm()), Quantity.LENGTH));
          figures.add(Figure.of("misfit", a.residualRmsMm(), Quantity.LENGTH));
        });
    plumb.ifPresent(p ->
        f.plumb()
            .ifPresent(found ->
                figures.add(
                    Figure.of("lean", found.edgeLeanMm(), Quantity.LENGTH).limited(p.edgeMm()))));
    return figures;
  }
}
