package zebrawood.desktop.shell;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.StandingMark;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.desktop.workshop.WorkshopModel.Glance;
import zebrawood.ledger.Due;
import zebrawood.ledger.Standing;
import zebrawood.machine.Machine;

/** All machines of the workshop, a row each: what stands out, and what is due. */
final class WorkshopPage extends BorderPane implements ShellPage {
  /** Longer words behind a name are cut. */
  private static final double NAME_WIDTH = 270;

  private static final double DUE_WIDTH = 190;
  private final WorkshopModel workshop;
  private final Consumer<Machine> open;
  private final ZoneId zone;
  private final Label about = new WrappedLabel("", "question");
  private Optional<Button> first = Optional.empty();

  WorkshopPage(WorkshopModel workshop, Consumer<Machine> open) {
    this.workshop = workshop;
    this.open = open;
    this.zone = workshop.clock().getZone();
    getStyleClass().addAll("sheet", "today");
    Topic.mark(this, "workshop.sheet");
    setId("workshop");
    Label title = new Label(Text.of("all.title"));
    title.getStyleClass().add("title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    about.setText(Text.of("all.reading"));
    HBox header = new HBox(14, title, about);
    header.setAlignment(Pos.BASELINE_LEFT);
    header.getStyleClass().add("sheet-header");
    setTop(header);
    refresh();
  }

  @Override
  public Region view() {
    return this;
  }

  /** Reads all of them anew. */
  @Override
  public void refresh() {
    workshop.glance(this::show);
  }

  private void show(List<Glance> all) {
    boolean hadFocus = first.filter(Button::isFocused).isPresent() || isFocused();
    Optional<String> focused =
        Optional.ofNullable(getScene()).map(s -> s.getFocusOwner()).map(Node::getId);
    long proving = all.stream().filter(g -> !ToProve.of(g.standings()).isEmpty()).count();
    int unseen = workshop.machinesProperty().get().size() - all.size();
    String words =
        proving == 0 ? Text.of("all.hold", all.size()) : Text.of("all.some", proving, all.size());
    about.setText(unseen > 0 ? Text.of("all.more", words, unseen) : words);
    GridPane rows = new GridPane(14, 0);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    rows.getColumnConstraints()
        .addAll(
            new ColumnConstraints(20),
            new ColumnConstraints(120, NAME_WIDTH, NAME_WIDTH),
            wide,
            new ColumnConstraints(90, DUE_WIDTH, DUE_WIDTH),
            new ColumnConstraints(Region.USE_PREF_SIZE, Region.USE_COMPUTED_SIZE, 90));
    rows.addRow(
        0,
        new Label(),
        heading("all.machine"),
        heading("all.stands-out"),
        heading("all.due"),
        new Label());
    first = Optional.empty();
    all.forEach(g -> row(rows, g));
    rows.setId("workshop-rows");
    VBox body = new VBox(rows);
    body.getStyleClass().add("workshop-body");
    setCenter(SheetFrame.scrolling(body));
    // What scrolls has its content in the scene only once its looks are applied.
    applyCss();
    layout();
    if (hadFocus) {
      focusFirst();
    } else {
      focused.map(id -> lookup("#" + id)).ifPresent(Node::requestFocus);
    }
  }

  private static Label heading(String key) {
    Label heading = new Label(Text.of(key));
    heading.getStyleClass().add("column-title-words");
    return heading;
  }

  private void row(GridPane rows, Glance glance) {
    Machine machine = glance.machine();
    List<ToProve> prove = ToProve.of(glance.standings());
    Label name = new Label(machine.name());
    name.getStyleClass().add("prove-title");
    Label kind = soft(Text.of(machine.inOneLine()));
    VBox what = new VBox(name, kind);
    VBox out = new VBox();
    if (prove.isEmpty()) {
      out.getChildren().add(new Label(Text.of("all.holds")));
    } else {
      ToProve next = worst(prove);
      Label words = new WrappedLabel(next.words(glance.ledger()), "prove-title");
      String rest =
          prove.size() == 1
              ? next.because()
              : Text.of(
                  "all.rest",
                  next.because(),
                  prove.size(),
                  Text.of("today.prove.minutes", ToProve.minutes(prove)));
      out.getChildren().addAll(words, soft(rest));
    }
    Label due =
        soft(
            Due.of(glance.ledger(), glance.standings()).stream()
                .findFirst()
                .map(d ->
                    Text.of("all.due.on", d.station().title(), DayWords.dayAndYear(d.on(), zone)))
                .orElse("–"));
    Button go =
        Card.button("open-" + machine.id(), Text.of("all.open"), () -> open.accept(machine));
    go.setAccessibleText(Text.of("command.machine", machine.name()));
    go.setMinWidth(Region.USE_PREF_SIZE);
    StandingMark mark = new StandingMark();
    if (!glance.standings().isEmpty()) {
      mark.show(
          prove.isEmpty() ? glance.standings().firstEntry().getValue() : worst(prove).standing());
    }
    if (first.isEmpty()) {
      first = Optional.of(go);
    }
    for (Node cell : List.of(what, out)) {
      ((VBox) cell).setMinWidth(0);
      cell.getStyleClass().add("workshop-cell");
    }
    rows.addRow(rows.getRowCount(), mark, what, out, due, go);
  }

  /** What is out stands before what is only in doubt. */
  private static ToProve worst(List<ToProve> prove) {
    return prove.stream()
        .filter(p -> p.standing() instanceof Standing.Out)
        .findFirst()
        .orElse(prove.getFirst());
  }

  private static Label soft(String words) {
    return new WrappedLabel(words, "soft");
  }

  @Override
  public void focusFirst() {
    setFocusTraversable(first.isEmpty());
    first.map(Node.class::cast).orElse(this).requestFocus();
  }
}
