package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.TitledPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.testfx.framework.junit5.ApplicationTest;
import zebrawood.desktop.app.Assembly;
import zebrawood.desktop.station.GuardLine;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.Happening;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.EventKind;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Language;

/**
 * The whole application in a window on a workshop file of its own, driven by the keyboard. Runs
 * offscreen; the same tests run in a real window where the toolkit is started with one.
 */
public abstract class WindowTest extends ApplicationTest {
  protected static final Duration PATIENCE = Duration.ofSeconds(45);

  private static final boolean OFFSCREEN = "Headless".equals(System.getProperty("glass.platform"));

  protected final TestClock clock = new TestClock();
  protected final List<Path> openedOutside = new ArrayList<>();
  protected Path file;
  protected Assembly app;
  private Stage stage;

  /** Ticks on by itself a second at each look, and by hours when told. */
  protected static final class TestClock extends Clock {
    private Instant now = Instant.parse("2026-05-04T08:00:00Z");

    public synchronized void advance(Duration by) {
      now = now.plus(by);
    }

    @Override
    public synchronized Instant instant() {
      now = now.plusSeconds(1);
      return now;
    }

    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      throw new UnsupportedOperationException("the tests are in UTC");
    }
  }

  /** For looking at pictures and small windows in another language: -Dtest.language=GERMAN. */
  static {
    Text.use(Text.words().in(Language.valueOf(System.getProperty("test.language", "ENGLISH"))));
  }

  /** The stations that the window has, in the order of the work. */
  protected List<StationDefinition> definitions() {
    return StationList.ALL;
  }

  /** Fills the workshop file before it is opened; by default it stays empty. */
  protected void prepare(Path workshopFile) {}

  @Override
  public void start(Stage primary) throws Exception {
    stage = primary;
    Assembly.loadLooks();
    file = Files.createTempDirectory("zebrawood-test").resolve("test.zebrawood");
    prepare(file);
    openWorkshop();
  }

  private void openWorkshop() {
    Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop();
    app =
        new Assembly(
            definitions(),
            WorkshopModel.start(
                workshop,
                definitions().stream().map(StationDefinition::station).toList(),
                "tester",
                clock.instant()),
            clock,
            "tester",
            Platform::runLater,
            openedOutside::add,
            stage::close);
    stage.setScene(app.scene());
    stage.setX(0);
    stage.setY(0);
    stage.setWidth(Assembly.WIDTH);
    stage.setHeight(Assembly.HEIGHT);
    stage.show();
    stage.toFront();
    stage.requestFocus();
  }

  /** Closes the window and opens it again on the same file. */
  protected void reopen() {
    onInterface(() -> {
      app.letGo();
      return null;
    });
    app.close();
    onInterface(() -> {
      openWorkshop();
      return null;
    });
    settle();
  }

  @AfterEach
  void closeWorkshop() {
    onInterface(() -> {
      app.letGo();
      stage.hide();
      return null;
    });
    app.close();
  }

  protected static <T> T onInterface(Callable<T> work) {
    if (Platform.isFxApplicationThread()) {
      throw new IllegalStateException("tests drive from outside");
    }
    FutureTask<T> task = new FutureTask<>(work);
    Platform.runLater(task);
    try {
      return task.get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  /** Waits until the interface says so, and fails with the words when it never does. */
  protected static void until(String what, BooleanSupplier so) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!onInterface(so::getAsBoolean)) {
      if (System.nanoTime() > end) {
        throw new AssertionError("never happened: " + what);
      }
      try {
        Thread.sleep(10);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }
  }

  protected void settle() {
    onInterface(() -> null);
    onInterface(() -> null);
  }

  /** Presses keys together and lets them go. */
  protected void keys(KeyCode... codes) {
    if (!OFFSCREEN) {
      // The screen's server sends them in its own time.
      push(codes);
    } else {
      onInterface(() -> {
        Robot robot = new Robot();
        for (KeyCode code : codes) {
          robot.keyPress(code);
        }
        for (KeyCode code : List.of(codes).reversed()) {
          robot.keyRelease(code);
        }
        return null;
      });
    }
    settle();
  }

  /** Types letter by letter where the cursor is, without a frame between them. */
  protected void typeWords(String words) {
    onInterface(() -> {
      for (String letter : words.split("")) {
        typed(KeyEvent.KEY_PRESSED, "");
        typed(KeyEvent.KEY_TYPED, letter);
        typed(KeyEvent.KEY_RELEASED, "");
      }
      return null;
    });
    settle();
  }

  private void typed(EventType<KeyEvent> type, String letter) {
    Scene scene = app.scene();
    Node focused = scene.getFocusOwner();
    Event.fireEvent(
        focused == null ? scene : focused,
        new KeyEvent(type, letter, letter, KeyCode.UNDEFINED, false, false, false, false));
  }

  /** Puts the cursor into a field as a click would, selects what is there and types over it. */
  protected void fill(String selector, String words) {
    onInterface(() -> {
      // A field that was just made selects its text once more when it is first laid out.
      app.scene().getRoot().applyCss();
      app.scene().getRoot().layout();
      TextInputControl field = (TextInputControl) node(selector);
      field.requestFocus();
      field.selectAll();
      return null;
    });
    if (words.isEmpty()) {
      keys(KeyCode.DELETE);
    } else {
      typeWords(words);
    }
  }

  /** Types initials where they are asked, once in each run of the application. */
  protected void signIfAsked() {
    if (shows("#initials")) {
      typeWords("EH");
      keys(KeyCode.ENTER);
    }
  }

  /** Tells on its card that the machine was moved, with a note, by keys alone. */
  protected void tellThatItWasMoved() {
    keys(KeyCode.CONTROL, KeyCode.E);
    fill("#event-note", "moved to the north wall");
    onInterface(() -> {
      node("#event-kinds").requestFocus();
      return null;
    });
    keys(KeyCode.ENTER);
    signIfAsked();
  }

  /** Presses a button, wherever it stands. */
  protected void press(String button) {
    onInterface(() -> {
      ((Button) node(button)).fire();
      return null;
    });
    settle();
  }

  /** Opens another machine, and a station of it. */
  protected void open(String machine, String station) {
    onInterface(() -> {
      app.model()
          .choose(
              app.model().machinesProperty().get().stream()
                  .filter(m -> m.name().equals(machine))
                  .findFirst()
                  .orElseThrow());
      return null;
    });
    until("it is open", () -> app.model().opened().machine().name().equals(machine));
    openStation(station);
  }

  /** Chooses one of a few. */
  @SuppressWarnings("unchecked")
  protected <E> void choose(String selector, E value) {
    onInterface(() -> {
      ((ComboBox<E>) node(selector)).setValue(value);
      return null;
    });
    settle();
  }

  /** Shows a station. */
  protected void openStation(String station) {
    onInterface(() -> {
      app.shell().show(station);
      return null;
    });
    settle();
  }

  /** Opens every fold of the page. */
  protected void unfold() {
    onInterface(() -> {
      app.scene().getRoot().lookupAll(".titled-pane").stream()
          .map(TitledPane.class::cast)
          .forEach(fold -> fold.setExpanded(true));
      app.scene().getRoot().applyCss();
      app.scene().getRoot().layout();
      return null;
    });
    settle();
  }

  /** What is to be proven today is gone on without: what burns may be done. */
  protected void goOnWithoutProof() {
    onInterface(() -> {
      List<String> missing = app.shell().notProvenToday().stream().map(GuardLine::id).toList();
      if (!missing.isEmpty()) {
        app.model()
            .happened(
                new Happening(
                    EventKind.WENT_ON, Optional.empty(), "tested", Optional.empty(), missing),
                () -> {},
                () -> {});
      }
      return null;
    });
    until("it was gone on", () -> app.shell().notProvenToday().isEmpty());
    settle();
  }

  protected Node node(String selector) {
    Node found = app.scene().lookup(selector);
    assertThat(found).as(selector).isNotNull();
    return found;
  }

  protected boolean shows(String selector) {
    return onInterface(() -> app.scene().lookup(selector) != null);
  }

  /** Whether it is there and nothing that it stands in is hidden or folded. */
  protected boolean isSeen(String selector) {
    return onInterface(() -> {
      Node found = app.scene().lookup(selector);
      for (Node n = found; n != null; n = n.getParent()) {
        if (!n.isVisible()) {
          return false;
        }
      }
      return found != null;
    });
  }

  protected boolean disabled(String selector) {
    return onInterface(() -> node(selector).isDisabled());
  }

  protected String words(String selector) {
    return onInterface(() ->
        node(selector) instanceof TextInputControl field
            ? field.getText()
            : ((Labeled) node(selector)).getText());
  }

  protected String focused() {
    return onInterface(() ->
        app.scene().getFocusOwner() == null
            ? ""
            : String.valueOf(app.scene().getFocusOwner().getId()));
  }

  protected String status() {
    return words("#status");
  }

  /** All words on the page, for looking something up as a reader would. */
  protected String page() {
    return onInterface(() -> {
      StringBuilder all = new StringBuilder();
      app.scene().getRoot().lookupAll(".label").stream()
          .filter(n -> n instanceof Labeled && n.isVisible())
          .forEach(n -> all.append(((Labeled) n).getText()).append('\n'));
      return all.toString();
    });
  }

  /** At a place of the picture; the toolkit counts from the scene's corner. */
  protected static void mouse(Region on, EventType<MouseEvent> type, double x, double y) {
    Point2D at = on.localToScene(x, y);
    on.fireEvent(
        new MouseEvent(
            type,
            at.getX(),
            at.getY(),
            at.getX(),
            at.getY(),
            MouseButton.PRIMARY,
            1,
            false,
            false,
            false,
            false,
            true,
            false,
            false,
            true,
            false,
            true,
            null));
  }
}
