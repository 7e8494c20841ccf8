package zebrawood.lens;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.ledger.Figure;
import zebrawood.lens.LensCompared.Beam;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Proven;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Is the lens in rightly, and which of the rack is for this job?
 *
 * <p>In: what was proven of the fitting, the beam, the lens that is on and the others of the rack,
 * and a job. Out: what each does. It is within when everything about the fitting is so; what was
 * not looked at is not known, and what is not so is to be put right before anything is fired.
 */
public final class LensVisit {
  public static final Visit<LensVisitReadings, LensVisitFinding> VISIT =
      Visit.of(
              LensVisitReadings.class, LensVisitFinding.class, LensVisit::solve, LensVisit::figures)
          .saying((r, f) -> f.said());

  private LensVisit() {}

  /** What is to be seen of a lens that is in. */
  public enum Item {
    ORIENTATION,
    SEAT,
    TUG,
    CLEAN
  }

  /** What may be worked with though nobody read it. */
  public enum Assumed {
    BEAM,
    FOCAL_LENGTH,
    BEAM_QUALITY
  }

  /**
   * The beam, the lenses that it may go through, and what for.
   *
   * @param on the lens that is on
   * @param others of the rack
   * @param machinesFieldMm how far the machine carries a lens; empty for a fixed head
   * @param assumed what nobody read, and stands there as such machines usually have it; empty in
   *     entries of earlier versions
   */
  public record Rack(
      Beam beam,
      RackLens on,
      List<RackLens> others,
      LensJob job,
      OptionalDouble machinesFieldMm,
      Optional<List<Assumed>> assumed) {
    public Rack {
      others = List.copyOf(others);
      assumed = assumed.map(List::copyOf);
      new Accepts()
          .distinct(
              "others", Stream.concat(Stream.of(on), others.stream()).map(RackLens::name).toList())
          .orThrow();
    }

    List<LensCompared> compared() {
      return Stream.concat(Stream.of(on), others.stream())
          .map(lens -> LensCompared.of(lens, beam, job, machinesFieldMm))
          .toList();
    }
  }

  public static LensVisitFinding solve(LensVisitReadings r) {
    List<LensCompared> compared = r.rack().map(Rack::compared).orElse(List.of());
    Optional<LensCompared> best = LensCompared.best(compared);
    Optional<Passes> passes =
        r.rack()
            .filter(
                rack -> rack.job.thicknessMm().isPresent() && rack.job.trialDepthMm().isPresent())
            .map(rack ->
                Passes.of(
                    compared.getFirst().optics(),
                    rack.job.thicknessMm().getAsDouble(),
                    rack.job.trialDepthMm().getAsDouble()));
    boolean cut = r.rack().filter(rack -> rack.job.thicknessMm().isPresent()).isPresent();
    OptionalDouble pauseS = r.rack().map(rack -> rack.job.pauseS()).orElse(OptionalDouble.empty());
    List<Advice> advice = new ArrayList<>();
    List<PartFinding> proven = new ArrayList<>(List.of(PartFinding.within()));
    proven.addAll(Proven.of(List.of(Item.values()), r.proofs()).parts(Verdict.STOP));
    advice.addAll(PartFinding.toDo(proven));
    if (advice.isEmpty()) {
      advice.add(Advice.leave("lens.leave"));
    }
    compared.stream()
        .findFirst()
        .ifPresent(on -> advice.addAll(ofJob(on, best, passes, cut, pauseS)));
    return new LensVisitFinding(
        compared,
        best.map(b -> b.lens().name()),
        passes,
        PartFinding.worst(proven),
        advice,
        warnings(compared, r.rack().map(LensVisit::assumed).orElse(List.of())));
  }

  private static List<Message> assumed(Rack rack) {
    return rack.assumed.orElse(List.of()).stream()
        .map(a ->
            switch (a) {
              case BEAM -> Message.of("lens.assumed.beam", Amount.mm(rack.beam.diameterMm(), 1));
              case FOCAL_LENGTH ->
                  Message.of("lens.assumed.focal", Amount.mm(rack.on.focalLengthMm(), 0));
              case BEAM_QUALITY -> Message.of("lens.assumed.m2", Message.number(rack.beam.m2()));
            })
        .toList();
  }

  private static List<Advice> ofJob(
      LensCompared on,
      Optional<LensCompared> best,
      Optional<Passes> passes,
      boolean cut,
      OptionalDouble pauseS) {
    List<Advice> advice = new ArrayList<>();
    if (!on.suits() && best.isPresent()) {
      advice.add(
          Advice.act("lens.take", best.get().lens().name()).because(Message.list(on.against())));
    }
    if (cut) {
      advice.add(passes.map(p -> passes(p, pauseS)).orElseGet(LensVisit::trial));
    }
    return advice;
  }

  private static Advice trial() {
    return Advice.read("lens.trial").because("lens.trial.why");
  }

  private static Advice passes(Passes p, OptionalDouble pauseS) {
    if (p.through()) {
      return Advice.act("lens.passes.one").because("lens.passes.one.why");
    }
    Amount layer = Amount.mm(p.layerMm(), 2);
    Advice plan =
        pauseS.isPresent() && pauseS.getAsDouble() > 0
            ? Advice.act(
                "lens.passes.pause",
                p.count(),
                layer,
                Amount.plain(pauseS.getAsDouble(), Quantity.TIME))
            : Advice.act("lens.passes", p.count(), layer);
    return plan.because(p.clean() ? "lens.passes.stays" : "lens.passes.goes-down");
  }

  private static List<Message> warnings(List<LensCompared> compared, List<Message> assumed) {
    List<Message> warnings = new ArrayList<>(assumed);
    if (!compared.isEmpty() && compared.stream().noneMatch(LensCompared::suits)) {
      warnings.add(Message.of("lens.none-suits", Message.list(compared.getFirst().against())));
    }
    return warnings;
  }

  /**
   * What the notebook shows: how much of what was looked at is not so, then what the lens does,
   * where that is known.
   */
  public static List<Figure> figures(LensVisitReadings r, LensVisitFinding f) {
    List<Figure> figures = new ArrayList<>();
    if (!r.proofs().isEmpty()) {
      long notSo = r.proofs().stream().filter(p -> !p.passed()).count();
      figures.add(Figure.of("notSo", notSo, Quantity.LINES).limited(0));
    }
    boolean assumed = r.rack().flatMap(Rack::assumed).filter(a -> !a.isEmpty()).isPresent();
    f.on()
        .ifPresent(on -> {
          if (assumed) {
            // Under names of their own: no other station takes them for this machine's.
            figures.add(Figure.of("spotAssumed", on.optics().spotMm(), Quantity.LENGTH));
            figures.add(Figure.of("depthAssumed", on.optics().depthOfFieldMm(), Quantity.LENGTH));
          } else {
            addOptics(figures, on);
          }
        });
    return figures;
  }

  private static void addOptics(List<Figure> figures, LensCompared on) {
    LensFinding optics = on.optics();
    figures.add(Figure.of("spot", optics.spotMm(), Quantity.LENGTH));
    figures.add(Figure.of("depth", optics.depthOfFieldMm(), Quantity.LENGTH));
    figures.add(Figure.of("interval", on.narrowestIntervalMm(), Quantity.LENGTH));
    optics.edgeSpotMm().ifPresent(mm -> figures.add(Figure.of("edge", mm, Quantity.LENGTH)));
  }
}
