package zebrawood.records.workshop;

import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.records.file.Sha256;

/**
 * A sum behind every row of a machine's record: SHA-256 (FIPS 180-4) over the sum before it and all
 * that the row says. A row that was changed outside of the program, or is missing, no longer fits.
 */
final class Chain {
  /** Of the file's versions, the first that has sums. */
  static final int SINCE = 4;

  static final String FIRST = "";
  private static final char BETWEEN = '\u001f';
  private static final char NOTHING = '\u0000';

  private final Sql sql;

  /** A kind of rows, where they stand, and which column names their machine. */
  enum Of {
    MACHINE("machine", "id"),
    ENTRY("entry", "machine_id"),
    EVENT("event", "machine_id"),
    ATTACHMENT("attachment", "machine_id");

    private final String table;
    private final String machineColumn;

    Of(String table, String machineColumn) {
      this.table = table;
      this.machineColumn = machineColumn;
    }

    String table() {
      return table;
    }

    /** Empty where no kind is called so. */
    static Optional<Of> named(String name) {
      return Stream.of(values()).filter(kind -> kind.name().equals(name)).findFirst();
    }

    /** Empty where it has no sums. */
    static Optional<Of> ofTable(String table) {
      return Stream.of(values()).filter(kind -> kind.table.equals(table)).findFirst();
    }
  }

  /**
   * A row that does not fit.
   *
   * @param said what of it can still be read; empty where it is missing
   */
  record Broken(Of kind, String machineId, Optional<String> said) {}

  private record Row(long seq, String machineId, String text, String said) {}

  private record Link(String machineId, Of kind, long rowSeq, String digest) {}

  Chain(Sql sql) {
    this.sql = sql;
  }

  /** Adds a sum behind the newest row of a kind. */
  void added(Of kind) {
    rowsThere(kind, " WHERE seq = (SELECT max(seq) FROM " + kind.table + ")")
        .forEach(r -> link(kind, r));
  }

  private void link(Of kind, Row row) {
    String before =
        sql.text(
                "SELECT digest FROM chain WHERE machine_id = ? ORDER BY seq DESC LIMIT 1",
                row.machineId)
            .orElse(FIRST);
    sql.run(
        "INSERT INTO chain (machine_id, kind, row_seq, digest) VALUES (?, ?, ?, ?)",
        row.machineId,
        kind.name(),
        row.seq,
        digest(before, row.text));
  }

  /** Adds sums for all rows that were written before there were any. */
  void begin() {
    for (Of kind : Of.values()) {
      rows(kind, " ORDER BY seq").forEach(row -> link(kind, row));
    }
  }

  private List<Row> rows(Of kind, String which) {
    if (sql.text("SELECT name FROM sqlite_master WHERE name = ?", kind.table).isEmpty()) {
      return List.of(); // a kind that came with a later version of the file
    }
    return rowsThere(kind, which);
  }

  private List<Row> rowsThere(Of kind, String which) {
    List<Integer> columns = new ArrayList<>();
    return sql.list(
        "SELECT * FROM " + kind.table + which,
        row -> {
          if (columns.isEmpty()) {
            // Asked for once: to be asked for with each row takes longer than all else.
            columns.addAll(columns(row));
          }
          return new Row(
              row.getLong("seq"),
              row.getString(kind.machineColumn),
              text(row, columns),
              said(kind, row));
        });
  }

  /** All but the number of the row. */
  private static List<Integer> columns(ResultSet row) throws SQLException {
    List<Integer> columns = new ArrayList<>();
    for (int i = 1; i <= row.getMetaData().getColumnCount(); i++) {
      if (!row.getMetaData().getColumnName(i).equals("seq")) {
        columns.add(i);
      }
    }
    return columns;
  }

  private static String text(ResultSet row, List<Integer> columns) throws SQLException {
    List<String> values = new ArrayList<>();
    for (int column : columns) {
      values.add(row.getString(column));
    }
    return text(values);
  }

  /** What a row says, all but its number, one value behind the other. */
  static String text(List<String> values) {
    StringBuilder all = new StringBuilder();
    for (String value : values) {
      all.append(value == null ? String.valueOf(NOTHING) : value).append(BETWEEN);
    }
    return all.toString();
  }

  private static String said(Of kind, ResultSet row) throws SQLException {
    return switch (kind) {
      case MACHINE -> row.getString("recorded_at");
      case ENTRY -> row.getString("station") + ", " + row.getString("at");
      case EVENT -> row.getString("kind") + ", " + row.getString("at");
      case ATTACHMENT -> row.getString("name") + ", " + row.getString("recorded_at");
    };
  }

  static boolean fits(String digest, String before, String text) {
    return digest(before, text).equals(digest);
  }

  private static String digest(String before, String text) {
    return Sha256.of(
        before.getBytes(StandardCharsets.UTF_8), text.getBytes(StandardCharsets.UTF_8));
  }

  /** The rows that were altered, are missing, or were added outside of the program. */
  List<Broken> broken() {
    Map<Of, Map<Long, Row>> rows = new EnumMap<>(Of.class);
    for (Of kind : Of.values()) {
      Map<Long, Row> bySeq = new HashMap<>();
      rows(kind, "").forEach(r -> bySeq.put(r.seq, r));
      rows.put(kind, bySeq);
    }
    List<Broken> broken = new ArrayList<>();
    Map<String, String> before = new HashMap<>();
    for (Link link : links()) {
      Optional<Row> row = Optional.ofNullable(rows.get(link.kind).remove(link.rowSeq));
      boolean fits =
          row.filter(r ->
                  digest(before.getOrDefault(link.machineId, FIRST), r.text).equals(link.digest))
              .isPresent();
      if (!fits) {
        broken.add(new Broken(link.kind, link.machineId, row.map(Row::said)));
      }
      before.put(link.machineId, link.digest);
    }
    rows.forEach((kind, left) ->
        left.values().forEach(r -> broken.add(new Broken(kind, r.machineId, Optional.of(r.said)))));
    return broken;
  }

  private List<Link> links() {
    return sql.list(
        "SELECT * FROM chain ORDER BY seq",
        row ->
            new Link(
                row.getString("machine_id"),
                Of.valueOf(row.getString("kind")),
                row.getLong("row_seq"),
                row.getString("digest")));
  }
}
