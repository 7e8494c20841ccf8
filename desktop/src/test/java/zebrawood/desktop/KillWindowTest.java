package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.control.TextField;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.app.Assembly;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.desktop.shell.Shell;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** The window is killed without warning while readings are typed. */
class KillWindowTest {
  @Test
  void typedReadingsAreThereAfterAKill() throws Exception {
    Path file = Files.createTempDirectory("zebrawood-kill").resolve("kill.zebrawood");
    DemoWorkshop.write(file, Clock.systemUTC().instant());
    List<String> command = new ArrayList<>();
    command.add(ProcessHandle.current().info().command().orElseThrow());
    ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
        .filter(a -> a.startsWith("-Dglass") || a.startsWith("-Dprism") || a.startsWith("--enable"))
        .forEach(command::add);
    command.addAll(
        List.of(
            "-cp", System.getProperty("java.class.path"), Typist.class.getName(), file.toString()));
    Process process = new ProcessBuilder(command).start();
    try (var lines = process.inputReader()) {
      String line = lines.readLine();
      assertThat(line).isEqualTo("typed");
    }
    process.destroyForcibly();
    assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();

    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      String alder = workshop.machines().getFirst().id();
      assertThat(workshop.draft(alder, "bed")).containsEntry("reading.4", "6.");
      assertThat(workshop.entries(alder)).hasSize(16);
    }
  }

  /** Types into the bed sheet's fields and says so; then waits to be killed. */
  public static final class Typist {
    public static void main(String[] args) {
      Workshop workshop = ((Opening.Opened) Workshop.open(Path.of(args[0]))).workshop();
      Clock clock = Clock.systemUTC();
      var start = WorkshopModel.start(workshop, StationList.stations(), "typist", clock.instant());
      Platform.startup(() -> {
        Assembly.loadLooks();
        Stage stage = new Stage();
        Assembly app =
            new Assembly(start, clock, "typist", Platform::runLater, p -> {}, stage::close);
        stage.setScene(app.scene());
        stage.show();
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
