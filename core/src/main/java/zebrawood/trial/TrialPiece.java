package zebrawood.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.ledger.Figure;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;
import zebrawood.trial.TrialReadings.Cut;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Judges a trial piece. A cut on the line takes half of the kerf from each side: the piece is
 * smaller than drawn by one kerf, which the comb tells: so many strips pushed together are short of
 * what was drawn by as many kerfs. What is off by more than its limit, beyond two standard
 * deviations, fails; what lies nearer to the limit than that is to be measured more finely.
 */
public final class TrialPiece {
  private static final double SURE = 2;

  private final TrialReadings r;
  private final boolean galvo;
  private final List<Advice> fails = new ArrayList<>();
  private final List<Advice> unsure = new ArrayList<>();
  private final List<Advice> missing = new ArrayList<>();
  private final List<Message> warnings = new ArrayList<>();
  private final List<String> pointsTo = new ArrayList<>();

  private TrialPiece(TrialReadings r, boolean galvo) {
    this.r = r;
    this.galvo = galvo;
  }

  /** Visits at a machine whose field is a galvo head's, or is not. */
  public static Visit<TrialReadings, TrialFinding> visit(boolean galvo) {
    return Visit.of(
            TrialReadings.class, TrialFinding.class, r -> solve(r, galvo), TrialPiece::figures)
        .saying((r, f) -> said(f));
  }

  /**
   * @param galvo whether its size is that of a galvo's field, not of the axes
   */
  public static TrialFinding solve(TrialReadings r, boolean galvo) {
    return new TrialPiece(r, galvo).judged();
  }

  private TrialFinding judged() {
    double error = Resolution.standardDeviation(r.readToMm());
    Optional<Estimate> kerf =
        of(r.combMm())
            .map(mm ->
                new Estimate(
                    TrialReadings.STRIP_MM - mm / TrialReadings.COMB_STRIPS,
                    error / TrialReadings.COMB_STRIPS));
    Optional<Estimate> offX = off(r.measuredXMm(), r.drawnMm().get(0), kerf, error);
    Optional<Estimate> offY = off(r.measuredYMm(), r.drawnMm().get(1), kerf, error);
    if (kerf.isEmpty() && (offX.isPresent() || offY.isPresent())) {
      warnings.add(Message.of("trial.no-kerf"));
    }
    size(offX, "x");
    size(offY, "y");
    kerf.ifPresent(k -> limited(k, r.kerfMostMm(), "trial.kerf", "trial.kerf.finer", "focus"));
    of(r.slantMm())
        .ifPresent(s ->
            limited(
                new Estimate(Math.abs(s), error * Math.sqrt(2)),
                r.slantMostMm(),
                "trial.slant",
                "trial.slant.finer",
                galvo ? "focus" : "mirrors"));
    cuts();
    asked(r.fieldEven(), "trial.field", "trial.field.missing", "bed");
    asked(r.lettersLegible(), "trial.letters", "trial.letters.missing", "focus");
    asked(r.codeReads(), "trial.code", "trial.code.missing", "cards");
    asked(r.lightCodeReads(), "trial.light-code", "trial.light-code.missing", "cards");
    if (r.seconds().isPresent() && r.mostSeconds().isPresent()) {
      if (r.seconds().getAsDouble() > r.mostSeconds().getAsDouble()) {
        fail("trial.slow", "controller");
      }
    }
    return found(kerf, offX, offY);
  }

  private TrialFinding found(
      Optional<Estimate> kerf, Optional<Estimate> offX, Optional<Estimate> offY) {
    List<Advice> advice = new ArrayList<>(fails);
    advice.addAll(unsure);
    advice.addAll(missing);
    Verdict verdict =
        !fails.isEmpty()
            ? Verdict.ADJUST
            : unsure.isEmpty() && missing.isEmpty() ? Verdict.WITHIN : Verdict.MEASURE_AGAIN;
    if (verdict == Verdict.WITHIN) {
      advice.add(Advice.leave("trial.good").because("trial.good.why"));
    }
    OptionalDouble worst =
        Stream.of(offX, offY).flatMap(Optional::stream).mapToDouble(e -> Math.abs(e.value())).max();
    return new TrialFinding(
        kerf, offX, offY, worst, pointsTo.stream().distinct().toList(), verdict, advice, warnings);
  }

  private static Optional<Double> of(OptionalDouble value) {
    return value.isPresent() ? Optional.of(value.getAsDouble()) : Optional.empty();
  }

  private Optional<Estimate> off(
      OptionalDouble measured, double drawn, Optional<Estimate> kerf, double error) {
    return of(measured)
        .map(mm ->
            new Estimate(
                mm + kerf.map(Estimate::value).orElse(0.0) - drawn,
                Math.hypot(error, kerf.map(Estimate::uncertainty).orElse(0.0))));
  }

  private void size(Optional<Estimate> off, String axis) {
    if (off.isEmpty()) {
      missing.add(Advice.read("trial.size-missing." + axis));
      return;
    }
    double by = Math.abs(off.get().value());
    double sure = SURE * off.get().uncertainty();
    String station = galvo ? "field" : "controller";
    if (by - sure > r.toleranceMm()) {
      fails.add(
          Advice.act("trial.size." + axis, Amount.mm(off.get().value(), 2))
              .because("trial.points." + station));
      pointsTo.add(station);
    } else if (by + sure > r.toleranceMm()) {
      unsure.add(
          Advice.read("trial.finer." + axis)
              .because("trial.finer.why", Amount.mm(by, 2), Amount.mm(r.toleranceMm(), 2)));
    }
  }

  private void limited(Estimate of, OptionalDouble most, String key, String finer, String station) {
    if (most.isEmpty()) {
      return;
    }
    double sure = SURE * of.uncertainty();
    if (of.value() - sure > most.getAsDouble()) {
      fails.add(Advice.act(key, Amount.mm(of.value(), 2)).because("trial.points." + station));
      pointsTo.add(station);
    } else if (of.value() + sure > most.getAsDouble()) {
      unsure.add(
          Advice.read(finer)
              .because(
                  "trial.finer.why", Amount.mm(of.value(), 2), Amount.mm(most.getAsDouble(), 2)));
    }
  }

  /** Through in the middle and not at the sides is the bed, nowhere is power or setting. */
  private void cuts() {
    long through = r.cuts().stream().filter(Cut::through).count();
    if (r.cuts().isEmpty()) {
      missing.add(Advice.read("trial.cuts-missing"));
    } else if (through == 0) {
      fail("trial.cut-nowhere", "power");
    } else if (through < r.cuts().size()) {
      fails.add(
          Advice.act(
                  "trial.cut-not",
                  Message.list(
                      r.cuts().stream()
                          .filter(c -> !c.through())
                          .map(c -> Message.of(c.where()))
                          .toList()))
              .because("trial.points.bed"));
      pointsTo.add("bed");
    }
  }

  private void asked(Optional<Boolean> answer, String key, String missed, String station) {
    if (answer.isEmpty()) {
      missing.add(Advice.read(missed));
    } else if (!answer.get()) {
      fail(key, station);
    }
  }

  private void fail(String key, String station) {
    fails.add(Advice.act(key).because("trial.points." + station));
    pointsTo.add(station);
  }

  private static List<Figure> figures(TrialReadings r, TrialFinding f) {
    List<Figure> figures = new ArrayList<>();
    f.worstMm()
        .ifPresent(
            mm -> figures.add(Figure.of("worst", mm, Quantity.LENGTH).limited(r.toleranceMm())));
    f.offXMm().ifPresent(e -> figures.add(Figure.of("offX", e, Quantity.LENGTH)));
    f.offYMm().ifPresent(e -> figures.add(Figure.of("offY", e, Quantity.LENGTH)));
    f.kerfMm()
        .ifPresent(e ->
            figures.add(Figure.of("kerf", e.value(), Quantity.LENGTH).limited(r.kerfMostMm())));
    r.slantMm()
        .ifPresent(mm ->
            figures.add(
                Figure.of("slant", Math.abs(mm), Quantity.LENGTH).limited(r.slantMostMm())));
    r.seconds()
        .ifPresent(
            s -> figures.add(Figure.of("seconds", s, Quantity.TIME).limited(r.mostSeconds())));
    return figures;
  }

  private static List<Message> said(TrialFinding f) {
    return f.kerfMm()
        .map(k ->
            List.of(
                Message.of(
                    "trial.summary.kerf", Amount.mm(k.value(), 3), Amount.mm(k.uncertainty(), 3))))
        .orElse(List.of());
  }
}
