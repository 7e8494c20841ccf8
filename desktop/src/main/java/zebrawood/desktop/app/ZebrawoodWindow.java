package zebrawood.desktop.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.scene.image.Image;
import javafx.stage.Screen;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.slf4j.LoggerFactory;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.Preferences;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.records.json.RecordJson;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Soundness;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;

/** The application's window on one workshop file, which is opened while the toolkit starts. */
public final class ZebrawoodWindow extends Application {
  /** What a system puts round a window, at most. */
  private static final double FRAME = 48;

  private static Path file;
  private static Clock clock;
  private static int exitCode;

  /** Told by the window's thread, let go of by the one that opened it. */
  private static volatile Assembly shown;

  /** Done when what a window before began outside has ended, too. */
  private static volatile CompletableFuture<Void> ended = CompletableFuture.completedFuture(null);

  /**
   * What the file gave.
   *
   * @param start null where it cannot be opened
   * @param because what is wrong with it; nothing where it is in order
   * @param damaged whether it is, so that a copy of it may be put in its place
   */
  private record Prepared(WorkshopModel.Start start, Message because, boolean damaged) {}

  private static CompletableFuture<Prepared> prepared;
  private static CompletableFuture<Void> typeface;

  /** A passport that waits to be offered. */
  private static Optional<Path> passport = Optional.empty();

  /** The same, and offers a passport to be taken in. */
  static int open(Path workshopFile, Clock theClock, Path offered) {
    passport = Optional.of(offered);
    return open(workshopFile, theClock);
  }

  /**
   * Opens the window and returns when it is closed.
   *
   * @return the exit code
   */
  public static int open(Path workshopFile, Clock theClock) {
    begin(workshopFile, theClock);
    try {
      Application.launch(ZebrawoodWindow.class);
    } catch (UnsupportedOperationException e) {
      System.err.println(
          Text.of("window.no-display", Message.quoted(String.valueOf(e.getMessage()))));
      exitCode = Zebrawood.NOT_POSSIBLE;
    }
    ended.join();
    if (shown != null) {
      // The window is gone; what was begun outside ends as it must, and is kept.
      shown.close();
    }
    return exitCode;
  }

  /** Reads beside the toolkit what the window will show. */
  static void begin(Path workshopFile, Clock theClock) {
    file = workshopFile;
    clock = theClock;
    // Threads of their own: the common pool of a small machine would do one after the other.
    Thread.ofPlatform().daemon().start(RecordJson::prepare);
    prepared = CompletableFuture.supplyAsync(ZebrawoodWindow::prepare, Thread.ofPlatform()::start);
    typeface = CompletableFuture.runAsync(Assembly::loadTypeface, Thread.ofPlatform()::start);
  }

  static String person() {
    return System.getProperty("user.name", "somebody");
  }

  private static Prepared prepare() {
    Opening opening = Workshop.open(file);
    if (opening instanceof Opening.Opened(Workshop workshop)) {
      // Outside of the switch, whose first use costs a start some milliseconds.
      try {
        return new Prepared(started(workshop), Message.NONE, false);
      } catch (RuntimeException e) {
        if (!Opening.tellsOfDamage(e)) {
          throw e;
        }
        LoggerFactory.getLogger(ZebrawoodWindow.class).error("damaged: {}", file, e);
        workshop.close();
        opening = Workshop.openDamaged(file);
      }
    }
    return switch (opening) {
      case Opening.Opened(Workshop workshop) ->
          new Prepared(started(workshop), Message.NONE, false);
      case Opening.Damaged(Message because, Optional<Workshop> sound) ->
          new Prepared(sound.map(ZebrawoodWindow::started).orElse(null), because, true);
      case Opening.InUse(Message holder) ->
          new Prepared(null, Message.of("window.in-use", holder), false);
      case Opening.Unusable(Message because) -> new Prepared(null, because, false);
    };
  }

  private static WorkshopModel.Start started(Workshop workshop) {
    return WorkshopModel.start(workshop, StationList.stations(), person(), clock.instant());
  }

  @Override
  public void start(Stage stage) {
    show(stage).ifPresent(window -> shown = window);
  }

  /** Shows what was begun to be read; empty where the workshop cannot be opened, which is told. */
  Optional<Assembly> show(Stage stage) {
    Assembly.useSkin(false);
    typeface.join();
    Prepared ready = prepared.join();
    if (ready.start() == null) {
      Refusal refusal = new Refusal(stage, file, clock, () -> begin(file, clock));
      exitCode = Zebrawood.NOT_POSSIBLE;
      refusal.show(ready.because(), ready.damaged(), this::start);
      return Optional.empty();
    }
    exitCode = 0;
    Assembly assembly =
        new Assembly(
            StationList.ALL,
            ready.start(),
            clock,
            person(),
            Platform::runLater,
            path -> getHostServices().showDocument(path.toUri().toString()),
            stage::close);
    Thread.currentThread()
        .setUncaughtExceptionHandler((thread, trouble) -> tell(assembly, trouble));
    stage.titleProperty().bind(assembly.shell().titleProperty());
    assembly.model().languageProperty().subscribe((was, now) -> speakOtherwise(stage, assembly));
    stage.setScene(assembly.scene());
    if (!Display.isOffscreen() && !stage.isShowing()) {
      place(stage, ready.start().preferences().window());
    }
    if (!Display.isOffscreen()) {
      stage.setOnHiding(e -> keepPlace(stage, assembly));
    }
    stage.show();
    passport.ifPresent(file -> assembly.shell().record().passportIn(file.toString()));
    passport = Optional.empty();
    if (ready.damaged()) {
      assembly.model().fileState().tellDamage(ready.because());
    }
    // Behind the first frames: a title bar without a picture is no reason to wait.
    PauseTransition behind = new PauseTransition(Duration.millis(250));
    behind.setOnFinished(e -> {
      addIcons(stage);
      if (!ready.damaged()) {
        keepBackup(assembly);
      }
    });
    behind.play();
    return Optional.of(assembly);
  }

  /** Everything is let go of as when the window is closed, and made anew in the same window. */
  private void speakOtherwise(Stage stage, Assembly before) {
    String page = before.shell().shown();
    Path recordedIn = before.model().file();
    before.letGo();
    stage.setOnHiding(null);
    shown = null;
    CompletableFuture<Void> end =
        CompletableFuture.runAsync(() -> end(before), Thread.ofPlatform()::start);
    ended = end;
    Thread.ofPlatform()
        .daemon()
        .start(() -> {
          end.join();
          begin(recordedIn, clock);
          // What it threw is told by the window's thread.
          prepared.handle((ready, trouble) -> true).join();
          Platform.runLater(() -> {
            if (stage.isShowing()) {
              show(stage)
                  .ifPresent(window -> {
                    shown = window;
                    window.shell().show(page);
                  });
            }
          });
        });
  }

  /** Whatever becomes of it, what follows says whether the file can be opened. */
  private static void end(Assembly before) {
    try {
      before.close();
    } catch (RuntimeException e) {
      LoggerFactory.getLogger(ZebrawoodWindow.class).error("the window before did not end", e);
    }
  }

  /** Where it was, within the screens that are there now. */
  private static void place(Stage stage, Optional<String> before) {
    List<Rectangle2D> screens =
        Stream.concat(Stream.of(Screen.getPrimary()), Screen.getScreens().stream())
            .distinct()
            .map(Screen::getVisualBounds)
            .toList();
    Rectangle2D first = screens.getFirst();
    stage.setMinWidth(Math.min(WindowPlace.LEAST_WIDTH, first.getWidth()));
    stage.setMinHeight(Math.min(WindowPlace.LEAST_HEIGHT, first.getHeight()));
    Optional<WindowPlace> kept = before.flatMap(WindowPlace::of);
    boolean fits =
        Assembly.WIDTH + FRAME <= first.getWidth() && Assembly.HEIGHT + FRAME <= first.getHeight();
    if (kept.isEmpty() && fits) {
      // The system knows best where a new window goes.
      return;
    }
    WindowPlace place =
        kept.orElseGet(() -> WindowPlace.inTheMiddle(Assembly.WIDTH, Assembly.HEIGHT, first))
            .within(screens);
    stage.setX(place.x());
    stage.setY(place.y());
    stage.setWidth(place.width());
    stage.setHeight(place.height());
    stage.setMaximized(place.large());
  }

  private static void keepPlace(Stage stage, Assembly assembly) {
    if (stage.isIconified()) {
      return;
    }
    String place =
        new WindowPlace(
                stage.getX(),
                stage.getY(),
                stage.getWidth(),
                stage.getHeight(),
                stage.isMaximized())
            .kept();
    assembly
        .model()
        .withFile(
            file -> {
              file.prefer(person(), Preferences.WINDOW, place);
              return place;
            },
            kept -> {},
            trouble -> {});
  }

  /** The file is looked at, and a copy of the day kept beside it; work goes on meanwhile. */
  private void keepBackup(Assembly assembly) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), clock.getZone());
    assembly
        .model()
        .withFile(
            file -> {
              try {
                return file.keepBackup(today);
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            },
            sound -> {
              if (sound instanceof Soundness.Unsound(boolean damaged, Message because)) {
                if (damaged) {
                  assembly.model().fileState().tellDamage(because);
                } else {
                  assembly.model().say(Text.words().sentence(because));
                }
              }
            },
            trouble -> assembly.model().say(Text.of("workshop.no-backup")));
  }

  private static void addIcons(Stage stage) {
    for (String size : new String[] {"32", "64", "256"}) {
      stage
          .getIcons()
          .add(
              new Image(
                  ZebrawoodWindow.class.getResourceAsStream(
                      "/zebrawood/desktop/icon-" + size + ".png")));
    }
  }

  /** The technician gets a sentence, the log the rest. */
  private static void tell(Assembly assembly, Throwable trouble) {
    LoggerFactory.getLogger(ZebrawoodWindow.class).error("unexpected", trouble);
    assembly.model().say(Text.of("said.trouble", Folders.log().toString()));
  }

  @Override
  public void stop() {
    if (shown != null) {
      shown.letGo();
    }
  }
}
