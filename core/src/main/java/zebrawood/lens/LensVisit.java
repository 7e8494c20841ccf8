package zebrawood.lens;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.ledger.Figure;
import zebrawood.lens.LensCompared.Beam;
import zebrawood.measure.Accepts;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
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
  private LensVisit() {}

  /** What is to be seen of a lens that is in. */
  public enum Item {
    ORIENTATION,
    SEAT,
    TUG,
    CLEAN
  }

  /** What was answered. */
  public record Proof(Item item, boolean passed) {}

  /**
   * The beam, the lenses that it may go through, and what for.
   *
   * @param on the lens that is on
   * @param others of the rack
   * @param machinesFieldMm how far the machine carries a lens; empty for a fixed head
   */
  public record Rack(
      Beam beam, RackLens on, List<RackLens> others, LensJob job, OptionalDouble machinesFieldMm) {
    public Rack {
      others = List.copyOf(others);
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

  /**
   * What was looked at and said.
   *
   * @param rack empty while nobody said what the beam is
   */
  public record Readings(List<Proof> proofs, Optional<Rack> rack) {
    public Readings {
      proofs = List.copyOf(proofs);
    }
  }

  /**
   * What came of it.
   *
   * @param compared the one that is on first; empty while nobody said what the beam is
   * @param best for the job, where one suits it
   * @param passes for the job's stock with the lens that is on
   */
  public record Found(
      List<LensCompared> compared,
      Optional<String> best,
      Optional<Passes> passes,
      Verdict verdict,
      List<Advice> advice,
      List<Message> warnings)
      implements Finding {
    public Optional<LensCompared> on() {
      return compared.stream().findFirst();
    }
  }

  public static Found solve(Readings r) {
    List<LensCompared> compared = r.rack.map(Rack::compared).orElse(List.of());
    Optional<LensCompared> best = LensCompared.best(compared);
    Optional<Passes> passes =
        r.rack
            .filter(rack -> rack.job.thicknessMm().isPresent())
            .map(rack ->
                Passes.of(
                    compared.getFirst().optics(),
                    rack.job.thicknessMm().getAsDouble(),
                    rack.job.stock()));
    List<Advice> advice = new ArrayList<>();
    r.proofs.stream()
        .filter(p -> !p.passed)
        .forEach(p -> advice.add(Advice.notSo(Message.of(p.item))));
    boolean wrong = !advice.isEmpty();
    for (Item item : Item.values()) {
      if (r.proofs.stream().noneMatch(p -> p.item == item)) {
        advice.add(Advice.prove(Message.of(item)));
      }
    }
    boolean open = r.proofs.size() < Item.values().length;
    if (advice.isEmpty()) {
      advice.add(Advice.leave("lens.leave"));
    }
    compared.stream().findFirst().ifPresent(on -> advice.addAll(ofJob(on, best, passes)));
    return new Found(
        compared,
        best.map(b -> b.lens().name()),
        passes,
        wrong ? Verdict.STOP : open ? Verdict.MEASURE_AGAIN : Verdict.WITHIN,
        advice,
        warnings(compared, passes));
  }

  private static List<Advice> ofJob(
      LensCompared on, Optional<LensCompared> best, Optional<Passes> passes) {
    List<Advice> advice = new ArrayList<>();
    if (!on.suits() && best.isPresent()) {
      advice.add(
          Advice.act("lens.take", best.get().lens().name()).because(Message.list(on.against())));
    }
    passes
        .filter(p -> p.count() > 1)
        .ifPresent(p ->
            advice.add(
                Advice.act("lens.passes", p.count(), Amount.mm(p.layerMm(), 2))
                    .because(
                        "lens.passes.why",
                        Amount.mm(p.firstFocusBelowMm(), 2),
                        Amount.of(p.pauseS(), Quantity.TIME, 1))));
    return advice;
  }

  private static List<Message> warnings(List<LensCompared> compared, Optional<Passes> passes) {
    List<Message> warnings = new ArrayList<>();
    if (!compared.isEmpty() && compared.stream().noneMatch(LensCompared::suits)) {
      warnings.add(Message.of("lens.none-suits", Message.list(compared.getFirst().against())));
    }
    if (passes.filter(Passes::not).isPresent()) {
      warnings.add(Message.of("lens.passes.not"));
    }
    return warnings;
  }

  /** What the notebook shows: how much is not so, then what the lens does, where that is known. */
  public static List<Figure> figures(Readings r, Found f) {
    List<Figure> figures = new ArrayList<>();
    long notSo = r.proofs.stream().filter(p -> !p.passed).count();
    figures.add(Figure.of("notSo", notSo, Quantity.LINES).limited(0));
    f.on().ifPresent(on -> addOptics(figures, on));
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
