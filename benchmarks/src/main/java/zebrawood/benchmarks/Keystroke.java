package zebrawood.benchmarks;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.function.ToDoubleFunction;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.stage.Stage;
import zebrawood.desktop.app.Assembly;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/**
 * One keystroke to the advice on the page: in the room's temperature of site and cooling, in the
 * 25th field of the bed sheet, in the last of twelve of the mirrors' sheet, and in the job
 * software's top word of the controller's. What is added up is the interface thread's work: the
 * change itself, with solving and filling the page, then styling and layout in the frame that
 * follows. Waiting for the frame clock and painting are not counted; the draft goes to the disk
 * meanwhile. Arguments: the sheets, all where none is named.
 */
public final class Keystroke {
  private static final int WARM_UP = 200;
  private static final int COUNTED = 500;

  private static final String PRINTED =
      """
      par rest after = 999
      par speak in = mm
      par stay inside = yes
      par end switches = yes
      par corner search = yes
      par corner = near left
      par beam top = 1000
      par beam least = 0
      par beam follows = yes
      par steps across = 80.000
      par steps deep = 80.000
      par speed across = 30000.000
      par speed deep = 30000.000
      par push across = 1500.000
      par push deep = 1200.000
      par reach across = 700.000
      par reach deep = 500.000
      """;

  private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

  /** By the clock, and what of it the interface's thread had a processor. */
  private record Cost(double ms, double workedMs) {
    static Cost since(Began began) {
      return new Cost(
          (System.nanoTime() - began.ns) / 1e6,
          (THREADS.getCurrentThreadCpuTime() - began.workedNs) / 1e6);
    }

    Cost plus(Cost more) {
      return new Cost(ms + more.ms, workedMs + more.workedMs);
    }
  }

  private record Began(long ns, long workedNs) {
    static Began now() {
      return new Began(System.nanoTime(), THREADS.getCurrentThreadCpuTime());
    }
  }

  private final Cost[] changes = new Cost[COUNTED];
  private final Cost[] both = new Cost[COUNTED];
  private Assembly app;
  private TextField field;
  private Began layoutBegan;
  private Cost layout;

  private Keystroke() {}

  public static void main(String[] args) throws Exception {
    Path file = Files.createTempDirectory("zebrawood-key").resolve("demo.zebrawood");
    DemoWorkshop.write(file, Clock.systemUTC().instant());
    CountDownLatch started = new CountDownLatch(1);
    Platform.startup(started::countDown);
    started.await();
    new Keystroke().run(file, List.of(args));
    Platform.exit();
    System.exit(0);
  }

  private void run(Path file, List<String> only) throws Exception {
    Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop();
    Clock clock = Clock.systemUTC();
    onInterface(() -> {
      Assembly.loadLooks();
      Stage stage = new Stage();
      app =
          new Assembly(
              StationList.ALL,
              WorkshopModel.start(workshop, StationList.stations(), "bench", clock.instant()),
              clock,
              "bench",
              Platform::runLater,
              p -> {},
              stage::close);
      stage.setScene(app.scene());
      stage.show();
      app.scene().addPreLayoutPulseListener(() -> layoutBegan = Began.now());
      app.scene().addPostLayoutPulseListener(() -> layout = Cost.since(layoutBegan));
    });
    for (String sheet : List.of("site", "cooling")) {
      if (only.isEmpty() || only.contains(sheet)) {
        onInterface(() -> app.shell().show(sheet));
        aFrame();
        String id = "#" + sheet + "-room";
        onInterface(() -> field = (TextField) app.scene().lookup(id));
        measure(sheet, "20", "20.5");
      }
    }
    if (only.isEmpty() || only.contains("bed")) {
      bed();
      measure("bed, 25 points", "6.3", "6.35");
    }
    if (only.isEmpty() || only.contains("mirrors")) {
      mirrors();
      measure("mirrors, 6 marks", "1.5", "-1.5");
      onInterface(() -> ((Button) app.scene().lookup("#secondary")).fire());
    }
    if (only.isEmpty() || only.contains("controller")) {
      controller();
      measure("controller, 17 settings", "1000", "999");
    }
    onInterface(() -> app.model().close());
  }

  /** Alder's, as its stand-in was left. */
  private void controller() throws Exception {
    onInterface(() -> app.shell().show("controller"));
    aFrame();
    onInterface(() -> {
      ((TextArea) app.scene().lookup("#controller-dump")).setText(PRINTED);
      field = (TextField) app.scene().lookup("#controller-top-word");
    });
  }

  private void bed() throws Exception {
    onInterface(() -> app.shell().show("bed"));
    aFrame();
    onInterface(() -> {
      fiveAlong("#bed-across");
      fiveAlong("#bed-deep");
    });
    aFrame();
    onInterface(() -> {
      for (int i = 0; i < 25; i++) {
        field = (TextField) app.scene().lookup("#reading-" + i % 5 + "-" + i / 5);
        field.setText("6." + i * 7 % 10);
      }
    });
  }

  /** On the stand-in, where nothing is held back until the machine's guards are proven today. */
  private void mirrors() throws Exception {
    onInterface(() -> app.shell().show("mirrors"));
    aFrame();
    onInterface(() -> ((Button) app.scene().lookup("#practise")).fire());
    aFrame();
    onInterface(() -> {
      ((Button) app.scene().lookup("#read-all")).fire();
      field = (TextField) app.scene().lookup("#mirrors-head-front-right-up");
    });
  }

  private void measure(String sheet, String one, String other) throws Exception {
    for (int i = -WARM_UP; i < COUNTED; i++) {
      keystroke(i, i % 2 == 0 ? one : other);
    }
    System.out.printf(
        "keystroke to advice, %s, ms of the interface's thread: median %.2f, 99 %% %.2f by the"
            + " clock, %.2f and %.2f at work (the change alone %.2f and %.2f by the clock)%n",
        sheet,
        share(both, Cost::ms, 0.5),
        share(both, Cost::ms, 0.99),
        share(both, Cost::workedMs, 0.5),
        share(both, Cost::workedMs, 0.99),
        share(changes, Cost::ms, 0.5),
        share(changes, Cost::ms, 0.99));
  }

  @SuppressWarnings("unchecked")
  private void fiveAlong(String box) {
    ((ComboBox<Integer>) app.scene().lookup(box)).setValue(5);
  }

  private void keystroke(int index, String typed) throws Exception {
    Cost[] change = new Cost[1];
    onInterface(() -> {
      Began began = Began.now();
      field.setText(typed);
      change[0] = Cost.since(began);
    });
    aFrame();
    if (index >= 0) {
      changes[index] = change[0];
      both[index] = change[0].plus(layout);
    }
  }

  private void aFrame() throws Exception {
    CountDownLatch done = new CountDownLatch(1);
    Runnable listener = done::countDown;
    onInterface(() -> {
      app.scene().addPostLayoutPulseListener(listener);
      Platform.requestNextPulse();
    });
    done.await();
    onInterface(() -> app.scene().removePostLayoutPulseListener(listener));
  }

  private static void onInterface(Runnable work) throws Exception {
    FutureTask<Void> task = new FutureTask<>(work, null);
    Platform.runLater(task);
    task.get();
  }

  private static double share(Cost[] costs, ToDoubleFunction<Cost> of, double share) {
    double[] sorted = Arrays.stream(costs).mapToDouble(of).sorted().toArray();
    return sorted[(int) (share * (sorted.length - 1))];
  }
}
