package zebrawood.desktop.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.Happening;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Message;

/**
 * What a sheet of any station shows and does, beside the fields and the picture: steps, tiles, what
 * its two buttons say and do, what is held back until it is proven, practice. Knows no scene.
 */
public final class SheetModel<R, F extends Finding> {
  private final SheetHost host;
  private final WorkshopModel workshop;
  private final Station station;
  private final StationModel<R, F> model;
  private final Optional<Practice<?, ?, R, F>> practice;
  private final EntryRecorder recorder;
  private final Focus focus;
  private final Runnable shownAnew;
  private List<GuardLine> notProven = List.of();

  /** What must be named before anything is recorded of it. */
  private Optional<SubjectKind> unnamed = Optional.empty();

  /** Where the cursor is put. */
  public interface Focus {
    /** On the first place, whatever stands there. */
    void first();

    /** On the next place that has nothing yet. */
    void next();
  }

  /**
   * What a button says.
   *
   * @param words nothing where there is no button
   */
  public record Choice(String words, boolean enabled) {}

  /**
   * @param changed shows what follows from a change of what is on its way to the disk
   * @param anew opens the station once more
   * @param shownAnew runs when the record is looked at again
   */
  public SheetModel(
      SheetHost host,
      Station station,
      StationModel<R, F> model,
      Focus focus,
      Runnable changed,
      Runnable shownAnew,
      Supplier<StationModel<?, ?>> anew) {
    this.host = host;
    this.workshop = host.workshop();
    this.station = station;
    this.model = model;
    this.focus = focus;
    this.shownAnew = shownAnew;
    practice = model.practice().filter(Practice::offered);
    model.form().setUnits(workshop.units());
    recorder =
        new EntryRecorder(
            host, station, model.form(), this::practising, changed, focus::next, anew);
    recorder.fill();
  }

  public Optional<Practice<?, ?, R, F>> practice() {
    return practice;
  }

  public EntryRecorder recorder() {
    return recorder;
  }

  /** The left column, with what a practice lets choose behind the way into it. */
  public List<Part> parts() {
    List<Part> choices = practice.map(Practice::choices).orElse(List.of());
    return model.parts().stream()
        .map(p -> p instanceof Part.PracticeEntry ? new Part.PracticeEntry(choices) : p)
        .toList();
  }

  /** Keeps what is typed; what a practice types is not the machine's. */
  public void keepDraft() {
    recorder.keepDraft();
  }

  public boolean practising() {
    return practice.filter(Practice::running).isPresent();
  }

  private boolean heldBack() {
    return !missing().isEmpty() && !practising() && !recorder.correcting();
  }

  /** What must be proven today before what is done on this sheet as it stands. */
  private List<GuardLine> missing() {
    return notProven.stream().filter(model::asksToday).toList();
  }

  private Optional<SubjectKind> toName() {
    return unnamed.filter(kind -> !practising() && !recorder.correcting());
  }

  /** What is looked at once more: what must be proven today, and what is on the machine. */
  public void lookAtRecord() {
    notProven = host.notProvenToday();
    if (!practising()) {
      model.lookAtRecord(entries());
    }
    unnamed =
        workshop.opened().ledger().subjectNow(station).isPresent()
            ? Optional.empty()
            : station.subject();
  }

  /** The entries of what is fitted now, oldest first. */
  public List<Entry> entries() {
    return workshop.opened().ledger().entriesOfFitted(station);
  }

  /** What is to be done, the next thing first. */
  public List<Step> steps() {
    List<Step> steps = new ArrayList<>();
    if (heldBack()) {
      List<GuardLine> missing = missing();
      steps.add(toProve(missing.getFirst()));
      if (missing.size() > 1) {
        steps.add(
            Step.of(
                Message.of("guard.rest", missing.size() - 1),
                Message.list(missing.stream().skip(1).map(GuardLine::said).toList())));
      }
    }
    toName()
        .ifPresent(kind ->
            steps.add(
                Step.of(Message.of("subject.ask", kind), Message.of("subject.ask.why", kind))));
    if (onlyFromBefore()) {
      steps.add(Step.of(Message.of("sheet.from-before"), Message.of("sheet.from-before.why")));
    }
    steps.addAll(model.firstSteps());
    steps.addAll(
        switch (model.outcome()) {
          case Outcome.Waiting<R, F>(Message next) ->
              List.of(Step.of(Message.of("sheet.read", next), model.whyRead()));
          case Outcome.Refused<R, F>(Message because) ->
              List.of(Step.of(Message.of("sheet.mend"), because));
          case Outcome.Working<R, F>(Message what) -> List.of(Step.of(what));
          case Outcome.Solved<R, F> s -> model.steps(s);
        });
    return steps;
  }

  private static Step toProve(GuardLine line) {
    return new Step(
        Text.of("guard.missing"), Text.words().line(line.said()), "", false, line.said().key());
  }

  /** Why something typed cannot be used. */
  public Optional<Message> refusal() {
    return model.outcome() instanceof Outcome.Refused<R, F>(Message because)
        ? Optional.of(because)
        : Optional.empty();
  }

  public List<String> warnings() {
    return model.solved().map(s -> s.finding().warnings(Text.words())).orElse(List.of());
  }

  /** All that was found, in sentences. */
  public String summary() {
    return model
        .solved()
        .map(s ->
            model.visit().said(s.readings(), s.finding()).stream()
                .map(Text.words()::sentence)
                .collect(Collectors.joining(" ")))
        .orElse("");
  }

  public List<FigureTile> tiles() {
    return model.solved().map(model::tiles).orElseGet(this::unknown);
  }

  /** What is not known is a dash, with what would tell it. */
  private List<FigureTile> unknown() {
    Message wouldTell =
        model.outcome() instanceof Outcome.Waiting<R, F>(Message next)
            ? Message.of("tile.would-tell", next)
            : Message.NONE;
    return entries().reversed().stream()
        .filter(e -> e.tellingFigure().isPresent())
        .findFirst()
        .map(e ->
            e.figures().stream().map(f -> FigureTile.unknown(station.id(), f, wouldTell)).toList())
        .orElse(List.of());
  }

  private boolean canRecord() {
    return model.solved().isPresent() && !recorder.recording() && !onlyFromBefore();
  }

  /** Whether all that stands there was typed on an earlier visit, or never. */
  private boolean onlyFromBefore() {
    return model.solved().isPresent()
        && !practising()
        && !recorder.correcting()
        && !recorder.readAnything();
  }

  /** The large button. */
  public Choice primaryChoice() {
    if (heldBack()) {
      return new Choice(Text.of("guard.prove"), true);
    }
    return toName()
        .map(kind -> new Choice(Text.of("subject.name", kind), true))
        .orElseGet(() -> new Choice(primaryWords(), canRecord()));
  }

  private String primaryWords() {
    if (practising()) {
      return Text.of("practice.obey");
    }
    if (recorder.correcting()) {
      return Text.of("button.correct");
    }
    return Text.of(
        model
            .order()
            .map(StationModel.Order::words)
            .or(() -> model.primaryWords(model.outcome()))
            .orElseGet(() ->
                Message.of(model.outcome().within() ? "button.as-left" : "button.read-again")));
  }

  /** The small button. */
  public Choice secondaryChoice() {
    return heldBack()
        ? new Choice(Text.of("guard.go-on"), true)
        : new Choice(
            toName().isPresent() ? "" : secondaryWords(),
            canRecord() || recorder.correcting() || practising());
  }

  private String secondaryWords() {
    if (practising()) {
      return Text.of("practice.end");
    }
    if (recorder.correcting()) {
      return Text.of("button.cancel");
    }
    boolean undecided =
        model.solved().filter(s -> s.finding().verdict() == Verdict.MEASURE_AGAIN).isPresent();
    boolean leave =
        !undecided
            && !model.outcome().within()
            && model.solved().filter(s -> !model.canBeLeft(s)).isEmpty();
    return leave ? Text.of("button.leave") : "";
  }

  /** What the button says with which a reading is dated back; nothing where it cannot be. */
  public Choice readOnChoice() {
    boolean can =
        canRecord() && !heldBack() && toName().isEmpty() && !practising() && !recorder.correcting();
    return new Choice(
        !can
            ? ""
            : recorder
                .readAt()
                .map(at ->
                    Text.of("button.read-on", DayWords.dayAndTime(at, workshop.clock().getZone())))
                .orElse(Text.of("button.read-now")),
        true);
  }

  /** Asks when it was read. */
  public void dateReading() {
    host.askTime(Text.of("dating.why", station.title()), recorder::readAt);
  }

  /** Does what the large button says. */
  public void primary() {
    if (heldBack()) {
      host.open(host.guardStation());
    } else if (toName().isPresent()) {
      host.askSubject(toName().get());
    } else if (canRecord()) {
      Outcome.Solved<R, F> solved = model.solved().orElseThrow();
      if (practising()) {
        practice.orElseThrow().obey(solved);
        focus.next();
      } else if (model.order().isPresent() && !recorder.correcting()) {
        model.order().get().run().run();
      } else {
        record(solved, solved.finding().verdict() == Verdict.WITHIN);
      }
    }
  }

  private void record(Outcome.Solved<R, F> solved, boolean leaving) {
    recorder.record(
        EntryRecorder.Reading.of(model, solved), model.kindOf(recorder.kindOfNext(leaving)));
  }

  /** Does what the small button says. */
  public void secondary() {
    if (heldBack()) {
      goOn();
    } else if (practising()) {
      practice.flatMap(Practice::score).ifPresent(s -> workshop.say(Text.words().sentence(s)));
      practice.ifPresent(Practice::end);
      recorder.fillAgain();
      // What the stand-in had nothing of, the record tells again.
      shownAnew.run();
    } else if (recorder.correcting()) {
      recorder.stopCorrecting();
    } else if (canRecord()) {
      record(model.solved().orElseThrow(), true);
    }
  }

  private void goOn() {
    List<GuardLine> without = missing();
    String lines = without.stream().map(l -> Text.of(l.said())).collect(Collectors.joining("; "));
    host.withReason(
        lines,
        reason ->
            host.withInitials(() ->
                workshop.happened(
                    new Happening(
                        EventKind.WENT_ON,
                        Optional.empty(),
                        Text.of("guard.note", station.title(), reason, lines),
                        Optional.empty(),
                        without.stream().map(GuardLine::id).toList()),
                    () -> workshop.say(Text.of("guard.kept")),
                    () -> {})));
  }

  /** Fills the fields with what was typed for an entry, to be mended. */
  public void correct(Entry entry) {
    practice.ifPresent(Practice::end);
    recorder.correct(entry);
    if (recorder.correcting()) {
      focus.first();
    }
  }

  /** An entry of this station was withdrawn: what was typed for it can be had back. */
  public void undone(Entry entry) {
    if (!practising()) {
      recorder.undone(entry);
    }
  }
}
