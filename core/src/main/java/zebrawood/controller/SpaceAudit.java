package zebrawood.controller;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Lengths and places: what the machine travels, and what the job software believes of it. */
final class SpaceAudit {
  /** Closer than this two lengths are the same travel: no frame is built to it. */
  private static final double SAME_LENGTH_MM = 0.01;

  private static final double MM_PER_INCH = 25.4;

  /** Within this share a ratio is the one of inches to millimetres. */
  private static final double SAME_RATIO = 0.005;

  private static final double MOST_TRAVEL_MM = 100_000;

  private final MachineFacts machine;
  private final AuditList list;

  SpaceAudit(MachineFacts machine, AuditList list) {
    this.machine = machine;
    this.list = list;
  }

  void travel() {
    OptionalDouble x = list.settings().number(Role.TRAVEL_X, 0, MOST_TRAVEL_MM);
    OptionalDouble y = list.settings().number(Role.TRAVEL_Y, 0, MOST_TRAVEL_MM);
    double rightX = machine.travelMm().get(0);
    double rightY = machine.travelMm().get(1);
    boolean wrongX = x.isPresent() && !near(x.getAsDouble(), rightX);
    boolean wrongY = y.isPresent() && !near(y.getAsDouble(), rightY);
    boolean printed =
        list.settings().printed(Role.TRAVEL_X).isPresent()
            || list.settings().printed(Role.TRAVEL_Y).isPresent();
    Value observed =
        printed
            ? new Value.Two(list.observed(Role.TRAVEL_X), list.observed(Role.TRAVEL_Y))
            : new Value.Nothing();
    Optional<String> keys =
        joined(list.dialect().key(Role.TRAVEL_X), list.dialect().key(Role.TRAVEL_Y));
    if (!wrongX && !wrongY) {
      list.note("travel", keys, observed, Message.of("controller.audit.travel-machine-as"));
      return;
    }
    boolean inches =
        wrongX && inchesFor(x.getAsDouble(), rightX)
            || wrongY && inchesFor(y.getAsDouble(), rightY);
    list.add(
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
      list.warn(Message.of("controller.audit.inches-not-written"));
      return;
    }
    if (wrongX) {
      list.write(Writes.Rank.GEOMETRY, Role.TRAVEL_X, rightX);
    }
    if (wrongY) {
      list.write(Writes.Rank.GEOMETRY, Role.TRAVEL_Y, rightY);
    }
  }

  private static Optional<String> joined(Optional<String> x, Optional<String> y) {
    return x.isPresent() && y.isPresent() ? Optional.of(x.get() + "," + y.get()) : x.or(() -> y);
  }

  private static boolean near(double a, double b) {
    return Math.abs(a - b) < SAME_LENGTH_MM;
  }

  /** Less than half, or more than twice: read in another unit, or of another machine. */
  private static boolean unlike(double areaMm, double travelMm) {
    return areaMm < travelMm / 2 || areaMm > 2 * travelMm;
  }

  /** Whether one is the other in inches: a length is then never "corrected", its unit is. */
  static boolean inchesFor(double one, double other) {
    double ratio = Math.max(one, other) / Math.min(one, other);
    return Math.abs(ratio / MM_PER_INCH - 1) < SAME_RATIO;
  }

  void units() {
    list.note("units", Role.REPORT_UNITS, Message.of("controller.audit.reports-are-software"));
  }

  void workArea(List<Double> area) {
    double x = machine.travelMm().get(0);
    double y = machine.travelMm().get(1);
    Value observed = Value.two(area.get(0), area.get(1));
    Value travel = Value.two(x, y);
    boolean fits = area.get(0) < x + SAME_LENGTH_MM && area.get(1) < y + SAME_LENGTH_MM;
    boolean inches = inchesFor(area.get(0), x) || inchesFor(area.get(1), y);
    if (inches) {
      list.warn(Message.of("controller.audit.area-inches", observed.said()));
    } else if (unlike(area.get(0), x) || unlike(area.get(1), y)) {
      list.warn(Message.of("controller.audit.area-unlike", observed.said(), travel.said()));
    }
    if (fits) {
      list.note(
          "work-area",
          Optional.empty(),
          observed,
          Message.of("controller.audit.software-work-area"));
    } else {
      list.add(
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

  void origin(Corner corner) {
    Value observed = new Value.Word(corner.spelled());
    Optional<Corner> home = machine.homeCorner();
    if (home.isEmpty()) {
      list.note(
          "origin",
          Optional.empty(),
          observed,
          Message.of("controller.audit.zero-where-switched-on"));
    } else if (corner == home.get()) {
      list.note(
          "origin",
          Optional.empty(),
          observed,
          Message.of("controller.audit.software-origin-where"));
    } else {
      list.add(
          "origin",
          Optional.empty(),
          observed,
          new Value.Word(home.get().spelled()),
          Severity.ADJUST,
          Message.of("controller.audit.set-origin", home.get()),
          Message.of("controller.audit.work-lands-mirrored", corner));
    }
  }
}
