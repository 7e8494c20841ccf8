package zebrawood.desktop.photo;

import java.util.Comparator;
import java.util.Optional;
import zebrawood.desktop.photo.PhotoMarks.Mark;
import zebrawood.desktop.station.Dragged;
import zebrawood.devices.picture.Preview;
import zebrawood.records.picture.Canvas;

/** How a picture lies in its frame, with the marks that follow the hand. */
public final class PhotoView {
  private static final double EDGE = 6;
  private static final double NEAR = 16;

  private final double left;
  private final double top;
  private final double scale;
  private final Preview preview;

  /**
   * @param shareOfHeight how much of the frame's height it may take
   */
  public PhotoView(Preview preview, double width, double height, double shareOfHeight) {
    this.preview = preview;
    scale =
        Math.min(
            (width - 2 * EDGE) / preview.widthPx(),
            (height * shareOfHeight - EDGE) / preview.heightPx());
    left = (width - scale * preview.widthPx()) / 2;
    top = EDGE;
  }

  public double x(double px) {
    return left + px * scale;
  }

  public double y(double px) {
    return top + px * scale;
  }

  public double bottom() {
    return top + scale * preview.heightPx();
  }

  public double pxX(double x) {
    return Math.clamp((x - left) / scale, 0, preview.widthPx());
  }

  public double pxY(double y) {
    return Math.clamp((y - top) / scale, 0, preview.heightPx());
  }

  public void drawPicture(Canvas on) {
    on.image(preview.png(), left, top, scale * preview.widthPx(), scale * preview.heightPx());
  }

  /** The marks that are set, with their numbers. */
  public void drawMarks(Canvas on, PhotoMarks marks) {
    for (Mark mark : marks.all()) {
      if (mark.set()) {
        double x = x(mark.x().number());
        double y = y(mark.y().number());
        on.circle(x, y, 7, "photo-mark");
        on.words(String.valueOf(marks.numberOf(mark)), x, y, 20, "mark-number");
      }
    }
  }

  public void between(Canvas on, Mark from, Mark to, String look) {
    if (from.set() && to.set()) {
      on.line(
          x(from.x().number()), y(from.y().number()), x(to.x().number()), y(to.y().number()), look);
    }
  }

  /** A mark near the place, held by the hand. */
  public Optional<Dragged> grabbed(PhotoMarks marks, double x, double y) {
    return marks.all().stream()
        .filter(Mark::set)
        .filter(m -> distance(m, x, y) < NEAR)
        .min(Comparator.comparingDouble(m -> distance(m, x, y)))
        .map(m -> (toX, toY) -> marks.set(m, pxX(toX), pxY(toY)));
  }

  private double distance(Mark mark, double x, double y) {
    return Math.hypot(x(mark.x().number()) - x, y(mark.y().number()) - y);
  }

  /** The next mark that is not set is where it is pressed. */
  public void pressed(PhotoMarks marks, double x, double y) {
    marks.next().ifPresent(m -> marks.set(m, pxX(x), pxY(y)));
  }
}
