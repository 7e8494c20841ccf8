package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import zebrawood.records.workshop.Opening.InUse;
import zebrawood.records.workshop.Opening.Opened;
import zebrawood.records.workshop.Opening.Unusable;
import zebrawood.words.Message;

/** Opens workshop files, makes new ones, and brings older ones up to date. */
final class WorkshopFile {
  private WorkshopFile() {}

  /** Opens a file that this process holds. */
  @FunctionalInterface
  private interface Held {
    Opening open(Path file, FileHold hold) throws IOException;
  }

  /** Opens the file, makes it when there is none, and brings an older one up to date. */
  static Opening open(Path file) {
    return open(file, WorkshopFile::openHeld);
  }

  /** What is sound of a file that turned out to be damaged after it was opened. */
  static Opening openDamaged(Path file) {
    return open(file, WorkshopFile::damaged);
  }

  private static Opening open(Path file, Held how) {
    Path absolute = real(file.toAbsolutePath());
    if (Files.exists(absolute) && !(Files.isRegularFile(absolute) && Files.isWritable(absolute))) {
      return new Unusable(Message.of("workshop.not-a-file", absolute.toString()));
    }
    try {
      Files.createDirectories(absolute.getParent());
      Optional<FileHold> hold = FileHold.take(absolute);
      if (hold.isEmpty()) {
        return new InUse(FileHold.holder(absolute));
      }
      Opening opening = null;
      try {
        opening = how.open(absolute, hold.get());
        return opening;
      } catch (Sql.Refused | FlywayException e) {
        return notOpened(absolute, e);
      } finally {
        if (opening == null || !opening.holds()) {
          hold.get().close();
        }
      }
    } catch (IOException e) {
      return new Unusable(
          Message.of(
              "workshop.no-folder",
              absolute.toString(),
              Message.quoted(String.valueOf(e.getMessage()))));
    }
  }

  /**
   * A new file that is held and connected to.
   *
   * @param refused why there is none; then the others are null
   */
  record Elsewhere(Optional<Message> refused, FileHold hold, Sql sql) {
    private static Elsewhere not(Message because) {
      return new Elsewhere(Optional.of(because), null, null);
    }
  }

  /** Writes a new file. */
  @FunctionalInterface
  interface Writing {
    /**
     * @return whether there was anything to write
     */
    boolean write() throws IOException;
  }

  /** Makes a new file by writing it; where that fails, nothing is left of it. */
  static Elsewhere elsewhere(Path target, Writing writing) {
    if (Files.exists(target)) {
      return Elsewhere.not(Message.of("workshop.taken", target.toString()));
    }
    try {
      Files.createDirectories(target.getParent());
      Optional<FileHold> held = FileHold.take(target);
      if (held.isEmpty()) {
        return Elsewhere.not(Message.of("workshop.taken", target.toString()));
      }
      Sql sql = null;
      try {
        sql = writing.write() ? new Sql(source(target)) : null;
      } catch (Sql.Refused e) {
        LoggerFactory.getLogger(WorkshopFile.class).error("not written: {}", target, e);
      } finally {
        if (sql == null) {
          held.get().close();
          Files.deleteIfExists(target);
        }
      }
      return sql == null
          ? Elsewhere.not(Message.of("workshop.not-copied", target.toString()))
          : new Elsewhere(Optional.empty(), held.get(), sql);
    } catch (IOException e) {
      return Elsewhere.not(
          Message.of(
              "workshop.no-folder",
              target.toString(),
              Message.quoted(String.valueOf(e.getMessage()))));
    }
  }

  private static Unusable notOpened(Path file, RuntimeException because) {
    return new Unusable(
        Message.of(
            "workshop.not-opened",
            file.toString(),
            Message.quoted(String.valueOf(because.getMessage()))));
  }

  /** The file itself, whatever link led to it. */
  static Path real(Path file) {
    try {
      return Files.exists(file) ? file.toRealPath() : file;
    } catch (IOException e) {
      return file;
    }
  }

  private static Opening openHeld(Path file, FileHold hold) throws IOException {
    if (!Files.exists(file)) {
      return new Opened(new Workshop(file, hold, made(file)));
    }
    if (FileNames.several(file)) {
      return new Unusable(Message.of("workshop.hard-link", file.toString()));
    }
    switch (FileKind.of(file)) {
      case FileKind.NotOurs(Message because) -> {
        return new Unusable(because);
      }
      case FileKind.Damaged() -> {
        return damaged(file, hold);
      }
      case FileKind.Ours() -> {}
    }
    Sql sql = null;
    try {
      sql = new Sql(source(file));
      int version = sql.list("PRAGMA user_version", row -> row.getInt(1)).getFirst();
      if (version > Workshop.SCHEMA) {
        sql.close();
        return new Unusable(
            Message.of("workshop.newer", file.toString(), version, Workshop.SCHEMA));
      }
      if (version < Workshop.SCHEMA) {
        sql.close();
        sql = upToDate(file, version);
      }
      Workshop workshop = new Workshop(file, hold, sql);
      workshop.machines();
      return new Opened(workshop);
    } catch (Sql.Refused | FlywayException e) {
      if (sql != null) {
        sql.close();
      }
      return e instanceof Sql.Refused refused && !refused.ofTheFile()
          ? notOpened(file, e)
          : damaged(file, hold);
    }
  }

  /** What of a damaged file is sound, in a file that goes when it is closed. */
  private static Opening damaged(Path file, FileHold hold) throws IOException {
    Message because = Message.of("workshop.damaged", file.toString());
    Path saved = Salvage.folder("sound").resolve("w.zebrawood");
    Optional<Message> read = Salvage.write(file, saved);
    if (read.isEmpty()) {
      Salvage.empty(saved.getParent());
      return new Opening.Damaged(because, Optional.empty());
    }
    return new Opening.Damaged(
        Message.of("workshop.saved", file.toString(), read.get()),
        Optional.of(Workshop.ofDamaged(file, hold, saved)));
  }

  /** A new workshop, of this version. */
  static Sql made(Path file) throws IOException {
    new Sql(source(file)).close();
    OwnerOnly.make(file);
    return upToDate(file, 0);
  }

  private static Sql upToDate(Path file, int version) throws IOException {
    migrate(file, source(file), version);
    Sql sql = new Sql(source(file));
    if (version < Chain.SINCE) {
      sql.inTransaction(new Chain(sql)::begin);
    }
    return sql;
  }

  static SQLiteDataSource source(Path file) {
    SQLiteConfig config = new SQLiteConfig();
    config.setJournalMode(SQLiteConfig.JournalMode.WAL);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file);
    return source;
  }

  /** Flyway is only loaded here, since it is slow to start and seldom needed. */
  private static void migrate(Path file, SQLiteDataSource source, int version) throws IOException {
    if (version > 0) {
      Path copy = file.resolveSibling(file.getFileName() + ".before-" + Workshop.SCHEMA);
      Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
    }
    Flyway.configure(Workshop.class.getClassLoader())
        .dataSource(source)
        .locations("classpath:zebrawood/records/migrations")
        .load()
        .migrate();
  }

  /** A connection to a workshop of any earlier version, brought up to date. */
  static Sql connected(Path file) throws IOException {
    int version;
    try (Sql sql = FileKind.readOnly(file)) {
      version = sql.list("PRAGMA user_version", row -> row.getInt(1)).getFirst();
    }
    return version < Workshop.SCHEMA ? upToDate(file, version) : new Sql(source(file));
  }
}
