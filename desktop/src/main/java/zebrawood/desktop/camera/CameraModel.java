package zebrawood.desktop.camera;

import static zebrawood.desktop.station.Ways.needs;
import static zebrawood.desktop.station.Ways.shows;
import static zebrawood.desktop.station.Ways.way;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.camera.CameraCalibration;
import zebrawood.camera.CameraCheckReadings;
import zebrawood.camera.CameraFinding;
import zebrawood.camera.CameraPhoto;
import zebrawood.camera.CameraPhotoReadings;
import zebrawood.camera.CameraReadings;
import zebrawood.camera.CameraStation;
import zebrawood.camera.CameraTask;
import zebrawood.camera.CameraVisit;
import zebrawood.camera.CameraVisitFinding;
import zebrawood.camera.CameraVisitReadings;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.photo.PhotoModel;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.photo.PhotoView;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.Ways;
import zebrawood.devices.camera.NetworkCamera;
import zebrawood.devices.picture.PictureFile;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.machine.Machine;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.KeptFindings;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** The camera over the bed, for the lens that is on. */
public final class CameraModel extends PhotoModel<CameraVisitReadings, CameraVisitFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(CameraStation.STATION, CameraModel::new)
          .with(
              Solver.of("camera", CameraReadings.class, CameraCalibration::solve),
              Solver.of(
                  "camera-photo",
                  CameraPhotoReadings.class,
                  r -> CameraPhoto.solve(r, PictureFile.read("imagePath", r.imagePath()))));

  private static final Quantity MM = Quantity.LENGTH;
  private static final int MOST_MARKS = 400;
  private static final int LEAST_MARKS = 8;
  private static final int MOST_FRESH = 20;

  private final Machine machine;
  private final List<Double> bedMm;
  final ChoiceField<CameraWay> way = form().choice("way", CameraWay.class, CameraWay.PHOTO);
  final QuantityField tolerance = form().positive("tolerance", MM, 1000);
  final TargetFields target = new TargetFields(form());
  private final WordsField address = form().words("address");
  final QuantityField widthPx = form().quantity("widthPx", Quantity.NUMBER, 16, 100_000);
  final QuantityField heightPx = form().quantity("heightPx", Quantity.NUMBER, 16, 100_000);
  final QuantityField readToPx = form().positive("readToPx", Quantity.NUMBER, 1000);
  final Group<MarkRow> marks =
      form().group("visit.place", LEAST_MARKS, MOST_MARKS, i -> MarkRow.make(form(), i));
  final QuantityField readTo = form().positive("resolution", MM, 100);
  final Group<FreshRow> fresh =
      form().group("visit.fresh", 2, MOST_FRESH, i -> FreshRow.make(form(), i));
  private final FoundSection found = new FoundSection(this::solved);
  private final TargetSection targetFiles;
  private final ThicknessSection thickness;
  private final MapSection map;
  private final CloseUpSection closeUp;
  private final SharpnessSection sharpness = new SharpnessSection(form());
  private final Ways<CameraWay, CameraTask> ways;
  private Optional<Boolean> focusHolds = Optional.empty();

  /** As it was found last; empty where nobody found it. */
  private Optional<CameraFinding> recorded = Optional.empty();

  public CameraModel(AtMachine at) {
    super(new StationForm("camera", at.units()), CameraVisit.VISIT);
    machine = at.machine();
    bedMm = List.of(machine.areaXMm(), machine.areaYMm());
    targetFiles = new TargetSection(form(), target, machine);
    thickness = new ThicknessSection(form(), target.height, tolerance, this::known);
    map = new MapSection(form(), target.place, bedMm, this::known);
    closeUp = new CloseUpSection(form(), () -> solved().flatMap(s -> s.finding().closeUp()));
    ways = new Ways<>(way, ways());
    startSolving();
    target.place.follow(this::loadPhoto);
  }

  private Map<CameraWay, Ways.Way<CameraTask>> ways() {
    return Map.of(
        CameraWay.PHOTO,
        way(
            () -> target.read(tolerance.number(), bedMm),
            target.asks(found.part()),
            shows(
                Part.fold(
                    "camera.link",
                    Part.hint("camera.link.hint"),
                    Part.rows(address),
                    new Part.Press(
                        "camera-take", Message.of("camera.link.take"), this::takePicture)))),
        CameraWay.MARKS,
        way(this::byMarks, needs(widthPx, heightPx, readToPx), rowsOfMarks()),
        CameraWay.FRESH,
        way(
            this::byFresh,
            needs(readTo),
            Ways.rows(
                fresh,
                2,
                "camera.wait.fresh",
                new Part.GrowingRows(
                    fresh,
                    headings("x", "y", "shown-x", "shown-y"),
                    Message.of("camera.another-mark")))));
  }

  /** A row's height may stay open: the mark then lies on the bed. */
  private Ways.Ask rowsOfMarks() {
    return new Ways.Ask(
        () -> marks.begun().stream().flatMap(r -> r.needed().stream()),
        () -> marks.begun().stream().map(MarkRow::height),
        () -> {
          int missing = LEAST_MARKS - marks.begun().size();
          return missing > 0
              ? Optional.of(Message.of("camera.wait.marks", missing))
              : Optional.empty();
        },
        Optional.of(
            new Part.GrowingRows(
                marks,
                headings("x", "y", "height", "px", "py"),
                Message.of("camera.another-mark"))));
  }

  private static List<Message> headings(String... names) {
    return Stream.of(names).map(n -> Message.of("camera.heading." + n)).toList();
  }

  private CameraTask byMarks() {
    return new CameraTask.ByMarks(
        new CameraReadings(
            new CameraReadings.Image(
                (int) Math.round(widthPx.number()), (int) Math.round(heightPx.number())),
            marks.begun().stream().map(MarkRow::mark).toList(),
            readToPx.number(),
            tolerance.number(),
            bedMm,
            Optional.empty(),
            Optional.empty()));
  }

  private CameraTask byFresh() {
    return new CameraTask.ByFreshMarks(
        new CameraCheckReadings(
            fresh.begun().stream().map(FreshRow::mark).toList(),
            readTo.number(),
            tolerance.number(),
            known().flatMap(f -> f.cameraMm().mm())));
  }

  /** As it is found now; of fresh marks as it was found last. */
  private Optional<CameraFinding> known() {
    return way.get() == CameraWay.FRESH ? recorded : solved().flatMap(s -> s.finding().camera());
  }

  List<Double> bedMm() {
    return bedMm;
  }

  /** A picture of the camera itself, beside the window. */
  private void takePicture() {
    String from = address.text().strip();
    make(
        progress -> NetworkCamera.take(from).toString(),
        file -> target.place.marks().path().set(file));
  }

  @Override
  protected PhotoPlace place() {
    return target.place;
  }

  @Override
  protected boolean pictured() {
    return way.get() == CameraWay.PHOTO;
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(found, targetFiles, thickness, map, closeUp, sharpness);
  }

  @Override
  protected Stream<Field> needed() {
    return Stream.concat(Stream.of(tolerance), ways.needed());
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(Stream.of(tolerance), ways.used());
  }

  @Override
  protected Optional<Message> waitsFor() {
    return ways.waitsFor();
  }

  @Override
  protected boolean slow() {
    return way.get() != CameraWay.FRESH;
  }

  @Override
  protected CameraVisitReadings readings() {
    return new CameraVisitReadings(
        ways.read(),
        focusHolds,
        recorded.map(f -> f.view().image()),
        closeUp.read(),
        sharpness.read());
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "sheet.keys"),
                ways.choice(),
                Part.rows(tolerance),
                ways.parts(),
                new Part.ReadingStatus(),
                new Part.PracticeEntry()));
    Stream.of(targetFiles, thickness, map, closeUp, sharpness).forEach(s -> parts.add(s.part()));
    return parts;
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    recorded =
        entries.reversed().stream()
            .filter(e -> !e.unread())
            .flatMap(e -> KeptFindings.part(e, "camera", CameraFinding.class).stream())
            .findFirst();
    context()
        .ifPresent(c -> {
          focusHolds = c.holds("focus");
          solveAgain();
        });
    loadPhoto();
  }

  /** A stand-in has neither this machine's focus nor its past, until the record is seen again. */
  void practiseWith(Optional<CameraFinding> found) {
    focusHolds = Optional.empty();
    recorded = found;
  }

  private Optional<PhotoView> view(double width, double height) {
    return way.get() == CameraWay.PHOTO ? target.place.view(width, height) : Optional.empty();
  }

  @Override
  public void draw(Canvas on) {
    new CameraPicture(on, bedMm)
        .draw(
            view(on.width(), on.height()),
            target.place.marks(),
            solved().map(Outcome.Solved::readings),
            solved().map(Outcome.Solved::finding),
            recorded);
  }

  /** The next corner, then a mark: one that was found is taken out, else the nearest is put in. */
  @Override
  public void pressed(double x, double y, double width, double height) {
    if (way.get() != CameraWay.PHOTO) {
      return;
    }
    if (target.place.marks().next().isPresent()) {
      target.place.pressed(x, y, width, height);
      return;
    }
    view(width, height)
        .ifPresent(view ->
            solved()
                .map(Outcome.Solved::finding)
                .ifPresent(f -> new PressedMark(target, view, f).at(x, y)));
  }

  /** Marks are, before they are photographed. */
  @Override
  protected boolean burns() {
    return true;
  }

  /** A few fresh marks are a check: what was found before stays. */
  @Override
  public EntryKind kindOf(EntryKind usual) {
    return way.get() == CameraWay.FRESH ? EntryKind.CHECK : usual;
  }

  @Override
  public Optional<Practice<?, ?, CameraVisitReadings, CameraVisitFinding>> practice() {
    return Optional.of(new CameraPractice(this));
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<CameraVisitReadings, CameraVisitFinding> solved) {
    return solved.finding().check().isPresent()
        ? tiles(solved, known("off"), known("higher"))
        : tiles(solved, known("margin"), known("heldOut"), known("slope"), known("above"));
  }
}
