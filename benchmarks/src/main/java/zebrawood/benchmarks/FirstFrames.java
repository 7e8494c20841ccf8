package zebrawood.benchmarks;

import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import javafx.stage.Window;
import zebrawood.desktop.app.Zebrawood;

/**
 * Starts an application, says "shown" at the second frame after its window is on the screen, and
 * ends the process: {@code FirstFrames empty}, or the application's own arguments.
 */
public final class FirstFrames {
  private FirstFrames() {}

  public static void main(String[] args) {
    Thread.ofPlatform().daemon(true).start(FirstFrames::watch);
    if (args[0].equals("empty")) {
      Application.launch(Empty.class);
    } else {
      Zebrawood.main(args);
    }
  }

  /** Asks the toolkit, once it runs, whether a window is there. */
  private static void watch() {
    while (true) {
      try {
        Thread.sleep(2);
        Platform.runLater(FirstFrames::countWhenShown);
        return;
      } catch (IllegalStateException notStarted) {
        // the toolkit is not running yet
      } catch (InterruptedException e) {
        return;
      }
    }
  }

  private static void countWhenShown() {
    new AnimationTimer() {
      private int frames;

      @Override
      public void handle(long now) {
        boolean shown = Window.getWindows().stream().anyMatch(Window::isShowing);
        if (shown && ++frames == 2) {
          System.out.println("shown");
          Runtime.getRuntime().halt(0);
        }
      }
    }.start();
  }

  /** A window with nothing in it. */
  public static final class Empty extends Application {
    @Override
    public void start(Stage stage) {
      stage.setScene(new Scene(new StackPane(), 1280, 800));
      stage.show();
    }
  }
}
