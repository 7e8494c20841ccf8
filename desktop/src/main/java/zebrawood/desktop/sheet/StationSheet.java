package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.records.json.RecordJson;
import zebrawood.records.kept.KeptReadings;
import zebrawood.words.Message;

/**
 * The sheet of any station: what is typed becomes an outcome at every keystroke, the large button
 * records it. It is as left when it is within, else as found or a check. What differs between
 * stations stands in their {@link StationWork}.
 */
public final class StationSheet<R, F extends Finding> implements SheetContext {
  private static final double SMALL_WIDTH = 240;
  private static final double SMALL_HEIGHT = 126;

  /** A lower sheet shows fewer tiles. */
  private static final double LOW = 500;

  private final SheetHost host;
  private final WorkshopModel workshop;
  private final Station station;
  private final StationWork<R, F> work;
  private final Optional<Practice<?, R, F>> practice;
  private final EntryRecorder recorder;
  private final DoNext doNext = new DoNext(this::primary, this::secondary);
  private final Label summary = new WrappedLabel("", "summary");
  private final Notebook notebook;
  private final NotebookStrip strip;
  private final FigureTiles tiles = new FigureTiles();
  private final Button allFigures = new Button(Text.of("tile.all"));
  private final Optional<PracticeBar> practiceBar;
  private final FormPane pane;
  private final PictureRegion picture;
  private final JudgedList judged = new JudgedList();
  private final SheetFrame frame;
  private final FocusFollower focus;
  private final Subscription units;
  private List<GuardLine> missing = List.of();
  private Optional<StationWork.Held> held = Optional.empty();

  /** What must be named before anything is recorded of it. */
  private Optional<SubjectKind> unnamed = Optional.empty();

  public StationSheet(SheetHost host, Station station, StationWork<R, F> work) {
    this.host = host;
    this.workshop = host.workshop();
    this.station = station;
    this.work = work;
    practice = work.practice().filter(Practice::offered);
    work.form().setUnits(workshop.units());
    recorder = new EntryRecorder(host, station, work.form(), this::showAdvice, this::focusFirst);
    recorder.fill();
    practiceBar =
        practice.map(p ->
            new PracticeBar(
                p,
                () -> p.start(workshop.clock()),
                () -> {
                  p.readAll();
                  doNext.focusPrimary();
                },
                () -> practiceBar().focusReadAll()));
    work.attach(this);
    pane = new FormPane(work.form(), parts(), practiceBar, doNext::focusPrimary);
    boolean listed = work.judged().isPresent();
    picture =
        listed
            ? new PictureRegion(work::draw, SMALL_WIDTH, SMALL_HEIGHT)
            : new PictureRegion(work::draw);
    picture.setId(station.id() + "-picture");
    picture.setOnMousePressed(
        e -> held = work.grabbed(e.getX(), e.getY(), picture.getWidth(), picture.getHeight()));
    picture.setOnMouseDragged(e -> held.ifPresent(h -> h.to(e.getX(), e.getY())));
    picture.setOnMouseClicked(e -> {
      if (held.isEmpty() && e.isStillSincePress()) {
        work.pressed(e.getX(), e.getY(), picture.getWidth(), picture.getHeight());
      }
    });
    notebook =
        new Notebook(station.id(), workshop.clock().getZone(), this::correct, host::undoLast);
    notebook.setVisible(false);
    notebook.setManaged(false);
    strip = new NotebookStrip(workshop.clock().getZone(), this::toggleNotebook);
    frame =
        new SheetFrame(
            Text.of(station.title()),
            Text.of(station.question()),
            pane,
            listed ? framed(SheetFrame.scrolling(judged)) : framed(picture),
            doNext,
            new VBox(notebook, strip));
    if (listed) {
      doNext.setBeside(picture);
    }
    Topic.mark(frame, station.id() + ".sheet");
    frame.heightProperty().subscribe(h -> tiles.setLow(h.doubleValue() < LOW));
    focus = new FocusFollower(frame, node -> followFocus(node));
    refresh();
    work.setTold(this::changed);
    practice.ifPresent(p -> p.roundsProperty().subscribe((before, now) -> showAdvice()));
    units = workshop.unitsProperty().subscribe((before, now) -> changeUnits());
  }

  private List<Part> parts() {
    List<Part> choices = practice.map(Practice::choices).orElse(List.of());
    return work.parts().stream()
        .flatMap(p ->
            p instanceof Part.Practising
                ? Stream.concat(Stream.of(p), choices.stream())
                : Stream.of(p))
        .toList();
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
    if (!practising()) {
      recorder.keepDraft();
    }
  }

  private void changeUnits() {
    work.form().setUnits(workshop.units());
    pane.refreshUnits();
    refresh();
  }

  private void followFocus(javafx.scene.Node node) {
    Optional<TypedField> typed =
        node instanceof TypedControl control ? Optional.of(control.field()) : Optional.empty();
    pane.message().setFocused(typed);
    work.focused(FormPane.fieldOf(node));
    picture.draw();
  }

  private PracticeBar practiceBar() {
    return practiceBar.orElseThrow();
  }

  private boolean practising() {
    return practice.filter(Practice::running).isPresent();
  }

  private boolean heldBack() {
    return !missing.isEmpty() && !practising() && !recorder.correcting();
  }

  private Optional<SubjectKind> toName() {
    return unnamed.filter(kind -> !practising() && !recorder.correcting());
  }

  private List<Step> before(boolean held) {
    List<Step> before = new ArrayList<>();
    if (held) {
      missing.forEach(line -> before.add(toProve(line)));
    }
    toName()
        .ifPresent(kind ->
            before.add(
                Step.of(Message.of("subject.ask", kind), Message.of("subject.ask.why", kind))));
    before.addAll(work.firstSteps());
    return before;
  }

  private void showAdvice() {
    if (frame == null) {
      return;
    }
    Outcome<R, F> outcome = work.outcome();
    pane.message()
        .refuse(
            outcome instanceof Outcome.Refused<R, F>(Message because)
                ? Optional.of(because)
                : Optional.empty());
    boolean found = outcome.found().isPresent() && !recorder.recording();
    boolean held = heldBack();
    List<Step> steps = Stream.concat(before(held).stream(), steps(outcome).stream()).toList();
    doNext.show(
        steps,
        outcome.found().map(f -> f.finding().warnings(Text.words())).orElse(List.of()),
        Text.of(work.caution()),
        held
            ? new DoNext.Choice(Text.of("guard.prove"), true)
            : toName()
                .map(kind -> new DoNext.Choice(Text.of("subject.name", kind), true))
                .orElseGet(() -> new DoNext.Choice(primaryWords(outcome), found)),
        held
            ? new DoNext.Choice(Text.of("guard.go-on"), true)
            : new DoNext.Choice(
                toName().isPresent() ? "" : secondaryWords(outcome),
                found || recorder.correcting() || practising()));
    summary.setText(
        outcome
            .found()
            .map(f ->
                work.summary(f).stream()
                    .map(Text.words()::sentence)
                    .collect(Collectors.joining(" ")))
            .orElse(""));
    work.judged().ifPresent(judged::show);
    allFigures.setVisible(!summary.getText().isEmpty());
    allFigures.setManaged(allFigures.isVisible());
    tiles.show(outcome.found().map(work::tiles).orElseGet(() -> unknown(outcome)));
    practiceBar.ifPresent(
        bar -> bar.show(practice.flatMap(Practice::words).map(Text::of).orElse("")));
  }

  private void showAll(boolean shown) {
    summary.setVisible(shown);
    summary.setManaged(shown);
  }

  /** What is not known is a dash, with what would tell it. */
  private List<FigureTile> unknown(Outcome<R, F> outcome) {
    Message wouldTell =
        outcome instanceof Outcome.Waiting<R, F>(Message next)
            ? Message.of("tile.would-tell", next)
            : Message.NONE;
    return workshop.opened().ledger().entriesOfFitted(station).reversed().stream()
        .filter(e -> e.tellingFigure().isPresent())
        .findFirst()
        .map(e ->
            e.figures().stream().map(f -> FigureTile.unknown(station.id(), f, wouldTell)).toList())
        .orElse(List.of());
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

  private List<Step> steps(Outcome<R, F> outcome) {
    return switch (outcome) {
      case Outcome.Waiting<R, F>(Message next) ->
          List.of(Step.of(Message.of("sheet.read", next), work.whyRead()));
      case Outcome.Refused<R, F>(Message because) ->
          List.of(Step.of(Message.of("sheet.mend"), because));
      case Outcome.Working<R, F>(Message what) -> List.of(Step.of(what));
      case Outcome.Found<R, F> f -> work.steps(f);
    };
  }

  private static Step toProve(GuardLine line) {
    return new Step(
        Text.of("guard.missing"), Text.words().line(line.said()), "", false, line.said().key());
  }

  private String primaryWords(Outcome<R, F> outcome) {
    if (practising()) {
      return Text.of("practice.obey");
    }
    if (recorder.correcting()) {
      return Text.of("button.correct");
    }
    if (work.order().isPresent()) {
      return Text.of(work.order().get().words());
    }
    return Text.of(
        work.primaryWords(outcome)
            .orElse(Message.of(outcome.within() ? "button.as-left" : "button.read-again")));
  }

  private String secondaryWords(Outcome<R, F> outcome) {
    if (practising()) {
      return Text.of("practice.end");
    }
    if (recorder.correcting()) {
      return Text.of("button.cancel");
    }
    boolean leave = !outcome.within() && outcome.found().filter(f -> !work.canBeLeft(f)).isEmpty();
    return leave ? Text.of("button.leave") : "";
  }

  private EntryRecorder.Reading reading(Outcome.Found<R, F> found) {
    return reading(work, found);
  }

  /** A finding as it is kept. */
  public static <R, F extends Finding> EntryRecorder.Reading reading(
      StationWork<R, F> work, Outcome.Found<R, F> found) {
    return new EntryRecorder.Reading(
        KeptReadings.write(work.form().typed(), (Record) found.readings()),
        RecordJson.write((Record) found.finding()),
        found.finding().verdict(),
        work.figures(found.readings(), found.finding()));
  }

  /** Does what the big button does. */
  public void primary() {
    if (heldBack()) {
      host.open(host.guardStation());
      return;
    }
    if (toName().isPresent()) {
      host.askSubject(toName().get());
      return;
    }
    work.found()
        .filter(f -> !recorder.recording())
        .ifPresent(found -> {
          if (practising()) {
            practice.orElseThrow().obey(found);
            focusFirst();
          } else if (work.order().isPresent() && !recorder.correcting()) {
            work.order().get().run().run();
          } else {
            record(found, found.finding().verdict() == Verdict.WITHIN);
          }
        });
  }

  private void record(Outcome.Found<R, F> found, boolean leaving) {
    recorder.record(reading(found), work.kindOf(recorder.kindOfNext(leaving)));
  }

  private void secondary() {
    if (heldBack()) {
      goOn();
    } else if (practising()) {
      practice.flatMap(Practice::score).ifPresent(s -> workshop.say(Text.words().sentence(s)));
      practice.ifPresent(Practice::end);
      recorder.fillAgain();
      // What the stand-in had nothing of, the record tells again.
      refresh();
    } else if (recorder.correcting()) {
      recorder.stopCorrecting();
    } else {
      work.found().filter(f -> !recorder.recording()).ifPresent(f -> record(f, true));
    }
  }

  private void goOn() {
    List<GuardLine> without = missing;
    String lines = without.stream().map(l -> Text.of(l.said())).collect(Collectors.joining("; "));
    host.withReason(
        lines,
        reason ->
            host.withInitials(() ->
                workshop.happened(
                    new WorkshopModel.Happening(
                        EventKind.WENT_ON,
                        workshop.clock().instant(),
                        Text.of("guard.note", station.title(), reason, lines),
                        Optional.empty(),
                        without.stream().map(GuardLine::id).toList()),
                    () -> workshop.say(Text.of("guard.kept")),
                    () -> {})));
  }

  private void correct(Entry entry) {
    practice.ifPresent(Practice::end);
    recorder.correct(entry);
    if (recorder.correcting()) {
      pane.focusStart();
    }
  }

  /** An entry of this station was withdrawn: what was typed for it can be had back. */
  public void undone(Entry entry) {
    if (!practising()) {
      recorder.undone(entry);
    }
  }

  public Region view() {
    return frame;
  }

  public FormPane pane() {
    return pane;
  }

  public StationWork<R, F> work() {
    return work;
  }

  /** Rounds of mending in a practice that runs; -1 where none does. */
  public int practiceRounds() {
    return practice.map(p -> p.roundsProperty().get()).orElse(-1);
  }

  /** Puts the focus where the next thing is to be typed. */
  public void focusFirst() {
    pane.focusNextEmpty();
  }

  /** The machine's record or the display changed. */
  public void refresh() {
    missing = host.notProvenToday().stream().filter(work::asksToday).toList();
    List<Entry> entries = workshop.opened().ledger().entriesOfFitted(station);
    if (!practising()) {
      work.recordChanged(entries);
    }
    var standing = workshop.opened().standing(station);
    var zone = workshop.clock().getZone();
    frame.showState(standing, StateWords.of(standing, zone), StateWords.styleClass(standing));
    Optional<String> subject = workshop.opened().ledger().subjectNow(station);
    unnamed = subject.isPresent() ? Optional.empty() : station.subject();
    frame.showSubject(SubjectWords.line(station, subject, workshop.onFile(station), zone));
    notebook.show(entries, workshop.clock().instant());
    strip.show(entries);
    picture.draw();
    showAdvice();
  }

  @Override
  public SheetHost host() {
    return host;
  }

  @Override
  public EntryRecorder recorder() {
    return recorder;
  }

  @Override
  public void focus(Field field) {
    pane.focus(field);
  }

  @Override
  public void focusNext() {
    pane.focusNextEmpty();
  }

  /** Lets go of everything that outlives the sheet. */
  public void dispose() {
    work.dispose();
    units.unsubscribe();
    focus.dispose();
  }

  /** Makes a sheet for a work of any kind. */
  public static <R, F extends Finding> StationSheet<R, F> of(
      SheetHost host, Station station, StationWork<R, F> work) {
    return new StationSheet<>(host, station, work);
  }
}
