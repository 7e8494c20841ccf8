package zebrawood.desktop.app;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.slf4j.LoggerFactory;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.records.workshop.Backups;
import zebrawood.records.workshop.Backups.Backup;
import zebrawood.records.workshop.Restored;
import zebrawood.words.Message;

/** A window that says why the workshop cannot be opened, and offers the newest copy of it. */
final class Refusal {
  private final Stage stage;
  private final Path file;
  private final Clock clock;
  private final Runnable again;

  /**
   * @param again begins to read the file anew
   */
  Refusal(Stage stage, Path file, Clock clock, Runnable again) {
    this.stage = stage;
    this.file = file;
    this.clock = clock;
    this.again = again;
  }

  /**
   * @param damaged whether a copy may be put in the place of the file
   * @param open shows the workshop in the stage, once a copy is there
   */
  void show(Message because, boolean damaged, Consumer<Stage> open) {
    String sentence = Text.words().sentence(because);
    System.err.println(sentence);
    Label words = new Label(sentence);
    words.setId("refusal");
    words.setWrapText(true);
    words.setMaxWidth(460);
    Button close = new Button(Text.of("window.close"));
    close.setDefaultButton(true);
    close.getStyleClass().add("primary");
    close.setOnAction(e -> stage.close());
    HBox buttons = new HBox(8);
    buttons.setAlignment(Pos.CENTER_RIGHT);
    if (damaged) {
      copies().stream()
          .findFirst()
          .ifPresent(copy -> {
            Button restore = new Button(Text.of("restore.newest", DayWords.dayAndYear(copy.day())));
            restore.setId("refusal-restore");
            restore.setOnAction(e -> {
              restore.setDisable(true);
              restore(copy, words, open);
            });
            buttons.getChildren().add(restore);
          });
    }
    buttons.getChildren().add(close);
    VBox box = new VBox(16, words, buttons);
    box.getStyleClass().add("card");
    stage.setTitle(Text.of("app.title"));
    Scene scene = new Scene(box);
    Assembly.dress(scene, false);
    stage.setScene(scene);
    stage.show();
    close.requestFocus();
  }

  private List<Backup> copies() {
    try {
      return new Backups(file).all();
    } catch (IOException e) {
      LoggerFactory.getLogger(Refusal.class).warn("the copies cannot be listed", e);
      return List.of();
    }
  }

  /** Beside the window: the copy is looked at and copied whole. */
  private void restore(Backup copy, Label words, Consumer<Stage> open) {
    CompletableFuture.supplyAsync(() -> Restored.of(file, copy.file(), LocalDateTime.now(clock)))
        .thenAcceptAsync(
            restored -> {
              switch (restored) {
                case Restored.Done done -> {
                  again.run();
                  open.accept(stage);
                }
                case Restored.Refused(Message because) ->
                    words.setText(Text.words().sentence(because));
              }
            },
            Platform::runLater);
  }
}
