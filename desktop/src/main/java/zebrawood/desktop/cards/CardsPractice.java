package zebrawood.desktop.cards;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import zebrawood.cards.CardGrid;
import zebrawood.cards.CardPlan;
import zebrawood.cards.CardPlanReadings;
import zebrawood.cards.CardSample;
import zebrawood.cards.CardSetting;
import zebrawood.cards.CardSteps;
import zebrawood.cards.CardsFinding;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.cards.CardsReadings;
import zebrawood.cards.Grade;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.cards.SimulatedJob;
import zebrawood.devices.cards.StandInStock;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * Practice on a made-up stock: the card is written, run as a controller runs it, scanned and read;
 * the chosen setting is burnt, and how dark it truly came out is told.
 */
final class CardsPractice
    extends Practice<CardsModel, CardsPractice.Bench, CardsReadings, CardsFinding> {
  private static final double TOP_WORD = 1000;
  private static final double TRAVEL_MM_S = 300;
  private static final double WANTED = 0.5;
  private static final double PRESSED_TO_PX = 5;
  private static final double READ_TO = 0.02;

  /** Of a scan that shall tell bands, and what a scanner has at most. */
  private static final double PX_A_LINE = 6;

  private static final double FINEST_PX_PER_MM = 47;

  private static final double USUAL_APART_MM = 0.1;

  private static final double DEPTH_READ_TO_MM = 0.02;

  /** Lines that lie further apart are seen one by one. */
  private static final double BANDS_FROM_MM = 0.17;

  /** To the eye. */
  private static final double GOOD_BY = 0.12;

  /** The stock, and what was burnt on it. */
  static final class Bench {
    final StandInStock stock;
    final SimulatedJob controller;
    final Random hand;
    List<CardSample> card = List.of();
    Optional<Chosen> set = Optional.empty();

    Bench(StandInStock stock, SimulatedJob controller, Random hand) {
      this.stock = stock;
      this.controller = controller;
      this.hand = hand;
    }
  }

  CardsPractice(CardsModel model) {
    super(model);
  }

  @Override
  protected Bench make(long number) {
    Random hand = new Random(number + 1);
    return new Bench(new StandInStock(number), new SimulatedJob(TOP_WORD, true, TRAVEL_MM_S), hand);
  }

  @Override
  protected void prepare() {
    model.form().clearVisit();
    model.practiseWith(List.of());
    model.grid.across.set(StepOf.POWER);
    model.grid.up.set(StepOf.SPEED);
    model.grid.powerLeast.set(10);
    model.grid.powerMost.set(60);
    model.grid.columns.set(6);
    model.grid.speedLeast.set(60);
    model.grid.speedMost.set(400);
    model.grid.rows.set(5);
    model.grid.interval.set(0.1);
    model.plan.squareW.set(6);
    model.plan.squareH.set(6);
    model.plan.gap.set(2);
    model.plan.topWord.set(TOP_WORD);
    if (model.wanted.isEmpty()) {
      model.wanted.set(WANTED);
    }
  }

  @Override
  protected void read(Bench on) {
    switch (model.way.get()) {
      case SCAN -> scan(on);
      case FIGURES -> figures(on);
      case EYE -> look(on);
      case DEPTH -> depths(on);
      case TRIAL -> {}
    }
  }

  private void scan(Bench on) {
    Optional<PlanSection.Geometry> card = model.plan.geometryNow();
    if (card.isEmpty()) {
      return;
    }
    model.make(
        p -> burnt(on, card.get()),
        file -> {
          if (running() && standIn() == on) {
            model.form().allAtOnce(() -> press(on, card.get(), file));
          }
        });
  }

  /** The scan's file, with where it shows the crosses. */
  private record Scanned(String file, List<double[]> crosses) {}

  private static Scanned burnt(Bench on, PlanSection.Geometry card) throws IOException {
    CardGrid grid = card.grid();
    List<List<Double>> crosses = card.crossesMm();
    double at = 60;
    CardPlanReadings plan =
        new CardPlanReadings(
            grid.percents(),
            grid.speedsMmS(),
            List.of(card.wMm(), card.hMm()),
            card.gapMm(),
            List.of(at, at),
            grid.setting(0, 0).intervalMm().orElse(0.1),
            OptionalDouble.of(3000),
            List.of(1000.0, 1000.0),
            OptionalDouble.of(TOP_WORD),
            OptionalDouble.of(TRAVEL_MM_S),
            OptionalDouble.empty(),
            new CardPlanReadings.CrossAt(grid.percents().getLast(), grid.speedsMmS().getFirst()),
            OptionalInt.empty(),
            burnable(grid.across()),
            burnable(grid.up()),
            Optional.empty());
    String program = CardPlan.solve(plan).gcode().text().orElseThrow();
    StandInStock.Scan scan =
        on.stock.scan(
            on.controller.run(program),
            at + crosses.get(0).get(0),
            at + crosses.get(0).get(1),
            crosses.get(2).get(0) - crosses.get(0).get(0),
            crosses.get(2).get(1) - crosses.get(0).get(1),
            pxPerMm(grid));
    Path file = Files.createTempFile("card", ".png");
    file.toFile().deleteOnExit();
    ImageIO.write(scan.image(), "png", file.toFile());
    return new Scanned(
        file.toString(), crosses.stream().map(c -> scan.px(at + c.get(0), at + c.get(1))).toList());
  }

  /** The stand-in is no pulsed source: it burns all frequencies, pulses and wobbles alike. */
  private static Optional<CardSteps> burnable(Optional<CardSteps> steps) {
    return steps.map(s ->
        s.figure().inProgram()
            ? s
            : new CardSteps(CardSteps.Step.PASSES, s.values().stream().map(v -> 1.0).toList()));
  }

  /** As fine as the closest lines ask for. */
  private static double pxPerMm(CardGrid grid) {
    double closest =
        Stream.concat(grid.across().stream(), grid.up().stream())
            .filter(s -> s.figure() == CardSteps.Step.INTERVAL)
            .flatMap(s -> s.values().stream())
            .mapToDouble(v -> v)
            .min()
            .orElse(1);
    return Math.clamp(PX_A_LINE / closest, StandInStock.PX_PER_MM, FINEST_PX_PER_MM);
  }

  private void press(Bench on, PlanSection.Geometry card, Scanned scanned) {
    model.photo.marks().path().set(scanned.file);
    for (int i = 0; i < scanned.crosses.size(); i++) {
      double[] px = scanned.crosses.get(i);
      model
          .photo
          .marks()
          .set(
              model.photo.marks().all().get(i),
              px[0] + PRESSED_TO_PX * (on.hand.nextDouble() - 0.5),
              px[1] + PRESSED_TO_PX * (on.hand.nextDouble() - 0.5));
    }
  }

  private double darkness(Bench on, CardSetting s) {
    double apart = s.intervalMm().orElse(model.grid.interval.value().orElse(USUAL_APART_MM));
    return on.stock.darkness(s.percent(), s.speedMmS(), apart / s.passes().orElse(1));
  }

  private void look(Bench on) {
    double wanted = model.wanted.value().orElse(WANTED);
    model.squares.set(
        lines(s -> {
          double dark = darkness(on, s);
          boolean bands = s.intervalMm().orElse(0) > BANDS_FROM_MM;
          Grade grade =
              Math.abs(dark - wanted) < GOOD_BY && !bands
                  ? Grade.GOOD
                  : dark < wanted || bands ? Grade.TOO_LIGHT : Grade.SCORCHED;
          return String.valueOf(grade.key());
        }),
        true);
  }

  /** As somebody reads them off with a hand-held meter. */
  private void figures(Bench on) {
    model.figuresTo.set(READ_TO);
    model.squares.set(
        lines(s -> {
          double dark = darkness(on, s) + READ_TO / 3 * on.hand.nextGaussian();
          return Math.round(100 * Math.clamp(dark, 0, 1)) / 100.0 + " ";
        }),
        false);
  }

  /** As a caliper's tip reads them. */
  private void depths(Bench on) {
    model.depth.readTo(DEPTH_READ_TO_MM);
    model.squares.setDepths(
        lines(s -> {
          double apart = s.intervalMm().orElse(model.grid.interval.value().orElse(USUAL_APART_MM));
          double mm =
              on.stock.depthMm(s.percent(), s.speedMmS(), apart / s.passes().orElse(1))
                  + DEPTH_READ_TO_MM / 3 * on.hand.nextGaussian();
          return Math.round(100 * Math.max(0, mm)) / 100.0 + " ";
        }));
  }

  /** A line for each row of squares, with what is said of each. */
  private List<String> lines(Function<CardSetting, String> said) {
    CardGrid grid = model.grid.grid();
    return IntStream.range(0, grid.rows())
        .mapToObj(row ->
            IntStream.range(0, grid.columns())
                .mapToObj(column -> said.apply(grid.setting(column, row)))
                .collect(Collectors.joining())
                .strip())
        .toList();
  }

  @Override
  protected void obey(Bench on, Outcome.Solved<CardsReadings, CardsFinding> solved) {
    List<CardSample> samples = model.samplesNow();
    boolean plain = !solved.readings().task().grid().stepped();
    if (plain && !samples.isEmpty() && model.purpose.get() == Purpose.LOOK) {
      on.card = samples;
      model.practiseWith(samples);
    }
    on.set = solved.finding().fastest().or(() -> on.set);
  }

  @Override
  protected Message stands(Bench on) {
    return on.set
        .map(c ->
            Message.of(
                "cards.practice.stands",
                Amount.of(
                    darkness(
                        on,
                        c.all()
                            .orElse(
                                CardSetting.of(
                                    c.percent(), c.speedMmS(), model.grid.interval.value()))),
                    Quantity.NUMBER,
                    2),
                Amount.of(model.wanted.value().orElse(WANTED), Quantity.NUMBER, 2)))
        .orElse(Message.of("cards.practice.nothing-set"));
  }

  @Override
  protected Message best(Bench on) {
    return Message.of("cards.practice.best");
  }

  @Override
  protected List<Deed<Bench>> deeds() {
    return List.of(
        Deed.of(Message.of("cards.practice.age"), on -> on.stock.weaken(0.85)),
        Deed.of(Message.of("cards.practice.batch"), on -> on.stock.otherBatch()));
  }
}
