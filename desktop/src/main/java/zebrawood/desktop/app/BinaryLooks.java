package zebrawood.desktop.app;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import javafx.css.Stylesheet;
import zebrawood.records.paper.Paper;

/**
 * Run by the launcher once after a build: writes the style sheets into a folder in the toolkit's
 * binary form, which a start reads four times as fast as words, and the typeface's files, which the
 * toolkit would else unpack into a temporary folder at each start.
 */
final class BinaryLooks {
  private BinaryLooks() {}

  public static void main(String[] folder) throws IOException {
    Path into = Files.createDirectories(Path.of(folder[0]));
    File words = File.createTempFile("look", ".css");
    for (String name : Assembly.LOOKS) {
      try (var css = BinaryLooks.class.getResourceAsStream(Assembly.LOOK + name + ".css")) {
        Files.copy(css, words.toPath(), StandardCopyOption.REPLACE_EXISTING);
      }
      Stylesheet.convertToBinary(words, into.resolve(name + ".bss").toFile());
    }
    Files.delete(words.toPath());
    for (String weight : Assembly.WEIGHTS) {
      try (var typeface = Paper.class.getResourceAsStream(weight)) {
        Files.copy(
            typeface, into.resolve(Assembly.name(weight)), StandardCopyOption.REPLACE_EXISTING);
      }
    }
  }
}
