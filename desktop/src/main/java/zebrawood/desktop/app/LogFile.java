package zebrawood.desktop.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.logging.ConsoleHandler;
import java.util.logging.FileHandler;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.LogRecord;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;

/**
 * Warnings and worse go to a file, which is made at the first of them; the window shows a sentence.
 */
final class LogFile extends Handler {
  /** A longer one begins anew. */
  private static final int LONGEST_BYTES = 1_000_000;

  private final Path file;
  private Handler into;

  private LogFile(Path file) {
    this.file = file;
  }

  /** All that is logged from here on goes there, and nowhere else. */
  static void begin(Path file) {
    System.setProperty(
        "java.util.logging.SimpleFormatter.format", "%1$tF %1$tT %4$s %2$s %5$s%6$s%n");
    Logger root = Logger.getLogger("");
    for (Handler other : root.getHandlers()) {
      root.removeHandler(other);
    }
    root.setLevel(Level.WARNING);
    root.addHandler(new LogFile(file));
  }

  @Override
  public synchronized void publish(LogRecord told) {
    if (into == null) {
      into = open();
    }
    into.publish(told);
  }

  private Handler open() {
    try {
      Files.createDirectories(file.getParent());
      Handler opened = new FileHandler(file.toString().replace("%", "%%"), LONGEST_BYTES, 1, true);
      opened.setFormatter(new SimpleFormatter());
      return opened;
    } catch (IOException e) {
      // Without a place to write to, the console has it.
      return new ConsoleHandler();
    }
  }

  @Override
  public void flush() {}

  @Override
  public synchronized void close() {
    if (into != null) {
      into.close();
    }
  }
}
