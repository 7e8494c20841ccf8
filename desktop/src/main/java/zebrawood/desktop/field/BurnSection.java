package zebrawood.desktop.field;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.field.BurnGrid;
import zebrawood.words.Message;

/** The grid to burn, sized for the lens. */
final class BurnSection extends Section<Void, Void> {
  private static final int SIZED_MARKS = 11;
  private static final double LARGEST_CROSS_MM = 5;
  private static final double SAME_MM = 1e-6;

  private final StationForm form;
  private final QuantityField field;
  private final ScanFields scan;
  private final ChoiceField<FieldWay> way;
  private final QuantityField crossSize;
  private final QuantityField speed;
  private final QuantityField powerWord;
  private final WordsField file;

  /**
   * @param field its size, as typed elsewhere on the sheet
   * @param scan knows how many marks there are
   */
  BurnSection(StationForm form, QuantityField field, ScanFields scan, ChoiceField<FieldWay> way) {
    super(Message.of("field.burn.hint"));
    this.form = form;
    this.field = field;
    this.scan = scan;
    this.way = way;
    crossSize = form.positive("crossSize", Quantity.LENGTH, 500);
    speed = form.positive("burnSpeed", Quantity.SPEED, 100_000);
    powerWord = form.positive("burnWord", Quantity.NUMBER, 1_000_000);
    file = form.words("burnFile");
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(crossSize, speed, powerWord);
  }

  @Override
  public Part part() {
    return Part.fold(
        "field.burn",
        said(),
        new Part.Redrawn(
            way.valueProperty(),
            () ->
                List.of(
                    way.get() == FieldWay.SCAN
                        ? Part.hint("field.burn.as-scanned")
                        : Part.rows(scan.grid()))),
        new Part.Press("field-size-grid", Message.of("field.burn.sized"), this::size),
        Part.rows(crossSize, speed, powerWord, file),
        new Part.Press("field-write-grid", Message.of("field.burn.write"), this::write));
  }

  /** Eleven by eleven, out to the edge of this lens's field. */
  private void size() {
    if (field.value().isEmpty()) {
      say(Message.of("field.burn.needs"));
      return;
    }
    // The outermost crosses lie within the field with their arms.
    double arms = crossMm(field.number() / (SIZED_MARKS - 1));
    double pitchMm = Math.floor(10 * (field.number() - arms) / (SIZED_MARKS - 1)) / 10;
    form.allAtOnce(() -> {
      scan.columns.set(SIZED_MARKS);
      scan.rows.set(SIZED_MARKS);
      scan.pitch.set(pitchMm);
      crossSize.set(crossMm(pitchMm));
    });
  }

  /** Half as large as they are apart; small ones to a tenth. */
  private static double crossMm(double pitchMm) {
    double half = 0.5 * pitchMm;
    return Math.min(
        LARGEST_CROSS_MM,
        half < 1 ? Math.max(0.1, Math.round(10 * half) / 10.0) : Math.round(half));
  }

  private void write() {
    List<QuantityField> size = Stream.concat(scan.grid().stream(), Stream.of(crossSize)).toList();
    if (size.stream().anyMatch(f -> f.value().isEmpty())) {
      say(Message.of("field.burn.needs"));
      return;
    }
    int columns = (int) Math.round(scan.columns.number());
    int rows = (int) Math.round(scan.rows.number());
    double pitchMm = scan.pitch.number();
    double crossMm = crossSize.number();
    double width = (columns - 1) * pitchMm + crossMm;
    double height = (rows - 1) * pitchMm + crossMm;
    if (field.value().isPresent() && Math.max(width, height) > field.number() + SAME_MM) {
      say(
          Message.of(
              "field.burn.too-large",
              Amount.mm(width, 1),
              Amount.mm(height, 1),
              Amount.mm(field.number(), 1)));
      return;
    }
    OptionalDouble mmS = speed.value();
    OptionalDouble word = powerWord.value();
    withFile(
        file,
        Message.of("field.burn.needs"),
        (name, progress) -> {
          new BurnGrid(columns, rows, pitchMm, crossMm).write(name, mmS, word);
          return Message.of("field.file.written", Message.quoted(name));
        });
  }
}
