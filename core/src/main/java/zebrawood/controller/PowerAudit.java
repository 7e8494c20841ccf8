package zebrawood.controller;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Power words: what full power is, whether power follows the motion, and where power begins. */
final class PowerAudit {
  private final ControllerReadings readings;
  private final AuditList list;

  PowerAudit(ControllerReadings readings, AuditList list) {
    this.readings = readings;
    this.list = list;
  }

  void powerWordScale(OptionalDouble top, Optional<PowerScale> scale) {
    double wanted = readings.jobSoftware().topPowerWord();
    String id = "power-word-scale";
    Message because = scale.map(this::reaches).orElse(Message.NONE);
    if (top.isEmpty() || top.getAsDouble() == wanted) {
      list.note(id, Role.TOP_POWER_WORD, Message.of("controller.audit.top-power-words"));
    } else if (readings.policy() == Policy.MATCH_SOFTWARE) {
      list.adjust(
          id,
          Role.TOP_POWER_WORD,
          new Value.Number(wanted),
          Severity.ADJUST,
          Message.of("controller.audit.set-top-word", Message.number(wanted)),
          because);
      list.write(Writes.Rank.SCALE, Role.TOP_POWER_WORD, wanted);
    } else {
      list.adjust(
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

  void powerFollowsMotion() {
    Role role = Role.LASER_FOLLOWS_MOTION;
    String wanted = readings.spindle() ? Role.OFF : Role.ON;
    Optional<String> now = list.settings().meaning(role);
    if (now.isEmpty() || now.get().equals(wanted)) {
      list.note(
          "laser-mode",
          role,
          Message.of(
              readings.spindle()
                  ? "controller.audit.spindle-runs-by"
                  : "controller.audit.laser-follows-motion"));
    } else if (readings.spindle()) {
      list.adjust(
          "laser-mode",
          role,
          new Value.Word(wanted),
          Severity.ADJUST,
          Message.of("controller.audit.spindle-ignores-motion"),
          Message.of("controller.audit.with-spindle-stands"));
      list.write(Writes.Rank.SCALE, role, wanted);
    } else {
      list.adjust(
          "laser-mode",
          role,
          new Value.Word(wanted),
          Severity.STOP,
          Message.of("controller.audit.let-laser-follow"),
          Message.of("controller.audit.as-every-stop"));
      list.write(Writes.Rank.FIRST, role, wanted);
    }
  }

  void leastPowerWord(OptionalDouble least) {
    if (least.isEmpty() || least.getAsDouble() == 0) {
      list.note(
          "minimum-power-word",
          Role.LEAST_POWER_WORD,
          Message.of("controller.audit.power-begins-nothing"));
      return;
    }
    list.adjust(
        "minimum-power-word",
        Role.LEAST_POWER_WORD,
        new Value.Number(0),
        Severity.ADJUST,
        Message.of("controller.audit.set-least-power"),
        Message.of(
            "controller.audit.below-word-nothing",
            Amount.plain(least.getAsDouble(), Quantity.NUMBER)));
    list.write(Writes.Rank.LEAST, Role.LEAST_POWER_WORD, 0);
  }
}
