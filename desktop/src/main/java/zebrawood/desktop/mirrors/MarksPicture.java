package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.records.picture.Canvas;

/**
 * The tape looking the way the beam travels, to scale: the marks now, and where exact turns bring
 * them; a click puts the mark that is typed now. Beside it the mounts with the screw to touch lit,
 * below it the beam's path from above.
 */
final class MarksPicture {
  private static final double LOWER_HEIGHT = 132;
  private static final double SIDE = 24;
  private static final double LEAST = 24;
  private static final double DOT = 9;
  private static final double CAPTION_Y = 12;
  private static final double LETTER = 7.2;
  private static final double NAME_HEIGHT = 14;

  private static final double MOUNTS_WIDTH = 126;

  /** Below this height the path is left out, and the mounts stand in a row. */
  private static final double SMALL = 290;

  private static final double MOUNTS_HEIGHT = 84;

  /** Drawn for a mirror whose size nobody gave. */
  private static final double USUAL_FACE_MM = 20;

  private final MirrorsModel work;
  private final double width;
  private final double height;
  private final At at;
  private final double radiusMm;
  private final boolean small;
  private final double tapeWidth;
  private final double tapeHeight;
  private final double middleX;
  private final double middleY;
  private final double scale;

  MarksPicture(MirrorsModel work, double width, double height) {
    this.work = work;
    this.width = width;
    this.height = height;
    at = work.place().at();
    small = height < SMALL;
    tapeWidth = small ? width : width - MOUNTS_WIDTH;
    tapeHeight = height - (small ? MOUNTS_HEIGHT : LOWER_HEIGHT);
    double size = Math.max(LEAST, Math.min(tapeWidth, tapeHeight) - 2 * SIDE);
    middleX = tapeWidth / 2;
    middleY = SIDE + size / 2;
    double furthest =
        work.marks.entrySet().stream()
            .filter(e -> e.getKey().at() == at)
            .flatMap(e -> e.getValue().mm().stream())
            .mapToDouble(mm -> Math.max(Math.abs(mm[0]), Math.abs(mm[1])))
            .max()
            .orElse(0);
    QuantityField opening = at == At.HEAD ? work.aperture : work.face;
    radiusMm = opening.value().orElse(USUAL_FACE_MM) / 2;
    scale = size / 2 / Math.max(radiusMm, furthest + 1);
  }

  /** Right and up of the middle, where a place of the picture is on the tape. */
  Optional<double[]> at(double x, double y) {
    return y < tapeHeight && x < tapeWidth
        ? Optional.of(new double[] {(x - middleX) / scale, (middleY - y) / scale})
        : Optional.empty();
  }

  /** The mark that is drawn there. */
  Optional<MarkPlace> markAt(double x, double y) {
    return work.marks.entrySet().stream()
        .filter(e -> e.getKey().at() == at)
        .filter(e ->
            e.getValue()
                .mm()
                .filter(mm ->
                    Math.hypot(middleX + mm[0] * scale - x, middleY - mm[1] * scale - y) <= DOT + 3)
                .isPresent())
        .map(Map.Entry::getKey)
        .findFirst();
  }

  void draw(Canvas on) {
    Optional<MirrorFinding> finding = work.solved().flatMap(f -> f.finding().alignment());
    on.circle(middleX, middleY, radiusMm * scale, "opening");
    on.line(middleX - 8, middleY, middleX + 8, middleY, "plan-grid");
    on.line(middleX, middleY - 8, middleX, middleY + 8, "plan-grid");
    on.words(
        Text.of(at == At.HEAD ? "mirrors.picture.at-head" : "mirrors.picture.at-mirror"),
        middleX,
        CAPTION_Y,
        "plan-side");
    if (work.marks.values().stream().noneMatch(MarkFields::begun)) {
      on.words(Text.of("mirrors.picture.click"), middleX, middleY + 30, "plan-side");
    }
    List<Spot> spots = new ArrayList<>();
    work.marks.forEach((place, aim) -> {
      if (place.at() == at) {
        aim.mm().ifPresent(mm -> spots.add(mark(on, place, mm[0], mm[1], finding)));
      }
    });
    name(on, spots);
    on.line(SIDE, tapeHeight, width - SIDE, tapeHeight, "plan-grid");
    if (small) {
      new MountFaces(work).draw(on, finding, new Area(0, tapeHeight, width, MOUNTS_HEIGHT));
    } else {
      new MountFaces(work).draw(on, finding, new Area(tapeWidth, 0, MOUNTS_WIDTH, tapeHeight));
      new BeamPath(work)
          .draw(on, finding, new Area(SIDE, tapeHeight, width - 2 * SIDE, LOWER_HEIGHT));
    }
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
      Canvas on, MarkPlace place, double right, double up, Optional<MirrorFinding> finding) {
    double x = middleX + right * scale;
    double y = middleY - up * scale;
    List<Box> dots = new ArrayList<>(List.of(new Box(x, y, DOT, DOT)));
    finding.ifPresent(f -> {
      double[] paths = work.legs.pathsMm(place);
      double afterX = middleX + (right - f.movedRightMm(paths)) * scale;
      double afterY = middleY - (up - f.movedUpMm(paths)) * scale;
      on.line(x, y, afterX, afterY, "mark-way");
      on.circle(afterX, afterY, DOT, "mark-after");
      dots.add(new Box(afterX, afterY, DOT, DOT));
    });
    return new Spot(place, x, y, dots);
  }

  /** Each mark's number on its dot; of marks that lie on one another beside them, together. */
  private void name(Canvas on, List<Spot> spots) {
    List<Box> taken = new ArrayList<>(spots.stream().flatMap(s -> s.dots.stream()).toList());
    taken.add(new Box(middleX, CAPTION_Y, 60, NAME_HEIGHT / 2));
    List<Spot> left = new ArrayList<>(spots);
    spots.forEach(spot -> on.circle(spot.x, spot.y, DOT, "mark-now"));
    while (!left.isEmpty()) {
      Spot first = left.removeFirst();
      List<Spot> together = new ArrayList<>(List.of(first));
      left.removeIf(s -> {
        boolean joins = together.stream().anyMatch(t -> t.dots.getFirst().meets(s.dots.getFirst()));
        if (joins) {
          together.add(s);
        }
        return joins;
      });
      if (together.size() == 1) {
        on.words(number(first), first.x, first.y, "mark-number");
      } else {
        String words = together.stream().map(this::number).collect(Collectors.joining(" "));
        beside(on, first, words, taken);
      }
    }
  }

  private String number(Spot spot) {
    return Text.of("mirrors.number", work.numberOf(spot.place));
  }

  private void beside(Canvas on, Spot spot, String words, List<Box> taken) {
    double half = words.length() * LETTER / 2;
    double aside = half + DOT + 3;
    List<Box> free =
        Stream.of(
                new double[] {0, -18},
                new double[] {0, 18},
                new double[] {-aside, 0},
                new double[] {aside, 0},
                new double[] {-aside, -16},
                new double[] {aside, -16},
                new double[] {-aside, 16},
                new double[] {aside, 16},
                new double[] {0, -32},
                new double[] {0, 32})
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
