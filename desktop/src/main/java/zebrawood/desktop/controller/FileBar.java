package zebrawood.desktop.controller;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.stage.FileChooser;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.text.Text;
import zebrawood.words.Message;

/**
 * A configuration file by its name, chosen, or dropped on the readings: its text stands there as it
 * is, and is kept with the entry.
 */
final class FileBar extends HeightCachingBox {
  private final ControllerModel work;
  private final TextField name = new TextField();

  /**
   * @param readings where a file can be dropped
   */
  FileBar(ControllerModel work, Region readings) {
    super(4);
    this.work = work;
    name.setId("controller-file-name");
    name.setAccessibleText(Text.of("controller.file"));
    name.setPromptText(Text.of("controller.file.prompt"));
    name.setText(work.origin.fileName());
    name.setOnAction(e -> take(name.getText()));
    FlowPane buttons =
        new FlowPane(
            6,
            6,
            button("controller-file-choose", "controller.file.choose", this::choose),
            button("controller-file-write", "controller.file.write", this::write));
    buttons.getStyleClass().add("dense");
    getChildren().addAll(name, buttons);
    readings.setOnDragOver(e -> {
      if (e.getDragboard().hasFiles()) {
        e.acceptTransferModes(TransferMode.COPY);
      }
      e.consume();
    });
    readings.setOnDragDropped(e -> {
      List<File> files = e.getDragboard().getFiles();
      if (!files.isEmpty()) {
        take(files.getFirst().toString());
      }
      e.setDropCompleted(!files.isEmpty());
      e.consume();
    });
  }

  private static Button button(String id, String key, Runnable run) {
    Button button = new Button(Text.of(key));
    button.setId(id);
    button.setOnAction(e -> run.run());
    return button;
  }

  private void choose() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(Text.of("controller.file"));
    File chosen = chooser.showOpenDialog(getScene().getWindow());
    if (chosen != null) {
      take(chosen.toString());
    }
  }

  private void take(String path) {
    try {
      String text = TextFile.read(path);
      work.origin.takeFile(Path.of(path.strip()).getFileName().toString(), text);
      name.setText(path.strip());
      work.say(Message.of("controller.file.taken", Message.quoted(work.origin.fileName())));
    } catch (TextFile.Refused e) {
      work.say(e.said());
    }
  }

  /** What stands there, into a file. */
  private void write() {
    try {
      TextFile.write(name.getText(), work.dump.text());
      work.say(Message.of("controller.said.dialect-written", Message.quoted(name.getText())));
    } catch (TextFile.Refused e) {
      work.say(e.said());
    }
  }
}
