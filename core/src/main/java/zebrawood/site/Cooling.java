package zebrawood.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.ledger.Figure;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;
import zebrawood.site.CoolingReadings.Item;

/**
 * Is the coolant warm enough for the air and cold enough for the machine, does it last, and is the
 * loop proven?
 *
 * <p>The verdict is that of the worst part: water on the optics or a proof that failed stops; what
 * is still to be looked at asks to measure again; how long a bucket lasts and the mix for the frost
 * are advice only.
 */
public final class Cooling {
  /** A working day. */
  private static final double LONG_MINUTES = 480;

  /** Pure water is below it; above, it tracks high voltage along the tube. */
  private static final double CONDUCTS_US_CM = 50;

  /** Begins the advice to look at something that is not proven yet. */
  public static final String PROVE = "Prove it";

  private Cooling() {}

  public static CoolingFinding solve(CoolingReadings r) {
    Air.Finding air = Air.solve(r.air());
    Optional<Bucket.Finding> bucket = r.bucket().map(Bucket::solve);
    Optional<Chiller.Finding> chiller = r.chiller().map(Chiller::solve);
    Optional<Coldest.Finding> coldest = r.coldest().map(Coldest::solve);
    List<Part> parts = new ArrayList<>();
    parts.add(proofs(r));
    parts.add(Air.judge(air));
    parts.add(warmth(r));
    Optional<SetPoint> setPoint =
        r.bucket().isPresent() ? Optional.empty() : Optional.of(SetPoint.of(r, air));
    setPoint.flatMap(s -> s.judge(r.setPointC())).ifPresent(parts::add);
    Optional<Part> onBucket = bucket.map(f -> Bucket.judge(r.bucket().get(), f));
    onBucket.filter(p -> p.verdict() == Verdict.STOP).ifPresent(parts::add);
    chiller.ifPresent(f -> parts.add(Chiller.judge(r.chiller().get(), f)));
    Verdict verdict =
        parts.stream().map(Part::verdict).max(Comparator.comparingInt(Cooling::rank)).orElseThrow();
    // What is in order needs no step; the mix is told whatever the verdict.
    List<String> advice = new ArrayList<>();
    parts.stream()
        .filter(p -> p.verdict() != Verdict.WITHIN)
        .sorted(Comparator.comparingInt(p -> -rank(p.verdict())))
        .forEach(p -> advice.addAll(p.advice()));
    onBucket.filter(p -> p.verdict() != Verdict.STOP).ifPresent(p -> advice.addAll(p.advice()));
    coldest.ifPresent(f -> advice.addAll(Coldest.judge(f).advice()));
    if (advice.isEmpty()) {
      advice.add(
          "Leave it: %s K above the dew point, %s K below the limit."
              .formatted(
                  Numbers.fixed(air.marginK(), 1),
                  Numbers.fixed(r.limitC() - r.air().coolantC(), 1)));
    }
    return new CoolingFinding(
        air,
        bucket,
        r.bucket().map(b -> Bucket.minutesToCool(b, b.startC())).orElse(OptionalDouble.empty()),
        r.bucket().map(Cooling::litresEnough).orElse(OptionalDouble.empty()),
        chiller,
        setPoint,
        coldest,
        verdict,
        advice,
        warnings(r, coldest));
  }

  private static int rank(Verdict verdict) {
    return SiteSurvey.WORSE.indexOf(verdict);
  }

  private static Part proofs(CoolingReadings r) {
    Map<Item, Boolean> passed = new EnumMap<>(Item.class);
    r.proofs().forEach(p -> passed.put(p.item(), p.passed()));
    List<String> failed = new ArrayList<>();
    List<String> open = new ArrayList<>();
    for (Item item : Item.values()) {
      if (item == Item.FLOW_INTERLOCK && !r.flowSwitch()) {
        continue;
      }
      if (!passed.containsKey(item)) {
        open.add(PROVE + ": " + item.words() + ".");
      } else if (!passed.get(item)) {
        failed.add("Do not fire until it is so: " + item.words() + ".");
      }
    }
    if (!failed.isEmpty()) {
      return new Part(Verdict.STOP, failed, List.of());
    }
    return open.isEmpty()
        ? Part.within("Loop and interlock are proven.")
        : new Part(Verdict.MEASURE_AGAIN, open, List.of());
  }

  private static Part warmth(CoolingReadings r) {
    double warmest = Math.max(r.air().coolantC(), r.afterHourC().orElse(r.air().coolantC()));
    return warmest > r.limitC()
        ? Part.adjust(
            "Cool the loop below %s °C before you fire: it was at %s."
                .formatted(Numbers.plain(r.limitC()), Numbers.fixed(warmest, 1)))
        : Part.within("The coolant stays below its limit.");
  }

  /**
   * Litres that come to the limit only after a working day; none are needed where it never does.
   */
  static OptionalDouble litresEnough(Bucket.Readings b) {
    OptionalDouble minutes = Bucket.solve(b).minutesToLimit();
    return minutes.isPresent() && minutes.getAsDouble() > 0
        ? OptionalDouble.of(b.litres() * LONG_MINUTES / minutes.getAsDouble())
        : OptionalDouble.empty();
  }

  private static List<String> warnings(CoolingReadings r, Optional<Coldest.Finding> coldest) {
    List<String> warnings = new ArrayList<>();
    coldest.ifPresent(f -> {
      warnings.addAll(Coldest.judge(f).warnings());
      if (f.glycolPercentByVolume() > 0 && r.coolant() != Coolant.ANTIFREEZE) {
        warnings.add("There is no antifreeze in it: the first frost bursts tube and chiller.");
      }
    });
    if (!r.flowSwitch()) {
      warnings.add(
          "Nothing stops the laser when the water stops: have a flow switch fitted, and look at the flow before every run.");
    }
    r.conductivityUsCm().stream()
        .filter(c -> c > CONDUCTS_US_CM)
        .mapToObj(c ->
            (r.coolant() == Coolant.DISTILLED
                    ? "The coolant conducts (%s µS/cm): change it for fresh distilled water."
                    : "The coolant conducts (%s µS/cm): high voltage creeps along it; change it, with less in it.")
                .formatted(Numbers.fixed(c, 0)))
        .forEach(warnings::add);
    return warnings;
  }

  /** What the notebook shows; the coolant at the start is the telling figure. */
  public static List<Figure> figures(CoolingReadings r, CoolingFinding f) {
    List<Figure> figures = new ArrayList<>();
    figures.add(
        new Figure(
            "coolantStart",
            "Coolant at start",
            r.air().coolantC(),
            "°C",
            OptionalDouble.empty(),
            OptionalDouble.of(r.limitC())));
    r.afterHourC().ifPresent(c -> figures.add(plain("afterHour", "After an hour", c, "°C")));
    figures.add(plain("dewMargin", "Over dew point", f.air().marginK(), "K"));
    r.conductivityUsCm()
        .ifPresent(c -> figures.add(plain("conductivity", "Conductivity", c, "µS/cm")));
    return figures;
  }

  private static Figure plain(String id, String label, double value, String unit) {
    return new Figure(id, label, value, unit, OptionalDouble.empty(), OptionalDouble.empty());
  }
}
