package zebrawood.desktop.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
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

  private static final double MOST_OF_HEIGHT = 0.46;
  private static final double DECODING = 0.5;

  final PhotoPlace place;
  final QuantityField ruleMm;
  final QuantityField uprightMm;
  final QuantityField columns;
  final QuantityField rows;
  final QuantityField pitch;
  final QuantityField rising;
  final QuantityField falling;
  private final QuantityField diagonalReadTo;
  private final ChoiceField<MarkKind> mark;

  ScanFields(StationForm form) {
    place = new PhotoPlace(form, "field.field.end", MOST_OF_HEIGHT, DECODING, End.values());
    ruleMm = form.positive("ruleMm", Quantity.LENGTH, 5000);
    uprightMm = form.positive("uprightMm", Quantity.LENGTH, 5000);
    columns = form.quantity("columns", Quantity.NUMBER, 3, 200);
    rows = form.quantity("rows", Quantity.NUMBER, 3, 200);
    pitch = form.positive("pitch", Quantity.LENGTH, 5000);
    rising = form.positive("reading.sheetRising", Quantity.LENGTH, 10_000);
    falling = form.positive("reading.sheetFalling", Quantity.LENGTH, 10_000);
    diagonalReadTo = form.positive("diagonalReadTo", Quantity.LENGTH, 10);
    mark = form.choice("mark", MarkKind.class, MarkKind.CROSS);
  }

  /** How many marks there are, and how far apart. */
  List<QuantityField> grid() {
    return List.of(columns, rows, pitch);
  }

  Ways.Ask asks() {
    return Ways.needs(
        this::needed,
        place.marks().fileName("field-scan-choose"),
        Part.rows(grid()),
        Part.rows(mark, ruleMm, uprightMm),
        Part.fold("field.ends", Part.rows(place.marks().fields().toList())),
        Part.fold(
            "field.sheet",
            Part.hint("field.sheet.hint"),
            Part.rows(rising, falling, diagonalReadTo)));
  }

  /** What must be there; of the upright rule all or nothing. */
  private Stream<Field> needed() {
    List<Field> needed = new ArrayList<>(List.of(place.marks().path()));
    needed.addAll(ends(End.RULE_FROM, End.RULE_TO));
    needed.add(ruleMm);
    if (upright()) {
      needed.addAll(ends(End.UPRIGHT_FROM, End.UPRIGHT_TO));
      needed.add(uprightMm);
    }
    needed.addAll(grid());
    if (QuantityField.begun(List.of(rising, falling))) {
      needed.addAll(List.of(rising, falling, diagonalReadTo));
    }
    return needed.stream();
  }

  private Optional<FieldScanReadings.Diagonals> diagonals() {
    return QuantityField.begun(List.of(rising, falling))
        ? Optional.of(
            new FieldScanReadings.Diagonals(
                rising.number(), falling.number(), diagonalReadTo.number()))
        : Optional.empty();
  }

  private List<QuantityField> ends(End from, End to) {
    return Stream.of(from, to)
        .map(place.marks()::of)
        .flatMap(m -> Stream.of(m.x(), m.y()))
        .toList();
  }

  private boolean upright() {
    return !uprightMm.isEmpty()
        || place.marks().of(End.UPRIGHT_FROM).set()
        || place.marks().of(End.UPRIGHT_TO).set();
  }

  private PixelScale scale(End from, End to, QuantityField mm) {
    return new PixelScale(place.marks().of(from).px(), place.marks().of(to).px(), mm.number());
  }

  FieldScanReadings readings(double fieldMm, double toleranceMm, OptionalInt tableSize) {
    return new FieldScanReadings(
        place.marks().file(),
        scale(End.RULE_FROM, End.RULE_TO, ruleMm),
        upright()
            ? Optional.of(scale(End.UPRIGHT_FROM, End.UPRIGHT_TO, uprightMm))
            : Optional.empty(),
        (int) Math.round(columns.number()),
        (int) Math.round(rows.number()),
        pitch.number(),
        mark.get(),
        fieldMm,
        toleranceMm,
        tableSize,
        diagonals());
  }
}
