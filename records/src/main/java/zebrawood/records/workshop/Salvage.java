package zebrawood.records.workshop;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.ResultSetMetaData;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
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
    Path folder = Files.createTempDirectory("zebrawood-damaged-");
    try {
      Path copy = folder.resolve("copy");
      FileNames.copyWithLog(damaged, copy);
      lengthen(copy);
      return read(copy, target);
    } finally {
      empty(folder);
    }
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
    Map<String, Map<Long, Row>> tables = new LinkedHashMap<>();
    TABLES.forEach(name -> tables.put(name, rows(name)));
    check(rows(SUMS).values(), tables);
    to.inTransaction(() -> {
      tables.forEach((name, rows) -> rows.values().forEach(row -> add(to, name, row)));
      new Chain(to).begin();
    });
  }

  /**
   * Counts the rows that sums tell of and that are lost, and takes out those that say something
   * else now. Behind a sum that is lost itself, the next row of a machine cannot be checked.
   */
  private void check(Collection<Row> sums, Map<String, Map<Long, Row>> tables) {
    Map<String, String> last = new HashMap<>();
    boolean complete = true;
    long expected = 1;
    for (Row sum : sums) {
      if (sum.number != expected) {
        complete = false;
        last.clear();
      }
      expected = sum.number + 1;
      String machine = sum.text("machine_id");
      String digest = sum.text("digest");
      Optional<Chain.Of> kind = Chain.Of.named(sum.text("kind"));
      if (kind.isPresent()) {
        String before = last.getOrDefault(machine, complete ? Chain.FIRST : null);
        Map<Long, Row> rows = tables.get(kind.get().table());
        Long number = Long.valueOf(sum.text("row_seq"));
        Row row = rows.get(number);
        if (row == null || before != null && !Chain.fits(digest, before, said(row))) {
          rows.remove(number);
          lost.merge(kind.get(), 1, Integer::sum);
          lostOf.merge(machine, 1, Integer::sum);
        }
      }
      last.put(machine, digest);
    }
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

  /** All rows that can be read: from the first on, from the last back, and those between. */
  private Map<Long, Row> rows(String table) {
    Map<Long, Row> found = new TreeMap<>();
    boolean whole = read(table, "ORDER BY " + NUMBER, found);
    if (!whole) {
      long first = found.keySet().stream().mapToLong(n -> n).max().orElse(0);
      Map<Long, Row> behind = new TreeMap<>();
      read(table, "ORDER BY " + NUMBER + " DESC", behind);
      long last = behind.keySet().stream().mapToLong(n -> n).min().orElse(first);
      found.putAll(behind);
      for (long n = first + 1; n < Math.min(last, first + MOST_LOOKED_FOR); n++) {
        read(table, "WHERE " + NUMBER + " = " + n, found);
      }
    }
    return found;
  }

  /**
   * @return whether it was read to its end
   */
  private boolean read(String table, String which, Map<Long, Row> into) {
    try {
      from.list(
          "SELECT " + NUMBER + " AS salvage_number, * FROM " + table + " " + which,
          row -> {
            ResultSetMetaData meta = row.getMetaData();
            Map<String, Object> columns = new LinkedHashMap<>();
            for (int i = 2; i <= meta.getColumnCount(); i++) {
              boolean bytes = row.getObject(i) instanceof byte[];
              columns.put(meta.getColumnName(i), bytes ? row.getBytes(i) : row.getString(i));
            }
            long number = row.getLong(1);
            into.put(number, new Row(number, columns));
            return number;
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
