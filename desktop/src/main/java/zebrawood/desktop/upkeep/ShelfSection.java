package zebrawood.desktop.upkeep;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Quantity;
import zebrawood.upkeep.UpkeepVisitReadings.Shelf;
import zebrawood.words.Message;

/** What is on the shelf, and how long it lasts. */
final class ShelfSection extends Section<List<Shelf>, Void> {
  private static final int MOST = 20;

  private final Group<Row> rows;

  private record Row(WordsField what, QuantityField left, QuantityField lasts) {
    boolean told() {
      return !what.isEmpty() && left.value().isPresent() && lasts.value().isPresent();
    }

    Shelf shelf() {
      return new Shelf(what.text().strip(), left.number(), lasts.number());
    }
  }

  ShelfSection(StationForm form) {
    super(Message.of("upkeep.shelf.hint"));
    rows =
        form.group(
            "shelf",
            1,
            MOST,
            i ->
                new Row(
                    form.plainWords(
                        "shelf." + i + ".what", Message.of("upkeep.field.shelfWhat", i)),
                    form.quantity(
                        "shelf." + i + ".left",
                        Message.of("upkeep.field.shelfLeft", i),
                        Quantity.NUMBER,
                        0,
                        100_000),
                    form.positive(
                        "shelf." + i + ".lasts",
                        Message.of("upkeep.field.shelfLasts", i),
                        Quantity.DAYS,
                        36_525)));
  }

  @Override
  public Stream<Field> fields() {
    return IntStream.range(0, rows.size()).mapToObj(rows::fieldsOf).flatMap(List::stream);
  }

  @Override
  public Part part() {
    return Part.fold(
        "upkeep.shelf",
        new Part.GrowingRows(
            rows,
            Stream.of("what", "left", "lasts").map(h -> Message.of("upkeep.shelf." + h)).toList(),
            Message.of("upkeep.shelf.another")),
        said());
  }

  List<Shelf> lines() {
    return rows.rows().stream().filter(Row::told).map(Row::shelf).toList();
  }

  @Override
  protected Optional<List<Shelf>> understood() {
    return Optional.of(lines());
  }

  @Override
  protected Message words() {
    return Message.of("upkeep.shelf.hint");
  }
}
