package zebrawood.desktop.controller;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.Text;

/** The port and what can be done over it. */
final class LinkBar extends HeightCachingBox {
  private final ComboBox<String> port = new ComboBox<>();
  private final Button read;
  private final Button write;
  private final Button restore;
  private final Button shot;
  private final Button home;
  private final Button corners;
  private final Button cancel;

  /** What the buttons do. */
  interface Actions {
    void read(String port);

    void write(String port);

    void restore(String port);

    void shot(String port);

    void home(String port);

    void corners(String port);
  }

  LinkBar(List<String> ports, ControllerSession session, Actions actions) {
    port.setId("controller-port");
    port.setEditable(true);
    port.getItems().setAll(ports);
    port.setValue(ports.getFirst());
    port.setMaxWidth(Double.MAX_VALUE);
    port.setAccessibleText(Text.of("controller.port"));
    read = button("controller-read", "controller.read", () -> actions.read(chosen()));
    write = button("controller-write", "controller.write", () -> actions.write(chosen()));
    restore = button("controller-restore", "controller.restore", () -> actions.restore(chosen()));
    shot = button("controller-shot", "controller.shot", () -> actions.shot(chosen()));
    home = button("controller-homing", "controller.home", () -> actions.home(chosen()));
    corners = button("controller-corners", "controller.corners", () -> actions.corners(chosen()));
    cancel = button("controller-cancel", "controller.cancel", session::cancel);
    Label words = new WrappedLabel("", "soft");
    words.setId("controller-link-words");
    words.textProperty().bind(session.wordsProperty());
    words.managedProperty().bind(words.textProperty().isNotEmpty());
    for (Button b : List.of(read, write, restore, shot, home, corners)) {
      b.disableProperty().bind(session.busyProperty());
    }
    cancel.visibleProperty().bind(session.busyProperty());
    cancel.managedProperty().bind(session.busyProperty());
    setSpacing(6);
    FlowPane buttons = new FlowPane(6, 6, read, write, restore, shot, home, corners, cancel);
    buttons.getStyleClass().add("dense");
    getChildren().addAll(port, buttons, words);
  }

  private static Button button(String id, String key, Runnable run) {
    Button button = new Button(Text.of(key));
    button.setId(id);
    button.setOnAction(e -> run.run());
    return button;
  }

  private String chosen() {
    String typed = port.getEditor().getText();
    return typed == null ? "" : typed.strip();
  }
}
