package zebrawood.desktop.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.station.Dragged;
import zebrawood.desktop.station.EntryRecorder;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.SheetContext;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.station.SheetModel;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.text.StateWords;
import zebrawood.desktop.text.SubjectWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Station;
import zebrawood.measure.Finding;

/**
 * The sheet of any station: fields at the left, picture and tiles in the middle, what is to be done
 * at the right, notebook at the foot. It shows what its {@link SheetModel} says, and decides
 * nothing.
 */
public final class StationSheet<R, F extends Finding> implements SheetContext {
  private static final double SMALL_WIDTH = 240;
  private static final double SMALL_HEIGHT = 126;

  /** A lower sheet shows fewer tiles. */
  private static final double LOW = 500;

  private final SheetHost host;
  private final WorkshopModel workshop;
  private final Station station;
  private final StationModel<R, F> model;
  private final Supplier<StationModel<?, ?>> anew;
  private final SheetModel<R, F> sheet;
  private final DoNext doNext;
  private final Label summary = new WrappedLabel("", "summary");
  private final Notebook notebook;
  private final NotebookStrip strip;
  private final FigureTiles tiles = new FigureTiles();
  private final Button allFigures = new Button(Text.of("tile.all"));
  private final Optional<PracticeBar> practiceBar;
  private final FormPane pane;
  private final PictureRegion picture;
  private final AuditTable audit = new AuditTable();
  private final SheetFrame frame;
  private final FocusFollower focus;
  private final Subscription units;
  private Optional<Dragged> dragged = Optional.empty();

  public StationSheet(
      SheetHost host,
      Station station,
      StationModel<R, F> model,
      Supplier<StationModel<?, ?>> anew) {
    this.host = host;
    this.workshop = host.workshop();
    this.station = station;
    this.model = model;
    this.anew = anew;
    sheet =
        new SheetModel<>(host, station, model, new Cursor(), this::showAdvice, this::refresh, anew);
    doNext = new DoNext(sheet::primary, sheet::secondary, sheet::dateReading);
    practiceBar = sheet.practice().map(this::practiceBar);
    model.attach(this);
    pane = new FormPane(model.form(), sheet.parts(), practiceBar, doNext::focusPrimary);
    boolean listed = model.auditRows().isPresent();
    picture = picture(listed);
    notebook =
        new Notebook(
            notebookTitle(),
            station.id(),
            workshop.clock().getZone(),
            sheet::correct,
            host::takeBack,
            host::attachments);
    notebook.setVisible(false);
    notebook.setManaged(false);
    strip = new NotebookStrip(notebookTitle(), workshop.clock().getZone(), this::toggleNotebook);
    frame =
        new SheetFrame(
            Text.of(station.title()),
            Text.of(station.question()),
            pane,
            listed ? framed(SheetFrame.scrolling(audit)) : framed(picture),
            doNext,
            new VBox(notebook, strip));
    if (listed) {
      doNext.setBeside(picture);
    }
    Topic.mark(frame, station.id() + ".sheet");
    frame.heightProperty().subscribe(h -> tiles.setLow(h.doubleValue() < LOW));
    focus = new FocusFollower(frame, this::followFocus);
    refresh();
    model.setOnShown(this::changed);
    sheet.practice().ifPresent(p -> p.roundsProperty().subscribe((old, now) -> showAdvice()));
    units = workshop.unitsProperty().subscribe((before, now) -> changeUnits());
  }

  private String notebookTitle() {
    return Text.of(
        workshop.opened().machine().simulated() ? "notebook.title.simulated" : "notebook.title");
  }

  /** Where the cursor goes, once the fields are there. */
  private final class Cursor implements SheetModel.Focus {
    @Override
    public void first() {
      pane.focusStart();
    }

    @Override
    public void next() {
      focusFirst();
    }
  }

  private PracticeBar practiceBar(Practice<?, ?, R, F> practice) {
    return new PracticeBar(
        practice,
        () -> practice.start(workshop.clock()),
        () -> {
          practice.readAll();
          doNext.focusPrimary();
        },
        () -> practiceBar().focusReadAll());
  }

  private PracticeBar practiceBar() {
    return practiceBar.orElseThrow();
  }

  private PictureRegion picture(boolean small) {
    PictureRegion region =
        small
            ? new PictureRegion(model::draw, SMALL_WIDTH, SMALL_HEIGHT)
            : new PictureRegion(model::draw);
    region.setId(station.id() + "-picture");
    region.setOnMousePressed(
        e -> dragged = model.grabbed(e.getX(), e.getY(), region.getWidth(), region.getHeight()));
    region.setOnMouseDragged(e -> dragged.ifPresent(d -> d.to(e.getX(), e.getY())));
    region.setOnMouseClicked(e -> {
      if (dragged.isEmpty() && e.isStillSincePress()) {
        model.pressed(e.getX(), e.getY(), region.getWidth(), region.getHeight());
      }
    });
    return region;
  }

  private VBox framed(Region drawn) {
    Label legend = new Label(Text.of(station.id() + ".picture.legend"));
    legend.getStyleClass().add("soft");
    VBox box =
        new HeightCachingBox(
            0,
            SheetFrame.columnTitle(Text.of(station.id() + ".picture.title"), legend),
            drawn,
            tiles,
            allFigures,
            summary);
    box.getStyleClass().add("picture");
    allFigures.setId("all-figures");
    allFigures.getStyleClass().setAll("button", "strip-open");
    allFigures.setOnAction(e -> showAll(!summary.isVisible()));
    showAll(false);
    VBox.setVgrow(drawn, Priority.ALWAYS);
    return box;
  }

  private void changed() {
    picture.draw();
    showAdvice();
    sheet.keepDraft();
  }

  private void changeUnits() {
    model.form().setUnits(workshop.units());
    refresh();
  }

  private void followFocus(Node node) {
    Optional<TypedField> typed =
        node instanceof TypedControl control ? Optional.of(control.field()) : Optional.empty();
    pane.message().setFocused(typed);
    model.focused(FormPane.fieldOf(node));
    picture.draw();
  }

  private void showAdvice() {
    if (frame == null) {
      return;
    }
    pane.message().refuse(sheet.refusal());
    doNext.show(
        sheet.steps(),
        sheet.warnings(),
        Text.of(model.caution()),
        sheet.primaryChoice(),
        sheet.secondaryChoice(),
        sheet.readOnChoice());
    summary.setText(sheet.summary());
    model.auditRows().ifPresent(audit::show);
    allFigures.setVisible(!summary.getText().isEmpty());
    allFigures.setManaged(allFigures.isVisible());
    tiles.show(sheet.tiles());
    practiceBar.ifPresent(
        bar -> bar.show(sheet.practice().flatMap(Practice::words).map(Text::of).orElse("")));
  }

  private void showAll(boolean shown) {
    summary.setVisible(shown);
    summary.setManaged(shown);
  }

  /** Opens the notebook's drawer, or shuts it. */
  public void toggleNotebook() {
    boolean open = !notebook.isVisible();
    notebook.setVisible(open);
    notebook.setManaged(open);
    if (open) {
      notebook.focusEntries();
    } else {
      focusFirst();
    }
  }

  /** Does what the big button does. */
  public void primary() {
    sheet.primary();
  }

  /** An entry of this station was withdrawn: what was typed for it can be had back. */
  public void undone(Entry entry) {
    sheet.undone(entry);
  }

  public Region view() {
    return frame;
  }

  public FormPane pane() {
    return pane;
  }

  public StationModel<R, F> model() {
    return model;
  }

  public Station station() {
    return station;
  }

  /** The entries of what is fitted now, oldest first. */
  public List<Entry> entries() {
    return sheet.entries();
  }

  /** A form of this station that nobody sees. */
  public StationForm scratch() {
    StationModel<?, ?> other = anew.get();
    other.dispose();
    return other.form();
  }

  /** Rounds of mending in a practice that runs; -1 where none does. */
  public int practiceRounds() {
    return sheet.practice().map(p -> p.roundsProperty().get()).orElse(-1);
  }

  /** Puts the focus where the next thing is to be typed. */
  public void focusFirst() {
    pane.focusNextEmpty();
  }

  /** The machine's record or the display changed. */
  public void refresh() {
    sheet.lookAtRecord();
    var standing = workshop.opened().standing(station);
    var zone = workshop.clock().getZone();
    frame.showState(standing, StateWords.of(standing, zone), StateWords.styleClass(standing));
    frame.showSubject(
        SubjectWords.line(
            station,
            workshop.opened().ledger().subjectNow(station),
            workshop.onFile(station),
            zone));
    notebook.show(sheet.entries(), workshop.clock().instant());
    strip.show(sheet.entries());
    picture.draw();
    showAdvice();
  }

  @Override
  public SheetHost host() {
    return host;
  }

  @Override
  public EntryRecorder recorder() {
    return sheet.recorder();
  }

  @Override
  public void focus(Field field) {
    pane.focus(field);
  }

  /** Types into fields by their names, where no reading stands there yet. */
  public void typeIfNothingRead(Map<String, String> typed) {
    if (model.form().nothingRead()) {
      model.form().type(typed);
    }
  }

  @Override
  public void focusNext() {
    pane.focusNextEmpty();
  }

  /** Lets go of everything that outlives the sheet. */
  public void dispose() {
    model.dispose();
    units.unsubscribe();
    focus.dispose();
  }

  /**
   * Makes a sheet for a station of any kind.
   *
   * @param anew opens the station once more
   */
  public static <R, F extends Finding> StationSheet<R, F> of(
      SheetHost host,
      Station station,
      StationModel<R, F> model,
      Supplier<StationModel<?, ?>> anew) {
    return new StationSheet<>(host, station, model, anew);
  }
}
