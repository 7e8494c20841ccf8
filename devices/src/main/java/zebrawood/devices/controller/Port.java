package zebrawood.devices.controller;

import java.io.IOException;
import java.time.Duration;

/** Bytes to and from a controller. */
public interface Port extends AutoCloseable {
  /** All of them, or an exception. */
  void write(byte[] bytes) throws IOException;

  /** What came, waiting at most so long for the first of it; empty when nothing came. */
  byte[] read(Duration wait) throws IOException;

  /** Time as this port lives it, for bounds. */
  default long nanos() {
    return System.nanoTime();
  }

  @Override
  void close();
}
