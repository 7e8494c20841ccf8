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
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

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
  private final List<Message> warnings = new ArrayList<>();

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
      warnings.add(Message.of("controller.audit.least-power-word"));
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
    Message because = scale.map(this::reaches).orElse(Message.NONE);
    if (top.isEmpty() || top.getAsDouble() == wanted) {
      note(
          "power-word-scale",
          Settings.TOP_POWER_WORD,
          Value.of(top),
          Message.of("controller.audit.top-power-words"));
    } else if (readings.policy() == Policy.MATCH_SOFTWARE) {
      adjust(
          "power-word-scale",
          30,
          Value.of(top),
          new Value.Number(wanted),
          Severity.ADJUST,
          Message.of("controller.audit.set-top-word", Message.number(wanted)),
          because);
      writes.scale(Settings.TOP_POWER_WORD, wanted);
    } else {
      adjust(
          "power-word-scale",
          30,
          Value.of(top),
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
    OptionalDouble mode = number(Settings.LASER_MODE, MOST_FLAG);
    if (readings.spindle()) {
      spindleMode(mode);
    } else if (mode.isEmpty() || mode.getAsDouble() == 1) {
      note("laser-mode", 32, Value.of(mode), Message.of("controller.audit.laser-follows-motion"));
    } else {
      adjust(
          "laser-mode",
          32,
          Value.of(mode),
          new Value.Number(1),
          Severity.STOP,
          Message.of("controller.audit.let-laser-follow"),
          Message.of("controller.audit.as-every-stop"));
      writes.first(Settings.LASER_MODE, 1);
    }
  }

  private void spindleMode(OptionalDouble mode) {
    if (mode.isEmpty() || mode.getAsDouble() == 0) {
      note("laser-mode", 32, Value.of(mode), Message.of("controller.audit.spindle-runs-by"));
    } else {
      adjust(
          "laser-mode",
          32,
          Value.of(mode),
          new Value.Number(0),
          Severity.ADJUST,
          Message.of("controller.audit.switch-laser-mode"),
          Message.of("controller.audit.with-spindle-stands"));
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
        Message.of("controller.audit.without-nobody-knows"),
        Message.of("controller.audit.no-switches-would"));
    flag(
        "hard-limits",
        Settings.HARD_LIMITS,
        hard,
        switches,
        "hard-limits",
        Message.of("controller.audit.without-them-lost"),
        Message.of("controller.audit.no-switches-open"));
    boolean homes = homing.isPresent() && isOn(homing);
    if (soft.isPresent() && isOn(soft) && homing.isPresent() && !homes) {
      adjust(
          "soft-limits",
          Settings.SOFT_LIMITS,
          Value.of(soft),
          new Value.Number(switches ? 1 : 0),
          Severity.STOP,
          switches
              ? Message.of("controller.audit.switch-homing-before")
              : Message.of("controller.audit.switch-soft-limits"),
          Message.of("controller.audit.soft-limits-without"));
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
          switches
              ? Message.of("controller.audit.switch-soft-limits-2")
              : Message.of("controller.audit.switch-soft-limits"),
          switches
              ? Message.of("controller.audit.without-them-job")
              : Message.of("controller.audit.without-switches-cannot"));
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
          Message.of("controller.audit.soft-limits-are"));
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
      Message whyOn,
      Message whyOff) {
    if (now.isEmpty() || isOn(now) == wanted) {
      note(id, setting, Value.of(now), Message.of("controller.audit.as-should"));
      return;
    }
    adjust(
        id,
        setting,
        Value.of(now),
        new Value.Number(wanted ? 1 : 0),
        Severity.ADJUST,
        Message.of("controller.audit.switch-" + name + (wanted ? "-on" : "-off")),
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
      note("home-corner", 23, Value.of(mask), Message.of("controller.audit.homing-direction-was"));
      return;
    }
    int now = (int) mask.getAsDouble();
    int right = now & ~3 | machine.homeCorner().homingBits();
    if (now == right || !machine.limitSwitches()) {
      note("home-corner", 23, Value.of(mask), Message.of("controller.audit.homes-right-corner"));
      return;
    }
    adjust(
        "home-corner",
        23,
        Value.of(mask),
        new Value.Number(right),
        Severity.ADJUST,
        Message.of("controller.audit.let-home-by", machine.homeCorner(), right),
        Message.of("controller.audit.looks-switches", Corner.ofMask(now)));
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
      note("travel", "$130/$131", observed, Message.of("controller.audit.travel-machine-as"));
      return;
    }
    add(
        "travel",
        "$130/$131",
        observed,
        new Value.Pair(OptionalDouble.of(rightX), OptionalDouble.of(rightY)),
        Severity.ADJUST,
        Message.of(
            "controller.audit.set-travel",
            Message.bare(Amount.plain(rightX, Quantity.LENGTH)),
            Amount.plain(rightY, Quantity.LENGTH)),
        Message.of("controller.audit.controller-believes-soft", observed.said()));
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
      note("units", 13, Value.of(inches), Message.of("controller.audit.reports-are-software"));
      return;
    }
    adjust(
        "units",
        13,
        Value.of(inches),
        new Value.Number(right),
        Severity.ADJUST,
        Message.of(right == 1 ? "controller.audit.report-inches" : "controller.audit.report-mm"),
        Message.of("controller.audit.positions-are-shown"));
    writes.report(Settings.REPORT_INCHES, right);
  }

  private void airAssist() {
    Value sent = new Value.Word(software.airAssistCode().spelling());
    Value wired = new Value.Word(readings.wiredAirAssistCode().spelling());
    if (sent.equals(wired)) {
      note("air-assist", "job software", sent, Message.of("controller.audit.software-sends-code"));
    } else {
      add(
          "air-assist",
          "job software",
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
          31,
          Value.of(least),
          Message.of("controller.audit.power-begins-nothing"));
      return;
    }
    adjust(
        "minimum-power-word",
        31,
        Value.of(least),
        new Value.Number(0),
        Severity.ADJUST,
        Message.of("controller.audit.set-least-power"),
        Message.of(
            "controller.audit.below-word-nothing",
            Amount.plain(least.getAsDouble(), Quantity.NUMBER)));
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
      note(
          "work-area", "job software", observed, Message.of("controller.audit.software-work-area"));
    } else {
      add(
          "work-area",
          "job software",
          observed,
          travel,
          Severity.ADJUST,
          Message.of("controller.audit.set-work-area", travel.said()),
          Message.of("controller.audit.believes-mm-work", observed.said()));
    }
  }

  private void origin(Corner corner) {
    Value observed = word(corner);
    Value right = word(machine.homeCorner());
    if (corner == machine.homeCorner()) {
      note(
          "origin", "job software", observed, Message.of("controller.audit.software-origin-where"));
    } else {
      add(
          "origin",
          "job software",
          observed,
          right,
          Severity.ADJUST,
          Message.of("controller.audit.set-origin", machine.homeCorner()),
          Message.of("controller.audit.work-lands-mirrored", corner));
    }
  }

  private static Value word(Corner corner) {
    return new Value.Word(corner.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
  }

  private void note(String id, int setting, Value observed, Message why) {
    note(id, "$" + setting, observed, why);
  }

  private void note(String id, String setting, Value observed, Message why) {
    items.add(
        new Item(
            id,
            setting,
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
      String id,
      int setting,
      Value observed,
      Value advised,
      Severity severity,
      Message todo,
      Message because) {
    add(id, "$" + setting, observed, advised, severity, todo, because);
  }

  private void add(
      String id,
      String setting,
      Value observed,
      Value advised,
      Severity severity,
      Message todo,
      Message because) {
    items.add(
        new Item(
            id,
            setting,
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
    if (!wrong.isEmpty()) {
      verdict = wrong.getFirst().severity() == Severity.STOP ? Verdict.STOP : Verdict.ADJUST;
    } else if (scale.isEmpty()) {
      verdict = Verdict.MEASURE_AGAIN;
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
        scale.map(PowerScale::table).orElseGet(PowerScale::unknown),
        items,
        writes.inOrder(),
        verdict,
        advice,
        warnings);
  }
}
