package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.TitledPane;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import zebrawood.controller.Corner;
import zebrawood.controller.Dialect;
import zebrawood.controller.Role;
import zebrawood.desktop.app.Assembly;
import zebrawood.desktop.controller.CornerIfKnown;
import zebrawood.desktop.controller.IfKnown;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.desktop.shell.Shell;
import zebrawood.desktop.station.GuardLine;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.workshop.Happening;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.devices.controller.ControllerLink;
import zebrawood.devices.controller.Faults;
import zebrawood.devices.controller.LineController;
import zebrawood.devices.controller.ServedController;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.devices.controller.SocketPort;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EventKind;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;
import zebrawood.records.json.RecordJson;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** The window is killed without warning while readings are typed, and while a test shot burns. */
class KillWindowTest {
  @Test
  void typedReadingsAreThereAfterAKill() throws Exception {
    Path file = Files.createTempDirectory("zebrawood-kill").resolve("kill.zebrawood");
    DemoWorkshop.write(file, Clock.systemUTC().instant());
    Process process = launch(Typist.class, file.toString());
    try (var lines = process.inputReader()) {
      assertThat(lines.readLine()).isEqualTo("typed");
    }
    process.destroyForcibly();
    assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();

    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      String alder = workshop.machines().readable().getFirst().id();
      assertThat(workshop.draft(alder, "bed")).containsEntry("reading.4", "6.");
      assertThat(entries(workshop, alder)).hasSize(31);
    }
  }

  private static Dialect standIn() throws IOException {
    try (var in =
        KillWindowTest.class.getResourceAsStream("/zebrawood/desktop/controller/stand-in.json")) {
      return RecordJson.read(
          new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8), Dialect.class);
    }
  }

  private static Process launch(Class<?> program, String... arguments) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(ProcessHandle.current().info().command().orElseThrow());
    ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
        .filter(a -> a.startsWith("-Dglass") || a.startsWith("-Dprism") || a.startsWith("--enable"))
        .forEach(command::add);
    command.addAll(List.of("-cp", System.getProperty("java.class.path"), program.getName()));
    command.addAll(List.of(arguments));
    return new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT).start();
  }

  private static List<Entry> entries(Workshop workshop, String machine) {
    return workshop.history(machine).stream()
        .filter(Entry.class::isInstance)
        .map(Entry.class::cast)
        .toList();
  }

  private static boolean beamOn(SimulatedController controller) {
    synchronized (controller) {
      return controller.beamOn();
    }
  }

  /** Killed while the beam of a test shot is on: it ends by itself, and the ledger says "out". */
  @Test
  void aTestShotEndsByItselfAndStandsOutAfterAKill() throws Exception {
    Path file = Files.createTempDirectory("zebrawood-kill").resolve("shot.zebrawood");
    DemoWorkshop.write(file, Clock.systemUTC().instant());
    SimulatedController controller =
        new SimulatedController(
            new SimulatedController.Frame(400, 400, true, Corner.FRONT_LEFT),
            standIn(),
            Map.of(Role.LASER_FOLLOWS_MOTION, Role.ON),
            Faults.NONE);
    try (ServedController served = ServedController.onSocket(controller)) {
      Process process = launch(Shooter.class, file.toString(), "127.0.0.1:" + served.port());
      long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
      while (!beamOn(controller)) {
        assertThat(System.nanoTime()).as("never fired").isLessThan(end);
        assertThat(process.isAlive()).isTrue();
        Thread.sleep(5);
      }
      process.destroyForcibly();
      assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
      // The next connection finds what the five lines left behind.
      try (ControllerLink link =
          new LineController(SocketPort.open("127.0.0.1", served.port()), standIn(), () -> false)) {
        link.connect();
        assertThat(link.readSettings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
      }
      assertThat(beamOn(controller)).isFalse();
      assertThat(controller.longestBeamNanos()).isBetween(900_000_000L, 1_500_000_000L);
    }
    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      Machine tansy =
          workshop.machines().readable().stream()
              .filter(m -> m.name().equals("Tansy"))
              .findFirst()
              .orElseThrow();
      Entry last = entries(workshop, tansy.id()).getLast();
      assertThat(last.stationId()).isEqualTo("controller");
      assertThat(last.verdict()).isEqualTo(Verdict.STOP);
    }
  }

  /** Fires a test shot of a second at the controller behind a port. */
  public static final class Shooter {
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    public static void main(String[] args) {
      Assembly[] app = new Assembly[1];
      Platform.startup(() -> app[0] = open(args[0]));
      on(() -> {
        WorkshopModel model = app[0].model();
        model.choose(
            model.machinesProperty().get().stream()
                .filter(m -> m.name().equals("Tansy"))
                .findFirst()
                .orElseThrow());
      });
      await(() -> app[0].model().opened().machine().name().equals("Tansy"));
      on(() -> {
        WorkshopModel model = app[0].model();
        model.setInitials("EH");
        model.happened(
            new Happening(
                EventKind.WENT_ON,
                Optional.empty(),
                "kill test",
                Optional.empty(),
                app[0].shell().notProvenToday().stream().map(GuardLine::id).toList()),
            () -> {},
            () -> {});
      });
      await(() -> app[0].shell().notProvenToday().isEmpty());
      on(() -> {
        app[0].shell().show("controller");
        ((ComboBox<?>) app[0].scene().lookup("#controller-port")).getEditor().setText(args[1]);
        for (String fold : List.of("shot-order", "dialect")) {
          ((TitledPane) app[0].scene().lookup("#controller-" + fold + "-fold")).setExpanded(true);
        }
        app[0].scene().getRoot().applyCss();
        app[0].scene().getRoot().layout();
        StandInDialect.take(app[0].scene().getRoot());
        choose(app[0], "#controller-switches", IfKnown.YES);
        choose(app[0], "#controller-home", CornerIfKnown.FRONT_LEFT);
        ((TextField) app[0].scene().lookup("#controller-pulse")).setText("1000");
        press(app[0], "#controller-read");
      });
      await(() ->
          ((TextInputControl) app[0].scene().lookup("#controller-dump"))
              .getText()
              .contains("beam top"));
      on(() -> press(app[0], "#controller-shot"));
      on(() -> press(app[0], "#confirm-go"));
    }

    @SuppressWarnings("unchecked") // its items are of this kind
    private static <T> void choose(Assembly app, String box, T value) {
      ((ComboBox<T>) app.scene().lookup(box)).setValue(value);
    }

    private static void press(Assembly app, String button) {
      app.scene().getRoot().applyCss();
      ((Button) app.scene().lookup(button)).fire();
    }

    private static void on(Runnable work) {
      FutureTask<Void> task = new FutureTask<>(work, null);
      Platform.runLater(task);
      try {
        task.get(PATIENCE.toSeconds(), TimeUnit.SECONDS);
      } catch (Exception e) {
        throw new IllegalStateException(e);
      }
    }

    private static void await(BooleanSupplier so) {
      boolean[] is = new boolean[1];
      for (int i = 0; i < 600 && !is[0]; i++) {
        on(() -> is[0] = so.getAsBoolean());
        try {
          Thread.sleep(50);
        } catch (InterruptedException e) {
          Thread.currentThread().interrupt();
        }
      }
    }
  }

  private static Assembly open(String file) {
    Workshop workshop = ((Opening.Opened) Workshop.open(Path.of(file))).workshop();
    Clock clock = Clock.systemUTC();
    var start = WorkshopModel.start(workshop, StationList.stations(), "typist", clock.instant());
    Assembly.loadLooks();
    Stage stage = new Stage();
    Assembly app =
        new Assembly(
            StationList.ALL, start, clock, "typist", Platform::runLater, p -> {}, stage::close);
    stage.setScene(app.scene());
    stage.show();
    return app;
  }

  /** Types into the bed sheet's fields and says so; then waits to be killed. */
  public static final class Typist {
    public static void main(String[] args) {
      Platform.startup(() -> {
        Assembly app = open(args[0]);
        Shell shell = app.shell();
        shell.show("bed");
        app.scene().getRoot().applyCss();
        app.scene().getRoot().layout();
        TextField field = (TextField) app.scene().lookup("#reading-1-1");
        field.setText("");
        field.appendText("6");
        field.appendText(".");
        Thread.ofPlatform().start(Typist::sayLater);
      });
    }

    /** A keystroke is on the disk well within half a second. */
    private static void sayLater() {
      try {
        Thread.sleep(500);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
      System.out.println("typed");
    }
  }
}
