package zebrawood.desktop.shell;

import java.io.IOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.station.SheetHost.Page;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.Happening;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.EventKind;
import zebrawood.machine.Machine;
import zebrawood.records.paper.Paper;
import zebrawood.records.paper.Paper.Written;

/** Writes a page of the open machine into a folder, off the interface's thread. */
final class PaperCard {
  /** The kind whose files carry the machine's name alone. */
  static final String HAND_OVER = "hand-over";

  private final Cards cards;
  private final WorkshopModel workshop;
  private final Page page;
  private final DesktopPrograms outside;
  private static final int LONGEST_REMARK = 400;
  private final TextField folder = new TextField();
  private final TextField remark = new TextField();
  private final Label outcome = Card.words("");
  private final Button open = Card.button("handover-open", Text.of("handover.open"), this::open);
  private final Button write =
      Card.primary("handover-write", Text.of("handover.write"), this::write);
  private final Button close =
      Card.button("handover-close", Text.of("handover.close"), this::close);
  private final Jobs jobs;

  /** Letters that cannot be printed, and that somebody saw and goes on with. */
  private List<String> accepted = List.of();

  private Path written;

  private PaperCard(Cards cards, WorkshopModel workshop, Page page, DesktopPrograms outside) {
    this.cards = cards;
    this.workshop = workshop;
    this.page = page;
    this.outside = outside;
    jobs = new Jobs(workshop.ui(), "paper");
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
    write.disableProperty().bind(jobs.busyProperty().or(problem.visibleProperty()));
    jobs.busyProperty()
        .subscribe(busy -> close.setText(Text.of(busy ? "button.cancel" : "handover.close")));
    remark.textProperty().subscribe(t -> write.setText(Text.of("handover.write")));
    Thread.ofPlatform().daemon().name("paper-ready").start(Paper::prepare);
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
            Card.buttons(close, open, write));
    cards.open(card, write, this::close);
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
    String kind = page.kind().equals(HAND_OVER) ? "" : page.kind() + "-";
    // What is practised is of no machine.
    String of =
        workshop.opened() == null
            ? ""
            : fileName(workshop.opened().machine(), workshop.machinesProperty().get()) + "-";
    String name = of + kind + day;
    outcome.setText(Text.of("handover.writing"));
    List<String> seen = accepted;
    jobs.run(
        progress -> {
          String html = page.maker().html(said);
          List<String> missing = Paper.unprintable(html);
          return seen.containsAll(missing)
              ? new Made(Optional.of(Paper.write(html, target, name, progress::cancelled)), missing)
              : new Made(Optional.empty(), missing);
        },
        made -> done(made, said),
        this::failed);
  }

  /**
   * What came of it.
   *
   * @param written nothing where letters cannot be printed that nobody was asked about
   */
  private record Made(Optional<Written> written, List<String> missing) {}

  /** Ends what is being written, else the card. */
  private void close() {
    if (jobs.busyProperty().get()) {
      jobs.cancel();
      outcome.setText(Text.of("handover.cancelled"));
      write.requestFocus();
    } else {
      cards.close();
    }
  }

  private static final int MOST_NAMED = 30;

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

  private void done(Made made, String said) {
    if (made.written.isEmpty()) {
      accepted = made.missing;
      outcome.setText(
          Text.of(
              "handover.unprintable",
              String.join(" ", made.missing.stream().limit(MOST_NAMED).toList())));
      write.setText(Text.of("handover.write-all-the-same"));
      write.requestFocus();
      return;
    }
    Written files = made.written.get();
    written = files.pdf();
    outcome.setText(
        Text.of("handover.done", files.pdf().toString(), files.html().getFileName().toString()));
    open.setVisible(true);
    open.setManaged(true);
    open.requestFocus();
    if (!said.isEmpty()) {
      workshop.happened(
          Happening.now(EventKind.NOTE, Text.of("handover.remarked", said)), () -> {}, () -> {});
    }
  }

  private void failed(Throwable because) {
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
