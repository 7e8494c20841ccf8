package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.input.MouseEvent;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.Drawing;
import zebrawood.desktop.sheet.LivePicture;
import zebrawood.desktop.text.Text;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorReadings.At;

/**
 * The tape looking the way the beam travels, to scale: the marks now, and where exact turns bring
 * them; a click puts the mark that is typed now. Below it the beam's path from above, and the
 * mounts with the screw to touch lit.
 */
final class MarksPicture extends LivePicture {
  private static final double LOWER_HEIGHT = 118;
  private static final double SIDE = 24;
  private static final double DOT = 7;

  /** The path takes this share of the width, the mounts the rest. */
  private static final double PATH_SHARE = 0.54;

  private final MirrorModel model;
  private final BeamPath path;
  private final MountFaces faces;
  private double middleX;
  private double middleY;
  private double scale;

  MarksPicture(MirrorModel model) {
    this.model = model;
    path = new BeamPath(model);
    faces = new MountFaces(model);
    setId("mirrors-tape");
    setAccessibleText(Text.of("mirrors.picture.click"));
    model.outcomeProperty().subscribe(o -> draw());
    model.activeProperty().subscribe(a -> draw());
    setOnMouseClicked(this::clicked);
  }

  private void clicked(MouseEvent e) {
    if (scale > 0 && e.getY() < getHeight() - LOWER_HEIGHT) {
      model.click(place(), (e.getX() - middleX) / scale, (middleY - e.getY()) / scale);
    }
  }

  /** The mark that is typed now, else the first that is still to be read. */
  private MarkPlace place() {
    Optional<MarkPlace> empty =
        model.marks().entrySet().stream()
            .filter(m -> !NumberEntry.begun(m.getValue()))
            .map(Map.Entry::getKey)
            .findFirst();
    return model
        .activeProperty()
        .get()
        .or(() -> empty)
        .orElse(MarkPlace.of(model.train().mirrors()).getLast());
  }

  @Override
  protected void draw(Drawing on) {
    At at = place().at();
    Optional<MirrorFinding> finding = alignment();
    double size = Math.min(getWidth(), getHeight() - LOWER_HEIGHT) - 2 * SIDE;
    middleX = getWidth() / 2;
    middleY = SIDE + size / 2;
    double furthest =
        model.marks().entrySet().stream()
            .filter(e -> e.getKey().at() == at && usable(e.getValue()))
            .flatMap(e -> e.getValue().stream())
            .mapToDouble(e -> Math.abs(e.number()))
            .max()
            .orElse(0);
    double radius = model.limits().get(at == At.HEAD ? 1 : 4).value().orElse(USUAL_FACE_MM) / 2;
    scale = size / 2 / Math.max(radius, furthest + 1);
    on.circle(middleX, middleY, radius * scale, "opening");
    on.line(middleX - 8, middleY, middleX + 8, middleY, "plan-grid");
    on.line(middleX, middleY - 8, middleX, middleY + 8, "plan-grid");
    on.words(
        Text.of(at == At.HEAD ? "mirrors.picture.at-head" : "mirrors.picture.at-mirror"),
        getWidth() - 80,
        12,
        "plan-side");
    if (model.marks().values().stream().noneMatch(NumberEntry::begun)) {
      on.words(Text.of("mirrors.picture.click"), middleX, middleY + 30, "plan-side");
    }
    model
        .marks()
        .forEach((place, entries) -> {
          if (place.at() == at && usable(entries)) {
            mark(on, place, entries, finding);
          }
        });
    double top = getHeight() - LOWER_HEIGHT;
    on.line(SIDE, top, getWidth() - SIDE, top, "plan-grid");
    double across = getWidth() * PATH_SHARE;
    path.draw(on, finding, SIDE, top, across - SIDE, LOWER_HEIGHT);
    faces.draw(on, finding, across, top, getWidth() - across, LOWER_HEIGHT);
  }

  /** Drawn for a mirror whose size nobody gave. */
  private static final double USUAL_FACE_MM = 20;

  private Optional<MirrorFinding> alignment() {
    return model.outcomeProperty().get() instanceof MirrorOutcome.Found(var visit, var judged)
        ? judged.alignment()
        : Optional.empty();
  }

  private static boolean usable(List<NumberEntry> entries) {
    return entries.stream().allMatch(e -> e.value().isPresent());
  }

  private void mark(
      Drawing on, MarkPlace place, List<NumberEntry> entries, Optional<MirrorFinding> finding) {
    double right = entries.get(0).number();
    double up = entries.get(1).number();
    double x = middleX + right * scale;
    double y = middleY - up * scale;
    finding.ifPresent(f -> {
      double[] moved = moved(f, model.pathsMm(place));
      double afterX = middleX + (right - moved[0]) * scale;
      double afterY = middleY - (up - moved[1]) * scale;
      on.line(x, y, afterX, afterY, "mark-way");
      on.circle(afterX, afterY, DOT, "mark-after");
    });
    on.circle(x, y, DOT, "mark-now");
    on.words(MirrorPane.words(place).replaceFirst("^[^,]*, ", ""), x, y - 15, "plan-after");
  }

  /** How far the angles have moved a mark to the right and up, in mm. */
  static double[] moved(MirrorFinding f, double[] pathsMm) {
    double[] moved = new double[2];
    double fold = 1;
    for (int mirror = pathsMm.length; mirror >= 1; mirror--) {
      var its = f.mirrors().get(String.valueOf(mirror));
      double metres = pathsMm[mirror - 1] / 1000;
      moved[0] += fold * its.beamErrorRightMrad() * metres;
      moved[1] += its.beamErrorUpMrad() * metres;
      fold = -fold;
    }
    return moved;
  }

  /** The mirrors whose screws are to be turned, in order. */
  static List<String> toTurn(MirrorFinding f) {
    List<String> mirrors = new ArrayList<>();
    f.mirrors()
        .forEach((name, m) -> {
          if (m.sideways().clockMinutes() != 0 || m.upDown().clockMinutes() != 0) {
            mirrors.add(name);
          }
        });
    return mirrors;
  }
}
