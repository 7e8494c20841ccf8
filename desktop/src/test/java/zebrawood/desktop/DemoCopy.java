package zebrawood.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import zebrawood.desktop.demo.DemoWorkshop;

/** Copies of the demo workshop, which is written once for each moment that tests begin at. */
public final class DemoCopy {
  private static final Map<Instant, byte[]> WRITTEN = new ConcurrentHashMap<>();

  private DemoCopy() {}

  public static void write(Path file, Instant now) {
    try {
      Files.write(file, WRITTEN.computeIfAbsent(now, DemoCopy::written));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static byte[] written(Instant now) {
    try {
      Path file = Files.createTempDirectory("zebrawood-demo-copy").resolve("demo.zebrawood");
      DemoWorkshop.write(file, now);
      return Files.readAllBytes(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
