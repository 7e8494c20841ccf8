package zebrawood.records.workshop;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import zebrawood.ledger.Recorded;
import zebrawood.measure.Accepts;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.Sha256;
import zebrawood.records.workshop.PassportRow.AttachmentRow;
import zebrawood.words.Message;

/** Pictures and files; what is in them is kept once, whoever else has the same. */
final class AttachmentTable {
  /** Of the file's versions, the first that has attachments. */
  static final int SINCE = 5;

  private final Sql sql;

  AttachmentTable(Sql sql) {
    this.sql = sql;
  }

  /** In the order in which they were attached. */
  List<Attachment> of(String machineId) {
    return sql.list(
        "SELECT * FROM attachment WHERE machine_id = ? ORDER BY seq",
        AttachmentTable::attachment,
        machineId);
  }

  /** Those of one line. */
  List<Attachment> of(Recorded line) {
    return of(line.machineId()).stream().filter(a -> a.lineId().equals(line.id())).toList();
  }

  /**
   * Attaches a file to a line.
   *
   * @throws UnusableReading where it is too large, empty, or one more than a line may have
   */
  void attach(Recorded line, String name, byte[] bytes, String by, Instant now) {
    var accepts = new Accepts().filled("name", name);
    if (bytes.length == 0 || bytes.length > Attachment.MOST_BYTES) {
      accepts.complain(
          "size",
          Message.of("passport.bytes", bytes.length),
          Message.of("attachment.bytes", Attachment.MOST_BYTES));
    }
    if (of(line).size() >= Attachment.MOST_OF_A_LINE) {
      accepts.complain(
          "count",
          Message.of("attachment.more"),
          Message.of("attachment.at-most", Attachment.MOST_OF_A_LINE));
    }
    accepts.orThrow();
    AttachmentRow row =
        new AttachmentRow(
            UUID.randomUUID().toString(),
            line.id(),
            name,
            Sha256.of(bytes),
            now.toString(),
            by,
            "",
            Workshop.SCHEMA);
    add(line.machineId(), row, bytes);
  }

  /** The first in which something else stands than was attached; empty where there is none. */
  Optional<Attachment> firstAltered() {
    return sql.list("SELECT * FROM attachment ORDER BY seq", AttachmentTable::attachment).stream()
        .filter(a -> !isAsAttached(a))
        .findFirst();
  }

  private boolean isAsAttached(Attachment attached) {
    try {
      return bytes(attached).length == attached.size();
    } catch (UnusableReading e) {
      return false;
    }
  }

  private static Attachment attachment(ResultSet row) throws SQLException {
    String at = row.getString("recorded_at");
    return new Attachment(
        row.getString("id"),
        row.getString("machine_id"),
        row.getString("line_id"),
        row.getString("name"),
        row.getString("sha256"),
        row.getLong("size"),
        Written.instantOr(at, at),
        row.getString("recorded_by"));
  }

  /**
   * What is in it.
   *
   * @throws UnusableReading where it is no longer what was attached
   */
  byte[] bytes(Attachment of) {
    List<byte[]> found =
        sql.list("SELECT bytes FROM content WHERE sha256 = ?", row -> row.getBytes(1), of.sha256());
    if (found.isEmpty() || !Sha256.of(found.getFirst()).equals(of.sha256())) {
      throw UnusableReading.of(
          "attachment",
          Message.of("attachment.altered", Message.quoted(of.name())),
          Message.of("attachment.as-attached"));
    }
    return found.getFirst();
  }

  /**
   * @param machineId whose line it is of
   */
  void add(String machineId, AttachmentRow row, byte[] bytes) {
    sql.run("INSERT OR IGNORE INTO content (sha256, bytes) VALUES (?, ?)", row.sha256(), bytes);
    sql.run(
        """
        INSERT INTO attachment (id, machine_id, line_id, name, sha256, size, recorded_at,
          recorded_by, version) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
        """,
        row.id(),
        machineId,
        row.lineId(),
        row.name(),
        row.sha256(),
        bytes.length,
        row.recordedAt(),
        row.recordedBy(),
        row.version());
  }
}
