package zebrawood.desktop.app;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import zebrawood.desktop.demo.DemoCard;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.desktop.practise.CaseModel;
import zebrawood.desktop.sheet.ProofRow;
import zebrawood.desktop.shell.OtherPages;
import zebrawood.desktop.shell.Shell;
import zebrawood.desktop.text.Text;
import zebrawood.devices.camera.StandInCamera;
import zebrawood.devices.whole.Adviser;
import zebrawood.devices.whole.CaseKind;
import zebrawood.start.StartStation;

/**
 * Pictures of every main view from the demo workshop, rendered offscreen. The day is fixed, so that
 * the same program gives the same pictures.
 */
final class Shots {
  private static final Clock DAY =
      Clock.fixed(Instant.parse("2026-11-24T09:30:00Z"), ZoneOffset.UTC);

  private static final int CASE_STEPS = 9;

  private final Path folder;
  private Stage stage;
  private Assembly assembly;

  private Shots(Path folder) {
    this.folder = folder;
  }

  /**
   * @return the exit code
   */
  static int write(Path folder) throws IOException {
    Display.useOffscreen();
    Files.createDirectories(folder);
    Path home = Files.createTempDirectory("zebrawood-shots");
    CountDownLatch started = new CountDownLatch(1);
    Platform.startup(started::countDown);
    Platform.setImplicitExit(false);
    try {
      started.await();
      Shots shots = new Shots(folder);
      Path demo = home.resolve("demo.zebrawood");
      DemoWorkshop.write(demo, DAY.instant());
      shots.open(demo);
      shots.demoViews(home);
      shots.close();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Zebrawood.NOT_POSSIBLE;
    } finally {
      Platform.exit();
    }
    System.out.println(Text.of("console.pictures", folder.toAbsolutePath().toString()));
    return 0;
  }

  private void demoViews(Path home) throws InterruptedException, IOException {
    take("today");
    show("bed");
    press("#reading-1-1");
    take("bed");
    show("site");
    onInterface(() -> {
      type("#site-earth", "0.12");
      ((javafx.scene.control.TitledPane) node("#site-exhaust-fold")).setExpanded(true);
    });
    press("#proof-straps");
    take("site");
    show("start");
    onInterface(() -> {
      for (String line : new String[] {"emergency-stop", "switch-on-1", "switch-on-2", "lid"}) {
        ((Button) node("#proof-" + line)).fire();
      }
    });
    press("#proof-key");
    take("start-up");
    proveTheRest();
    show("mirrors");
    onInterface(() -> {
      String[] marks = {
        "2", "-1.5", "4", "-3", "-2", "-0.5", "-6", "-1.5", "-4", "-1.5", "-8", "-3"
      };
      String[] places = {
        "mirror-2-rear",
        "mirror-2-front",
        "head-rear-left",
        "head-rear-right",
        "head-front-left",
        "head-front-right"
      };
      for (int i = 0; i < marks.length; i++) {
        type("#mirrors-" + places[i / 2] + (i % 2 == 0 ? "-right" : "-up"), marks[i]);
      }
    });
    onInterface(() -> type("#mirrors-least-pulse", "5 mA"));
    press("#mirrors-head-front-right-up");
    take("mirrors");
    show("focus");
    onInterface(() -> {
      String[] along = {"20", "50", "75", "95", "115", "140", "180"};
      String[] wide = {"0.56", "0.35", "0.22", "0.17", "0.22", "0.38", "0.64"};
      for (int i = 0; i < along.length; i++) {
        type("#focus-ramp-" + (i + 1) + "-at", along[i]);
        type("#focus-ramp-" + (i + 1) + "-value", wide[i]);
      }
      type("#focus-set-gap", "9.0");
    });
    press("#focus-set-gap");
    take("focus");
    show("camera");
    photographTarget(home.resolve("target.png"));
    take("camera");
    show("cards");
    scanCard(home.resolve("card-oak.png"));
    take("cards");
    show(OtherPages.DAYS);
    onInterface(() -> {
      var worked = (javafx.scene.control.ComboBox<?>) node("#days-worked");
      // The day on which the cards were left in order.
      for (int i = 0; i < worked.getItems().size(); i++) {
        if (worked.getItems().get(i).toString().contains("Cards")) {
          worked.getSelectionModel().select(i);
        }
      }
    });
    take("two-days");
    show(Shell.ALL);
    while (!ask(() -> node("#workshop-rows") != null)) {
      frames(1);
    }
    take("all-machines");
    choose("Bryony");
    show("field");
    onInterface(() -> {
      type("#field-tolerance", "0.1");
      type("#field-resolution", "0.05");
      type("#field-commanded", "90");
      type("#field-across", "100.8");
      type("#field-up", "99.15");
      type("#field-rising", "142.05");
      type("#field-falling", "140.75");
    });
    press("#field-up");
    take("field");
    show(OtherPages.PRACTISE);
    onInterface(() -> {
      ((javafx.scene.control.ComboBox<?>) node("#practise-case"))
          .getSelectionModel()
          .select(CaseKind.PALE_AT_THE_REAR.ordinal());
      type("#practise-number", "12");
      ((Button) node("#practise-start")).fire();
    });
    frames(1);
    for (int i = 0; i < CASE_STEPS; i++) {
      onInterface(this::followTheAdvice);
      frames(1);
    }
    take("practice");
    new KeepShots(this).take();
    choose("Madder");
    show("power");
    onInterface(() -> {
      type("#power-at-top", "23.5");
      type("#power-dial-now", "66.5");
      ((javafx.scene.control.TitledPane) node("#power-ageing-fold")).setExpanded(true);
    });
    frames(2);
    onInterface(() -> {
      type("#power-output", "66.8");
      type("#power-hours", "1102");
    });
    press("#power-dial-now");
    take("power");
    choose("Teasel");
    show("recipe");
    frames(2);
    take("recipe");
    choose("Tansy");
    show("controller");
    onInterface(() ->
        ((javafx.scene.control.TextArea) node("#controller-dump"))
            .setText(
                """
                par rest after = 25
                par speak in = mm
                par stay inside = no
                par end switches = no
                par corner search = no
                par corner = far right
                par beam top = 4000
                par beam least = 0
                par beam follows = yes
                par steps across = 80
                par push across = 1500
                par reach across = 400.000
                par reach deep = 400.000
                """));
    press("#proof-homes");
    take("controller");
  }

  /** One step of a case, as its help would say. */
  private void followTheAdvice() {
    Adviser.Step step = Adviser.next(assembly.shell().playing().orElseThrow());
    type("#practise-search", CaseModel.words(step.deed()));
    if (step.deed().hasAmount()) {
      type("#practise-amount", String.valueOf(step.amount()));
    }
    ((Button) node("#practise-do")).fire();
  }

  /** Alder's card on another batch, burnt and scanned. */
  private void scanCard(Path file) throws IOException, InterruptedException {
    List<double[]> crosses = DemoCard.scan(file);
    onInterface(() ->
        ((javafx.scene.control.ComboBox<?>) node("#cards-way")).getSelectionModel().select(0));
    frames(2);
    onInterface(() -> {
      type("#cards-photo", file.toString());
      type("#cards-wanted", "0.5");
      ((javafx.scene.control.TitledPane) node("#cards-by-hand-fold")).setExpanded(true);
    });
    frames(2);
    onInterface(() -> {
      for (int i = 0; i < crosses.size(); i++) {
        double[] px = crosses.get(i);
        type("#cards-mark-" + i + "-x", String.valueOf(Math.round(px[0])));
        type("#cards-mark-" + i + "-y", String.valueOf(Math.round(px[1])));
      }
      ((javafx.scene.control.TitledPane) node("#cards-by-hand-fold")).setExpanded(false);
    });
    awaitPrimary();
    press("#cards-wanted");
  }

  /** A target on Alder's bed, as its camera sees it since the lid was moved. */
  private void photographTarget(Path file) throws InterruptedException, IOException {
    StandInCamera camera = new StandInCamera(700, 500, 9);
    camera.knockLid(0.005, -0.0045);
    StandInCamera.Target target = new StandInCamera.Target(9, 6, 80, 30, 50, true, 3);
    ImageIO.write(camera.photograph(target), "png", file.toFile());
    onInterface(() ->
        ((javafx.scene.control.ComboBox<?>) node("#camera-way")).getSelectionModel().select(0));
    frames(2);
    onInterface(() -> {
      type("#camera-tolerance", "1");
      String[] grid = {
        "columns", "9", "rows", "6", "pitch", "80", "originX", "30", "originY", "50"
      };
      for (int i = 0; i < grid.length; i += 2) {
        type("#camera-" + dashed(grid[i]), grid[i + 1]);
      }
      type("#camera-sheet-height", "3");
      type("#camera-photo", file.toString());
      ((javafx.scene.control.TitledPane) node("#camera-by-hand-fold")).setExpanded(true);
    });
    frames(2);
    onInterface(() -> {
      double[][] corners = {{30, 50}, {670, 50}, {670, 450}, {30, 450}};
      for (int i = 0; i < corners.length; i++) {
        double[] px = camera.px(corners[i][0], corners[i][1], 3);
        type("#camera-mark-" + i + "-x", String.valueOf(Math.round(px[0] + 2)));
        type("#camera-mark-" + i + "-y", String.valueOf(Math.round(px[1] - 3)));
      }
      ((javafx.scene.control.TitledPane) node("#camera-by-hand-fold")).setExpanded(false);
    });
    awaitPrimary();
    press("#camera-sheet-height");
  }

  void awaitPrimary() throws InterruptedException {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
    while (ask(() -> node("#primary").isDisabled()) && System.nanoTime() < end) {
      frames(2);
    }
  }

  private static String dashed(String camelCase) {
    return camelCase.replaceAll("([A-Z])", "-$1").toLowerCase(java.util.Locale.ROOT);
  }

  /** So that the sheets after it show their own advice. */
  private void proveTheRest() throws InterruptedException {
    onInterface(() -> {
      for (Node node : assembly.scene().getRoot().lookupAll(".button")) {
        if (node instanceof Button button
            && node.getId() instanceof String id
            && id.startsWith("proof-")
            && node.getPseudoClassStates().contains(ProofRow.OPEN)) {
          button.fire();
        }
      }
      type("#start-coolant", "18.5");
    });
    frames(2);
    onInterface(() -> ((Button) node("#primary")).fire());
    while (!ask(() -> assembly.model().opened().standing(StartStation.STATION).holds())) {
      frames(1);
    }
  }

  /** The real window: the launcher makes its cache of this run, and it has to know a start. */
  private void open(Path file) throws InterruptedException {
    ZebrawoodWindow.begin(file, DAY);
    onInterface(() -> {
      stage = new Stage();
      assembly = new ZebrawoodWindow().show(stage).orElseThrow();
      assembly.model().setInitials("EH");
    });
  }

  private void close() throws InterruptedException {
    onInterface(() -> {
      stage.close();
      assembly.letGo();
    });
    assembly.close();
  }

  void show(String stationId) throws InterruptedException {
    onInterface(() -> assembly.shell().show(stationId));
    frames(2);
  }

  void choose(String machine) throws InterruptedException {
    onInterface(() ->
        assembly.model().machinesProperty().get().stream()
            .filter(m -> m.name().equals(machine))
            .findFirst()
            .ifPresent(assembly.model()::choose));
    while (!ask(() -> assembly.model().opened().machine().name().equals(machine))) {
      frames(1);
    }
  }

  void press(String selector) throws InterruptedException {
    onInterface(() -> node(selector).requestFocus());
  }

  void type(String selector, String words) {
    ((javafx.scene.control.TextField) node(selector)).setText(words);
  }

  Node node(String selector) {
    return assembly.scene().lookup(selector);
  }

  void take(String name) throws InterruptedException {
    frames(4);
    WritableImage image = ask(() -> assembly.scene().snapshot(null));
    int width = (int) image.getWidth();
    int height = (int) image.getHeight();
    int[] pixels = new int[width * height];
    image
        .getPixelReader()
        .getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), pixels, 0, width);
    BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    picture.setRGB(0, 0, width, height, pixels, 0, width);
    try {
      ImageIO.write(picture, "png", folder.resolve(name + ".png").toFile());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Lets the toolkit lay out and draw so many times. */
  static void frames(int count) throws InterruptedException {
    CountDownLatch drawn = new CountDownLatch(count);
    AnimationTimer timer =
        new AnimationTimer() {
          @Override
          public void handle(long now) {
            drawn.countDown();
          }
        };
    onInterface(timer::start);
    drawn.await(10, TimeUnit.SECONDS);
    onInterface(timer::stop);
  }

  static void onInterface(Runnable work) throws InterruptedException {
    ask(() -> {
      work.run();
      return null;
    });
  }

  private static <T> T ask(java.util.concurrent.Callable<T> work) throws InterruptedException {
    FutureTask<T> task = new FutureTask<>(work);
    Platform.runLater(task);
    try {
      return task.get();
    } catch (ExecutionException e) {
      throw new IllegalStateException(e.getCause());
    }
  }
}
