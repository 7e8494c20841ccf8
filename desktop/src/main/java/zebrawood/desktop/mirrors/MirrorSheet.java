package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.sheet.AnsweredSheet;
import zebrawood.desktop.sheet.EntryDesk;
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
public final class MirrorSheet extends AnsweredSheet {
  private final MirrorModel model;
  private final MirrorPractice practice;

  public MirrorSheet(SheetHost host) {
    this(host, new MirrorModel(host.workshop().opened().machine()));
  }

  private MirrorSheet(SheetHost host, MirrorModel model) {
    this(host, model, new MirrorPractice(model, host.workshop().clock()));
  }

  private MirrorSheet(SheetHost host, MirrorModel model, MirrorPractice practice) {
    super(
        host,
        MirrorStation.STATION,
        model,
        kept -> MirrorRecord.of(kept).typed(),
        Optional.of(practice));
    this.model = model;
    this.practice = practice;
    assemble(
        new MirrorPane(model, practice, this::focusPrimary),
        Text.of("mirrors.picture.title"),
        Text.of("mirrors.picture.legend"),
        new MarksPicture(model));
    model.setOnTyped(this::keepDraft);
    model.outcomeProperty().subscribe(o -> showAdvice());
  }

  /** Each mark is a pulse into an open path. */
  @Override
  protected boolean asksToday(GoLine line) {
    return line.kind().protects();
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
  protected void obey() {
    if (model.outcomeProperty().get() instanceof MirrorOutcome.Found found) {
      practice.obey(found);
    }
  }
}
