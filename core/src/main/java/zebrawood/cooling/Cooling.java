package zebrawood.cooling;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.climate.Air;
import zebrawood.climate.Bucket;
import zebrawood.climate.Coldest;
import zebrawood.cooling.CoolingReadings.Item;
import zebrawood.ledger.Figure;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Proven;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

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

  public static final Visit<CoolingReadings, CoolingFinding> VISIT =
      Visit.of(CoolingReadings.class, CoolingFinding.class, Cooling::solve, Cooling::figures)
          .saying((r, f) -> f.said(r));

  private Cooling() {}

  /** What is proven of a loop: an interlock only where there is one. */
  public static List<Item> asked(boolean flowSwitch) {
    return Stream.of(Item.values())
        .filter(item -> item != Item.FLOW_INTERLOCK || flowSwitch)
        .toList();
  }

  public static CoolingFinding solve(CoolingReadings r) {
    Air.Finding air = Air.solve(r.air());
    Optional<Bucket.Finding> bucket = r.bucket().map(Bucket::solve);
    Optional<Chiller.Finding> chiller = r.chiller().map(Chiller::solve);
    Optional<Coldest.Finding> coldest = r.coldest().map(Coldest::solve);
    List<PartFinding> parts = new ArrayList<>();
    parts.addAll(Proven.of(asked(r.flowSwitch()), r.proofs()).parts(Verdict.STOP));
    parts.add(
        r.dampUnknown() || r.air().coolantC() >= r.air().temperatureC()
            ? byTheRoom(r)
            : Air.judge(air));
    parts.add(warmth(r));
    Optional<SetPoint> setPoint =
        r.bucket().isPresent() || r.dampUnknown()
            ? Optional.empty()
            : Optional.of(SetPoint.of(r, air));
    setPoint.flatMap(s -> s.judge(r.standsAtC())).ifPresent(parts::add);
    Optional<PartFinding> onBucket = bucket.map(f -> Bucket.judge(r.bucket().get(), f));
    onBucket.filter(p -> p.verdict() == Verdict.STOP).ifPresent(parts::add);
    chiller.ifPresent(f -> parts.add(Chiller.judge(r.chiller().get(), f)));
    Verdict verdict = PartFinding.worst(parts);
    // What is in order needs no step; the mix is told whatever the verdict.
    List<Advice> advice = new ArrayList<>(PartFinding.toDo(parts));
    onBucket.filter(p -> p.verdict() != Verdict.STOP).ifPresent(p -> advice.addAll(p.advice()));
    coldest.ifPresent(f -> advice.addAll(Coldest.judge(f).advice()));
    if (advice.isEmpty()) {
      advice.add(
          Advice.leave("cooling.cooling.leave")
              .because(
                  r.dampUnknown()
                      ? "cooling.cooling.above-room"
                      : "cooling.cooling.above-dew-point",
                  Amount.of(air.marginK(), Quantity.TEMPERATURE_DIFFERENCE, 1),
                  Amount.of(r.limitC() - r.air().coolantC(), Quantity.TEMPERATURE_DIFFERENCE, 1)));
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
        Stream.concat(warnings(r, coldest).stream(), follows(r).stream()).toList());
  }

  /** What a chiller that follows the room does on a hot day, and on a damp one. */
  private static Optional<Message> follows(CoolingReadings r) {
    if (r.followsRoomK().isEmpty()) {
      return Optional.empty();
    }
    double above = r.followsRoomK().getAsDouble();
    Amount hottest = Amount.of(r.limitC() - above, Quantity.TEMPERATURE, 0);
    return Optional.of(
        above >= 0
            ? Message.of("cooling.follows.never-below", hottest)
            : Message.of(
                "cooling.follows.below",
                Amount.of(-above, Quantity.TEMPERATURE_DIFFERENCE, 1),
                hottest));
  }

  /**
   * Water never settles on what is not below the room. Below it the humidity decides, and the one
   * at which the margin would be gone is told.
   */
  private static PartFinding byTheRoom(CoolingReadings r) {
    double room = r.air().temperatureC();
    double coolant = r.air().coolantC();
    if (coolant >= room) {
      return PartFinding.within(
          Advice.leave("climate.air.leave-coolant").because("cooling.air.not-below"));
    }
    return PartFinding.again(
        Advice.read("cooling.air.read")
            .because(
                "cooling.air.read.why",
                Amount.of(
                    Air.dewHumidityPercent(room, coolant - Air.SAFE_MARGIN_K),
                    Quantity.PERCENT,
                    0)));
  }

  private static PartFinding warmth(CoolingReadings r) {
    double warmest = Math.max(r.air().coolantC(), r.afterHourC().orElse(r.air().coolantC()));
    return warmest > r.limitC()
        ? PartFinding.adjust(
            Advice.act(
                    "cooling.cooling.cool-loop-below",
                    Amount.plain(r.limitC(), Quantity.TEMPERATURE))
                .because("cooling.cooling.was", Amount.of(warmest, Quantity.NUMBER, 1)))
        : PartFinding.within(Advice.act("cooling.cooling.coolant-stays-below"));
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

  private static List<Message> warnings(CoolingReadings r, Optional<Coldest.Finding> coldest) {
    List<Message> warnings = new ArrayList<>();
    coldest.ifPresent(f -> {
      warnings.addAll(Coldest.judge(f).warnings());
      if (f.glycolPercentByVolume() > 0 && r.coolant() != Coolant.ANTIFREEZE) {
        warnings.add(Message.of("cooling.cooling.there-no-antifreeze"));
      }
    });
    if (!r.flowSwitch()) {
      warnings.add(Message.of("cooling.cooling.nothing-stops-laser"));
    }
    r.conductivityUsCm().stream()
        .filter(c -> c > CONDUCTS_US_CM)
        .mapToObj(c ->
            Message.of(
                r.coolant() == Coolant.DISTILLED
                    ? "cooling.conducts.change"
                    : "cooling.conducts.less-in-it",
                Amount.of(c, Quantity.CONDUCTIVITY, 0)))
        .forEach(warnings::add);
    return warnings;
  }

  /** What the notebook shows; the coolant at the start is the telling figure. */
  public static List<Figure> figures(CoolingReadings r, CoolingFinding f) {
    List<Figure> figures = new ArrayList<>();
    figures.add(
        Figure.of("coolantStart", r.air().coolantC(), Quantity.TEMPERATURE).limited(r.limitC()));
    r.afterHourC().ifPresent(c -> figures.add(Figure.of("afterHour", c, Quantity.TEMPERATURE)));
    if (!r.dampUnknown()) {
      figures.add(Figure.of("dewMargin", f.air().marginK(), Quantity.TEMPERATURE_DIFFERENCE));
    }
    r.conductivityUsCm()
        .ifPresent(c -> figures.add(Figure.of("conductivity", c, Quantity.CONDUCTIVITY)));
    return figures;
  }
}
