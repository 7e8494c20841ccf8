package zebrawood.desktop.mirrors;

import java.util.List;
import javafx.css.PseudoClass;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.Drawing;
import zebrawood.desktop.sheet.LivePicture;
import zebrawood.desktop.text.Text;
import zebrawood.mirrors.MirrorFinding;

/**
 * The head's opening looking the way the beam travels, to scale: the marks now, and where exact
 * turns bring them; below it the beam's path from above with the mirror to touch lit.
 */
final class MarksPicture extends LivePicture {
  private static final double PLAN_HEIGHT = 96;
  private static final double SIDE = 26;
  private static final double DOT = 7;
  private static final PseudoClass LIT = PseudoClass.getPseudoClass("lit");

  private final MirrorModel model;

  MarksPicture(MirrorModel model) {
    this.model = model;
    model.outcomeProperty().subscribe(o -> draw());
  }

  @Override
  protected void draw(Drawing on) {
    if (!(model.outcomeProperty().get() instanceof MirrorOutcome.Found(var visit, var finding))) {
      on.words(Text.of("mirrors.picture.empty"), getWidth() / 2, getHeight() / 2, "plan-side");
      return;
    }
    double size = Math.min(getWidth(), getHeight() - PLAN_HEIGHT) - 2 * SIDE;
    double middleX = getWidth() / 2;
    double middleY = SIDE + size / 2;
    double furthest =
        model.marks().entrySet().stream()
            .filter(e -> e.getKey().head() && NumberEntry.begun(e.getValue()))
            .flatMap(e -> e.getValue().stream())
            .mapToDouble(e -> Math.abs(e.number()))
            .max()
            .orElse(0);
    double radius = visit.readings().apertureMm() / 2;
    double scale = size / 2 / Math.max(radius, furthest + 1);
    on.circle(middleX, middleY, radius * scale, "opening");
    on.line(middleX - 8, middleY, middleX + 8, middleY, "plan-grid");
    on.line(middleX, middleY - 8, middleX, middleY + 8, "plan-grid");
    model
        .marks()
        .forEach((place, entries) -> {
          if (place.head() && NumberEntry.begun(entries)) {
            mark(on, place, entries, finding, middleX, middleY, scale);
          }
        });
    plan(on, finding);
  }

  private void mark(
      Drawing on,
      MarkPlace place,
      List<NumberEntry> entries,
      MirrorFinding f,
      double middleX,
      double middleY,
      double scale) {
    double right = entries.get(0).number();
    double up = entries.get(1).number();
    double p2 = model.pathFrom2Mm(place) / 1000;
    double p1 = model.pathFrom1Mm(place) / 1000 + p2;
    var one = f.mirrors().get("1");
    var two = f.mirrors().get("2");
    double afterRight = right + one.beamErrorRightMrad() * p1 - two.beamErrorRightMrad() * p2;
    double afterUp = up - one.beamErrorUpMrad() * p1 - two.beamErrorUpMrad() * p2;
    double x = middleX + right * scale;
    double y = middleY - up * scale;
    on.line(x, y, middleX + afterRight * scale, middleY - afterUp * scale, "mark-way");
    on.circle(x, y, DOT, "mark-now");
    on.circle(middleX + afterRight * scale, middleY - afterUp * scale, DOT, "mark-after");
    on.words(MirrorPane.words(place).replaceFirst("head, ", ""), x, y - 15, "plan-after");
  }

  /** From above: tube, mirror 1, gantry, head. The error is not drawn; it would not be seen. */
  private void plan(Drawing on, MirrorFinding f) {
    double top = getHeight() - PLAN_HEIGHT;
    double left = SIDE + 20;
    double right = getWidth() - SIDE - 20;
    double gantryY = top + PLAN_HEIGHT * 0.55;
    boolean rear = model.mirrorOneAtProperty().get() == MirrorOneAt.REAR;
    double oneY = rear ? top + 14 : getHeight() - 22;
    on.line(right, oneY, left, oneY, "beam");
    on.line(left, oneY, left, gantryY, "beam");
    on.line(left, gantryY, (left + right) / 2, gantryY, "beam");
    lit(on, left, oneY, needs(f, "1"));
    lit(on, left, gantryY, needs(f, "2") && !needs(f, "1"));
    on.words("1", left - 16, oneY, "plan-side");
    on.words("2", left - 16, gantryY, "plan-side");
    on.words(Text.of("mirrors.picture.head"), (left + right) / 2 + 30, gantryY, "plan-side");
    on.words(Text.of("mirrors.picture.tube"), right - 10, oneY + (rear ? 14 : -14), "plan-side");
    on.words(Text.of("bed.plan.front"), (left + right) / 2, getHeight() - 8, "plan-side");
  }

  private static boolean needs(MirrorFinding f, String mirror) {
    var m = f.mirrors().get(mirror);
    return m.sideways().clockMinutes() != 0 || m.upDown().clockMinutes() != 0;
  }

  private static void lit(Drawing on, double x, double y, boolean lit) {
    on.circle(x, y, 8, "mirror-mount").pseudoClassStateChanged(LIT, lit);
  }
}
