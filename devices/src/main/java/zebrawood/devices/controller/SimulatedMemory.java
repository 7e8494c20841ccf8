package zebrawood.devices.controller;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SequencedMap;
import zebrawood.controller.Dialect;
import zebrawood.controller.LinePattern;
import zebrawood.controller.Printed;
import zebrawood.controller.Role;
import zebrawood.controller.Write;

/** The settings that a simulated controller keeps, printed in its dialect. */
final class SimulatedMemory {
  /** What it is shipped with. */
  private static final Map<Role, String> SHIPPED_NUMBERS =
      Map.ofEntries(
          Map.entry(Role.TOP_POWER_WORD, "600"),
          Map.entry(Role.LEAST_POWER_WORD, "0"),
          Map.entry(Role.TRAVEL_X, "150.000"),
          Map.entry(Role.TRAVEL_Y, "150.000"),
          Map.entry(Role.STEPS_PER_MM_X, "64.000"),
          Map.entry(Role.STEPS_PER_MM_Y, "64.000"),
          Map.entry(Role.MOST_SPEED_X, "4800.000"),
          Map.entry(Role.MOST_SPEED_Y, "4800.000"),
          Map.entry(Role.ACCELERATION_X, "90.000"),
          Map.entry(Role.ACCELERATION_Y, "90.000"),
          Map.entry(Role.IDLE_DELAY, "40"),
          Map.entry(Role.BEAM_HOURS, "12.5"));

  private static final Map<Role, String> SHIPPED_MEANINGS =
      Map.of(
          Role.LASER_FOLLOWS_MOTION, Role.OFF,
          Role.HOMING, Role.OFF,
          Role.HARD_LIMITS, Role.OFF,
          Role.SOFT_LIMITS, Role.OFF,
          Role.HOME_CORNER, "front-right",
          Role.REPORT_UNITS, "mm",
          Role.POWER_SENSE, Role.RISING);

  private final Dialect dialect;
  private final boolean extra;
  private final SequencedMap<String, String> printed = new LinkedHashMap<>();

  /**
   * @param extra whether it prints settings that play no role
   */
  SimulatedMemory(Dialect dialect, boolean extra) {
    this.dialect = dialect;
    this.extra = extra;
    ship();
  }

  SequencedMap<String, String> printed() {
    return printed;
  }

  /** As it comes from its maker. */
  void ship() {
    printed.clear();
    for (Role role : Role.values()) {
      if (!role.isOfAField()) {
        put(role, role.isChoice() ? SHIPPED_MEANINGS.get(role) : SHIPPED_NUMBERS.get(role));
      }
    }
    if (extra) {
      printed.put("board", "Sedge");
      printed.put("net", "Workshop net");
      printed.put("fan", "1");
    }
  }

  void put(Role role, String value) {
    Optional<String> words = role.isChoice() ? dialect.printed(role, value) : Optional.of(value);
    dialect.key(role).ifPresent(key -> words.ifPresent(w -> printed.put(key, w)));
  }

  /** Keeps what was written; a number with as many decimals as it had. */
  void set(Write write, boolean number) {
    OptionalDouble value = Printed.number(write.value());
    boolean decimals = printed.get(write.key()).contains(".");
    printed.put(
        write.key(),
        number && decimals && value.isPresent()
            ? String.format(Locale.ROOT, "%.3f", value.getAsDouble())
            : write.value());
  }

  /** What a line sets, if it is one that writes. */
  Optional<Write> written(String command) {
    return LinePattern.of(dialect.writeLine())
        .withKeys(List.copyOf(printed.keySet()))
        .read(command)
        .filter(read -> printed.containsKey(read.get("key")))
        .map(read -> dialect.write(read.get("key"), read.get("value")));
  }

  Optional<Role> role(String key) {
    return dialect.byRole().entrySet().stream()
        .filter(e -> e.getValue().key().strip().equals(key))
        .map(Map.Entry::getKey)
        .findFirst();
  }
}
