package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.sheet.AnsweredSheet;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.measure.Numbers;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
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
    model.leastPulse().textProperty().subscribe(t -> showAdvice());
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
              withLeastPulse(
                  List.of(
                      new Step(
                          "", Text.of("cooling.do.read", next), Text.of("mirrors.do.read.why")))),
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
              withLeastPulse(finding.advice().stream().map(s -> Step.ofAdvice(s, "")).toList()),
              finding.warnings(),
              caution,
              summary(finding),
              Optional.of(
                  new EntryDesk.Reading(
                      MirrorRecord.readings(model.typed(), visit),
                      MirrorRecord.finding(finding),
                      finding.verdict(),
                      visit.figures(finding))));
    };
  }

  /** The first thing of a visit, before any mirror is touched. */
  private List<Step> withLeastPulse(List<Step> steps) {
    return model.leastPulse().text().isBlank()
        ? Stream.concat(
                Stream.of(
                    new Step("", Text.of("mirrors.do.pulse"), Text.of("mirrors.do.pulse.how"))),
                steps.stream())
            .toList()
        : steps;
  }

  /** What was burnt before the screws were turned last is compared with what is burnt now. */
  @Override
  protected void recordChanged() {
    if (practice.roundsProperty().get() >= 0) {
      return;
    }
    List<Entry> entries = workshop.opened().ledger().entriesAt(MirrorStation.STATION);
    model.setBefore(
        entries.stream()
            .skip(Math.max(0, entries.size() - 1))
            .filter(e -> e.verdict() == Verdict.ADJUST && !desk.correcting())
            .filter(desk::ofThisVisit)
            .findFirst()
            .flatMap(MirrorSheet::kept)
            .flatMap(MirrorVisit::taught));
  }

  private static Optional<MirrorVisit> kept(Entry entry) {
    try {
      return Optional.of(MirrorRecord.of(entry.readings()).readings());
    } catch (UnusableReading e) {
      // A damaged or newer entry has nothing to compare with.
      return Optional.empty();
    }
  }

  @Override
  protected EntryKind kindOf(boolean leaving) {
    return model.schoolProperty().get() == MirrorModel.School.QUICK
        ? EntryKind.CHECK
        : super.kindOf(leaving);
  }

  private static String summary(MirrorVisit.Judged judged) {
    List<String> sentences = new ArrayList<>();
    judged
        .alignment()
        .ifPresent(f -> {
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
        });
    judged
        .quick()
        .ifPresent(f ->
            sentences.add(Text.of("mirrors.summary.quick", Numbers.fixed(f.wanderNowMm(), 1))));
    judged
        .lost()
        .forEach(lost ->
            sentences.add(
                Text.of(
                    "mirrors.summary.lost", lost.where(), Numbers.fixed(100 * lost.share(), 1))));
    judged
        .plumb()
        .ifPresent(p ->
            sentences.add(
                Text.of(
                    "mirrors.summary.plumb",
                    Numbers.fixed(p.rightMrad(), 1),
                    Numbers.fixed(p.rearMrad(), 1),
                    Numbers.fixed(p.rightMradUncertainty(), 1),
                    Numbers.fixed(p.edgeLeanMm(), 2),
                    Numbers.fixed(p.edgeLeanMmUncertainty(), 2))));
    judged
        .pointer()
        .ifPresent(p ->
            sentences.add(
                Text.of(
                    "mirrors.summary.pointer",
                    Numbers.fixed(p.offsetMm(), 1),
                    Numbers.fixed(p.offsetMmUncertainty(), 1),
                    Numbers.fixed(10 * p.slopeMmPerMm(), 2),
                    Numbers.fixed(10 * p.slopeMmPerMmUncertainty(), 2))));
    return String.join(" ", sentences);
  }

  @Override
  protected void obey() {
    if (model.outcomeProperty().get() instanceof MirrorOutcome.Found found) {
      practice.obey(found);
    }
  }
}
