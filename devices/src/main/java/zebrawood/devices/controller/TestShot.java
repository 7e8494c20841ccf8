package zebrawood.devices.controller;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.controller.Settings;
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
 * <p>Only the link lost within the few milliseconds of those bytes could stop between them: the
 * emergency stop stays in reach, and the next connect begins by reading the mode.
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
    double top;
    try {
      Status status = link.status();
      if (!status.idle()) {
        return new Outcome.NotFired(
            Message.of("controller.trouble.not-idle", Message.quoted(status.state())));
      }
      Settings settings = link.readSettings();
      OptionalDouble mode = settings.number(Settings.LASER_MODE, 0, 65_535);
      if (mode.isEmpty()) {
        return new Outcome.NotFired(Message.of("controller.trouble.no-mode"));
      }
      if (mode.getAsDouble() != 1) {
        link.mustFinish();
        return restored(link)
            ? new Outcome.NotFired(Message.of("controller.trouble.mode-put-right"))
            : new Outcome.ModeUnknown(Message.of("controller.trouble.mode-off"));
      }
      top = settings.number(Settings.TOP_POWER_WORD, 1, 1e9).orElse(Double.NaN);
    } catch (LinkTrouble e) {
      return new Outcome.NotFired(e.said());
    } catch (zebrawood.measure.UnusableReading e) {
      return new Outcome.NotFired(
          Message.of("controller.trouble.unusable", Message.quoted(e.getMessage())));
    }
    if (Double.isNaN(top)) {
      return new Outcome.NotFired(Message.of("controller.trouble.no-top-word"));
    }
    if (link.cancelled()) {
      return new Outcome.NotFired(Message.of("controller.trouble.cancelled"));
    }
    link.mustFinish();
    long word = word(order, top);
    Optional<Message> trouble = Optional.empty();
    try {
      link.sendTogether(lines(word, order.pulse), order.pulse.plus(AFTER));
    } catch (LinkTrouble e) {
      trouble = Optional.of(e.said());
    }
    if (!restored(link)) {
      return new Outcome.ModeUnknown(
          Message.of(
              "controller.trouble.press-stop",
              trouble.orElse(Message.of("controller.trouble.mode-unread"))));
    }
    return trouble.isEmpty() ? new Outcome.Fired(word) : new Outcome.Perhaps(trouble.get());
  }

  /** What would be sent, to be seen before. */
  public static List<String> lines(Order order, Settings settings) {
    double top = settings.number(Settings.TOP_POWER_WORD, 1, 1e9).orElse(0);
    return lines(word(order, top), order.pulse);
  }

  private static long word(Order order, double top) {
    return Math.max(1, Math.round(top * order.share));
  }

  static List<String> lines(long word, Duration pulse) {
    String seconds = String.format(Locale.ROOT, "%.3f", pulse.toMillis() / 1000.0);
    return List.of("$32=0", "M3S" + word, "G4P" + seconds, "M5S0", "$32=1");
  }

  /** Whether the laser is off and follows the motion, read back; put right where it does not. */
  public static boolean restored(ControllerLink link) {
    for (int i = 0; i < TRIES; i++) {
      try {
        Settings now = link.readSettings();
        OptionalDouble mode = now.number(Settings.LASER_MODE, 0, 65_535);
        if (mode.isPresent() && mode.getAsDouble() == 1) {
          return true;
        }
        link.send("M5S0", AFTER);
        link.send(Settings.line(Settings.LASER_MODE, 1), AFTER);
      } catch (LinkTrouble e) {
        if (e.kind() == LinkTrouble.Kind.LOST) {
          return false;
        }
      } catch (zebrawood.measure.UnusableReading e) {
        return false;
      }
    }
    return false;
  }
}
