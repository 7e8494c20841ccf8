package zebrawood.desktop.sheet;

import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import javafx.concurrent.ScheduledService;
import javafx.concurrent.Task;
import javafx.scene.control.Button;
import javafx.util.Duration;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.text.Text;
import zebrawood.devices.picture.ArrivedPicture;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * Offers the newest picture of a folder, as long as it stands on the sheet: one that came in
 * shortly before counts, one that still grows does not.
 */
final class PictureOffer extends HeightCachingBox {
  private static final Duration PERIOD = Duration.seconds(1.5);
  private static final java.time.Duration SHORTLY = java.time.Duration.ofMinutes(15);

  private final WordsField path;
  private final WordsField folder;
  private final Button take = new Button();
  private final WrappedLabel trouble = new WrappedLabel("");
  private final Looking looking = new Looking();
  private Optional<ArrivedPicture> before = Optional.empty();
  private Optional<ArrivedPicture> offered = Optional.empty();
  private FileTime since = FileTime.from(Instant.EPOCH);

  /**
   * @param id of the button that takes what is offered
   */
  PictureOffer(WordsField path, WordsField folder, String id, FormPane pane) {
    super(4);
    this.path = path;
    this.folder = folder;
    take.setId(id);
    take.setOnAction(e -> offered.ifPresent(p -> path.set(p.file().toString())));
    trouble.getStyleClass().add("hint");
    getChildren().addAll(pane.make(Part.rows(folder)), take, trouble);
    show(Optional.empty(), "");
    looking.setPeriod(PERIOD);
    looking.setOnSucceeded(e -> looked(looking.getValue()));
    looking.setOnFailed(e -> show(Optional.empty(), String.valueOf(looking.getException())));
    folder.textProperty().subscribe(this::look);
    sceneProperty().subscribe(this::look);
  }

  /** What one look came to. */
  private record Look(Optional<ArrivedPicture> newest, String trouble) {}

  private void look() {
    looking.cancel();
    before = Optional.empty();
    show(Optional.empty(), "");
    if (getScene() != null && !folder.isEmpty()) {
      since = FileTime.from(Clock.systemUTC().instant().minus(SHORTLY));
      looking.restart();
    }
  }

  private void looked(Look look) {
    boolean whole = look.newest.isPresent() && look.newest.equals(before);
    before = look.newest;
    if (whole || look.newest.isEmpty()) {
      show(look.newest.filter(p -> !p.file().toString().equals(path.text().strip())), look.trouble);
    }
  }

  private void show(Optional<ArrivedPicture> now, String why) {
    offered = now;
    take.setVisible(now.isPresent());
    take.setManaged(now.isPresent());
    now.ifPresent(p ->
        take.setText(
            Text.of("sheet.take-picture", Message.verbatim(p.file().getFileName().toString()))));
    trouble.setText(why);
    trouble.setVisible(!why.isEmpty());
    trouble.setManaged(!why.isEmpty());
  }

  /** Beside the interface, again and again. */
  private final class Looking extends ScheduledService<Look> {
    @Override
    protected Task<Look> createTask() {
      String in = folder.text();
      FileTime from = since;
      return new Task<>() {
        @Override
        protected Look call() {
          try {
            return new Look(ArrivedPicture.newest(in, from), "");
          } catch (UnusableReading e) {
            return new Look(Optional.empty(), e.getMessage());
          }
        }
      };
    }
  }
}
