package zebrawood.desktop.controller;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.controller.ProposedRoles.Row;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.Text;

/** Each proposal with its reason and the question whether it is so; y and n answer too. */
final class ProposalRows extends VBox {
  private final ProposedRoles proposed;
  private final DialectFields fields;

  ProposalRows(ProposedRoles proposed, DialectFields fields) {
    super(4);
    this.proposed = proposed;
    this.fields = fields;
    setId("dialect-proposals");
    proposed.textProperty().subscribe(text -> show());
  }

  private void show() {
    boolean held = getChildren().stream().anyMatch(n -> n.isFocusWithin());
    List<Row> rows = proposed.rows();
    getChildren().setAll(rows.stream().map(this::row).toList());
    setVisible(!rows.isEmpty());
    setManaged(!rows.isEmpty());
    if (held && !rows.isEmpty()) {
      lookup("#confirm-" + rows.getFirst().id()).requestFocus();
    }
  }

  private HBox row(Row row) {
    String words = Text.words().sentence(row.said());
    Label said = new WrappedLabel(words);
    HBox.setHgrow(said, Priority.ALWAYS);
    said.setMaxWidth(Double.MAX_VALUE);
    HBox line =
        new HBox(
            6,
            said,
            answer("confirm-" + row.id(), "controller.proposed.yes", words, () -> confirm(row)),
            answer("deny-" + row.id(), "controller.proposed.no", words, () -> deny(row)));
    line.getStyleClass().add("dense");
    line.setOnKeyPressed(key -> {
      if (key.getCode() == KeyCode.Y) {
        key.consume();
        confirm(row);
      } else if (key.getCode() == KeyCode.N) {
        key.consume();
        deny(row);
      }
    });
    return line;
  }

  private static Button answer(String id, String key, String of, Runnable run) {
    Button button = new Button(Text.of(key));
    button.setId(id);
    button.setMinWidth(USE_PREF_SIZE);
    button.setAccessibleText(Text.of("words.comma", of, Text.of(key)));
    button.setOnAction(e -> run.run());
    return button;
  }

  private void confirm(Row row) {
    fields.confirm(row);
    proposed.remove(row);
  }

  private void deny(Row row) {
    proposed.remove(row);
  }
}
