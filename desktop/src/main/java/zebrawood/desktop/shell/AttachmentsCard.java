package zebrawood.desktop.shell;

import java.io.ByteArrayInputStream;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.devices.picture.Thumbnail;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Recorded;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.WholeFile;
import zebrawood.records.workshop.Attachment;

/** Pictures and files of a line of the record: what is there, and more of it. */
final class AttachmentsCard {
  private static final int SMALL_PX = 96;
  private static final double ROW = 104;
  private static final int MOST_ROWS = 4;
  private static final long BYTES_OF_A_KILOBYTE = 1000;

  private final Cards cards;
  private final SheetHost host;
  private final WorkshopModel workshop;
  private final Recorded line;
  private final VBox rows = new VBox(8);
  private final ScrollPane scroll = new ScrollPane(rows);
  private final TextField file = new TextField();
  private final Label problem = Card.words("");
  private final Button go = Card.primary("attach-go", Text.of("attachments.add"), this::add);

  /** One of them, with its small picture where it is one. */
  private record Shown(Attachment what, Optional<byte[]> small, Optional<String> trouble) {}

  private AttachmentsCard(Cards cards, SheetHost host, Recorded line) {
    this.cards = cards;
    this.host = host;
    this.workshop = host.workshop();
    this.line = line;
  }

  static void open(Cards cards, SheetHost host, Recorded line) {
    new AttachmentsCard(cards, host, line).show();
  }

  private void show() {
    file.setId("attach-file");
    file.setPrefColumnCount(34);
    file.setOnAction(e -> add());
    Label label = new Label(Text.of("attachments.file"));
    label.setLabelFor(file);
    Button choose = Card.button("attach-choose", Text.of("sheet.choose-file"), this::choose);
    problem.setId("attach-problem");
    problem.getStyleClass().add("refusal");
    problem.managedProperty().bind(problem.textProperty().isNotEmpty());
    scroll.setFitToWidth(true);
    scroll.setPrefViewportHeight(0);
    HBox row = new HBox(6, file, choose);
    HBox.setHgrow(file, Priority.ALWAYS);
    VBox card =
        Card.of(
            Text.of("attachments.title"),
            Card.words(
                Text.of(
                    line instanceof Entry ? "attachments.why" : "attachments.why.event",
                    DayWords.dayAndTime(line.time(), workshop.clock().getZone()))),
            scroll,
            new VBox(2, label, row),
            problem,
            Card.buttons(Card.button("attach-close", Text.of("window.close"), cards::close), go));
    card.setOnDragOver(e -> {
      if (e.getDragboard().hasFiles()) {
        e.acceptTransferModes(TransferMode.COPY);
      }
      e.consume();
    });
    card.setOnDragDropped(e -> {
      e.getDragboard().getFiles().forEach(f -> attach(f.toPath()));
      e.setDropCompleted(true);
      e.consume();
    });
    cards.open(card, file);
    list();
  }

  private void choose() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(Text.of("attachments.title"));
    File chosen = chooser.showOpenDialog(file.getScene().getWindow());
    if (chosen != null) {
      file.setText(chosen.toString());
    }
  }

  private void add() {
    withPath(file.getText(), this::attach);
  }

  private void withPath(String typed, Consumer<Path> then) {
    problem.setText("");
    if (typed.isBlank()) {
      problem.setText(Text.of("field.file.no-name"));
      return;
    }
    try {
      then.accept(Path.of(typed.strip()).toAbsolutePath());
    } catch (InvalidPathException e) {
      problem.setText(Text.of("passport.missing"));
    }
  }

  private void attach(Path path) {
    host.withInitials(() -> {
      String by = workshop.initials().orElse("?");
      workshop.withFile(
          w -> {
            try {
              byte[] bytes = WholeFile.read(path, Attachment.MOST_BYTES + 1);
              return w.attach(
                  line, path.getFileName().toString(), bytes, by, workshop.clock().instant());
            } catch (IOException e) {
              throw new UncheckedIOException(e);
            }
          },
          attached -> {
            file.clear();
            workshop.say(Text.of("attachments.added", attached.name()));
            list();
          },
          this::failed);
    });
  }

  private void list() {
    workshop.withFile(
        w ->
            w.attachments(line).stream()
                .map(a -> {
                  try {
                    return new Shown(
                        a, Thumbnail.of(w.content(a), SMALL_PX), Optional.<String>empty());
                  } catch (UnusableReading e) {
                    return new Shown(a, Optional.<byte[]>empty(), Optional.of(e.getMessage()));
                  }
                })
                .toList(),
        this::show,
        this::failed);
  }

  private void show(List<Shown> all) {
    rows.getChildren().setAll(all.stream().map(this::row).toList());
    scroll.setPrefViewportHeight(ROW * Math.min(MOST_ROWS, all.size()));
    scroll.setVisible(!all.isEmpty());
    scroll.setManaged(!all.isEmpty());
  }

  private Node row(Shown shown) {
    Attachment a = shown.what;
    StackPane picture = new StackPane();
    picture.setMinSize(SMALL_PX, SMALL_PX);
    picture.setMaxSize(SMALL_PX, SMALL_PX);
    picture.getStyleClass().add("thumbnail");
    shown
        .small
        .map(bytes -> new ImageView(new Image(new ByteArrayInputStream(bytes))))
        .ifPresentOrElse(
            view -> {
              view.setAccessibleText(a.name());
              picture.getChildren().add(view);
            },
            () -> picture.getChildren().add(new Label(Text.of("attachments.no-picture"))));
    Label name = Card.words(a.name());
    Label about =
        Card.words(
            shown.trouble.orElseGet(() ->
                Text.of(
                    "attachments.about",
                    Math.ceilDiv(a.size(), BYTES_OF_A_KILOBYTE),
                    DayWords.dayAndTime(a.recordedAt(), workshop.clock().getZone()),
                    a.by())));
    about.getStyleClass().add(shown.trouble.isPresent() ? "refusal" : "soft");
    VBox words = new VBox(4, name, about);
    words.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(words, Priority.ALWAYS);
    Button save =
        Card.button("attachment-save-" + a.id(), Text.of("attachments.save"), () -> save(a));
    save.setAccessibleText(Text.of("attachments.save-as", a.name()));
    save.setMinWidth(Button.USE_PREF_SIZE);
    save.setDisable(shown.trouble.isPresent());
    Button saveAs =
        Card.button(
            "attachment-elsewhere-" + a.id(), Text.of("attachments.elsewhere"), () -> saveAs(a));
    saveAs.setAccessibleText(Text.of("attachments.save-elsewhere", a.name()));
    saveAs.setMinWidth(Button.USE_PREF_SIZE);
    saveAs.setDisable(shown.trouble.isPresent());
    HBox row = new HBox(12, picture, words, save, saveAs);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Beside the workshop, under its own name. */
  private void save(Attachment a) {
    save(a, workshop.file().toAbsolutePath().resolveSibling(a.name()));
  }

  /** Where somebody chooses. */
  private void saveAs(Attachment a) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(Text.of("attachments.save-elsewhere", a.name()));
    chooser.setInitialFileName(a.name());
    chooser.setInitialDirectory(workshop.file().toAbsolutePath().getParent().toFile());
    File chosen = chooser.showSaveDialog(file.getScene().getWindow());
    if (chosen != null) {
      save(a, chosen.toPath());
    }
  }

  /** Never over a file that is there. */
  private void save(Attachment a, Path target) {
    workshop.withFile(
        w -> {
          byte[] bytes = w.content(a);
          try {
            WholeFile.writeBytes(target, out -> out.write(bytes));
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
          return target;
        },
        written -> workshop.say(Text.of("attachments.saved", written.toString())),
        this::failed);
  }

  private void failed(RuntimeException because) {
    problem.setText(FileCard.sentence(because));
  }
}
