package zebrawood.desktop.lens;

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
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.SubjectName;
import zebrawood.lens.LensCompared;
import zebrawood.lens.LensJob;
import zebrawood.lens.LensOptics;
import zebrawood.lens.LensReadings;
import zebrawood.lens.LensShape;
import zebrawood.lens.LensStation;
import zebrawood.lens.LensVisit;
import zebrawood.lens.LensVisit.Item;
import zebrawood.lens.LensVisitFinding;
import zebrawood.lens.LensVisitReadings;
import zebrawood.lens.RackLens;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The lens station at one machine, for the lens that is on it. */
public final class LensModel extends StationModel<LensVisitReadings, LensVisitFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(LensStation.STATION, LensModel::new)
          .cautioning(LensStation::caution)
          .with(Solver.of("lens", LensReadings.class, LensOptics::solve));

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
  private final QuantityField mostTaper = form().positive("mostTaper", MM, 100);
  private final QuantityField trialDepth = form().positive("trialDepth", MM, 1000);
  private final QuantityField pause =
      form().quantity("pause", Quantity.TIME, 0, LensJob.LONGEST_PAUSE_S);
  private final Group<RackRow> rack;
  private final Proofs<Item> proofs = form().proofs(List.of(Item.values()));

  public LensModel(Ledger ledger, DisplayUnits units) {
    super(new StationForm("lens", units), LensVisit.VISIT);
    machine = ledger.machine();
    fitted = ledger.subjectNow(LensStation.STATION);
    List<LensShape> shapes = LensShape.known(machine.source().wavelengthNm());
    shape = form().choice("shape", Message.of("lens.field.shape"), shapes, shapes.getFirst());
    rack = form().group("rack", 1, MOST_IN_RACK, i -> RackRow.make(form(), i, shapes));
    List<Lens> told = machine.lenses().orElse(List.of());
    told.stream()
        .filter(l -> fitted.map(f -> SubjectName.same(f, l.called())).orElse(told.size() == 1))
        .findFirst()
        .ifPresent(this::take);
    fillRack(told);
    startSolving();
  }

  private void take(Lens lens) {
    if (!lens.knownByField()) {
      focal.set(lens.focalLengthMm());
    }
    lens.fieldMm().ifPresent(field::set);
    lens.beamMm().ifPresent(beam::set);
  }

  /** The machine's other lenses, as they stand with the machine. */
  private void fillRack(List<Lens> told) {
    List<Lens> others =
        told.stream()
            .filter(l -> fitted.filter(f -> SubjectName.same(f, l.called())).isEmpty())
            .limit(MOST_IN_RACK)
            .toList();
    if (fitted.isPresent() && !others.isEmpty()) {
      rack.resize(others.size());
      for (int i = 0; i < others.size(); i++) {
        rack.rows().get(i).set(others.get(i));
      }
    }
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

  @Override
  protected Stream<Field> used() {
    return Stream.concat(
        Stream.of(
            focal, field, working, beam, m2, thickness, trialDepth, pause, mostTaper, finest, area),
        rack.rows().stream().flatMap(r -> r.fields().stream()));
  }

  @Override
  protected LensVisitReadings readings() {
    boolean engraved = focal.value().isPresent() || field.value().isPresent();
    return new LensVisitReadings(
        proofs.answers(), engraved ? Optional.of(rack()) : Optional.empty());
  }

  /** Of beams at the lens, 1/e², as data sheets of such sources give them. */
  private double usualBeamMm() {
    return switch (machine.source().kind()) {
      case CO2_GLASS_TUBE -> 7;
      case CO2_RF_TUBE -> 5;
      case DIODE -> 4;
      case FIBRE, MOPA_FIBRE -> 7;
      case UV -> 8;
    };
  }

  private List<LensVisit.Assumed> assumed() {
    List<LensVisit.Assumed> assumed = new ArrayList<>();
    if (beam.value().isEmpty()) {
      assumed.add(LensVisit.Assumed.BEAM);
    }
    if (focal.value().isEmpty()) {
      assumed.add(LensVisit.Assumed.FOCAL_LENGTH);
    }
    if (m2.value().isEmpty()) {
      assumed.add(LensVisit.Assumed.BEAM_QUALITY);
    }
    return assumed;
  }

  private LensVisit.Rack rack() {
    return new LensVisit.Rack(
        new LensCompared.Beam(
            machine.source().wavelengthNm(),
            beam.value().orElse(usualBeamMm()),
            m2.value().orElse(usualM2())),
        new RackLens(
            fitted.orElse(ON),
            focal.value().orElseGet(() -> Lens.focalForField(field.number())),
            shape.get(),
            field.value(),
            Optional.empty()),
        rack.rows().stream().filter(RackRow::told).map(RackRow::lens).toList(),
        new LensJob(
            thickness.value(),
            finest.value(),
            area.value(),
            mostTaper.value(),
            trialDepth.value(),
            pause.value()),
        machine.build().headTravels()
            ? OptionalDouble.of(Math.max(machine.areaXMm(), machine.areaYMm()))
            : OptionalDouble.empty(),
        assumed().isEmpty() ? Optional.empty() : Optional.of(assumed()));
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("lens.fitting", "sheet.keys"),
        Part.rows(proofs.fields()),
        Part.hint("lens.optics.hint"),
        Part.rows(focal, beam),
        new Part.ReadingStatus(),
        Part.fold("lens.more", Part.rows(shape, m2, field, working)),
        Part.fold(
            "lens.job",
            Part.hint("lens.job.hint"),
            Part.rows(thickness, trialDepth, pause, mostTaper, finest, area)),
        Part.fold("lens.rack", Part.hint("lens.rack.hint"), RackRow.part(rack)));
  }

  /** Only the trial cut is. */
  @Override
  protected boolean burns() {
    return !trialDepth.isEmpty();
  }

  @Override
  public void draw(Canvas on) {
    new LensPicture(on).draw(solved().map(f -> f.finding()), thickness.value());
  }

  @Override
  public boolean hasPaperDrawing() {
    return solved().flatMap(f -> f.finding().on()).isPresent();
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<LensVisitReadings, LensVisitFinding> solved) {
    return tiles(
        solved,
        assumed().isEmpty() ? always("spot", beam) : known("spotAssumed"),
        known("depthAssumed"),
        known("depth"),
        known("interval"),
        known("edge"));
  }
}
