package zebrawood.desktop.shell;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.quantity.Quantity;

/** What was just done, and the display choices: initials, unit of length, light or dark. */
final class StatusLine extends HBox {
  StatusLine(WorkshopModel workshop, Runnable changeInitials, Runnable changeUnit, Runnable theme) {
    getStyleClass().add("status");
    Label words = new Label();
    words.setId("status");
    words.getStyleClass().add("status-words");
    words.setMinWidth(0);
    words.textProperty().bind(workshop.messageProperty());
    Button initials = new Button();
    Button unit = new Button();
    Button colours = new Button();
    flat(initials, "status-initials", changeInitials);
    flat(unit, "status-unit", changeUnit);
    flat(colours, "status-theme", theme);
    workshop
        .unitsProperty()
        .subscribe(u -> unit.setText(Text.of("status.unit", Quantity.LENGTH.shownIn(u).symbol())));
    workshop
        .darkProperty()
        .subscribe(d -> colours.setText(Text.of(d ? "status.theme.light" : "status.theme.dark")));
    workshop
        .initialsProperty()
        .subscribe(i ->
            initials.setText(
                i.map(known -> Text.of("status.initials", known))
                    .orElse(Text.of("status.initials.none"))));
    getChildren().addAll(words, SheetFrame.spacer(), initials, unit, colours);
  }

  private static void flat(Button button, String id, Runnable run) {
    button.setId(id);
    button.getStyleClass().add("flat");
    button.setMinWidth(USE_PREF_SIZE);
    button.setOnAction(e -> run.run());
  }
}
