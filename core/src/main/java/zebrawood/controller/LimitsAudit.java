package zebrawood.controller;

import java.util.Optional;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.words.Message;

/** The corner that it homes to, homing, hard and soft limits, which need one another. */
final class LimitsAudit {
  private final MachineFacts machine;
  private final AuditList list;

  LimitsAudit(MachineFacts machine, AuditList list) {
    this.machine = machine;
    this.list = list;
  }

  /** Whether it homes to a corner that is wrong, and cannot be told the right one. */
  boolean homeCorner() {
    Role role = Role.HOME_CORNER;
    Optional<String> now = list.settings().meaning(role);
    Optional<String> right = machine.homeCorner().map(Corner::spelled);
    if (now.isEmpty() || right.isEmpty() || now.equals(right) || !machine.limitSwitches()) {
      list.note(
          "home-corner",
          role,
          Message.of(
              now.isEmpty()
                  ? "controller.audit.homing-direction-was"
                  : "controller.audit.homes-right-corner"));
      return false;
    }
    list.adjust(
        "home-corner",
        role,
        new Value.Word(right.get()),
        Severity.ADJUST,
        Message.of("controller.audit.let-home", machine.homeCorner().get()),
        Message.of("controller.audit.looks-switches", Role.said(now.get())));
    return !list.write(Writes.Rank.GEOMETRY, role, right.get());
  }

  /**
   * Homing, hard and soft limits, which need one another.
   *
   * @param cornerStaysWrong homing would go to a corner that is known to be wrong
   */
  void limits(boolean cornerStaysWrong) {
    boolean switches = machine.limitSwitches();
    boolean softOn = list.settings().is(Role.SOFT_LIMITS, Role.ON);
    boolean homes = list.settings().is(Role.HOMING, Role.ON);
    boolean homesNot = list.settings().is(Role.HOMING, Role.OFF);
    // Not reported, it is switched on all the same where soft limits already trust it.
    boolean mayBegin = homesNot || softOn && !homes && !list.notUnderstood(Role.HOMING);
    boolean begins =
        switches && mayBegin && !cornerStaysWrong && list.line(Role.HOMING, Role.ON).isPresent();
    boolean willHome = switches && (homes || begins);
    boolean softGoes = softOn && !willHome;
    boolean softStays = softGoes && list.line(Role.SOFT_LIMITS, Role.OFF).isEmpty();

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
    Optional<String> now = list.settings().meaning(Role.HOMING);
    if (begins) {
      list.write(Writes.Rank.HOMING, Role.HOMING, Role.ON);
    }
    if (now.isEmpty() || now.get().equals(switches ? Role.ON : Role.OFF)) {
      list.note("homing", Role.HOMING, Message.of("controller.audit.as-should"));
      return;
    }
    list.adjust(
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
      list.warn(Message.of("controller.audit.homing-waits-for-corner"));
    } else if (!switches && softStays) {
      list.warn(Message.of("controller.audit.homing-waits-for-soft"));
    } else if (!switches) {
      list.write(Writes.Rank.HOMING_OFF, Role.HOMING, Role.OFF);
    } else if (!begins) {
      list.write(Writes.Rank.HOMING, Role.HOMING, Role.ON);
    }
  }

  private void soft(boolean softOn, boolean homes, boolean willHome, boolean switches) {
    Role role = Role.SOFT_LIMITS;
    Value advised = new Value.Word(willHome ? Role.ON : Role.OFF);
    boolean known = list.settings().meaning(role).isPresent();
    if (softOn && !homes) {
      list.adjust(
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
        list.write(Writes.Rank.SOFT_OFF, role, Role.OFF);
      }
    } else if (known && softOn != willHome) {
      list.adjust(
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
      list.write(
          willHome ? Writes.Rank.LAST : Writes.Rank.SOFT_OFF, role, willHome ? Role.ON : Role.OFF);
    } else {
      list.note("soft-limits", role, Message.of("controller.audit.soft-limits-are"));
    }
  }

  private void flag(String id, Role role, boolean wanted, Message whyOn, Message whyOff) {
    Optional<String> now = list.settings().meaning(role);
    String advised = wanted ? Role.ON : Role.OFF;
    if (now.isEmpty() || now.get().equals(advised)) {
      list.note(id, role, Message.of("controller.audit.as-should"));
      return;
    }
    list.adjust(
        id,
        role,
        new Value.Word(advised),
        Severity.ADJUST,
        Message.of("controller.audit.switch-" + id + (wanted ? "-on" : "-off")),
        wanted ? whyOn : whyOff);
    list.write(wanted ? Writes.Rank.GUARD : Writes.Rank.HARD_OFF, role, advised);
  }
}
