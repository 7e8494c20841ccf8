package zebrawood.devices.controller;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import zebrawood.controller.Settings;
import zebrawood.devices.controller.LinkTrouble.Kind;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * A controller with numbered settings, over any port.
 *
 * <p>One line is on its way at a time, so that its buffer never runs over. A dump is read until two
 * readings in a row agree: a garbled byte in a figure would otherwise be believed.
 */
public final class LineController implements ControllerLink {
  private static final byte SOFT_RESET = 0x18;
  private static final byte STATUS = '?';
  private static final Duration POLL = Duration.ofMillis(40);

  /** Without a byte for so long it is silent, however long the answer is. */
  private static final Duration SILENCE = Duration.ofSeconds(3);

  private static final Duration GREETING = Duration.ofMillis(1500);
  private static final Duration ANSWER = Duration.ofSeconds(5);
  private static final Duration WHOLE_DUMP = Duration.ofMinutes(20);
  private static final int LONGEST_LINE = 256;
  private static final int MOST_LINES = 2000;
  private static final int TRIES = 5;

  /** A controller keeps so many bytes that it has not yet looked at. */
  static final int BUFFER = 120;

  private final Port port;
  private final BooleanSupplier cancelled;
  private boolean finishing;
  private final StringBuilder coming = new StringBuilder();

  /**
   * @param cancelled asked while waiting; a wait ends soon after it says so
   */
  public LineController(Port port, BooleanSupplier cancelled) {
    this.port = port;
    this.cancelled = cancelled;
  }

  @Override
  public Status connect() throws LinkTrouble {
    // Many start anew when the port is opened, and greet.
    long end = port.nanos() + GREETING.toNanos();
    while (port.nanos() < end) {
      checkCancelled();
      receive();
    }
    coming.setLength(0);
    LinkTrouble last = new LinkTrouble(Kind.SILENT, Message.of("controller.trouble.silent"));
    for (int i = 0; i < TRIES; i++) {
      try {
        Status status = status();
        if (status.busy()) {
          throw new LinkTrouble(Kind.BUSY, Message.of("controller.trouble.busy"));
        }
        return status;
      } catch (LinkTrouble e) {
        if (e.kind() != Kind.SILENT && e.kind() != Kind.GARBLED) {
          throw e;
        }
        last = e;
      }
    }
    throw last;
  }

  @Override
  public Status status() throws LinkTrouble {
    write(new byte[] {STATUS});
    long end = port.nanos() + ANSWER.toNanos();
    for (int i = 0; i < MOST_LINES; i++) {
      Optional<Status> status = Status.parse(line(end));
      if (status.isPresent()) {
        return status.get();
      }
    }
    throw new LinkTrouble(Kind.GARBLED, Message.of("controller.trouble.no-state"));
  }

  @Override
  public Settings readSettings() throws LinkTrouble {
    Optional<Settings> before = Optional.empty();
    for (int i = 0; i < TRIES; i++) {
      Optional<Settings> now = dump();
      if (now.isPresent() && now.equals(before)) {
        return now.get();
      }
      before = now;
    }
    throw new LinkTrouble(Kind.GARBLED, Message.of("controller.trouble.garbled"));
  }

  private Optional<Settings> dump() throws LinkTrouble {
    discard();
    write("$$\n".getBytes(StandardCharsets.US_ASCII));
    long end = port.nanos() + WHOLE_DUMP.toNanos();
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < MOST_LINES; i++) {
      String line;
      try {
        line = line(end);
      } catch (LinkTrouble e) {
        if (e.kind() == Kind.SILENT && !text.isEmpty()) {
          return Optional.empty();
        }
        throw e;
      }
      if (line.equals("ok")) {
        try {
          return Optional.of(Settings.parse(text.toString()));
        } catch (UnusableReading e) {
          return Optional.empty();
        }
      }
      if (line.startsWith("error:")) {
        throw new LinkTrouble(
            Kind.REJECTED, Message.of("controller.trouble.no-settings", Message.quoted(line)));
      }
      text.append(line).append('\n');
    }
    return Optional.empty();
  }

  @Override
  public void send(String line, Duration atMost) throws LinkTrouble {
    sendTogether(List.of(line), atMost);
  }

  @Override
  public void sendTogether(List<String> lines, Duration atMost) throws LinkTrouble {
    byte[] bytes = (String.join("\n", lines) + "\n").getBytes(StandardCharsets.US_ASCII);
    if (bytes.length > BUFFER) {
      throw new IllegalArgumentException("more than the controller keeps: " + bytes.length);
    }
    discard();
    write(bytes);
    long end = port.nanos() + atMost.toNanos();
    List<String> rejected = new ArrayList<>();
    for (int answered = 0, i = 0; answered < lines.size() && i < MOST_LINES; i++) {
      String line = lineWithin(end, atMost);
      if (line.equals("ok")) {
        answered++;
      } else if (line.startsWith("error:")) {
        answered++;
        rejected.add(line);
      } else if (line.startsWith("ALARM:")) {
        throw new LinkTrouble(
            Kind.ALARM, Message.of("controller.trouble.alarm", Alarms.said(line)));
      }
    }
    if (!rejected.isEmpty()) {
      throw new LinkTrouble(
          Kind.REJECTED,
          Message.of("controller.trouble.rejected", Alarms.said(rejected.getFirst())));
    }
  }

  /** Waits for slow work, such as homing, without a byte coming meanwhile. */
  private String lineWithin(long end, Duration atMost) throws LinkTrouble {
    long silence = Math.max(SILENCE.toNanos(), atMost.toNanos());
    return line(end, silence);
  }

  @Override
  public void softReset() throws LinkTrouble {
    write(new byte[] {SOFT_RESET});
    long end = port.nanos() + GREETING.toNanos();
    while (port.nanos() < end) {
      receive();
    }
    coming.setLength(0);
  }

  @Override
  public boolean cancelled() {
    return cancelled.getAsBoolean();
  }

  @Override
  public void mustFinish() {
    finishing = true;
  }

  private void checkCancelled() throws LinkTrouble {
    if (!finishing && cancelled.getAsBoolean()) {
      throw new LinkTrouble(Kind.CANCELLED, Message.of("controller.trouble.cancelled"));
    }
  }

  private String line(long end) throws LinkTrouble {
    return line(end, SILENCE.toNanos());
  }

  /** The next line that is not empty. */
  private String line(long end, long silenceNanos) throws LinkTrouble {
    long lastByte = port.nanos();
    while (true) {
      int at = newLine();
      if (at >= 0) {
        String line = coming.substring(0, at).strip();
        coming.delete(0, at + 1);
        if (!line.isEmpty()) {
          return line;
        }
        continue;
      }
      checkCancelled();
      if (receive()) {
        lastByte = port.nanos();
      }
      if (port.nanos() - lastByte > silenceNanos || port.nanos() > end) {
        throw new LinkTrouble(Kind.SILENT, Message.of("controller.trouble.silent"));
      }
    }
  }

  private int newLine() {
    int at = coming.indexOf("\n");
    if (at < 0 && coming.length() > LONGEST_LINE) {
      coming.setLength(0);
    }
    return at;
  }

  private boolean receive() throws LinkTrouble {
    try {
      byte[] bytes = port.read(POLL);
      for (byte b : bytes) {
        coming.append((char) (b & 0xff));
      }
      return bytes.length > 0;
    } catch (IOException e) {
      throw lost(e);
    }
  }

  /** What came late belongs to a question before. */
  private void discard() throws LinkTrouble {
    try {
      while (port.read(Duration.ZERO).length > 0) {
        checkCancelled();
      }
    } catch (IOException e) {
      throw lost(e);
    }
    coming.setLength(0);
  }

  private void write(byte[] bytes) throws LinkTrouble {
    try {
      port.write(bytes);
    } catch (IOException e) {
      throw lost(e);
    }
  }

  private static LinkTrouble lost(IOException e) {
    LinkTrouble trouble = new LinkTrouble(Kind.LOST, Message.of("controller.trouble.lost"));
    trouble.initCause(e);
    return trouble;
  }

  @Override
  public void close() {
    port.close();
  }
}
