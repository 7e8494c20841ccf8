package zebrawood.devices.controller;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.Dialect;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.Write;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * One pulse while nothing moves.
 *
 * <p>The laser is taken off the motion, fires the word for a bounded time, goes off and is put back
 * on the motion: five lines that are sent in one piece. The controller does them to the end by
 * itself, so that neither a cancelled wait, a closed window, a killed program nor a link lost after
 * that leaves the beam on or the mode off. Afterwards the mode is read back, and put right as often
 * as it takes; where it cannot be read, the outcome says so.
 *
 * <p>A controller that must be left alone while it stores a setting gets the mode by itself, before
 * and after; beam on, wait and beam off go in one piece all the same, so that the beam never waits
 * for this program. If the link goes between, the beam is off and the mode may be left off: the
 * next connect begins by reading it.
 *
 * <p>Only the link lost within the few milliseconds of those bytes could stop between them: the
 * emergency stop stays in reach.
 */
public final class TestShot {
  private static final Duration AFTER = Duration.ofSeconds(3);
  private static final int TRIES = 4;

  private TestShot() {}

  /**
   * @param share of the top power word, never a fixed word
   */
  public record Order(double share, Duration pulse) {
    public Order {
      new Accepts()
          .between("share", share, 0.001, 0.3)
          .between("pulseMs", pulse.toMillis(), 5, 1000)
          .orThrow();
    }
  }

  /** How it ended. */
  public sealed interface Outcome {
    /** The pulse was fired, and the laser follows the motion again. */
    record Fired(long word) implements Outcome {}

    /** Nothing was fired, and the mode is as it was. */
    record NotFired(Message because) implements Outcome {}

    /** It may have fired; the laser follows the motion again. */
    record Perhaps(Message because) implements Outcome {}

    /**
     * Nobody knows whether the laser follows the motion.
     *
     * @param because one sentence
     */
    record ModeUnknown(Message because) implements Outcome {}
  }

  public static Outcome fire(ControllerLink link, Order order) {
    Dialect dialect = link.dialect();
    Optional<Write> off = Settings.line(dialect, Role.LASER_FOLLOWS_MOTION, Role.OFF);
    Optional<Write> on = Settings.line(dialect, Role.LASER_FOLLOWS_MOTION, Role.ON);
    if (!canFire(dialect)) {
      return new Outcome.NotFired(Message.of("controller.trouble.cannot-fire"));
    }
    OptionalDouble top;
    try {
      Status status = link.status();
      if (!status.standing()) {
        return new Outcome.NotFired(
            Message.of("controller.trouble.not-idle", Message.quoted(status.state())));
      }
      Settings settings = link.readSettings();
      if (settings.meaning(Role.LASER_FOLLOWS_MOTION).isEmpty()) {
        return new Outcome.NotFired(Message.of("controller.trouble.no-mode"));
      }
      if (!settings.is(Role.LASER_FOLLOWS_MOTION, Role.ON)) {
        link.mustFinish();
        return restored(link)
            ? new Outcome.NotFired(Message.of("controller.trouble.mode-put-right"))
            : new Outcome.ModeUnknown(Message.of("controller.trouble.mode-off"));
      }
      top = settings.number(Role.TOP_POWER_WORD, 1, 1e9);
    } catch (LinkTrouble e) {
      return new Outcome.NotFired(e.said());
    } catch (zebrawood.measure.UnusableReading e) {
      return new Outcome.NotFired(
          Message.of("controller.trouble.unusable", Message.quoted(e.getMessage())));
    }
    if (top.isEmpty()) {
      return new Outcome.NotFired(Message.of("controller.trouble.no-top-word"));
    }
    if (link.cancelled()) {
      return new Outcome.NotFired(Message.of("controller.trouble.cancelled"));
    }
    long word = word(order, top.getAsDouble());
    if (!LineController.fits(beam(dialect, word, order.pulse))) {
      return new Outcome.NotFired(Message.of("controller.trouble.cannot-fire"));
    }
    link.mustFinish();
    Optional<Message> trouble =
        pulse(link, off.orElseThrow(), on.orElseThrow(), beam(dialect, word, order.pulse), order);
    if (!restored(link)) {
      return new Outcome.ModeUnknown(
          Message.of(
              "controller.trouble.press-stop",
              trouble.orElse(Message.of("controller.trouble.mode-unread"))));
    }
    return trouble.isEmpty() ? new Outcome.Fired(word) : new Outcome.Perhaps(trouble.get());
  }

  private static Optional<Message> pulse(
      ControllerLink link, Write off, Write on, List<String> beam, Order order) {
    WireSyntax talk = link.dialect().talk().orElseThrow();
    Duration atMost = order.pulse.plus(AFTER);
    try {
      String end = talk.endOfLine().sent();
      List<String> all = new ArrayList<>(List.of(off.line() + end));
      all.addAll(beam);
      all.add(on.line() + end);
      if (talk.aloneWhileStoring() || !LineController.fits(all)) {
        link.write(off);
        link.send(beam, atMost);
        link.write(on);
      } else {
        link.send(all, atMost);
      }
      return Optional.empty();
    } catch (LinkTrouble e) {
      return Optional.of(e.said());
    }
  }

  /** Whether the dialect says how: mode, beam on and off, and a wait that ends by itself. */
  public static boolean canFire(Dialect dialect) {
    return dialect.talk().filter(WireSyntax::canFire).isPresent()
        && dialect.printed(Role.LASER_FOLLOWS_MOTION, Role.ON).isPresent()
        && dialect.printed(Role.LASER_FOLLOWS_MOTION, Role.OFF).isPresent()
        && dialect.key(Role.TOP_POWER_WORD).isPresent();
  }

  /** What would be sent, line by line, to be seen before; nothing where nobody knows how. */
  public static List<String> lines(Order order, Settings settings) {
    Dialect dialect = settings.dialect();
    OptionalDouble top = settings.number(Role.TOP_POWER_WORD, 1, 1e9);
    if (!canFire(dialect) || top.isEmpty()) {
      return List.of();
    }
    List<String> lines = new ArrayList<>();
    lines.add(Settings.line(dialect, Role.LASER_FOLLOWS_MOTION, Role.OFF).orElseThrow().line());
    beam(dialect, word(order, top.getAsDouble()), order.pulse)
        .forEach(text -> lines.add(text.strip()));
    lines.add(Settings.line(dialect, Role.LASER_FOLLOWS_MOTION, Role.ON).orElseThrow().line());
    return lines;
  }

  private static long word(Order order, double top) {
    return Math.max(1, Math.round(top * order.share));
  }

  /** Beam on, wait, beam off, as they are sent. */
  static List<String> beam(Dialect dialect, long word, Duration pulse) {
    WireSyntax talk = dialect.talk().orElseThrow();
    String seconds = String.format(Locale.ROOT, "%.3f", pulse.toMillis() / 1000.0);
    return List.of(
        talk.sent(talk.beamOn().orElseThrow(), Map.of("word", String.valueOf(word))),
        talk.sent(talk.dwell().orElseThrow(), Map.of("seconds", seconds)),
        talk.sent(talk.beamOff().orElseThrow(), Map.of()));
  }

  /** Whether the laser is off and follows the motion, read back; put right where it does not. */
  public static boolean restored(ControllerLink link) {
    WireSyntax talk = link.dialect().talk().orElseThrow();
    Optional<Write> on = Settings.line(link.dialect(), Role.LASER_FOLLOWS_MOTION, Role.ON);
    for (int i = 0; i < TRIES; i++) {
      try {
        if (link.readSettings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)) {
          return true;
        }
        if (on.isEmpty()) {
          return false;
        }
        if (talk.beamOff().isPresent()) {
          link.send(List.of(talk.sent(talk.beamOff().get(), Map.of())), AFTER);
        }
        link.write(on.get());
      } catch (LinkTrouble e) {
        if (e.kind() == LinkTrouble.Kind.LOST) {
          return false;
        }
      }
    }
    return false;
  }
}
