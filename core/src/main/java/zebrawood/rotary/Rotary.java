package zebrawood.rotary;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.rotary.RotaryReadings.Kind;
import zebrawood.rotary.RotaryReadings.Length;
import zebrawood.rotary.RotaryReadings.Taper;
import zebrawood.rotary.RotaryReadings.Turn;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a millimetre round the work takes. A chuck turns the work itself: steps a turn over the
 * circumference. Rollers turn its surface, whatever its diameter, and slip. A line once round tells
 * the steps a turn of a chuck, or a millimetre's on rollers; a measured length a millimetre's on
 * both. What is known is weighted by one over its variance (Bevington and Robinson, Data Reduction
 * and Error Analysis, 3rd ed., section 4.1).
 *
 * <p>A strip s round a cylinder of radius R falls by R (1 - cos(s / 2R)). A cone of half angle a is
 * unrolled round its tip: a circle about the work is an arc of radius (D/2) / sin a.
 */
public final class Rotary {
  private static final double SLIP = 0.01;
  private static final double SURE = 2;
  private static final double APART = 3;

  /** No driver and gear have more. */
  private static final double MOST_PER_MM = 1e5;

  private static final Advice LEAVE = Advice.leave("rotary.leave");
  private static final double STRAIGHT_MM = 1e7;

  /** Relative: of what is said to be exact. */
  private static final double EXACT = 1e-12;

  private final RotaryReadings r;
  private final double circumference;
  private final List<Message> warnings = new ArrayList<>();
  private Optional<Estimate> found = Optional.empty();
  private boolean replaced;
  private boolean contradicts;

  private Rotary(RotaryReadings r) {
    this.r = r;
    circumference = Math.PI * r.workDiameterMm();
  }

  public static RotaryFinding solve(RotaryReadings r) {
    return new Rotary(r).found();
  }

  private RotaryFinding found() {
    Estimate perMm = r.kind() == Kind.CHUCK ? byChuck() : byRollers();
    Accepts.canExist("stepsPerTurn", "rotary.steps-a-mm", perMm.value(), MOST_PER_MM);
    OptionalDouble change =
        r.setStepsPerMm().isPresent()
            ? OptionalDouble.of(perMm.value() / r.setStepsPerMm().getAsDouble())
            : OptionalDouble.empty();
    double radius = r.workDiameterMm() / 2;
    double strip =
        r.depthMm() >= 2 * radius
            ? circumference
            : 2 * radius * Math.acos(1 - r.depthMm() / radius);
    double slope = r.taper().map(Taper::slope).orElse(0.0);
    double fall = r.alongMm() * slope / 2;
    double angle = Math.atan(slope / 2);
    Verdict ofSteps = verdict(perMm, change, fall);
    Seat seat = Seat.of(r);
    Verdict verdict = Seat.worse(ofSteps, seat.verdict());
    List<Advice> advice = new ArrayList<>(seat.advice());
    advice.addAll(advice(ofSteps, perMm, change, fall, angle));
    if (verdict != Verdict.WITHIN) {
      advice.removeIf(a -> a.equals(LEAVE));
    }
    return new RotaryFinding(
        perMm,
        found.isPresent() ? OptionalDouble.of(found.get().value()) : OptionalDouble.empty(),
        change,
        circumference,
        seam(perMm),
        strip,
        (int) Math.max(1, Math.ceil(r.roundMm() / strip - EXACT)),
        Math.toDegrees(angle),
        fall,
        1 + r.alongMm() * slope / 2 / r.workDiameterMm(),
        1 - r.alongMm() * slope / 2 / r.workDiameterMm(),
        arc(radius / Math.sin(angle)),
        seat.axisMrad(),
        seat.middleMm(),
        verdict,
        advice,
        warnings);
  }

  /** Of a cone that is hardly one nothing lies otherwise than on a cylinder. */
  private static OptionalDouble arc(double radiusMm) {
    return radiusMm < STRAIGHT_MM ? OptionalDouble.of(radiusMm) : OptionalDouble.empty();
  }

  private Estimate byChuck() {
    double stepsPerTurn = r.stepsPerTurn();
    if (r.turn().isPresent()) {
      Estimate turn = stepsPerTurn(r.turn().get());
      found = Optional.of(turn);
      if (Math.abs(turn.value() - stepsPerTurn) > SURE * turn.uncertainty()) {
        replaced = true;
        stepsPerTurn = turn.value();
        warnings.add(
            Message.of("rotary.steps-replaced", number(turn.value()), number(r.stepsPerTurn())));
      }
    }
    double perMm = stepsPerTurn / circumference;
    Estimate byDiameter =
        new Estimate(perMm, perMm * r.workDiameterUncertaintyMm() / r.workDiameterMm());
    return weighed(List.of(byDiameter), Optional.empty());
  }

  private Estimate byRollers() {
    double nominal = r.stepsPerTurn() / (Math.PI * r.rollerDiameterMm().orElseThrow());
    return weighed(List.of(new Estimate(nominal, SLIP * nominal)), r.turn().map(this::perMmByTurn));
  }

  /** Of the chuck: by a gap of so much after a line that was to go round once. */
  private Estimate stepsPerTurn(Turn turn) {
    double gone = circumference - turn.closesByMm();
    double sent = turn.commandedMm() * r.setStepsPerMm().orElseThrow();
    double steps = sent * circumference / gone;
    double byReading = steps / gone * Resolution.standardDeviation(turn.readMm());
    double byDiameter =
        sent * Math.PI * turn.closesByMm() / (gone * gone) * r.workDiameterUncertaintyMm();
    return new Estimate(steps, Math.hypot(byReading, byDiameter));
  }

  private Estimate perMmByTurn(Turn turn) {
    double gone = circumference - turn.closesByMm();
    double perMm = r.setStepsPerMm().orElseThrow() * turn.commandedMm() / gone;
    return new Estimate(
        perMm,
        perMm
            / gone
            * Math.hypot(
                Resolution.standardDeviation(turn.readMm()),
                Math.PI * r.workDiameterUncertaintyMm()));
  }

  private Estimate perMmByLength(Length length) {
    double perMm = r.setStepsPerMm().orElseThrow() * length.commandedMm() / length.measuredMm();
    return new Estimate(
        perMm, perMm / length.measuredMm() * Resolution.standardDeviation(length.readMm()));
  }

  private Estimate weighed(List<Estimate> nominal, Optional<Estimate> byTurn) {
    Optional<Estimate> byLength = r.length().map(this::perMmByLength);
    List<Estimate> read = new ArrayList<>();
    byTurn.ifPresent(read::add);
    byLength.ifPresent(read::add);
    List<Estimate> all = new ArrayList<>(nominal);
    all.addAll(read);
    for (Estimate one : read) {
      List<Estimate> rest = new ArrayList<>(all);
      rest.remove(one);
      Estimate others = mean(rest);
      double joint = Math.hypot(one.uncertainty(), others.uncertainty());
      if (Math.abs(one.value() - others.value()) > APART * Math.max(joint, EXACT * one.value())) {
        contradicts = true;
        warnings.add(
            Message.of(
                one.equals(byLength.orElse(null))
                    ? "rotary.length-contradicts"
                    : "rotary.turn-contradicts"));
      }
    }
    return mean(all);
  }

  private static Estimate mean(List<Estimate> all) {
    double weights = 0;
    double sum = 0;
    for (Estimate e : all) {
      double deviation = Math.max(e.uncertainty(), EXACT * Math.abs(e.value()));
      double weight = 1 / (deviation * deviation);
      weights += weight;
      sum += weight * e.value();
    }
    double deviation = Math.sqrt(1 / weights);
    double value = sum / weights;
    return new Estimate(value, deviation > 2 * EXACT * value ? deviation : 0);
  }

  private double seam(Estimate perMm) {
    if (r.kind() == Kind.ROLLERS) {
      return circumference * perMm.uncertainty() / perMm.value();
    }
    return replaced
        ? circumference * found.orElseThrow().uncertainty() / found.orElseThrow().value()
        : 0;
  }

  private Verdict verdict(Estimate perMm, OptionalDouble change, double fall) {
    if (r.roundMm() > circumference + r.toleranceMm()) {
      return Verdict.STOP;
    }
    double unsure = SURE * perMm.uncertainty() / perMm.value() * r.roundMm();
    if (contradicts || unsure > r.toleranceMm()) {
      return Verdict.MEASURE_AGAIN;
    }
    boolean off =
        change.isEmpty() || Math.abs(change.getAsDouble() - 1) * r.roundMm() > r.toleranceMm();
    return off || fall > r.depthMm() ? Verdict.ADJUST : Verdict.WITHIN;
  }

  private List<Advice> advice(
      Verdict verdict, Estimate perMm, OptionalDouble change, double fall, double angle) {
    List<Advice> advice = new ArrayList<>();
    switch (verdict) {
      case STOP ->
          advice.add(
              Advice.act("rotary.shorten", Amount.mm(circumference, 1))
                  .because("rotary.shorten.why", Amount.mm(r.roundMm(), 1)));
      case MEASURE_AGAIN ->
          advice.add(
              contradicts
                  ? Advice.read("rotary.read-again").because("rotary.read-again.why")
                  : Advice.read(
                          r.length().isEmpty() ? "rotary.measure-length" : "rotary.measure-finer")
                      .because(
                          "rotary.measure.why",
                          Amount.mm(SURE * perMm.uncertainty() / perMm.value() * r.roundMm(), 2)));
      case ADJUST, WITHIN -> {
        boolean off =
            change.isEmpty() || Math.abs(change.getAsDouble() - 1) * r.roundMm() > r.toleranceMm();
        if (off) {
          advice.add(setting(perMm, change));
        }
        if (fall > r.depthMm()) {
          advice.add(
              Advice.act("rotary.tilt", Amount.of(Math.toDegrees(angle), Quantity.NUMBER, 1))
                  .because("rotary.tilt.why", Amount.mm(fall, 2), Amount.mm(r.depthMm(), 2)));
        }
        if (advice.isEmpty()) {
          advice.add(LEAVE);
        }
      }
    }
    return advice;
  }

  /** As the school sets it. A scale needs to know what turns a millimetre now. */
  private Advice setting(Estimate perMm, OptionalDouble change) {
    Message unsure = rounded(perMm.uncertainty(), 2);
    return switch (r.school().orElse(School.STEPS)) {
      case STEPS ->
          Advice.act("rotary.set", number(perMm.value())).because("rotary.set.why", unsure);
      case DIAMETER -> {
        double typed = r.stepsPerTurn() / (Math.PI * perMm.value());
        yield Advice.act(
                r.kind() == Kind.CHUCK ? "rotary.type-diameter" : "rotary.type-roller",
                Amount.mm(typed, 3))
            .because(
                "rotary.type-diameter.why",
                number(r.stepsPerTurn()),
                Amount.mm(typed * perMm.uncertainty() / perMm.value(), 3));
      }
      case SCALE ->
          change.isEmpty()
              ? Advice.read("rotary.scale-needs-set").because("rotary.scale-needs-set.why")
              : Advice.act("rotary.scale", rounded(100 * change.getAsDouble(), 5))
                  .because(
                      "rotary.scale.why",
                      rounded(100 * change.getAsDouble() * perMm.uncertainty() / perMm.value(), 2));
    };
  }

  private static Message number(double value) {
    return rounded(value, 5);
  }

  private static Message rounded(double value, int digits) {
    return Message.number(
        Double.parseDouble(String.format(Locale.ROOT, "%." + digits + "g", value)));
  }
}
