package zebrawood.desktop.shell;

import java.io.IOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import javafx.concurrent.Task;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.records.handover.HandOver;
import zebrawood.records.handover.HandOver.Written;
import zebrawood.records.handover.HandOverSheet;

/** Writes the hand-over sheet of the open machine into a folder, off the interface's thread. */
final class HandOverCard {
  private final Cards cards;
  private final WorkshopModel workshop;
  private final Map<String, Function<Entry, String>> pictures;
  private final Outside outside;
  private final TextField folder = new TextField();
  private final Label outcome = Card.words("");
  private final Button open = Card.button("handover-open", Text.of("handover.open"), this::open);
  private final Button write =
      Card.primary("handover-write", Text.of("handover.write"), this::write);
  private Path written;

  private HandOverCard(
      Cards cards,
      WorkshopModel workshop,
      Map<String, Function<Entry, String>> pictures,
      Outside outside) {
    this.cards = cards;
    this.workshop = workshop;
    this.pictures = pictures;
    this.outside = outside;
  }

  static void open(
      Cards cards,
      WorkshopModel workshop,
      Map<String, Function<Entry, String>> pictures,
      Outside outside) {
    new HandOverCard(cards, workshop, pictures, outside).show();
  }

  private void show() {
    folder.setId("handover-folder");
    folder.setText(workshop.file().resolveSibling("hand-over").toString());
    folder.setPrefColumnCount(42);
    outcome.setId("handover-outcome");
    outcome.managedProperty().bind(outcome.textProperty().isNotEmpty());
    open.setVisible(false);
    open.setManaged(false);
    Label label = new Label(Text.of("handover.folder"));
    label.setLabelFor(folder);
    VBox card =
        Card.of(
            Text.of("handover.title", workshop.opened().machine().name()),
            Card.words(Text.of("handover.why")),
            new VBox(2, label, folder),
            outcome,
            Card.buttons(
                Card.button("handover-close", Text.of("handover.close"), cards::close),
                open,
                write));
    cards.open(card, write);
  }

  private void write() {
    Path target;
    try {
      target = Path.of(folder.getText().strip()).toAbsolutePath();
    } catch (InvalidPathException e) {
      outcome.setText(Text.of("handover.failed", e.getReason()));
      return;
    }
    ZoneId zone = workshop.clock().getZone();
    HandOverSheet sheet =
        HandOverSheet.of(
            workshop.opened().ledger(),
            workshop.stations(),
            pictures,
            workshop.clock().instant(),
            zone,
            workshop.initials().orElse("–"));
    String day = DateTimeFormatter.ISO_LOCAL_DATE.withZone(zone).format(workshop.clock().instant());
    String name = fileName(sheet.machine()) + "-" + day;
    Task<Written> task =
        new Task<>() {
          @Override
          protected Written call() throws IOException {
            return HandOver.write(sheet, target, name);
          }
        };
    task.setOnSucceeded(e -> done(task.getValue()));
    task.setOnFailed(e -> failed(task.getException()));
    write.setDisable(true);
    outcome.setText(Text.of("handover.writing"));
    Thread.ofPlatform().name("hand-over").daemon(true).start(task);
  }

  /** A machine's name as a file name: letters and digits of any script, hyphens between. */
  static String fileName(String machine) {
    String plain =
        machine
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^\\p{L}\\p{N}]+", "-")
            .replaceAll("^-|-$", "");
    return plain.isEmpty() ? "machine" : plain;
  }

  private void done(Written files) {
    written = files.pdf();
    write.setDisable(false);
    outcome.setText(Text.of("handover.done", files.pdf(), files.html().getFileName()));
    open.setVisible(true);
    open.setManaged(true);
    open.requestFocus();
  }

  private void failed(Throwable because) {
    write.setDisable(false);
    String reason =
        because instanceof IOException
            ? because.getClass().getSimpleName() + ", " + because.getMessage()
            : because.toString();
    outcome.setText(Text.of("handover.failed", reason));
  }

  private void open() {
    outside.open(written);
  }
}
