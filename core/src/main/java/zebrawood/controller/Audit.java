package zebrawood.controller;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.controller.ControllerFinding.Item;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
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
  private static final double MOST_WORD = 1e9;

  private final JobSoftware software;
  private final ControllerReadings readings;
  private final Settings settings;
  private final AuditList list;

  private Audit(ControllerReadings readings, Settings settings) {
    this.readings = readings;
    software = readings.jobSoftware();
    this.settings = settings;
    list = new AuditList(readings.dialect(), settings);
  }

  /** As the contract asks it: the corner must be named, with switches or without. */
  public static ControllerFinding solve(ControllerReadings readings) {
    if (readings.machine().homeCorner().isEmpty()) {
      throw UnusableReading.of(
          "machine" + "." + "homeCorner",
          Message.of("accepts.missing"),
          Message.of(
              "json.one-of",
              Message.verbatim(
                  Stream.of(Corner.values()).map(Corner::spelled).toList().toString())));
    }
    return solve(readings, Settings.parse(readings.settings(), readings.dialect()));
  }

  /**
   * @param settings those of the readings, read already
   */
  public static ControllerFinding solve(ControllerReadings readings, Settings settings) {
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
      list.warn(Message.of("controller.audit.least-power-word"));
    }
    PowerAudit power = new PowerAudit(readings, list);
    LimitsAudit limits = new LimitsAudit(readings.machine(), list);
    SpaceAudit space = new SpaceAudit(readings.machine(), list);
    power.powerWordScale(top, scale);
    power.powerFollowsMotion();
    limits.limits(limits.homeCorner());
    space.travel();
    space.units();
    airAssist();
    power.leastPowerWord(least);
    software.areaMm().ifPresent(space::workArea);
    software.originCorner().ifPresent(space::origin);
    return finding(scale);
  }

  /** What is printed as something that the dialect does not list is named, and left alone. */
  private void understand() {
    for (Role role : AUDITED) {
      if (list.notUnderstood(role)) {
        list.warn(
            Message.of(
                "controller.audit.not-understood",
                Message.quoted(readings.dialect().key(role).orElse("")),
                Message.quoted(settings.printed(role).orElse("")),
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

  private void airAssist() {
    Value sent = airCode(software.airAssistCode());
    Value wired = airCode(readings.wiredAirAssistCode());
    if (sent instanceof Value.Nothing || wired instanceof Value.Nothing) {
      list.note("air-assist", Optional.empty(), sent, Message.of("controller.audit.air-not-said"));
    } else if (sent.equals(wired)) {
      list.note(
          "air-assist", Optional.empty(), sent, Message.of("controller.audit.software-sends-code"));
    } else {
      list.add(
          "air-assist",
          Optional.empty(),
          sent,
          wired,
          Severity.ADJUST,
          Message.of("controller.audit.let-job-software", wired.said()),
          Message.of("controller.audit.sends-valve-wired", sent.said(), wired.said()));
    }
  }

  private static Value airCode(String code) {
    return code.isBlank() ? new Value.Nothing() : new Value.Word(code.strip());
  }

  private ControllerFinding finding(Optional<PowerScale> scale) {
    List<Item> wrong =
        list.items().stream()
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
        list.items(),
        list.writes(),
        verdict,
        advice,
        list.warnings());
  }
}
