package zebrawood.controller;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.ControllerFinding.Item;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;

/**
 * Do the controller's settings fit the machine and the job software, and what would put them right?
 *
 * <p>Shape: a dump of numbered settings, the machine, the software; a finding for each item. What
 * was not reported is a note with nothing observed. Nothing is enabled that needs a switch the
 * machine has not got. Refuses a dump without settings and settings outside their physical range.
 *
 * <p>Writes are in an order that is safe to send one by one: the laser follows the motion first;
 * the least power word falls before the top one may fall below it; soft limits go before the homing
 * they need, and come after homing, its corner and the travel are right.
 */
public final class Audit {
  /** Closer than this two lengths are the same travel: no frame is built to it. */
  private static final double SAME_LENGTH_MM = 0.01;

  private static final double MOST_WORD = 1e9;
  private static final double MOST_FLAG = 65_535;
  private static final double MOST_TRAVEL_MM = 100_000;

  private final MachineFacts machine;
  private final JobSoftware software;
  private final ControllerReadings readings;
  private final Settings settings;
  private final List<Item> items = new ArrayList<>();
  private final Writes writes = new Writes();
  private final List<String> warnings = new ArrayList<>();

  private Audit(ControllerReadings readings) {
    this.readings = readings;
    machine = readings.machine();
    software = readings.jobSoftware();
    settings = Settings.parse(readings.settings());
  }

  public static ControllerFinding solve(ControllerReadings readings) {
    return new Audit(readings).solve();
  }

  private ControllerFinding solve() {
    OptionalDouble top = number(Settings.TOP_POWER_WORD, MOST_WORD);
    OptionalDouble least = number(Settings.LEAST_POWER_WORD, MOST_WORD);
    Optional<PowerScale> scale =
        top.isPresent()
            ? Optional.of(
                new PowerScale(top.getAsDouble(), least.orElse(0), software.topPowerWord()))
            : Optional.empty();
    if (top.isPresent() && least.isEmpty()) {
      warnings.add("The least power word ($31) was not reported: it is taken as 0.");
    }
    powerWordScale(top, scale);
    laserMode();
    homeCorner();
    travel();
    limits();
    units();
    airAssist();
    leastPowerWord(least);
    software.areaMm().ifPresent(this::workArea);
    software.originCorner().ifPresent(this::origin);
    return finding(scale);
  }

  private OptionalDouble number(int setting, double most) {
    return settings.number(setting, 0, most);
  }

  private void powerWordScale(OptionalDouble top, Optional<PowerScale> scale) {
    double wanted = software.topPowerWord();
    String words =
        scale
            .map(s ->
                s.effectiveFullPower() < 1 - 1e-12
                    ? "100 %% in the software reaches only %s %% of the %s"
                        .formatted(
                            Numbers.fixed(100 * s.effectiveFullPower(), 1),
                            readings.spindle() ? "spindle's speed" : "laser")
                    : "everything above %s %% in the software is the same full power"
                        .formatted(Numbers.fixed(s.saturatesAtPercent(), 1)))
            .orElse("");
    if (top.isEmpty() || top.getAsDouble() == wanted) {
      note(
          "power-word-scale", Settings.TOP_POWER_WORD, Value.of(top), "The top power words agree.");
    } else if (readings.policy() == Policy.MATCH_SOFTWARE) {
      adjust(
          "power-word-scale",
          30,
          Value.of(top),
          new Value.Number(wanted),
          Severity.ADJUST,
          "Set the controller's top power word to " + Numbers.plain(wanted),
          words);
      writes.scale(Settings.TOP_POWER_WORD, wanted);
    } else {
      adjust(
          "power-word-scale",
          30,
          Value.of(top),
          Value.of(top),
          Severity.ADJUST,
          "Set the top power word in the job software to " + Numbers.plain(top.getAsDouble()),
          words);
    }
  }

  private void laserMode() {
    OptionalDouble mode = number(Settings.LASER_MODE, MOST_FLAG);
    if (readings.spindle()) {
      spindleMode(mode);
    } else if (mode.isEmpty() || mode.getAsDouble() == 1) {
      note("laser-mode", 32, Value.of(mode), "The laser follows the motion.");
    } else {
      adjust(
          "laser-mode",
          32,
          Value.of(mode),
          new Value.Number(1),
          Severity.STOP,
          "Let the laser follow the motion",
          "as it is every stop leaves a burn, and a pause can set fire");
      writes.first(Settings.LASER_MODE, 1);
    }
  }

  private void spindleMode(OptionalDouble mode) {
    if (mode.isEmpty() || mode.getAsDouble() == 0) {
      note("laser-mode", 32, Value.of(mode), "The spindle runs by itself.");
    } else {
      adjust(
          "laser-mode",
          32,
          Value.of(mode),
          new Value.Number(0),
          Severity.ADJUST,
          "Switch the laser mode off for the spindle",
          "with it the spindle stands still before each cut has ended");
      writes.scale(Settings.LASER_MODE, 0);
    }
  }

  private void limits() {
    OptionalDouble homing = number(Settings.HOMING, MOST_FLAG);
    OptionalDouble hard = number(Settings.HARD_LIMITS, MOST_FLAG);
    OptionalDouble soft = number(Settings.SOFT_LIMITS, MOST_FLAG);
    boolean switches = machine.limitSwitches();
    flag(
        "homing",
        Settings.HOMING,
        homing,
        switches,
        "homing",
        "without it nobody knows where the head is after switching on",
        "it has no switches and would drive against the frame looking for them");
    flag(
        "hard-limits",
        Settings.HARD_LIMITS,
        hard,
        switches,
        "the hard limits",
        "without them a lost step or a crash does not stop it",
        "it has no switches, and open inputs raise false alarms");
    boolean homes = homing.isPresent() && isOn(homing);
    if (soft.isPresent() && isOn(soft) && homing.isPresent() && !homes) {
      adjust(
          "soft-limits",
          Settings.SOFT_LIMITS,
          Value.of(soft),
          new Value.Number(switches ? 1 : 0),
          Severity.STOP,
          switches ? "Switch homing on before anything moves" : "Switch the soft limits off",
          "soft limits without homing guard the wrong place");
      if (!switches) {
        writes.off(Settings.SOFT_LIMITS);
      }
    } else if (soft.isPresent() && isOn(soft) != switches && (!switches || homing.isPresent())) {
      adjust(
          "soft-limits",
          Settings.SOFT_LIMITS,
          Value.of(soft),
          new Value.Number(switches ? 1 : 0),
          Severity.ADJUST,
          switches ? "Switch the soft limits on" : "Switch the soft limits off",
          switches
              ? "without them a job larger than the bed drives against its end"
              : "without switches it cannot home, and they guard the wrong place");
      if (switches) {
        writes.last(Settings.SOFT_LIMITS, 1);
      } else {
        writes.off(Settings.SOFT_LIMITS);
      }
    } else {
      note(
          "soft-limits",
          Settings.SOFT_LIMITS,
          Value.of(soft),
          "The soft limits are as they should be.");
    }
  }

  private static boolean isOn(OptionalDouble flag) {
    return flag.getAsDouble() != 0;
  }

  private void flag(
      String id,
      int setting,
      OptionalDouble now,
      boolean wanted,
      String name,
      String whyOn,
      String whyOff) {
    if (now.isEmpty() || isOn(now) == wanted) {
      note(id, setting, Value.of(now), "It is as it should be.");
      return;
    }
    adjust(
        id,
        setting,
        Value.of(now),
        new Value.Number(wanted ? 1 : 0),
        Severity.ADJUST,
        "Switch %s %s".formatted(name, wanted ? "on" : "off"),
        wanted ? whyOn : whyOff);
    if (!wanted) {
      writes.off(setting);
    } else if (setting == Settings.HOMING) {
      writes.homing(setting, 1);
    } else {
      writes.guard(setting, 1);
    }
  }

  private void homeCorner() {
    OptionalDouble mask = settings.number(Settings.HOMING_DIRECTION, 0, 255);
    if (mask.isEmpty()) {
      note("home-corner", 23, Value.of(mask), "The homing direction was not reported.");
      return;
    }
    int now = (int) mask.getAsDouble();
    int right = now & ~3 | machine.homeCorner().homingBits();
    if (now == right || !machine.limitSwitches()) {
      note("home-corner", 23, Value.of(mask), "It homes to the right corner, or not at all.");
      return;
    }
    adjust(
        "home-corner",
        23,
        Value.of(mask),
        new Value.Number(right),
        Severity.ADJUST,
        "Let it home to the %s, by the direction mask %d"
            .formatted(machine.homeCorner().words(), right),
        "it looks for its switches at the %s".formatted(Corner.ofMask(now).words()));
    writes.geometry(Settings.HOMING_DIRECTION, right);
  }

  private void travel() {
    OptionalDouble x = settings.number(Settings.TRAVEL_X, 0, MOST_TRAVEL_MM);
    OptionalDouble y = settings.number(Settings.TRAVEL_Y, 0, MOST_TRAVEL_MM);
    double rightX = machine.travelMm().get(0);
    double rightY = machine.travelMm().get(1);
    boolean wrongX = x.isPresent() && !near(x.getAsDouble(), rightX);
    boolean wrongY = y.isPresent() && !near(y.getAsDouble(), rightY);
    Value observed = x.isEmpty() && y.isEmpty() ? new Value.Nothing() : new Value.Pair(x, y);
    if (!wrongX && !wrongY) {
      note("travel", "$130/$131", observed, "The travel is the machine's, as far as reported.");
      return;
    }
    add(
        "travel",
        "$130/$131",
        observed,
        new Value.Pair(OptionalDouble.of(rightX), OptionalDouble.of(rightY)),
        Severity.ADJUST,
        "Set the travel to %s × %s mm".formatted(Numbers.plain(rightX), Numbers.plain(rightY)),
        "the controller believes in %s, and its soft limits stop too early or too late"
            .formatted(observed.words()));
    if (wrongX) {
      writes.geometry(Settings.TRAVEL_X, rightX);
    }
    if (wrongY) {
      writes.geometry(Settings.TRAVEL_Y, rightY);
    }
  }

  private static boolean near(double a, double b) {
    return Math.abs(a - b) < SAME_LENGTH_MM;
  }

  private void units() {
    OptionalDouble inches = number(Settings.REPORT_INCHES, MOST_FLAG);
    double right = software.units() == Units.INCH ? 1 : 0;
    if (inches.isEmpty() || (inches.getAsDouble() != 0) == (right == 1)) {
      note("units", 13, Value.of(inches), "Its reports are in the software's unit.");
      return;
    }
    adjust(
        "units",
        13,
        Value.of(inches),
        new Value.Number(right),
        Severity.ADJUST,
        "Let it report in " + (right == 1 ? "inches" : "mm"),
        "positions are shown wrong by 25.4, though the motion is right");
    writes.report(Settings.REPORT_INCHES, right);
  }

  private void airAssist() {
    Value sent = new Value.Word(software.airAssistCode().spelling());
    Value wired = new Value.Word(readings.wiredAirAssistCode().spelling());
    if (sent.equals(wired)) {
      note("air-assist", "job software", sent, "The software sends the code that is wired.");
    } else {
      add(
          "air-assist",
          "job software",
          sent,
          wired,
          Severity.ADJUST,
          "Let the job software send %s for air".formatted(wired.words()),
          "it sends %s, the valve is wired to %s, and it cuts without air"
              .formatted(sent.words(), wired.words()));
    }
  }

  private void leastPowerWord(OptionalDouble least) {
    if (least.isEmpty() || least.getAsDouble() == 0) {
      note("minimum-power-word", 31, Value.of(least), "The power begins at nothing.");
      return;
    }
    adjust(
        "minimum-power-word",
        31,
        Value.of(least),
        new Value.Number(0),
        Severity.ADJUST,
        "Set the least power word to 0",
        "below word %s nothing comes, and every share above it is off"
            .formatted(Numbers.plain(least.getAsDouble())));
    writes.least(Settings.LEAST_POWER_WORD, 0);
  }

  private void workArea(List<Double> area) {
    Value.Pair observed =
        new Value.Pair(OptionalDouble.of(area.get(0)), OptionalDouble.of(area.get(1)));
    Value.Pair travel =
        new Value.Pair(
            OptionalDouble.of(machine.travelMm().get(0)),
            OptionalDouble.of(machine.travelMm().get(1)));
    boolean same =
        near(area.get(0), machine.travelMm().get(0))
            && near(area.get(1), machine.travelMm().get(1));
    if (same) {
      note("work-area", "job software", observed, "The software's work area is the machine's.");
    } else {
      add(
          "work-area",
          "job software",
          observed,
          travel,
          Severity.ADJUST,
          "Set the work area in the job software to %s mm".formatted(travel.words()),
          "it believes in %s mm, and work lands off the bed or stops short of it"
              .formatted(observed.words()));
    }
  }

  private void origin(Corner corner) {
    Value observed = word(corner);
    Value right = word(machine.homeCorner());
    if (corner == machine.homeCorner()) {
      note("origin", "job software", observed, "The software's origin is where the machine homes.");
    } else {
      add(
          "origin",
          "job software",
          observed,
          right,
          Severity.ADJUST,
          "Set the origin in the job software to the " + machine.homeCorner().words(),
          "it has the %s, and work lands mirrored or off the bed".formatted(corner.words()));
    }
  }

  private static Value word(Corner corner) {
    return new Value.Word(corner.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
  }

  private void note(String id, int setting, Value observed, String why) {
    note(id, "$" + setting, observed, why);
  }

  private void note(String id, String setting, Value observed, String why) {
    items.add(
        new Item(
            id,
            setting,
            observed,
            observed,
            Severity.NOTE,
            observed instanceof Value.Nothing ? "It was not reported; nothing can be said." : why));
  }

  private void adjust(
      String id,
      int setting,
      Value observed,
      Value advised,
      Severity severity,
      String todo,
      String because) {
    add(id, "$" + setting, observed, advised, severity, todo, because);
  }

  private void add(
      String id,
      String setting,
      Value observed,
      Value advised,
      Severity severity,
      String todo,
      String because) {
    items.add(new Item(id, setting, observed, advised, severity, todo + ": " + because + "."));
  }

  private ControllerFinding finding(Optional<PowerScale> scale) {
    List<Item> wrong =
        items.stream()
            .filter(i -> i.severity() != Severity.NOTE)
            .sorted(Comparator.comparing(Item::severity).reversed())
            .toList();
    List<String> advice = new ArrayList<>();
    wrong.forEach(i -> advice.add(i.why()));
    Verdict verdict = Verdict.WITHIN;
    if (!wrong.isEmpty()) {
      verdict = wrong.getFirst().severity() == Severity.STOP ? Verdict.STOP : Verdict.ADJUST;
    } else if (scale.isEmpty()) {
      verdict = Verdict.MEASURE_AGAIN;
    }
    if (scale.isEmpty()) {
      advice.add("Read the top power word ($30): without it nobody knows the share of the laser.");
    }
    if (advice.isEmpty()) {
      advice.add("Leave it: the settings fit the machine and the software.");
    }
    return new ControllerFinding(
        scale.map(s -> OptionalDouble.of(s.effectiveFullPower())).orElse(OptionalDouble.empty()),
        scale.map(s -> OptionalDouble.of(s.saturatesAtPercent())).orElse(OptionalDouble.empty()),
        scale.map(PowerScale::table).orElseGet(PowerScale::unknown),
        items,
        writes.inOrder(),
        verdict,
        advice,
        warnings);
  }
}
