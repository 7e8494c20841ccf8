package zebrawood.desktop.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Station;
import zebrawood.measure.Verdict;
import zebrawood.start.GoLine;
import zebrawood.start.StartStation;

/**
 * A station sheet whose large button records what was read: as left when it is within, else as
 * found or a check. A station says what is read, drawn and advised; entries, buttons and focus are
 * alike.
 */
public abstract class RecordedSheet implements StationSheet {
  /**
   * What the sheet shows now.
   *
   * @param found what could be recorded, if anything
   * @param summary the line under the picture
   */
  public record Shown(
      List<Step> steps,
      List<String> warnings,
      String caution,
      String summary,
      Optional<EntryDesk.Reading> found) {}

  protected final WorkshopModel workshop;
  protected final EntryDesk desk;
  private final SheetHost host;
  private final Station station;
  private List<GoLine> missing = List.of();

  @SuppressWarnings("this-escape") // the buttons can be pressed only once the sheet is assembled
  private final DoNext doNext = new DoNext(this::primary, this::secondary);

  private final Label summary = new Prose("", "summary");
  private final Notebook notebook;
  private SheetFrame frame;
  private FocusFollower focus;
  private Subscription unitSubscription;

  @SuppressWarnings("this-escape") // the desk calls back only once the sheet is assembled
  protected RecordedSheet(
      SheetHost host,
      Station station,
      EntryDesk.Typed fields,
      Function<String, Map<String, String>> typedOf) {
    this.host = host;
    this.workshop = host.workshop();
    this.station = station;
    desk = new EntryDesk(host, station, fields, typedOf, this::showAdvice, this::focusFirst);
    desk.fill();
    notebook = new Notebook(workshop.clock().getZone(), this::correct, host::undoLast);
  }

  /** Puts the parts together; the last thing a station's constructor does. */
  protected final void assemble(
      Region readings, String pictureTitle, String legendWords, Region drawing) {
    Label legend = new Label(legendWords);
    legend.getStyleClass().add("soft");
    VBox picture = new SteadyBox(0, SheetFrame.columnTitle(pictureTitle, legend), drawing, summary);
    picture.getStyleClass().add("picture");
    VBox.setVgrow(drawing, Priority.ALWAYS);
    frame =
        new SheetFrame(station.title(), station.question(), readings, picture, doNext, notebook);
    focus =
        new FocusFollower(
            frame,
            node ->
                fieldFocused(
                    node instanceof EntryField field ? Optional.of(field) : Optional.empty()));
    unitSubscription = workshop.unitProperty().subscribe(this::refresh);
    refresh();
  }

  /** What the sheet shows for what is typed now. */
  protected abstract Shown shown();

  /** Where the practice stands, in words; empty when there is none. */
  protected String practiceWords() {
    return "";
  }

  /** Does what the advice says, in a practice. */
  protected void obey() {}

  protected void endPractice() {}

  /** Whether this protection must be proven today before what is done here. */
  protected boolean asksToday(GoLine line) {
    return false;
  }

  /** What an entry made now is. */
  protected EntryKind kindOf(boolean leaving) {
    return desk.kindOfNext(leaving);
  }

  /** The record grew, or the sheet is shown again. */
  protected void recordChanged() {}

  protected abstract void fieldFocused(Optional<EntryField> field);

  /** Puts the focus on the first reading, whatever stands there. */
  protected abstract void focusStart();

  private boolean practising() {
    return !practiceWords().isEmpty();
  }

  protected final void keepDraft(Map<String, String> typed) {
    if (!practising()) {
      desk.keepDraft(typed);
    }
  }

  protected final void focusPrimary() {
    doNext.focusPrimary();
  }

  protected void showAdvice() {
    if (frame == null) {
      return;
    }
    Shown shown = shown();
    if (heldBack()) {
      doNext.show(
          Stream.concat(missing.stream().map(RecordedSheet::toProve), shown.steps().stream())
              .toList(),
          shown.warnings(),
          shown.caution(),
          new DoNext.Choice(Text.of("guard.prove"), true),
          new DoNext.Choice(Text.of("guard.go-on"), true));
      summary.setText(shown.summary());
      return;
    }
    boolean found = shown.found().isPresent() && !desk.recording();
    doNext.show(
        shown.steps(),
        shown.warnings(),
        shown.caution(),
        new DoNext.Choice(Text.of(primaryKey(shown)), found),
        new DoNext.Choice(secondaryWords(shown), found || desk.correcting() || practising()));
    summary.setText(shown.summary());
  }

  private static Step toProve(GoLine line) {
    String words = line.words();
    return new Step(
        Text.of("guard.missing"),
        words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1),
        "");
  }

  private boolean heldBack() {
    return !missing.isEmpty() && !practising() && !desk.correcting();
  }

  private void goOn() {
    String lines = String.join("; ", missing.stream().map(GoLine::words).toList());
    host.withReason(
        lines,
        reason ->
            host.withInitials(() ->
                workshop.happened(
                    EventKind.WENT_ON,
                    workshop.clock().instant(),
                    Text.of("guard.note", station.title(), reason, lines),
                    () -> workshop.say(Text.of("guard.kept")))));
  }

  private String primaryKey(Shown shown) {
    if (practising()) {
      return "practice.obey";
    }
    if (desk.correcting()) {
      return "button.correct";
    }
    return within(shown) ? "button.as-left" : "button.read-again";
  }

  private String secondaryWords(Shown shown) {
    if (practising()) {
      return Text.of("practice.end");
    }
    if (desk.correcting()) {
      return Text.of("button.cancel");
    }
    return within(shown) ? "" : Text.of("button.leave");
  }

  private static boolean within(Shown shown) {
    return shown.found().filter(r -> r.verdict() == Verdict.WITHIN).isPresent();
  }

  @Override
  public final void primary() {
    if (heldBack()) {
      host.open(StartStation.STATION.id());
      return;
    }
    Shown shown = shown();
    if (shown.found().isEmpty() || desk.recording()) {
      return;
    }
    if (practising()) {
      obey();
      focusFirst();
    } else {
      desk.record(shown.found().get(), kindOf(within(shown)));
    }
  }

  private void secondary() {
    if (heldBack()) {
      goOn();
    } else if (practising()) {
      endPractice();
      desk.fillAgain();
    } else if (desk.correcting()) {
      desk.stopCorrecting();
    } else {
      shown().found().filter(r -> !desk.recording()).ifPresent(r -> desk.record(r, kindOf(true)));
    }
  }

  private void correct(Entry entry) {
    if (practising()) {
      endPractice();
    }
    desk.correct(entry);
    focusStart();
  }

  @Override
  public final void undone(Entry entry) {
    if (!practising()) {
      desk.undone(entry);
    }
  }

  @Override
  public final Region view() {
    return frame;
  }

  @Override
  public final void refresh() {
    missing = TodaysProof.missing(workshop).stream().filter(this::asksToday).toList();
    recordChanged();
    desk.show(frame, notebook);
    showAdvice();
  }

  /** Lets go of what a station's own sheet holds. */
  protected void disposeMore() {}

  @Override
  public final void dispose() {
    disposeMore();
    unitSubscription.unsubscribe();
    focus.dispose();
  }
}
