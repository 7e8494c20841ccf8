package zebrawood.desktop.start;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.command.Command;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.SheetContext;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.station.Step;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.records.start.GoCardPage;
import zebrawood.start.GoCard;
import zebrawood.start.GoLine;
import zebrawood.start.Start;
import zebrawood.start.StartFinding;
import zebrawood.start.StartReadings;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartReadings.Asked;
import zebrawood.start.StartStation;
import zebrawood.words.Advice;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** The start-up station at one machine: the go card, a key a line. */
public final class StartModel extends StationModel<StartReadings, StartFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(StartStation.STATION, StartModel::new)
          .cautioning(StartStation::caution)
          .commanding(StartModel::commands)
          .guarding(new DailyProof());

  private static final String PAGE_KIND = "go-card";

  private final boolean water;
  private final OptionalDouble warmestC;
  private final QuantityField coolant =
      form().quantity("reading.coolant", Quantity.TEMPERATURE, -40, 100);
  private Optional<GoLine> here = Optional.empty();
  private final Map<GoLine, ProofField> proofs = new LinkedHashMap<>();
  private final ReadOnlyObjectWrapper<GoCard> card = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Message> earlier = new ReadOnlyObjectWrapper<>(Message.NONE);

  public StartModel(Ledger ledger, DisplayUnits units) {
    super(new StationForm("start", units), Start.VISIT);
    water = ledger.machine().cooledByWater();
    warmestC =
        ledger.entries().reversed().stream()
            .filter(e -> e.stationId().equals(StartStation.COOLING))
            .findFirst()
            .flatMap(Entry::tellingFigure)
            .map(Figure::limit)
            .orElse(OptionalDouble.empty());
    ask(DailyProof.cardOf(ledger));
    startSolving();
  }

  /** Lines that are asked already keep their answers. */
  private void ask(GoCard now) {
    Map<GoLine, ProofField> before = new LinkedHashMap<>(proofs);
    proofs.clear();
    form()
        .forgetProofs(
            before.entrySet().stream()
                .filter(e -> !now.lines().contains(e.getKey()))
                .map(Map.Entry::getValue)
                .toList());
    for (GoLine line : now.lines()) {
      ProofField proof =
          before.containsKey(line) ? before.get(line) : form().proof(line.id(), line.said());
      proofs.put(line, proof);
      // A line that is only said in other words is the same line.
      before.entrySet().stream()
          .filter(e -> e.getKey().id().equals(line.id()) && proof.isEmpty())
          .forEach(e -> proof.set(e.getValue().get()));
    }
    card.set(now);
  }

  @Override
  protected StartReadings readings() {
    return new StartReadings(
        proofs.entrySet().stream().map(e -> new Asked(e.getKey(), answer(e.getValue()))).toList(),
        coolant.value(),
        warmestC,
        water);
  }

  private static Answer answer(ProofField proof) {
    return switch (proof.get()) {
      case YES -> Answer.YES;
      case NO -> Answer.NO;
      case NOT_YET -> proof.settledProperty().get() ? Answer.EARLIER : Answer.NOT_YET;
    };
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("start.card", "start.keys"),
        new Part.LiveText(earlier),
        new Part.Redrawn(card, this::lines),
        new Part.ReadingStatus(),
        new Part.Press(
            "start-print",
            Message.of("start.print"),
            () -> context().ifPresent(c -> write(c.host()))));
  }

  private List<Part> lines() {
    List<Part> parts = new ArrayList<>();
    for (GoLine.Kind kind : GoLine.Kind.values()) {
      List<ProofField> asked =
          proofs.entrySet().stream()
              .filter(e -> e.getKey().kind() == kind)
              .map(Map.Entry::getValue)
              .toList();
      if (!asked.isEmpty()) {
        parts.add(new Part.Hint(Message.of(kind)));
        parts.add(new Part.Rows(asked));
      }
    }
    if (water) {
      parts.add(Part.rows(coolant));
    }
    return parts;
  }

  private static List<Command> commands(SheetHost host) {
    return List.of(
        Command.of(Message.of("start.command.card"), "Ctrl+G", () -> open(host)),
        Command.of(Message.of("start.command.print"), () -> write(host)));
  }

  private static void open(SheetHost host) {
    host.open(StartStation.STATION.id());
  }

  private static void write(SheetHost host) {
    WorkshopModel workshop = host.workshop();
    Ledger ledger = workshop.opened().ledger();
    GoCard card = DailyProof.card(workshop);
    Phrasebook words = Text.words();
    ZoneId zone = workshop.clock().getZone();
    String day = DayWords.dayAndYear(workshop.clock().instant(), zone);
    var standings = workshop.opened().standings();
    host.write(
        new SheetHost.Page(
            Text.of("start.page.title", ledger.machine().name()),
            Text.of("start.page.why"),
            PAGE_KIND,
            false,
            remark ->
                GoCardPage.of(ledger.machine(), card, standings, day, zone, words).html(words)));
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    context()
        .ifPresent(c -> {
          GoCard now = DailyProof.card(c.workshop());
          Set<String> proven = DailyProof.proven(c.workshop(), now);
          form()
              .allAtOnce(() -> {
                if (!now.equals(card.get())) {
                  ask(now);
                }
                proofs.forEach((line, proof) ->
                    proof.settledProperty().set(onceADay(line) && proven.contains(line.id())));
              });
          long before = proofs.values().stream().filter(p -> p.settledProperty().get()).count();
          earlier.set(before == 0 ? Message.NONE : Message.of("start.earlier", before));
        });
  }

  private static boolean onceADay(GoLine line) {
    return line.kind().protects() || line.kind() == GoLine.Kind.SWITCH_ON;
  }

  /** The lines in the order of the card, as they stand. */
  Stream<Asked> asked() {
    return proofs.entrySet().stream().map(e -> new Asked(e.getKey(), answer(e.getValue())));
  }

  @Override
  public void draw(Canvas on) {
    CardPicture.draw(on, asked().collect(Collectors.toList()), now(), this::answer);
  }

  /** The line that has the focus, else the first that is not answered. */
  private Optional<GoLine> now() {
    return here.filter(proofs::containsKey)
        .or(() -> asked().filter(a -> a.answer() == Answer.NOT_YET).map(Asked::line).findFirst());
  }

  private void answer(Answer answer) {
    now()
        .ifPresent(line -> {
          proofs.get(line).set(answer == Answer.YES);
          here = Optional.empty();
          context().ifPresent(SheetContext::focusNext);
        });
  }

  @Override
  public void focused(Optional<Field> field) {
    here =
        proofs.entrySet().stream()
            .filter(e -> field.filter(e.getValue()::equals).isPresent())
            .map(Map.Entry::getKey)
            .findFirst();
  }

  /** Nothing is in order before everything was answered. */
  @Override
  public List<FigureTile> tiles(Outcome.Solved<StartReadings, StartFinding> solved) {
    long open = asked().filter(a -> a.answer() == Answer.NOT_YET).count();
    List<FigureTile> tiles = new ArrayList<>();
    Message all = Message.of("start.tile.of", proofs.size());
    FigureTile answered =
        FigureTile.of(
            Message.of("start.tile.answered"), Amount.of(proofs.size() - open, Quantity.LINES, 0));
    tiles.add(open == 0 ? answered.judged(true, all) : answered.with(all));
    int notSo = solved.finding().notSo();
    FigureTile faults =
        FigureTile.of(Message.of("start.figure.notSo"), Amount.of(notSo, Quantity.LINES, 0));
    tiles.add(open > 0 && notSo == 0 ? faults : faults.limited(Amount.of(0, Quantity.LINES, 0)));
    if (water) {
      Message name = Message.of("start.figure.coolant");
      tiles.add(
          coolant.value().isPresent()
              ? limited(
                  FigureTile.of(
                      name, Amount.of(coolant.value().getAsDouble(), Quantity.TEMPERATURE, 1)))
              : FigureTile.unknown(name, Message.of("tile.would-tell", coolant.label())));
    }
    return tiles;
  }

  private FigureTile limited(FigureTile tile) {
    return warmestC.isPresent()
        ? tile.limited(Amount.plain(warmestC.getAsDouble(), Quantity.TEMPERATURE))
        : tile;
  }

  /** What is not so, and one line that is next: all others stand on the card beside it. */
  @Override
  public List<Step> steps(Outcome.Solved<StartReadings, StartFinding> solved) {
    List<Advice> advice = solved.finding().advice();
    long open = asked().filter(a -> a.answer() == Answer.NOT_YET).count();
    boolean unread = water && coolant.value().isEmpty();
    int first = advice.size() - (int) open - (unread ? 1 : 0);
    List<Step> steps =
        new ArrayList<>(advice.stream().limit(Math.max(1, first + 1)).map(Step::of).toList());
    if (advice.size() > steps.size()) {
      steps.add(Step.of(Message.of("start.further", advice.size() - steps.size())));
    }
    return steps;
  }
}
