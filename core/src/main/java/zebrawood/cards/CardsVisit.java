package zebrawood.cards;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.cards.CardsTask.ReadFor;
import zebrawood.ledger.Figure;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.station.Help;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** One visit to the cards of a stock: a card read, a kept one burnt again, or one burn logged. */
public final class CardsVisit {
  public static final Visit<CardsReadings, CardsFinding> VISIT =
      Visit.helped(CardsReadings.class, CardsFinding.class, CardsVisit::solve, CardsVisit::figures)
          .saying(CardsVisit::said);

  /** What the eye tells apart on a scan, whatever the pixels say. */
  private static final double LEAST_RESOLUTION = 0.01;

  /** Of squares that lie so against their energy, more than these make a card upside down. */
  private static final double AGAINST = -0.5;

  private CardsVisit() {}

  /**
   * @param help reads the scan, and is told how far it is measured
   */
  public static CardsFinding solve(CardsReadings r, Help help) {
    StockKind.Hazard hazard = r.stock().kind().hazard();
    if (hazard.never()) {
      return plain(
          Verdict.STOP, List.of(Advice.act("cards.never").because(Message.of(hazard))), List.of());
    }
    List<Message> warnings = new ArrayList<>();
    r.focusHolds()
        .filter(holds -> !holds)
        .ifPresent(not -> warnings.add(Message.of("cards.focus-first")));
    if (hazard == StockKind.Hazard.UNKNOWN || hazard == StockKind.Hazard.BURNS_BADLY) {
      warnings.add(Message.of(hazard));
    }
    return switch (r.task()) {
      case CardsTask.ByScan(CardGrid grid, CardScanReadings scan, ReadFor what) ->
          dark(grid, scanned(scan, help), true, what, warnings);
      case CardsTask.ByFigures typed ->
          dark(typed.grid(), figures(typed), false, typed.what(), warnings);
      case CardsTask.ByEye(CardGrades grades) -> byEye(grades, warnings);
      case CardsTask.ByDepth task -> SteppedCard.byDepth(task, warnings);
      case CardsTask.Tried(Trial trial) -> tried(trial, warnings);
    };
  }

  private static CardScanFinding scanned(CardScanReadings scan, Help help) {
    return CardScan.solve(scan, help.pictures().apply(scan.imagePath()), help.reached());
  }

  /** Typed figures, as a scan would have told them. */
  private static CardScanFinding figures(CardsTask.ByFigures typed) {
    double error = Resolution.standardDeviation(typed.resolution());
    List<CardScanFinding.Square> squares = new ArrayList<>();
    for (int row = 0; row < typed.rows().size(); row++) {
      for (int column = 0; column < typed.rows().get(row).size(); column++) {
        squares.add(
            new CardScanFinding.Square(
                column,
                row,
                new Estimate(typed.rows().get(row).get(column), error),
                OptionalDouble.empty()));
      }
    }
    return new CardScanFinding(squares, false, Verdict.WITHIN, List.of(), List.of());
  }

  private static CardsFinding plain(Verdict verdict, List<Advice> advice, List<Message> warnings) {
    return SteppedCard.chosen(Optional.empty(), Optional.empty(), verdict, advice, warnings);
  }

  static CardsFinding read(
      CardScanFinding scan, Verdict verdict, List<Advice> advice, List<Message> warnings) {
    return new CardsFinding(
        Optional.of(scan),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        verdict,
        advice,
        warnings);
  }

  private static CardsFinding dark(
      CardGrid grid, CardScanFinding scan, boolean pictured, ReadFor what, List<Message> warnings) {
    warnings.addAll(scan.warnings());
    CardsFinding seen = read(scan, Verdict.MEASURE_AGAIN, scan.advice(), warnings);
    List<CardSample> samples = CardsFinding.samples(scan, grid);
    if (scan.saturated()) {
      return seen;
    }
    if (grid.stepped()) {
      return SteppedCard.read(grid, scan, pictured, what, warnings);
    }
    if (against(samples)) {
      return read(
          scan,
          Verdict.MEASURE_AGAIN,
          List.of(Advice.read("cards.upside-down").because("cards.upside-down.why")),
          warnings);
    }
    if (what.kept().isPresent()) {
      return again(what, scan, samples, warnings);
    }
    if (what.wantedDarkness().isEmpty() || !grid.tellsLooks()) {
      String key = grid.tellsLooks() ? "cards.point" : "cards.more-squares";
      return read(scan, Verdict.MEASURE_AGAIN, List.of(Advice.read(key)), warnings);
    }
    CardChooseFinding choice =
        CardChoose.solve(
            new CardChooseReadings(samples, resolution(scan), what.wantedDarkness().getAsDouble()));
    warnings.addAll(choice.warnings());
    Optional<CardChooseFinding.Setting> fastest = choice.fastest().setting();
    boolean unsure =
        fastest
            .filter(f -> what.mayDiffer().isPresent())
            .filter(f -> 2 * f.darkness().uncertainty() > what.mayDiffer().getAsDouble())
            .isPresent();
    if (unsure) {
      warnings.add(
          Message.of(
              "cards.unsure",
              Amount.of(fastest.orElseThrow().darkness().uncertainty(), Quantity.NUMBER, 3)));
    }
    List<Advice> advice = new ArrayList<>(choice.advice());
    if (fastest.isPresent()) {
      advice.add(Advice.leave("cards.confirm").because("cards.confirm.why"));
    }
    return new CardsFinding(
        Optional.of(scan),
        Optional.of(choice),
        Optional.empty(),
        Optional.empty(),
        fastest.map(CardsVisit::typed),
        choice.steadiest().setting().map(CardsVisit::typed),
        choice.verdict(),
        advice,
        warnings);
  }

  /** As it is typed into a job: no job takes more digits. */
  private static Chosen typed(CardChooseFinding.Setting setting) {
    return new Chosen(
        Numbers.rounded(setting.speedMmS(), setting.speedMmS() < 20 ? 1 : 0),
        Numbers.rounded(setting.percent(), setting.percent() < 10 ? 1 : 0));
  }

  /** As a reading's resolution, of the squares' own uncertainty. */
  private static double resolution(CardScanFinding scan) {
    double squares =
        scan.squares().stream()
            .mapToDouble(s -> s.darkness().uncertainty() * s.darkness().uncertainty())
            .average()
            .orElse(0);
    return Math.max(LEAST_RESOLUTION, Math.sqrt(12 * squares));
  }

  /** Whether squares come out the lighter the more they got. */
  private static boolean against(List<CardSample> samples) {
    int rising = 0;
    int falling = 0;
    for (CardSample a : samples) {
      for (CardSample b : samples) {
        if (a != b && a.noGentlerThan(b) && !b.noGentlerThan(a)) {
          rising += a.darkness() > b.darkness() ? 1 : 0;
          falling += a.darkness() < b.darkness() ? 1 : 0;
        }
      }
    }
    return rising + falling > 8 && (rising - falling) / (double) (rising + falling) < AGAINST;
  }

  private static CardsFinding byEye(CardGrades grades, List<Message> warnings) {
    Optional<Chosen> fastest = grades.fastest();
    Optional<Chosen> steadiest = grades.steadiest();
    if (fastest.isEmpty()) {
      boolean light =
          grades.rows().stream().flatMap(List::stream).allMatch(g -> g == Grade.TOO_LIGHT);
      return plain(
          Verdict.MEASURE_AGAIN,
          List.of(Advice.read(light ? "cards.eye.stronger" : cut(grades))),
          warnings);
    }
    List<Advice> advice = new ArrayList<>();
    if (grades.grid().stepped()) {
      advice.addAll(SteppedCard.advice(fastest.get(), steadiest.get(), false));
    } else {
      advice.add(Advice.leave("cards.eye.set", percent(fastest.get()), speed(fastest.get())));
      if (!steadiest.equals(fastest)) {
        advice.add(
            Advice.leave("cards.choose.steadier", percent(steadiest.get()), speed(steadiest.get()))
                .because("cards.eye.steadier.why"));
      }
      advice.add(Advice.leave("cards.confirm").because("cards.confirm.why"));
    }
    return SteppedCard.chosen(fastest, steadiest, Verdict.WITHIN, advice, warnings);
  }

  /** What to do where none is as wanted; what cut but scorched one face has its own cure. */
  private static String cut(CardGrades grades) {
    List<Grade> all = grades.rows().stream().flatMap(List::stream).toList();
    boolean cutting = grades.wanted() == Grade.CUT_THROUGH;
    if (cutting && all.contains(Grade.BACK_SCORCHED)) {
      return "cards.eye.back-scorched";
    }
    return cutting && all.contains(Grade.FRONT_SCORCHED)
        ? "cards.eye.front-scorched"
        : "cards.eye.finer";
  }

  private static Amount percent(Chosen c) {
    return Amount.of(c.percent(), Quantity.PERCENT, c.percent() < 10 ? 1 : 0);
  }

  private static Amount speed(Chosen c) {
    return Amount.of(c.speedMmS(), Quantity.SPEED, c.speedMmS() < 20 ? 1 : 0);
  }

  private static CardsFinding again(
      ReadFor what, CardScanFinding scan, List<CardSample> now, List<Message> warnings) {
    List<CardSample> kept = what.kept().orElseThrow();
    if (kept.isEmpty()) {
      return read(
          scan, Verdict.MEASURE_AGAIN, List.of(Advice.read("cards.no-kept-card")), warnings);
    }
    CardDriftFinding drift = CardDrift.solve(new CardDriftReadings(kept, now, resolution(scan)));
    if (what.control().isPresent() && drift.powerRatio().isPresent()) {
      ControlSquare control = ControlSquare.of(drift, kept, what.control().get(), resolution(scan));
      warnings.addAll(control.drift().warnings());
      return drifted(
          scan,
          control.drift(),
          control.batch(),
          control.drift().verdict(),
          control.advice(),
          warnings);
    }
    warnings.addAll(drift.warnings());
    return drifted(scan, drift, Optional.empty(), drift.verdict(), drift.advice(), warnings);
  }

  private static CardsFinding drifted(
      CardScanFinding scan,
      CardDriftFinding drift,
      Optional<Estimate> batch,
      Verdict verdict,
      List<Advice> advice,
      List<Message> warnings) {
    return new CardsFinding(
        Optional.of(scan),
        Optional.empty(),
        Optional.of(drift),
        batch,
        Optional.empty(),
        Optional.empty(),
        verdict,
        advice,
        warnings);
  }

  /** A spoilt trial of a setting from the book puts the book in doubt; any other only teaches. */
  private static CardsFinding tried(Trial trial, List<Message> warnings) {
    boolean good = trial.result() == Trial.Result.GOOD;
    if (!trial.ofBook()) {
      return plain(
          Verdict.MEASURE_AGAIN,
          List.of(Advice.leave(good ? "cards.tried.put-in-book" : "cards.tried.kept")),
          warnings);
    }
    return plain(
        good ? Verdict.WITHIN : Verdict.ADJUST,
        List.of(
            good
                ? Advice.leave("cards.tried.holds")
                : Advice.act("cards.tried.compare").because("cards.tried.compare.why")),
        warnings);
  }

  /** What the notebook shows. */
  public static List<Figure> figures(CardsReadings r, CardsFinding f) {
    List<Figure> figures = new ArrayList<>();
    f.drift()
        .filter(d -> d.powerRatio().isPresent())
        .ifPresent(d ->
            figures.add(
                Figure.of("ratio", d.powerRatio().getAsDouble(), Quantity.NUMBER)
                    .uncertain(d.powerRatioUncertainty().orElse(0))));
    f.batch().ifPresent(b -> figures.add(Figure.of("batch", b, Quantity.NUMBER)));
    f.fastest()
        .ifPresent(c -> {
          figures.add(Figure.of("percent", c.percent(), Quantity.PERCENT));
          figures.add(Figure.of("speed", c.speedMmS(), Quantity.SPEED));
          c.all().ifPresent(s -> steps(figures, s));
        });
    f.choice()
        .flatMap(c -> c.fastest().setting())
        .ifPresent(s -> figures.add(Figure.of("darkness", s.darkness(), Quantity.NUMBER)));
    f.steadiest()
        .ifPresent(c -> {
          figures.add(Figure.of("steadyPercent", c.percent(), Quantity.PERCENT));
          figures.add(Figure.of("steadySpeed", c.speedMmS(), Quantity.SPEED));
        });
    if (r.task() instanceof CardsTask.ByDepth d) {
      f.fastest()
          .flatMap(c -> deepest(d, c))
          .ifPresent(mm ->
              figures.add(
                  Figure.of(
                      "depth",
                      new Estimate(mm, Resolution.standardDeviation(d.resolutionMm())),
                      Quantity.LENGTH)));
    }
    if (r.task() instanceof CardsTask.Tried(Trial t)) {
      figures.add(Figure.of("percent", t.percent(), Quantity.PERCENT));
      figures.add(Figure.of("speed", t.speedMmS(), Quantity.SPEED));
      OptionalDouble depth = t.depthMm();
      depth.ifPresent(mm -> figures.add(Figure.of("depth", mm, Quantity.LENGTH)));
    }
    return figures;
  }

  /** How deep the square of a setting went. */
  private static Optional<Double> deepest(CardsTask.ByDepth d, Chosen chosen) {
    return IntStream.range(0, d.grid().rows() * d.grid().columns())
        .filter(i ->
            SteppedCard.chosen(d.grid(), i % d.grid().columns(), i / d.grid().columns())
                .equals(chosen))
        .mapToObj(i -> d.rowsMm().get(i / d.grid().columns()).get(i % d.grid().columns()))
        .findFirst();
  }

  /** What a card of steps tells besides. */
  private static void steps(List<Figure> figures, CardSetting s) {
    s.intervalMm().ifPresent(v -> figures.add(Figure.of("interval", v, Quantity.LINE_INTERVAL)));
    s.passes().ifPresent(v -> figures.add(Figure.of("passes", v, Quantity.NUMBER)));
    s.khz().ifPresent(v -> figures.add(Figure.of("khz", v, Quantity.PULSE_RATE)));
    s.pulseNs().ifPresent(v -> figures.add(Figure.of("pulse", v, Quantity.PULSE_LENGTH)));
    s.wobbleMm().ifPresent(v -> figures.add(Figure.of("wobble", v, Quantity.LENGTH)));
  }

  private static List<Message> said(CardsReadings r, CardsFinding f) {
    List<Message> said = new ArrayList<>();
    f.darkness()
        .ifPresent(d -> {
          double lightest =
              d.squares().stream().mapToDouble(s -> s.darkness().value()).min().orElse(0);
          double darkest =
              d.squares().stream().mapToDouble(s -> s.darkness().value()).max().orElse(0);
          said.add(
              Message.of(
                  "cards.summary.scan",
                  d.squares().size(),
                  Amount.of(lightest, Quantity.NUMBER, 2),
                  Amount.of(darkest, Quantity.NUMBER, 2)));
          // Bands that are seen side by side: the lines lie too far apart there.
          d.squares().stream()
              .filter(s -> s.banding().orElse(0) > SteppedCard.SEEN)
              .max(Comparator.comparingDouble(s -> s.banding().orElse(0)))
              .ifPresent(s ->
                  said.add(
                      Message.of(
                          "cards.summary.bands",
                          Amount.of(s.banding().orElse(0), Quantity.NUMBER, 2),
                          s.column() + 1,
                          s.row() + 1)));
        });
    if (!r.book().isEmpty()) {
      said.add(Message.of("cards.summary.book", r.book().size()));
    }
    return said;
  }
}
