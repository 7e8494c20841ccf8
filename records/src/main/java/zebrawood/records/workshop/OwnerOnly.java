package zebrawood.records.workshop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import org.slf4j.LoggerFactory;

/** Files that nobody but their owner reads, where the system knows such a thing. */
final class OwnerOnly {
  private OwnerOnly() {}

  static void make(Path file) {
    try {
      PosixFileAttributeView view = Files.getFileAttributeView(file, PosixFileAttributeView.class);
      if (view != null && Files.exists(file)) {
        view.setPermissions(PosixFilePermissions.fromString("rw-------"));
      }
    } catch (IOException e) {
      LoggerFactory.getLogger(OwnerOnly.class).warn("not made private: {}", file, e);
    }
  }
}
