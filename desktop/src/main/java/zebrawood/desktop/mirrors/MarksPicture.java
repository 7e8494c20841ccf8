package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Rectangle2D;
import javafx.scene.input.MouseEvent;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.Drawing;
import zebrawood.desktop.sheet.LivePicture;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorReadings.At;

/**
 * The tape looking the way the beam travels, to scale: the marks now, and where exact turns bring
 * them; a click puts the mark that is typed now. Beside it the mounts with the screw to touch lit,
 * below it the beam's path from above.
 */
final class MarksPicture extends LivePicture {
  private static final double LOWER_HEIGHT = 132;
  private static final double SIDE = 24;
  private static final double LEAST = 24;
  private static final double DOT = 7;
  private static final double CAPTION_Y = 12;
  private static final double LETTER = 6.4;
  private static final double NAME_HEIGHT = 14;

  private static final double MOUNTS_WIDTH = 126;

  /** Below this height the path is left out, and the mounts stand in a row. */
  private static final double SMALL = 290;

  private static final double MOUNTS_HEIGHT = 84;

  private final MirrorModel model;
  private final BeamPath path;
  private final MountFaces faces;
  private double tapeWidth;
  private double tapeHeight;
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
    if (scale > 0 && e.getY() < tapeHeight && e.getX() < tapeWidth) {
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
    boolean small = getHeight() < SMALL;
    tapeWidth = small ? getWidth() : getWidth() - MOUNTS_WIDTH;
    tapeHeight = getHeight() - (small ? MOUNTS_HEIGHT : LOWER_HEIGHT);
    double size = Math.max(LEAST, Math.min(tapeWidth, tapeHeight) - 2 * SIDE);
    middleX = tapeWidth / 2;
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
        middleX,
        CAPTION_Y,
        "plan-side");
    if (model.marks().values().stream().noneMatch(NumberEntry::begun)) {
      on.words(Text.of("mirrors.picture.click"), middleX, middleY + 30, "plan-side");
    }
    List<Spot> spots = new ArrayList<>();
    model
        .marks()
        .forEach((place, entries) -> {
          if (place.at() == at && usable(entries)) {
            spots.add(mark(on, place, entries, finding));
          }
        });
    name(on, spots);
    on.line(SIDE, tapeHeight, getWidth() - SIDE, tapeHeight, "plan-grid");
    if (small) {
      faces.draw(on, finding, new Rectangle2D(0, tapeHeight, getWidth(), MOUNTS_HEIGHT));
    } else {
      faces.draw(on, finding, new Rectangle2D(tapeWidth, 0, MOUNTS_WIDTH, tapeHeight));
      path.draw(
          on, finding, new Rectangle2D(SIDE, tapeHeight, getWidth() - 2 * SIDE, LOWER_HEIGHT));
    }
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

  /** A mark on the drawing, and where its name may not stand. */
  private record Spot(MarkPlace place, double x, double y, List<Box> dots) {}

  private record Box(double x, double y, double halfWidth, double halfHeight) {
    boolean meets(Box other) {
      return Math.abs(x - other.x) < halfWidth + other.halfWidth
          && Math.abs(y - other.y) < halfHeight + other.halfHeight;
    }
  }

  private Spot mark(
      Drawing on, MarkPlace place, List<NumberEntry> entries, Optional<MirrorFinding> finding) {
    double right = entries.get(0).number();
    double up = entries.get(1).number();
    double x = middleX + right * scale;
    double y = middleY - up * scale;
    List<Box> dots = new ArrayList<>(List.of(new Box(x, y, DOT, DOT)));
    finding.ifPresent(f -> {
      double[] paths = model.pathsMm(place);
      double afterX = middleX + (right - f.movedRightMm(paths)) * scale;
      double afterY = middleY - (up - f.movedUpMm(paths)) * scale;
      on.line(x, y, afterX, afterY, "mark-way");
      on.circle(afterX, afterY, DOT, "mark-after");
      dots.add(new Box(afterX, afterY, DOT, DOT));
    });
    on.circle(x, y, DOT, "mark-now");
    return new Spot(place, x, y, dots);
  }

  /** Each mark's name beside it, where no dot and no other name is. */
  private void name(Drawing on, List<Spot> spots) {
    List<Box> taken = new ArrayList<>(spots.stream().flatMap(s -> s.dots.stream()).toList());
    taken.add(new Box(middleX, CAPTION_Y, 40, NAME_HEIGHT / 2));
    for (Spot spot : spots) {
      String words = MirrorPane.words(spot.place).replaceFirst("^[^,]*, ", "");
      double half = words.length() * LETTER / 2;
      double aside = half + DOT + 3;
      List<Box> free =
          Stream.of(
                  new double[] {0, -15},
                  new double[] {0, 15},
                  new double[] {-aside, 0},
                  new double[] {aside, 0},
                  new double[] {-aside, -13},
                  new double[] {aside, -13},
                  new double[] {-aside, 13},
                  new double[] {aside, 13},
                  new double[] {0, -29},
                  new double[] {0, 29},
                  new double[] {-aside, -27},
                  new double[] {-aside, 27})
              .map(d -> new Box(spot.x + d[0], spot.y + d[1], half, NAME_HEIGHT / 2))
              .toList();
      Box chosen =
          free.stream()
              .filter(box -> box.x > half && box.x < tapeWidth - half)
              .filter(box -> taken.stream().noneMatch(box::meets))
              .findFirst()
              .orElse(free.getFirst());
      taken.add(chosen);
      on.words(words, chosen.x, chosen.y, "plan-after");
    }
  }

  /** The mirrors whose screws are to be turned, in order; none where they are to be left. */
  static List<String> toTurn(MirrorFinding f) {
    List<String> mirrors = new ArrayList<>();
    if (f.verdict() != Verdict.ADJUST) {
      return mirrors;
    }
    f.mirrors()
        .forEach((name, m) -> {
          if (m.sideways().clockMinutes() != 0 || m.upDown().clockMinutes() != 0) {
            mirrors.add(name);
          }
        });
    return mirrors;
  }
}
