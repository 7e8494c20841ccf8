package zebrawood.upkeep;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import zebrawood.ledger.Figure;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;
import zebrawood.upkeep.CleaningProof.Result;
import zebrawood.upkeep.UpkeepFinding.Due;
import zebrawood.upkeep.UpkeepVisitFinding.Line;
import zebrawood.upkeep.UpkeepVisitFinding.RunsOut;
import zebrawood.upkeep.UpkeepVisitFinding.Turn;
import zebrawood.upkeep.UpkeepVisitReadings.Watched;
import zebrawood.words.Advice;
import zebrawood.words.Dates;
import zebrawood.words.Message;

/**
 * All of one visit: what was due before it, what of that is still open, what comes next. What
 * nobody knows when it was done last counts as due. It is in order once nothing due is open.
 */
public final class UpkeepVisit {
  private static final int SOON_DAYS = 7;
  private static final int SHELF_DAYS = 30;
  private static final double PERCENT = 100;

  private final UpkeepVisitReadings r;
  private final Optional<UpkeepFinding> before;
  private final Optional<UpkeepFinding> after;

  private UpkeepVisit(UpkeepVisitReadings r) {
    this.r = r;
    before = r.plan(r.tasks()).map(Upkeep::solve);
    after = r.plan(r.after()).map(Upkeep::solve);
  }

  public static final Visit<UpkeepVisitReadings, UpkeepVisitFinding> VISIT =
      Visit.of(
              UpkeepVisitReadings.class,
              UpkeepVisitFinding.class,
              UpkeepVisit::solve,
              (r, f) -> figures(r.today(), f))
          .saying((r, f) -> said(f));

  public static UpkeepVisitFinding solve(UpkeepVisitReadings r) {
    return new UpkeepVisit(r).found();
  }

  private UpkeepVisitFinding found() {
    List<Line> lines = r.tasks().stream().map(this::line).toList();
    Optional<CleaningProof> proof = r.proof().map(CleaningProof::of);
    List<RunsOut> runsOut =
        r.shelf().stream()
            .map(s -> new RunsOut(s.what(), r.today().plusDays((long) (s.left() * s.lastsDays()))))
            .sorted(Comparator.comparing(RunsOut::on))
            .toList();
    List<Line> open =
        lines.stream()
            .filter(l -> !l.done() && (l.turn() == Turn.DUE || l.turn() == Turn.NEVER_DONE))
            .toList();
    OptionalInt next =
        lines.stream()
            .flatMap(l -> l.due().stream())
            .mapToInt(d -> (int) ChronoUnit.DAYS.between(r.today(), d))
            .map(d -> Math.max(0, d))
            .min();
    return new UpkeepVisitFinding(
        after,
        lines,
        open.stream().mapToInt(l -> l.task().minutes()).sum(),
        next,
        proof,
        runsOut,
        verdict(open, next),
        advice(lines, open, proof, runsOut),
        after.map(UpkeepFinding::warnings).orElse(List.of()));
  }

  private static Verdict verdict(List<Line> open, OptionalInt next) {
    return !open.isEmpty()
        ? Verdict.ADJUST
        : next.isEmpty() ? Verdict.MEASURE_AGAIN : Verdict.WITHIN;
  }

  private Line line(Watched watched) {
    String id = watched.task().id();
    boolean done = r.done().stream().anyMatch(d -> d.task() == watched.task());
    Optional<Due> was = before.flatMap(b -> of(b, id));
    Optional<LocalDate> next = after.flatMap(a -> of(a, id)).flatMap(d -> d.dueDate().value());
    Turn turn =
        watched.last().isEmpty()
            ? Turn.NEVER_DONE
            : was.flatMap(d -> d.dueDate().value()).map(this::turn).orElse(Turn.WAITS);
    return new Line(watched.task(), next, was.map(Due::overdueDays).orElse(0), turn, done);
  }

  private static Optional<Due> of(UpkeepFinding finding, String id) {
    return finding.tasks().stream().filter(t -> t.id().equals(id)).findFirst();
  }

  private Turn turn(LocalDate due) {
    return !due.isAfter(r.today())
        ? Turn.DUE
        : due.isAfter(r.today().plusDays(SOON_DAYS)) ? Turn.LATER : Turn.SOON;
  }

  /** What is due within a week, while somebody is at it. */
  private List<Advice> takenAlong(List<Line> lines) {
    return lines.stream()
        .filter(l -> l.turn() == Turn.SOON && !l.done())
        .map(l ->
            Advice.act("upkeep.take-along", l.task())
                .because("upkeep.take-along.why", day(l.due().orElseThrow()), l.task().minutes()))
        .toList();
  }

  private List<Advice> advice(
      List<Line> lines, List<Line> open, Optional<CleaningProof> proof, List<RunsOut> runsOut) {
    List<Advice> advice = new ArrayList<>();
    for (Line line : open) {
      Advice task = Advice.act(Message.keyOf(line.task()) + ".do");
      Message bring = Message.of(Message.keyOf(line.task()) + ".bring");
      int minutes = line.task().minutes();
      advice.add(
          line.turn() == Turn.NEVER_DONE
              ? task.because("upkeep.because.never", minutes, bring)
              : line.lateDays() > 0
                  ? task.because("upkeep.because.late", line.lateDays(), minutes, bring)
                  : task.because("upkeep.because.due", minutes, bring));
    }
    if (!open.isEmpty() || !r.done().isEmpty()) {
      advice.addAll(takenAlong(lines));
    }
    proof.ifPresent(p -> advice.addAll(ofProof(p)));
    runsOut.stream()
        .filter(s -> !s.on().isAfter(r.today().plusDays(SHELF_DAYS)))
        .forEach(s ->
            advice.add(
                Advice.act("upkeep.order", Message.quoted(s.what()))
                    .because("upkeep.order.why", day(s.on()))));
    if (advice.isEmpty()) {
      advice.add(
          after
              .filter(a -> !a.visits().isEmpty())
              .map(a -> Advice.leave("upkeep.next-visit", day(a.visits().getFirst().date())))
              .orElse(Advice.read("upkeep.read-counter")));
    }
    return advice;
  }

  private static Message day(LocalDate day) {
    return Dates.day(day.atStartOfDay(ZoneOffset.UTC).toInstant(), ZoneOffset.UTC);
  }

  private static List<Advice> ofProof(CleaningProof proof) {
    List<Advice> advice = new ArrayList<>();
    if (proof.declines()) {
      advice.add(Advice.act("upkeep.declines").because("upkeep.declines.why"));
    }
    if (proof.result() == Result.CANNOT_TELL) {
      advice.add(Advice.read("upkeep.tries-more").because("upkeep.tries-more.why"));
    } else if (proof.result() == Result.WORSE) {
      advice.add(Advice.act("upkeep.worse").because("upkeep.worse.why"));
    }
    return advice;
  }

  private static List<Figure> figures(LocalDate today, UpkeepVisitFinding f) {
    List<Figure> figures = new ArrayList<>();
    f.dueInDays().ifPresent(d -> figures.add(Figure.of("dueIn", d, Quantity.DAYS)));
    f.lines().stream()
        .filter(l -> l.task().optic() || l.task() == UpkeepTask.HONEYCOMB)
        .forEach(l ->
            l.due()
                .ifPresent(day ->
                    figures.add(
                        Figure.of(
                            l.task().id(), ChronoUnit.DAYS.between(today, day), Quantity.DAYS))));
    f.proof()
        .ifPresent(p ->
            figures.add(
                Figure.of("gain", PERCENT * p.gain().value(), Quantity.PERCENT)
                    .uncertain(PERCENT * p.gain().uncertainty())));
    return figures;
  }

  private static List<Message> said(UpkeepVisitFinding f) {
    List<Message> said = new ArrayList<>();
    f.proof()
        .ifPresent(p ->
            said.add(
                Message.of(
                    "upkeep.said.gain",
                    Amount.of(PERCENT * p.gain().value(), Quantity.PERCENT, 0),
                    p.result())));
    f.plan()
        .filter(p -> p.hoursPerDay().isPresent())
        .ifPresent(p ->
            said.add(
                Message.of(
                    "upkeep.said.pace",
                    Amount.of(p.hoursPerDay().getAsDouble(), Quantity.HOURS, 1))));
    f.runsOut()
        .forEach(s ->
            said.add(Message.of("upkeep.said.runs-out", Message.quoted(s.what()), day(s.on()))));
    return said;
  }
}
