package zebrawood.desktop.focus;

import java.io.File;
import javafx.scene.control.Button;
import javafx.scene.input.TransferMode;
import javafx.stage.FileChooser;
import zebrawood.desktop.sheet.FormPane;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.text.Text;

/** The photograph's file: typed, chosen, or dropped here. */
final class PhotoBar extends HeightCachingBox {
  PhotoBar(FocusWork work, FormPane pane) {
    super(4);
    Button choose = new Button(Text.of("focus.photo.choose"));
    choose.setId("focus-photo-choose");
    choose.setOnAction(e -> {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(Text.of("focus.field.photo"));
      File chosen = chooser.showOpenDialog(getScene().getWindow());
      if (chosen != null) {
        work.photo().path().set(chosen.toString());
      }
    });
    getChildren().addAll(pane.make(Part.rows(work.photo().path())), choose);
    setOnDragOver(e -> {
      if (e.getDragboard().hasFiles()) {
        e.acceptTransferModes(TransferMode.COPY);
      }
      e.consume();
    });
    setOnDragDropped(e -> {
      var files = e.getDragboard().getFiles();
      if (!files.isEmpty()) {
        work.photo().path().set(files.getFirst().toString());
      }
      e.setDropCompleted(!files.isEmpty());
      e.consume();
    });
  }
}
