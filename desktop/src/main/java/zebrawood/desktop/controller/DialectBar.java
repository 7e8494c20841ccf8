package zebrawood.desktop.controller;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import zebrawood.controller.Dialect;
import zebrawood.controller.Teaching;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.text.Text;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;

/** Where a dialect comes from: what is pasted, a file, or the stand-in's; and into a file again. */
final class DialectBar extends HeightCachingBox {
  private static final long LONGEST_FILE = 200_000;

  private final ControllerWork work;
  private final DialectFields fields;
  private final TextField file = new TextField();

  DialectBar(ControllerWork work, DialectFields fields) {
    super(4);
    this.work = work;
    this.fields = fields;
    file.setId("dialect-file");
    file.setPromptText(Text.of("controller.dialect.file"));
    file.setAccessibleText(Text.of("controller.dialect.file"));
    FlowPane buttons =
        new FlowPane(
            6,
            6,
            button("dialect-teach", "controller.teach", this::teach),
            button(
                "dialect-stand-in", "controller.dialect.stand-in", () -> take(StandIn.dialect())),
            button("dialect-import", "controller.dialect.import", this::read),
            button("dialect-export", "controller.dialect.export", this::write));
    buttons.getStyleClass().add("dense");
    getChildren().addAll(buttons, file);
  }

  private static Button button(String id, String key, Runnable run) {
    Button button = new Button(Text.of(key));
    button.setId(id);
    button.setOnAction(e -> run.run());
    return button;
  }

  private void take(Dialect dialect) {
    fields.take(dialect);
    work.say(Message.of("controller.said.dialect-taken", Message.quoted(dialect.name())));
  }

  /** Proposes; what somebody typed stays as it is. */
  private void teach() {
    Teaching.Proposals proposed =
        Teaching.propose(
            work.dump().text(), work.head().travelMm(work.machine()), work.head().topWord());
    if (proposed.settingLine().isEmpty()) {
      work.say(Message.of("controller.said.not-alike"));
      return;
    }
    work.form()
        .quietly(() -> {
          if (fields.isEmpty()) {
            fields.settingLine().set(proposed.settingLine().get());
          }
          proposed.roles().forEach(p -> fields.propose(p.role(), p.key(), p.values()));
        });
    work.say(Message.of("controller.said.taught", proposed.lines(), proposed.roles().size()));
  }

  private void read() {
    String name = file.getText().strip();
    try {
      Path path = Path.of(name);
      if (Files.size(path) > LONGEST_FILE) {
        work.say(Message.of("controller.file.long", LONGEST_FILE / 1000));
        return;
      }
      take(RecordJson.read(Files.readString(path, StandardCharsets.UTF_8), Dialect.class));
    } catch (UnusableReading e) {
      work.say(Message.quoted(e.getMessage()));
    } catch (IOException | InvalidPathException e) {
      work.say(Message.of("controller.file.bad", Message.quoted(name)));
    }
  }

  private void write() {
    String name = file.getText().strip();
    try {
      Dialect dialect = fields.dialect();
      Files.writeString(Path.of(name), RecordJson.write(dialect) + "\n");
      work.say(Message.of("controller.said.dialect-written", Message.quoted(name)));
    } catch (UnusableReading e) {
      work.say(Message.quoted(e.getMessage()));
    } catch (IOException | InvalidPathException e) {
      work.say(Message.of("controller.file.bad", Message.quoted(name)));
    }
  }
}
