package zebrawood.desktop.start;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.desktop.sheet.AnsweredSheet;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.sheet.TodaysProof;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.records.start.StartRecord;
import zebrawood.start.Start;
import zebrawood.start.StartStation;

/** The start-up station's sheet. */
public final class StartSheet extends AnsweredSheet {
  /** Where the coolant's limit is kept; stations know one another through the ledger only. */
  private static final String COOLING = "cooling";

  private final StartModel model;

  public StartSheet(SheetHost host) {
    this(
        host,
        new StartModel(
            TodaysProof.card(host.workshop()),
            host.workshop().opened().machine().cooledByWater(),
            warmestC(host.workshop())));
  }

  private StartSheet(SheetHost host, StartModel model) {
    super(
        host, StartStation.STATION, model, kept -> StartRecord.of(kept).typed(), Optional.empty());
    this.model = model;
    assemble(
        new StartPane(model, this::focusPrimary, host::writeGoCard),
        Text.of("start.picture.title"),
        Text.of("start.picture.legend"),
        new CardPicture(model));
    model.setOnTyped(this::keepDraft);
    model.outcomeProperty().subscribe(o -> showAdvice());
  }

  private static OptionalDouble warmestC(WorkshopModel workshop) {
    return workshop.opened().ledger().entries().reversed().stream()
        .filter(e -> e.stationId().equals(COOLING))
        .findFirst()
        .flatMap(Entry::tellingFigure)
        .map(f -> f.limit())
        .orElse(OptionalDouble.empty());
  }

  @Override
  protected void recordChanged() {
    model.setToday(TodaysProof.card(workshop), TodaysProof.today(workshop));
  }

  @Override
  protected Shown shown() {
    return switch (model.outcomeProperty().get()) {
      case StartOutcome.Refused(String because) ->
          new Shown(
              List.of(new Step("", Text.of("bed.do.mend"), because)),
              List.of(),
              Text.of("start.caution"),
              "",
              Optional.empty());
      case StartOutcome.Found(var read, var finding) ->
          new Shown(
              steps(finding.advice()),
              finding.warnings(),
              Text.of("start.caution"),
              "",
              Optional.of(
                  new EntryDesk.Reading(
                      StartRecord.readings(model.typed(), read),
                      StartRecord.finding(finding),
                      finding.verdict(),
                      Start.figures(read, finding))));
    };
  }

  /** What asks for a proof stands behind it, and so does what is to be seen to. */
  private static List<Step> steps(List<String> advice) {
    List<Step> steps = new ArrayList<>();
    for (String sentence : advice) {
      steps.add(Step.ofAdvice(sentence, sentence.startsWith(Start.SEE) ? Start.SEE : Start.PROVE));
    }
    return steps;
  }
}
