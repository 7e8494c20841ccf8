package zebrawood.desktop.cooling;

import java.util.List;
import java.util.Optional;
import zebrawood.desktop.sheet.AnsweredSheet;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.text.Text;
import zebrawood.records.site.CoolingRecord;
import zebrawood.site.Cooling;
import zebrawood.site.CoolingStation;
import zebrawood.start.GoLine;

/** The cooling station's sheet. */
public final class CoolingSheet extends AnsweredSheet {
  private final CoolingModel model;
  private final CoolingPractice practice;

  public CoolingSheet(SheetHost host) {
    this(host, new CoolingModel(host.workshop().opened().machine()));
  }

  private CoolingSheet(SheetHost host, CoolingModel model) {
    this(host, model, new CoolingPractice(model, host.workshop().clock()));
  }

  private CoolingSheet(SheetHost host, CoolingModel model, CoolingPractice practice) {
    super(
        host,
        CoolingStation.STATION,
        model,
        kept -> CoolingRecord.of(kept).typed(),
        Optional.of(practice));
    this.model = model;
    this.practice = practice;
    assemble(
        new CoolingPane(model, practice, this::focusPrimary),
        Text.of("cooling.picture.title"),
        Text.of("cooling.picture.legend"),
        new Thermometer(model));
    model.setOnTyped(this::keepDraft);
    model.outcomeProperty().subscribe(o -> showAdvice());
  }

  @Override
  protected Shown shown() {
    CoolingOutcome outcome = model.outcomeProperty().get();
    Optional<EntryDesk.Reading> found =
        outcome instanceof CoolingOutcome.Found(var read, var finding)
            ? Optional.of(
                new EntryDesk.Reading(
                    CoolingRecord.readings(model.typed(), read),
                    CoolingRecord.finding(finding),
                    finding.verdict(),
                    Cooling.figures(read, finding)))
            : Optional.empty();
    return new Shown(
        CoolingAdvice.steps(outcome),
        outcome instanceof CoolingOutcome.Found f ? f.finding().warnings() : List.of(),
        Text.of("cooling.caution"),
        CoolingAdvice.summary(outcome),
        found);
  }

  @Override
  protected void obey() {
    if (model.outcomeProperty().get() instanceof CoolingOutcome.Found found) {
      practice.obey(found);
    }
  }

  /** The pump is powered here: the emergency stop comes first. */
  @Override
  protected boolean asksToday(GoLine line) {
    return line.kind() == GoLine.Kind.STOP_FIRST;
  }
}
