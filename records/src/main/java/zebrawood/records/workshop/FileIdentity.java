package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.Objects;

/**
 * Which file a path led to, so that a removed, replaced or renamed one is noticed.
 *
 * @param key what the file system calls it; null where it has no such thing
 * @param created when it was made, where the file system knows
 */
record FileIdentity(Object key, FileTime created) {
  private static final FileIdentity NONE = new FileIdentity(null, null);

  static FileIdentity of(Path file) {
    try {
      BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
      Object key = attributes.fileKey();
      // Some systems give the time of the last change instead: it decides only without a key.
      return new FileIdentity(key, key == null ? attributes.creationTime() : null);
    } catch (IOException e) {
      return NONE;
    }
  }

  boolean isStill(Path file) {
    FileIdentity now = of(file);
    return !now.equals(NONE) && Objects.equals(now, this);
  }
}
