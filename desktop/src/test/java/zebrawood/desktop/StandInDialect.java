package zebrawood.desktop;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;

/** How the stand-in talks, as a file that a real machine's sheet reads: it is not offered there. */
final class StandInDialect {
  private StandInDialect() {}

  /** On the interface's thread, with the dialect's part open. */
  static void take(Parent root) {
    ((TextField) root.lookup("#dialect-file")).setText(file().toString());
    ((Button) root.lookup("#dialect-import")).fire();
  }

  private static Path file() {
    try (InputStream in =
        StandInDialect.class.getResourceAsStream("/zebrawood/desktop/controller/stand-in.json")) {
      Path file = Files.createTempFile("dialect", ".json");
      file.toFile().deleteOnExit();
      Files.write(file, in.readAllBytes());
      return file;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
