package zebrawood.desktop.bed;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import zebrawood.bed.BedStation;
import zebrawood.bed.BedTask;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.sheet.DoNext;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.FocusFollower;
import zebrawood.desktop.sheet.Notebook;
import zebrawood.desktop.sheet.Prose;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.sheet.SteadyBox;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.records.bed.BedRecord;

/** The bed station's sheet. */
public final class BedSheet implements StationSheet {
  private final WorkshopModel workshop;
  private final BedModel model;
  private final BedPractice practice;
  private final BedReadingsPane readings;
  private final BedPlan plan;
  private final Label summary = new Prose("", "summary");
  private final DoNext doNext = new DoNext(this::primary, this::secondary);
  private final Notebook notebook;
  private final SheetFrame frame;
  private final ZoneId zone;
  private final FocusFollower focus;
  private final EntryDesk desk;
  private final Subscription unitSubscription;

  public BedSheet(SheetHost host) {
    this.workshop = host.workshop();
    this.zone = workshop.clock().getZone();
    model = new BedModel(workshop.opened().machine(), workshop.unitProperty().get());
    desk =
        new EntryDesk(
            host,
            BedStation.STATION,
            model,
            kept -> BedRecord.of(kept).typed(),
            this::showAdvice,
            this::focusFirst);
    desk.fill();
    practice = new BedPractice(model, workshop.clock());
    readings = new BedReadingsPane(model, practice, doNext::focusPrimary);
    plan = new BedPlan(model);
    notebook = new Notebook(zone, this::correct, host::undoLast);
    Label legend = new Label(Text.of("bed.plan.legend"));
    legend.getStyleClass().add("soft");
    VBox picture =
        new SteadyBox(0, SheetFrame.columnTitle(Text.of("bed.plan.title"), legend), plan, summary);
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
    focus = new FocusFollower(frame, this::followFocus);
    unitSubscription = workshop.unitProperty().subscribe(this::changeUnit);
    model.setOnTyped(this::keepDraft);
    model.outcomeProperty().subscribe(o -> showAdvice());
    practice.roundsProperty().subscribe(o -> showAdvice());
    refresh();
  }

  private void keepDraft(Map<String, String> typed) {
    if (!practice.running()) {
      desk.keepDraft(typed);
    }
  }

  private void changeUnit() {
    model.setUnit(workshop.unitProperty().get());
    refresh();
    showAdvice();
  }

  private void followFocus(Node focused) {
    boolean field = focused instanceof EntryField;
    readings.setFocused(field ? Optional.of((EntryField) focused) : Optional.empty());
    plan.setCurrent(
        field
            ? model.placesProperty().get().stream()
                .filter(p -> p.reading() == ((EntryField) focused).entry())
                .findFirst()
            : Optional.empty());
  }

  private void showAdvice() {
    BedOutcome outcome = model.outcomeProperty().get();
    List<Step> steps = BedAdvice.steps(outcome, model.unit());
    List<String> warnings =
        outcome instanceof BedOutcome.Found found ? found.finding().warnings() : List.of();
    boolean found = outcome instanceof BedOutcome.Found && !desk.recording();
    boolean acts = outcome instanceof BedOutcome.Found f && f.finding().verdict() != Verdict.WITHIN;
    doNext.show(
        steps,
        warnings,
        acts ? Text.of(model.underHead() ? "bed.caution.head" : "bed.caution") : "",
        new DoNext.Choice(Text.of(primaryKey(outcome)), found),
        new DoNext.Choice(
            secondaryWords(outcome), found || desk.correcting() || practice.running()));
    summary.setText(BedAdvice.summary(outcome, model.unit()));
    readings.showPractice(practice.words());
  }

  private String primaryKey(BedOutcome outcome) {
    if (practice.running()) {
      return "practice.obey";
    }
    if (desk.correcting()) {
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
      return Text.of("practice.end");
    }
    if (desk.correcting()) {
      return Text.of("button.cancel");
    }
    boolean leave =
        !(outcome instanceof BedOutcome.Found f)
            || (f.finding().verdict() != Verdict.WITHIN && !(f.task() instanceof BedTask.ByFeel));
    return leave ? Text.of("button.leave") : "";
  }

  @Override
  public void primary() {
    if (!(model.outcomeProperty().get() instanceof BedOutcome.Found found) || desk.recording()) {
      return;
    }
    if (practice.running()) {
      practice.obey(found);
      focusFirst();
    } else if (found.task() instanceof BedTask.ByFeel) {
      record(found, EntryKind.CHECK);
    } else {
      record(found, desk.kindOfNext(found.finding().verdict() == Verdict.WITHIN));
    }
  }

  private void secondary() {
    if (practice.running()) {
      practice.end();
      desk.fillAgain();
    } else if (desk.correcting()) {
      desk.stopCorrecting();
    } else if (model.outcomeProperty().get() instanceof BedOutcome.Found found
        && !desk.recording()) {
      record(found, desk.kindOfNext(true));
    }
  }

  private void record(BedOutcome.Found found, EntryKind kind) {
    Finding finding = found.finding();
    desk.record(
        new EntryDesk.Reading(
            BedRecord.readings(model.typed(), found.task()),
            BedRecord.finding(finding),
            finding.verdict(),
            found.task().figures(finding)),
        kind);
  }

  @Override
  public void undone(Entry entry) {
    if (!practice.running()) {
      desk.undone(entry);
    }
  }

  private void correct(Entry entry) {
    if (practice.running()) {
      practice.end();
    }
    desk.correct(entry);
    if (desk.correcting()) {
      readings.focusFirst();
    }
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
    desk.show(frame, notebook);
  }

  @Override
  public void dispose() {
    unitSubscription.unsubscribe();
    focus.dispose();
  }
}
