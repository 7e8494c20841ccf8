package zebrawood.devices.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;

/**
 * How a picture's pixels are to be turned to stand upright: Exif 2.32 (CIPA DC-008), tag 0x0112.
 *
 * @param swapped whether rows and columns change places
 * @param mirroredX whether the upright picture's x runs against that of the (swapped) pixels
 */
record Orientation(boolean swapped, boolean mirroredX, boolean mirroredY) {
  static final Orientation UPRIGHT = new Orientation(false, false, false);

  /** Reads the tags of something. */
  @FunctionalInterface
  private interface Tags {
    Metadata read() throws ImageProcessingException, IOException;
  }

  /** What a file's tag says; upright where there is none, or none that can be read. */
  static Orientation of(Path file) {
    return of(() -> ImageMetadataReader.readMetadata(file.toFile()));
  }

  /** The same of a file's bytes. */
  static Orientation of(byte[] file) {
    return of(() -> ImageMetadataReader.readMetadata(new ByteArrayInputStream(file)));
  }

  private static Orientation of(Tags tags) {
    try {
      var directory = tags.read().getFirstDirectoryOfType(ExifIFD0Directory.class);
      Integer tag =
          directory == null ? null : directory.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
      return tag == null ? UPRIGHT : of(tag);
    } catch (ImageProcessingException | IOException noTags) {
      return UPRIGHT;
    }
  }

  static Orientation of(int tag) {
    return switch (tag) {
      case 2 -> new Orientation(false, true, false);
      case 3 -> new Orientation(false, true, true);
      case 4 -> new Orientation(false, false, true);
      case 5 -> new Orientation(true, false, false);
      case 6 -> new Orientation(true, true, false);
      case 7 -> new Orientation(true, true, true);
      case 8 -> new Orientation(true, false, true);
      default -> UPRIGHT;
    };
  }
}
