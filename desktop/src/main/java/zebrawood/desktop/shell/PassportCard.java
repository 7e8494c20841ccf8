package zebrawood.desktop.shell;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.records.passport.PassportFile;
import zebrawood.records.workshop.Merged;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;

/** A machine's whole record into a file, or out of one. */
final class PassportCard {
  private final Cards cards;
  private final WorkshopModel workshop;
  private final TextField file = new TextField();
  private final Label problem = Card.words("");
  private final Button go;
  private final boolean out;

  private PassportCard(Cards cards, WorkshopModel workshop, boolean out) {
    this.cards = cards;
    this.workshop = workshop;
    this.out = out;
    go =
        Card.primary(
            "passport-go", Text.of(out ? "passport.write" : "passport.take"), this::pressed);
  }

  /**
   * @param out whether the open machine's passport is written, and not one taken in
   */
  static void open(Cards cards, WorkshopModel workshop, boolean out) {
    new PassportCard(cards, workshop, out).show();
  }

  private void show() {
    file.setId("passport-file");
    file.setPrefColumnCount(42);
    if (out) {
      String name = workshop.opened().machine().name().strip().toLowerCase(Locale.ROOT);
      Path beside = workshop.file().toAbsolutePath();
      file.setText(
          beside.resolveSibling(name.replaceAll("[^\\p{L}\\p{N}]+", "-") + ".passport").toString());
    }
    file.setOnAction(e -> pressed());
    Label label = new Label(Text.of("passport.file"));
    label.setLabelFor(file);
    problem.setId("passport-problem");
    problem.getStyleClass().add("refusal");
    problem.managedProperty().bind(problem.textProperty().isNotEmpty());
    VBox card =
        Card.of(
            Text.of(out ? "passport.out" : "passport.in"),
            Card.words(Text.of(out ? "passport.out.why" : "passport.in.why")),
            new VBox(2, label, file),
            problem,
            Card.buttons(
                Card.button("passport-cancel", Text.of("button.cancel"), cards::close), go));
    cards.open(card, file);
  }

  private void pressed() {
    Path chosen;
    try {
      chosen = Path.of(file.getText().strip()).toAbsolutePath();
    } catch (InvalidPathException e) {
      problem.setText(Text.of("handover.failed", String.valueOf(e.getReason())));
      return;
    }
    if (file.getText().isBlank()) {
      problem.setText(Text.of("field.file.no-name"));
      return;
    }
    go.setDisable(true);
    if (out) {
      Machine machine = workshop.opened().machine();
      workshop.withFile(
          w -> written(w, machine, chosen),
          lines -> done(Text.of("passport.written", machine.name(), chosen.toString())),
          this::failed);
    } else {
      workshop.withFile(w -> taken(w, chosen), this::taken, this::failed);
    }
  }

  private static int written(Workshop workshop, Machine machine, Path file) {
    try {
      return PassportFile.write(workshop, machine, file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What was taken in, and the machine as it is now. */
  private record Taken(Merged merged, Optional<Machine> machine) {}

  private static Taken taken(Workshop workshop, Path file) {
    try {
      PassportFile passport = PassportFile.read(file, Workshop.version());
      Merged merged = workshop.merge(passport.machineId(), passport.rows());
      return new Taken(
          merged,
          workshop.machines().readable().stream()
              .filter(m -> m.id().equals(passport.machineId()))
              .findFirst());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void taken(Taken taken) {
    Merged merged = taken.merged;
    String said =
        Text.of(
            merged.bothChanged() ? "passport.taken-both" : "passport.taken",
            taken.machine.map(Machine::name).orElse("\u2013"),
            merged.added(),
            merged.known());
    taken.machine.ifPresentOrElse(
        machine -> workshop.readAgain(machine, () -> done(said)), () -> done(said));
  }

  private void done(String said) {
    cards.close();
    workshop.say(said);
  }

  private void failed(RuntimeException because) {
    go.setDisable(false);
    problem.setText(
        switch (because) {
          case UnusableReading e -> e.getMessage();
          case UncheckedIOException e when e.getCause() instanceof FileAlreadyExistsException ->
              Text.of("passport.there");
          case UncheckedIOException e when e.getCause() instanceof NoSuchFileException ->
              Text.of("passport.missing");
          default ->
              Text.words()
                  .sentence(
                      Message.of(
                          "passport.trouble",
                          Message.quoted(String.valueOf(because.getMessage()))));
        });
  }
}
