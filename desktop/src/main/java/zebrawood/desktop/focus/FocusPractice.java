package zebrawood.desktop.focus;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.PairRow;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.focus.StandInBeam;
import zebrawood.devices.focus.StandInBoard;
import zebrawood.devices.focus.StandInFocus;
import zebrawood.devices.whole.Trait;
import zebrawood.devices.whole.WholeMachine;
import zebrawood.focus.FocusFinding;
import zebrawood.focus.FocusReadings;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Estimate;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a simulated head whose gap is off, read in whatever way is chosen. */
final class FocusPractice extends Practice<FocusModel, StandInFocus, FocusReadings, FocusFinding> {
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

  /** Of the whole machine's beam. */
  private static final double WHOLE_SPOT_MM = 0.2;

  private static final double WHOLE_RAYLEIGH_MM = 2.5;
  private static final double WHOLE_FOCUS_MM = 10;

  FocusPractice(FocusModel model) {
    super(model);
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
        model.machine.source().kind() == SourceKind.DIODE ? DIODES_FOCI_APART_MM : 0,
        0.2 + 0.3 * random.nextDouble(),
        0.3,
        random.nextLong());
  }

  @Override
  protected Optional<StandInFocus> partOf(WholeMachine whole) {
    StandInBeam beam = new StandInBeam(WHOLE_SPOT_MM, WHOLE_RAYLEIGH_MM, WHOLE_FOCUS_MM, 7);
    return Optional.of(
        new StandInFocus(beam, WHOLE_FOCUS_MM + whole.truth(Trait.FOCUS), 0, 0.2, 0.3, 1));
  }

  @Override
  protected Optional<zebrawood.devices.whole.Deed> readBy() {
    return Optional.of(zebrawood.devices.whole.Deed.READ_FOCUS);
  }

  @Override
  protected Map<Trait, Double> inTheWhole(StandInFocus part) {
    return Map.of(Trait.FOCUS, part.offMm());
  }

  @Override
  protected void prepare() {
    model.form().clearVisit();
    model.forgetRecord();
    model.run.set(RUN_MM);
    model.rise.set(RISE_MM);
    model.start.set(Math.round(standIn().readGapMm() + BEYOND_MM));
    model.resolution.set(WIDTH_READ_TO_MM);
  }

  /** Burns, reads with a glass, and reads the gap with a caliper. */
  @Override
  protected void read(StandInFocus on) {
    model.setGap.set(on.readGapMm());
    switch (model.way.get()) {
      case GAUGE -> model.gauge.set(Math.round(on.beam().focusGapMm() * 10) / 10.0);
      case OWN -> model.sharp.set(Math.abs(on.offMm()) < SHARP_MM);
      case RAMP -> readRamp(on, Axis.X, model.ramp);
      case AXES -> {
        readRamp(on, Axis.X, model.ramp);
        readRamp(on, Axis.Y, model.rampY);
      }
      case PENCIL, EQUAL_WIDTHS -> readByEye(on);
      case PHOTO -> photograph(on);
      case LADDER_WIDTHS, LADDER_SCORES -> readLadder(on);
      case LIVE -> readLive(on);
      case PROBE -> probe(on);
    }
  }

  /** Along which of the machine's axes a board is laid. */
  private enum Axis {
    X,
    Y
  }

  private StandInBoard board(StandInFocus on, Axis along) {
    return on.board(
        model.run.value().orElse(RUN_MM),
        model.rise.value().orElse(RISE_MM),
        model.start.value().orElse(on.readGapMm() + BEYOND_MM),
        along == Axis.Y);
  }

  private void readRamp(StandInFocus on, Axis along, Group<PairRow> rows) {
    PairRow.type(
        rows,
        board(on, along).read(PLACES, WIDTH_READ_TO_MM),
        StandInBoard.Width::alongMm,
        StandInBoard.Width::lineWidthMm);
  }

  /** To a few millimetres, as an eye does. */
  private void readByEye(StandInFocus on) {
    double along = Math.round(board(on, Axis.X).thinnestAlongMm());
    model.thinnest.set(along + 2);
    model.one.set(along - 40);
    model.other.set(along + 42);
    model.sure.set(5);
  }

  private void readLadder(StandInFocus on) {
    model.heights.kind.set(HeightKind.GAP);
    double middle = Math.round(on.readGapMm());
    List<Double> gaps = new ArrayList<>();
    for (int i = 0; i < RUNGS; i++) {
      gaps.add(middle + RUNG_MM * (i - RUNGS / 2));
    }
    List<Double> scores = on.scores(gaps);
    if (model.way.get() == FocusWay.LADDER_SCORES) {
      PairRow.type(
          model.scores, IntStream.range(0, RUNGS).boxed().toList(), gaps::get, scores::get);
    } else {
      PairRow.type(
          model.widths,
          gaps,
          gap -> gap,
          gap -> Math.max(WIDTH_READ_TO_MM, Math.round(on.beam().burntMm(gap) * 100) / 100.0));
    }
  }

  /** By ear, to half a millimetre. */
  private void readLive(StandInFocus on) {
    double focus = on.beam().focusGapMm();
    model.live.fades.set(Math.round(2 * (focus - 2.1)) / 2.0);
    model.live.fadesAgain.set(Math.round(2 * (focus + 2.1)) / 2.0);
    model.live.sure.set(0.5);
  }

  private void probe(StandInFocus on) {
    List<Double> chosen = on.probe(PROBES);
    model.probe.readings.resize(PROBES);
    for (int i = 0; i < PROBES; i++) {
      model.probe.readings.rows().get(i).set(chosen.get(i));
    }
    model.probe.rampGap.set(Math.round(on.beam().focusGapMm() * 100) / 100.0);
    model.probe.rampUnsure.set(0.03);
    model.probe.offsetSet.set(on.offsetMm());
  }

  /** As far off a small mark still looks sharp. */
  private static final double SHARP_MM = 0.5;

  private record Shot(StandInBoard.Photograph photo, String path, double pxPerMm) {}

  /** A photograph of the board, in a file that goes when the program ends. */
  private void photograph(StandInFocus on) {
    StandInBoard board = board(on, Axis.X);
    double run = model.run.value().orElse(RUN_MM);
    model.make(
        p -> shot(board, run, Math.min(PX_PER_MM, 2600 / run)),
        shot -> {
          if (running() && standIn() == on) {
            model.form().allAtOnce(() -> type(shot));
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
    model.photo.place.marks().path().set(shot.path);
    model.photo.scaleMm.set(100);
    set(0, 60, top);
    set(1, 60 + 100 * scale, top);
    set(2, shot.photo.startPx().getFirst(), shot.photo.startPx().getLast() + 2 * scale);
    set(3, shot.photo.endPx().getFirst(), shot.photo.endPx().getLast() - scale);
  }

  private void set(int mark, double x, double y) {
    PhotoMarks marks = model.photo.place.marks();
    marks.set(marks.all().get(mark), x, y);
  }

  @Override
  protected void obey(StandInFocus on, Outcome.Solved<FocusReadings, FocusFinding> solved) {
    if (model.way.get() == FocusWay.OWN) {
      // By another way, which is practised by itself.
      on.setGapMm(on.beam().focusGapMm());
    }
    solved
        .finding()
        .located()
        .probe()
        .ifPresentOrElse(
            p -> on.setOffsetMm(Math.round(p.offsetMm().value() * 100) / 100.0),
            () ->
                solved
                    .finding()
                    .located()
                    .gapMm()
                    .map(Estimate::value)
                    .ifPresent(gap -> on.setGapMm(gap + solved.readings().defocusMm())));
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInFocus on) {
    double off = model.way.get() == FocusWay.PROBE ? on.autofocusOffMm() : on.offMm();
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
