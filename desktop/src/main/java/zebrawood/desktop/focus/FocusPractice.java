package zebrawood.desktop.focus;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Practice;
import zebrawood.devices.focus.StandInBeam;
import zebrawood.devices.focus.StandInBoard;
import zebrawood.devices.focus.StandInFocus;
import zebrawood.focus.FocusFinding;
import zebrawood.focus.FocusReadings;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Estimate;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a simulated head whose gap is off, read in whatever way is chosen. */
final class FocusPractice extends Practice<StandInFocus, FocusReadings, FocusFinding> {
  private static final double RUN_MM = 200;
  private static final double RISE_MM = 14;
  private static final double BEYOND_MM = 7;
  private static final double DIODES_FOCI_APART_MM = 0.8;
  private static final int PLACES = 15;
  private static final int RUNGS = 13;
  private static final double RUNG_MM = 0.75;
  private static final double WIDTH_READ_TO_MM = 0.02;
  private static final int PROBES = 5;
  private static final double PX_PER_MM = 9;

  private final FocusWork work;

  FocusPractice(FocusWork work) {
    super(work);
    this.work = work;
  }

  @Override
  protected StandInFocus make(long number) {
    Random random = new Random(number);
    double focus = 8 + 4 * random.nextDouble();
    double off = (random.nextBoolean() ? 1 : -1) * (1.2 + 1.5 * random.nextDouble());
    StandInBeam beam =
        new StandInBeam(
            0.15 + 0.1 * random.nextDouble(), 1.2 + 0.8 * random.nextDouble(), focus, 7);
    return new StandInFocus(
        beam,
        focus + off,
        work.machine().source().kind() == SourceKind.DIODE ? DIODES_FOCI_APART_MM : 0,
        0.2 + 0.3 * random.nextDouble(),
        0.3,
        random.nextLong());
  }

  @Override
  protected void prepare() {
    work.form().clearVisit();
    List<QuantityField> board = work.boardFields();
    board.get(0).set(RUN_MM);
    board.get(1).set(RISE_MM);
    board.get(2).set(Math.round(standIn().readGapMm() + BEYOND_MM));
    work.resolution().set(WIDTH_READ_TO_MM);
  }

  /** Burns, reads with a glass, and reads the gap with a caliper. */
  @Override
  protected void read(StandInFocus on) {
    work.setGap().set(on.readGapMm());
    switch (work.chosen()) {
      case GAUGE -> work.gauge().set(Math.round(on.beam().focusGapMm() * 10) / 10.0);
      case RAMP -> readRamp(on, false, work.rows(FocusWay.RAMP));
      case AXES -> {
        readRamp(on, false, work.rows(FocusWay.RAMP));
        readRamp(on, true, work.rowsAlongY());
      }
      case PENCIL, EQUAL_WIDTHS -> readByEye(on);
      case PHOTO -> photograph(on);
      case LADDER_WIDTHS, LADDER_SCORES -> readLadder(on);
      case PROBE -> probe(on);
    }
  }

  private StandInBoard board(StandInFocus on, boolean alongY) {
    List<QuantityField> board = work.boardFields();
    return on.board(
        board.get(0).value().orElse(RUN_MM),
        board.get(1).value().orElse(RISE_MM),
        board.get(2).value().orElse(on.readGapMm() + BEYOND_MM),
        alongY);
  }

  private void readRamp(
      StandInFocus on, boolean alongY, zebrawood.desktop.form.Group<PairRow> rows) {
    List<StandInBoard.Width> read = board(on, alongY).read(PLACES, WIDTH_READ_TO_MM);
    rows.resize(read.size());
    for (int i = 0; i < read.size(); i++) {
      rows.rows().get(i).at().set(read.get(i).alongMm());
      rows.rows().get(i).value().set(read.get(i).lineWidthMm());
    }
  }

  /** To a few millimetres, as an eye does. */
  private void readByEye(StandInFocus on) {
    double along = Math.round(board(on, false).thinnestAlongMm());
    List<QuantityField> eye = work.byEye();
    eye.get(0).set(along + 2);
    eye.get(1).set(along - 40);
    eye.get(2).set(along + 42);
    eye.get(3).set(5);
  }

  private void readLadder(StandInFocus on) {
    double middle = Math.round(on.readGapMm());
    List<Double> gaps = new ArrayList<>();
    for (int i = 0; i < RUNGS; i++) {
      gaps.add(middle + RUNG_MM * (i - RUNGS / 2));
    }
    List<Double> scores = on.scores(gaps);
    boolean byScore = work.chosen() == FocusWay.LADDER_SCORES;
    var rows = work.rows(work.chosen());
    rows.resize(RUNGS);
    for (int i = 0; i < RUNGS; i++) {
      double wide = on.beam().burntMm(gaps.get(i));
      rows.rows().get(i).at().set(gaps.get(i));
      rows.rows()
          .get(i)
          .value()
          .set(
              byScore ? scores.get(i) : Math.max(WIDTH_READ_TO_MM, Math.round(wide * 100) / 100.0));
    }
  }

  private void probe(StandInFocus on) {
    List<Double> chosen = on.probe(PROBES);
    work.probed().resize(PROBES);
    for (int i = 0; i < PROBES; i++) {
      work.probed().rows().get(i).set(chosen.get(i));
    }
    List<QuantityField> its = work.ofProbe();
    its.get(0).set(Math.round(on.beam().focusGapMm() * 100) / 100.0);
    its.get(1).set(0.03);
    its.get(2).set(on.offsetMm());
  }

  private record Shot(StandInBoard.Photograph photo, String path, double pxPerMm) {}

  /** A photograph of the board, in a file that goes when the program ends. */
  private void photograph(StandInFocus on) {
    StandInBoard board = board(on, false);
    double run = work.boardFields().get(0).value().orElse(RUN_MM);
    work.beside(
        p -> shot(board, run, Math.min(PX_PER_MM, 2600 / run)),
        shot -> {
          if (running() && standIn() == on) {
            work.form().quietly(() -> type(shot));
          }
        });
  }

  private static Shot shot(StandInBoard board, double run, double pxPerMm) throws IOException {
    var photo =
        board.photograph(
            new StandInBoard.Camera((int) (run * pxPerMm) + 240, 640, pxPerMm, 0.02, 0.8, 2));
    Path file = Files.createTempFile("board", ".jpg");
    file.toFile().deleteOnExit();
    ImageIO.write(photo.image(), "jpg", file.toFile());
    return new Shot(photo, file.toString(), pxPerMm);
  }

  private void type(Shot shot) {
    double top = 30;
    double scale = shot.pxPerMm;
    work.photo().photo().path().set(shot.path);
    work.photo().scaleMm().set(100);
    set(0, 60, top);
    set(1, 60 + 100 * scale, top);
    set(2, shot.photo.startPx().getFirst(), shot.photo.startPx().getLast() + 2 * scale);
    set(3, shot.photo.endPx().getFirst(), shot.photo.endPx().getLast() - scale);
  }

  private void set(int mark, double x, double y) {
    work.photo().photo().set(work.photo().photo().all().get(mark), x, y);
  }

  @Override
  protected void obey(StandInFocus on, Outcome.Found<FocusReadings, FocusFinding> found) {
    found
        .finding()
        .located()
        .probe()
        .ifPresentOrElse(
            p -> on.setOffsetMm(Math.round(p.offsetMm().value() * 100) / 100.0),
            () ->
                found
                    .finding()
                    .located()
                    .gapMm()
                    .map(Estimate::value)
                    .ifPresent(gap -> on.setGapMm(gap + found.readings().defocusMm())));
    work.form().clearReadings();
  }

  @Override
  protected Message stands(StandInFocus on) {
    double off = work.chosen() == FocusWay.PROBE ? on.autofocusOffMm() : on.offMm();
    return Message.of("focus.practice.stands", Amount.mm(Math.abs(off), 2));
  }

  @Override
  protected Message best(StandInFocus on) {
    return Message.of("focus.practice.best");
  }

  @Override
  protected List<Deed<StandInFocus>> deeds() {
    return List.of(
        Deed.by(Message.of("focus.practice.larger"), StandInFocus::moveMm),
        Deed.by(Message.of("focus.practice.offset"), StandInFocus::setOffsetMm));
  }

  @Override
  protected Quantity amountOf() {
    return Quantity.LENGTH;
  }
}
