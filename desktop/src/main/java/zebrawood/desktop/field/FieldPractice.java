package zebrawood.desktop.field;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import javax.imageio.ImageIO;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.field.StandInGalvo;
import zebrawood.devices.field.StandInHead;
import zebrawood.devices.field.StandInScan;
import zebrawood.devices.whole.Trait;
import zebrawood.devices.whole.WholeMachine;
import zebrawood.field.CommandTable;
import zebrawood.field.FieldFinding;
import zebrawood.field.FieldReadings.Point;
import zebrawood.field.FieldVisit;
import zebrawood.field.FieldVisitFinding;
import zebrawood.field.FieldVisitReadings;
import zebrawood.measure.Estimate;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.field.GridText;
import zebrawood.words.Message;

/** Practice on a simulated head whose size, squareness and lens are off. */
final class FieldPractice
    extends Practice<FieldModel, StandInGalvo, FieldVisitReadings, FieldVisitFinding> {
  private static final double STEP_MM = 0.02;
  private static final double HAND_MM = 0.01;
  private static final double TOLERANCE_MM = 0.3;
  private static final int MARKS = 9;
  private static final double PX_PER_MM = 11;
  private static final double RULE_MM = 60;

  private static final double FIELD_OF_FOCAL = 0.68;
  private static final double APART_MM = 12;

  FieldPractice(FieldModel model) {
    super(model);
  }

  @Override
  protected StandInGalvo make(long number) {
    Random random = new Random(number);
    StandInHead any = StandInHead.any(model.fieldMm(), random);
    StandInGalvo galvo = new StandInGalvo(any, STEP_MM, HAND_MM, random.nextLong());
    galvo.putPointerOut(
        1 + 0.01 * random.nextGaussian(),
        5 * random.nextGaussian(),
        0.6 * random.nextGaussian(),
        0.6 * random.nextGaussian());
    return galvo;
  }

  /** A sound head of the whole machine's scale and turn; its pointer points true. */
  @Override
  protected Optional<StandInGalvo> partOf(WholeMachine whole) {
    double gain = 1 + whole.truth(Trait.FIELD_SCALE) / 100;
    double turn = whole.truth(Trait.FIELD_TURN);
    StandInHead head =
        new StandInHead(
            model.fieldMm() / FIELD_OF_FOCAL, APART_MM, gain, gain, 0, 0, 0, 0, 0, turn, 0, 0, 0);
    return Optional.of(new StandInGalvo(head, STEP_MM, HAND_MM, 1));
  }

  @Override
  protected Optional<zebrawood.devices.whole.Deed> readBy() {
    return Optional.of(zebrawood.devices.whole.Deed.READ_FIELD);
  }

  @Override
  protected Map<Trait, Double> inTheWhole(StandInGalvo part) {
    return Map.of(Trait.FIELD_SCALE, scalePercent(part));
  }

  /** Of a square over most of the field. */
  private double scalePercent(StandInGalvo on) {
    double half = side() / 2;
    double wide = on.place(half, 0)[0] - on.place(-half, 0)[0];
    double deep = on.place(0, half)[1] - on.place(0, -half)[1];
    return 100 * ((wide + deep) / (2 * side()) - 1);
  }

  private double side() {
    return Math.round(0.8 * model.fieldMm() / 10) * 10.0;
  }

  private double pitch() {
    return Math.floor(model.fieldMm() / (MARKS - 1));
  }

  @Override
  protected void prepare() {
    double field = model.fieldMm();
    model.form().clearVisit();
    model.forgetRecord();
    model.field.set(field);
    model.tolerance.set(TOLERANCE_MM);
    model.resolution.set(STEP_MM);
    model.commanded.set(side());
    model.scan.columns.set(MARKS);
    model.scan.rows.set(MARKS);
    model.scan.pitch.set(pitch());
  }

  @Override
  protected void read(StandInGalvo on) {
    pointAt(on);
    switch (model.way.get()) {
      case SQUARE -> {
        StandInGalvo.Square square = on.square(side());
        model.across.set(square.acrossMm());
        model.up.set(square.upMm());
        model.rising.set(square.risingMm());
        model.falling.set(square.fallingMm());
      }
      case GRID ->
          model.grid.set(
              GridText.write(
                  on.grid(MARKS, MARKS, pitch()).stream()
                      .map(m -> new Point(m.xMm(), m.yMm(), m.measuredXMm(), m.measuredYMm()))
                      .toList()));
      case SCAN -> scan(on);
    }
  }

  /** Four marks, each by its place, and the pointer sent to them. */
  private void pointAt(StandInGalvo on) {
    List<PointerRow> rows = model.pointer.first(4);
    double half = side() / 2;
    for (int i = 0; i < rows.size(); i++) {
      double x = half * (2 * (i % 2) - 1);
      double y = half * (2 * (i / 2) - 1);
      rows.get(i).type(on.place(x, y), on.pointed(x, y));
    }
  }

  private record Scanned(StandInScan.Sheet sheet, String path) {}

  private void scan(StandInGalvo on) {
    double pitch = pitch();
    model.make(
        p -> scanned(on, pitch),
        scanned -> {
          if (running() && standIn() == on) {
            model.form().allAtOnce(() -> type(scanned));
          }
        });
  }

  private static Scanned scanned(StandInGalvo on, double pitch) throws IOException {
    var scanner =
        new StandInScan(PX_PER_MM, PX_PER_MM * 1.004, 2, 0.4 * pitch, 0.3, true, 0.8, 5, 0.02, 0);
    StandInScan.Sheet sheet = scanner.of(on::place, MARKS, MARKS, pitch, 1);
    Path file = Files.createTempFile("scan", ".png");
    file.toFile().deleteOnExit();
    ImageIO.write(sheet.image(), "png", file.toFile());
    return new Scanned(sheet, file.toString());
  }

  private void type(Scanned scanned) {
    PhotoMarks photo = model.scan.place.marks();
    photo.path().set(scanned.path);
    model.scan.ruleMm.set(RULE_MM);
    model.scan.uprightMm.set(RULE_MM);
    double edge = 20;
    photo.set(photo.all().get(0), edge, edge);
    photo.set(photo.all().get(1), edge + RULE_MM * PX_PER_MM, edge);
    photo.set(photo.all().get(2), edge, edge);
    photo.set(photo.all().get(3), edge, edge + RULE_MM * PX_PER_MM * 1.004);
  }

  @Override
  protected void obey(
      StandInGalvo on, Outcome.Solved<FieldVisitReadings, FieldVisitFinding> solved) {
    FieldFinding field = solved.finding().field();
    if (field.verdict() == Verdict.ADJUST && solved.finding().plain().isPresent()) {
      CommandTable table =
          new CommandTable(
              FieldVisit.table(solved.readings().task(), solved.finding().field()),
              model.fieldMm());
      on.joinTable((x, y) -> {
        double[] command = new double[2];
        table.command(x, y, command);
        return command;
      });
    } else {
      on.multiplyScale(field.scaleX().value(), field.scaleY().value());
      solved.finding().skewMrad().map(Estimate::value).ifPresent(on::takeSkew);
    }
    solved
        .finding()
        .pointer()
        .filter(p -> p.verdict() == Verdict.ADJUST)
        .ifPresent(p -> on.movePointer(p.scale(), p.rotationMrad(), p.offsetXMm(), p.offsetYMm()));
    model.form().clearReadings();
    model.form().clearVisit();
  }

  @Override
  protected Message stands(StandInGalvo on) {
    double field = model.fieldMm();
    double off =
        switch (model.way.get()) {
          case SQUARE -> on.sizeOffMm(side(), field);
          case GRID -> on.worstMm(field);
          case SCAN -> on.worstOfShapeMm(field);
        };
    return Message.of(
        "field.practice.stands", Amount.mm(off, 2), Amount.mm(on.pointerOffMm(side()), 2));
  }

  @Override
  protected Message best(StandInGalvo on) {
    return Message.of("field.practice.best");
  }

  @Override
  protected List<Deed<StandInGalvo>> deeds() {
    return List.of(
        Deed.by(
            Message.of("field.practice.scale-x"),
            (on, percent) -> on.multiplyScale(1 + percent / 100, 1)),
        Deed.by(
            Message.of("field.practice.scale-y"),
            (on, percent) -> on.multiplyScale(1, 1 + percent / 100)));
  }

  @Override
  protected Quantity amountOf() {
    return Quantity.PERCENT;
  }
}
