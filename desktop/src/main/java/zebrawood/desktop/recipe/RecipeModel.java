package zebrawood.desktop.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.Proofs;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.recipe.EdgeSign;
import zebrawood.recipe.Recipe;
import zebrawood.recipe.Recipe.FocusFrom;
import zebrawood.recipe.Recipe.Gas;
import zebrawood.recipe.Recipe.Nozzle;
import zebrawood.recipe.Recipe.Origin;
import zebrawood.recipe.Recipe.Stage;
import zebrawood.recipe.RecipeFinding;
import zebrawood.recipe.RecipeReadings;
import zebrawood.recipe.RecipeStation;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** What one sheet is cut with on a cutting head. */
public final class RecipeModel extends StationModel<RecipeReadings, RecipeFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(RecipeStation.STATION, RecipeModel::new);

  private static final int MOST_STAGES = 6;

  private final WordsField sheet = form().plainWords("sheet");
  private final QuantityField thickness = form().positive("thickness", Quantity.LENGTH, 100);
  private final ChoiceField<Origin> origin = form().choice("origin", Origin.class, Origin.COPIED);
  private final ChoiceField<Gas> gas = form().choice("gas", Gas.class, Gas.NITROGEN);
  private final QuantityField pressure = form().quantity("pressure", Quantity.GAS_PRESSURE, 0, 40);
  private final QuantityField nozzle = form().positive("nozzle", Quantity.LENGTH, 10);
  private final ChoiceField<Nozzle> nozzleKind =
      form().choice("nozzleKind", Nozzle.class, Nozzle.SINGLE);
  private final QuantityField standOff = form().quantity("standOff", Quantity.LENGTH, 0, 30);
  private final QuantityField focus = form().quantity("focus", Quantity.LENGTH, -60, 60);
  private final ChoiceField<FocusFrom> focusFrom =
      form().choice("focusFrom", FocusFrom.class, FocusFrom.SHEET_TOP);
  private final QuantityField power = form().positive("power", Quantity.PERCENT, 100);
  private final QuantityField speed = form().positive("speed", Quantity.SPEED, 5000);
  private final QuantityField frequency = form().positive("frequency", Quantity.PULSE_RATE, 1e6);
  private final QuantityField duty = form().positive("duty", Quantity.PERCENT, 100);
  private final QuantityField cooling = form().quantity("cooling", Quantity.TIME, 0, 60);
  private final Group<StageRow> stages;
  private final ChoiceField<CutOrNot> cut =
      form().choice("reading.cut", CutOrNot.class, CutOrNot.NOT_YET);
  private final Proofs<EdgeSign> seen = form().proofs(List.of(EdgeSign.values()));
  private final ChartSection chart;
  private final RecipePractice practice = new RecipePractice(this);
  private final Ledger ledger;

  private record StageRow(QuantityField seconds, QuantityField percent) {
    boolean begun() {
      return !seconds.isEmpty() || !percent.isEmpty();
    }
  }

  public RecipeModel(AtMachine at) {
    super(new StationForm("recipe", at.units()), RecipeStation.VISIT);
    ledger = at.ledger();
    stages = form().group("stage", 1, MOST_STAGES, this::stage);
    chart = new ChartSection(form(), sheet, thickness, this::take);
    ledger.subjectNow(RecipeStation.STATION).ifPresent(sheet::set);
    startSolving();
  }

  private StageRow stage(int i) {
    String at = "stage." + i + ".";
    return new StageRow(
        form().positive(at + "seconds", Message.of("recipe.field.seconds", i), Quantity.TIME, 60),
        form()
            .positive(
                at + "percent", Message.of("recipe.field.stagePower", i), Quantity.PERCENT, 100));
  }

  /** Types a recipe from a chart: it is copied, and was not cut. */
  private void take(Recipe r) {
    form()
        .allAtOnce(() -> {
          origin.set(r.origin());
          gas.set(r.gas());
          pressure.set(r.pressureBar());
          nozzle.set(r.nozzleMm());
          nozzleKind.set(r.nozzle());
          standOff.set(r.standOffMm());
          focus.set(r.focusMm());
          focusFrom.set(r.focusFrom());
          power.set(r.powerPercent());
          speed.set(r.speedMmS());
          r.frequencyKhz().ifPresent(frequency::set);
          r.dutyPercent().ifPresent(duty::set);
          r.coolingS().ifPresent(cooling::set);
          stages.resize(Math.max(1, r.piercing().size()));
          for (int i = 0; i < r.piercing().size(); i++) {
            stages.rows().get(i).seconds.set(r.piercing().get(i).seconds());
            stages.rows().get(i).percent.set(r.piercing().get(i).powerPercent());
          }
          cut.set(CutOrNot.NOT_YET);
        });
  }

  /** Types what was cut with, and what its edge shows. */
  void wasCut(Recipe with, List<EdgeSign> signs) {
    form()
        .allAtOnce(() -> {
          sheet.set(with.sheet());
          thickness.set(with.thicknessMm());
          take(with);
          cut.set(CutOrNot.CUT);
          Stream.of(EdgeSign.values()).forEach(s -> seen.of(s).set(signs.contains(s)));
        });
  }

  private List<StageRow> begunStages() {
    return stages.rows().stream().filter(StageRow::begun).toList();
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(chart);
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(needed(), Stream.of(frequency, duty, cooling));
  }

  @Override
  protected Stream<Field> needed() {
    return Stream.concat(
        Stream.of(sheet, thickness, pressure, nozzle, standOff, focus, power, speed),
        begunStages().stream().flatMap(s -> Stream.of(s.seconds, s.percent)));
  }

  /** What was on the machine when somebody last wrote it down, whatever sheet that was for. */
  private Optional<Recipe> before() {
    return context()
        .map(c -> c.workshop().opened().ledger())
        .orElse(ledger)
        .entriesAt(RecipeStation.STATION)
        .reversed()
        .stream()
        .filter(e -> !e.unread())
        .findFirst()
        .flatMap(e -> KeptReadings.read(e, RecipeReadings.class))
        .map(RecipeReadings::recipe);
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    solveAgain();
  }

  @Override
  protected RecipeReadings readings() {
    OptionalDouble khz = frequency.value();
    OptionalDouble on = duty.value();
    return new RecipeReadings(
        new Recipe(
            sheet.text().strip(),
            thickness.number(),
            gas.get(),
            pressure.number(),
            nozzle.number(),
            nozzleKind.get(),
            standOff.number(),
            focus.number(),
            focusFrom.get(),
            power.number(),
            speed.number(),
            khz,
            on,
            begunStages().stream()
                .map(s -> new Stage(s.seconds.number(), s.percent.number()))
                .toList(),
            cooling.value(),
            origin.get()),
        before(),
        cut.get() == CutOrNot.CUT,
        cut.get() == CutOrNot.CUT
            ? Stream.of(EdgeSign.values())
                .filter(s -> seen.of(s).so().filter(so -> so).isPresent())
                .toList()
            : List.of());
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("recipe.sheet", "sheet.keys"),
        Part.rows(sheet),
        Part.rows(thickness, origin),
        chart.part(),
        Part.heading("recipe.gas-and-nozzle", "sheet.keys"),
        Part.rows(gas, pressure, nozzle, nozzleKind, standOff),
        Part.heading("recipe.beam", "sheet.keys"),
        Part.rows(focus, focusFrom, power, speed, frequency, duty, cooling),
        Part.fold(
            "recipe.stages",
            new Part.GrowingRows(
                stages,
                List.of(Message.of("recipe.heading.seconds"), Message.of("recipe.heading.power")),
                Message.of("recipe.another-stage"))),
        new Part.ReadingStatus(),
        Part.heading("recipe.edge", "recipe.edge.why"),
        Part.rows(cut),
        Part.rows(seen.fields()),
        new Part.PracticeEntry());
  }

  @Override
  public void draw(Canvas on) {
    new NozzlePicture(on).draw(solved());
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<RecipeReadings, RecipeFinding> solved) {
    RecipeFinding f = solved.finding();
    List<FigureTile> tiles = new ArrayList<>();
    FigureTile changes =
        FigureTile.of(
            Message.of("recipe.tile.changes"), Amount.of(f.changes().size(), Quantity.NUMBER, 0));
    tiles.add(
        f.changes().isEmpty()
            ? changes.with(Message.of("recipe.tile.nothing"))
            : changes.with(Message.list(f.changes().stream().limit(3).map(Message::of).toList())));
    Recipe r = solved.readings().recipe();
    tiles.add(
        FigureTile.of(
            Message.of("recipe.figure.speed"), Amount.of(r.speedMmS(), Quantity.SPEED, 0)));
    tiles.add(
        FigureTile.of(
            Message.of("recipe.figure.pressure"),
            Amount.of(r.pressureBar(), Quantity.GAS_PRESSURE, 1)));
    tiles.add(FigureTile.of(Message.of("recipe.figure.focus"), Amount.mm(r.focusMm(), 2)));
    return tiles;
  }

  @Override
  protected boolean burns() {
    return true;
  }

  @Override
  public Optional<Practice<?, ?, RecipeReadings, RecipeFinding>> practice() {
    return Optional.of(practice);
  }
}
