package zebrawood.desktop.bed;

import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import zebrawood.bed.BedStation;
import zebrawood.bed.BedTask;
import zebrawood.desktop.fields.LengthField;
import zebrawood.desktop.sheet.DoNext;
import zebrawood.desktop.sheet.Notebook;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StateWords;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.sheet.When;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Standing;
import zebrawood.measure.Finding;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.records.bed.BedRecord;

/** The bed station's sheet. */
public final class BedSheet implements StationSheet {
  private final SheetHost host;
  private final WorkshopModel workshop;
  private final BedModel model;
  private final BedPractice practice;
  private final BedReadingsPane readings;
  private final BedPlan plan;
  private final Label summary = new Label();
  private final DoNext doNext = new DoNext(this::primary, this::secondary);
  private final Notebook notebook;
  private final SheetFrame frame;
  private final ZoneId zone;
  private final ChangeListener<Node> focusFollower = (o, before, now) -> followFocus(now);
  private Optional<Entry> correcting = Optional.empty();
  private boolean recording;
  private final Subscription unitSubscription;

  public BedSheet(SheetHost host) {
    this.host = host;
    this.workshop = host.workshop();
    this.zone = workshop.clock().getZone();
    model = new BedModel(workshop.opened().machine(), workshop.unitProperty().get());
    fill();
    practice = new BedPractice(model, workshop.clock());
    readings = new BedReadingsPane(model, practice, doNext::focusPrimary);
    plan = new BedPlan(model);
    notebook =
        new Notebook(
            zone,
            new Notebook.Actions() {
              @Override
              public void correct(Entry entry) {
                BedSheet.this.correct(entry);
              }

              @Override
              public void undoLast() {
                host.undoLast();
              }
            });
    summary.setWrapText(true);
    summary.getStyleClass().add("summary");
    summary.setMinHeight(Region.USE_PREF_SIZE);
    Label legend = new Label(Text.of("bed.plan.legend"));
    legend.getStyleClass().add("soft");
    VBox picture =
        new VBox(SheetFrame.columnTitle(Text.of("bed.plan.title"), legend), plan, summary);
    picture.getStyleClass().add("picture");
    VBox.setVgrow(plan, Priority.ALWAYS);
    frame =
        new SheetFrame(
            BedStation.STATION.title(),
            BedStation.STATION.question(),
            readings,
            picture,
            doNext,
            notebook);
    frame
        .sceneProperty()
        .addListener((o, before, now) -> {
          if (before != null) {
            before.focusOwnerProperty().removeListener(focusFollower);
          }
          if (now != null) {
            now.focusOwnerProperty().addListener(focusFollower);
          }
        });
    unitSubscription = workshop.unitProperty().subscribe(this::changeUnit);
    model.setOnTyped(this::keepDraft);
    model.outcomeProperty().subscribe(o -> showAdvice());
    practice.roundsProperty().subscribe(o -> showAdvice());
    refresh();
  }

  /** From the draft, else with the gauge, places and screws of the last entry. */
  private void fill() {
    Map<String, String> draft = workshop.draft(BedStation.STATION);
    model.type(draft.isEmpty() ? withoutReadings(lastTyped()) : draft);
  }

  private Map<String, String> lastTyped() {
    return workshop.opened().ledger().entriesAt(BedStation.STATION).reversed().stream()
        .findFirst()
        .flatMap(BedSheet::typedOf)
        .orElse(Map.of());
  }

  /** What was typed for an entry; nothing when a damaged or newer file cannot be read. */
  private static Optional<Map<String, String>> typedOf(Entry entry) {
    try {
      return Optional.of(BedRecord.of(entry.readings()).typed());
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  private static Map<String, String> withoutReadings(Map<String, String> typed) {
    Map<String, String> rest = new LinkedHashMap<>(typed);
    rest.keySet().removeIf(name -> name.startsWith("reading."));
    return rest;
  }

  private void keepDraft(Map<String, String> typed) {
    if (!practice.running() && correcting.isEmpty()) {
      workshop.keepDraft(BedStation.STATION, typed);
    }
  }

  private void changeUnit() {
    model.setUnit(workshop.unitProperty().get());
    refresh();
    showAdvice();
  }

  private void followFocus(Node focused) {
    boolean field = focused instanceof LengthField;
    readings.setFocused(field ? Optional.of((LengthField) focused) : Optional.empty());
    plan.setCurrent(
        field
            ? model.placesProperty().get().stream()
                .filter(p -> p.reading() == ((LengthField) focused).entry())
                .findFirst()
            : Optional.empty());
  }

  private void showAdvice() {
    BedOutcome outcome = model.outcomeProperty().get();
    List<Step> steps = BedAdvice.steps(outcome, model.unit());
    List<String> warnings =
        outcome instanceof BedOutcome.Found found ? found.finding().warnings() : List.of();
    boolean found = outcome instanceof BedOutcome.Found && !recording;
    boolean acts = outcome instanceof BedOutcome.Found f && f.finding().verdict() != Verdict.WITHIN;
    doNext.show(
        steps,
        warnings,
        acts ? Text.of(model.underHead() ? "bed.caution.head" : "bed.caution") : "",
        new DoNext.Choice(Text.of(primaryKey(outcome)), found),
        new DoNext.Choice(
            secondaryWords(outcome), found || correcting.isPresent() || practice.running()));
    summary.setText(BedAdvice.summary(outcome, model.unit()));
    readings.showPractice(practice.words());
  }

  private String primaryKey(BedOutcome outcome) {
    if (practice.running()) {
      return "bed.button.practise-turn";
    }
    if (correcting.isPresent()) {
      return "button.correct";
    }
    return switch (outcome) {
      case BedOutcome.Found f when f.task() instanceof BedTask.ByFeel -> "button.check";
      case BedOutcome.Found f ->
          switch (f.finding().verdict()) {
            case WITHIN -> "button.as-left";
            case ADJUST -> model.onShims() ? "bed.button.shimmed" : "bed.button.turned";
            case STOP, MEASURE_AGAIN -> "button.read-again";
          };
      default -> "bed.button.turned";
    };
  }

  private String secondaryWords(BedOutcome outcome) {
    if (practice.running()) {
      return Text.of("bed.button.practise-end");
    }
    if (correcting.isPresent()) {
      return Text.of("button.cancel");
    }
    boolean leave =
        !(outcome instanceof BedOutcome.Found f)
            || (f.finding().verdict() != Verdict.WITHIN && !(f.task() instanceof BedTask.ByFeel));
    return leave ? Text.of("button.leave") : "";
  }

  @Override
  public void primary() {
    if (!(model.outcomeProperty().get() instanceof BedOutcome.Found found) || recording) {
      return;
    }
    if (practice.running()) {
      practice.obey(found);
      focusFirst();
    } else if (found.task() instanceof BedTask.ByFeel) {
      record(found, EntryKind.CHECK);
    } else {
      record(found, kindOfNext(found.finding().verdict() == Verdict.WITHIN));
    }
  }

  private void secondary() {
    if (practice.running()) {
      practice.end();
      fillAgain();
    } else if (correcting.isPresent()) {
      stopCorrecting();
    } else if (model.outcomeProperty().get() instanceof BedOutcome.Found found && !recording) {
      record(found, kindOfNext(true));
    }
  }

  private EntryKind kindOfNext(boolean leaving) {
    return workshop
        .opened()
        .ledger()
        .kindOfNext(BedStation.STATION, leaving, workshop.clock().instant());
  }

  private void record(BedOutcome.Found found, EntryKind kind) {
    host.withInitials(() -> {
      recording = true;
      showAdvice();
      Finding finding = found.finding();
      Entry entry =
          workshop.entry(
              BedStation.STATION,
              kind,
              BedRecord.readings(model.typed(), found.task()),
              BedRecord.finding(finding),
              finding.verdict(),
              found.task().figures(finding),
              correcting);
      workshop.record(entry, () -> recorded(entry), this::notRecorded);
    });
  }

  private void recorded(Entry entry) {
    recording = false;
    boolean corrected = correcting.isPresent();
    correcting = Optional.empty();
    if (corrected) {
      fillAgain();
    } else {
      model.clearReadings();
    }
    String time = When.time(entry.recordedAt(), zone);
    workshop.say(
        entry.kind() == EntryKind.AS_LEFT
            ? Text.of("said.as-left", time)
            : Text.of("said.recorded", entry.kind().words(), time));
    showAdvice();
    focusFirst();
  }

  private void notRecorded() {
    recording = false;
    keepDraft(model.typed());
    showAdvice();
  }

  /** Brings back what was typed for it, unless something new is typed by now. */
  @Override
  public void undone(Entry entry) {
    boolean empty = model.placesProperty().get().stream().allMatch(p -> p.reading().isEmpty());
    if (empty && !practice.running() && correcting.isEmpty()) {
      typedOf(entry).ifPresent(model::type);
    }
  }

  private void correct(Entry entry) {
    if (practice.running()) {
      practice.end();
    }
    Optional<Map<String, String>> typed = typedOf(entry);
    if (typed.isEmpty()) {
      workshop.say(Text.of("said.unreadable"));
      return;
    }
    correcting = Optional.of(entry);
    model.type(typed.get());
    workshop.say(
        Text.of("said.correcting", entry.kind().words(), When.dayAndTime(entry.at(), zone)));
    showAdvice();
    readings.focusFirst();
  }

  private void stopCorrecting() {
    correcting = Optional.empty();
    fillAgain();
    workshop.say("");
  }

  /** The machine's own unrecorded readings, instead of a practice's or a correction's. */
  private void fillAgain() {
    Map<String, String> draft = workshop.draft(BedStation.STATION);
    model.clearReadings();
    model.type(draft.isEmpty() ? withoutReadings(lastTyped()) : draft);
    showAdvice();
    focusFirst();
  }

  @Override
  public Region view() {
    return frame;
  }

  @Override
  public void focusFirst() {
    readings.focusNextEmpty();
  }

  @Override
  public void refresh() {
    Standing standing = workshop.opened().standing(BedStation.STATION);
    frame.showState(
        standing,
        StateWords.of(standing, zone),
        StateWords.styleClass(standing),
        StateWords.before(standing, model.unit(), zone));
    notebook.show(
        workshop.opened().ledger().entriesAt(BedStation.STATION),
        model.unit(),
        workshop.clock().instant());
  }

  @Override
  public void dispose() {
    unitSubscription.unsubscribe();
    if (frame.getScene() != null) {
      frame.getScene().focusOwnerProperty().removeListener(focusFollower);
    }
  }
}
