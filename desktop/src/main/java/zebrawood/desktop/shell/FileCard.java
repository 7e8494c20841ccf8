package zebrawood.desktop.shell;

import java.io.UncheckedIOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.function.BiConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.WholeFile;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;

/** Asks for one file and does something with it; says in a sentence why it could not be done. */
final class FileCard {
  private final Cards cards;
  private final TextField file = new TextField();
  private final Label problem = Card.words("");
  private final Button go;
  private final BiConsumer<Path, FileCard> run;

  /**
   * What the card says.
   *
   * @param id begins the names of its parts
   * @param preset the file that is offered; possibly empty
   */
  record Words(String id, String title, String why, String go, String preset) {}

  private FileCard(Cards cards, Words words, BiConsumer<Path, FileCard> run) {
    this.cards = cards;
    this.run = run;
    go = Card.primary(words.id + "-go", words.go, this::pressed);
  }

  /**
   * @param run gets the file, and the card to be told {@link #done} or {@link #failed}
   */
  static void open(Cards cards, Words words, BiConsumer<Path, FileCard> run) {
    new FileCard(cards, words, run).show(words);
  }

  private void show(Words words) {
    file.setId(words.id + "-file");
    file.setPrefColumnCount(42);
    file.setText(words.preset);
    file.setOnAction(e -> pressed());
    Label label = new Label(Text.of("passport.file"));
    label.setLabelFor(file);
    problem.setId(words.id + "-problem");
    problem.getStyleClass().add("refusal");
    problem.managedProperty().bind(problem.textProperty().isNotEmpty());
    VBox card =
        Card.of(
            words.title,
            Card.words(words.why),
            new VBox(2, label, file),
            problem,
            Card.buttons(
                Card.button(words.id + "-cancel", Text.of("button.cancel"), cards::close), go));
    cards.open(card, file);
  }

  private void pressed() {
    if (file.getText().isBlank()) {
      problem.setText(Text.of("field.file.no-name"));
      return;
    }
    try {
      Path chosen = Path.of(file.getText().strip()).toAbsolutePath();
      go.setDisable(true);
      run.accept(chosen, this);
    } catch (InvalidPathException e) {
      problem.setText(Text.of("handover.failed", String.valueOf(e.getReason())));
    }
  }

  void done() {
    cards.close();
  }

  void failed(RuntimeException because) {
    go.setDisable(false);
    problem.setText(sentence(because));
  }

  /** Why a file could not be read or written, as a sentence. */
  static String sentence(RuntimeException because) {
    return switch (because) {
      case UnusableReading e -> e.getMessage();
      case UncheckedIOException e when e.getCause() instanceof FileAlreadyExistsException ->
          Text.of("passport.there");
      case UncheckedIOException e when e.getCause() instanceof NoSuchFileException ->
          Text.of("passport.missing");
      case UncheckedIOException e when e.getCause() instanceof WholeFile.TooLarge ->
          Text.of("passport.too-large");
      default ->
          Text.words()
              .sentence(
                  Workshop.notTaken(because)
                      .orElseGet(() ->
                          Message.of(
                              "passport.trouble",
                              Message.quoted(String.valueOf(because.getMessage())))));
    };
  }
}
