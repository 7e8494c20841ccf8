package zebrawood.devices.controller;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.controller.Corner;
import zebrawood.controller.Settings;

/**
 * A controller that is not there: it takes bytes, keeps them in a buffer of 128, works through its
 * lines in its own time, and answers.
 *
 * <p>Knows settings, status, homing, jog, power words, dwell, alarms, soft reset and unlock. Time
 * is told to it; between two moments it does what a real one would have done. A dwell keeps it
 * busy; settings are taken only while nothing moves. Homing needs switches, at the corner where
 * they sit.
 */
public final class SimulatedController {
  private static final int BUFFER = 128;
  private static final int LONGEST_LINE = 80;
  private static final double HOMING_MM_S = 250;
  private static final byte SOFT_RESET = 0x18;
  private static final Pattern SETTING =
      Pattern.compile("\\$(\\d{1,3})=(-?\\d{1,9}(?:\\.\\d{0,6})?)");
  private static final Pattern JOG = Pattern.compile("\\$J=([A-Z0-9.\\-]+)");
  private static final Pattern WORD = Pattern.compile("([A-Z])(-?\\d+(?:\\.\\d*)?)");
  private static final SortedMap<Integer, String> SHIPPED =
      new TreeMap<>(
          Map.ofEntries(
              Map.entry(0, "10"),
              Map.entry(1, "25"),
              Map.entry(3, "0"),
              Map.entry(10, "1"),
              Map.entry(13, "0"),
              Map.entry(20, "0"),
              Map.entry(21, "0"),
              Map.entry(22, "0"),
              Map.entry(23, "0"),
              Map.entry(30, "1000"),
              Map.entry(31, "0"),
              Map.entry(32, "0"),
              Map.entry(100, "250.000"),
              Map.entry(101, "250.000"),
              Map.entry(110, "500.000"),
              Map.entry(111, "500.000"),
              Map.entry(120, "10.000"),
              Map.entry(121, "10.000"),
              Map.entry(130, "200.000"),
              Map.entry(131, "200.000")));

  /** Where the machine's own switches sit, and how far it travels. */
  public record Frame(double widthMm, double depthMm, boolean switches, Corner switchesAt) {}

  private final SortedMap<Integer, String> settings = new TreeMap<>(SHIPPED);
  private final Frame frame;
  private final Faults faults;
  private final Deque<Byte> unread = new ArrayDeque<>();
  private final StringBuilder line = new StringBuilder();
  private final Deque<Outgoing> outgoing = new ArrayDeque<>();
  private long now;
  private long busyUntil;
  private long outFreeAt;
  private int bytesIn;
  private int bytesOut;
  private String state = "Idle";
  private double xMm;
  private double yMm;
  private double furthestXMm;
  private double furthestYMm;
  private boolean homed;
  private boolean beamOn;
  private long beamSince;
  private long longestBeamNanos;
  private double word;

  /** A byte on its way out, and when it is there. */
  private record Outgoing(byte value, long at) {}

  /**
   * @param set what was set up after it was shipped
   */
  public SimulatedController(Frame frame, Map<Integer, String> set, Faults faults) {
    this.frame = frame;
    this.faults = faults;
    settings.putAll(set);
    if (faults.extra()) {
      settings.put(74, "Workshop net");
      settings.put(300, "Sedge-board");
      settings.put(376, "1");
    }
    greet();
  }

  private void greet() {
    if (faults.junk()) {
      say("\u0000\u00ff\u0007~~$$#\u0080");
    }
    say("\r\nController ready, '$' for help\r\n");
  }

  /** Everything up to this moment has happened. */
  public void advanceTo(long nanos) {
    while (true) {
      long next = Math.max(now, busyUntil);
      if (next > nanos || !workOne(next)) {
        break;
      }
    }
    now = Math.max(now, nanos);
    if (busyUntil <= now && (state.equals("Jog") || state.equals("Home") || state.equals("Run"))) {
      state = "Idle";
    }
  }

  /** Works at one line from the buffer; false when there is none. */
  private boolean workOne(long at) {
    while (!unread.isEmpty()) {
      char c = (char) (unread.poll() & 0xff);
      if (c == '\n' || c == '\r') {
        String whole = line.toString().strip();
        line.setLength(0);
        if (!whole.isEmpty()) {
          now = Math.max(now, at);
          if (busyUntil <= now && !state.equals("Alarm")) {
            state = "Idle";
          }
          obey(whole);
          return true;
        }
      } else if (line.length() <= LONGEST_LINE) {
        line.append(c);
      }
    }
    return false;
  }

  /** A byte arrives; what the buffer cannot keep is lost. */
  public void take(byte value, long at) {
    advanceTo(at);
    byte arrived = value;
    if (faults.garbleIn().isPresent() && faults.garbleIn().getAsInt() == bytesIn) {
      arrived = (byte) (value ^ 0x04);
    }
    bytesIn++;
    if (arrived == '?') {
      say(status());
    } else if (arrived == SOFT_RESET) {
      reset();
    } else if (unread.size() < BUFFER) {
      unread.add(arrived);
    }
  }

  private void reset() {
    boolean moving = busyUntil > now && !state.equals("Idle") && !state.equals("Alarm");
    unread.clear();
    line.setLength(0);
    busyUntil = now;
    beam(false);
    word = 0;
    if (faults.forgets()) {
      settings.clear();
      settings.putAll(SHIPPED);
    }
    state = moving ? "Alarm" : "Idle";
    homed = homed && !moving;
    greet();
    if (moving) {
      say("ALARM:3\r\n");
    }
  }

  private void obey(String command) {
    Matcher setting = SETTING.matcher(command);
    Matcher jog = JOG.matcher(command);
    if (command.length() > LONGEST_LINE) {
      say("error:11\r\n");
    } else if (command.equals("$$")) {
      settings.forEach((number, value) -> say("$" + number + "=" + value + "\r\n"));
      say("ok\r\n");
    } else if (command.equals("$")) {
      say("[HLP:$$ $# $G $I $x=val $J=line $H $X]\r\nok\r\n");
    } else if (command.equals("$X")) {
      state = "Idle";
      say("ok\r\n");
    } else if (command.equals("$H")) {
      home();
    } else if (setting.matches()) {
      set(Integer.parseInt(setting.group(1)), setting.group(2));
    } else if (jog.matches()) {
      jog(jog.group(1));
    } else if (command.startsWith("$")) {
      say("error:3\r\n");
    } else if (state.equals("Alarm")) {
      say("error:9\r\n");
    } else {
      block(command);
    }
  }

  private void set(int number, String value) {
    if (!settings.containsKey(number) || faults.rejects().contains(number)) {
      say("error:3\r\n");
    } else if (number == Settings.SOFT_LIMITS && !value.equals("0") && !isOn(Settings.HOMING)) {
      say("error:10\r\n");
    } else {
      boolean decimals = settings.get(number).contains(".");
      settings.put(
          number, decimals ? String.format(Locale.ROOT, "%.3f", Double.parseDouble(value)) : value);
      if (number == Settings.HOMING && value.equals("0")) {
        settings.put(Settings.SOFT_LIMITS, "0");
      }
      if (number == Settings.LASER_MODE && value.equals("1")) {
        // Following the motion, it is dark while nothing moves.
        beam(false);
      }
      say("ok\r\n");
    }
  }

  private boolean isOn(int setting) {
    return !settings.get(setting).equals("0");
  }

  private void home() {
    if (!isOn(Settings.HOMING)) {
      say("error:5\r\n");
      return;
    }
    int mask = (int) Double.parseDouble(settings.get(Settings.HOMING_DIRECTION));
    if (!frame.switches || Corner.ofMask(mask) != frame.switchesAt) {
      state = "Alarm";
      homed = false;
      say("ALARM:9\r\n");
      return;
    }
    double way = Math.hypot(frame.widthMm, frame.depthMm);
    busyFor(way / HOMING_MM_S, "Home");
    homed = true;
    xMm = frame.switchesAt.left() ? 0 : frame.widthMm;
    yMm = frame.switchesAt.front() ? 0 : frame.depthMm;
    sayAt("ok\r\n", busyUntil);
  }

  private void jog(String words) {
    if (state.equals("Alarm")) {
      say("error:9\r\n");
      return;
    }
    double toX = xMm;
    double toY = yMm;
    double feed = 1000;
    boolean relative = words.contains("G91");
    Matcher m = WORD.matcher(words);
    while (m.find()) {
      double value = Double.parseDouble(m.group(2));
      switch (m.group(1).charAt(0)) {
        case 'X' -> toX = relative ? xMm + value : value;
        case 'Y' -> toY = relative ? yMm + value : value;
        case 'F' -> feed = value;
        default -> {}
      }
    }
    boolean outside =
        toX < 0 || toY < 0 || toX > travel(Settings.TRAVEL_X) || toY > travel(Settings.TRAVEL_Y);
    if (isOn(Settings.SOFT_LIMITS) && homed && outside) {
      say("error:15\r\n");
      return;
    }
    busyFor(Math.hypot(toX - xMm, toY - yMm) / Math.max(1, feed / 60), "Jog");
    xMm = toX;
    yMm = toY;
    furthestXMm = Math.max(furthestXMm, xMm);
    furthestYMm = Math.max(furthestYMm, yMm);
    say("ok\r\n");
  }

  private double travel(int setting) {
    return Double.parseDouble(settings.get(setting));
  }

  private void busyFor(double seconds, String doing) {
    busyUntil = now + Math.round(seconds * 1e9);
    state = doing;
  }

  /** Power words and dwell; the rest of a job's language is passed over. */
  private void block(String command) {
    double newWord = word;
    boolean on = beamOn;
    boolean off = false;
    double dwell = 0;
    boolean dwells = false;
    Matcher m = WORD.matcher(command);
    while (m.find()) {
      double value = Double.parseDouble(m.group(2));
      char letter = m.group(1).charAt(0);
      if (letter == 'S') {
        newWord = value;
      } else if (letter == 'M' && (value == 3 || value == 4)) {
        on = true;
      } else if (letter == 'M' && value == 5) {
        on = false;
        off = true;
      } else if (letter == 'G' && value == 4) {
        dwells = true;
      } else if (letter == 'P') {
        dwell = value;
      }
    }
    word = newWord;
    boolean follows = isOn(Settings.LASER_MODE);
    if (off || on) {
      beam(on && word > 0 && !follows);
    }
    if (dwells) {
      busyFor(dwell, "Run");
      sayAt("ok\r\n", busyUntil);
    } else {
      say("ok\r\n");
    }
  }

  private void beam(boolean on) {
    if (on && !beamOn) {
      beamSince = now;
    }
    if (!on && beamOn) {
      longestBeamNanos = Math.max(longestBeamNanos, now - beamSince);
    }
    beamOn = on;
  }

  private String status() {
    return String.format(
        Locale.ROOT, "<%s|MPos:%.3f,%.3f,0.000|FS:0,%.0f>\r\n", state, xMm, yMm, word);
  }

  private void say(String text) {
    sayAt(text, now);
  }

  private void sayAt(String text, long at) {
    outFreeAt = Math.max(outFreeAt, at);
    for (int i = 0; i < text.length(); i++) {
      outFreeAt += faults.nanosPerByte();
      byte value = (byte) text.charAt(i);
      if (faults.garbleOut().isPresent() && faults.garbleOut().getAsInt() == bytesOut) {
        value = (byte) (value ^ 0x02);
      }
      bytesOut++;
      outgoing.add(new Outgoing(value, outFreeAt));
    }
  }

  /** The next byte that is there at this moment; -1 when none is. */
  public int poll(long at) {
    return !outgoing.isEmpty() && outgoing.peek().at <= at ? outgoing.poll().value & 0xff : -1;
  }

  /** When the next byte is there; {@code Long.MAX_VALUE} when none is on its way. */
  public long nextByteAt() {
    return outgoing.isEmpty() ? Long.MAX_VALUE : outgoing.peek().at;
  }

  /** When its dwell or motion ends and it looks at the next line; max when nothing waits. */
  long nextWorkAt() {
    return unread.isEmpty() ? Long.MAX_VALUE : Math.max(now, busyUntil);
  }

  public Faults faults() {
    return faults;
  }

  /** What is in it, for tests and for scoring a practice. */
  public Settings settings() {
    return new Settings(settings);
  }

  /** Where the head stands, or will when it has moved: right and rear. */
  public List<Double> placeMm() {
    return List.of(xMm, yMm);
  }

  /** How far to the right and to the rear it was sent so far. */
  public List<Double> furthestMm() {
    return List.of(furthestXMm, furthestYMm);
  }

  public boolean beamOn() {
    return beamOn;
  }

  /** The longest pulse so far. */
  public long longestBeamNanos() {
    return longestBeamNanos;
  }

  public double word() {
    return word;
  }
}
