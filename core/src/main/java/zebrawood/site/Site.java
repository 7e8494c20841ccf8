package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.ledger.Figure;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Quantity;
import zebrawood.site.SiteReadings.Item;
import zebrawood.station.Proven;
import zebrawood.station.Visit;
import zebrawood.words.Advice;

/**
 * Can the machine be switched on here, and can nobody be hurt?
 *
 * <p>The earth is a reading and is never waived. What is not answered asks to measure again, what
 * failed stops. What stops the beam is proven at the start-up station, every day.
 */
public final class Site {
  private Site() {}

  /** A visit to the site of this machine. */
  public static Visit<SiteReadings, SiteFinding> visit(Machine machine) {
    return Visit.of(SiteReadings.class, SiteFinding.class, r -> solve(machine, r), Site::figures)
        .saying((r, f) -> f.said());
  }

  /** What is proven at the site of this machine, in the order of the work. */
  public static List<Item> asked(Machine machine) {
    return Stream.of(Item.values()).filter(item -> item.appliesTo(machine)).toList();
  }

  public static SiteFinding solve(Machine machine, SiteReadings r) {
    Optional<Circuit.Finding> circuit = r.feed().circuit().map(Circuit::solve);
    Optional<Duct.Finding> duct = r.breathing().duct().map(Duct::solve);
    Optional<Eyewear.Finding> eyewear = r.eyewear().map(Eyewear::solve);
    List<PartFinding> parts = new ArrayList<>(r.feed().judge(circuit));
    parts.addAll(r.arrival().judge());
    parts.addAll(Proven.of(asked(machine), r.proofs()).parts(Verdict.STOP));
    eyewear.ifPresent(f -> parts.add(Eyewear.judge(r.eyewear().get(), f)));
    // A run without a blower's curve tells what blower to fit, and is no fault of the site.
    parts.addAll(r.breathing().judge(duct));
    parts.addAll(unread(machine, r));
    List<Advice> advice = new ArrayList<>(PartFinding.toDo(parts));
    if (advice.isEmpty()) {
      advice.add(Advice.leave("site.site.leave").because("site.site.earth-protection-what"));
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
        PartFinding.worst(parts),
        advice,
        parts.stream().flatMap(p -> p.warnings().stream()).toList());
  }

  /** Nothing is asserted of what decides the question and was never read. */
  private static List<PartFinding> unread(Machine machine, SiteReadings r) {
    List<PartFinding> parts = new ArrayList<>();
    if (r.feed().circuit().isEmpty()) {
      parts.add(PartFinding.again(Advice.read("site.unread.circuit")));
    }
    if (machine.has(Fitting.EXHAUST) && r.breathing().duct().isEmpty()) {
      parts.add(PartFinding.again(Advice.read("site.unread.exhaust")));
    }
    if (r.arrival().room().isEmpty()) {
      parts.add(PartFinding.again(Advice.read("site.unread.room")));
    }
    if (r.eyewear().isEmpty()) {
      parts.add(PartFinding.again(Advice.read("site.unread.eyewear")));
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
                Figure.of("earth", ohm, Quantity.RESISTANCE).limited(r.feed().earthLimitOhm())));
    f.circuit()
        .ifPresent(c ->
            figures.add(
                Figure.of("breaker", 100 * c.shareOfBreaker(), Quantity.PERCENT)
                    .limited(100 * r.feed().circuit().orElseThrow().continuousShare())));
    f.duct()
        .filter(d -> d.operatingFlowM3H().isPresent())
        .ifPresent(d ->
            figures.add(Figure.of("exhaust", d.operatingFlowM3H().getAsDouble(), Quantity.FLOW)));
    f.eyewear()
        .ifPresent(e ->
            figures.add(
                Figure.of("density", e.requiredOpticalDensity(), Quantity.OPTICAL_DENSITY)));
    r.eyewear()
        .map(Eyewear.Readings::densityThere)
        .filter(OptionalDouble::isPresent)
        .ifPresent(there ->
            figures.add(Figure.of("densityThere", there.getAsDouble(), Quantity.OPTICAL_DENSITY)));
    r.arrival()
        .room()
        .ifPresent(room -> {
          figures.add(
              Figure.of("room", room.temperatureC(), Quantity.TEMPERATURE).limited(room.mostC()));
          figures.add(
              Figure.of("humidity", room.humidityPercent(), Quantity.PERCENT)
                  .limited(room.mostHumidityPercent()));
        });
    f.hazardDistance()
        .filter(h -> h.alongBeamM().isPresent())
        .ifPresent(h ->
            figures.add(
                Figure.of("hazardDistance", h.alongBeamM().getAsDouble(), Quantity.DISTANCE)));
    return figures;
  }
}
