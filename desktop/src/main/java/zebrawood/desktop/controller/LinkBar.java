package zebrawood.desktop.controller;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.Text;

/** The port, what is read over it, and the buttons of all else that is done over it. */
final class LinkBar extends HeightCachingBox {
  private final ComboBox<String> port = new ComboBox<>();
  private final ControllerSession session;
  private final Actions actions;

  /** What the buttons do. */
  interface Actions {
    void read(String port);

    void write(String port);

    void restore(String port);

    void shot(String port);

    void home(String port);

    void corners(String port);
  }

  /** Begins the keys of what is written about the buttons. */
  static final String TOPIC = "controller.button.";

  LinkBar(List<String> ports, ControllerSession session, Actions actions) {
    this.session = session;
    this.actions = actions;
    port.setId("controller-port");
    port.setEditable(true);
    Topic.mark(port, TOPIC + "port");
    offer(ports, ports.isEmpty() ? "" : ports.getFirst());
    port.setMaxWidth(Double.MAX_VALUE);
    port.setAccessibleText(Text.of("controller.port"));
    Button read = button("controller-read", "controller.read", () -> actions.read(chosen()));
    Button write = button("controller-write", "controller.write", () -> actions.write(chosen()));
    Button cancel = new Button(Text.of("controller.cancel"));
    cancel.setId("controller-cancel");
    cancel.setOnAction(e -> session.cancel());
    cancel.visibleProperty().bind(session.busyProperty());
    cancel.managedProperty().bind(session.busyProperty());
    Label words = new WrappedLabel("", "soft");
    words.setId("controller-link-words");
    words.textProperty().bind(session.wordsProperty());
    words.managedProperty().bind(words.textProperty().isNotEmpty());
    setSpacing(6);
    getChildren().addAll(port, row(read, write, cancel), words);
  }

  /** What can be chosen now; chosen is this one. */
  void offer(List<String> ports, String choice) {
    port.getItems().setAll(ports);
    port.setValue(choice);
  }

  private static FlowPane row(Button... buttons) {
    FlowPane row = new FlowPane(6, 6, buttons);
    row.getStyleClass().add("dense");
    return row;
  }

  /** Homing and the corners, beside what proves the motion. */
  FlowPane motion() {
    return row(
        button("controller-homing", "controller.home", () -> actions.home(chosen())),
        button("controller-corners", "controller.corners", () -> actions.corners(chosen())));
  }

  FlowPane shot() {
    return row(button("controller-shot", "controller.shot", () -> actions.shot(chosen())));
  }

  FlowPane restore() {
    return row(button("controller-restore", "controller.restore", () -> actions.restore(chosen())));
  }

  private Button button(String id, String key, Runnable run) {
    Button button = new Button(Text.of(key));
    button.setId(id);
    button.setOnAction(e -> run.run());
    button.disableProperty().bind(session.busyProperty());
    Topic.mark(button, TOPIC + key.substring(key.indexOf('.') + 1));
    return button;
  }

  String chosen() {
    String typed = port.getEditor().getText();
    return typed == null ? "" : typed.strip();
  }
}
