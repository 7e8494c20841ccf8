package zebrawood.desktop.solve;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.Optional;

/** Lines of bytes of which none takes more memory than it may, whatever comes. */
final class BoundedLines {
  /**
   * A line without its end.
   *
   * @param bytes what stood there; of a line that is too long nothing
   */
  record Line(byte[] bytes, boolean tooLong) {}

  private final InputStream in;
  private final int most;
  private final byte[] block = new byte[1 << 16];

  /** What of the block was not given out yet. */
  private int from;

  private int to;

  /**
   * @param most bytes of a line
   */
  BoundedLines(InputStream in, int most) {
    this.in = in;
    this.most = most;
  }

  /** The next line; nothing at the end. */
  Optional<Line> next() throws IOException {
    if (from == to && !filled()) {
      return Optional.empty();
    }
    int end = lineEnd();
    if (end < to) {
      Line line = whole(end);
      from = end + 1;
      return Optional.of(line);
    }
    return Optional.of(overSeveralBlocks());
  }

  private Line whole(int end) {
    boolean tooLong = end - from > most;
    return new Line(tooLong ? new byte[0] : Arrays.copyOfRange(block, from, end), tooLong);
  }

  private Line overSeveralBlocks() throws IOException {
    ByteArrayOutputStream line = new ByteArrayOutputStream(2 * block.length);
    boolean tooLong = false;
    int end;
    do {
      end = lineEnd();
      tooLong |= line.size() + (end - from) > most;
      if (tooLong) {
        line.reset();
      } else {
        line.write(block, from, end - from);
      }
      from = Math.min(end + 1, to);
    } while (end == to && filled());
    return new Line(line.toByteArray(), tooLong);
  }

  /** Where the next line end stands in the block; behind its last byte where none does. */
  private int lineEnd() {
    int at = from;
    while (at < to && block[at] != '\n') {
      at++;
    }
    return at;
  }

  /** Reads the next block; false at the end. */
  private boolean filled() throws IOException {
    from = 0;
    to = Math.max(0, in.read(block));
    return to > 0;
  }

  /** Whether a further line, or more of it, can be had without waiting for it. */
  boolean ready() throws IOException {
    return lineEnd() < to || in.available() > 0;
  }
}
