package zebrawood.controller;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.controller.ControllerFinding.Item;
import zebrawood.controller.ControllerFinding.Severity;
import zebrawood.controller.ControllerFinding.Value;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.machine.PulseRange;
import zebrawood.machine.SourceKind;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.quantity.TypedQuantity;
import zebrawood.quantity.Unit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Compares what is set for a field and its source with the lens that is on it and the machine's own
 * source. Only what a dialect names is judged, and only where its value is understood.
 */
final class FieldAudit {
  private static final Pattern LENS = Pattern.compile("[fF][-= ]?(?=\\d)");

  /** The unit of a rate, as it stands in a name. */
  private static final Pattern RATE_UNIT = Pattern.compile("(?i)(?<![a-z])(khz|mhz|hz)(?![a-z])");

  /** A field is set up to its lens and differs a little from the number on it. */
  private static final double SAME_FIELD = 0.1;

  /** What is engraved on a lens is rounded. */
  static final double SAME_LENS = 0.03;

  private final Settings settings;
  private final Machine machine;
  private final Optional<Lens> fitted;
  private final List<Message> warnings = new ArrayList<>();
  private final Map<Role, Item> items = new EnumMap<>(Role.class);

  private FieldAudit(Settings settings, Machine machine, Optional<Lens> fitted) {
    this.settings = settings;
    this.machine = machine;
    this.fitted = fitted;
  }

  /** Every role of a field that the dialect names, in the order of the roles. */
  record Finding(List<Item> items, List<Message> warnings) {}

  static Finding solve(Settings settings, Machine machine, Optional<Lens> fitted) {
    FieldAudit audit = new FieldAudit(settings, machine, fitted);
    audit.size(Role.FIELD_SIZE_X, machine.areaXMm());
    audit.size(Role.FIELD_SIZE_Y, machine.areaYMm());
    audit.lens();
    audit.source();
    audit.rate(Role.LEAST_PULSE_RATE);
    audit.rate(Role.MOST_PULSE_RATE);
    for (Role role :
        List.of(Role.FIELD_SCALE_X, Role.FIELD_SCALE_Y, Role.FIELD_OFFSET_X, Role.FIELD_OFFSET_Y)) {
      audit.seen(role).ifPresent(printed -> audit.note(role, printed, "controller.field.measure"));
    }
    return new Finding(List.copyOf(audit.items.values()), audit.warnings);
  }

  /** As printed; a role that is named and was not printed is said to be so. */
  private Optional<String> seen(Role role) {
    Optional<String> printed = settings.printed(role);
    if (printed.isEmpty() && settings.dialect().key(role).isPresent()) {
      put(role, new Value.Nothing(), new Value.Nothing(), Severity.NOTE, because("not-printed"));
    }
    return printed;
  }

  private static Advice because(String key, Object... arguments) {
    return Advice.leave("controller.field.leave").because("controller.field." + key, arguments);
  }

  private void put(Role role, Value observed, Value advised, Severity severity, Advice why) {
    items.put(
        role,
        new Item(
            role.spelled(),
            Value.key(settings.dialect().key(role)),
            observed,
            advised,
            severity,
            why));
  }

  private static Value shown(String printed) {
    OptionalDouble number = Printed.number(printed);
    return number.isPresent() ? new Value.Number(number.getAsDouble()) : new Value.Word(printed);
  }

  private void note(Role role, String printed, String why) {
    put(
        role,
        shown(printed),
        new Value.Nothing(),
        Severity.NOTE,
        Advice.leave("controller.field.leave").because(why));
  }

  private void notUnderstood(Role role, String printed) {
    warnings.add(
        Message.of(
            "controller.audit.not-understood",
            Message.quoted(settings.dialect().key(role).orElse("")),
            Message.quoted(printed),
            role));
    note(role, printed, "controller.field.not-understood");
  }

  private Message key(Role role) {
    return Message.quoted(settings.dialect().key(role).orElse(""));
  }

  private static OptionalDouble millimetres(String printed) {
    return TypedQuantity.read(printed, Quantity.LENGTH, Quantity.LENGTH.canonical())
            instanceof TypedQuantity.Understood(double mm, Unit u, boolean p)
        ? OptionalDouble.of(mm)
        : OptionalDouble.empty();
  }

  private void size(Role role, double itsMm) {
    Optional<String> printed = seen(role);
    if (printed.isEmpty()) {
      return;
    }
    OptionalDouble mm = millimetres(printed.get());
    if (mm.isEmpty() || mm.getAsDouble() <= 0) {
      notUnderstood(role, printed.get());
      return;
    }
    double right = fitted.map(l -> l.fieldMm().orElse(itsMm)).orElse(itsMm);
    Value advised = new Value.Number(right);
    if (Math.abs(mm.getAsDouble() - right) <= SAME_FIELD * right) {
      put(role, shown(printed.get()), advised, Severity.NOTE, because("as-the-lens"));
    } else if (SpaceAudit.inchesFor(mm.getAsDouble(), right)) {
      put(
          role,
          shown(printed.get()),
          advised,
          Severity.ADJUST,
          Advice.act("controller.audit.look-at-units").because("controller.field.inches"));
    } else {
      put(
          role,
          shown(printed.get()),
          advised,
          Severity.ADJUST,
          fitted
              .map(l ->
                  Advice.act(
                      "controller.named-fields.set-for",
                      key(role),
                      Message.number(right),
                      l.said()))
              .orElse(Advice.act("controller.named-fields.set", key(role), Message.number(right)))
              .because(
                  "controller.named-fields.everything-burnt-wrong", Message.quoted(printed.get())));
    }
  }

  private void lens() {
    Role role = Role.LENS_FOCAL_LENGTH;
    Optional<String> printed = seen(role);
    if (printed.isEmpty()) {
      return;
    }
    OptionalDouble mm = millimetres(withoutLetter(printed.get()));
    List<Lens> right =
        fitted.map(List::of).orElse(machine.lenses().orElse(List.of())).stream()
            .filter(l -> !l.knownByField())
            .toList();
    if (mm.isEmpty()) {
      notUnderstood(role, printed.get());
    } else if (right.isEmpty()) {
      note(role, printed.get(), "controller.field.lens-not-told");
    } else if (right.stream()
        .anyMatch(
            l -> Math.abs(mm.getAsDouble() - l.focalLengthMm()) <= SAME_LENS * l.focalLengthMm())) {
      put(
          role,
          shown(printed.get()),
          new Value.Number(right.getFirst().focalLengthMm()),
          Severity.NOTE,
          because(fitted.isPresent() ? "the-lens-on-it" : "one-of-its-lenses"));
    } else {
      put(
          role,
          shown(printed.get()),
          new Value.Number(right.getFirst().focalLengthMm()),
          Severity.ADJUST,
          Advice.act("controller.named-fields.load-configuration", right.getFirst().said())
              .because(
                  "controller.named-fields.lens-not", key(role), Message.quoted(printed.get())));
    }
  }

  /** The letter before a focal length, as it is engraved, is passed over. */
  static String withoutLetter(String printed) {
    Matcher letter = LENS.matcher(printed.strip());
    return letter.lookingAt() ? printed.strip().substring(letter.end()) : printed;
  }

  private void source() {
    Role role = Role.SOURCE_KIND;
    Optional<String> printed = seen(role);
    if (printed.isEmpty()) {
      return;
    }
    String its = meaning(machine.source().kind());
    Optional<String> meaning = settings.meaning(role);
    if (meaning.isEmpty()) {
      notUnderstood(role, printed.get());
    } else if (meaning.get().equals(its)) {
      put(
          role,
          new Value.Word(meaning.get()),
          new Value.Word(its),
          Severity.NOTE,
          because("its-source"));
    } else {
      put(
          role,
          new Value.Word(meaning.get()),
          new Value.Word(its),
          Severity.ADJUST,
          Advice.act("controller.named-fields.set-source", key(role), machine.source().kind())
              .because("controller.named-fields.whose-limits-do", Message.quoted(printed.get())));
    }
  }

  /** A kind of source as the roles mean it. */
  static String meaning(SourceKind kind) {
    return switch (kind) {
      case CO2_GLASS_TUBE, CO2_RF_TUBE -> "co2";
      case DIODE -> "diode";
      case FIBRE, MOPA_FIBRE -> "fibre";
      case UV -> "uv";
    };
  }

  private void rate(Role role) {
    Optional<String> printed = seen(role);
    if (printed.isEmpty()) {
      return;
    }
    Optional<Unit> inName =
        settings
            .dialect()
            .key(role)
            .map(RATE_UNIT::matcher)
            .filter(Matcher::find)
            .flatMap(m -> Quantity.PULSE_RATE.spelled(m.group(1)));
    boolean bare = Printed.number(printed.get()).isPresent();
    if (bare && inName.isEmpty()) {
      note(role, printed.get(), "controller.field.unit-not-said");
      return;
    }
    if (!(TypedQuantity.read(
            printed.get(), Quantity.PULSE_RATE, inName.orElse(Quantity.PULSE_RATE.canonical()))
        instanceof TypedQuantity.Understood(double khz, Unit unit, boolean p))) {
      notUnderstood(role, printed.get());
      return;
    }
    Optional<PulseRange> range = machine.source().pulses();
    if (range.isEmpty()) {
      note(role, printed.get(), "controller.field.range-not-told");
      return;
    }
    PulseRange its = range.get();
    double right = Math.clamp(khz, its.leastKhz(), its.mostKhz());
    Value advised = new Value.Number(unit.fromCanonical(right));
    put(
        role,
        shown(printed.get()),
        advised,
        right == khz ? Severity.NOTE : Severity.ADJUST,
        right == khz
            ? because("in-its-range")
            : Advice.act(
                    "controller.named-fields.set",
                    key(role),
                    Amount.plain(right, Quantity.PULSE_RATE))
                .because(
                    "controller.named-fields.source-gives-power",
                    Message.quoted(printed.get()),
                    its.said()));
  }
}
