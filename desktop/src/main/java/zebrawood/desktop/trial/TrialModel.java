package zebrawood.desktop.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Proofs;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.cards.TrialArtwork;
import zebrawood.records.picture.Canvas;
import zebrawood.trial.TrialFinding;
import zebrawood.trial.TrialPiece;
import zebrawood.trial.TrialReadings;
import zebrawood.trial.TrialReadings.Cut;
import zebrawood.trial.TrialReadings.Where;
import zebrawood.trial.TrialStation;
import zebrawood.words.Message;

/** The trial piece of one machine. */
public final class TrialModel extends StationModel<TrialReadings, TrialFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(
          TrialStation.STATION, (ledger, units) -> new TrialModel(ledger.machine(), units));

  private static final Quantity MM = Quantity.LENGTH;
  private static final double SECONDS_A_MINUTE = 60;

  private final QuantityField drawnX = form().positive("drawnX", drawn("trial.x"), MM, 2000);
  private final QuantityField drawnY = form().positive("drawnY", drawn("trial.y"), MM, 2000);
  private final QuantityField tolerance = form().positive("tolerance", MM, 100);
  private final QuantityField readTo = form().positive("readTo", MM, 10);
  private final QuantityField measuredX =
      form().positive("reading.measuredX", measured("trial.x"), MM, 2000);
  private final QuantityField measuredY =
      form().positive("reading.measuredY", measured("trial.y"), MM, 2000);
  private final QuantityField comb = form().positive("reading.comb", MM, 30);
  private final QuantityField kerfMost = form().positive("kerfMost", MM, 10);
  private final QuantityField slant = form().quantity("reading.slant", MM, -50, 50);
  private final QuantityField slantMost = form().positive("slantMost", MM, 50);
  private final QuantityField minutes = form().positive("reading.minutes", Quantity.MINUTES, 6000);
  private final QuantityField mostMinutes = form().positive("mostMinutes", Quantity.MINUTES, 6000);
  private final WordsField photo = form().words("visit.photo");
  private final Proofs<Looked> looked = form().proofs(List.of(Looked.values()));
  private final ArtworkSection artwork = new ArtworkSection(form());

  public TrialModel(Machine machine, DisplayUnits units) {
    super(new StationForm("trial", units), TrialPiece.visit(machine.build() == Build.GALVO));
    drawnX.set(TrialArtwork.WIDE_MM);
    drawnY.set(TrialArtwork.HIGH_MM);
    startSolving();
  }

  private static Message drawn(String axis) {
    return Message.of("trial.field.drawn", Message.of(axis));
  }

  private static Message measured(String axis) {
    return Message.of("trial.field.measured", Message.of(axis));
  }

  private List<QuantityField> figures() {
    return List.of(measuredX, measuredY, comb, slant, minutes);
  }

  private List<QuantityField> limits() {
    return List.of(drawnX, drawnY, kerfMost, slantMost, mostMinutes);
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(artwork);
  }

  @Override
  protected Stream<Field> needed() {
    return Stream.of(tolerance, readTo, drawnX, drawnY);
  }

  @Override
  protected Stream<Field> used() {
    return Stream.of(Stream.of(tolerance, readTo), figures().stream(), limits().stream())
        .flatMap(f -> f);
  }

  private static OptionalDouble seconds(QuantityField typed) {
    return typed.value().isPresent()
        ? OptionalDouble.of(SECONDS_A_MINUTE * typed.number())
        : OptionalDouble.empty();
  }

  @Override
  protected TrialReadings readings() {
    List<Cut> cuts = new ArrayList<>();
    for (Where where : Where.values()) {
      looked
          .of(Looked.valueOf(where.name()))
          .so()
          .ifPresent(through -> cuts.add(new Cut(where, through)));
    }
    return new TrialReadings(
        List.of(drawnX.number(), drawnY.number()),
        measuredX.value(),
        measuredY.value(),
        readTo.number(),
        tolerance.number(),
        comb.value(),
        kerfMost.value(),
        slant.value(),
        slantMost.value(),
        cuts,
        looked.of(Looked.LETTERS).so(),
        looked.of(Looked.CODE).so(),
        looked.of(Looked.LIGHT_CODE).so(),
        looked.of(Looked.FIELD).so(),
        seconds(minutes),
        seconds(mostMinutes),
        photo.isEmpty() ? Optional.empty() : Optional.of(photo.text().strip()));
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        Part.rows(tolerance, readTo),
        Part.rows(figures()),
        Part.rows(Stream.of(Looked.values()).map(looked::of).toList()),
        new Part.ReadingStatus(),
        artwork.part(),
        Part.fold("trial.limits", Part.rows(limits())),
        Part.fold("trial.photo", new Part.FileName(photo, "trial-photo-choose")));
  }

  @Override
  public void draw(Canvas on) {
    new TrialPicture(on).draw(solved());
  }

  @Override
  protected boolean burns() {
    return true;
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<TrialReadings, TrialFinding> solved) {
    return tiles(
        solved, always("worst", measuredX), known("kerf"), known("slant"), known("seconds"));
  }
}
