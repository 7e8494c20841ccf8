package zebrawood.desktop.photo;

import java.io.File;
import javafx.scene.control.Button;
import javafx.scene.input.TransferMode;
import javafx.stage.FileChooser;
import zebrawood.desktop.sheet.FormPane;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.text.Text;

/** The photograph's file: typed, chosen, or dropped here. */
public final class PhotoBar extends HeightCachingBox {
  /**
   * @param id of the button that chooses
   * @param title the key of what is chosen
   */
  public PhotoBar(PhotoMarks photo, String id, String title, FormPane pane) {
    super(4);
    Button choose = new Button(Text.of("photo.choose"));
    choose.setId(id);
    choose.setOnAction(e -> {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(Text.of(title));
      File chosen = chooser.showOpenDialog(getScene().getWindow());
      if (chosen != null) {
        photo.path().set(chosen.toString());
      }
    });
    getChildren().addAll(pane.make(Part.rows(photo.path())), choose);
    setOnDragOver(e -> {
      if (e.getDragboard().hasFiles()) {
        e.acceptTransferModes(TransferMode.COPY);
      }
      e.consume();
    });
    setOnDragDropped(e -> {
      var files = e.getDragboard().getFiles();
      if (!files.isEmpty()) {
        photo.path().set(files.getFirst().toString());
      }
      e.setDropCompleted(!files.isEmpty());
      e.consume();
    });
  }
}
