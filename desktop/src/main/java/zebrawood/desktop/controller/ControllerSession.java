package zebrawood.desktop.controller;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import zebrawood.controller.Settings;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.text.Text;
import zebrawood.devices.controller.ControllerLink;
import zebrawood.devices.controller.LineController;
import zebrawood.devices.controller.LinkTrouble;
import zebrawood.devices.controller.Port;
import zebrawood.devices.controller.PortTrouble;
import zebrawood.devices.controller.SettingsChange;
import zebrawood.devices.controller.TestShot;
import zebrawood.words.Message;

/**
 * Talks to a controller on a thread of its own: opens the port, does one thing, and lets the port
 * go again, so that the job software can have it. Properties and answers belong to the interface's
 * thread.
 */
final class ControllerSession {
  private static final Duration HOMING = Duration.ofSeconds(90);
  private static final Duration SHORT = Duration.ofSeconds(5);

  /** Opens a port by its name. */
  @FunctionalInterface
  interface Opener {
    Port open(String name) throws IOException;
  }

  private static final Logger LOG = LoggerFactory.getLogger(ControllerSession.class);

  /** A pulse of a second and reading the mode back take less; nobody waits longer for a window. */
  private static final Duration ENDING = Duration.ofSeconds(3);

  private final Opener opener;
  private final Executor ui;
  private final Jobs jobs;
  private final ReadOnlyStringWrapper words = new ReadOnlyStringWrapper("");

  ControllerSession(Opener opener, Executor ui) {
    this.opener = opener;
    this.ui = ui;
    jobs = new Jobs(ui, "controller-link");
  }

  ReadOnlyBooleanProperty busyProperty() {
    return jobs.busyProperty();
  }

  /** What it does now, or how the last thing ended. */
  ReadOnlyStringProperty wordsProperty() {
    return words.getReadOnlyProperty();
  }

  /** Ends a wait soon; a change or a shot that was begun ends as it must. */
  void cancel() {
    jobs.askToEnd();
  }

  /** Something done over an open link. */
  private interface Work<T> {
    T on(ControllerLink link) throws LinkTrouble;
  }

  private <T> void run(
      String port, String doing, Work<T> work, Consumer<T> then, Consumer<String> otherwise) {
    if (jobs.busyProperty().get()) {
      return;
    }
    words.set(doing);
    jobs.run(
        progress -> {
          try (ControllerLink link = new LineController(opener.open(port), progress::cancelled)) {
            link.connect();
            return work.on(link);
          }
        },
        answer -> {
          words.set("");
          then.accept(answer);
        },
        trouble -> {
          words.set(said(trouble));
          otherwise.accept(words.get());
        });
  }

  private static String said(Throwable trouble) {
    return switch (trouble) {
      case LinkTrouble e -> Text.of(e.said());
      case IOException e -> Text.of("controller.link.not-opened", PortTrouble.said(e));
      default -> {
        LOG.error("controller link", trouble);
        yield Text.of("controller.link.not-opened", Message.quoted(trouble.toString()));
      }
    };
  }

  void read(String port, Consumer<Settings> then) {
    run(port, Text.of("controller.link.reading"), ControllerLink::readSettings, then, e -> {});
  }

  void change(
      String port,
      Settings seen,
      List<String> lines,
      Consumer<SettingsChange.Outcome> then,
      Consumer<String> otherwise) {
    run(
        port,
        Text.of("controller.link.writing", lines.size()),
        link -> {
          try {
            return SettingsChange.run(
                link,
                seen,
                lines,
                line ->
                    ui.execute(() -> {
                      if (busyProperty().get()) {
                        words.set(Text.of("controller.link.sending", line));
                      }
                    }));
          } catch (RuntimeException e) {
            LOG.error("change of settings", e);
            return new SettingsChange.Outcome.Stopped(
                Optional.empty(), Optional.empty(), lines.getFirst(), Message.quoted(e.toString()));
          }
        },
        then,
        otherwise);
  }

  void shot(
      String port,
      TestShot.Order order,
      Consumer<TestShot.Outcome> then,
      Consumer<String> otherwise) {
    run(
        port,
        Text.of("controller.link.firing"),
        link -> {
          try {
            return TestShot.fire(link, order);
          } catch (RuntimeException e) {
            LOG.error("test shot", e);
            return new TestShot.Outcome.ModeUnknown(Message.quoted(e.toString()));
          }
        },
        then,
        otherwise);
  }

  /** Homes, or moves to a place, and waits until it stands. */
  void move(String port, String line, Consumer<String> then) {
    run(
        port,
        Text.of("controller.link.moving"),
        link -> {
          link.send(line, line.equals("$H") ? HOMING : SHORT);
          Optional<String> alarm = Optional.empty();
          long end = System.nanoTime() + HOMING.toNanos();
          while (System.nanoTime() < end) {
            var status = link.status();
            if (status.alarm()) {
              alarm = Optional.of(Text.of("controller.link.alarm"));
              break;
            }
            if (!status.busy()) {
              break;
            }
          }
          return alarm.orElse(Text.of("controller.link.there"));
        },
        then,
        e -> {});
  }

  /**
   * Ends what waits. What was begun ends as it must, within seconds; its answer is not told any
   * more, so that what was kept before it stays as it is.
   */
  void dispose() {
    jobs.close();
  }

  /** Waits, at most for seconds, until what was begun has ended; not on the window's thread. */
  void awaitEnd() {
    if (!jobs.awaitEnd(ENDING)) {
      LOG.error("the controller did not end what it did within {}", ENDING);
    }
  }
}
