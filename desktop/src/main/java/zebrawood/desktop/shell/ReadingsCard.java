package zebrawood.desktop.shell;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.desktop.form.TypedTable;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.records.file.WholeFile;
import zebrawood.records.kept.KeptReadings;

/** The readings of a sheet into a CSV file, with those on record, or out of one. */
final class ReadingsCard {
  private static final String ID = "readings";

  private ReadingsCard() {}

  static void write(Cards cards, WorkshopModel workshop, StationSheet<?, ?> sheet) {
    String station = sheet.station().id();
    ZoneId zone = workshop.clock().getZone();
    List<TypedTable.Row> earlier =
        sheet.entries().stream().flatMap(e -> row(e, zone).stream()).toList();
    String text = TypedTable.text(sheet.scratch(), sheet.model().form().typed(), earlier);
    FileCard.open(
        cards,
        new FileCard.Words(
            ID,
            Text.of("readings.out"),
            Text.of("readings.out.why"),
            Text.of("passport.write"),
            workshop.file().toAbsolutePath().resolveSibling(station + ".csv").toString()),
        (file, card) ->
            workshop.withFile(
                w -> written(file, text),
                path -> {
                  card.done();
                  workshop.say(Text.of("readings.written", path.toString()));
                },
                card::failed));
  }

  private static Path written(Path file, String text) {
    try {
      WholeFile.write(file, out -> out.write(text));
      return file;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Optional<TypedTable.Row> row(Entry entry, ZoneId zone) {
    return KeptReadings.typed(entry)
        .map(typed ->
            new TypedTable.Row(
                Text.of(
                    "readings.row",
                    DayWords.dayAndYear(entry.time(), zone),
                    DayWords.time(entry.time(), zone),
                    entry.kind(),
                    entry.by()),
                typed));
  }

  static void read(Cards cards, WorkshopModel workshop, StationSheet<?, ?> sheet) {
    FileCard.open(
        cards,
        new FileCard.Words(
            ID, Text.of("readings.in"), Text.of("readings.in.why"), Text.of("readings.read"), ""),
        (file, card) ->
            workshop.withFile(
                w -> text(file),
                text -> {
                  Map<String, String> typed;
                  try {
                    typed = TypedTable.read(text, sheet.scratch());
                  } catch (RuntimeException e) {
                    card.failed(e);
                    return;
                  }
                  card.done();
                  sheet.model().form().type(typed);
                  workshop.say(
                      Text.of(
                          "readings.taken",
                          typed.values().stream().filter(v -> !v.isEmpty()).count(),
                          file.toString()));
                },
                card::failed));
  }

  private static String text(Path file) {
    try {
      return WholeFile.readText(file, TypedTable.MOST_BYTES);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
