package zebrawood.records.workshop;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import zebrawood.words.Message;

/** What a file is, told without changing a byte of it. */
sealed interface FileKind {
  /** A workshop, as far as its head and its tables tell. */
  record Ours() implements FileKind {}

  /** A workshop as its head says, which cannot be read further. */
  record Damaged() implements FileKind {}

  /** Something else; it is left as it is. */
  record NotOurs(Message because) implements FileKind {}

  /** With these letters a file of this kind begins (SQLite, database file format, section 1.3). */
  String MAGIC = "SQLite format 3\0";

  int HEAD_BYTES = 100;

  static FileKind of(Path file) throws IOException {
    byte[] head;
    try (InputStream in = Files.newInputStream(file)) {
      head = in.readNBytes(HEAD_BYTES);
    }
    if (head.length < HEAD_BYTES) {
      return new NotOurs(Message.of("workshop.empty", file.toString()));
    }
    String first = new String(head, 0, MAGIC.length(), StandardCharsets.ISO_8859_1);
    if (!first.equals(MAGIC)) {
      return new NotOurs(Message.of("workshop.not-ours", file.toString()));
    }
    try (Sql sql = readOnly(file)) {
      List<String> tables =
          sql.list("SELECT name FROM sqlite_master WHERE type = 'table'", row -> row.getString(1));
      return tables.containsAll(List.of("machine", "entry", "event", "draft"))
          ? new Ours()
          : new NotOurs(Message.of("workshop.not-ours", file.toString()));
    } catch (Sql.Refused e) {
      return new Damaged();
    }
  }

  /** A connection that changes nothing. */
  static Sql readOnly(Path file) {
    SQLiteConfig config = new SQLiteConfig();
    config.setReadOnly(true);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file);
    return new Sql(source);
  }
}
