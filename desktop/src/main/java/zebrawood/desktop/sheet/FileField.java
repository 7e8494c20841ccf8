package zebrawood.desktop.sheet;

import java.io.File;
import javafx.scene.control.Button;
import javafx.scene.input.TransferMode;
import javafx.stage.FileChooser;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.text.Text;

/** A file by its name: typed, chosen, or dropped here. */
public final class FileField extends HeightCachingBox {
  FileField(Part.FileName file, FormPane pane) {
    super(4);
    WordsField path = file.path();
    Button choose = new Button(Text.of("sheet.choose-file"));
    choose.setId(file.id());
    choose.setOnAction(e -> {
      FileChooser chooser = new FileChooser();
      chooser.setTitle(Text.of(path.label()));
      File chosen = chooser.showOpenDialog(getScene().getWindow());
      if (chosen != null) {
        path.set(chosen.toString());
      }
    });
    getChildren().addAll(pane.make(Part.rows(path)), choose);
    file.folder()
        .ifPresent(folder ->
            getChildren().add(new PictureOffer(path, folder, file.id() + "-offered", pane)));
    setOnDragOver(e -> {
      if (e.getDragboard().hasFiles()) {
        e.acceptTransferModes(TransferMode.COPY);
      }
      e.consume();
    });
    setOnDragDropped(e -> {
      var files = e.getDragboard().getFiles();
      if (!files.isEmpty()) {
        path.set(files.getFirst().toString());
      }
      e.setDropCompleted(!files.isEmpty());
      e.consume();
    });
  }
}
