package zebrawood.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.machine.Machine;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;
import zebrawood.site.SiteReadings.Answer;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.SiteReadings.Proof;

/**
 * Can the machine be switched on here, and can nobody be hurt?
 *
 * <p>The earth is a reading and is never waived; what protects is proven or, where the machine has
 * none, replaced by eyewear, a shut door and a sign. What is not answered asks to measure again,
 * what failed stops.
 */
public final class Site {
  private Site() {}

  /** Advice begins so when something is still to be proven. */
  public static final String PROVE = Cooling.PROVE;

  public static SiteFinding solve(Machine machine, SiteReadings r) {
    Optional<Circuit.Finding> circuit = r.circuit().map(Circuit::solve);
    Optional<Duct.Finding> duct = r.duct().map(Duct::solve);
    Optional<Eyewear.Finding> eyewear = r.eyewear().map(Eyewear::solve);
    List<Part> parts = new ArrayList<>();
    parts.add(earth(r));
    parts.addAll(proofs(machine, r.proofs()));
    eyewear.ifPresent(f -> parts.add(Eyewear.judge(r.eyewear().get(), f)));
    circuit.ifPresent(f -> parts.add(Circuit.judge(r.circuit().get(), f)));
    // A run without a blower's curve tells what blower to fit, and is no fault of the site.
    duct.ifPresent(f -> parts.add(Duct.judge(r.duct().get(), f)));
    Verdict verdict =
        parts.stream().map(Part::verdict).max(Comparator.comparingInt(Site::rank)).orElseThrow();
    List<String> advice = new ArrayList<>();
    parts.stream()
        .filter(p -> p.verdict() != Verdict.WITHIN)
        .sorted(Comparator.comparingInt(p -> -rank(p.verdict())))
        .forEach(p -> advice.addAll(p.advice()));
    if (advice.isEmpty()) {
      advice.add("Leave it: earth, protection and what was read are in order.");
    }
    return new SiteFinding(
        circuit,
        duct,
        eyewear,
        verdict,
        advice,
        parts.stream().flatMap(p -> p.warnings().stream()).toList());
  }

  private static int rank(Verdict verdict) {
    return SiteSurvey.WORSE.indexOf(verdict);
  }

  private static Part earth(SiteReadings r) {
    if (r.earthOhm().isEmpty()) {
      return new Part(
          Verdict.MEASURE_AGAIN,
          List.of("Read the earth from the frame to the plug's earth pin: it is never waived."),
          List.of());
    }
    double ohm = r.earthOhm().getAsDouble();
    return ohm > r.earthLimitOhm()
        ? Part.stop(
            "Do not plug it in: the earth has %s ohm, limit %s. A licensed electrician puts it right."
                .formatted(Numbers.fixed(ohm, 2), Numbers.plain(r.earthLimitOhm())))
        : Part.within("The earth is in order.");
  }

  private static List<Part> proofs(Machine machine, List<Proof> proofs) {
    Map<Item, Answer> answers = new EnumMap<>(Item.class);
    proofs.forEach(p -> answers.put(p.item(), p.answer()));
    List<Part> parts = new ArrayList<>();
    for (Item item : Item.values()) {
      if (item.appliesTo(machine.build())) {
        Answer answer = answers.get(item);
        if (answer == null) {
          parts.add(
              new Part(
                  Verdict.MEASURE_AGAIN, List.of(PROVE + ": " + item.words() + "."), List.of()));
        } else if (answer == Answer.FAILED) {
          parts.add(Part.stop("Do not fire until it is so: " + item.words() + "."));
        }
      }
    }
    return parts;
  }

  /** What the notebook shows; the earth is the telling figure. */
  public static List<Figure> figures(SiteReadings r, SiteFinding f) {
    List<Figure> figures = new ArrayList<>();
    r.earthOhm()
        .ifPresent(ohm ->
            figures.add(figure("earth", "Earth", ohm, "Ω", OptionalDouble.of(r.earthLimitOhm()))));
    f.circuit()
        .ifPresent(c ->
            figures.add(
                figure(
                    "breaker",
                    "Breaker",
                    100 * c.shareOfBreaker(),
                    "%",
                    OptionalDouble.of(100 * r.circuit().get().continuousShare()))));
    f.duct()
        .flatMap(d -> d.operatingFlowM3H().isPresent() ? Optional.of(d) : Optional.empty())
        .ifPresent(d ->
            figures.add(
                figure(
                    "exhaust",
                    "Exhaust",
                    d.operatingFlowM3H().getAsDouble(),
                    "m³/h",
                    OptionalDouble.empty())));
    f.eyewear()
        .ifPresent(e ->
            figures.add(
                figure(
                    "density",
                    "Eyewear needs",
                    e.requiredOpticalDensity(),
                    "OD",
                    OptionalDouble.empty())));
    return figures;
  }

  private static Figure figure(
      String id, String label, double value, String unit, OptionalDouble limit) {
    return new Figure(id, label, value, unit, OptionalDouble.empty(), limit);
  }
}
