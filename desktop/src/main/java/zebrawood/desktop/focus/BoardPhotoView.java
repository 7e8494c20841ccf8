package zebrawood.desktop.focus;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.focus.PhotoFields.Mark;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.photo.PhotoView;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.focus.FocusFinding;
import zebrawood.focus.FocusReadings;
import zebrawood.focus.RampPhotoFinding.Sample;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * The photograph with the four marks, which follow the hand, and over it the widths that were
 * measured, each where it is, and where the line is thinnest.
 */
final class BoardPhotoView {
  private static final double WORDS_BELOW = 40;
  private static final double HIGHEST_BAR = 60;

  private final PhotoPlace place;
  private final Optional<Outcome.Solved<FocusReadings, FocusFinding>> solved;
  private final Canvas on;

  BoardPhotoView(
      PhotoPlace place, Optional<Outcome.Solved<FocusReadings, FocusFinding>> solved, Canvas on) {
    this.place = place;
    this.solved = solved;
    this.on = on;
  }

  void draw() {
    Optional<PhotoView> seen = place.view(on.width(), on.height());
    if (seen.isEmpty()) {
      say(Text.of("focus.photo.none"), on.height() / 2);
      return;
    }
    PhotoMarks photo = place.marks();
    PhotoView view = seen.get();
    view.drawPicture(on);
    boolean corners = photo.all().contains(photo.of(Mark.UPPER_LEFT));
    between(view, corners, Mark.UPPER_LEFT, Mark.UPPER_RIGHT);
    between(view, corners, Mark.UPPER_RIGHT, Mark.LOWER_RIGHT);
    between(view, corners, Mark.LOWER_RIGHT, Mark.LOWER_LEFT);
    between(view, corners, Mark.LOWER_LEFT, Mark.UPPER_LEFT);
    between(view, !corners, Mark.SCALE_FROM, Mark.SCALE_TO);
    view.between(on, photo.of(Mark.LINE_START), photo.of(Mark.LINE_END), "photo-line");
    solved.ifPresent(found -> widths(view, found.finding().located().widths()));
    view.drawMarks(on, photo);
    say(
        photo
            .next()
            .map(m -> Text.of("focus.photo.press", photo.numberOf(m), Message.of(m.what())))
            .orElseGet(() -> Text.of("focus.photo.told")),
        view.bottom() + WORDS_BELOW / 2);
    if (solved.isPresent()) {
      new FocusPicture(on, view.bottom() + WORDS_BELOW).draw(solved);
    }
  }

  private void between(PhotoView view, boolean asked, Mark from, Mark to) {
    if (asked) {
      view.between(on, place.marks().of(from), place.marks().of(to), "photo-scale");
    }
  }

  private void say(String words, double y) {
    on.words(words, on.width() / 2, y, Math.max(60, on.width() - 20), "plan-side");
  }

  /** Across the line as many times as wide as the widest takes the height there is for it. */
  private void widths(PhotoView fit, List<Sample> samples) {
    if (samples.size() < 2) {
      return;
    }
    Sample first = samples.getFirst();
    Sample last = samples.getLast();
    double length = Math.hypot(last.xPx() - first.xPx(), last.yPx() - first.yPx());
    double nx = -(last.yPx() - first.yPx()) / length;
    double ny = (last.xPx() - first.xPx()) / length;
    double widest = samples.stream().mapToDouble(Sample::lineWidthMm).max().orElseThrow();
    for (Sample s : samples) {
      double half = HIGHEST_BAR / 2 * s.lineWidthMm() / widest;
      double x = fit.x(s.xPx());
      double y = fit.y(s.yPx());
      on.line(x - nx * half, y - ny * half, x + nx * half, y + ny * half, "photo-width");
    }
    Sample thinnest =
        samples.stream().min(Comparator.comparingDouble(Sample::lineWidthMm)).orElseThrow();
    solved
        .flatMap(f -> f.finding().located().gapMm())
        .ifPresent(
            gap -> on.circle(fit.x(thinnest.xPx()), fit.y(thinnest.yPx()), 12, "photo-focus"));
  }
}
