package zebrawood.records.workshop;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.ResultSetMetaData;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.flywaydb.core.api.FlywayException;
import org.slf4j.LoggerFactory;
import zebrawood.words.Message;

/**
 * Reads row by row what of a damaged workshop is sound, and writes it into a new one. The damaged
 * file is copied and never opened itself. A row that no longer fits its sum is left out.
 */
final class Salvage {
  /** The tables of a workshop, those first that others name. */
  private static final List<String> TABLES =
      List.of(
          "machine",
          "entry",
          "event",
          "entry_paper",
          "content",
          "attachment",
          "draft",
          "preference");

  private static final String SUMS = "chain";
  private static final String NUMBER = "rowid";

  /** Rows looked for one by one where a table cannot be read in a row. */
  private static final long MOST_LOOKED_FOR = 200_000;

  private static final int PAGE_SIZE_AT = 16;
  private static final int PAGES_AT = 28;
  private static final long LARGEST_PAGE = 65_536;

  /** Of a file that is brought to its size; a head that says more is not believed. */
  private static final long MOST_BYTES = 8L << 30;

  /** More machines are counted and not named. */
  private static final int MOST_NAMED = 5;

  private final Sql from;
  private final Map<Chain.Of, Integer> kept = new EnumMap<>(Chain.Of.class);
  private final Map<Chain.Of, Integer> lost = new EnumMap<>(Chain.Of.class);
  private final Map<String, Integer> lostOf = new TreeMap<>();

  /** The columns of a row by their names, in their order. */
  private record Row(long number, Map<String, Object> columns) {
    String text(String column) {
      return String.valueOf(columns.get(column));
    }
  }

  private Salvage(Sql from) {
    this.from = from;
  }

  /**
   * @param damaged stays as it is
   * @param target a file that is not there
   * @return what was read and what is lost, in a sentence; empty where nothing can be read
   * @throws IOException where the disk refuses
   */
  static Optional<Message> write(Path damaged, Path target) throws IOException {
    Path folder = folder("damaged");
    try {
      Path copy = folder.resolve("copy");
      FileNames.copyWithLog(damaged, copy);
      lengthen(copy);
      return read(copy, target);
    } finally {
      empty(folder);
    }
  }

  /** A new folder of this process; its name tells which, since several programs may run. */
  static Path folder(String kind) throws IOException {
    return Files.createTempDirectory(folderStart(kind));
  }

  static String folderStart(String kind) {
    return "zebrawood-" + kind + "-" + ProcessHandle.current().pid() + "-";
  }

  /**
   * Brings a file that was cut to the size that its head tells, since it is not read at all
   * otherwise (SQLite, database file format, section 1.3.2 and 1.3.8). What is missing stays empty.
   */
  private static void lengthen(Path copy) throws IOException {
    try (RandomAccessFile file = new RandomAccessFile(copy.toFile(), "rw")) {
      file.seek(PAGE_SIZE_AT);
      int size = file.readUnsignedShort();
      file.seek(PAGES_AT);
      long bytes = (size == 1 ? LARGEST_PAGE : size) * Integer.toUnsignedLong(file.readInt());
      if (bytes > file.length() && bytes <= MOST_BYTES) {
        file.setLength(bytes);
      }
    }
  }

  /** Takes away a folder of files and all that is in it. */
  static void empty(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.toList()) {
        Files.deleteIfExists(file);
      }
    }
    Files.deleteIfExists(folder);
  }

  private static Optional<Message> read(Path copy, Path target) throws IOException {
    try (Sql from = new Sql(WorkshopFile.source(copy))) {
      int version = from.list("PRAGMA user_version", row -> row.getInt(1)).getFirst();
      if (version < 1 || version > Workshop.SCHEMA) {
        return Optional.empty();
      }
      Salvage salvage = new Salvage(from);
      try (Sql to = WorkshopFile.made(target)) {
        salvage.into(to);
      }
      if (salvage.kept.values().stream().mapToInt(n -> n).sum() > 0) {
        return Optional.of(salvage.said());
      }
    } catch (Sql.Refused | FlywayException e) {
      LoggerFactory.getLogger(Salvage.class).warn("nothing of {} can be read", copy, e);
    }
    Files.deleteIfExists(target);
    return Optional.empty();
  }

  private void into(Sql to) {
    Map<Chain.Of, Map<Long, Link>> links = links();
    to.inTransaction(() -> {
      for (String table : TABLES) {
        Map<Long, Link> ofTable = Chain.Of.ofTable(table).map(links::get).orElseGet(HashMap::new);
        rows(
            table,
            row -> {
              Link link = ofTable.get(row.number);
              if (link == null || link.fits(row)) {
                ofTable.remove(row.number);
                add(to, table, row);
              }
            });
      }
      new Chain(to).begin();
    });
    // What a sum tells of and was not read, or says something else now, is lost.
    links.forEach((kind, left) ->
        left.values()
            .forEach(link -> {
              lost.merge(kind, 1, Integer::sum);
              lostOf.merge(link.machine, 1, Integer::sum);
            }));
  }

  /**
   * What a sum says of a row.
   *
   * @param before the sum before it; null where that is lost, so that the row cannot be checked
   */
  private record Link(String machine, String digest, String before) {
    boolean fits(Row row) {
      return before == null || Chain.fits(digest, before, said(row));
    }
  }

  /** What the sums say, by kind and number of the row. */
  private Map<Chain.Of, Map<Long, Link>> links() {
    Map<Long, Row> sums = new TreeMap<>();
    rows(SUMS, row -> sums.put(row.number, row));
    Map<Chain.Of, Map<Long, Link>> links = new EnumMap<>(Chain.Of.class);
    Map<String, String> last = new HashMap<>();
    boolean complete = true;
    long expected = 1;
    for (Row sum : sums.values()) {
      if (sum.number != expected) {
        complete = false;
        last.clear();
      }
      expected = sum.number + 1;
      String machine = sum.text("machine_id");
      String digest = sum.text("digest");
      String number = sum.text("row_seq");
      Optional<Chain.Of> kind = Chain.Of.named(sum.text("kind"));
      if (kind.isPresent() && number.matches("\\d{1,18}")) {
        String before = last.getOrDefault(machine, complete ? Chain.FIRST : null);
        links
            .computeIfAbsent(kind.get(), k -> new HashMap<>())
            .put(Long.valueOf(number), new Link(machine, digest, before));
      }
      last.put(machine, digest);
    }
    return links;
  }

  private static String said(Row row) {
    List<String> values = new ArrayList<>();
    row.columns.forEach((name, value) -> {
      if (!name.equals("seq")) {
        values.add(value == null ? null : String.valueOf(value));
      }
    });
    return Chain.text(values);
  }

  private void add(Sql to, String table, Row row) {
    Map<String, Object> columns = new LinkedHashMap<>(row.columns);
    if (columns.containsKey("at")) {
      columns.putIfAbsent("ord", row.number);
    }
    try {
      to.run(
          "INSERT INTO %s (%s) VALUES (%s)"
              .formatted(
                  table,
                  String.join(", ", columns.keySet()),
                  String.join(", ", columns.keySet().stream().map(c -> "?").toList())),
          columns.values().toArray());
      Chain.Of.ofTable(table).ifPresent(kind -> kept.merge(kind, 1, Integer::sum));
    } catch (Sql.Refused e) {
      Chain.Of.ofTable(table).ifPresent(kind -> lost.merge(kind, 1, Integer::sum));
    }
  }

  /**
   * All rows that can be read, one at a time: from the first on, where that ends early from the
   * last one back, and those between one by one.
   */
  private void rows(String table, Consumer<Row> to) {
    long[] first = {0};
    boolean whole =
        read(
            table,
            "ORDER BY " + NUMBER,
            row -> {
              first[0] = row.number;
              to.accept(row);
            });
    if (whole) {
      return;
    }
    // Where nothing is read from behind, nobody knows how far there is anything between.
    long[] last = {first[0]};
    read(
        table,
        "WHERE " + NUMBER + " > " + first[0] + " ORDER BY " + NUMBER + " DESC",
        row -> {
          last[0] = row.number;
          to.accept(row);
        });
    long between = Math.min(last[0], first[0] + MOST_LOOKED_FOR);
    for (long n = first[0] + 1; n < between; n++) {
      read(table, "WHERE " + NUMBER + " = " + n, to);
    }
  }

  /**
   * @return whether it was read to its end
   */
  private boolean read(String table, String which, Consumer<Row> to) {
    try {
      from.forEach(
          "SELECT " + NUMBER + " AS salvage_number, * FROM " + table + " " + which,
          row -> {
            ResultSetMetaData meta = row.getMetaData();
            Map<String, Object> columns = new LinkedHashMap<>();
            for (int i = 2; i <= meta.getColumnCount(); i++) {
              boolean bytes = row.getObject(i) instanceof byte[];
              columns.put(meta.getColumnName(i), bytes ? row.getBytes(i) : row.getString(i));
            }
            to.accept(new Row(row.getLong(1), columns));
          });
      return true;
    } catch (Sql.Refused e) {
      return false;
    }
  }

  private Message said() {
    int all = lost.values().stream().mapToInt(n -> n).sum();
    int lines = kept.getOrDefault(Chain.Of.ENTRY, 0) + kept.getOrDefault(Chain.Of.EVENT, 0);
    if (all == 0) {
      return Message.of("workshop.saved.all", lines);
    }
    List<Message> named =
        lostOf.entrySet().stream()
            .limit(MOST_NAMED)
            .map(e -> Message.of("workshop.saved.of", e.getValue(), Message.quoted(e.getKey())))
            .toList();
    return named.isEmpty()
        ? Message.of("workshop.saved.some", lines, all)
        : Message.of("workshop.saved.named", lines, all, Message.list(named));
  }
}
