package zebrawood.desktop.solve;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;

/** Lines of bytes of which none takes more memory than it may, whatever comes. */
final class BoundedLines {
  /**
   * A line without its end.
   *
   * @param bytes what stood there; of a line that is too long nothing
   */
  record Line(byte[] bytes, boolean tooLong) {}

  private final BufferedInputStream in;
  private final int most;

  /**
   * @param most bytes of a line
   */
  BoundedLines(InputStream in, int most) {
    this.in = new BufferedInputStream(in, 1 << 16);
    this.most = most;
  }

  /** The next line; nothing at the end. */
  Optional<Line> next() throws IOException {
    ByteArrayOutputStream line = new ByteArrayOutputStream(256);
    boolean tooLong = false;
    int next = in.read();
    if (next < 0) {
      return Optional.empty();
    }
    while (next >= 0 && next != '\n') {
      if (line.size() == most) {
        tooLong = true;
        line.reset();
      }
      if (!tooLong) {
        line.write(next);
      }
      next = in.read();
    }
    return Optional.of(new Line(line.toByteArray(), tooLong));
  }

  /** Whether more can be had without waiting for it. */
  boolean ready() throws IOException {
    return in.available() > 0;
  }
}
