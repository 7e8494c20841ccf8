package zebrawood.benchmarks;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.stage.Stage;
import zebrawood.desktop.app.Assembly;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.machine.Machine;
import zebrawood.records.workshop.Workshop;

/**
 * What the window takes with a long record: opening, choosing the machine, its bed sheet, and one
 * entry more, each to the frame that shows it; over the same with ten entries. The best of a few.
 * Argument: entries, 10 000 where none is named.
 */
public final class LongRecord {
  private static final int FEW = 10;
  private static final int MANY = 10_000;
  private static final int ROUNDS = 5;
  private static final double MILLION = 1e6;

  private final Map<String, Double> best = new LinkedHashMap<>();
  private Assembly app;
  private WorkshopModel model;

  private LongRecord() {}

  public static void main(String[] args) throws Exception {
    int many = args.length == 0 ? MANY : Integer.parseInt(args[0]);
    Path folder = Files.createTempDirectory("zebrawood-long");
    CountDownLatch started = new CountDownLatch(1);
    Platform.startup(started::countDown);
    started.await();
    Platform.setImplicitExit(false);
    int code = 0;
    try {
      InterfaceThread.run(Assembly::loadLooks);
      Path few = RecordTrials.grown(folder, FEW, 1);
      new LongRecord().times(few);
      Map<String, Double> small = new LongRecord().times(few);
      Map<String, Double> large = new LongRecord().times(RecordTrials.grown(folder, many, 1));
      large.forEach((what, ms) ->
          System.out.printf(
              Locale.ROOT,
              "%-28s %8.1f ms; with %d entries %8.1f ms, ratio %.2f%n",
              what,
              ms,
              FEW,
              small.get(what),
              ms / small.get(what)));
    } catch (Exception e) {
      // The toolkit's thread would keep the process for ever.
      e.printStackTrace();
      code = 1;
    }
    Platform.exit();
    System.exit(code);
  }

  private Map<String, Double> times(Path file) throws Exception {
    Clock clock = Clock.systemUTC();
    for (int i = 0; i < ROUNDS; i++) {
      long begun = System.nanoTime();
      Workshop workshop = RecordTrials.opened(file);
      Stage[] stage = new Stage[1];
      InterfaceThread.run(() -> {
        stage[0] = new Stage();
        app =
            new Assembly(
                StationList.ALL,
                WorkshopModel.start(workshop, StationList.stations(), "bench", clock.instant()),
                clock,
                "bench",
                Platform::runLater,
                p -> {},
                stage[0]::close);
        model = app.model();
        stage[0].setScene(app.scene());
        stage[0].show();
      });
      InterfaceThread.frame(app.scene());
      took("opened, to the first frame", begun);
      chosen("Bryony");
      begun = System.nanoTime();
      chosen("Alder");
      took("machine chosen", begun);
      begun = System.nanoTime();
      InterfaceThread.run(() -> app.shell().show("bed"));
      InterfaceThread.frame(app.scene());
      took("its bed sheet", begun);
      Entry sample = RecordTrials.samples(workshop, model.opened().machine()).getLast();
      Entry more =
          RecordTrials.another(
              sample, sample.machineId(), "long-" + file + i + System.nanoTime(), clock.instant());
      CountDownLatch recorded = new CountDownLatch(1);
      begun = System.nanoTime();
      InterfaceThread.run(() ->
          model.record(
              more,
              workshop.paperOf(sample.id()).orElseThrow(),
              recorded::countDown,
              () -> {
                throw new IllegalStateException("not recorded");
              }));
      recorded.await();
      InterfaceThread.frame(app.scene());
      took("one entry more", begun);
      InterfaceThread.run(() -> {
        model.close();
        stage[0].close();
      });
    }
    return best;
  }

  private void took(String what, long begun) {
    best.merge(what, (System.nanoTime() - begun) / MILLION, Math::min);
  }

  private void chosen(String name) throws Exception {
    boolean[] there = new boolean[1];
    InterfaceThread.run(() -> {
      Machine machine =
          model.machinesProperty().get().stream()
              .filter(m -> m.name().equals(name))
              .findFirst()
              .orElseThrow();
      model.choose(machine);
    });
    while (!there[0]) {
      InterfaceThread.run(() -> there[0] = model.opened().machine().name().equals(name));
    }
    InterfaceThread.frame(app.scene());
  }
}
