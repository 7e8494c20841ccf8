package zebrawood.devices.controller;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import zebrawood.controller.Dialect;
import zebrawood.controller.Difference;
import zebrawood.controller.Printed;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.Write;
import zebrawood.words.Message;

/**
 * Changes settings one at a time: the snapshot first, then each line sent, read back and compared
 * with what all settings should be now. At the first mismatch it stops.
 */
public final class SettingsChange {
  private SettingsChange() {}

  /** How it ended; in each case what is known to be in the controller. */
  public sealed interface Outcome {
    /** As it was before; empty where it could not be read. */
    Optional<Settings> before();

    /** Every line is in, and nothing else changed. */
    record Done(Settings snapshot, Settings after) implements Outcome {
      @Override
      public Optional<Settings> before() {
        return Optional.of(snapshot);
      }
    }

    /** It is not as the technician saw it; nothing was sent. */
    record Changed(Settings snapshot, List<Difference> differences) implements Outcome {
      @Override
      public Optional<Settings> before() {
        return Optional.of(snapshot);
      }
    }

    /**
     * Stopped at a line.
     *
     * @param now read after the trouble; empty where nobody knows
     * @param at where it stopped; empty when it never began
     */
    record Stopped(
        Optional<Settings> before, Optional<Settings> now, Optional<Write> at, Message because)
        implements Outcome {}
  }

  /**
   * @param seen what the technician looked at when agreeing; anything else stops it
   * @param writes in the order to be sent
   * @param progress told each one before it is sent
   */
  public static Outcome run(
      ControllerLink link, Settings seen, List<Write> writes, Consumer<Write> progress) {
    Settings snapshot;
    try {
      snapshot = link.readSettings();
    } catch (LinkTrouble e) {
      return new Outcome.Stopped(Optional.empty(), Optional.empty(), Optional.empty(), e.said());
    }
    List<Difference> moved = Difference.between(seen, snapshot);
    if (!moved.isEmpty()) {
      return new Outcome.Changed(snapshot, moved);
    }
    Settings expected = snapshot;
    Settings after = snapshot;
    link.finishSoon();
    for (Write write : writes) {
      if (link.cancelled()) {
        return stopped(
            snapshot, Optional.of(after), write, Message.of("controller.trouble.cancelled-before"));
      }
      progress.accept(write);
      Message because = Message.NONE;
      try {
        link.write(write);
      } catch (LinkTrouble e) {
        if (e.kind() == LinkTrouble.Kind.LOST) {
          return stopped(snapshot, Optional.empty(), write, e.said());
        }
        // What it did all the same is read back.
        because = e.said();
      }
      expected = expected.with(Map.of(write.key(), write.value()));
      try {
        after = link.readSettings();
      } catch (LinkTrouble e) {
        return stopped(snapshot, Optional.empty(), write, e.said());
      }
      expected = withWhatGoesTogether(expected, after);
      List<Difference> wrong = Difference.between(expected, after);
      if (!wrong.isEmpty()) {
        return stopped(
            snapshot,
            Optional.of(after),
            write,
            because.isEmpty() ? Message.of("controller.trouble.not-so", said(wrong)) : because);
      }
    }
    return new Outcome.Done(snapshot, after);
  }

  /** Controllers switch soft limits off together with the homing they need. */
  private static Settings withWhatGoesTogether(Settings expected, Settings after) {
    boolean together =
        expected.is(Role.HOMING, Role.OFF)
            && expected.is(Role.SOFT_LIMITS, Role.ON)
            && after.is(Role.SOFT_LIMITS, Role.OFF);
    return together
        ? expected.with(
            Map.of(
                after.dialect().key(Role.SOFT_LIMITS).orElseThrow(),
                after.printed(Role.SOFT_LIMITS).orElseThrow()))
        : expected;
  }

  private static Outcome stopped(
      Settings before, Optional<Settings> now, Write at, Message because) {
    return new Outcome.Stopped(Optional.of(before), now, Optional.of(at), because);
  }

  private static Message said(List<Difference> differences) {
    return Message.list(differences.stream().map(Difference::said).toList());
  }

  /**
   * The writes that bring settings back to a snapshot, in a safe order: the laser follows the
   * motion first, soft limits off before anything else, the least power word on the right side of
   * the top, homing before the soft limits that need it.
   */
  public static List<Write> restore(Settings from, Settings to) {
    Map<Role, Dialect.PrintedRole> roles = from.dialect().byRole();
    List<Difference> differences = Difference.between(from, to);
    boolean leastRises = rises(from, to);
    return differences.stream()
        .filter(d -> d.now().isPresent())
        .map(d -> from.dialect().write(d.name(), d.now().get()))
        .sorted(
            Comparator.comparingInt(w ->
                roles.entrySet().stream()
                    .filter(e -> e.getValue().key().strip().equals(w.key()))
                    .findFirst()
                    .map(e -> rank(e.getKey(), to, leastRises))
                    .orElse(ANY)))
        .toList();
  }

  private static final int ANY = 10;

  private static int rank(Role role, Settings to, boolean leastRises) {
    return switch (role) {
      case LASER_FOLLOWS_MOTION -> to.is(role, Role.ON) ? 0 : ANY;
      case SOFT_LIMITS -> to.is(role, Role.ON) ? 30 : 1;
      // A rising top before a rising least, a falling least before a falling top.
      case TOP_POWER_WORD -> 5;
      case LEAST_POWER_WORD -> leastRises ? 6 : 4;
      case HOMING -> to.is(role, Role.ON) ? 20 : 2;
      case HARD_LIMITS -> 21;
      default -> ANY;
    };
  }

  private static boolean rises(Settings from, Settings to) {
    OptionalDouble before = least(from);
    OptionalDouble after = least(to);
    return before.isPresent() && after.isPresent() && after.getAsDouble() > before.getAsDouble();
  }

  private static OptionalDouble least(Settings settings) {
    return settings
        .printed(Role.LEAST_POWER_WORD)
        .map(Printed::number)
        .orElse(OptionalDouble.empty());
  }
}
