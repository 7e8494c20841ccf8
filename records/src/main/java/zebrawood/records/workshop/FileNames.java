package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** A workshop file by its names, and what SQLite keeps beside it under each of them. */
final class FileNames {
  private static final String LOG = "-wal";
  private static final String INDEX = "-shm";

  private FileNames() {}

  /**
   * Whether it has another name (a hard link). What is not yet in the file lies beside it under one
   * of its names, so that under the other one a part would be missing.
   */
  static boolean several(Path file) throws IOException {
    try {
      return Files.getAttribute(file, "unix:nlink") instanceof Integer names && names > 1;
    } catch (UnsupportedOperationException | IllegalArgumentException e) {
      return false; // this system has no such thing
    }
  }

  /** Copies a file with what lies beside it and is not yet in it. */
  static void copyWithLog(Path file, Path copy) throws IOException {
    Files.copy(file, copy);
    OwnerOnly.make(copy);
    Path log = beside(file, LOG);
    if (Files.exists(log) && Files.size(log) > 0) {
      Files.copy(log, beside(copy, LOG));
      OwnerOnly.make(beside(copy, LOG));
    }
  }

  /** Puts another file in the place of one that nobody has open. */
  static void putInPlace(Path other, Path file) throws IOException {
    Files.deleteIfExists(beside(file, LOG));
    Files.deleteIfExists(beside(file, INDEX));
    Files.move(other, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
  }

  private static Path beside(Path file, String ending) {
    return file.resolveSibling(file.getFileName() + ending);
  }
}
