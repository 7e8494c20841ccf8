package zebrawood.devices.controller;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import zebrawood.controller.Difference;
import zebrawood.controller.Settings;
import zebrawood.words.Message;

/**
 * Changes settings one at a time: the snapshot first, then each line sent, read back and compared
 * with what all settings should be now. At the first mismatch it stops.
 */
public final class SettingsChange {
  private static final Duration ANSWER = Duration.ofSeconds(5);

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
     * @param line where it stopped; empty when it never began
     */
    record Stopped(Optional<Settings> before, Optional<Settings> now, String line, Message because)
        implements Outcome {}
  }

  /**
   * @param seen what the technician looked at when agreeing; anything else stops it
   * @param lines in the order to be sent
   * @param progress told each line before it is sent
   */
  public static Outcome run(
      ControllerLink link, Settings seen, List<String> lines, Consumer<String> progress) {
    Settings snapshot;
    try {
      snapshot = link.readSettings();
    } catch (LinkTrouble e) {
      return new Outcome.Stopped(Optional.empty(), Optional.empty(), "", e.said());
    }
    List<Difference> moved = Difference.between(seen, snapshot);
    if (!moved.isEmpty()) {
      return new Outcome.Changed(snapshot, moved);
    }
    SortedMap<Integer, String> expected = new TreeMap<>(snapshot.values());
    Settings after = snapshot;
    link.mustFinish();
    for (String line : lines) {
      if (link.cancelled()) {
        return stopped(
            snapshot, Optional.of(after), line, Message.of("controller.trouble.cancelled-before"));
      }
      progress.accept(line);
      Message because = Message.NONE;
      try {
        link.send(line, ANSWER);
      } catch (LinkTrouble e) {
        if (e.kind() == LinkTrouble.Kind.LOST) {
          return stopped(snapshot, Optional.empty(), line, e.said());
        }
        // What it did all the same is read back.
        because = e.said();
      }
      expect(expected, line);
      try {
        after = link.readSettings();
      } catch (LinkTrouble e) {
        return stopped(snapshot, Optional.empty(), line, e.said());
      }
      List<Difference> wrong = Difference.between(new Settings(expected), after);
      if (!wrong.isEmpty()) {
        return stopped(
            snapshot,
            Optional.of(after),
            line,
            because.isEmpty() ? Message.of("controller.trouble.not-so", said(wrong)) : because);
      }
    }
    return new Outcome.Done(snapshot, after);
  }

  private static void expect(SortedMap<Integer, String> expected, String line) {
    int equals = line.indexOf('=');
    int number = Integer.parseInt(line.substring(1, equals));
    expected.put(number, line.substring(equals + 1));
    // Controllers switch soft limits off together with the homing they need.
    if (number == Settings.HOMING
        && line.endsWith("=0")
        && expected.containsKey(Settings.SOFT_LIMITS)) {
      expected.put(Settings.SOFT_LIMITS, "0");
    }
  }

  private static Outcome stopped(
      Settings before, Optional<Settings> now, String line, Message because) {
    return new Outcome.Stopped(Optional.of(before), now, line, because);
  }

  private static Message said(List<Difference> differences) {
    return Message.list(differences.stream().map(Difference::said).toList());
  }

  /**
   * The lines that bring settings back to a snapshot, in a safe order: soft limits off first, the
   * least power word before the top, homing before the soft limits that need it.
   */
  public static List<String> restore(Settings from, Settings to) {
    List<Difference> differences = Difference.between(from, to);
    List<String> off = new ArrayList<>();
    List<String> middle = new ArrayList<>();
    List<String> last = new ArrayList<>();
    for (Difference d : differences) {
      if (d.now().isEmpty()) {
        continue;
      }
      String line = d.name() + "=" + d.now().get();
      boolean soft = d.name().equals("$" + Settings.SOFT_LIMITS);
      if (soft) {
        (d.now().get().equals("0") ? off : last).add(line);
      } else {
        middle.add(line);
      }
    }
    List<String> lines = new ArrayList<>(off);
    // A rising top before a rising least, a falling least before a falling top.
    boolean leastRises = rises(differences, Settings.LEAST_POWER_WORD);
    middle.sort((a, b) -> Integer.compare(order(a, leastRises), order(b, leastRises)));
    lines.addAll(middle);
    lines.addAll(last);
    return List.copyOf(lines);
  }

  private static boolean rises(List<Difference> differences, int setting) {
    return differences.stream()
        .filter(d -> d.name().equals("$" + setting))
        .anyMatch(d ->
            d.before().isPresent()
                && d.now().isPresent()
                && Double.parseDouble(d.now().get()) > Double.parseDouble(d.before().get()));
  }

  private static int order(String line, boolean leastRises) {
    int number = Integer.parseInt(line.substring(1, line.indexOf('=')));
    if (number == Settings.LASER_MODE) {
      return -1;
    }
    return number == Settings.LEAST_POWER_WORD
        ? 2 * Settings.TOP_POWER_WORD + (leastRises ? 1 : -1)
        : 2 * number;
  }
}
