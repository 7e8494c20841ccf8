package zebrawood.desktop.photo;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import zebrawood.devices.picture.PictureFile;
import zebrawood.devices.picture.Preview;
import zebrawood.measure.Picture;

/**
 * A photograph as it was read from its file last, with a small copy to look at. A file that changed
 * is read again.
 */
public final class Photograph {
  /** A small copy is at most this wide or high. */
  private static final int PREVIEW_PX = 1400;

  private record Read(String path, Optional<FileTime> changed, Picture picture, Preview preview) {}

  private volatile Optional<Read> read = Optional.empty();

  /**
   * On any thread; takes as long as decoding does.
   *
   * @param reached told how far it is
   * @throws zebrawood.measure.UnusableReading when it cannot be read
   */
  public synchronized Picture picture(String path, DoubleConsumer reached) {
    Optional<FileTime> changed = changed(path);
    Read now =
        read.filter(r -> r.path.equals(path) && r.changed.equals(changed))
            .orElseGet(() -> {
              Picture picture = PictureFile.read("imagePath", path, reached);
              return new Read(path, changed, picture, Preview.of(picture, PREVIEW_PX));
            });
    read = Optional.of(now);
    return now.picture;
  }

  /** When a file was changed last; empty where there is none. */
  static Optional<FileTime> changed(String path) {
    try {
      return Optional.of(Files.getLastModifiedTime(Path.of(path)));
    } catch (java.io.IOException | IllegalArgumentException noFile) {
      return Optional.empty();
    }
  }

  /** The small copy, when this file is the one that was read last. */
  public Optional<Preview> preview(String path) {
    return read.filter(r -> r.path.equals(path)).map(Read::preview);
  }
}
