package zebrawood.desktop.field;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
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
import zebrawood.field.LoadedTable;
import zebrawood.ledger.Entry;
import zebrawood.quantity.Quantity;
import zebrawood.records.field.FieldTable;
import zebrawood.words.Message;

/**
 * The table behind a grid's coefficients, written for a controller that takes tables; and the one
 * that this lens's record stands for.
 */
final class CommandTableSection extends Section<LoadedTable, Void> {
  private final QuantityField size;
  private final WordsField file;
  private final ChoiceField<BurntThrough> burnt;
  private final WordsField loaded;
  private final QuantityField field;
  private final Supplier<Optional<Outcome.Solved<FieldVisitReadings, FieldVisitFinding>>> solved;
  private final Supplier<LensTables> kept;

  /**
   * @param field its size, as typed elsewhere on the sheet
   * @param solved what the station came to
   * @param kept the tables in this lens's record
   */
  CommandTableSection(
      StationForm form,
      QuantityField field,
      Supplier<Optional<Outcome.Solved<FieldVisitReadings, FieldVisitFinding>>> solved,
      Supplier<LensTables> kept) {
    super(Message.of("field.table.hint"));
    size =
        form.quantity(
            "tableSize",
            Quantity.NUMBER,
            FieldReadings.SMALLEST_TABLE,
            FieldReadings.LARGEST_TABLE);
    file = form.words("tableFile");
    burnt = form.choice("reading.burnt", BurntThrough.class, BurntThrough.NOT_SAID);
    loaded = form.words("reading.loadedTable");
    this.field = field;
    this.solved = solved;
    this.kept = kept;
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(size, burnt, loaded);
  }

  @Override
  public Part part() {
    return Part.fold(
        "field.files",
        said(),
        Part.rows(size),
        new Part.LabelledChoices(List.of(burnt)),
        new Part.Redrawn(
            burnt.valueProperty(),
            () -> burnt.get() == BurntThrough.FILE ? List.of(Part.rows(loaded)) : List.of()),
        Part.rows(file),
        new Part.Press("field-write-table", Message.of("field.table.write"), this::write),
        new Part.Press(
            "field-write-recorded", Message.of("field.table.write-recorded"), this::writeKept));
  }

  /** What was in the controller as the grid was burnt. */
  @Override
  protected Optional<LoadedTable> understood() {
    return switch (burnt.get()) {
      case NOT_SAID -> Optional.empty();
      case NOTHING -> Optional.of(new LoadedTable.None());
      case RECORDED -> kept.get().newest().map(e -> new LoadedTable.Recorded(e.id()));
      case FILE ->
          Optional.of(loaded.text().strip())
              .filter(name -> !name.isEmpty())
              .map(LoadedTable.OfFile::new);
    };
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
    Optional<LoadedTable> through = understood();
    if (through.isEmpty() && burnt.get() != BurntThrough.NOT_SAID) {
      say(
          Message.of(
              burnt.get() == BurntThrough.FILE
                  ? "field.table.which-file"
                  : "field.table.none-recorded"));
      return;
    }
    Outcome.Solved<FieldVisitReadings, FieldVisitFinding> grid = solved.get().orElseThrow();
    double fieldMm = field.number();
    LensTables tables = kept.get();
    withFile(
        file,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          List<FieldFinding.Row> rows =
              FieldVisit.table(grid.readings().task(), grid.finding().field());
          tables.joined(through, FieldTable.of(fieldMm, rows)).write(name);
          return Message.of(
              through.isEmpty()
                  ? "field.table.alone"
                  : burnt.get() == BurntThrough.NOTHING
                      ? "field.table.first"
                      : "field.table.joined",
              Message.quoted(name));
        });
  }

  /** What is in the record, for a controller that lost it or a second machine. */
  private void writeKept() {
    LensTables tables = kept.get();
    Optional<Entry> newest = tables.newest();
    if (newest.isEmpty()) {
      say(Message.of("field.table.none-recorded"));
      return;
    }
    withFile(
        file,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          tables.of(newest.get().id()).write(name);
          return Message.of(
              tables.saysAll(newest.get()) ? "field.table.kept" : "field.table.kept-alone",
              tables.day(newest.get()),
              Message.quoted(name));
        });
  }
}
