package zebrawood.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.fault.FaultFinding.Weighed;
import zebrawood.ledger.Figure;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Quantity;
import zebrawood.station.Proven;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * A case from the first sign to the proof. It stays open until the same piece, burnt again, is
 * good; what was mended and did not help is a test like any other: the case goes on.
 */
public final class FaultVisit {
  private static final double PERCENT = 100;

  private final FaultVisitReadings r;

  private FaultVisit(FaultVisitReadings r) {
    this.r = r;
  }

  public static final Visit<FaultVisitReadings, FaultVisitFinding> VISIT =
      Visit.of(
          FaultVisitReadings.class,
          FaultVisitFinding.class,
          FaultVisit::solve,
          (r, f) -> figures(r, f));

  public static FaultVisitFinding solve(FaultVisitReadings r) {
    FaultVisit visit = new FaultVisit(r);
    return r.seen() == Seen.DEAD ? visit.dead() : visit.found();
  }

  private FaultVisitFinding found() {
    FaultReadings evidence = r.evidence();
    FaultFinding found = Fault.solve(evidence);
    FaultReadings nothing =
        new FaultReadings(
            Optional.empty(),
            r.bedMm(),
            Optional.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            evidence.priors(),
            r.fitted());
    boolean closed = r.burntAgain().orElse(false);
    boolean sure = found.next().value().isEmpty();
    Forecast forecast = new Forecast(evidence, found.causes());
    return new FaultVisitFinding(
        Optional.of(found),
        Fault.solve(nothing).causes(),
        OptionalDouble.of(sure ? 0 : forecast.byInformation()),
        OptionalDouble.of(sure ? 0 : forecast.inFixedOrder()),
        closed,
        closed ? Verdict.WITHIN : Verdict.ADJUST,
        closed ? List.of(closing()) : advice(found),
        found.warnings());
  }

  private Advice closing() {
    return Advice.leave("fault.closed")
        .because(r.mended().map(c -> Message.of("fault.closed.why", c)).orElse(Message.NONE));
  }

  private List<Advice> advice(FaultFinding found) {
    List<Advice> advice = new ArrayList<>();
    r.mended()
        .ifPresent(cause ->
            advice.add(
                r.burntAgain().isEmpty()
                    ? Advice.act("fault.burn-again").because("fault.mended", cause)
                    : Advice.act("fault.not-it").because("fault.not-it.why", cause)));
    advice.addAll(found.advice());
    return advice;
  }

  private FaultVisitFinding dead() {
    Proven proven = Proven.of(r.asked(), r.looked());
    List<Advice> advice = new ArrayList<>();
    boolean closed = r.burntAgain().orElse(false);
    if (closed) {
      advice.add(closing());
    } else if (!proven.notSo().isEmpty()) {
      // In the order of effort: the first that is not so is mended, then it is tried again.
      Message first = proven.notSo().getFirst();
      advice.add(Advice.act(first.key() + ".cure").because(first));
      advice.add(Advice.act("fault.try-again"));
    } else if (!proven.open().isEmpty()) {
      Message next = proven.open().getFirst();
      advice.add(Advice.read(next.key() + ".how").because("fault.dead-next"));
    } else {
      advice.add(Advice.act("fault.qualified").because("fault.qualified.why"));
    }
    boolean stop = !closed && proven.notSo().isEmpty() && proven.open().isEmpty();
    return new FaultVisitFinding(
        Optional.empty(),
        List.of(),
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        closed,
        closed ? Verdict.WITHIN : stop ? Verdict.STOP : Verdict.ADJUST,
        advice,
        List.of());
  }

  private static List<Figure> figures(FaultVisitReadings r, FaultVisitFinding f) {
    List<Figure> figures = new ArrayList<>();
    int minutes = r.answers().stream().mapToInt(a -> a.test().minutes()).sum();
    figures.add(Figure.of("spent", minutes, Quantity.MINUTES));
    f.found()
        .map(FaultFinding::likeliest)
        .map(Weighed::probability)
        .ifPresent(
            p -> figures.add(Figure.of("likeliest", Math.floor(PERCENT * p), Quantity.PERCENT)));
    return figures;
  }
}
