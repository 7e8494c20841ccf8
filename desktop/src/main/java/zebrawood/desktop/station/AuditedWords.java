package zebrawood.desktop.station;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.ControllerVisitReadings;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Ledger;
import zebrawood.measure.UnusableReading;
import zebrawood.records.kept.KeptReadings;

/**
 * The power words as the controller was last left: what was read there is not asked again.
 *
 * @param jobTop of the job software; empty where the controller shows no settings
 * @param controllerTop as it was read; empty where it was not
 * @param silent whether nobody can read its settings
 */
public record AuditedWords(
    Instant at, OptionalDouble jobTop, OptionalDouble controllerTop, boolean silent) {
  private static final double MOST_WORD = 1e6;
  private static final double MOST_SETTING = 1e9;

  /** Empty where the controller was never left so, or by an earlier version. */
  public static Optional<AuditedWords> lastLeft(Ledger ledger) {
    List<Entry> left =
        ledger.entriesAt(ControllerStation.STATION).stream()
            .filter(e -> e.kind() == EntryKind.AS_LEFT)
            .toList();
    return left.isEmpty()
        ? Optional.empty()
        : KeptReadings.read(left.getLast(), ControllerVisitReadings.class)
            .map(r -> of(left.getLast().time(), r));
  }

  /** One setting as the controller was left with it; empty where it was not read, or is none. */
  public static OptionalDouble settingLeft(Ledger ledger, Role role) {
    return ledger.entriesAt(ControllerStation.STATION).stream()
        .filter(e -> e.kind() == EntryKind.AS_LEFT)
        .reduce((earlier, later) -> later)
        .map(e -> setting(e, role))
        .orElse(OptionalDouble.empty());
  }

  /** One setting as an entry has it; empty where it was not read, or is none. */
  public static OptionalDouble setting(Entry entry, Role role) {
    return KeptReadings.read(entry, ControllerVisitReadings.class)
        .flatMap(ControllerVisitReadings::numbered)
        .map(r -> setting(r, role))
        .orElse(OptionalDouble.empty());
  }

  private static OptionalDouble setting(ControllerReadings r, Role role) {
    try {
      return Settings.parse(r.settings(), r.dialect()).number(role, 0, MOST_SETTING);
    } catch (UnusableReading e) {
      return OptionalDouble.empty();
    }
  }

  private static AuditedWords of(Instant at, ControllerVisitReadings read) {
    return new AuditedWords(
        at,
        read.numbered()
            .map(r -> OptionalDouble.of(r.jobSoftware().topPowerWord()))
            .orElse(OptionalDouble.empty()),
        read.numbered().map(AuditedWords::top).orElse(OptionalDouble.empty()),
        read.silent().isPresent());
  }

  private static OptionalDouble top(ControllerReadings r) {
    try {
      return Settings.parse(r.settings(), r.dialect()).number(Role.TOP_POWER_WORD, 1, MOST_WORD);
    } catch (UnusableReading e) {
      return OptionalDouble.empty();
    }
  }
}
