package zebrawood.desktop.camera;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javax.imageio.ImageIO;
import zebrawood.camera.BedTarget;
import zebrawood.camera.BedView;
import zebrawood.camera.CameraCheckFinding;
import zebrawood.camera.CameraFinding;
import zebrawood.camera.CameraVisitFinding;
import zebrawood.camera.CameraVisitReadings;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.camera.StandInCamera;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a camera in a lid: target, photograph, map, and fresh marks after the lid moved. */
final class CameraPractice
    extends Practice<CameraModel, CameraPractice.Bed, CameraVisitReadings, CameraVisitFinding> {
  private static final double TOLERANCE_MM = 1.5;
  private static final double READ_TO_MM = 0.1;
  private static final double READ_TO_PX = 1;
  private static final double SHEET_MM = 3;

  /** The camera, and the map that the job software has. */
  static final class Bed {
    final StandInCamera camera;
    final Random hand;
    Optional<CameraFinding> loaded = Optional.empty();

    Bed(StandInCamera camera, Random hand) {
      this.camera = camera;
      this.hand = hand;
    }
  }

  CameraPractice(CameraModel model) {
    super(model);
  }

  @Override
  protected Bed make(long number) {
    return new Bed(
        new StandInCamera(model.bedMm().get(0), model.bedMm().get(1), number),
        new Random(number + 1));
  }

  private BedTarget target() {
    return BedTarget.of(model.bedMm().get(0), model.bedMm().get(1));
  }

  @Override
  protected void prepare() {
    model.form().clearVisit();
    model.practiseWith(Optional.empty());
    model.tolerance.set(TOLERANCE_MM);
    model.readTo.set(READ_TO_MM);
    model.readToPx.set(READ_TO_PX);
    model.widthPx.set(StandInCamera.WIDTH_PX);
    model.heightPx.set(StandInCamera.HEIGHT_PX);
    model.target.set(target());
    model.target.height.set(SHEET_MM);
  }

  @Override
  protected void read(Bed on) {
    switch (model.way.get()) {
      case PHOTO -> photograph(on);
      case MARKS -> typed(on);
      case FRESH -> fresh(on);
    }
  }

  private void photograph(Bed on) {
    BedTarget sized = target();
    StandInCamera.Target target =
        new StandInCamera.Target(
            sized.columns(),
            sized.rows(),
            sized.pitchMm(),
            sized.originXMm(),
            sized.originYMm(),
            true,
            SHEET_MM);
    model.make(
        p -> file(on.camera, target),
        file -> {
          if (running() && standIn() == on) {
            model.form().allAtOnce(() -> press(on, file));
          }
        });
  }

  private static String file(StandInCamera camera, StandInCamera.Target target) throws IOException {
    Path file = Files.createTempFile("target", ".png");
    file.toFile().deleteOnExit();
    ImageIO.write(camera.photograph(target), "png", file.toFile());
    return file.toString();
  }

  /** A hand that presses the corner marks to a few pixels. */
  private void press(Bed on, String file) {
    PhotoMarks photo = model.target.place.marks();
    photo.path().set(file);
    BedTarget sized = target();
    double left = sized.originXMm();
    double front = sized.originYMm();
    double right = left + (sized.columns() - 1) * sized.pitchMm();
    double rear = front + (sized.rows() - 1) * sized.pitchMm();
    double[][] corners = {{left, front}, {right, front}, {right, rear}, {left, rear}};
    for (int i = 0; i < corners.length; i++) {
      double[] px = on.camera.px(corners[i][0], corners[i][1], SHEET_MM);
      photo.set(
          photo.all().get(i),
          px[0] + 3 * on.hand.nextGaussian(),
          px[1] + 3 * on.hand.nextGaussian());
    }
  }

  private void typed(Bed on) {
    int across = 4;
    int up = 3;
    model.marks.resize(2 * across * up);
    int at = 0;
    for (double height : new double[] {SHEET_MM, SHEET_MM + 25}) {
      for (int i = 0; i < across * up; i++) {
        double x = model.bedMm().get(0) * (0.06 + 0.88 * (i % across) / (across - 1));
        double y = model.bedMm().get(1) * (0.06 + 0.88 * (i / across) / (up - 1));
        double[] px = on.camera.px(x, y, height);
        model
            .marks
            .rows()
            .get(at++)
            .set(
                x,
                y,
                height,
                new double[] {
                  px[0] + READ_TO_PX / 3 * on.hand.nextGaussian(),
                  px[1] + READ_TO_PX / 3 * on.hand.nextGaussian()
                });
      }
    }
  }

  /** Three marks burnt with room about them, as the picture under the artwork shows them. */
  private void fresh(Bed on) {
    if (on.loaded.isEmpty()) {
      return;
    }
    BedView.Places map = on.loaded.get().view().places();
    double[][] places = {{0.12, 0.15}, {0.85, 0.2}, {0.5, 0.85}};
    model.fresh.resize(places.length);
    for (int i = 0; i < places.length; i++) {
      double x = Math.round(places[i][0] * model.bedMm().get(0));
      double y = Math.round(places[i][1] * model.bedMm().get(1));
      double[] px = on.camera.px(x, y, SHEET_MM);
      FreshRow row = model.fresh.rows().get(i);
      map.place(px[0], px[1], SHEET_MM)
          .ifPresent(p ->
              row.set(
                  x,
                  y,
                  new double[] {
                    p[0] + READ_TO_MM / 4 * on.hand.nextGaussian(),
                    p[1] + READ_TO_MM / 4 * on.hand.nextGaussian()
                  }));
    }
  }

  @Override
  protected void obey(Bed on, Outcome.Solved<CameraVisitReadings, CameraVisitFinding> solved) {
    solved
        .finding()
        .camera()
        .ifPresent(found -> {
          on.loaded = Optional.of(found);
          model.practiseWith(on.loaded);
        });
    solved.finding().check().ifPresent(check -> mend(on, check));
    model.form().clearReadings();
    model.form().clearVisit();
  }

  private static void mend(Bed on, CameraCheckFinding check) {
    check
        .moved()
        .ifPresent(moved -> {
          if (moved == CameraCheckFinding.Moved.HEIGHT) {
            on.camera.raiseTable(-check.higherMm().orElse(0));
          } else {
            on.camera.pushToStop();
          }
        });
  }

  @Override
  protected Message stands(Bed on) {
    return on.loaded
        .map(found ->
            Message.of(
                "camera.practice.stands",
                Amount.mm(worstMm(on, found), 2),
                Amount.mm(on.camera.lidScatterMm(), 2)))
        .orElse(Message.of("camera.practice.no-map", Amount.mm(on.camera.lidScatterMm(), 2)));
  }

  /** Over the bed, with the camera as it is now. */
  private double worstMm(Bed on, CameraFinding found) {
    BedView.Places map = found.view().places();
    double worst = 0;
    for (int i = 0; i <= 8; i++) {
      for (int k = 0; k <= 8; k++) {
        double x = model.bedMm().get(0) * i / 8;
        double y = model.bedMm().get(1) * k / 8;
        double[] px = on.camera.px(x, y, SHEET_MM);
        worst =
            Math.max(
                worst,
                map.place(px[0], px[1], SHEET_MM)
                    .map(p -> Math.hypot(p[0] - x, p[1] - y))
                    .orElse(0.0));
      }
    }
    return worst;
  }

  @Override
  protected Message best(Bed on) {
    return Message.of("camera.practice.best", Amount.mm(on.camera.lidScatterMm(), 2));
  }

  @Override
  protected List<Deed<Bed>> deeds() {
    return List.of(
        Deed.of(Message.of("camera.practice.open"), on -> on.camera.closeLid()),
        Deed.of(
            Message.of("camera.practice.knock"),
            on -> on.camera.knockLid(0.006 * on.hand.nextGaussian(), 0.004)),
        Deed.by(Message.of("camera.practice.raise"), (on, mm) -> on.camera.raiseTable(mm)),
        Deed.of(Message.of("camera.practice.push"), on -> on.camera.pushToStop()));
  }

  @Override
  protected Quantity amountOf() {
    return Quantity.LENGTH;
  }
}
