package zebrawood.devices.controller;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.Corner;
import zebrawood.controller.Dialect;
import zebrawood.controller.LinePattern;
import zebrawood.controller.Printed;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.Write;

/**
 * A controller that is not there, in any dialect: it takes bytes, keeps some hundred in a buffer,
 * works through its lines in its own time, and answers.
 *
 * <p>Knows settings, state, homing, moves, power words, a wait, alarms. Time is told to it; between
 * two moments it does what a real one would have done. A wait keeps it busy; settings are taken
 * only while nothing moves. Homing needs switches, at the corner where they sit. State, hold,
 * cancel and stop are taken at once, whatever it does.
 */
public final class SimulatedController {
  private static final int BUFFER = 360;
  private static final int LONGEST_LINE = 110;
  private static final double HOMING_MM_S = 160;

  /** Why it refuses; the first refusals of a dialect mean these. */
  private enum Refusal {
    UNKNOWN,
    NOT_BEFORE_HOMING,
    TOO_LONG,
    LOCKED,
    OUTSIDE,
    HOMING_OFF
  }

  private static final int NO_SWITCH = 0;
  private static final int STOPPED = 1;

  /** Where the machine's own switches sit, and how far it travels. */
  public record Frame(double widthMm, double depthMm, boolean switches, Corner switchesAt) {}

  /** What it does. */
  private enum Doing {
    NOTHING,
    MOVING,
    WAITING,
    ALARM
  }

  private final Dialect dialect;
  private final WireSyntax talk;
  private final String endOfLine;
  private final SimulatedMemory memory;
  private final Frame frame;
  private final Faults faults;
  private final Deque<String> unread = new ArrayDeque<>();
  private final StringBuilder arriving = new StringBuilder();
  private final SimulatedAnswers out;
  private long now;
  private long busyUntil;
  private int bytesIn;
  private int kept;
  private Doing doing = Doing.NOTHING;
  private boolean held;
  private final SimulatedMotion motion = new SimulatedMotion();
  private int obeyed;
  private boolean homed;
  private final SimulatedBeam beam = new SimulatedBeam();

  /**
   * @param dialect with its talk
   * @param set what was set up after it was shipped: numbers as printed, choices by their meaning
   */
  public SimulatedController(Frame frame, Dialect dialect, Map<Role, String> set, Faults faults) {
    this.frame = frame;
    this.dialect = dialect;
    this.faults = faults;
    out = new SimulatedAnswers(faults.wire());
    talk = dialect.talk().orElseThrow();
    endOfLine = talk.endOfLine().sent();
    memory = new SimulatedMemory(dialect, faults.extra());
    set.forEach(memory::put);
    greet();
  }

  private void greet() {
    if (faults.junk()) {
      say("\u0000\u00ff\u0007~~##\u0080");
    }
    say(endOfLine + dialect.name() + endOfLine);
  }

  /** Everything up to this moment has happened. */
  public void advanceTo(long nanos) {
    while (true) {
      long next = Math.max(now, busyUntil);
      if (next > nanos || held || unread.isEmpty()) {
        break;
      }
      now = next;
      rest();
      String line = unread.poll();
      kept -= line.length() + 1;
      obey(line);
    }
    now = Math.max(now, nanos);
    rest();
  }

  private void rest() {
    if (!held && busyUntil <= now && doing != Doing.ALARM) {
      doing = Doing.NOTHING;
    }
  }

  /** A byte arrives; what the buffer cannot keep is lost. */
  public void take(byte value, long at) {
    advanceTo(at);
    byte arrived = value;
    if (faults.wire().in().garbleAt().isPresent()
        && faults.wire().in().garbleAt().getAsInt() == bytesIn) {
      arrived = (byte) (value ^ 0x04);
    }
    bytesIn++;
    char c = (char) (arrived & 0xff);
    if (atOnce(String.valueOf(c))) {
      return;
    }
    if (c == '\n' || c == '\r') {
      String line = arriving.toString().strip();
      arriving.setLength(0);
      if (!line.isEmpty() && !atOnce(line + WireSyntax.END)) {
        unread.add(line);
        kept += line.length() + 1;
        advanceTo(at);
      }
    } else if (kept + arriving.length() < BUFFER) {
      arriving.append(c);
    }
  }

  private boolean is(Optional<String> command, String given) {
    return command.filter(given::equals).isPresent();
  }

  /** What is done whatever it does besides. */
  private boolean atOnce(String command) {
    if (is(talk.askState(), command)) {
      say(state() + endOfLine);
    } else if (is(talk.stopNow(), command)) {
      stop();
    } else if (is(talk.hold(), command)) {
      hold();
    } else if (is(talk.cancelMotion(), command)) {
      drop();
    } else {
      return false;
    }
    return true;
  }

  private void stop() {
    boolean moving = busyUntil > now && doing == Doing.MOVING;
    standWhereItIs();
    unread.clear();
    kept = 0;
    arriving.setLength(0);
    busyUntil = now;
    held = false;
    beam.dark(now);
    if (faults.forgets()) {
      memory.ship();
    }
    doing = moving ? Doing.ALARM : Doing.NOTHING;
    homed = homed && !moving;
    greet();
    if (moving) {
      alarm(STOPPED);
    }
  }

  private void hold() {
    if (busyUntil > now && doing == Doing.MOVING) {
      standWhereItIs();
      held = true;
    }
  }

  private void drop() {
    if (held) {
      held = false;
      busyUntil = now;
      unread.clear();
      kept = 0;
      doing = Doing.NOTHING;
    }
  }

  private void standWhereItIs() {
    if (doing == Doing.MOVING) {
      motion.stop(now, busyUntil);
    }
  }

  private void obey(String command) {
    if (++obeyed % Faults.LATE_EVERY == 0) {
      out.late(now);
    }
    Optional<Write> set = memory.written(command);
    Optional<Map<String, String>> go = read(talk.jog(), command);
    String line = command + WireSyntax.END;
    if (command.length() > LONGEST_LINE) {
      refuse(Refusal.TOO_LONG);
    } else if (line.equals(talk.askSettings())) {
      print();
    } else if (is(talk.clearAlarm(), line)) {
      doing = Doing.NOTHING;
      say(talk.ends().getFirst() + endOfLine);
    } else if (is(talk.home(), line)) {
      home();
    } else if (set.isPresent()) {
      set(set.get());
    } else if (doing == Doing.ALARM) {
      refuse(Refusal.LOCKED);
    } else if (go.isPresent()) {
      go(go.get());
    } else {
      burn(command, line);
    }
  }

  private void print() {
    LinePattern pattern = LinePattern.of(dialect.settingLine());
    String remark = dialect.remark().map(r -> "   " + r.getFirst() + " as set").orElse("");
    memory
        .printed()
        .forEach((key, value) ->
            say(pattern.filled(Map.of("key", key, "value", value)) + remark + endOfLine));
    done();
  }

  private void done() {
    say(talk.ends().getFirst() + endOfLine);
  }

  private void refuse(Refusal why) {
    List<WireSyntax.RefusalText> all = talk.refusals();
    if (!all.isEmpty()) {
      say(all.get(Math.min(why.ordinal(), all.size() - 1)).begins() + endOfLine);
    }
  }

  private void alarm(int which) {
    List<WireSyntax.RefusalText> all = talk.alarms();
    if (!all.isEmpty()) {
      say(all.get(Math.min(which, all.size() - 1)).begins() + endOfLine);
    }
  }

  private static Optional<Map<String, String>> read(Optional<String> command, String line) {
    return command.flatMap(c -> LinePattern.of(WireSyntax.words(c)).read(line));
  }

  private void set(Write write) {
    Optional<Role> role = memory.role(write.key());
    Optional<String> meaning = role.flatMap(r -> dialect.meaning(r, write.value()));
    OptionalDouble number = Printed.number(write.value());
    boolean choice = role.filter(Role::isChoice).isPresent();
    boolean usable = choice ? meaning.isPresent() : number.isPresent() || role.isEmpty();
    if (!usable || role.filter(faults.rejects()::contains).isPresent()) {
      refuse(Refusal.UNKNOWN);
      return;
    }
    if (role.equals(Optional.of(Role.SOFT_LIMITS))
        && meaning.equals(Optional.of(Role.ON))
        && !on(Role.HOMING)) {
      refuse(Refusal.NOT_BEFORE_HOMING);
      return;
    }
    memory.set(write, !choice);
    if (role.equals(Optional.of(Role.HOMING)) && meaning.equals(Optional.of(Role.OFF))) {
      memory.put(Role.SOFT_LIMITS, Role.OFF);
    }
    if (role.equals(Optional.of(Role.LASER_FOLLOWS_MOTION)) && on(Role.LASER_FOLLOWS_MOTION)) {
      // Following the motion, it is dark while nothing moves.
      beam.off(now);
    }
    done();
  }

  private boolean on(Role role) {
    return settings().is(role, Role.ON);
  }

  private void home() {
    if (!on(Role.HOMING)) {
      refuse(Refusal.HOMING_OFF);
      return;
    }
    boolean found =
        settings().meaning(Role.HOME_CORNER).filter(frame.switchesAt.spelled()::equals).isPresent();
    if (!frame.switches || !found) {
      doing = Doing.ALARM;
      homed = false;
      alarm(NO_SWITCH);
      return;
    }
    // One axis after the other, from wherever the head was left.
    move(0, 0, (frame.widthMm + frame.depthMm) / HOMING_MM_S);
    homed = true;
    out.say(talk.ends().getFirst() + endOfLine, busyUntil);
  }

  private void go(Map<String, String> words) {
    double toX = number(words.get("x"));
    double toY = number(words.get("y"));
    double speed = number(words.get("speed"));
    boolean outside =
        !(toX >= 0 && toY >= 0 && toX <= travel(Role.TRAVEL_X) && toY <= travel(Role.TRAVEL_Y));
    if (Double.isNaN(toX + toY + speed) || on(Role.SOFT_LIMITS) && homed && outside) {
      refuse(Refusal.OUTSIDE);
      return;
    }
    move(toX, toY, motion.wayMm(toX, toY) / Math.max(1, speed / 60));
    motion.sent(toX, toY);
    done();
  }

  private static double number(String words) {
    return Printed.number(words).orElse(Double.NaN);
  }

  private double travel(Role role) {
    return settings().printed(role).map(SimulatedController::number).orElse(1e9);
  }

  private void move(double toX, double toY, double seconds) {
    motion.begin(toX, toY, now);
    busyFor(seconds, Doing.MOVING);
  }

  private void busyFor(double seconds, Doing what) {
    busyUntil = now + Math.round(seconds * 1e9);
    doing = what;
  }

  /** Beam on, off, and a wait; the rest of a job's language is passed over. */
  private void burn(String command, String line) {
    Optional<Map<String, String>> on = read(talk.beamOn(), command);
    Optional<Map<String, String>> wait = read(talk.dwell(), command);
    if (on.isPresent() && !Double.isNaN(number(on.get().get("word")))) {
      beam.word(number(on.get().get("word")), !on(Role.LASER_FOLLOWS_MOTION), now);
      done();
    } else if (is(talk.beamOff(), line)) {
      beam.dark(now);
      done();
    } else if (wait.isPresent() && number(wait.get().get("seconds")) >= 0) {
      busyFor(number(wait.get().get("seconds")), Doing.WAITING);
      out.say(talk.ends().getFirst() + endOfLine, busyUntil);
    } else {
      refuse(Refusal.UNKNOWN);
    }
  }

  private String state() {
    String kind =
        switch (doing) {
          case NOTHING -> WireSyntax.STANDING;
          case MOVING, WAITING -> WireSyntax.MOVING;
          case ALARM -> WireSyntax.ALARM;
        };
    String called = talk.states().getOrDefault(kind, List.of(kind)).getFirst();
    return LinePattern.of(talk.stateLine().orElseThrow())
        .filled(
            Map.of(
                "state", called,
                "x", String.format(Locale.ROOT, "%.3f", motion.xMm()),
                "y", String.format(Locale.ROOT, "%.3f", motion.yMm())));
  }

  private void say(String text) {
    out.say(text, now);
  }

  /** The next byte that is there at this moment; -1 when none is. */
  public int poll(long at) {
    return out.poll(at);
  }

  /** When the next byte is there; {@code Long.MAX_VALUE} when none is on its way. */
  public long nextByteAt() {
    return out.nextByteAt();
  }

  long nanos() {
    return now;
  }

  /** When its wait or motion ends and it looks at the next line; max when nothing waits. */
  long nextWorkAt() {
    return unread.isEmpty() || held ? Long.MAX_VALUE : Math.max(now, busyUntil);
  }

  public Faults faults() {
    return faults;
  }

  /** What is in it, for tests and for scoring a practice. */
  public Settings settings() {
    return new Settings(dialect, memory.printed());
  }

  /** Where the head stands, or will when it has moved: from the home corner. */
  public List<Double> placeMm() {
    return List.of(motion.xMm(), motion.yMm());
  }

  /** How far from the home corner it was sent so far. */
  public List<Double> furthestMm() {
    return motion.furthestMm();
  }

  public int motions() {
    return motion.count();
  }

  public boolean moves() {
    return doing == Doing.MOVING && !held;
  }

  public boolean beamOn() {
    return beam.on();
  }

  /** The longest pulse so far. */
  public long longestBeamNanos() {
    return beam.longestNanos();
  }

  public double word() {
    return beam.word();
  }
}
