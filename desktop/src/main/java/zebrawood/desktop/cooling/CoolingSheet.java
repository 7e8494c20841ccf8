package zebrawood.desktop.cooling;

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
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.sheet.DoNext;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.FocusFollower;
import zebrawood.desktop.sheet.Notebook;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.measure.Verdict;
import zebrawood.records.site.CoolingRecord;
import zebrawood.site.Cooling;
import zebrawood.site.CoolingStation;

/** The cooling station's sheet. */
public final class CoolingSheet implements StationSheet {
  private final WorkshopModel workshop;
  private final CoolingModel model;
  private final EntryDesk desk;
  private final CoolingPractice practice;
  private final CoolingPane readings;
  private final Label summary = new Label();
  private final DoNext doNext = new DoNext(this::primary, this::secondary);
  private final Notebook notebook;
  private final SheetFrame frame;
  private final ZoneId zone;
  private final FocusFollower focus;
  private final Subscription unitSubscription;

  public CoolingSheet(SheetHost host) {
    workshop = host.workshop();
    zone = workshop.clock().getZone();
    model = new CoolingModel(workshop.opened().machine());
    desk =
        new EntryDesk(
            host,
            CoolingStation.STATION,
            model,
            kept -> CoolingRecord.of(kept).typed(),
            this::showAdvice,
            this::focusFirst);
    desk.fill();
    practice = new CoolingPractice(model, workshop.clock());
    readings = new CoolingPane(model, practice, doNext::focusPrimary);
    Thermometer thermometer = new Thermometer(model);
    notebook = new Notebook(zone, this::correct, host::undoLast);
    summary.setWrapText(true);
    summary.getStyleClass().add("summary");
    summary.setMinHeight(Region.USE_PREF_SIZE);
    Label legend = new Label(Text.of("cooling.picture.legend"));
    legend.getStyleClass().add("soft");
    VBox picture =
        new VBox(
            SheetFrame.columnTitle(Text.of("cooling.picture.title"), legend), thermometer, summary);
    picture.getStyleClass().add("picture");
    VBox.setVgrow(thermometer, Priority.ALWAYS);
    frame =
        new SheetFrame(
            CoolingStation.STATION.title(),
            CoolingStation.STATION.question(),
            readings,
            picture,
            doNext,
            notebook);
    focus = new FocusFollower(frame, this::followFocus);
    unitSubscription = workshop.unitProperty().subscribe(this::refresh);
    model.setOnTyped(this::keepDraft);
    practice.roundsProperty().subscribe(r -> showAdvice());
    model.outcomeProperty().subscribe(o -> showAdvice());
    refresh();
  }

  private void keepDraft(Map<String, String> typed) {
    if (!practice.running()) {
      desk.keepDraft(typed);
    }
  }

  private void followFocus(Node focused) {
    readings.setFocused(
        focused instanceof EntryField field ? Optional.of(field) : Optional.empty());
  }

  private void showAdvice() {
    CoolingOutcome outcome = model.outcomeProperty().get();
    boolean found = outcome instanceof CoolingOutcome.Found && !desk.recording();
    List<String> warnings =
        outcome instanceof CoolingOutcome.Found f ? f.finding().warnings() : List.of();
    doNext.show(
        CoolingAdvice.steps(outcome),
        warnings,
        Text.of("cooling.caution"),
        new DoNext.Choice(Text.of(primaryKey(outcome)), found),
        new DoNext.Choice(
            secondaryWords(outcome), found || desk.correcting() || practice.running()));
    readings.showPractice(practice.words());
    summary.setText(CoolingAdvice.summary(outcome));
  }

  private String primaryKey(CoolingOutcome outcome) {
    if (practice.running()) {
      return "practice.obey";
    }
    if (desk.correcting()) {
      return "button.correct";
    }
    return within(outcome) ? "button.as-left" : "button.read-again";
  }

  private String secondaryWords(CoolingOutcome outcome) {
    if (practice.running()) {
      return Text.of("practice.end");
    }
    if (desk.correcting()) {
      return Text.of("button.cancel");
    }
    return within(outcome) ? "" : Text.of("button.leave");
  }

  private static boolean within(CoolingOutcome outcome) {
    return outcome instanceof CoolingOutcome.Found f && f.finding().verdict() == Verdict.WITHIN;
  }

  @Override
  public void primary() {
    if (practice.running()) {
      if (model.outcomeProperty().get() instanceof CoolingOutcome.Found found) {
        practice.obey(found);
        focusFirst();
      }
      return;
    }
    record(within(model.outcomeProperty().get()));
  }

  private void secondary() {
    if (practice.running()) {
      practice.end();
      desk.fillAgain();
    } else if (desk.correcting()) {
      desk.stopCorrecting();
    } else {
      record(true);
    }
  }

  private void record(boolean leaving) {
    if (model.outcomeProperty().get() instanceof CoolingOutcome.Found(var read, var finding)
        && !desk.recording()) {
      desk.record(
          new EntryDesk.Reading(
              CoolingRecord.readings(model.typed(), read),
              CoolingRecord.finding(finding),
              finding.verdict(),
              Cooling.figures(read, finding)),
          desk.kindOfNext(leaving));
    }
  }

  private void correct(Entry entry) {
    if (practice.running()) {
      practice.end();
    }
    desk.correct(entry);
    readings.focusFirst();
  }

  @Override
  public void undone(Entry entry) {
    if (!practice.running()) {
      desk.undone(entry);
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
