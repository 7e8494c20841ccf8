package zebrawood.desktop.power;

import java.io.File;
import javafx.scene.control.Button;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.stage.FileChooser;
import zebrawood.desktop.sheet.FormPane;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.text.Text;

/**
 * A list of settings by its file: typed, chosen, or dropped here; and the button that remakes it.
 */
final class SettingsBar extends HeightCachingBox {
  SettingsBar(PowerWork work, FormPane pane) {
    super(4);
    Button choose = button("power-settings-choose", "power.settings.choose");
    choose.setOnAction(e -> {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(Text.of("power.field.settingsFile"));
      File chosen = chooser.showOpenDialog(getScene().getWindow());
      if (chosen != null) {
        work.settingsFile().set(chosen.toString());
      }
    });
    Button make = button("power-settings-make", "power.settings.make");
    make.setOnAction(e -> work.makeSettings());
    FlowPane buttons = new FlowPane(6, 6, choose, make);
    buttons.getStyleClass().add("dense");
    getChildren().addAll(pane.make(Part.rows(work.settingsFile(), work.settingsTo())), buttons);
    setOnDragOver(e -> {
      if (e.getDragboard().hasFiles()) {
        e.acceptTransferModes(TransferMode.COPY);
      }
      e.consume();
    });
    setOnDragDropped(e -> {
      var files = e.getDragboard().getFiles();
      if (!files.isEmpty()) {
        work.settingsFile().set(files.getFirst().toString());
      }
      e.setDropCompleted(!files.isEmpty());
      e.consume();
    });
  }

  private static Button button(String id, String key) {
    Button button = new Button(Text.of(key));
    button.setId(id);
    return button;
  }
}
