package zebrawood.desktop.field;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.field.ControllerCoefficients;
import zebrawood.field.FieldFinding;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldVisit;
import zebrawood.field.FieldVisitFinding;
import zebrawood.field.FieldVisitReadings;
import zebrawood.quantity.Quantity;
import zebrawood.records.field.FieldTable;
import zebrawood.words.Message;

/** The table behind a grid's coefficients, written for a controller that takes tables. */
final class CommandTableSection extends Section<Void, Void> {
  private final QuantityField size;
  private final WordsField file;
  private final WordsField loaded;
  private final QuantityField field;
  private final Supplier<Optional<Outcome.Solved<FieldVisitReadings, FieldVisitFinding>>> solved;

  /**
   * @param field its size, as typed elsewhere on the sheet
   * @param solved what the station came to
   */
  CommandTableSection(
      StationForm form,
      QuantityField field,
      Supplier<Optional<Outcome.Solved<FieldVisitReadings, FieldVisitFinding>>> solved) {
    super(Message.of("field.table.hint"));
    size =
        form.quantity(
            "tableSize",
            Quantity.NUMBER,
            FieldReadings.SMALLEST_TABLE,
            FieldReadings.LARGEST_TABLE);
    file = form.words("tableFile");
    loaded = form.words("reading.loadedTable");
    this.field = field;
    this.solved = solved;
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(size);
  }

  @Override
  public Part part() {
    return Part.fold(
        "field.files",
        said(),
        Part.rows(size, loaded, file),
        new Part.Press("field-write-table", Message.of("field.table.write"), this::write));
  }

  /** Rows and columns; the usual ones where nobody said. */
  OptionalInt size() {
    return size.value().isPresent()
        ? OptionalInt.of((int) Math.round(size.number()))
        : OptionalInt.empty();
  }

  private Optional<ControllerCoefficients> plain() {
    return solved.get().flatMap(s -> s.finding().plain());
  }

  @Override
  protected Message words() {
    return plain().map(ControllerCoefficients::said).orElse(Message.of("field.table.hint"));
  }

  private void write() {
    if (plain().isEmpty()) {
      say(Message.of("field.table.none"));
      return;
    }
    Outcome.Solved<FieldVisitReadings, FieldVisitFinding> grid = solved.get().orElseThrow();
    double fieldMm = field.number();
    Optional<String> joined = Optional.of(loaded.text().strip()).filter(name -> !name.isEmpty());
    withFile(
        file,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          List<FieldFinding.Row> rows = FieldVisit.table(grid.readings(), grid.finding());
          FieldTable.of(fieldMm, joined.map(t -> FieldTable.read(t).joined(rows)).orElse(rows))
              .write(name);
          return Message.of(
              joined.isPresent() ? "field.table.joined" : "field.table.alone",
              Message.quoted(name));
        });
  }
}
