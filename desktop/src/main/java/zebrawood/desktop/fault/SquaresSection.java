package zebrawood.desktop.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Nine squares burnt at one setting, three by three over the bed, graded from 0 to 10. */
final class SquaresSection extends Section<SquaresSection.Grades, Void> {
  private static final int SIDE = 3;
  private static final int FEWEST = 5;
  private static final double BEST = 10;

  /** Of the bed, from its left and from its front. */
  private static final double[] AT = {0.1, 0.5, 0.9};

  private final List<QuantityField> fields = new ArrayList<>();

  /** As typed, from the front left, row by row. */
  record Grades(List<OptionalDouble> grades) {
    List<Scored> places(double wideMm, double deepMm) {
      List<Scored> places = new ArrayList<>();
      for (int i = 0; i < grades.size(); i++) {
        if (grades.get(i).isPresent()) {
          places.add(
              new Scored(
                  AT[i % SIDE] * wideMm,
                  AT[i / SIDE] * deepMm,
                  grades.get(i).getAsDouble() / BEST));
        }
      }
      return places;
    }
  }

  SquaresSection(StationForm form) {
    super(Message.of("fault.squares.hint"));
    for (int i = 1; i <= SIDE * SIDE; i++) {
      fields.add(
          form.quantity(
              "reading.score." + i, Message.of("fault.field.score", i), Quantity.NUMBER, 0, BEST));
    }
  }

  @Override
  public Stream<Field> fields() {
    return fields.stream().map(f -> f);
  }

  @Override
  public Part part() {
    return fold();
  }

  Part.Fold fold() {
    return Part.fold(
        "fault.squares",
        said(),
        new Part.Table(
            Stream.of(
                    "fault.squares.row",
                    "fault.squares.left",
                    "fault.squares.middle",
                    "fault.squares.right")
                .map(Message::of)
                .toList(),
            List.of(
                row("fault.squares.rear", 2),
                row("fault.squares.centre", 1),
                row("fault.squares.front", 0))));
  }

  private Part.TableRow row(String words, int row) {
    return new Part.TableRow(Message.of(words), fields.subList(SIDE * row, SIDE * (row + 1)));
  }

  /** As far as typed, from the front left, row by row. */
  List<OptionalDouble> scores() {
    return fields.stream().map(QuantityField::value).toList();
  }

  /** Makes a square one grade worse; from nothing it begins again as good as ever. */
  void press(int square) {
    OptionalDouble now = fields.get(square).value();
    double next = now.isEmpty() ? BEST : now.getAsDouble() - 1;
    fields.get(square).set(next < 0 ? BEST : next);
  }

  /** Types these grades, from the front left row by row. */
  void type(List<Scored> graded) {
    for (int i = 0; i < fields.size(); i++) {
      fields.get(i).set(Math.round(BEST * graded.get(i).score()));
    }
  }

  @Override
  protected Optional<Grades> understood() {
    List<OptionalDouble> all = scores();
    return all.stream().filter(OptionalDouble::isPresent).count() < FEWEST
        ? Optional.empty()
        : Optional.of(new Grades(all));
  }

  @Override
  protected Message words() {
    long typed = scores().stream().filter(OptionalDouble::isPresent).count();
    return typed > 0 && typed < FEWEST
        ? Message.of("fault.squares.more", FEWEST - typed)
        : Message.of("fault.squares.hint");
  }
}
