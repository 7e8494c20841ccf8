package zebrawood.desktop.shell;

import java.io.IOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.station.SheetHost.Page;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.machine.Machine;
import zebrawood.records.paper.Paper.Written;

/** Writes a page of the open machine into a folder, off the interface's thread. */
final class PaperCard {
  /** The kind whose files carry the machine's name alone. */
  static final String HAND_OVER = "hand-over";

  private final Cards cards;
  private final WorkshopModel workshop;
  private final Page page;
  private final DesktopPrograms outside;
  private static final int LONGEST_REMARK = 600;
  private final TextField folder = new TextField();
  private final TextField remark = new TextField();
  private final Label outcome = Card.words("");
  private final Button open = Card.button("handover-open", Text.of("handover.open"), this::open);
  private final Button write =
      Card.primary("handover-write", Text.of("handover.write"), this::write);
  private final SimpleBooleanProperty working = new SimpleBooleanProperty();
  private Path written;

  private PaperCard(Cards cards, WorkshopModel workshop, Page page, DesktopPrograms outside) {
    this.cards = cards;
    this.workshop = workshop;
    this.page = page;
    this.outside = outside;
  }

  static void open(Cards cards, WorkshopModel workshop, Page page, DesktopPrograms outside) {
    new PaperCard(cards, workshop, page, outside).show();
  }

  private void show() {
    folder.setId("handover-folder");
    folder.setText(workshop.file().resolveSibling(page.kind()).toString());
    folder.setPrefColumnCount(42);
    outcome.setId("handover-outcome");
    outcome.managedProperty().bind(outcome.textProperty().isNotEmpty());
    open.setVisible(false);
    open.setManaged(false);
    Label label = new Label(Text.of("handover.folder"));
    label.setLabelFor(folder);
    remark.setId("handover-remark");
    Label asked = new Label(Text.of("handover.remark"));
    asked.setLabelFor(remark);
    Label problem = Card.problem(remark, LONGEST_REMARK);
    write.disableProperty().bind(working.or(problem.visibleProperty()));
    VBox remarked = new VBox(2, asked, remark, problem);
    remarked.setVisible(page.remark());
    remarked.setManaged(page.remark());
    VBox card =
        Card.of(
            page.title(),
            Card.words(page.why()),
            new VBox(2, label, folder),
            remarked,
            outcome,
            Card.buttons(
                Card.button("handover-close", Text.of("handover.close"), cards::close),
                open,
                write));
    cards.open(card, write);
  }

  private void write() {
    String said = remark.getText().strip();
    Path target;
    try {
      target = Path.of(folder.getText().strip()).toAbsolutePath();
    } catch (InvalidPathException e) {
      outcome.setText(Text.of("handover.failed", String.valueOf(e.getReason())));
      return;
    }
    ZoneId zone = workshop.clock().getZone();
    String day = DateTimeFormatter.ISO_LOCAL_DATE.withZone(zone).format(workshop.clock().instant());
    String name =
        fileName(workshop.opened().machine(), workshop.machinesProperty().get())
            + (page.kind().equals(HAND_OVER) ? "-" : "-" + page.kind() + "-")
            + day;
    working.set(true);
    outcome.setText(Text.of("handover.writing"));
    new Jobs(workshop.ui())
        .run(p -> page.writer().write(target, name, said), this::done, this::failed);
  }

  private static final int MARK_LETTERS = 6;

  /** As the machine is called; where another one's files would be called so too, with a mark. */
  static String fileName(Machine machine, List<Machine> all) {
    String name = fileName(machine.name());
    boolean taken =
        all.stream().anyMatch(m -> !m.id().equals(machine.id()) && fileName(m.name()).equals(name));
    String mark = machine.id().replaceAll("[^A-Za-z0-9]", "");
    return taken ? name + "-" + mark.substring(0, Math.min(MARK_LETTERS, mark.length())) : name;
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
    working.set(false);
    outcome.setText(
        Text.of("handover.done", files.pdf().toString(), files.html().getFileName().toString()));
    open.setVisible(true);
    open.setManaged(true);
    open.requestFocus();
  }

  private void failed(Throwable because) {
    working.set(false);
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
