package zebrawood.desktop.focus;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.focus.PhotoFields.Mark;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.photo.PhotoView;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.text.Text;
import zebrawood.devices.picture.Preview;
import zebrawood.focus.RampPhotoFinding.Sample;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * The photograph with the four marks, which follow the hand, and over it the widths that were
 * measured, each where it is, and where the line is thinnest.
 */
final class PhotoPicture {
  private static final double WORDS_BELOW = 40;

  /** What was measured stands below the photograph. */
  private static final double MOST_OF_HEIGHT = 0.5;

  private static final double HIGHEST_BAR = 60;

  private final FocusWork work;
  private final Canvas on;

  PhotoPicture(FocusWork work, Canvas on) {
    this.work = work;
    this.on = on;
  }

  void draw() {
    Optional<Preview> preview = work.preview();
    if (preview.isEmpty()) {
      say(Text.of("focus.photo.none"), on.height() / 2);
      return;
    }
    PhotoMarks photo = work.photo().photo();
    PhotoView view = view(preview.get(), on.width(), on.height());
    view.drawPicture(on);
    view.between(on, photo.of(Mark.SCALE_FROM), photo.of(Mark.SCALE_TO), "photo-scale");
    view.between(on, photo.of(Mark.LINE_START), photo.of(Mark.LINE_END), "photo-line");
    work.found().ifPresent(found -> widths(view, found.finding().located().widths()));
    view.drawMarks(on, photo);
    say(
        photo
            .next()
            .map(m -> Text.of("focus.photo.press", m.number(), Message.of(m.what())))
            .orElseGet(() -> Text.of("focus.photo.told")),
        view.bottom() + WORDS_BELOW / 2);
    if (work.found().isPresent()) {
      new FocusPicture(on, view.bottom() + WORDS_BELOW).draw(work.found());
    }
  }

  private static PhotoView view(Preview preview, double width, double height) {
    return new PhotoView(preview, width, height, MOST_OF_HEIGHT);
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
    work.found()
        .flatMap(f -> f.finding().located().gapMm())
        .ifPresent(
            gap -> on.circle(fit.x(thinnest.xPx()), fit.y(thinnest.yPx()), 12, "photo-focus"));
  }

  static Optional<StationWork.Held> grabbed(
      FocusWork work, double x, double y, double width, double height) {
    return work.preview().flatMap(p -> view(p, width, height).grabbed(work.photo().photo(), x, y));
  }

  static void pressed(FocusWork work, double x, double y, double width, double height) {
    work.preview().ifPresent(p -> view(p, width, height).pressed(work.photo().photo(), x, y));
  }
}
