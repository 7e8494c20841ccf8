package zebrawood.devices.whole;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import zebrawood.measure.Estimate;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/** A case as it is played: one deed after another, until it is handed over or stopped. */
public final class CaseRun {
  private static final int MOST_DEEDS = 2000;
  private static final String TOO_LONG = "whole.stopped.too-long";

  /** Of its limit: by less nobody moved it. */
  private static final double SAME = 0.02;

  private static final double OFF_BY_HAND = 0.04;
  private static final double PLAY = 0.3;
  private static final double CRASH_MM = 9;
  private static final double DIRT_A_BURN = 0.2;
  private static final double WARMER_A_BURN = 0.1;
  private static final double LEVEL_MOVES_FOCUS = 0.25;
  private static final double MIRROR_MOVES_HEAD = 0.2;
  private static final List<Trait> SETTINGS =
      List.of(Trait.TOP_WORD, Trait.LASER_MODE, Trait.SCALE_X, Trait.SCALE_Y);

  /**
   * What was done, and seen.
   *
   * @param minute when it was finished
   * @param amount of a deed that has one, else 0
   */
  public record Line(int minute, Deed deed, double amount, List<Message> seen) {
    public Line {
      seen = List.copyOf(seen);
    }
  }

  private final CaseStart start;
  private final WholeMachine machine;
  private final Random random;
  private final List<Line> lines = new ArrayList<>();
  private final Map<Trait, Estimate> read = new EnumMap<>(Trait.class);
  private final Map<Guard, Boolean> known = new EnumMap<>(Guard.class);
  private final List<Message> seen = new ArrayList<>();
  private int minutes;
  private int burns;
  private int helps;
  private boolean discharged;
  private boolean handedOver;
  private Optional<Message> stopped = Optional.empty();

  public CaseRun(CaseStart start) {
    this.start = start;
    machine = start.machine();
    random = new Random(start.seed() ^ 0x5ca1ab1eL);
  }

  public CaseStart start() {
    return start;
  }

  public List<Line> lines() {
    return List.copyOf(lines);
  }

  public int minutes() {
    return minutes;
  }

  public int burns() {
    return burns;
  }

  public int helps() {
    return helps;
  }

  /** Why it ended before its time. */
  public Optional<Message> stopped() {
    return stopped;
  }

  /** Whether somebody would have been hurt, or something broken. */
  boolean wasDangerous() {
    return stopped.filter(why -> !why.key().equals(TOO_LONG)).isPresent();
  }

  public boolean isOver() {
    return handedOver || stopped.isPresent();
  }

  public boolean handedOver() {
    return handedOver;
  }

  /** The truth, which is nobody's to see before the end. */
  public WholeMachine machine() {
    return machine;
  }

  /** What a reading says of it, if nothing that it rests on was changed since. */
  public Optional<Estimate> known(Trait trait) {
    return Optional.ofNullable(read.get(trait));
  }

  /** Whether a guard is in order, if anybody looked. */
  public Optional<Boolean> known(Guard guard) {
    return Optional.ofNullable(known.get(guard));
  }

  /** Everything that can be done to this machine, right or wrong; nothing once it is over. */
  public Set<Deed> possible() {
    return isOver() ? EnumSet.noneOf(Deed.class) : Deed.of(start.kind());
  }

  /**
   * Does one thing.
   *
   * @param amount of a deed that has one, within what the trait can be off
   * @throws IllegalArgumentException where it cannot be done: {@link #possible} tells what can
   */
  public Line act(Deed deed, double amount) {
    if (!possible().contains(deed)) {
      throw new IllegalArgumentException(deed.id() + " is not possible");
    }
    double most = deed.changes().map(Trait::most).orElse(0.0);
    if (deed.hasAmount() && !(Math.abs(amount) <= most)) {
      throw new IllegalArgumentException("an amount up to " + most);
    }
    seen.clear();
    minutes += deed.minutes();
    if (!deed.burns() || fires(deed)) {
      happen(deed, deed.hasAmount() ? amount : 0);
    }
    if (lines.size() + 1 >= MOST_DEEDS && !isOver()) {
      stop(TOO_LONG);
    }
    Line line = new Line(minutes, deed, deed.hasAmount() ? amount : 0, seen);
    lines.add(line);
    return line;
  }

  private void stop(String why) {
    stopped = Optional.of(Message.of(why));
    seen.add(Message.of(why));
  }

  private void say(String key, Object... arguments) {
    seen.add(Message.of(key, arguments));
  }

  /** Whether the beam comes; where it must not, the case ends. */
  private boolean fires(Deed deed) {
    if (!machine.has(Guard.MAINS_ON)) {
      say("whole.seen.no-power");
      return false;
    }
    if (!machine.has(Guard.LID_SHUT) && machine.has(Guard.LID_SWITCH_WORKS)) {
      say("whole.seen.lid-open");
      return false;
    }
    boolean open = !start.kind().enclosed() || !machine.has(Guard.LID_SHUT);
    boolean flames = deed == Deed.BURN_NINE_SQUARES || deed == Deed.BURN_TRIAL_PIECE;
    if (open && !machine.has(Guard.EYEWEAR_ON)) {
      stop("whole.stopped.eyes");
    } else if (open && start.kind().enclosed()) {
      stop("whole.stopped.bridged");
    } else if (!machine.has(Guard.WATER_ON)) {
      stop("whole.stopped.dry");
    } else if (!machine.has(Guard.EXHAUST_ON)) {
      stop("whole.stopped.fumes");
    } else if (flames && !machine.has(Guard.AIR_ON)) {
      stop("whole.stopped.flames");
    }
    if (stopped.isPresent()) {
      return false;
    }
    burns++;
    machine.add(Trait.LENS_DIRT, DIRT_A_BURN);
    machine.add(
        Trait.COOLANT_WARM, start.kind() == WholeKind.GLASS_TUBE_GANTRY ? WARMER_A_BURN : 0);
    return true;
  }

  private void happen(Deed deed, double amount) {
    deed.guard().ifPresent(g -> put(g, true));
    switch (deed) {
      case ASK -> asked();
      case LOOK_AT_GUARDS -> lookAtGuards();
      case OPEN_LID -> put(Guard.LID_SHUT, false);
      case EXHAUST_OFF -> put(Guard.EXHAUST_ON, false);
      case WATER_OFF -> put(Guard.WATER_ON, false);
      case POWER_OFF -> put(Guard.MAINS_ON, false);
      case WAIT_DISCHARGED -> discharged = !machine.has(Guard.MAINS_ON);
      case COOL_IT -> put(Trait.COOLANT_WARM, 0);
      case CLEAN_LENS -> put(Trait.LENS_DIRT, 1);
      case CLEAN_MIRRORS -> put(Trait.MIRROR_DIRT, 1);
      case WIPE_LENS_DRY -> stop("whole.stopped.scratched");
      case SET_TOP_WORD -> put(Trait.TOP_WORD, 0);
      case SET_LASER_MODE -> put(Trait.LASER_MODE, 0);
      case RESTORE_SETTINGS -> restore();
      case REPLACE_TUBE -> replaceTube();
      case BURN_NINE_SQUARES -> seen.add(Shown.nineSquares(machine, random));
      case BURN_TRIAL_PIECE -> seen.add(Shown.trialPiece(machine, random));
      case WAIT_AN_HOUR -> machine.set(Trait.COOLANT_WARM, 0.7 * machine.truth(Trait.COOLANT_WARM));
      case WAIT_A_DAY -> nextDay();
      case GET_HELP -> {
        helps++;
        seen.add(Adviser.next(this).why());
      }
      case HAND_OVER -> {
        handedOver = true;
        say("whole.seen.handed-over");
      }
      default -> {
        if (deed.hasAmount()) {
          move(deed.changes().orElseThrow(), amount);
        }
      }
    }
    deed.reads().stream().filter(t -> t.isOf(start.kind())).forEach(t -> readOut(t, deed));
    if (deed == Deed.POWER_ON || deed == Deed.POWER_OFF) {
      discharged = false;
    }
    if (seen.isEmpty()) {
      say("whole.seen.done");
    }
  }

  private void put(Guard guard, boolean so) {
    if (guard.isOf(start.kind())) {
      machine.set(guard, so);
      known.put(guard, so);
    }
  }

  private void put(Trait trait, double value) {
    machine.set(trait, value);
    changed(trait);
  }

  /**
   * What was done on a station's sheet, whose stand-in is a part of this machine.
   *
   * @param deed that reads what was changed
   * @param by how much its parts were moved
   */
  public void byHand(Deed deed, Map<Trait, Double> by) {
    by.forEach((trait, much) -> {
      if (trait.isOf(start.kind()) && Math.abs(much) > SAME * trait.limit() && !isOver()) {
        put(trait, machine.truth(trait) + much);
        if (deed.reads().contains(trait)) {
          Deed mending = Deed.mending(trait);
          minutes += mending.minutes();
          lines.add(
              new Line(minutes, mending, much, List.of(Message.of("whole.seen.on-its-sheet"))));
        }
      }
    });
  }

  /** What rests on it is known no longer. */
  private void changed(Trait trait) {
    read.remove(trait);
    trait.doubts().forEach(read::remove);
  }

  /** A hand is off by some per cent, and by the play. */
  private void move(Trait trait, double amount) {
    double by =
        amount * (1 + OFF_BY_HAND * random.nextGaussian())
            + PLAY * trait.noise() * random.nextGaussian();
    if (trait == Trait.FOCUS && machine.truth(trait) + by < -CRASH_MM) {
      stop("whole.stopped.crash");
      return;
    }
    moved(machine, trait, by);
    changed(trait);
  }

  /** One thing moves another. */
  private static void moved(WholeMachine machine, Trait trait, double by) {
    machine.add(trait, by);
    switch (trait) {
      case BED_X, BED_Y -> machine.add(Trait.FOCUS, LEVEL_MOVES_FOCUS * by);
      case MIRROR_1, MIRROR_2 -> machine.add(Trait.HEAD, MIRROR_MOVES_HEAD * by);
      default -> {}
    }
  }

  /** As a hand would do it that is never off. */
  static void exactly(WholeMachine machine, Trait trait) {
    moved(machine, trait, -machine.truth(trait));
  }

  static boolean isSetting(Trait trait) {
    return SETTINGS.contains(trait);
  }

  /** Whether the settings were put back as they were left. */
  boolean restored() {
    return lines.stream().anyMatch(l -> l.deed() == Deed.RESTORE_SETTINGS);
  }

  private void lookAtGuards() {
    int wrong = 0;
    for (Guard guard : Guard.values()) {
      if (guard.isOf(start.kind())) {
        known.put(guard, machine.has(guard));
        if (!machine.has(guard)) {
          say("whole.seen.guard", Message.of(guard));
          wrong++;
        }
      }
    }
    if (wrong == 0) {
      say("whole.seen.guards");
    }
  }

  /** What somebody remembers who works with it: of what is most off. */
  private void asked() {
    start.hidden().keySet().stream()
        .filter(t -> !machine.isWithin(t))
        .max((a, b) -> Double.compare(much(a), much(b)))
        .ifPresentOrElse(
            t -> seen.add(Message.of("whole.hint." + hint(t))), () -> say("whole.hint.nothing"));
  }

  private static String hint(Trait trait) {
    return switch (trait) {
      case BED_X, BED_Y -> "bed";
      case MIRROR_1, MIRROR_2 -> "mirror";
      case SCALE_X, SCALE_Y -> "scale";
      case FIELD_SCALE, FIELD_TURN -> "field";
      case CAMERA_X, CAMERA_Y -> "camera";
      default -> trait.name().toLowerCase(Locale.ROOT).replace('_', '-');
    };
  }

  private double much(Trait trait) {
    return Math.abs(machine.truth(trait)) / trait.limit();
  }

  private void restore() {
    if (!start.asLeft()) {
      say("whole.seen.no-list");
      return;
    }
    SETTINGS.stream().filter(t -> t.isOf(start.kind())).forEach(t -> put(t, 0));
  }

  private void replaceTube() {
    if (machine.has(Guard.MAINS_ON)) {
      stop("whole.stopped.mains");
    } else if (!discharged) {
      stop("whole.stopped.charged");
    } else {
      put(Trait.TUBE_WEAK, 0);
      machine.add(Trait.MIRROR_1, 4 * random.nextGaussian());
      machine.add(Trait.MIRROR_2, 2 * random.nextGaussian());
      say("whole.seen.new-tube");
    }
  }

  /** Time makes dirt, and other people are about. */
  private void nextDay() {
    machine.set(Trait.COOLANT_WARM, 0);
    machine.add(Trait.LENS_DIRT, 1);
    read.remove(Trait.LENS_DIRT);
    read.remove(Trait.COOLANT_WARM);
    int chance = random.nextInt(10);
    if (chance < 3) {
      machine.add(Trait.FOCUS, random.nextBoolean() ? 2 : -2);
      changed(Trait.FOCUS);
      say("whole.seen.somebody-focus");
    } else if (chance < 5) {
      machine.set(Guard.EXHAUST_ON, false);
      known.remove(Guard.EXHAUST_ON);
      say("whole.seen.somebody-exhaust");
    } else {
      say("whole.seen.next-day");
    }
  }

  private void readOut(Trait trait, Deed deed) {
    double blur = deed.burns() ? machine.lineWidth(0.5, 0.5) : 1;
    double unsure = trait.noise() * blur;
    double value = Shown.reading(machine, trait) + unsure * random.nextGaussian();
    if (trait == Trait.LENS_DIRT || trait == Trait.MIRROR_DIRT) {
      value = Math.max(0, value);
    }
    read.put(trait, new Estimate(value, unsure));
    seen.add(Shown.said(trait, value, unsure));
    if (trait == Trait.FOCUS) {
      double fall = machine.gapMm(0.9, 0.5) - machine.gapMm(0.1, 0.5);
      if (Math.abs(fall) > 1) {
        say("whole.seen.falls", Amount.mm(Math.rint(fall), 0));
      }
    }
  }

  /** As it is written: mm, kelvin, per cent, or a number whose unit the trait's words say. */
  public static Amount amount(Trait trait, double value) {
    return Amount.of(value, trait.quantity(), trait.limit() < 1 ? 2 : 1);
  }
}
