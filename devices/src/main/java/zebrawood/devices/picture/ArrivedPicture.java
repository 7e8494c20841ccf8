package zebrawood.devices.picture;

import java.io.IOException;
import java.nio.file.DirectoryIteratorException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.Locale;
import java.util.Optional;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * The newest picture in a folder that a phone, a camera or a cable puts pictures into.
 *
 * @param bytes its size: what still comes in grows
 */
public record ArrivedPicture(Path file, FileTime changed, long bytes) {
  /** A folder with more is no folder that pictures come into. */
  static final int MOST_FILES = 20_000;

  /**
   * Looks once. Hidden files, and those whose name says that they are no PNG or JPEG, are none.
   *
   * @param since older ones are left out
   * @throws UnusableReading when it is no folder that can be read, or has too many files
   */
  public static Optional<ArrivedPicture> newest(String folder, FileTime since) {
    Optional<ArrivedPicture> newest = Optional.empty();
    int files = 0;
    try (DirectoryStream<Path> all = Files.newDirectoryStream(Path.of(folder.strip()))) {
      for (Path file : all) {
        if (++files > MOST_FILES) {
          throw refused("measure.picture.folder-full", folder);
        }
        if (!named(file)) {
          continue;
        }
        Optional<ArrivedPicture> one = of(file).filter(p -> p.changed.compareTo(since) >= 0);
        if (one.isPresent()
            && (newest.isEmpty() || one.get().changed.compareTo(newest.get().changed) > 0)) {
          newest = one;
        }
      }
    } catch (IOException | IllegalArgumentException | DirectoryIteratorException e) {
      throw refused("measure.picture.no-folder", folder);
    }
    return newest;
  }

  private static boolean named(Path file) {
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    return !name.startsWith(".")
        && (name.endsWith(".jpg") || name.endsWith(".jpeg") || name.endsWith(".png"));
  }

  /** Empty where it went away meanwhile. */
  private static Optional<ArrivedPicture> of(Path file) {
    try {
      BasicFileAttributes its = Files.readAttributes(file, BasicFileAttributes.class);
      return its.isRegularFile()
          ? Optional.of(new ArrivedPicture(file, its.lastModifiedTime(), its.size()))
          : Optional.empty();
    } catch (IOException gone) {
      return Optional.empty();
    }
  }

  private static UnusableReading refused(String why, String folder) {
    return UnusableReading.of(
        "folder",
        Message.of(why, Message.quoted(folder)),
        Message.of("measure.picture.folder-accepted", MOST_FILES));
  }
}
