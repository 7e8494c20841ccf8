package zebrawood.desktop.job;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import zebrawood.jobfile.JobReader;
import zebrawood.jobfile.Motion;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/** Reads a motion program from its file, beside the interface. */
public final class JobFileReading {
  private JobFileReading() {}

  /**
   * @param from of the whole work, as a share, where this file begins, and {@code to} where it ends
   * @throws UnusableReading where it is no such program, or cannot be read
   */
  public static JobReader.Read read(
      String name, Motion motion, Jobs.Progress progress, double from, double to) {
    try {
      Path path = Path.of(name);
      if (!Files.isRegularFile(path)) {
        throw refused("jobfile.no-file", name);
      }
      long size = Math.max(1, Files.size(path));
      try (InputStream in = Files.newInputStream(path)) {
        return JobReader.read(
            path.getFileName().toString(),
            in,
            motion,
            bytes -> {
              if (progress.cancelled()) {
                throw new CancellationException();
              }
              progress.reached(from + (to - from) * bytes / size);
            });
      }
    } catch (IOException | InvalidPathException e) {
      throw refused("jobfile.not-read", name);
    }
  }

  private static UnusableReading refused(String why, String name) {
    return UnusableReading.of(
        "file", Message.of(why, Message.quoted(name)), Message.of("jobfile.accepted"));
  }
}
