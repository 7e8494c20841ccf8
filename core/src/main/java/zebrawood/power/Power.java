package zebrawood.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.ledger.Figure;
import zebrawood.machine.Source;
import zebrawood.measure.Estimate;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Resolution;
import zebrawood.power.PowerFinding.Better;
import zebrawood.power.PowerFinding.Top;
import zebrawood.power.PowerTask.ByCard;
import zebrawood.power.PowerTask.ByCheck;
import zebrawood.power.PowerTask.ByFactory;
import zebrawood.power.PowerTask.ByMeter;
import zebrawood.power.PowerTask.ByWords;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Is "100 %" what was agreed, and does it still give what it gave?
 *
 * <p>The current at the test job may be off by a division of the meter or a fiftieth of itself,
 * whichever is more: a meter cannot be read finer than one division, and 2 % of the current changes
 * no job visibly. A reading above the tube's maximum stops. What was not read is asked for; a loss
 * is judged only against a limit that somebody gave.
 */
public final class Power {
  private static final double ALLOWED_SHARE = 0.02;

  /** Less is not worth making a list anew. */
  private static final double WORTH_RESCALING_PERCENT = 3;

  private static final Quantity MA = Quantity.SMALL_CURRENT;

  private Power() {}

  /** A visit to the power of this source. */
  public static Visit<PowerReadings, PowerFinding> visit(Source source) {
    return Visit.of(PowerReadings.class, PowerFinding.class, Power::solve, Power::figures)
        .saying((r, f) -> f.said(r, source));
  }

  /** What the current's part came to. */
  private record Current(
      PartFinding part, Optional<Top> top, Optional<Estimate> dial, OptionalDouble slope) {
    static Current none(PartFinding part) {
      return new Current(part, Optional.empty(), Optional.empty(), OptionalDouble.empty());
    }
  }

  public static PowerFinding solve(PowerReadings r) {
    Current current =
        switch (r.task()) {
          case ByMeter task -> ofMeter(task);
          case ByFactory task -> ofFactory(task);
          case ByCheck task -> ofCheck(task);
          case ByCard task -> Current.none(UnmeteredPower.ofCard(task));
          case ByWords task -> Current.none(UnmeteredPower.ofWords(task));
        };
    Optional<FittedCurve> curve =
        r.curve().flatMap(c -> CurveFit.of(c.now(), c.resolution(), c.scatterPercent()));
    boolean comparable = comparable(current.top);
    Optional<Ageing.Trend> trend = trend(r.output(), comparable);
    OptionalDouble loss = loss(r, comparable, trend);
    List<PartFinding> parts = new ArrayList<>();
    if (r.tube() && !(r.task() instanceof ByCard)) {
      parts.add(lowPulse(r.lowPulseMa()));
    }
    parts.add(current.part);
    Worn worn = Worn.of(r.output(), loss, trend);
    output(r, loss, worn).ifPresent(parts::add);
    Optional<Better> better = better(current, loss, worn);
    List<Advice> advice = new ArrayList<>(PartFinding.toDo(parts));
    if (advice.isEmpty()) {
      advice.addAll(current.part.advice());
    }
    if (better.filter(b -> b == Better.RESCALE).isPresent()) {
      advice.add(
          Advice.act("power.better.rescale")
              .because("power.better.rescale.why", percent(loss.getAsDouble(), 0)));
    }
    List<Message> warnings =
        new ArrayList<>(parts.stream().flatMap(p -> p.warnings().stream()).toList());
    if (r.curve().isPresent() && curve.isEmpty()) {
      warnings.add(Message.of("power.curve.none"));
    }
    if (r.output().now().isPresent() && !comparable) {
      warnings.add(Message.of("power.output.not-agreed"));
    }
    if (r.output().now().isPresent() && !r.output().onFirstScale()) {
      warnings.add(
          Message.of(loss.isPresent() ? "power.output.other-meter" : "power.output.other-alone"));
    }
    if (r.output().hours().isPresent() && wentBack(r.output())) {
      warnings.add(Message.of("power.hours.back"));
    }
    loss.stream()
        .filter(p -> p > 0 && r.output().lossLimitPercent().isEmpty())
        .mapToObj(p -> Message.of("power.limit-unknown", percent(p, 0)))
        .forEach(warnings::add);
    trend
        .filter(t -> !t.leftOut().isEmpty())
        .ifPresent(t -> warnings.add(Message.of("power.trend.left-out", t.leftOut().size())));
    return new PowerFinding(
        current.top,
        current.dial,
        current.slope,
        curve,
        loss,
        trend,
        better,
        PartFinding.worst(parts),
        advice,
        warnings);
  }

  private static Amount ma(double value) {
    return Amount.of(value, MA, 1);
  }

  private static Amount percent(double value, int decimals) {
    return Amount.of(value, Quantity.PERCENT, decimals);
  }

  private static PartFinding lowPulse(OptionalDouble lowPulseMa) {
    return lowPulseMa.isPresent()
        ? PartFinding.within()
        : PartFinding.within().warning(Message.of("power.low-pulse"));
  }

  private static Top top(double agreed, OptionalDouble read, double resolution) {
    return new Top(agreed, read, Math.max(resolution, ALLOWED_SHARE * agreed));
  }

  private static PartFinding over(double read, double maximum) {
    return PartFinding.stop(
        Advice.act("power.ceiling.down")
            .because("power.ceiling.down.why", Amount.plain(read, MA), Amount.plain(maximum, MA)));
  }

  private static PartFinding inOrder(Top top) {
    return PartFinding.within(
        Advice.leave("power.leave").because("power.leave.why", ma(top.offMa().getAsDouble())));
  }

  private static Current ofMeter(ByMeter task) {
    CeilingFinding found = Ceiling.solve(task.readings());
    double resolution = task.readings().meterResolutionMa();
    double maximum = task.readings().tubeMaximumMa();
    Top top = top(found.capMa(), task.atTopMa(), resolution);
    Optional<Estimate> dial = found.dialPercent();
    OptionalDouble slope = Ceiling.slopeAtCap(task.readings());
    if (task.atTopMa().isEmpty()) {
      PartFinding part = new PartFinding(found.verdict(), found.advice(), found.warnings());
      return new Current(part, Optional.of(top), dial, slope);
    }
    PartFinding part = set(top, maximum, dial.map(Estimate::value).map(OptionalDouble::of), slope);
    if (found.highestSampleMa() > maximum) {
      part =
          part.warning(
              Message.of(
                  "power.was-over",
                  Amount.plain(found.highestSampleMa(), MA),
                  Amount.plain(maximum, MA)));
    }
    return new Current(part, Optional.of(top), dial, slope);
  }

  private static Current ofFactory(ByFactory task) {
    Top top = top(task.tubeMaximumMa(), task.atTopMa(), task.meterResolutionMa());
    PartFinding part;
    if (task.atTopMa().isEmpty()) {
      part = PartFinding.again(Advice.read("power.factory.read").because("power.factory.why"));
    } else if (task.atTopMa().getAsDouble() > task.tubeMaximumMa()) {
      part = over(task.atTopMa().getAsDouble(), task.tubeMaximumMa());
    } else {
      part =
          PartFinding.within(
              Advice.leave("power.factory.leave")
                  .because(
                      "power.factory.leave.why",
                      ma(task.atTopMa().getAsDouble()),
                      ma(task.tubeMaximumMa())));
    }
    // What is read now is what every later check comes back to.
    Top against = task.atTopMa().isPresent() ? withAgreed(top) : top;
    return new Current(part, Optional.of(against), Optional.empty(), OptionalDouble.empty());
  }

  private static Top withAgreed(Top top) {
    return new Top(top.readMa().getAsDouble(), top.readMa(), top.allowedMa());
  }

  private static Current ofCheck(ByCheck task) {
    Top top = top(task.agreedMa(), OptionalDouble.of(task.readMa()), task.meterResolutionMa());
    PartFinding part =
        set(
            top,
            task.tubeMaximumMa(),
            task.dialPercent().isPresent() ? Optional.of(task.dialPercent()) : Optional.empty(),
            task.slopeMaPerPercent());
    return new Current(part, Optional.of(top), moved(top, task), task.slopeMaPerPercent());
  }

  private static Optional<Estimate> moved(Top top, ByCheck task) {
    if (task.dialPercent().isEmpty() || task.slopeMaPerPercent().isEmpty()) {
      return Optional.empty();
    }
    double slope = task.slopeMaPerPercent().getAsDouble();
    boolean stays = top.offMa().getAsDouble() <= top.allowedMa();
    double to =
        task.dialPercent().getAsDouble()
            + (stays ? 0 : (top.agreedMa() - top.readMa().getAsDouble()) / slope);
    return Optional.of(
        new Estimate(to, Resolution.standardDeviation(task.meterResolutionMa()) / slope));
  }

  /** The dial stands somewhere and the current was read: is it the agreed one? */
  private static PartFinding set(
      Top top, double maximumMa, Optional<OptionalDouble> dial, OptionalDouble slope) {
    double read = top.readMa().getAsDouble();
    if (read > maximumMa) {
      return over(read, maximumMa);
    }
    double off = read - top.agreedMa();
    if (Math.abs(off) <= top.allowedMa()) {
      return inOrder(top);
    }
    if (dial.isEmpty() || slope.isEmpty()) {
      return PartFinding.adjust(
          Advice.act(off > 0 ? "power.dial.less" : "power.dial.more")
              .because("power.dial.off", ma(Math.abs(off)), ma(top.agreedMa())));
    }
    double to = dial.get().getAsDouble() - off / slope.getAsDouble();
    if (to < 0 || to > 100) {
      return PartFinding.adjust(
          Advice.act("power.dial.beyond")
              .because("power.dial.off", ma(Math.abs(off)), ma(top.agreedMa())));
    }
    return PartFinding.adjust(
        Advice.act(off > 0 ? "power.dial.down" : "power.dial.up", percent(to, 1))
            .because("power.dial.off", ma(Math.abs(off)), ma(top.agreedMa())));
  }

  /** Outputs are compared at one current only. */
  private static boolean comparable(Optional<Top> top) {
    return top.isEmpty()
        || top.get().offMa().isPresent()
            && top.get().offMa().getAsDouble() <= top.get().allowedMa();
  }

  private static boolean wentBack(PowerReadings.Output output) {
    return output.inHours()
        && output.history().stream().anyMatch(earlier -> earlier.at() > output.at());
  }

  /** By the test job where it was read, else by the two curves. */
  private static OptionalDouble loss(
      PowerReadings r, boolean comparable, Optional<Ageing.Trend> trend) {
    PowerReadings.Output output = r.output();
    if (comparable && output.now().isPresent() && output.first().isPresent()) {
      double first = output.first().getAsDouble();
      if (output.onFirstScale()) {
        return OptionalDouble.of(100 * (1 - output.now().getAsDouble() / first));
      }
      if (trend.flatMap(Ageing.Trend::now).isPresent()) {
        return OptionalDouble.of(100 * (1 - trend.get().now().get().value() / first));
      }
    }
    return r.curve()
        .filter(c -> enough(c.now()) && enough(c.before()))
        .map(c ->
            Rescaling.solve(
                    new RescaleReadings(c.before(), c.now(), List.of(), OptionalDouble.empty()))
                .lossFraction())
        .filter(OptionalDouble::isPresent)
        .map(l -> OptionalDouble.of(100 * l.getAsDouble()))
        .orElse(OptionalDouble.empty());
  }

  private static boolean enough(List<CurvePoint> points) {
    return points.stream().mapToDouble(CurvePoint::percent).distinct().count() >= 2;
  }

  private static Optional<PartFinding> output(PowerReadings r, OptionalDouble loss, Worn worn) {
    return switch (worn) {
      case NOT_ASKED -> Optional.empty();
      case NO -> Optional.of(PartFinding.within());
      case YES ->
          Optional.of(
              PartFinding.adjust(
                  Advice.act("power.better.replace")
                      .because(
                          "power.better.replace.why",
                          percent(loss.getAsDouble(), 0),
                          percent(r.output().lossLimitPercent().getAsDouble(), 0))));
      case READ_AGAIN ->
          Optional.of(
              PartFinding.again(
                  Advice.read("power.output.again")
                      .because(
                          "power.output.again.why",
                          percent(loss.getAsDouble(), 0),
                          percent(r.output().lossLimitPercent().getAsDouble(), 0))));
    };
  }

  private static Optional<Better> better(Current current, OptionalDouble loss, Worn worn) {
    boolean off =
        current
            .top
            .filter(t -> t.offMa().isPresent() && t.offMa().getAsDouble() > t.allowedMa())
            .isPresent();
    if (worn == Worn.YES) {
      return Optional.of(Better.REPLACE);
    }
    if (off) {
      return Optional.of(Better.TURN_THE_DIAL);
    }
    return worn != Worn.READ_AGAIN
            && loss.isPresent()
            && loss.getAsDouble() > WORTH_RESCALING_PERCENT
        ? Optional.of(Better.RESCALE)
        : Optional.empty();
  }

  private static Optional<Ageing.Trend> trend(PowerReadings.Output output, boolean comparable) {
    if (output.lossLimitPercent().isEmpty() || output.first().isEmpty()) {
      return Optional.empty();
    }
    double limit =
        output.first().getAsDouble() * (1 - output.lossLimitPercent().getAsDouble() / 100);
    Stream<Ageing.Reading> now =
        output.now().stream()
            .filter(v -> comparable)
            .mapToObj(v -> new Ageing.Reading(output.at(), v, output.onMeter()));
    return Ageing.of(Stream.concat(output.history().stream(), now).toList(), limit);
  }

  /** What the notebook shows; how far the current is off is first, where there is one. */
  public static List<Figure> figures(PowerReadings r, PowerFinding f) {
    List<Figure> figures = new ArrayList<>();
    f.top()
        .ifPresent(top -> {
          top.offMa()
              .ifPresent(ma -> figures.add(Figure.of("off", ma, MA).limited(top.allowedMa())));
          top.readMa().ifPresent(ma -> figures.add(Figure.of("atTop", ma, MA)));
          figures.add(Figure.of("agreed", top.agreedMa(), MA));
        });
    f.dialPercent().ifPresent(d -> figures.add(Figure.of("dial", d, Quantity.PERCENT)));
    f.slopeMaPerPercent().ifPresent(s -> figures.add(Figure.of("slope", s, MA)));
    r.lowPulseMa().ifPresent(ma -> figures.add(Figure.of("lowPulse", ma, MA)));
    if (r.task() instanceof ByCard card) {
      figures.add(Figure.of("agreedPercent", card.agreedPercent(), Quantity.PERCENT));
    }
    if (r.task() instanceof ByWords words) {
      words.firingPercent().ifPresent(p -> figures.add(Figure.of("firing", p, Quantity.PERCENT)));
    }
    f.lossPercent()
        .ifPresent(p ->
            figures.add(
                Figure.of("loss", p, Quantity.PERCENT).limited(r.output().lossLimitPercent())));
    r.output().now().stream()
        .filter(v -> comparable(f.top()))
        .forEach(v ->
            figures.add(
                r.output().inWatts()
                    ? Figure.of("output", v, Quantity.POWER)
                    : Figure.of("alike", v, Quantity.PERCENT)));
    r.output().hours().ifPresent(h -> figures.add(Figure.of("hours", h, Quantity.NUMBER)));
    return figures;
  }
}
