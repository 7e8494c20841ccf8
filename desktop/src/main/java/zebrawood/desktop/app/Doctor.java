package zebrawood.desktop.app;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.slf4j.LoggerFactory;
import zebrawood.desktop.text.DayWords;
import zebrawood.devices.controller.SerialLine;
import zebrawood.records.paper.Paper;
import zebrawood.records.workshop.Soundness;
import zebrawood.words.Message;

/** Looks at what the program needs of this computer, and changes nothing. */
final class Doctor {
  private static final int JAVA = 25;
  private static final long LEAST_FREE_BYTES = 500_000_000;
  private static final long BYTES_OF_A_MEGABYTE = 1_000_000;
  private static final Duration SAME_DAY = Duration.ofDays(1);

  private final Path workshop;
  private final Clock clock;
  private final List<Path> ports;

  /** How it is with one of them. */
  enum State {
    FINE,
    /** Nobody could look, or there is nothing to look at. */
    UNKNOWN,
    LOOK
  }

  /**
   * One thing that was looked at.
   *
   * @param what its name
   * @param said what was found, and what to do where it is not in order
   */
  record Check(Message what, State state, Message said) {}

  Doctor(Path workshop, Clock clock, List<Path> ports) {
    this.workshop = workshop.toAbsolutePath();
    this.clock = clock;
    this.ports = List.copyOf(ports);
  }

  /** Of this computer, with its serial ports. */
  static Doctor here(Path workshop, Clock clock) {
    List<Path> ports;
    try {
      ports = SerialLine.names().stream().map(Path::of).toList();
    } catch (RuntimeException | LinkageError e) {
      LoggerFactory.getLogger(Doctor.class).error("serial ports", e);
      ports = List.of();
    }
    return new Doctor(workshop, clock, ports);
  }

  List<Check> checks() {
    List<Check> all = new ArrayList<>();
    all.add(java());
    all.add(typeface());
    all.add(display());
    all.add(serial());
    all.add(sound());
    all.add(disk());
    all.add(time());
    return all;
  }

  private static Check check(String what, State state, String said, Object... arguments) {
    return new Check(
        Message.of("console.doctor." + what),
        state,
        Message.of("console.doctor." + what + "." + said, arguments));
  }

  private static Check java() {
    Runtime.Version version = Runtime.version();
    return check(
        "java",
        version.feature() >= JAVA ? State.FINE : State.LOOK,
        version.feature() >= JAVA ? "fine" : "old",
        Message.quoted(version.toString()),
        JAVA);
  }

  private static Check typeface() {
    for (String weight : Paper.TYPEFACE) {
      try (InputStream in = Paper.class.getResourceAsStream(weight)) {
        if (in == null) {
          return check("typeface", State.LOOK, "missing");
        }
        Font.createFont(Font.TRUETYPE_FONT, in);
      } catch (IOException | FontFormatException e) {
        LoggerFactory.getLogger(Doctor.class).error("typeface", e);
        return check("typeface", State.LOOK, "missing");
      }
    }
    return check("typeface", State.FINE, "fine");
  }

  private static Check display() {
    return Display.isThere()
        ? check("display", State.FINE, "fine")
        : check("display", State.LOOK, "none");
  }

  /** A port that may not be opened is told with the group whose members may. */
  private Check serial() {
    if (ports.isEmpty()) {
      return check("serial", State.UNKNOWN, "none");
    }
    List<Message> shut = new ArrayList<>();
    String group = "";
    for (Path port : ports) {
      boolean device = port.isAbsolute() && Files.exists(port);
      if (device && !(Files.isReadable(port) && Files.isWritable(port))) {
        shut.add(Message.quoted(port.toString()));
        group = group.isEmpty() ? groupOf(port) : group;
      }
    }
    return shut.isEmpty()
        ? check(
            "serial",
            State.FINE,
            "fine",
            Message.list(ports.stream().map(p -> Message.quoted(p.toString())).toList()))
        : check("serial", State.LOOK, "shut", Message.list(shut), Message.quoted(group));
  }

  private static String groupOf(Path port) {
    try {
      return String.valueOf(Files.getAttribute(port, "posix:group"));
    } catch (IOException | UnsupportedOperationException | IllegalArgumentException e) {
      LoggerFactory.getLogger(Doctor.class).error("group", e);
      return "?";
    }
  }

  private Check sound() {
    if (!Files.exists(workshop)) {
      return check("workshop", State.UNKNOWN, "none", Message.quoted(workshop.toString()));
    }
    return switch (Soundness.of(workshop)) {
      case Soundness.Sound(int machines, int entries, int events) ->
          check("workshop", State.FINE, "fine", machines, entries, events);
      case Soundness.Unsound(boolean damaged, Message because) ->
          new Check(Message.of("console.doctor.workshop"), State.LOOK, because);
    };
  }

  private Check disk() {
    Path there = workshop.getParent();
    while (there != null && !Files.isDirectory(there)) {
      there = there.getParent();
    }
    if (there == null) {
      return check("disk", State.LOOK, "no-folder");
    }
    if (!Files.isWritable(there)) {
      return check("disk", State.LOOK, "shut", Message.quoted(there.toString()));
    }
    try {
      long free = Files.getFileStore(there).getUsableSpace();
      return check(
          "disk",
          free < LEAST_FREE_BYTES ? State.LOOK : State.FINE,
          free < LEAST_FREE_BYTES ? "full" : "fine",
          free / BYTES_OF_A_MEGABYTE,
          Message.quoted(there.toString()));
    } catch (IOException e) {
      LoggerFactory.getLogger(Doctor.class).error("disk", e);
      return check("disk", State.UNKNOWN, "unknown", Message.quoted(there.toString()));
    }
  }

  /** A clock is behind where the workshop was written later than it says now. */
  private Check time() {
    Instant now = clock.instant();
    String day = DayWords.dayAndTime(now, clock.getZone());
    String zone = clock.getZone().toString();
    try {
      Instant written =
          Files.exists(workshop) ? Files.getLastModifiedTime(workshop).toInstant() : Instant.MIN;
      boolean behind =
          written.isAfter(now.plus(SAME_DAY))
              || LocalDate.ofInstant(now, clock.getZone()).getYear() < FIRST_YEAR;
      return check(
          "clock", behind ? State.LOOK : State.FINE, behind ? "behind" : "fine", day, zone);
    } catch (IOException e) {
      LoggerFactory.getLogger(Doctor.class).error("clock", e);
      return check("clock", State.UNKNOWN, "fine", day, zone);
    }
  }

  /** No copy of this program is older. */
  private static final int FIRST_YEAR = 2026;

  /** The system it runs on, for a report. */
  static String system() {
    return String.join(
            " ",
            System.getProperty("os.name"),
            System.getProperty("os.version"),
            System.getProperty("os.arch"),
            Locale.getDefault().toLanguageTag())
        .strip();
  }
}
