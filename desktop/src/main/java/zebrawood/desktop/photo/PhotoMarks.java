package zebrawood.desktop.photo;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A picture's file, and places in it, pressed or typed in pixels. */
public final class PhotoMarks {
  private static final double MOST_PX = 100_000;

  private final StationForm form;
  private final WordsField path;
  private final WordsField folder;
  private final List<Mark> marks;
  private Predicate<Enum<?>> asked = what -> true;

  /**
   * One place.
   *
   * @param what it is, said in the bundles
   */
  public record Mark(Enum<?> what, QuantityField x, QuantityField y) {
    public boolean set() {
      return x.value().isPresent() && y.value().isPresent();
    }

    public List<Double> px() {
      return List.of(x.number(), y.number());
    }
  }

  /**
   * @param label the key of a coordinate's label: of what, and x or y
   * @param of the places, in the order in which they are pressed
   */
  public PhotoMarks(StationForm form, String label, Enum<?>... of) {
    this.form = form;
    path = form.words("visit.photo");
    folder = form.words("photoFolder");
    marks =
        Stream.of(of)
            .map(what -> new Mark(what, px(label, what, "x"), px(label, what, "y")))
            .toList();
  }

  private QuantityField px(String label, Enum<?> what, String axis) {
    return form.quantity(
        "visit.mark." + what.ordinal() + "." + axis,
        Message.of(label, Message.of(what), axis),
        Quantity.NUMBER,
        0,
        MOST_PX);
  }

  /** The file, and below it nothing: the places are pressed. */
  public Part fileName(String chooserId) {
    return new Part.FileName(path, chooserId, Optional.of(folder));
  }

  public WordsField path() {
    return path;
  }

  public String file() {
    return path.text().strip();
  }

  /** Some of them are not wanted for now; what they stand at is kept. */
  public void askOnly(Predicate<Enum<?>> which) {
    asked = which;
  }

  /** Those that are wanted now. */
  public List<Mark> all() {
    return marks.stream().filter(m -> asked.test(m.what)).toList();
  }

  /** Its number, as it is shown, among those that are wanted: from 1. */
  public int numberOf(Mark mark) {
    return all().indexOf(mark) + 1;
  }

  public Mark of(Enum<?> what) {
    return marks.get(what.ordinal());
  }

  public Stream<Field> fields() {
    return all().stream().flatMap(m -> Stream.of(m.x(), m.y()));
  }

  /** The first that is not set yet. */
  public Optional<Mark> next() {
    return all().stream().filter(m -> !m.set()).findFirst();
  }

  public void set(Mark mark, double xPx, double yPx) {
    form.allAtOnce(() -> {
      mark.x().set(Math.round(xPx * 10) / 10.0);
      mark.y().set(Math.round(yPx * 10) / 10.0);
    });
  }
}
