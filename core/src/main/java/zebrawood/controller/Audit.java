package zebrawood.controller;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.controller.ControllerFinding.Item;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Do the controller's settings fit the machine and the job software, and what would put them right?
 *
 * <p>Shape: what a controller printed with its dialect, the machine, the software; a finding for
 * each item. What was not reported, or plays no role that is known, is a note with nothing
 * observed. Nothing is enabled that needs a switch the machine has not got, and nothing is written
 * whose present value is not understood. Refuses a dump without settings and figures outside their
 * physical range.
 *
 * <p>Writes are in an order that is safe to send one by one, see {@link Writes}. Soft limits are
 * never switched on unless homing is known to be on by then; homing is not switched on while it
 * would go to a corner that is wrong and stays so, nor off while soft limits stay on.
 */
public final class Audit {
  /** Closer than this two lengths are the same travel: no frame is built to it. */
  private static final double SAME_LENGTH_MM = 0.01;

  private static final double MM_PER_INCH = 25.4;

  /** Within this share a ratio is the one of inches to millimetres. */
  private static final double SAME_RATIO = 0.005;

  private static final double MOST_WORD = 1e9;
  private static final double MOST_TRAVEL_MM = 100_000;

  private final MachineFacts machine;
  private final JobSoftware software;
  private final ControllerReadings readings;
  private final Dialect dialect;
  private final Settings settings;
  private final List<Item> items = new ArrayList<>();
  private final Writes writes = new Writes();
  private final List<Message> warnings = new ArrayList<>();

  /** Printed, but not as anything that is known: never written. */
  private final Set<Role> notUnderstood = EnumSet.noneOf(Role.class);

  private Audit(ControllerReadings readings, Settings settings) {
    this.readings = readings;
    machine = readings.machine();
    software = readings.jobSoftware();
    dialect = readings.dialect();
    this.settings = settings;
  }

  public static ControllerFinding solve(ControllerReadings readings) {
    return solve(readings, Settings.parse(readings.settings(), readings.dialect()));
  }

  /**
   * @param settings those of the readings, read already
   */
  static ControllerFinding solve(ControllerReadings readings, Settings settings) {
    return new Audit(readings, settings).solve();
  }

  private ControllerFinding solve() {
    understand();
    OptionalDouble top = settings.number(Role.TOP_POWER_WORD, 0, MOST_WORD);
    OptionalDouble least = settings.number(Role.LEAST_POWER_WORD, 0, MOST_WORD);
    Optional<PowerScale> scale =
        top.isPresent()
            ? Optional.of(
                new PowerScale(top.getAsDouble(), least.orElse(0), software.topPowerWord()))
            : Optional.empty();
    if (top.isPresent() && least.isEmpty()) {
      warnings.add(Message.of("controller.audit.least-power-word"));
    }
    powerWordScale(top, scale);
    laserMode();
    limits(homeCorner());
    travel();
    units();
    airAssist();
    leastPowerWord(least);
    software.areaMm().ifPresent(this::workArea);
    software.originCorner().ifPresent(this::origin);
    return finding(scale);
  }

  /** What is printed as something that the dialect does not list is named, and left alone. */
  private void understand() {
    for (Role role : AUDITED) {
      Optional<String> printed = settings.printed(role);
      boolean understood =
          role.isChoice()
              ? settings.meaning(role).isPresent()
              : printed.flatMap(p -> present(Printed.number(p))).isPresent();
      if (printed.isPresent() && !understood) {
        notUnderstood.add(role);
        warnings.add(
            Message.of(
                "controller.audit.not-understood",
                Message.quoted(dialect.key(role).orElse("")),
                Message.quoted(printed.get()),
                role));
      }
    }
  }

  private static final List<Role> AUDITED =
      List.of(
          Role.TOP_POWER_WORD,
          Role.LEAST_POWER_WORD,
          Role.TRAVEL_X,
          Role.TRAVEL_Y,
          Role.LASER_FOLLOWS_MOTION,
          Role.HOMING,
          Role.HARD_LIMITS,
          Role.SOFT_LIMITS,
          Role.HOME_CORNER,
          Role.REPORT_UNITS);

  private static Optional<Double> present(OptionalDouble number) {
    return number.isPresent() ? Optional.of(number.getAsDouble()) : Optional.empty();
  }

  /** As it is to be told: number or meaning, else as printed, else nothing. */
  private Value observed(Role role) {
    Optional<String> printed = settings.printed(role);
    if (printed.isEmpty()) {
      return new Value.Nothing();
    }
    if (role.isChoice()) {
      return new Value.Word(settings.meaning(role).orElse(printed.get()));
    }
    OptionalDouble number = Printed.number(printed.get());
    return number.isPresent()
        ? new Value.Number(number.getAsDouble())
        : new Value.Word(printed.get());
  }

  private Optional<Write> line(Role role, double value) {
    return Settings.line(dialect, role, value);
  }

  private Optional<Write> line(Role role, String meaning) {
    return Settings.line(dialect, role, meaning);
  }

  /** Writes a meaning, or says that nobody knows how it is printed. */
  private boolean write(Writes.Rank rank, Role role, String meaning) {
    Optional<Write> line = line(role, meaning);
    line.ifPresentOrElse(
        l -> writes.add(rank, l),
        () -> warnings.add(Message.of("controller.audit.cannot-write", role, Role.said(meaning))));
    return line.isPresent();
  }

  private void write(Writes.Rank rank, Role role, double value) {
    line(role, value).ifPresent(l -> writes.add(rank, l));
  }

  private void powerWordScale(OptionalDouble top, Optional<PowerScale> scale) {
    double wanted = software.topPowerWord();
    String id = "power-word-scale";
    Message because = scale.map(this::reaches).orElse(Message.NONE);
    if (top.isEmpty() || top.getAsDouble() == wanted) {
      note(id, Role.TOP_POWER_WORD, Message.of("controller.audit.top-power-words"));
    } else if (readings.policy() == Policy.MATCH_SOFTWARE) {
      adjust(
          id,
          Role.TOP_POWER_WORD,
          new Value.Number(wanted),
          Severity.ADJUST,
          Message.of("controller.audit.set-top-word", Message.number(wanted)),
          because);
      write(Writes.Rank.SCALE, Role.TOP_POWER_WORD, wanted);
    } else {
      adjust(
          id,
          Role.TOP_POWER_WORD,
          Value.of(top),
          Severity.ADJUST,
          Message.of("controller.audit.set-software-word", Message.number(top.getAsDouble())),
          because);
    }
  }

  private Message reaches(PowerScale scale) {
    return scale.effectiveFullPower() < 1 - 1e-12
        ? Message.of(
            readings.spindle()
                ? "controller.audit.reaches-speed"
                : "controller.audit.reaches-laser",
            Amount.of(100 * scale.effectiveFullPower(), Quantity.PERCENT, 1))
        : Message.of(
            "controller.audit.everything-above-software",
            Amount.of(scale.saturatesAtPercent(), Quantity.PERCENT, 1));
  }

  private void laserMode() {
    Role role = Role.LASER_FOLLOWS_MOTION;
    String wanted = readings.spindle() ? Role.OFF : Role.ON;
    Optional<String> now = settings.meaning(role);
    if (now.isEmpty() || now.get().equals(wanted)) {
      note(
          "laser-mode",
          role,
          Message.of(
              readings.spindle()
                  ? "controller.audit.spindle-runs-by"
                  : "controller.audit.laser-follows-motion"));
    } else if (readings.spindle()) {
      adjust(
          "laser-mode",
          role,
          new Value.Word(wanted),
          Severity.ADJUST,
          Message.of("controller.audit.switch-laser-mode"),
          Message.of("controller.audit.with-spindle-stands"));
      write(Writes.Rank.SCALE, role, wanted);
    } else {
      adjust(
          "laser-mode",
          role,
          new Value.Word(wanted),
          Severity.STOP,
          Message.of("controller.audit.let-laser-follow"),
          Message.of("controller.audit.as-every-stop"));
      write(Writes.Rank.FIRST, role, wanted);
    }
  }

  /**
   * Homing, hard and soft limits, which need one another.
   *
   * @param cornerStaysWrong homing would go to a corner that is known to be wrong
   */
  private void limits(boolean cornerStaysWrong) {
    boolean switches = machine.limitSwitches();
    boolean softOn = settings.is(Role.SOFT_LIMITS, Role.ON);
    boolean homes = settings.is(Role.HOMING, Role.ON);
    boolean homesNot = settings.is(Role.HOMING, Role.OFF);
    // Not reported, it is switched on all the same where soft limits already trust it.
    boolean mayBegin = homesNot || softOn && !homes && !notUnderstood.contains(Role.HOMING);
    boolean begins =
        switches && mayBegin && !cornerStaysWrong && line(Role.HOMING, Role.ON).isPresent();
    boolean willHome = switches && (homes || begins);
    boolean softGoes = softOn && !willHome;
    boolean softStays = softGoes && line(Role.SOFT_LIMITS, Role.OFF).isEmpty();

    homing(switches, begins, softStays, cornerStaysWrong);
    flag(
        "hard-limits",
        Role.HARD_LIMITS,
        switches,
        Message.of("controller.audit.without-them-lost"),
        Message.of("controller.audit.no-switches-open"));
    soft(softOn, homes, willHome, switches);
  }

  private void homing(
      boolean switches, boolean begins, boolean softStays, boolean cornerStaysWrong) {
    Optional<String> now = settings.meaning(Role.HOMING);
    if (begins) {
      line(Role.HOMING, Role.ON).ifPresent(l -> writes.add(Writes.Rank.HOMING, l));
    }
    if (now.isEmpty() || now.get().equals(switches ? Role.ON : Role.OFF)) {
      note("homing", Role.HOMING, Message.of("controller.audit.as-should"));
      return;
    }
    adjust(
        "homing",
        Role.HOMING,
        new Value.Word(switches ? Role.ON : Role.OFF),
        Severity.ADJUST,
        Message.of("controller.audit.switch-" + (switches ? "homing-on" : "homing-off")),
        Message.of(
            switches
                ? "controller.audit.without-nobody-knows"
                : "controller.audit.no-switches-would"));
    if (switches && cornerStaysWrong) {
      warnings.add(Message.of("controller.audit.homing-waits-for-corner"));
    } else if (!switches && softStays) {
      warnings.add(Message.of("controller.audit.homing-waits-for-soft"));
    } else if (!switches) {
      write(Writes.Rank.HOMING_OFF, Role.HOMING, Role.OFF);
    } else if (!begins) {
      write(Writes.Rank.HOMING, Role.HOMING, Role.ON);
    }
  }

  private void soft(boolean softOn, boolean homes, boolean willHome, boolean switches) {
    Role role = Role.SOFT_LIMITS;
    Value advised = new Value.Word(willHome ? Role.ON : Role.OFF);
    boolean known = settings.meaning(role).isPresent();
    if (softOn && !homes) {
      adjust(
          "soft-limits",
          role,
          advised,
          Severity.STOP,
          Message.of(
              willHome
                  ? "controller.audit.switch-homing-before"
                  : "controller.audit.switch-soft-limits"),
          Message.of("controller.audit.soft-limits-without"));
      if (!willHome) {
        write(Writes.Rank.SOFT_OFF, role, Role.OFF);
      }
    } else if (known && softOn != willHome) {
      adjust(
          "soft-limits",
          role,
          advised,
          Severity.ADJUST,
          Message.of(
              willHome
                  ? "controller.audit.switch-soft-limits-2"
                  : "controller.audit.switch-soft-limits"),
          Message.of(
              switches
                  ? "controller.audit.without-them-job"
                  : "controller.audit.without-switches-cannot"));
      write(
          willHome ? Writes.Rank.LAST : Writes.Rank.SOFT_OFF, role, willHome ? Role.ON : Role.OFF);
    } else {
      note("soft-limits", role, Message.of("controller.audit.soft-limits-are"));
    }
  }

  private void flag(String id, Role role, boolean wanted, Message whyOn, Message whyOff) {
    Optional<String> now = settings.meaning(role);
    String advised = wanted ? Role.ON : Role.OFF;
    if (now.isEmpty() || now.get().equals(advised)) {
      note(id, role, Message.of("controller.audit.as-should"));
      return;
    }
    adjust(
        id,
        role,
        new Value.Word(advised),
        Severity.ADJUST,
        Message.of("controller.audit.switch-" + id + (wanted ? "-on" : "-off")),
        wanted ? whyOn : whyOff);
    write(wanted ? Writes.Rank.GUARD : Writes.Rank.HARD_OFF, role, advised);
  }

  /** Whether it homes to a corner that is wrong, and cannot be told the right one. */
  private boolean homeCorner() {
    Role role = Role.HOME_CORNER;
    Optional<String> now = settings.meaning(role);
    String right = machine.homeCorner().spelled();
    if (now.isEmpty() || now.get().equals(right) || !machine.limitSwitches()) {
      note(
          "home-corner",
          role,
          Message.of(
              now.isEmpty()
                  ? "controller.audit.homing-direction-was"
                  : "controller.audit.homes-right-corner"));
      return false;
    }
    adjust(
        "home-corner",
        role,
        new Value.Word(right),
        Severity.ADJUST,
        Message.of("controller.audit.let-home", machine.homeCorner()),
        Message.of("controller.audit.looks-switches", Role.said(now.get())));
    return !write(Writes.Rank.GEOMETRY, role, right);
  }

  private void travel() {
    OptionalDouble x = settings.number(Role.TRAVEL_X, 0, MOST_TRAVEL_MM);
    OptionalDouble y = settings.number(Role.TRAVEL_Y, 0, MOST_TRAVEL_MM);
    double rightX = machine.travelMm().get(0);
    double rightY = machine.travelMm().get(1);
    boolean wrongX = x.isPresent() && !near(x.getAsDouble(), rightX);
    boolean wrongY = y.isPresent() && !near(y.getAsDouble(), rightY);
    boolean printed =
        settings.printed(Role.TRAVEL_X).isPresent() || settings.printed(Role.TRAVEL_Y).isPresent();
    Value observed =
        printed
            ? new Value.Two(observed(Role.TRAVEL_X), observed(Role.TRAVEL_Y))
            : new Value.Nothing();
    Optional<String> keys = joined(dialect.key(Role.TRAVEL_X), dialect.key(Role.TRAVEL_Y));
    if (!wrongX && !wrongY) {
      note("travel", keys, observed, Message.of("controller.audit.travel-machine-as"));
      return;
    }
    boolean inches =
        wrongX && inchesFor(x.getAsDouble(), rightX)
            || wrongY && inchesFor(y.getAsDouble(), rightY);
    add(
        "travel",
        keys,
        observed,
        Value.two(rightX, rightY),
        Severity.ADJUST,
        inches
            ? Message.of("controller.audit.look-at-units")
            : Message.of(
                "controller.audit.set-travel",
                Message.bare(Amount.plain(rightX, Quantity.LENGTH)),
                Amount.plain(rightY, Quantity.LENGTH)),
        inches
            ? Message.of("controller.audit.inches-for-mm", observed.said())
            : Message.of("controller.audit.controller-believes-soft", observed.said()));
    if (inches) {
      warnings.add(Message.of("controller.audit.inches-not-written"));
      return;
    }
    if (wrongX) {
      write(Writes.Rank.GEOMETRY, Role.TRAVEL_X, rightX);
    }
    if (wrongY) {
      write(Writes.Rank.GEOMETRY, Role.TRAVEL_Y, rightY);
    }
  }

  private static Optional<String> joined(Optional<String> x, Optional<String> y) {
    return x.isPresent() && y.isPresent() ? Optional.of(x.get() + "," + y.get()) : x.or(() -> y);
  }

  private static boolean near(double a, double b) {
    return Math.abs(a - b) < SAME_LENGTH_MM;
  }

  /** Whether one is the other in inches: a length is then never "corrected", its unit is. */
  public static boolean inchesFor(double one, double other) {
    double ratio = Math.max(one, other) / Math.min(one, other);
    return Math.abs(ratio / MM_PER_INCH - 1) < SAME_RATIO;
  }

  private void units() {
    note("units", Role.REPORT_UNITS, Message.of("controller.audit.reports-are-software"));
  }

  private void airAssist() {
    Value sent = new Value.Word(software.airAssistCode().spelling());
    Value wired = new Value.Word(readings.wiredAirAssistCode().spelling());
    if (sent.equals(wired)) {
      note(
          "air-assist", Optional.empty(), sent, Message.of("controller.audit.software-sends-code"));
    } else {
      add(
          "air-assist",
          Optional.empty(),
          sent,
          wired,
          Severity.ADJUST,
          Message.of("controller.audit.let-job-software", wired.said()),
          Message.of("controller.audit.sends-valve-wired", sent.said(), wired.said()));
    }
  }

  private void leastPowerWord(OptionalDouble least) {
    if (least.isEmpty() || least.getAsDouble() == 0) {
      note(
          "minimum-power-word",
          Role.LEAST_POWER_WORD,
          Message.of("controller.audit.power-begins-nothing"));
      return;
    }
    adjust(
        "minimum-power-word",
        Role.LEAST_POWER_WORD,
        new Value.Number(0),
        Severity.ADJUST,
        Message.of("controller.audit.set-least-power"),
        Message.of(
            "controller.audit.below-word-nothing",
            Amount.plain(least.getAsDouble(), Quantity.NUMBER)));
    write(Writes.Rank.LEAST, Role.LEAST_POWER_WORD, 0);
  }

  private void workArea(List<Double> area) {
    double x = machine.travelMm().get(0);
    double y = machine.travelMm().get(1);
    Value observed = Value.two(area.get(0), area.get(1));
    Value travel = Value.two(x, y);
    boolean fits = area.get(0) < x + SAME_LENGTH_MM && area.get(1) < y + SAME_LENGTH_MM;
    boolean inches = inchesFor(area.get(0), x) || inchesFor(area.get(1), y);
    if (inches) {
      warnings.add(Message.of("controller.audit.area-inches", observed.said()));
    }
    if (fits) {
      note(
          "work-area",
          Optional.empty(),
          observed,
          Message.of("controller.audit.software-work-area"));
    } else {
      add(
          "work-area",
          Optional.empty(),
          observed,
          travel,
          Severity.ADJUST,
          inches
              ? Message.of("controller.audit.look-at-software-units")
              : Message.of("controller.audit.set-work-area", travel.said()),
          Message.of("controller.audit.believes-mm-work", observed.said()));
    }
  }

  private void origin(Corner corner) {
    Value observed = new Value.Word(corner.spelled());
    Value right = new Value.Word(machine.homeCorner().spelled());
    if (corner == machine.homeCorner()) {
      note(
          "origin",
          Optional.empty(),
          observed,
          Message.of("controller.audit.software-origin-where"));
    } else {
      add(
          "origin",
          Optional.empty(),
          observed,
          right,
          Severity.ADJUST,
          Message.of("controller.audit.set-origin", machine.homeCorner()),
          Message.of("controller.audit.work-lands-mirrored", corner));
    }
  }

  private void note(String id, Role role, Message why) {
    note(id, dialect.key(role), observed(role), why);
  }

  private void note(String id, Optional<String> setting, Value observed, Message why) {
    items.add(
        new Item(
            id,
            Value.key(setting),
            observed,
            observed,
            Severity.NOTE,
            Advice.leave(
                "words.said",
                observed instanceof Value.Nothing
                    ? Message.of("controller.audit.was-not-reported")
                    : why)));
  }

  private void adjust(
      String id, Role role, Value advised, Severity severity, Message todo, Message because) {
    add(id, dialect.key(role), observed(role), advised, severity, todo, because);
  }

  private void add(
      String id,
      Optional<String> setting,
      Value observed,
      Value advised,
      Severity severity,
      Message todo,
      Message because) {
    items.add(
        new Item(
            id,
            Value.key(setting),
            observed,
            advised,
            severity,
            new Advice(Advice.Kind.DO, todo, Optional.of(because), Optional.empty())));
  }

  private ControllerFinding finding(Optional<PowerScale> scale) {
    List<Item> wrong =
        items.stream()
            .filter(i -> i.severity() != Severity.NOTE)
            .sorted(Comparator.comparing(Item::severity).reversed())
            .toList();
    List<Advice> advice = new ArrayList<>();
    wrong.forEach(i -> advice.add(i.why()));
    Verdict verdict = Verdict.WITHIN;
    if (!wrong.isEmpty() && wrong.getFirst().severity() == Severity.STOP) {
      verdict = Verdict.STOP;
    } else if (scale.isEmpty()) {
      verdict = Verdict.MEASURE_AGAIN;
    } else if (!wrong.isEmpty()) {
      verdict = Verdict.ADJUST;
    }
    if (scale.isEmpty()) {
      advice.add(
          Advice.read("controller.audit.read-top-power")
              .because("controller.audit.without-nobody-knows-share"));
    }
    if (advice.isEmpty()) {
      advice.add(
          Advice.leave("controller.audit.leave").because("controller.audit.settings-fit-machine"));
    }
    return new ControllerFinding(
        scale.map(s -> OptionalDouble.of(s.effectiveFullPower())).orElse(OptionalDouble.empty()),
        scale.map(s -> OptionalDouble.of(s.saturatesAtPercent())).orElse(OptionalDouble.empty()),
        new PowerTable(scale.map(PowerScale::table)),
        items,
        writes.inOrder(),
        verdict,
        advice,
        warnings);
  }
}
