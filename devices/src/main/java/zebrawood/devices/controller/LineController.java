package zebrawood.devices.controller;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import zebrawood.controller.Dialect;
import zebrawood.controller.LinePattern;
import zebrawood.controller.Settings;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.Write;
import zebrawood.devices.controller.LinkTrouble.Kind;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * A controller that is talked to in lines, in any dialect, over any port.
 *
 * <p>One exchange is on its way at a time, so that its buffer never runs over. Settings are read
 * until two readings in a row agree: a garbled byte in a figure would otherwise be believed. Before
 * each, it is asked for its state, and what comes before that answer belongs to an earlier
 * question. Every exchange ends after so many seconds and so many bytes, whatever comes: a peer
 * that floods, never ends a line, or trickles holds nothing up for longer.
 */
public final class LineController implements ControllerLink {
  private static final Duration POLL = Duration.ofMillis(40);

  /** Without a byte for so long it is silent. */
  private static final Duration SILENCE = Duration.ofSeconds(3);

  private static final Duration GREETING = Duration.ofMillis(1500);

  /** Old input is passed over for no longer. */
  private static final Duration DISCARD = Duration.ofMillis(500);

  private static final Duration STOPPING = Duration.ofSeconds(10);
  private static final int MOST_DISCARDED_BYTES = 65_536;
  private static final int MOST_BYTES = 262_144;
  private static final int TRIES = 5;

  /** For all tries of connecting together, and for all readings of the settings together. */
  private static final Duration ALL_TRIES = Duration.ofSeconds(60);

  /** What must be brought to its end is waited for no longer once somebody cancelled. */
  private static final Duration AFTER_CANCEL = Duration.ofSeconds(5);

  /** A controller keeps so many bytes that it has not yet looked at. */
  static final int BUFFER = 120;

  private final Port port;
  private final Dialect dialect;
  private final WireSyntax talk;
  private final Optional<LinePattern> stateLine;
  private final BooleanSupplier cancelled;
  private final ComingLines coming = new ComingLines();
  private boolean finishing;

  /** Whether what must be finished is given up a moment after somebody cancelled. */
  private boolean soon;

  private long cancelledAt = Long.MAX_VALUE;

  /** When all tries of what is done now are over. */
  private long allEnd = Long.MAX_VALUE;

  /** Whether a line of an answer was passed over that nobody waited for. */
  private boolean late;

  /** The last alarm that came unasked; what it means is not in the state. */
  private Optional<Message> toldAlarm = Optional.empty();

  /** What one exchange may still take. */
  private final class Bound {
    private final long end;
    private final long silenceNanos;
    private int bytes;

    Bound(Duration atMost, Duration silence) {
      end = Math.min(port.nanos() + atMost.toNanos(), allEnd);
      silenceNanos = silence.toNanos();
    }

    boolean over(long lastByte) {
      return port.nanos() > end || port.nanos() - lastByte > silenceNanos || bytes > MOST_BYTES;
    }
  }

  /**
   * @param dialect with its talk
   * @param cancelled asked while waiting; a wait ends soon after it says so
   */
  public LineController(Port port, Dialect dialect, BooleanSupplier cancelled) {
    this.port = port;
    this.dialect = dialect;
    this.cancelled = cancelled;
    talk =
        dialect
            .talk()
            .orElseThrow(() -> new IllegalArgumentException("nobody said how it is talked to"));
    stateLine = talk.stateLine().map(LinePattern::of);
  }

  /** Whether the controller keeps all of it, however busy it is. */
  static boolean fits(List<String> texts) {
    return texts.stream().mapToInt(String::length).sum() <= BUFFER;
  }

  @Override
  public Dialect dialect() {
    return dialect;
  }

  private Duration longestAnswer() {
    return Duration.ofMillis(Math.round(talk.longestAnswerS() * 1000));
  }

  @Override
  public Status connect() throws LinkTrouble {
    // Many start anew when the port is opened, and greet.
    long end = port.nanos() + GREETING.toNanos();
    for (int bytes = 0; port.nanos() < end && bytes < MOST_DISCARDED_BYTES; ) {
      checkCancelled();
      bytes += receive();
    }
    coming.takeAll();
    return inTime(this::firstStatus);
  }

  /** All tries together end in time. */
  private <T> T inTime(Tried<T> tried) throws LinkTrouble {
    long before = allEnd;
    allEnd = Math.min(before, port.nanos() + ALL_TRIES.toNanos());
    try {
      return tried.run();
    } finally {
      allEnd = before;
    }
  }

  private Status firstStatus() throws LinkTrouble {
    LinkTrouble last = silent();
    for (int i = 0; i < TRIES && port.nanos() < allEnd; i++) {
      try {
        Status status = status();
        if (status.busy()) {
          throw new LinkTrouble(
              Kind.BUSY, Message.of("controller.trouble.busy", Message.quoted(status.state())));
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
    String ask = talk.askState().orElseThrow(this::cannotAsk);
    LinePattern pattern = stateLine.orElseThrow(this::cannotAsk);
    write(talk.sent(ask, Map.of()));
    Bound bound = new Bound(longestAnswer(), SILENCE);
    StringBuilder before = new StringBuilder();
    while (true) {
      String line = line(bound);
      Optional<Status> status = Status.read(line, pattern, talk);
      if (status.isPresent()) {
        passOver(before.toString());
        return status.get();
      }
      before.append(line).append('\n');
    }
  }

  /** Lines that answer nothing that was asked now. */
  private void passOver(String text) {
    for (String line : text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList()) {
      toldAlarm =
          talk.alarm(line).map(meant -> LinkTrouble.answered(meant, line)).or(() -> toldAlarm);
      late = late || talk.ends(line);
    }
    late = late || !Settings.lines(text, dialect).isEmpty();
  }

  private LinkTrouble cannotAsk() {
    return new LinkTrouble(Kind.REJECTED, Message.of("controller.trouble.cannot-ask-state"));
  }

  @Override
  public Settings readSettings() throws LinkTrouble {
    return inTime(this::settingsReadTwice);
  }

  private Settings settingsReadTwice() throws LinkTrouble {
    letPass();
    Optional<List<String>> before = Optional.empty();
    for (int i = 0; i < TRIES && port.nanos() < allEnd; i++) {
      Optional<List<String>> now = dump();
      if (now.isPresent() && now.equals(before)) {
        try {
          return Settings.parse(String.join("\n", now.get()), dialect);
        } catch (UnusableReading e) {
          throw new LinkTrouble(
              Kind.REJECTED,
              Message.of("controller.trouble.no-settings", Message.quoted(e.getMessage())));
        }
      }
      before = now;
    }
    throw new LinkTrouble(Kind.GARBLED, Message.of("controller.trouble.garbled"));
  }

  /** What still comes of an earlier question comes before its state. */
  private void letPass() throws LinkTrouble {
    discard();
    if (talk.askState().isPresent() && stateLine.isPresent()) {
      status();
      // Some acknowledge that question too, behind its answer; it ends no list.
      boolean before = late;
      discard();
      late = before;
    }
  }

  /**
   * The lines that set something, all of them in their order: a line of an earlier answer between
   * them makes it another list. Empty where the answer has none or no end, or where more of it came
   * after what looked like its end.
   */
  private Optional<List<String>> dump() throws LinkTrouble {
    write(talk.sent(talk.askSettings(), Map.of()));
    Bound bound = new Bound(longestAnswer(), SILENCE);
    StringBuilder text = new StringBuilder();
    while (true) {
      String line;
      try {
        line = line(bound);
      } catch (LinkTrouble e) {
        if (e.kind() == Kind.SILENT && !text.isEmpty()) {
          return Optional.empty();
        }
        throw e;
      }
      if (talk.ends(line)) {
        late = false;
        letPass();
        return Optional.of(Settings.lines(text.toString(), dialect))
            .filter(lines -> !lines.isEmpty() && !late);
      }
      Optional<WireSyntax.RefusalText> refusal = talk.refusal(line);
      if (refusal.isPresent()) {
        throw new LinkTrouble(
            Kind.REJECTED,
            Message.of(
                "controller.trouble.no-settings", LinkTrouble.answered(refusal.get(), line)));
      }
      text.append(line).append('\n');
    }
  }

  @Override
  public void write(Write write) throws LinkTrouble {
    send(List.of(write.line() + talk.endOfLine().sent()), longestAnswer());
  }

  @Override
  public void send(List<String> texts, Duration atMost) throws LinkTrouble {
    toldAlarm = Optional.empty();
    String all = String.join("", texts);
    if (!fits(texts)) {
      throw new IllegalArgumentException("more than the controller keeps: " + all.length());
    }
    int asked = (int) texts.stream().filter(t -> t.endsWith(talk.endOfLine().sent())).count();
    discard();
    write(all);
    Bound bound = new Bound(atMost, atMost);
    Optional<Message> refused = Optional.empty();
    for (int answered = 0; answered < asked; ) {
      String line = line(bound);
      Optional<WireSyntax.RefusalText> refusal = talk.refusal(line);
      Optional<WireSyntax.RefusalText> alarm = talk.alarm(line);
      if (refusal.isPresent()) {
        answered++;
        refused = refused.or(() -> Optional.of(LinkTrouble.answered(refusal.get(), line)));
      } else if (alarm.isPresent()) {
        throw new LinkTrouble(
            Kind.ALARM,
            Message.of("controller.trouble.alarm", LinkTrouble.answered(alarm.get(), line)));
      } else if (talk.ends(line)) {
        answered++;
      }
    }
    if (refused.isPresent()) {
      throw new LinkTrouble(
          Kind.REJECTED, Message.of("controller.trouble.rejected", refused.get()));
    }
  }

  @Override
  public Status stopMotion() throws LinkTrouble {
    boolean before = finishing;
    finishing = true;
    try {
      for (Optional<String> command : List.of(talk.hold(), talk.cancelMotion())) {
        if (command.isPresent()) {
          write(talk.sent(command.get(), Map.of()));
        }
      }
      return untilItStands(STOPPING, "controller.trouble.still-moves");
    } finally {
      finishing = before;
    }
  }

  @Override
  public Status untilItStands(Duration atMost) throws LinkTrouble {
    return untilItStands(atMost, "controller.motion.too-long");
  }

  private Status untilItStands(Duration atMost, String otherwise) throws LinkTrouble {
    long end = port.nanos() + atMost.toNanos();
    while (port.nanos() < end) {
      Status status = status();
      if (status.alarm() && toldAlarm.isPresent()) {
        throw new LinkTrouble(Kind.ALARM, Message.of("controller.trouble.alarm", toldAlarm.get()));
      }
      if (!status.busy()) {
        return status;
      }
      checkCancelled();
      pause();
    }
    throw new LinkTrouble(Kind.SILENT, Message.of(otherwise));
  }

  /** Leaves it alone for a moment between two questions. */
  private void pause() throws LinkTrouble {
    long end = port.nanos() + POLL.toNanos();
    while (port.nanos() < end) {
      receive();
    }
  }

  @Override
  public boolean cancelled() {
    return cancelled.getAsBoolean();
  }

  @Override
  public void mustFinish() {
    finishing = true;
  }

  @Override
  public void finishSoon() {
    finishing = true;
    soon = true;
  }

  private void checkCancelled() throws LinkTrouble {
    if (!cancelled.getAsBoolean()) {
      return;
    }
    cancelledAt = Math.min(cancelledAt, port.nanos());
    if (!finishing || soon && port.nanos() - cancelledAt > AFTER_CANCEL.toNanos()) {
      throw new LinkTrouble(Kind.CANCELLED, Message.of("controller.trouble.cancelled"));
    }
  }

  private static LinkTrouble silent() {
    return new LinkTrouble(Kind.SILENT, Message.of("controller.trouble.silent"));
  }

  /** The next line that is not empty. */
  private String line(Bound bound) throws LinkTrouble {
    long lastByte = port.nanos();
    while (true) {
      Optional<String> next = coming.next();
      if (next.isPresent()) {
        if (!next.get().isEmpty()) {
          return next.get();
        }
        continue;
      }
      checkCancelled();
      int count = receive();
      if (count > 0) {
        lastByte = port.nanos();
        bound.bytes += count;
      }
      if (bound.over(lastByte)) {
        throw silent();
      }
    }
  }

  private int receive() throws LinkTrouble {
    try {
      byte[] bytes = port.read(POLL);
      coming.add(bytes);
      return bytes.length;
    } catch (IOException e) {
      throw lost(e);
    }
  }

  /**
   * Waits for a moment's quiet: what came late belongs to a question before. A peer that never ends
   * is not waited for.
   */
  private void discard() throws LinkTrouble {
    long end = port.nanos() + DISCARD.toNanos();
    for (int bytes = 0; bytes < MOST_DISCARDED_BYTES && port.nanos() < end; ) {
      int count = receive();
      if (count == 0) {
        break;
      }
      bytes += count;
      checkCancelled();
    }
    passOver(coming.takeAll());
  }

  private void write(String text) throws LinkTrouble {
    try {
      port.write(text.getBytes(StandardCharsets.ISO_8859_1));
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
