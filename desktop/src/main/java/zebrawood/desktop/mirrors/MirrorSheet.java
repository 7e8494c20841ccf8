package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.RecordedSheet;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Numbers;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorStation;
import zebrawood.mirrors.MirrorVisit;
import zebrawood.records.mirrors.MirrorRecord;
import zebrawood.start.GoLine;

/** The mirrors station's sheet. */
public final class MirrorSheet extends RecordedSheet {
  private final MirrorModel model;
  private final MirrorPractice practice;
  private final MirrorPane pane;

  public MirrorSheet(SheetHost host) {
    this(host, new MirrorModel(host.workshop().opened().machine()));
  }

  private MirrorSheet(SheetHost host, MirrorModel model) {
    super(host, MirrorStation.STATION, model, kept -> MirrorRecord.of(kept).typed());
    this.model = model;
    practice = new MirrorPractice(model, workshop.clock());
    pane = new MirrorPane(model, practice, this::focusPrimary);
    assemble(
        pane,
        Text.of("mirrors.picture.title"),
        Text.of("mirrors.picture.legend"),
        new MarksPicture(model));
    model.setOnTyped(this::keepDraft);
    model.outcomeProperty().subscribe(o -> showAdvice());
    practice.roundsProperty().subscribe(r -> showAdvice());
  }

  /** Each mark is a pulse into an open path. */
  @Override
  protected boolean asksToday(GoLine line) {
    return line.kind().protects();
  }

  @Override
  protected void showAdvice() {
    super.showAdvice();
    if (pane != null) {
      pane.showPractice(practice.words());
    }
  }

  @Override
  protected Shown shown() {
    String caution = Text.of("mirrors.caution");
    return switch (model.outcomeProperty().get()) {
      case MirrorOutcome.Waiting(String next) ->
          new Shown(
              List.of(
                  new Step("", Text.of("cooling.do.read", next), Text.of("mirrors.do.read.why"))),
              List.of(),
              caution,
              "",
              Optional.empty());
      case MirrorOutcome.Refused(String because) ->
          new Shown(
              List.of(new Step("", Text.of("bed.do.mend"), because)),
              List.of(),
              caution,
              "",
              Optional.empty());
      case MirrorOutcome.Found(var visit, var finding) ->
          new Shown(
              finding.advice().stream().map(s -> Step.ofAdvice(s, "")).toList(),
              finding.warnings(),
              caution,
              summary(visit, finding),
              Optional.of(
                  new EntryDesk.Reading(
                      MirrorRecord.readings(model.typed(), visit),
                      MirrorRecord.finding(finding),
                      finding.verdict(),
                      visit.figures(finding))));
    };
  }

  private static String summary(MirrorVisit visit, MirrorFinding f) {
    List<String> sentences = new ArrayList<>();
    sentences.add(
        Text.of(
            "mirrors.summary.wander",
            Numbers.fixed(f.wanderNowMm(), 1),
            Numbers.fixed(f.wanderAfterMm(), 1),
            Numbers.fixed(f.wanderAfterRoundedMm(), 1)));
    f.mirrors()
        .forEach((name, m) ->
            sentences.add(
                Text.of(
                    "mirrors.summary.angle",
                    name,
                    Numbers.fixed(m.beamErrorRightMrad(), 1),
                    Numbers.fixed(m.beamErrorRightMradUncertainty(), 1),
                    Numbers.fixed(m.beamErrorUpMrad(), 1),
                    Numbers.fixed(m.beamErrorUpMradUncertainty(), 1))));
    if (visit.lostShareNow().isPresent()) {
      sentences.add(
          Text.of(
              "mirrors.summary.lost", Numbers.fixed(100 * visit.lostShareNow().getAsDouble(), 1)));
    }
    return String.join(" ", sentences);
  }

  @Override
  protected String practiceWords() {
    return practice.words();
  }

  @Override
  protected void obey() {
    if (model.outcomeProperty().get() instanceof MirrorOutcome.Found found) {
      practice.obey(found);
    }
  }

  @Override
  protected void endPractice() {
    practice.end();
  }

  @Override
  protected void fieldFocused(Optional<EntryField> field) {
    pane.setFocused(field);
  }

  @Override
  protected void focusStart() {
    pane.focusStart();
  }

  @Override
  public void focusFirst() {
    pane.focusNextEmpty();
  }
}
