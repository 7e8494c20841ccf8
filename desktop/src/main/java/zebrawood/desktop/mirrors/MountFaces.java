package zebrawood.desktop.mirrors;

import java.util.List;
import java.util.Optional;
import zebrawood.desktop.text.Text;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorFinding.Turn;
import zebrawood.records.picture.Canvas;

/**
 * Each mirror's mount as seen from behind, where the screws are: the plate with its mirror, the
 * fixed pivot in one corner, a screw beside it and one above it. The one to touch first is lit,
 * with the way to turn it.
 */
final class MountFaces {
  private static final double LEAST = 20;
  private static final double LARGEST_FACE_PX = 72;
  private static final double LABEL = 18;
  private static final double SCREW_SHARE = 0.08;
  private static final double ARROW_SHARE = 0.17;
  private static final double ARROW_DEG = 250;

  private final MirrorsModel work;

  MountFaces(MirrorsModel work) {
    this.work = work;
  }

  void draw(Canvas on, Optional<MirrorFinding> finding, Area area) {
    int mirrors = work.train.mirrors();
    boolean row = area.width() > area.height();
    double each = (row ? area.width() : area.height()) / mirrors;
    double size = Math.clamp((row ? area.height() : each) - LABEL - 10, LEAST, LARGEST_FACE_PX);
    Optional<String> first =
        finding.map(MarksPicture::toTurn).filter(l -> !l.isEmpty()).map(List::getFirst);
    for (int i = 1; i <= mirrors; i++) {
      double along = each * (i - 0.5);
      double middle = area.left() + (row ? along : area.width() / 2);
      double y = area.top() + (row ? area.height() / 2 : along) - (size + LABEL) / 2;
      String name = String.valueOf(i);
      boolean its = first.filter(name::equals).isPresent();
      Optional<MirrorFinding.Mirror> turns =
          finding.filter(f -> its).map(f -> f.mirrors().get(name));
      face(on, middle - size / 2, y, size, turns);
      int number = i;
      String words =
          turns
              .map(m ->
                  Text.of(
                      sideways(m) ? "mirrors.picture.sideways" : "mirrors.picture.up-down", number))
              .orElseGet(() -> Text.of("mirrors.picture.mirror", number));
      on.words(words, middle, y + size + LABEL / 2 + 2, "plan-side");
    }
  }

  private static boolean sideways(MirrorFinding.Mirror mirror) {
    return mirror.sideways().clockMinutes() != 0;
  }

  private static void face(
      Canvas on, double x, double y, double size, Optional<MirrorFinding.Mirror> turns) {
    on.rectangle(x, y, size, size, "mount-plate");
    on.circle(x + size * 0.6, y + size * 0.4, size * 0.2, "mirror-mount").state("lit", false);
    double near = size * 0.2;
    double far = size - near;
    on.circle(x + near, y + far, 3, "mount-pivot");
    boolean lit = turns.isPresent();
    boolean sideways = turns.filter(MountFaces::sideways).isPresent();
    on.circle(x + far, y + far, size * SCREW_SHARE, "mount-screw").state("lit", lit && sideways);
    on.circle(x + near, y + near, size * SCREW_SHARE, "mount-screw").state("lit", lit && !sideways);
    turns.ifPresent(m ->
        arrow(
            on,
            x + (sideways ? far : near),
            y + (sideways ? far : near),
            size,
            sideways ? m.sideways() : m.upDown()));
  }

  /** Round the screw, with its head at the end of the turn. */
  private static void arrow(Canvas on, double x, double y, double size, Turn turn) {
    double radius = size * ARROW_SHARE;
    boolean clockwise = turn.clockMinutes() > 0;
    double start = 90;
    double sweep = clockwise ? -ARROW_DEG : ARROW_DEG;
    on.arc(x, y, radius, start, sweep, "turn-arrow");
    double end = Math.toRadians(start + sweep);
    double tipX = x + radius * Math.cos(end);
    double tipY = y - radius * Math.sin(end);
    // Along the circle, the way the turn goes.
    double forward = clockwise ? end - Math.PI / 2 : end + Math.PI / 2;
    for (double side : new double[] {-0.6, 0.6}) {
      double back = forward + Math.PI + side;
      on.line(tipX, tipY, tipX + 6 * Math.cos(back), tipY - 6 * Math.sin(back), "turn-head");
    }
  }
}
