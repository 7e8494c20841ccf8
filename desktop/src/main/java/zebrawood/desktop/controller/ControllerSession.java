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
import zebrawood.controller.Dialect;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.Write;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.text.Text;
import zebrawood.devices.controller.ControllerLink;
import zebrawood.devices.controller.LineController;
import zebrawood.devices.controller.LinkTrouble;
import zebrawood.devices.controller.Motion;
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
  /** Opens a port by its name. */
  @FunctionalInterface
  interface Opener {
    Port open(String name, double baud) throws IOException;
  }

  /**
   * Where the controller is, and how it is talked to.
   *
   * @param laser whether a laser is on it, which must follow the motion
   */
  record Line(String port, Dialect dialect, boolean laser) {}

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
      Line line, String doing, Work<T> work, Consumer<T> then, Consumer<String> otherwise) {
    run(line, doing, false, work, then, otherwise);
  }

  /**
   * @param reads whether what is done begins with reading the settings, and with it the mode
   */
  private <T> void run(
      Line line,
      String doing,
      boolean reads,
      Work<T> work,
      Consumer<T> then,
      Consumer<String> otherwise) {
    if (jobs.busyProperty().get()) {
      return;
    }
    words.set(doing);
    double baud = line.dialect.talk().map(WireSyntax::baud).orElse(0.0);
    jobs.run(
        progress -> {
          try (ControllerLink link =
              new LineController(opener.open(line.port, baud), line.dialect, progress::cancelled)) {
            link.connect();
            boolean left = !reads && modeLeftOff(line, link.readSettings());
            return new Done<>(work.on(link), left);
          }
        },
        done -> {
          words.set(done.modeLeftOff ? Text.of("controller.link.mode-off") : "");
          then.accept(done.answer);
        },
        trouble -> {
          words.set(said(trouble));
          otherwise.accept(words.get());
        });
  }

  /**
   * @param modeLeftOff whether the laser did not follow the motion when it was connected to
   */
  private record Done<T>(T answer, boolean modeLeftOff) {}

  /** Every connect reads the mode that the laser was left in, whatever is done next. */
  private static boolean modeLeftOff(Line line, Settings settings) {
    return line.laser && settings.is(Role.LASER_FOLLOWS_MOTION, Role.OFF);
  }

  private void tellMode(Line line, Settings settings) {
    if (modeLeftOff(line, settings)) {
      words.set(Text.of("controller.link.mode-off"));
    }
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

  void read(Line line, Consumer<Settings> then) {
    run(
        line,
        Text.of("controller.link.reading"),
        true,
        ControllerLink::readSettings,
        settings -> {
          tellMode(line, settings);
          then.accept(settings);
        },
        e -> {});
  }

  void change(
      Line line,
      Settings seen,
      List<Write> writes,
      Consumer<SettingsChange.Outcome> then,
      Consumer<String> otherwise) {
    run(
        line,
        Text.of("controller.link.writing", writes.size()),
        true,
        link -> {
          try {
            return SettingsChange.run(
                link,
                seen,
                writes,
                write ->
                    ui.execute(() -> {
                      if (busyProperty().get()) {
                        words.set(Text.of("controller.link.sending", write.meaning()));
                      }
                    }));
          } catch (RuntimeException e) {
            LOG.error("change of settings", e);
            return new SettingsChange.Outcome.Stopped(
                Optional.empty(),
                Optional.empty(),
                Optional.of(writes.getFirst()),
                Message.quoted(e.toString()));
          }
        },
        outcome -> {
          if (outcome instanceof SettingsChange.Outcome.Done done) {
            tellMode(line, done.after());
          }
          then.accept(outcome);
        },
        otherwise);
  }

  void shot(
      Line line,
      TestShot.Order order,
      Consumer<TestShot.Outcome> then,
      Consumer<String> otherwise) {
    run(
        line,
        Text.of("controller.link.firing"),
        true,
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

  /** Homes; then drives to each place, if there are any. */
  void move(
      Line line, List<Motion.Place> places, double speedMmMin, Consumer<Motion.Outcome> then) {
    run(
        line,
        Text.of("controller.link.moving"),
        link -> {
          Motion.Outcome homed = Motion.home(link);
          return homed instanceof Motion.Outcome.There && !places.isEmpty()
              ? Motion.drive(link, places, speedMmMin)
              : homed;
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
