package zebrawood.desktop.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** Where the user's own files are kept, as each system has it. */
final class Folders {
  private Folders() {}

  static Path workshopFile() {
    return data().resolve("workshop.zebrawood");
  }

  static Path log() {
    return data().resolve("zebrawood.log");
  }

  private static Path data() {
    String system = System.getProperty("os.name").toLowerCase(Locale.ROOT);
    Path home = home();
    if (system.contains("windows")) {
      return variable("APPDATA", home.resolve("AppData/Roaming")).resolve("Zebrawood");
    }
    if (system.contains("mac")) {
      return home.resolve("Library/Application Support/Zebrawood");
    }
    return variable("XDG_DATA_HOME", home.resolve(".local/share")).resolve("zebrawood");
  }

  /** Whether the user has a folder of their own: in some containers there is none. */
  static boolean areThere() {
    String home = System.getProperty("user.home", "");
    return !home.isBlank() && !home.equals("?") && Files.isDirectory(Path.of(home));
  }

  /** The user's own folder; where there is none, that for passing things, good for a log. */
  private static Path home() {
    return Path.of(System.getProperty(areThere() ? "user.home" : "java.io.tmpdir"));
  }

  private static Path variable(String name, Path otherwise) {
    String value = System.getenv(name);
    return value == null || value.isBlank() ? otherwise : Path.of(value);
  }
}
