package zebrawood.desktop.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.measure.PixelScale;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** The photograph of a board: its file, and four marks in it, pressed or typed in pixels. */
final class PhotoFields {
  private static final double MOST_PX = 100_000;

  /** The marks, in the order in which they are pressed. */
  enum Mark {
    SCALE_FROM,
    SCALE_TO,
    LINE_START,
    LINE_END
  }

  private final StationForm form;
  private final WordsField path;
  private final QuantityField scaleMm;
  private final List<PairOfPx> marks;

  /** Where a mark is. */
  record PairOfPx(Mark mark, QuantityField x, QuantityField y) {
    boolean set() {
      return x.value().isPresent() && y.value().isPresent();
    }

    List<Double> px() {
      return List.of(x.number(), y.number());
    }
  }

  PhotoFields(StationForm form) {
    this.form = form;
    path = form.words("visit.photo");
    scaleMm = form.positive("scaleMm", Quantity.LENGTH, 5000);
    marks = Stream.of(Mark.values()).map(this::mark).toList();
  }

  private PairOfPx mark(Mark mark) {
    String name = "visit.mark." + mark.ordinal();
    return new PairOfPx(mark, px(name + ".x", mark, "x"), px(name + ".y", mark, "y"));
  }

  private QuantityField px(String name, Mark mark, String axis) {
    return form.quantity(
        name, Message.of("focus.field.mark", Message.of(mark), axis), Quantity.NUMBER, 0, MOST_PX);
  }

  WordsField path() {
    return path;
  }

  QuantityField scaleMm() {
    return scaleMm;
  }

  List<PairOfPx> marks() {
    return marks;
  }

  String file() {
    return path.text().strip();
  }

  Stream<Field> fields() {
    return Stream.concat(
        Stream.of(path, scaleMm), marks.stream().flatMap(m -> Stream.of(m.x(), m.y())));
  }

  /** The first mark that is not set yet. */
  Optional<PairOfPx> next() {
    return marks.stream().filter(m -> !m.set()).findFirst();
  }

  void set(PairOfPx mark, double xPx, double yPx) {
    form.quietly(() -> {
      mark.x().set(Math.round(xPx * 10) / 10.0);
      mark.y().set(Math.round(yPx * 10) / 10.0);
    });
  }

  OptionalDouble pxPerMm() {
    if (!marks.get(0).set() || !marks.get(1).set() || scaleMm.value().isEmpty()) {
      return OptionalDouble.empty();
    }
    double px =
        Math.hypot(
            marks.get(1).x().number() - marks.get(0).x().number(),
            marks.get(1).y().number() - marks.get(0).y().number());
    return OptionalDouble.of(px / scaleMm.number());
  }

  RampPhotoReadings readings(double runMm, double riseMm, double gapAtStartMm) {
    return new RampPhotoReadings(
        file(),
        new PixelScale(marks.get(0).px(), marks.get(1).px(), scaleMm.number()),
        new RampPhotoReadings.Line(marks.get(2).px(), marks.get(3).px()),
        runMm,
        riseMm,
        gapAtStartMm);
  }
}
