package zebrawood.desktop.controller;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableBooleanValue;
import javafx.beans.value.ObservableValue;
import zebrawood.controller.Dialect;
import zebrawood.desktop.form.WordsField;
import zebrawood.words.Message;

/** Where the settings that stand there came from, and whether their lines are to be seen. */
final class DumpOrigin {
  private final ControllerModel model;
  private final WordsField fileName;
  private final ObjectProperty<Message> words = new SimpleObjectProperty<>(Message.NONE);

  /** Whether what is pasted is to be seen: until something was read. */
  private final BooleanProperty pasting = new SimpleBooleanProperty(true);

  /** Whether somebody types in what is pasted. */
  private boolean typing;

  /** The text that came from the file, until it is another. */
  private String ofTheFile = "";

  DumpOrigin(ControllerModel model, WordsField fileName) {
    this.model = model;
    this.fileName = fileName;
  }

  /** It stands in a sheet from now on. */
  void shown() {
    ofTheFile = model.dump.text();
    pasting.set(model.dump.isEmpty());
    model.outcomeProperty().subscribe((before, now) -> show());
    show();
    model
        .dump
        .textProperty()
        .subscribe((before, now) -> {
          if (!now.equals(ofTheFile)) {
            fileName.set("");
          }
        });
  }

  ObservableValue<Message> words() {
    return words;
  }

  ObservableBooleanValue pasting() {
    return pasting;
  }

  String fileName() {
    return fileName.text();
  }

  void typing(boolean now) {
    typing = now;
    show();
  }

  /** What was read over the link; its lines need not be looked at. */
  void takeRead(String text) {
    model.dump.set(text);
    pasting.set(false);
  }

  void takeFile(String name, String text) {
    model
        .form()
        .allAtOnce(() -> {
          model.dump.set(text);
          fileName.set(name);
        });
    ofTheFile = text;
  }

  /** Its lines need not be looked at once they are read and nobody types in them. */
  private void show() {
    words.set(whereFrom());
    if (!typing && model.settings().isPresent()) {
      pasting.set(false);
    }
  }

  private Message whereFrom() {
    if (model.dump.isEmpty()) {
      return Message.of(model.silent() ? "controller.origin.silent" : "controller.origin.none");
    }
    Optional<Integer> lines = model.settings().map(settings -> settings.values().size());
    if (lines.isEmpty()) {
      return Message.of("controller.origin.not-read");
    }
    return model
        .readOver()
        .map(port ->
            Message.of(
                "controller.origin.link",
                Message.quoted(port),
                Message.quoted(model.dialect().map(Dialect::name).orElse("")),
                lines.get()))
        .orElseGet(() ->
            fileName.isEmpty()
                ? Message.of("controller.origin.pasted", lines.get())
                : Message.of(
                    "controller.origin.file", Message.quoted(fileName.text()), lines.get()));
  }
}
