package zebrawood.records.cards;

import java.io.IOException;
import java.io.StringReader;
import java.io.Writer;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import zebrawood.cards.BookLine;
import zebrawood.cards.BookLine.Air;
import zebrawood.cards.BookLine.Origin;
import zebrawood.measure.UnusableReading;
import zebrawood.records.field.Decimals;
import zebrawood.records.file.TableFiles;
import zebrawood.records.file.WholeFile;
import zebrawood.records.json.RecordJson;
import zebrawood.records.paper.Paper;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * The settings book of one stock through one lens, as a file.
 *
 * @param of the stock and the lens, as the machine's record has them
 */
public record BookFile(String format, String of, List<BookLine> lines) {
  private static final String FORMAT = "settings book 1";
  private static final int MOST_BYTES = 1_000_000;
  private static final int MOST_LINES = 500;
  private static final String TEMPLATE = "/zebrawood/records/cards/shelf.html";
  private static final String[] COLUMNS = {
    "of",
    "work",
    "speedMmS",
    "leastPercent",
    "percent",
    "intervalMm",
    "passes",
    "pauseS",
    "focusOffsetMm",
    "khz",
    "pulseNs",
    "wobbleMm",
    "air",
    "from"
  };

  public BookFile {
    lines = List.copyOf(lines);
  }

  public static BookFile of(String subject, List<BookLine> lines) {
    return new BookFile(FORMAT, subject, lines);
  }

  /** As CSV and JSON of one name, or as a card for the shelf where the name ends in .pdf. */
  public void write(String name, Phrasebook words) {
    if (name.strip().endsWith(".pdf")) {
      shelf(name.strip(), words);
    } else {
      TableFiles.write(name, this::csv, out -> out.write(RecordJson.write(this) + "\n"));
    }
  }

  private static String number(OptionalDouble value) {
    return value.isPresent() ? Decimals.of(value.getAsDouble()) : "";
  }

  private List<String> row(BookLine l) {
    return List.of(
        of,
        l.work(),
        number(l.speedMmS()),
        number(l.leastPercent()),
        number(l.percent()),
        number(l.intervalMm()),
        number(l.passes()),
        number(l.pauseS()),
        number(l.focusOffsetMm()),
        number(l.khz()),
        number(l.pulseNs()),
        number(l.wobbleMm()),
        l.air().map(BookFile::spelled).orElse(""),
        spelled(l.from()));
  }

  private static String spelled(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT);
  }

  private void csv(Writer out) throws IOException {
    CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180);
    printer.printRecord((Object[]) COLUMNS);
    for (BookLine l : lines) {
      printer.printRecord(row(l));
    }
    printer.flush();
  }

  private void shelf(String name, Phrasebook words) {
    try {
      String page =
          Paper.fill(
              TEMPLATE,
              Map.of(
                  "of",
                  of,
                  "headings",
                  Stream.of(COLUMNS).skip(1).map(c -> words.say("cards.shelf." + c)).toList(),
                  "lines",
                  lines.stream()
                      .map(l -> {
                        List<String> cells = new ArrayList<>(row(l));
                        cells.set(12, l.air().map(words::say).orElse(""));
                        cells.set(13, words.say(l.from()));
                        return Map.of("cells", cells.subList(1, cells.size()));
                      })
                      .toList()),
              words);
      WholeFile.writeBytes(Path.of(name), out -> Paper.pdf(page, out));
    } catch (FileAlreadyExistsException e) {
      throw TableFiles.refused("field.file.there", name);
    } catch (IOException | InvalidPathException e) {
      throw TableFiles.refused("field.file.not-written", name);
    }
  }

  /**
   * Lines of a file that was written here, or by hand after its columns. All of them are copied:
   * what another machine or day gave is not trusted until it was burnt here.
   *
   * @throws UnusableReading naming what cannot be read
   */
  public static List<BookLine> read(String name) {
    String plain = name.strip();
    try {
      String text = WholeFile.readText(Path.of(plain), MOST_BYTES);
      List<BookLine> lines =
          plain.endsWith(".json") ? RecordJson.read(text, BookFile.class).lines() : csv(text);
      if (lines.size() > MOST_LINES) {
        throw noBook("cards.file.too-long", plain);
      }
      return lines.stream().map(BookFile::copied).toList();
    } catch (IOException | InvalidPathException | IllegalStateException e) {
      throw noBook("cards.file.no-book", plain);
    }
  }

  private static UnusableReading noBook(String why, String file) {
    return UnusableReading.of(
        "file", Message.of(why, Message.quoted(file)), Message.of("cards.accepts.book"));
  }

  private static BookLine copied(BookLine l) {
    return new BookLine(
        l.work(),
        l.speedMmS(),
        l.leastPercent(),
        l.percent(),
        l.intervalMm(),
        l.passes(),
        l.pauseS(),
        l.focusOffsetMm(),
        l.khz(),
        l.pulseNs(),
        l.wobbleMm(),
        l.air(),
        Origin.COPIED);
  }

  private static List<BookLine> csv(String text) throws IOException {
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .get();
    List<BookLine> lines = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
      if (!parser.getHeaderNames().contains("work")) {
        throw new IOException("no column of work");
      }
      for (CSVRecord r : parser) {
        lines.add(
            new BookLine(
                r.get("work"),
                number(r, "speedMmS"),
                number(r, "leastPercent"),
                number(r, "percent"),
                number(r, "intervalMm"),
                number(r, "passes"),
                number(r, "pauseS"),
                number(r, "focusOffsetMm"),
                number(r, "khz"),
                number(r, "pulseNs"),
                number(r, "wobbleMm"),
                air(r),
                Origin.COPIED));
      }
    }
    return lines;
  }

  private static Optional<Air> air(CSVRecord r) {
    String said = r.isSet("air") ? r.get("air").strip() : "";
    return Stream.of(Air.values()).filter(a -> spelled(a).equals(said)).findFirst();
  }

  private static OptionalDouble number(CSVRecord r, String column) {
    String text = r.isSet(column) ? r.get(column).strip() : "";
    if (text.isEmpty()) {
      return OptionalDouble.empty();
    }
    try {
      return OptionalDouble.of(Double.parseDouble(text.replace(',', '.')));
    } catch (NumberFormatException e) {
      throw UnusableReading.of(
          column, Message.quoted(text), Message.of("cards.accepts.number-or-nothing"));
    }
  }
}
