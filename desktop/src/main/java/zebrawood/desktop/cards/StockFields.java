package zebrawood.desktop.cards;

import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.cards.Stock;
import zebrawood.cards.StockKind;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What is burnt; its name is the subject of the sheet. */
final class StockFields extends Section<Stock, Void> {
  final ChoiceField<StockKind> kind;
  private final QuantityField thickness;
  private final WordsField supplier;
  final WordsField batch;
  private final ChoiceField<Stock.Residue> residue;
  private final ProofField fromBehind;

  StockFields(StationForm form) {
    super(Message.of("cards.stock.hint"));
    kind = form.choice("stockKind", StockKind.class, StockKind.NOT_SAID);
    thickness = form.positive("thickness", Quantity.LENGTH, 1000);
    supplier = form.plainWords("supplier");
    batch = form.plainWords("batch");
    residue = form.choice("residue", Stock.Residue.class, Stock.Residue.NOT_LOOKED);
    fromBehind = form.proof("fromBehind", Message.of("cards.field.fromBehind"));
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(kind, thickness, supplier, batch, residue, fromBehind);
  }

  @Override
  public Part part() {
    return Part.fold(
        "cards.stock",
        said(),
        Part.rows(kind, thickness, batch, supplier, residue),
        Part.rows(fromBehind));
  }

  private static Optional<String> words(WordsField field) {
    return field.isEmpty() ? Optional.empty() : Optional.of(field.text().strip());
  }

  Stock stock() {
    return new Stock(
        kind.get(),
        thickness.value(),
        words(supplier),
        words(batch),
        residue.get(),
        fromBehind.so());
  }

  @Override
  protected Optional<Stock> understood() {
    return Optional.of(stock());
  }

  @Override
  protected Message words() {
    return Message.of(kind.get().hazard());
  }
}
