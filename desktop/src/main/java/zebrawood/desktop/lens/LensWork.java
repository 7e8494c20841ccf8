package zebrawood.desktop.lens;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.sheet.FigureTile;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.stations.StationDefinition;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.lens.LensCompared;
import zebrawood.lens.LensJob;
import zebrawood.lens.LensOptics;
import zebrawood.lens.LensReadings;
import zebrawood.lens.LensShape;
import zebrawood.lens.LensStation;
import zebrawood.lens.LensVisit;
import zebrawood.lens.LensVisit.Item;
import zebrawood.lens.LensVisit.Proof;
import zebrawood.lens.RackLens;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The lens station at one machine, for the lens that is on it. */
public final class LensWork extends StationWork<LensVisit.Readings, LensVisit.Found> {
  public static final StationDefinition DEFINITION =
      new StationDefinition(
          LensStation.STATION,
          LensWork::new,
          Solver.of("lens", LensReadings.class, LensOptics::solve, Set.of()));

  private static final Quantity MM = Quantity.LENGTH;
  private static final int MOST_IN_RACK = 8;

  /** What the lens that is on is called where nobody named it. */
  private static final String ON = "on";

  private final Machine machine;
  private final Optional<String> fitted;
  private final QuantityField focal = form().positive("focal", MM, 5000);
  private final QuantityField field = form().positive("field", MM, 5000);
  private final QuantityField working = form().positive("working", MM, 5000);
  private final QuantityField beam = form().positive("beam", MM, 500);
  private final QuantityField m2 = form().quantity("m2", Quantity.NUMBER, 1, 1000);
  private final QuantityField thickness = form().positive("thickness", MM, 1000);
  private final QuantityField finest = form().positive("finest", MM, 100);
  private final QuantityField area = form().positive("area", MM, 10_000);
  private final ChoiceField<LensShape> shape;
  private final ChoiceField<LensJob.Stock> stock =
      form().choice("stock", LensJob.Stock.class, LensJob.Stock.WOOD);
  private final Group<RackRow> rack;
  private final Map<Item, ProofField> proofs = new EnumMap<>(Item.class);

  public LensWork(Ledger ledger, DisplayUnits units) {
    super(new StationForm("lens", units));
    machine = ledger.machine();
    fitted = ledger.subjectNow(LensStation.STATION);
    List<LensShape> shapes = shapes();
    shape = form().choice("shape", Message.of("lens.field.shape"), shapes, shapes.getFirst());
    rack = form().group("rack", 1, MOST_IN_RACK, i -> RackRow.make(form(), i, shapes));
    for (Item item : Item.values()) {
      proofs.put(item, form().proof(item));
    }
    machine.lenses().filter(l -> l.size() == 1).map(List::getFirst).ifPresent(this::take);
    m2.set(usualM2());
    begin();
  }

  private void take(Lens lens) {
    focal.set(lens.focalLengthMm());
    lens.fieldMm().ifPresent(field::set);
  }

  /** Where aberration of a shape is not known, only an ideal lens can be reckoned with. */
  private List<LensShape> shapes() {
    return LensShape.known(machine.source().wavelengthNm());
  }

  /** Data sheets' usual figures; what is typed counts. */
  private double usualM2() {
    return switch (machine.source().kind()) {
      case CO2_GLASS_TUBE -> 1.3;
      case CO2_RF_TUBE, UV -> 1.2;
      case FIBRE, MOPA_FIBRE -> 1.5;
      case DIODE -> 8;
    };
  }

  private List<QuantityField> optics() {
    return List.of(focal, beam, m2);
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(
        Stream.of(focal, field, working, beam, m2, thickness, finest, area),
        rack.rows().stream().flatMap(r -> r.fields().stream()));
  }

  @Override
  protected LensVisit.Readings readings() {
    return new LensVisit.Readings(
        answered(proofs, Proof::new),
        optics().stream().allMatch(f -> f.value().isPresent())
            ? Optional.of(rack())
            : Optional.empty());
  }

  private LensVisit.Rack rack() {
    return new LensVisit.Rack(
        new LensCompared.Beam(machine.source().wavelengthNm(), beam.number(), m2.number()),
        new RackLens(fitted.orElse(ON), focal.number(), shape.get(), field.value()),
        rack.rows().stream().filter(RackRow::told).map(RackRow::lens).toList(),
        new LensJob(thickness.value(), finest.value(), area.value(), stock.get()),
        machine.build().headTravels()
            ? OptionalDouble.of(Math.max(machine.areaXMm(), machine.areaYMm()))
            : OptionalDouble.empty());
  }

  @Override
  protected LensVisit.Found solve(LensVisit.Readings readings) {
    return LensVisit.solve(readings);
  }

  @Override
  public List<Figure> figures(LensVisit.Readings readings, LensVisit.Found finding) {
    return LensVisit.figures(readings, finding);
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("lens.fitting", "sheet.keys"),
        new Part.Rows(List.copyOf(proofs.values())),
        Part.hint("lens.optics.hint"),
        Part.rows(focal, beam),
        new Part.Told(),
        Part.fold("lens.more", Part.rows(shape, m2, field, working)),
        Part.fold(
            "lens.job", Part.hint("lens.job.hint"), Part.rows(thickness, finest, area, stock)),
        Part.fold(
            "lens.rack",
            Part.hint("lens.rack.hint"),
            new Part.Rowed(
                rack,
                List.of(
                    Message.of("lens.rack.heading-name"),
                    Message.of("lens.rack.heading-focal"),
                    Message.of("lens.rack.heading-field"),
                    Message.of("lens.rack.heading-shape")),
                Message.of("lens.rack.another"))));
  }

  @Override
  public void draw(Canvas on) {
    new LensPicture(on).draw(found().map(f -> f.finding()), thickness.value());
  }

  @Override
  public boolean hasPaperPicture() {
    return found().flatMap(f -> f.finding().on()).isPresent();
  }

  @Override
  public Message whyRead() {
    return Message.of("lens.why-read");
  }

  @Override
  public Message caution() {
    return Message.of("lens.caution");
  }

  @Override
  public List<FigureTile> tiles(Outcome.Found<LensVisit.Readings, LensVisit.Found> found) {
    if (found.finding().on().isEmpty()) {
      return List.of(
          FigureTile.unknown(
              Message.of("lens.figure.spot"), Message.of("tile.would-tell", beam.label())));
    }
    List<FigureTile> tiles = super.tiles(found);
    return tiles.subList(1, tiles.size());
  }

  /** Every lens of the rack in a sentence, with what speaks against it. */
  @Override
  public List<Message> summary(Outcome.Found<LensVisit.Readings, LensVisit.Found> found) {
    List<Message> sentences = new ArrayList<>();
    for (LensCompared c : found.finding().compared()) {
      Message does =
          Message.of(
              "lens.summary.does",
              c.lens().name(),
              Amount.mm(c.optics().spotMm(), 3),
              Amount.mm(c.optics().depthOfFieldMm(), 2),
              Amount.mm(c.narrowestIntervalMm(), 3));
      c.taperMm()
          .ifPresent(mm ->
              sentences.add(
                  Message.of(
                      "lens.summary.cut",
                      c.lens().name(),
                      Amount.mm(c.optics().spotMm(), 3),
                      Amount.mm(c.optics().edgeSpotMm().orElseThrow(), 3),
                      Amount.mm(mm, 3))));
      c.fieldMm()
          .ifPresent(mm ->
              sentences.add(Message.of("lens.summary.field", c.lens().name(), Amount.mm(mm, 0))));
      sentences.add(
          c.suits() ? does : Message.of("lens.summary.but", does, Message.list(c.against())));
    }
    found.finding().best().ifPresent(name -> sentences.add(Message.of("lens.summary.best", name)));
    return sentences;
  }
}
