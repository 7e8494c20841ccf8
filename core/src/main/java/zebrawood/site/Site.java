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
import zebrawood.measure.Verdict;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.SiteReadings.Proof;

/**
 * Can the machine be switched on here, and can nobody be hurt?
 *
 * <p>The earth is a reading and is never waived. What is not answered asks to measure again, what
 * failed stops. What stops the beam is proven at the start-up station, every day.
 */
public final class Site {
  private Site() {}

  /** Advice begins so when something is still to be proven. */
  public static final String PROVE = Cooling.PROVE;

  public static SiteFinding solve(Machine machine, SiteReadings r) {
    Optional<Circuit.Finding> circuit = r.feed().circuit().map(Circuit::solve);
    Optional<Duct.Finding> duct = r.breathing().duct().map(Duct::solve);
    Optional<Eyewear.Finding> eyewear = r.eyewear().map(Eyewear::solve);
    List<Part> parts = new ArrayList<>(r.feed().judge(circuit));
    parts.addAll(r.arrival().judge());
    parts.addAll(proofs(machine, r.proofs()));
    eyewear.ifPresent(f -> parts.add(Eyewear.judge(r.eyewear().get(), f)));
    // A run without a blower's curve tells what blower to fit, and is no fault of the site.
    parts.addAll(r.breathing().judge(duct));
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
        r.eyewear()
            .map(e ->
                HazardDistance.solve(
                    e.powerW(),
                    e.beamDiameterMm(),
                    r.divergenceMrad(),
                    eyewear.orElseThrow().mpeWPerM2())),
        r.arrival().weight().map(Weight::solve),
        r.arrival().wayIn().map(WayIn::solve),
        verdict,
        advice,
        parts.stream().flatMap(p -> p.warnings().stream()).toList());
  }

  private static int rank(Verdict verdict) {
    return SiteSurvey.WORSE.indexOf(verdict);
  }

  private static List<Part> proofs(Machine machine, List<Proof> proofs) {
    Map<Item, Boolean> passed = new EnumMap<>(Item.class);
    proofs.forEach(p -> passed.put(p.item(), p.passed()));
    List<Part> parts = new ArrayList<>();
    for (Item item : Item.values()) {
      if (!item.appliesTo(machine)) {
        continue;
      }
      if (!passed.containsKey(item)) {
        parts.add(
            new Part(Verdict.MEASURE_AGAIN, List.of(PROVE + ": " + item.words() + "."), List.of()));
      } else if (!passed.get(item)) {
        parts.add(Part.stop("Do not fire until it is so: " + item.words() + "."));
      }
    }
    return parts;
  }

  /** What the notebook shows; the earth is the telling figure. */
  public static List<Figure> figures(SiteReadings r, SiteFinding f) {
    List<Figure> figures = new ArrayList<>();
    r.feed()
        .earthOhm()
        .ifPresent(ohm ->
            figures.add(
                figure("earth", "Earth", ohm, "Ω", OptionalDouble.of(r.feed().earthLimitOhm()))));
    f.circuit()
        .ifPresent(c ->
            figures.add(
                figure(
                    "breaker",
                    "Breaker",
                    100 * c.shareOfBreaker(),
                    "%",
                    OptionalDouble.of(100 * r.feed().circuit().orElseThrow().continuousShare()))));
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
    r.arrival()
        .room()
        .ifPresent(room -> {
          figures.add(
              figure("room", "Room", room.temperatureC(), "°C", OptionalDouble.of(room.mostC())));
          figures.add(
              figure(
                  "humidity", "Humidity", room.humidityPercent(), "%", room.mostHumidityPercent()));
        });
    f.hazardDistance()
        .filter(h -> h.alongBeamM().isPresent())
        .ifPresent(h ->
            figures.add(
                figure(
                    "hazardDistance",
                    "Bare beam harms to",
                    h.alongBeamM().getAsDouble(),
                    "m",
                    OptionalDouble.empty())));
    return figures;
  }

  private static Figure figure(
      String id, String label, double value, String unit, OptionalDouble limit) {
    return new Figure(id, label, value, unit, OptionalDouble.empty(), limit);
  }
}
