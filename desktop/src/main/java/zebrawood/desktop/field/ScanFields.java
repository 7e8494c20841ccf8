package zebrawood.desktop.field;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.field.FieldScanReadings;
import zebrawood.marks.MarkKind;
import zebrawood.measure.PixelScale;
import zebrawood.quantity.Quantity;

/** The scan of a grid: its file, the ends of one rule or two, and what was burnt. */
final class ScanFields {
  /** Ends of rules, in the order in which they are pressed. */
  enum End {
    RULE_FROM,
    RULE_TO,
    UPRIGHT_FROM,
    UPRIGHT_TO
  }

  private final PhotoMarks photo;
  private final QuantityField ruleMm;
  private final QuantityField uprightMm;
  private final QuantityField columns;
  private final QuantityField rows;
  private final QuantityField pitch;
  private final ChoiceField<MarkKind> mark;

  ScanFields(StationForm form) {
    photo = new PhotoMarks(form, "field.field.end", End.values());
    ruleMm = form.positive("ruleMm", Quantity.LENGTH, 5000);
    uprightMm = form.positive("uprightMm", Quantity.LENGTH, 5000);
    columns = form.quantity("columns", Quantity.NUMBER, 3, 200);
    rows = form.quantity("rows", Quantity.NUMBER, 3, 200);
    pitch = form.positive("pitch", Quantity.LENGTH, 5000);
    mark = form.choice("mark", MarkKind.class, MarkKind.CROSS);
  }

  PhotoMarks photo() {
    return photo;
  }

  QuantityField ruleMm() {
    return ruleMm;
  }

  QuantityField uprightMm() {
    return uprightMm;
  }

  List<QuantityField> grid() {
    return List.of(columns, rows, pitch);
  }

  ChoiceField<MarkKind> mark() {
    return mark;
  }

  /** What must be there; of the upright rule all or nothing. */
  Stream<Field> needed() {
    Stream<Field> rule =
        Stream.of(
                List.of(photo.of(End.RULE_FROM), photo.of(End.RULE_TO)),
                upright()
                    ? List.of(photo.of(End.UPRIGHT_FROM), photo.of(End.UPRIGHT_TO))
                    : List.<PhotoMarks.Mark>of())
            .flatMap(List::stream)
            .flatMap(m -> Stream.of(m.x(), m.y()));
    Stream<Field> lengths = upright() ? Stream.of(ruleMm, uprightMm) : Stream.of(ruleMm);
    return Stream.of(
            Stream.of((Field) photo.path()), rule, lengths, grid().stream().map(f -> (Field) f))
        .flatMap(s -> s);
  }

  private boolean upright() {
    return !uprightMm.isEmpty()
        || photo.of(End.UPRIGHT_FROM).set()
        || photo.of(End.UPRIGHT_TO).set();
  }

  FieldScanReadings readings(double fieldMm, double toleranceMm, OptionalInt tableSize) {
    return new FieldScanReadings(
        photo.file(),
        new PixelScale(photo.of(End.RULE_FROM).px(), photo.of(End.RULE_TO).px(), ruleMm.number()),
        upright()
            ? Optional.of(
                new PixelScale(
                    photo.of(End.UPRIGHT_FROM).px(),
                    photo.of(End.UPRIGHT_TO).px(),
                    uprightMm.number()))
            : Optional.empty(),
        (int) Math.round(columns.number()),
        (int) Math.round(rows.number()),
        pitch.number(),
        mark.get(),
        fieldMm,
        toleranceMm,
        tableSize);
  }
}
