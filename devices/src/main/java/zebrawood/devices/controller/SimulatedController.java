package zebrawood.devices.controller;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SequencedMap;
import zebrawood.controller.Corner;
import zebrawood.controller.Dialect;
import zebrawood.controller.LinePattern;
import zebrawood.controller.Printed;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.Talk;
import zebrawood.controller.Write;

/**
 * A controller that is not there, in any dialect: it takes bytes, keeps them in a buffer of 128,
 * works through its lines in its own time, and answers.
 *
 * <p>Knows settings, state, homing, moves, power words, a wait, alarms. Time is told to it; between
 * two moments it does what a real one would have done. A wait keeps it busy; settings are taken
 * only while nothing moves. Homing needs switches, at the corner where they sit. State, hold,
 * cancel and stop are taken at once, whatever it does.
 */
public final class SimulatedController {
  private static final int BUFFER = 128;
  private static final int LONGEST_LINE = 80;
  private static final double HOMING_MM_S = 250;

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

  /** What it is shipped with. */
  private static final Map<Role, String> SHIPPED_NUMBERS =
      Map.ofEntries(
          Map.entry(Role.TOP_POWER_WORD, "1000"),
          Map.entry(Role.LEAST_POWER_WORD, "0"),
          Map.entry(Role.TRAVEL_X, "200.000"),
          Map.entry(Role.TRAVEL_Y, "200.000"),
          Map.entry(Role.STEPS_PER_MM_X, "250.000"),
          Map.entry(Role.STEPS_PER_MM_Y, "250.000"),
          Map.entry(Role.MOST_SPEED_X, "500.000"),
          Map.entry(Role.MOST_SPEED_Y, "500.000"),
          Map.entry(Role.ACCELERATION_X, "10.000"),
          Map.entry(Role.ACCELERATION_Y, "10.000"),
          Map.entry(Role.IDLE_DELAY, "25"));

  private static final Map<Role, String> SHIPPED_MEANINGS =
      Map.of(
          Role.LASER_FOLLOWS_MOTION, Role.OFF,
          Role.HOMING, Role.OFF,
          Role.HARD_LIMITS, Role.OFF,
          Role.SOFT_LIMITS, Role.OFF,
          Role.HOME_CORNER, "rear-right",
          Role.REPORT_UNITS, "mm",
          Role.POWER_SENSE, Role.RISING);

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
  private final Talk talk;
  private final String endOfLine;
  private final SequencedMap<String, String> settings = new LinkedHashMap<>();
  private final Frame frame;
  private final Faults faults;
  private final Deque<String> unread = new ArrayDeque<>();
  private final StringBuilder arriving = new StringBuilder();
  private final Deque<Outgoing> outgoing = new ArrayDeque<>();
  private long now;
  private long busyUntil;
  private long outFreeAt;
  private int bytesIn;
  private int bytesOut;
  private int kept;
  private Doing doing = Doing.NOTHING;
  private boolean held;
  private double xMm;
  private double yMm;
  private double fromXMm;
  private double fromYMm;
  private long movesSince;
  private double furthestXMm;
  private double furthestYMm;
  private int motions;
  private int obeyed;
  private boolean homed;
  private boolean beamOn;
  private long beamSince;
  private long longestBeamNanos;
  private double word;

  /** A byte on its way out, and when it is there. */
  private record Outgoing(byte value, long at) {}

  /**
   * @param dialect with its talk
   * @param set what was set up after it was shipped: numbers as printed, choices by their meaning
   */
  public SimulatedController(Frame frame, Dialect dialect, Map<Role, String> set, Faults faults) {
    this.frame = frame;
    this.dialect = dialect;
    this.faults = faults;
    talk = dialect.talk().orElseThrow();
    endOfLine = talk.endOfLine().sent();
    ship();
    set.forEach((role, value) -> put(role, value));
    greet();
  }

  private void ship() {
    settings.clear();
    for (Role role : Role.values()) {
      if (!role.isOfAField()) {
        put(role, role.isChoice() ? SHIPPED_MEANINGS.get(role) : SHIPPED_NUMBERS.get(role));
      }
    }
    if (faults.extra()) {
      settings.put("board", "Sedge");
      settings.put("net", "Workshop net");
      settings.put("fan", "1");
    }
  }

  private void put(Role role, String value) {
    Optional<String> printed = role.isChoice() ? dialect.printed(role, value) : Optional.of(value);
    dialect.key(role).ifPresent(key -> printed.ifPresent(p -> settings.put(key, p)));
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
      if (!line.isEmpty() && !atOnce(line + Talk.END)) {
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
    beam(false);
    word = 0;
    if (faults.forgets()) {
      ship();
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
    if (doing == Doing.MOVING && busyUntil > now && busyUntil > movesSince) {
      double share = (double) (now - movesSince) / (busyUntil - movesSince);
      xMm = fromXMm + share * (xMm - fromXMm);
      yMm = fromYMm + share * (yMm - fromYMm);
    }
  }

  private void obey(String command) {
    if (++obeyed % Faults.LATE_EVERY == 0) {
      outFreeAt = Math.max(outFreeAt, now) + faults.wire().lateNanos();
    }
    Optional<Write> set = written(command);
    Optional<Map<String, String>> go = read(talk.jog(), command);
    String line = command + Talk.END;
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
    settings.forEach((key, value) ->
        say(pattern.filled(Map.of("key", key, "value", value)) + remark + endOfLine));
    done();
  }

  private void done() {
    say(talk.ends().getFirst() + endOfLine);
  }

  private void refuse(Refusal why) {
    List<Talk.Meant> all = talk.refusals();
    if (!all.isEmpty()) {
      say(all.get(Math.min(why.ordinal(), all.size() - 1)).begins() + endOfLine);
    }
  }

  private void alarm(int which) {
    List<Talk.Meant> all = talk.alarms();
    if (!all.isEmpty()) {
      say(all.get(Math.min(which, all.size() - 1)).begins() + endOfLine);
    }
  }

  private static Optional<Map<String, String>> read(Optional<String> command, String line) {
    return command.flatMap(c -> LinePattern.of(Talk.words(c)).read(line));
  }

  /** What a line sets, if it is one that writes. */
  private Optional<Write> written(String command) {
    return LinePattern.of(dialect.writeLine())
        .withKeys(List.copyOf(settings.keySet()))
        .read(command)
        .filter(read -> settings.containsKey(read.get("key")))
        .map(read -> dialect.write(read.get("key"), read.get("value")));
  }

  private Optional<Role> role(String key) {
    return dialect.byRole().entrySet().stream()
        .filter(e -> e.getValue().key().strip().equals(key))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  private void set(Write write) {
    Optional<Role> role = role(write.key());
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
    boolean decimals = settings.get(write.key()).contains(".");
    settings.put(
        write.key(),
        choice || number.isEmpty() || !decimals
            ? write.value()
            : String.format(Locale.ROOT, "%.3f", number.getAsDouble()));
    if (role.equals(Optional.of(Role.HOMING)) && meaning.equals(Optional.of(Role.OFF))) {
      put(Role.SOFT_LIMITS, Role.OFF);
    }
    if (role.equals(Optional.of(Role.LASER_FOLLOWS_MOTION)) && on(Role.LASER_FOLLOWS_MOTION)) {
      // Following the motion, it is dark while nothing moves.
      beam(false);
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
    double way = Math.hypot(frame.widthMm, frame.depthMm);
    move(0, 0, way / HOMING_MM_S);
    homed = true;
    sayAt(talk.ends().getFirst() + endOfLine, busyUntil);
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
    move(toX, toY, Math.hypot(toX - xMm, toY - yMm) / Math.max(1, speed / 60));
    furthestXMm = Math.max(furthestXMm, toX);
    furthestYMm = Math.max(furthestYMm, toY);
    done();
  }

  private static double number(String words) {
    return Printed.number(words).orElse(Double.NaN);
  }

  private double travel(Role role) {
    return settings().printed(role).map(SimulatedController::number).orElse(1e9);
  }

  private void move(double toX, double toY, double seconds) {
    motions++;
    fromXMm = xMm;
    fromYMm = yMm;
    movesSince = now;
    xMm = toX;
    yMm = toY;
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
      word = number(on.get().get("word"));
      beam(word > 0 && !on(Role.LASER_FOLLOWS_MOTION));
      done();
    } else if (is(talk.beamOff(), line)) {
      beam(false);
      word = 0;
      done();
    } else if (wait.isPresent() && number(wait.get().get("seconds")) >= 0) {
      busyFor(number(wait.get().get("seconds")), Doing.WAITING);
      sayAt(talk.ends().getFirst() + endOfLine, busyUntil);
    } else {
      refuse(Refusal.UNKNOWN);
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

  private String state() {
    String kind =
        switch (doing) {
          case NOTHING -> Talk.STANDING;
          case MOVING, WAITING -> Talk.MOVING;
          case ALARM -> Talk.ALARM;
        };
    String called = talk.states().getOrDefault(kind, List.of(kind)).getFirst();
    return LinePattern.of(talk.stateLine().orElseThrow())
        .filled(
            Map.of(
                "state", called,
                "x", String.format(Locale.ROOT, "%.3f", xMm),
                "y", String.format(Locale.ROOT, "%.3f", yMm)));
  }

  private void say(String text) {
    sayAt(text, now);
  }

  private void sayAt(String text, long at) {
    outFreeAt = Math.max(outFreeAt, at);
    for (int i = 0; i < text.length(); i++) {
      outFreeAt += faults.wire().nanosPerByte();
      byte value = (byte) text.charAt(i);
      if (faults.wire().out().garbleAt().isPresent()
          && faults.wire().out().garbleAt().getAsInt() == bytesOut) {
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

  /** When its wait or motion ends and it looks at the next line; max when nothing waits. */
  long nextWorkAt() {
    return unread.isEmpty() || held ? Long.MAX_VALUE : Math.max(now, busyUntil);
  }

  public Faults faults() {
    return faults;
  }

  /** What is in it, for tests and for scoring a practice. */
  public Settings settings() {
    return new Settings(dialect, settings);
  }

  /** Where the head stands, or will when it has moved: from the home corner. */
  public List<Double> placeMm() {
    return List.of(xMm, yMm);
  }

  /** How far from the home corner it was sent so far. */
  public List<Double> furthestMm() {
    return List.of(furthestXMm, furthestYMm);
  }

  /** How many motions were begun. */
  public int motions() {
    return motions;
  }

  /** Whether it moves now. */
  public boolean moves() {
    return doing == Doing.MOVING && !held;
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
