package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Optional;
import org.slf4j.LoggerFactory;
import zebrawood.words.Message;

/** What came of putting a copy in the place of a workshop file. */
public sealed interface Restored {
  /**
   * It is there.
   *
   * @param aside where the file is that was there until now
   */
  record Done(Path aside) implements Restored {}

  /** Nothing was changed. */
  record Refused(Message because) implements Restored {}

  /** Lets go of the rows of a file. */
  @FunctionalInterface
  interface LettingGo {
    void letGo() throws IOException;
  }

  /** Ends the name of the file that was there. */
  DateTimeFormatter ASIDE = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");

  /**
   * Puts a copy in the place of a file that could not be opened.
   *
   * @param copy as {@link Backups} has it
   */
  static Restored of(Path named, Path copy, LocalDateTime now) {
    Path file = WorkshopFile.real(named.toAbsolutePath());
    try {
      Optional<FileHold> held = FileHold.take(file);
      if (held.isEmpty()) {
        return new Refused(FileHold.holder(file));
      }
      try {
        return putBack(file, copy, now, () -> {});
      } finally {
        held.get().close();
      }
    } catch (IOException e) {
      LoggerFactory.getLogger(Restored.class).error("not restored: {}", copy, e);
      return new Refused(Message.of("workshop.not-restored", file.toString()));
    }
  }

  /**
   * Looks at the copy, sets aside what is there, and puts the copy in its place.
   *
   * @param rows let go of before the file changes
   */
  static Restored putBack(Path file, Path copy, LocalDateTime now, LettingGo rows)
      throws IOException {
    if (Soundness.of(copy) instanceof Soundness.Unsound(boolean damaged, Message because)) {
      return new Refused(because);
    }
    Path aside = file.resolveSibling(file.getFileName() + ".set-aside-" + ASIDE.format(now));
    Path part = file.resolveSibling(file.getFileName() + ".restored-part");
    try {
      Files.copy(copy, part, StandardCopyOption.REPLACE_EXISTING);
      OwnerOnly.make(part);
      if (Files.exists(file)) {
        FileNames.copyWithLog(file, aside);
      }
      rows.letGo();
      FileNames.putInPlace(part, file);
      return new Done(aside);
    } finally {
      Files.deleteIfExists(part);
    }
  }
}
