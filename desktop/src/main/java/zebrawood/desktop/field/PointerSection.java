package zebrawood.desktop.field;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.field.PointerReadings;
import zebrawood.words.Message;

/** Where the red pointer points, beside marks that were burnt. */
final class PointerSection extends Section<PointerReadings, Void> {
  private static final int FIRST_POINTERS = 3;
  private static final int MOST_POINTERS = 60;

  private final QuantityField resolution;
  private final ChoiceField<FieldWay> way;
  private final Group<PointerRow> rows;

  /**
   * @param resolution of what marks are read with, which a scan does not ask
   */
  PointerSection(StationForm form, QuantityField resolution, ChoiceField<FieldWay> way) {
    super(Message.NONE);
    this.resolution = resolution;
    this.way = way;
    rows =
        form.group("visit.pointer", FIRST_POINTERS, MOST_POINTERS, i -> PointerRow.make(form, i));
  }

  @Override
  public Stream<Field> fields() {
    return needed();
  }

  @Override
  public Stream<Field> needed() {
    return rows.begun().isEmpty()
        ? Stream.empty()
        : Stream.concat(Stream.of(resolution), rows.fieldsBegun().stream());
  }

  @Override
  public Part part() {
    return Part.fold(
        "field.pointer",
        Part.hint("field.pointer.hint"),
        new Part.Redrawn(
            way.valueProperty(),
            () -> way.get() == FieldWay.SCAN ? List.of(Part.rows(resolution)) : List.of()),
        new Part.GrowingRows(
            rows,
            Stream.of("x", "y", "px", "py").map(n -> Message.of("field.heading." + n)).toList(),
            Message.of("field.another-mark")));
  }

  @Override
  protected Optional<PointerReadings> understood() {
    return rows.begun().isEmpty()
        ? Optional.empty()
        : Optional.of(
            new PointerReadings(
                rows.begun().stream().map(PointerRow::mark).toList(), resolution.number()));
  }

  /** The first rows, as many as are asked for. */
  List<PointerRow> first(int count) {
    rows.resize(Math.max(rows.size(), count));
    return rows.rows().subList(0, count);
  }
}
