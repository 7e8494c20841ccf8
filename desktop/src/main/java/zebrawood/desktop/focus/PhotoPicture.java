package zebrawood.desktop.focus;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.focus.PhotoFields.PairOfPx;
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
  private static final double EDGE = 6;
  private static final double NEAR = 16;
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

  /** How the picture lies in its frame. */
  private record Fit(double left, double top, double scale, double widthPx, double heightPx) {
    static Fit of(Preview preview, double width, double height) {
      double scale =
          Math.min(
              (width - 2 * EDGE) / preview.widthPx(),
              (height * MOST_OF_HEIGHT - EDGE) / preview.heightPx());
      return new Fit(
          (width - scale * preview.widthPx()) / 2,
          EDGE,
          scale,
          preview.widthPx(),
          preview.heightPx());
    }

    double x(double px) {
      return left + px * scale;
    }

    double bottom() {
      return top + scale * heightPx;
    }

    double y(double px) {
      return top + px * scale;
    }

    double pxX(double x) {
      return Math.clamp((x - left) / scale, 0, widthPx);
    }

    double pxY(double y) {
      return Math.clamp((y - top) / scale, 0, heightPx);
    }
  }

  void draw() {
    Optional<Preview> preview = work.preview();
    if (preview.isEmpty()) {
      say(Text.of("focus.photo.none"), on.height() / 2);
      return;
    }
    Fit fit = Fit.of(preview.get(), on.width(), on.height());
    on.image(
        preview.get().png(), fit.left, fit.top, fit.scale * fit.widthPx, fit.scale * fit.heightPx);
    List<PairOfPx> marks = work.photo().marks();
    between(fit, marks.get(0), marks.get(1), "photo-scale");
    between(fit, marks.get(2), marks.get(3), "photo-line");
    work.found().ifPresent(found -> widths(fit, found.finding().located().widths()));
    for (PairOfPx mark : marks) {
      if (mark.set()) {
        on.circle(fit.x(mark.x().number()), fit.y(mark.y().number()), 7, "photo-mark");
        on.words(
            String.valueOf(mark.mark().ordinal() + 1),
            fit.x(mark.x().number()),
            fit.y(mark.y().number()),
            20,
            "mark-number");
      }
    }
    say(
        work.photo()
            .next()
            .map(m -> Text.of("focus.photo.press", m.mark().ordinal() + 1, Message.of(m.mark())))
            .orElseGet(() -> Text.of("focus.photo.told")),
        fit.bottom() + WORDS_BELOW / 2);
    if (work.found().isPresent()) {
      new FocusPicture(on, fit.bottom() + WORDS_BELOW).draw(work.found());
    }
  }

  private void say(String words, double y) {
    on.words(words, on.width() / 2, y, Math.max(60, on.width() - 20), "plan-side");
  }

  private void between(Fit fit, PairOfPx from, PairOfPx to, String look) {
    if (from.set() && to.set()) {
      on.line(
          fit.x(from.x().number()),
          fit.y(from.y().number()),
          fit.x(to.x().number()),
          fit.y(to.y().number()),
          look);
    }
  }

  /** Across the line as many times as wide as the widest takes the height there is for it. */
  private void widths(Fit fit, List<Sample> samples) {
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
    return work.preview()
        .flatMap(preview -> {
          Fit fit = Fit.of(preview, width, height);
          return work.photo().marks().stream()
              .filter(PairOfPx::set)
              .filter(m -> distance(fit, m, x, y) < NEAR)
              .min(Comparator.comparingDouble(m -> distance(fit, m, x, y)))
              .map(m -> (toX, toY) -> work.photo().set(m, fit.pxX(toX), fit.pxY(toY)));
        });
  }

  private static double distance(Fit fit, PairOfPx mark, double x, double y) {
    return Math.hypot(fit.x(mark.x().number()) - x, fit.y(mark.y().number()) - y);
  }

  /** The next mark that is not set is where it is pressed. */
  static void pressed(FocusWork work, double x, double y, double width, double height) {
    work.preview()
        .ifPresent(preview -> {
          Fit fit = Fit.of(preview, width, height);
          work.photo().next().ifPresent(m -> work.photo().set(m, fit.pxX(x), fit.pxY(y)));
        });
  }
}
