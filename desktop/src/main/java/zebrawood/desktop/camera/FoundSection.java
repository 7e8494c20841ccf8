package zebrawood.desktop.camera;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.camera.BedView;
import zebrawood.camera.CameraFinding;
import zebrawood.camera.CameraPhotoFinding.Missing;
import zebrawood.camera.CameraPhotoFinding.Point;
import zebrawood.camera.CameraPhotoReadings.Target;
import zebrawood.camera.CameraTask;
import zebrawood.camera.CameraVisitFinding;
import zebrawood.camera.CameraVisitReadings;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/** How many marks of a photograph were found, which miss most, and which do not count. */
final class FoundSection extends Section<Void, Void> {
  private static final int MOST_TOLD = 3;
  private static final int MOST_NAMED = 6;

  private final Supplier<Optional<Outcome.Solved<CameraVisitReadings, CameraVisitFinding>>> solved;

  FoundSection(Supplier<Optional<Outcome.Solved<CameraVisitReadings, CameraVisitFinding>>> solved) {
    super(Message.NONE);
    this.solved = solved;
  }

  @Override
  public Stream<Field> fields() {
    return Stream.empty();
  }

  @Override
  public Part part() {
    return said();
  }

  private record Miss(Point point, double mm) {}

  @Override
  protected Message words() {
    Optional<Outcome.Solved<CameraVisitReadings, CameraVisitFinding>> now = solved.get();
    if (now.isEmpty() || !(now.get().readings().task() instanceof CameraTask.ByPhoto photo)) {
      return Message.of("camera.found.none-yet");
    }
    CameraVisitFinding f = now.get().finding();
    Target target = photo.photo().target();
    List<Point> points = f.points().orElse(List.of());
    List<Message> said = new ArrayList<>();
    said.add(Message.of("camera.found.count", points.size(), target.marks()));
    misses(f.camera().orElseThrow(), target, points).stream()
        .sorted(Comparator.comparingDouble(m -> -m.mm))
        .limit(MOST_TOLD)
        .forEach(m ->
            said.add(
                Message.of(
                    "camera.found.miss",
                    m.point.column() + 1,
                    m.point.row() + 1,
                    Amount.mm(m.mm, 2))));
    List<Missing> missing = f.missing().orElse(List.of());
    if (!missing.isEmpty()) {
      said.add(
          Message.of(
              "camera.found.not-counted",
              Message.list(
                  missing.stream()
                      .limit(MOST_NAMED)
                      .map(m -> Message.of("camera.found.cell", m.column() + 1, m.row() + 1))
                      .toList())));
    }
    return Message.sentences(said);
  }

  private static List<Miss> misses(CameraFinding camera, Target target, List<Point> points) {
    BedView.Places places = camera.view().places();
    double height = target.heightMm().orElse(0);
    return points.stream()
        .flatMap(p ->
            places
                .place(p.xPx(), p.yPx(), height)
                .map(at ->
                    new Miss(
                        p, Math.hypot(at[0] - target.x(p.column()), at[1] - target.y(p.row()))))
                .stream())
        .toList();
  }
}
