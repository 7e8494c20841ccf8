package zebrawood.records.passport;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.Sha256;
import zebrawood.records.file.WholeFile;
import zebrawood.records.json.RecordJson;
import zebrawood.records.workshop.PassportRow;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;

/**
 * A passport as a file: UTF-8, a JSON object a line. The first says what it is, the last how many
 * lines there are between and the SHA-256 of all bytes before it (FIPS 180-4). A file that was cut,
 * changed, or comes from a newer version is refused whole.
 *
 * @param machineId whose it is
 * @param name of the machine when it was written
 * @param rows in the order in which a workshop takes them in
 */
public record PassportFile(String machineId, String name, List<PassportRow> rows) {
  public static final String FORMAT = "zebrawood-passport";
  public static final int VERSION = 2;

  /** Of a file; a machine of a hundred years has less. */
  static final long MOST_BYTES = 1L << 30;

  /** Memory over the file's size, measured on large ones, and a little more. */
  private static final double MEMORY = 1.3;

  private static final int MOST_LINE_BYTES = 48 * 1024 * 1024;
  private static final int MOST_LINES = 2_000_000;
  private static final String FILE = "passport";

  public PassportFile {
    rows = List.copyOf(rows);
  }

  /** The first line. */
  private record Head(String format, int version, String machine, String name) {}

  /** The last line. */
  private record Foot(int lines, String sha256) {}

  /**
   * Writes one machine's passport into a new file.
   *
   * @return how many lines it has
   * @throws java.nio.file.FileAlreadyExistsException where there is such a file
   */
  public static int write(Workshop from, Machine machine, Path file) throws IOException {
    int[] lines = {0};
    try {
      WholeFile.writeBytes(
          file,
          out -> {
            MessageDigest sum = Sha256.begun();
            line(out, sum, new Head(FORMAT, VERSION, machine.id(), machine.name()));
            from.passport(
                machine.id(),
                row -> {
                  try {
                    line(out, sum, row);
                  } catch (IOException e) {
                    throw new UncheckedIOException(e);
                  }
                  lines[0]++;
                });
            String digest = HexFormat.of().formatHex(sum.digest());
            out.write(bytes(new Foot(lines[0], digest)));
          });
    } catch (UncheckedIOException e) {
      throw e.getCause();
    }
    return lines[0];
  }

  private static void line(OutputStream out, MessageDigest sum, Record what) throws IOException {
    byte[] bytes = bytes(what);
    sum.update(bytes);
    out.write(bytes);
  }

  private static byte[] bytes(Record what) {
    return (RecordJson.write(what) + "\n").getBytes(StandardCharsets.UTF_8);
  }

  /**
   * @param newest of the workshop's file that rows may come from
   * @throws UnusableReading saying why it is refused
   * @throws IOException where there is no such file, or it cannot be read
   */
  public static PassportFile read(Path file, int newest) throws IOException {
    Runtime here = Runtime.getRuntime();
    return read(file, newest, here.maxMemory() - here.totalMemory() + here.freeMemory());
  }

  /**
   * @param freeBytes of memory
   */
  static PassportFile read(Path file, int newest, long freeBytes) throws IOException {
    long size = Files.size(file);
    if (size > MOST_BYTES) {
      throw refused(Message.of("passport.bytes", size), Message.of("passport.at-most", MOST_BYTES));
    }
    long needed = (long) (MEMORY * size);
    if (needed > freeBytes) {
      throw refused(
          Message.of("passport.needs", megabytes(needed)),
          Message.of("passport.free", megabytes(Math.max(0, freeBytes))));
    }
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
      return read(in, newest);
    }
  }

  static PassportFile read(InputStream in, int newest) throws IOException {
    MessageDigest sum = Sha256.begun();
    byte[] first = next(in);
    Head head = head(first);
    sum.update(first);
    List<PassportRow> rows = new ArrayList<>();
    byte[] line = next(in);
    for (byte[] after = next(in); after.length > 0; after = next(in)) {
      sum.update(line);
      rows.add(row(line, rows.size() + 2, newest));
      if (rows.size() > MOST_LINES) {
        throw refused(
            Message.of("passport.lines", rows.size()), Message.of("passport.at-most", MOST_LINES));
      }
      line = after;
    }
    Foot foot = parsed(line, Foot.class, rows.size() + 2);
    if (foot.lines() != rows.size()
        || !foot.sha256().equals(HexFormat.of().formatHex(sum.digest()))) {
      throw refused(Message.of("passport.changed"), Message.of("passport.as-written"));
    }
    whole(rows, head);
    return new PassportFile(head.machine(), head.name(), rows);
  }

  private static long megabytes(long bytes) {
    return bytes / 1_000_000;
  }

  private static Head head(byte[] line) {
    Head head;
    try {
      head = parsed(line, Head.class, 1);
    } catch (UnusableReading e) {
      throw refused(Message.of("passport.no-passport"), Message.of("passport.begins"));
    }
    if (!head.format().equals(FORMAT)) {
      throw refused(Message.quoted(head.format()), Message.of("passport.begins"));
    }
    if (head.version() > VERSION || head.version() < 1) {
      throw refused(
          Message.of("passport.version", head.version()), Message.of("passport.versions", VERSION));
    }
    return head;
  }

  private static PassportRow row(byte[] line, int number, int newest) {
    PassportRow row = parsed(line, PassportRow.class, number);
    if (row.parts().size() != 1) {
      throw refused(Message.of("passport.line", number), Message.of("passport.one-part"));
    }
    if (row.version() > newest || row.version() < 1) {
      throw refused(
          Message.of("passport.row-version", number, row.version()),
          Message.of("passport.versions", newest));
    }
    return row;
  }

  /** The machine is described, by the id that the head names, and papers are of its entries. */
  private static void whole(List<PassportRow> rows, Head head) {
    List<Machine> machines =
        rows.stream().flatMap(r -> r.machine().stream()).map(d -> machine(d.body())).toList();
    if (machines.isEmpty() || machines.stream().anyMatch(m -> !m.id().equals(head.machine()))) {
      throw refused(Message.of("passport.other-machine"), Message.of("passport.its-machine"));
    }
    for (PassportRow row : rows) {
      row.entry().ifPresent(e -> named(e.id()));
      row.event().ifPresent(e -> named(e.id()));
    }
  }

  private static void named(String id) {
    if (id.isBlank()) {
      throw refused(Message.of("passport.no-id"), Message.of("passport.an-id"));
    }
  }

  private static Machine machine(String body) {
    try {
      return RecordJson.read(body, Machine.class);
    } catch (UnusableReading e) {
      throw refused(Message.of("passport.machine-unread"), Message.of("passport.its-machine"));
    }
  }

  private static <T extends Record> T parsed(byte[] line, Class<T> type, int number) {
    try {
      return RecordJson.read(line, type, Set.of());
    } catch (UnusableReading | StackOverflowError e) {
      throw refused(Message.of("passport.line", number), Message.of("passport.as-written"));
    }
  }

  private static UnusableReading refused(Message found, Message accepted) {
    return UnusableReading.of(FILE, found, accepted);
  }

  /** The next line with its end; empty behind the last. */
  private static byte[] next(InputStream in) throws IOException {
    ByteArrayOutputStream line = new ByteArrayOutputStream(4096);
    for (int b = in.read(); b >= 0; b = in.read()) {
      line.write(b);
      if (b == '\n') {
        break;
      }
      if (line.size() > MOST_LINE_BYTES) {
        throw refused(
            Message.of("passport.bytes", line.size()),
            Message.of("passport.at-most", MOST_LINE_BYTES));
      }
    }
    return line.toByteArray();
  }
}
