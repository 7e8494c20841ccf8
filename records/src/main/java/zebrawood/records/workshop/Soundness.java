package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import zebrawood.records.workshop.Chain.Broken;
import zebrawood.words.Message;

/** Whether a workshop file is whole; it is only looked at. */
public sealed interface Soundness {
  /** All of it can be read, and every row is as it was written. */
  record Sound(int machines, int entries, int events) implements Soundness {}

  /**
   * It is not.
   *
   * @param damaged whether the file itself is, so that nothing may be written to it
   * @param because one sentence
   */
  record Unsound(boolean damaged, Message because) implements Soundness {}

  /** Looks at a file without changing anything of it. */
  static Soundness of(Path file) {
    Path absolute = file.toAbsolutePath();
    if (!Files.isRegularFile(absolute)) {
      return new Unsound(false, Message.of("workshop.sound.missing", absolute.toString()));
    }
    try {
      switch (FileKind.of(absolute)) {
        case FileKind.NotOurs(Message because) -> {
          return new Unsound(false, because);
        }
        case FileKind.Damaged() -> {
          return new Unsound(true, Message.of("workshop.damaged", absolute.toString()));
        }
        case FileKind.Ours() -> {}
      }
      try (Sql sql = FileKind.readOnly(absolute)) {
        return of(sql, absolute);
      }
    } catch (IOException | Sql.Refused | IllegalArgumentException e) {
      return damaged(absolute, String.valueOf(e.getMessage()));
    }
  }

  private static Unsound damaged(Path file, String what) {
    return new Unsound(
        true, Message.of("workshop.sound.damaged", file.toString(), Message.quoted(what)));
  }

  private static Soundness of(Sql sql, Path file) {
    List<String> found = sql.list("PRAGMA integrity_check(3)", row -> row.getString(1));
    if (!found.equals(List.of("ok"))) {
      return damaged(file, found.getFirst());
    }
    int version = sql.list("PRAGMA user_version", row -> row.getInt(1)).getFirst();
    if (version > Workshop.SCHEMA) {
      return new Unsound(
          false, Message.of("workshop.newer", file.toString(), version, Workshop.SCHEMA));
    }
    if (version >= Chain.SINCE) {
      List<Broken> broken = new Chain(sql).broken();
      if (!broken.isEmpty()) {
        return new Unsound(
            false, Message.of("workshop.sound.altered", file.toString(), said(broken.getFirst())));
      }
    }
    if (version >= AttachmentTable.SINCE) {
      Optional<Attachment> altered = new AttachmentTable(sql).firstAltered();
      if (altered.isPresent()) {
        return new Unsound(
            false,
            Message.of(
                "workshop.sound.altered",
                file.toString(),
                Message.of(
                    "workshop.sound.line",
                    Message.of(Chain.Of.ATTACHMENT),
                    Message.quoted(altered.get().machineId()),
                    Message.quoted(altered.get().name()))));
      }
    }
    return new Sound(
        count(sql, "SELECT count(DISTINCT id) FROM machine"),
        count(sql, "SELECT count(*) FROM entry"),
        count(sql, "SELECT count(*) FROM event"));
  }

  private static int count(Sql sql, String query) {
    return sql.list(query, row -> row.getInt(1)).getFirst();
  }

  private static Message said(Broken broken) {
    return Message.of(
        "workshop.sound.line",
        Message.of(broken.kind()),
        Message.quoted(broken.machineId()),
        broken.said().map(Message::quoted).orElse(Message.of("workshop.sound.gone")));
  }
}
