package zebrawood.desktop.shell;

import java.nio.file.Path;

/** Other programs of the desktop, behind an interface so that tests need none. */
public interface DesktopPrograms {
  /** Shows a file in the program that the desktop has for it. */
  void open(Path file);
}
