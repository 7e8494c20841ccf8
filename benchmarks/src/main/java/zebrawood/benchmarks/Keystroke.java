package zebrawood.benchmarks;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.function.ToDoubleFunction;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.stage.Stage;
import zebrawood.desktop.app.Assembly;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/**
 * One keystroke to the advice on the page, in a field of every sheet ({@link #sheets}). What is
 * added up is the interface thread's work: the change itself, with solving and filling the page,
 * then styling and layout in the two frames that follow. Waiting for the frame clock and painting
 * are not counted; the draft goes to the disk meanwhile. Arguments: the sheets, all where none is
 * named.
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
  private Cost layout = new Cost(0, 0);

  private Keystroke() {}

  public static void main(String[] args) throws Exception {
    Path file = Files.createTempDirectory("zebrawood-key").resolve("demo.zebrawood");
    DemoWorkshop.write(file, Clock.systemUTC().instant());
    CountDownLatch started = new CountDownLatch(1);
    Platform.startup(started::countDown);
    started.await();
    int code = 0;
    try {
      new Keystroke().run(file, List.of(args));
    } catch (ExecutionException e) {
      // The toolkit's thread would keep the process for ever.
      e.printStackTrace();
      code = 1;
    }
    Platform.exit();
    System.exit(code);
  }

  private void run(Path file, List<String> only) throws Exception {
    Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop();
    Clock clock = Clock.systemUTC();
    InterfaceThread.run(() -> {
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
      app.scene().addPostLayoutPulseListener(() -> layout = layout.plus(Cost.since(layoutBegan)));
    });
    for (Sheet sheet : sheets()) {
      if (only.isEmpty() || only.contains(sheet.station)) {
        sheet(sheet);
        measure(sheet.what, sheet.one, sheet.other);
        if (sheet.station.equals("mirrors")) {
          InterfaceThread.run(() -> ((Button) app.scene().lookup("#secondary")).fire());
        }
      }
    }
    InterfaceThread.run(() -> app.model().close());
  }

  /**
   * What is measured.
   *
   * @param typed by the fields' names, all but that of the keystroke
   * @param field of the keystroke, with its two texts
   */
  private record Sheet(
      String station,
      String what,
      String machine,
      Map<String, String> typed,
      String field,
      String one,
      String other) {}

  private static List<Sheet> sheets() {
    Map<String, String> ramp = new TreeMap<>();
    String[] widths = {"0.56", "0.35", "0.22", "0.17", "0.22", "0.38", "0.64"};
    for (int i = 0; i < widths.length; i++) {
      ramp.put("focus-ramp-" + (i + 1) + "-at", String.valueOf(20 + 27 * i));
      ramp.put("focus-ramp-" + (i + 1) + "-value", widths[i]);
    }
    Map<String, String> dial = new TreeMap<>();
    for (int i = 1; i <= 5; i++) {
      dial.put("power-dial-" + i + "-percent", String.valueOf(15 * i));
      dial.put("power-dial-" + i + "-value", String.valueOf(5 * i - 2));
    }
    dial.putAll(
        Map.of(
            "power-low-pulse", "4",
            "power-tube-maximum", "28",
            "power-meter", "0.5",
            "power-share", "75"));
    Map<String, String> square =
        Map.of("field-across", "100.8", "field-rising", "142.05", "field-falling", "140.75");
    Map<String, String> room =
        Map.of(
            "site-earth", "0.12",
            "site-humidity", "55",
            "site-clearance", "300",
            "site-fuse-fitted", "16",
            "site-way-3-first", "1200",
            "site-way-3-second", "2000");
    Map<String, String> loop =
        Map.of("cooling-humidity", "68", "cooling-coolant", "20.5", "cooling-after-hour", "23.1");
    return List.of(
        new Sheet("site", "site", "Alder", room, "site-room", "20", "20.5"),
        new Sheet("cooling", "cooling", "Alder", loop, "cooling-room", "20", "26.5"),
        new Sheet("start", "start-up", "Alder", Map.of(), "start-coolant", "18", "18.5"),
        new Sheet(
            "controller",
            "controller, 17 settings",
            "Alder",
            Map.of("controller-dump", PRINTED),
            "controller-top-word",
            "1000",
            "999"),
        new Sheet(
            "mirrors",
            "mirrors, 6 marks",
            "Alder",
            Map.of(),
            "mirrors-head-front-right-up",
            "1.5",
            "-1.5"),
        new Sheet("bed", "bed, 25 points", "Alder", bed(), "reading-4-4", "6.3", "6.35"),
        new Sheet("focus", "focus, 7 widths", "Alder", ramp, "focus-set-gap", "9", "7"),
        new Sheet("lens", "lens, a rack of 2", "Alder", Map.of(), "lens-thickness", "3", "9"),
        new Sheet("power", "power, 5 readings", "Alder", dial, "power-at-top", "21", "22"),
        new Sheet("field", "field, a square", "Bryony", square, "field-up", "99.15", "90"));
  }

  private static Map<String, String> bed() {
    Map<String, String> typed = new TreeMap<>();
    for (int i = 0; i < 25; i++) {
      typed.put("reading-" + i % 5 + "-" + i / 5, "6." + i * 7 % 10);
    }
    return typed;
  }

  private void sheet(Sheet sheet) throws Exception {
    InterfaceThread.run(() ->
        app.model().machinesProperty().get().stream()
            .filter(m -> m.name().equals(sheet.machine))
            .findFirst()
            .ifPresent(app.model()::choose));
    while (!machine().equals(sheet.machine)) {
      InterfaceThread.frame(app.scene());
    }
    InterfaceThread.run(() -> app.shell().show(sheet.station));
    InterfaceThread.frame(app.scene());
    if (sheet.station.equals("mirrors")) {
      // On the stand-in nothing is held back until the machine's guards are proven today.
      press("#practise");
      press("#read-all");
    }
    if (sheet.station.equals("bed")) {
      InterfaceThread.run(() -> {
        fiveAlong("#bed-across");
        fiveAlong("#bed-deep");
      });
      InterfaceThread.frame(app.scene());
    }
    InterfaceThread.run(() -> {
      sheet.typed.forEach(
          (name, words) -> ((TextInputControl) app.scene().lookup("#" + name)).setText(words));
      field = (TextField) app.scene().lookup("#" + sheet.field);
    });
  }

  private String machine() throws Exception {
    String[] name = new String[1];
    InterfaceThread.run(() -> name[0] = app.model().opened().machine().name());
    return name[0];
  }

  private void press(String button) throws Exception {
    InterfaceThread.run(() -> ((Button) app.scene().lookup(button)).fire());
    InterfaceThread.frame(app.scene());
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
    InterfaceThread.run(() -> {
      layout = new Cost(0, 0);
      Began began = Began.now();
      field.setText(typed);
      change[0] = Cost.since(began);
    });
    // What a frame lays out may ask for more in the next one: both count.
    InterfaceThread.frame(app.scene());
    InterfaceThread.frame(app.scene());
    if (index >= 0) {
      changes[index] = change[0];
      both[index] = change[0].plus(layout);
    }
  }

  private static double share(Cost[] costs, ToDoubleFunction<Cost> of, double share) {
    double[] sorted = Arrays.stream(costs).mapToDouble(of).sorted().toArray();
    return sorted[(int) (share * (sorted.length - 1))];
  }
}
