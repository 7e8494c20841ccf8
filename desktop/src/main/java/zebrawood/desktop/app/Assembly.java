package zebrawood.desktop.app;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.File;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import zebrawood.desktop.shell.DesktopPrograms;
import zebrawood.desktop.shell.Magnified;
import zebrawood.desktop.shell.Shell;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.records.paper.Paper;

/** Puts model, stations and window together: one open workshop in one scene. */
public final class Assembly {
  public static final double WIDTH = 1280;
  public static final double HEIGHT = 800;
  static final String LOOK = "/zebrawood/desktop/look/";
  private static final String LIGHT = "light";
  private static final String DARK = "dark";
  private static final String EVERYWHERE = "zebrawood";

  /** The style sheets: tokens of each theme, and the looks made from them. */
  static final List<String> LOOKS = List.of(LIGHT, DARK, EVERYWHERE);

  /** The two weights the window has, as resources. */
  static final List<String> WEIGHTS = List.of(Paper.TYPEFACE.getFirst(), Paper.TYPEFACE.getLast());

  private final WorkshopModel model;
  private final Shell shell;
  private final Scene scene;

  /**
   * Call on the interface's thread, after {@link #loadLooks}.
   *
   * @param stations in the order of the work
   */
  public Assembly(
      List<StationDefinition> stations,
      WorkshopModel.Start start,
      Clock clock,
      String person,
      Executor ui,
      DesktopPrograms outside,
      Runnable closeWindow) {
    model =
        new WorkshopModel(
            start, stations.stream().map(StationDefinition::station).toList(), ui, clock, person);
    shell = new Shell(model, stations, outside, closeWindow);
    Magnified window = new Magnified(shell);
    scene = new Scene(window, WIDTH, HEIGHT);
    model.sizeProperty().subscribe(size -> window.show(size.percent()));
    model.darkProperty().subscribe(dark -> dress(scene, dark));
  }

  /** What needs no workshop: typeface and toolkit skin, while the workshop is still being read. */
  public static void loadLooks() {
    loadTypeface();
    useSkin(false);
  }

  /** On any thread. */
  static void loadTypeface() {
    for (String weight : WEIGHTS) {
      Optional<String> ready = ready(name(weight));
      if (ready.isPresent()) {
        Font.loadFont(ready.get(), 14);
      } else {
        Font.loadFont(Paper.class.getResourceAsStream(weight), 14);
      }
    }
  }

  /** A typeface's file by its name alone. */
  static String name(String resource) {
    return resource.substring(resource.lastIndexOf('/') + 1);
  }

  /** What the launcher made ready after a build: a file that needs no unpacking. */
  private static Optional<String> ready(String name) {
    String folder = System.getProperty("zebrawood.looks", "");
    File file = new File(folder, name);
    return !folder.isEmpty() && file.isFile()
        ? Optional.of(file.toURI().toString())
        : Optional.empty();
  }

  static void useSkin(boolean dark) {
    String skin =
        dark
            ? new PrimerDark().getUserAgentStylesheetBSS()
            : new PrimerLight().getUserAgentStylesheetBSS();
    if (!skin.equals(Application.getUserAgentStylesheet())) {
      Application.setUserAgentStylesheet(skin);
    }
  }

  /** The toolkit skin, our tokens for the theme, our looks. */
  static void dress(Scene scene, boolean dark) {
    useSkin(dark);
    scene.getStylesheets().setAll(sheet(dark ? DARK : LIGHT), sheet(EVERYWHERE));
  }

  /** The launcher's binary form, where there is one. */
  private static String sheet(String name) {
    return ready(name + ".bss")
        .orElseGet(() -> Assembly.class.getResource(LOOK + name + ".css").toExternalForm());
  }

  /**
   * Ends what is under way, then lets go of the workshop. Not on the interface's thread: a link
   * that ends a pulse takes its time.
   */
  public void close() {
    shell.awaitEnd();
    model.close();
  }

  /** Lets go of the window; what goes on outside ends as it must. On the interface's thread. */
  public void letGo() {
    shell.letGo();
  }

  public WorkshopModel model() {
    return model;
  }

  public Shell shell() {
    return shell;
  }

  public Scene scene() {
    return scene;
  }
}
