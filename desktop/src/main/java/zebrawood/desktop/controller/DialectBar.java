package zebrawood.desktop.controller;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import zebrawood.controller.Dialect;
import zebrawood.controller.NamedFields;
import zebrawood.controller.Teaching;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.text.Text;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.records.configuration.ConfigurationText;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;

/** Where a dialect comes from: what is pasted, a file, or the stand-in's; and into a file again. */
final class DialectBar extends HeightCachingBox {
  private final ControllerModel work;
  private final DialectFields fields;
  private final ProposedRoles roles;
  private final TextField file = new TextField();

  DialectBar(ControllerModel work, DialectFields fields, ProposedRoles roles) {
    super(4);
    this.roles = roles;
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
            button("dialect-forget", "controller.dialect.forget", fields::forget),
            button("dialect-import", "controller.dialect.import", this::read),
            button("dialect-export", "controller.dialect.export", this::write));
    if (work.machine.simulated()) {
      buttons
          .getChildren()
          .add(
              button(
                  "dialect-stand-in",
                  "controller.dialect.stand-in",
                  () -> take(StandIn.dialect())));
    }
    buttons.getStyleClass().add("dense");
    getChildren().addAll(buttons, new ProposalRows(roles, fields), file);
  }

  private static Button button(String id, String key, Runnable run) {
    Button button = new Button(Text.of(key));
    button.setId(id);
    button.setOnAction(e -> run.run());
    Topic.mark(button, LinkBar.TOPIC + id.substring(id.indexOf('-') + 1));
    return button;
  }

  private void take(Dialect dialect) {
    fields.take(dialect);
    work.say(Message.of("controller.said.dialect-taken", Message.quoted(dialect.name())));
  }

  /** Proposes; nothing is taken that nobody confirmed. */
  private void teach() {
    if (!fields.isEmpty() && work.settings().isEmpty()) {
      work.say(Message.of("controller.said.not-of-this"));
      return;
    }
    Teaching.Proposals proposed = proposed();
    if (proposed.settingLine().isEmpty()) {
      work.say(Message.of("controller.said.not-alike"));
      return;
    }
    roles.propose(proposed, fields);
    work.say(Message.of("controller.said.taught", proposed.lines(), proposed.roles().size()));
  }

  /** Lines that are alike; else a page or a file of names and values, whatever its format. */
  private Teaching.Proposals proposed() {
    String text = work.dump.text();
    Machine machine = work.machine;
    Teaching.Facts facts =
        new Teaching.Facts(
            work.head.travelMm(machine),
            machine.build().headTravels(),
            work.head.topWord(),
            machine.lenses().orElse(List.of()).stream().map(Lens::focalLengthMm).toList());
    Teaching.Proposals lines = Teaching.propose(text, false, facts);
    Optional<NamedFields> page = ConfigurationText.read(text);
    if (page.isEmpty()) {
      return lines;
    }
    Teaching.Proposals fields =
        Teaching.propose(page.get().text(), true, facts, page.get().beside());
    // A table has its key in one column and its value in another, whatever lines may look like.
    return !page.get().beside().isEmpty() || fields.lines() > lines.lines() ? fields : lines;
  }

  private void read() {
    try {
      take(RecordJson.read(TextFile.read(file.getText()), Dialect.class));
    } catch (UnusableReading e) {
      work.say(Message.quoted(e.getMessage()));
    } catch (TextFile.Refused e) {
      work.say(e.said());
    }
  }

  private void write() {
    try {
      TextFile.write(file.getText(), RecordJson.write(fields.dialect()) + "\n");
      work.say(
          Message.of("controller.said.dialect-written", Message.quoted(file.getText().strip())));
    } catch (UnusableReading e) {
      work.say(Message.quoted(e.getMessage()));
    } catch (TextFile.Refused e) {
      work.say(e.said());
    }
  }
}
