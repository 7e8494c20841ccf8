package zebrawood.desktop.station;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.NewEntry;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Station;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.records.json.RecordJson;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.kept.StationPaper;

/**
 * What every station's sheet does with entries: keeps what is typed as a draft, records, corrects,
 * and gives back what an undo took. While a practice runs, the machine's own draft stays as it is;
 * what is typed while an entry is corrected has a draft of its own.
 */
public final class EntryRecorder {
  /** Under this name the draft of a correction says which entry it corrects. */
  private static final String CORRECTS = "corrects";

  /** Under this name a draft says when it was read, where that was not now. */
  private static final String READ_AT = "read-at";

  /** A complete reading with its finding and what paper shows of it, as it is kept. */
  public record Reading(
      String readings, String finding, Verdict verdict, List<Figure> figures, StationPaper paper) {
    /** Made once: whatever comes after it reads what is here. */
    public static <R, F extends Finding> Reading of(
        StationModel<R, F> model, Outcome.Solved<R, F> solved) {
      return new Reading(
          KeptReadings.write(
              model.form().typed(), (Record) solved.readings(), model.visit().readings()),
          RecordJson.write((Record) solved.finding(), model.visit().finding()),
          solved.finding().verdict(),
          model.figures(solved),
          PaperMaker.of(model));
    }

    private Reading with(List<Figure> others) {
      return new Reading(readings, finding, verdict, others, paper);
    }

    /** The same without figures, judged otherwise. */
    Reading judged(Verdict otherwise) {
      return new Reading(readings, finding, otherwise, List.of(), paper);
    }
  }

  private final SheetHost host;
  private final WorkshopModel workshop;
  private final Station station;
  private final StationForm form;
  private final Runnable changed;
  private final Runnable focusNext;
  private final BooleanSupplier practising;

  /** Opens the station once more, to see what it finds of other typed text. */
  private final Supplier<StationModel<?, ?>> anew;

  /** What stands in a sheet where nothing was ever typed. */
  private final Map<String, String> untouched;

  /** What stands in a sheet before anything is typed on a visit, after this entry. */
  private record Before(Optional<Entry> last, boolean ofVisit, Map<String, String> typed) {}

  private Before before;

  private Optional<Entry> correcting = Optional.empty();

  /** When what stands on the sheet was read; empty for now. */
  private Optional<Instant> readAt = Optional.empty();

  private boolean recording;

  /**
   * @param practising whether what stands on the sheet is a stand-in's: then nothing is recorded
   * @param changed shows the sheet's advice and buttons again
   * @param anew opens the station once more
   * @param focusNext puts the focus where the next thing is to be typed
   */
  public EntryRecorder(
      SheetHost host,
      Station station,
      StationForm form,
      BooleanSupplier practising,
      Runnable changed,
      Runnable focusNext,
      Supplier<StationModel<?, ?>> anew) {
    this.anew = anew;
    this.host = host;
    this.practising = practising;
    untouched = Map.copyOf(form.typed());
    before = new Before(Optional.empty(), false, untouched);
    this.workshop = host.workshop();
    this.station = station;
    this.form = form;
    this.changed = changed;
    this.focusNext = focusNext;
  }

  public boolean correcting() {
    return correcting.isPresent();
  }

  /** Whether an entry is on its way to the disk. */
  public boolean recording() {
    return recording;
  }

  public Optional<Instant> readAt() {
    return readAt;
  }

  /**
   * Dates what stands on the sheet back.
   *
   * @param at empty for now
   */
  public void readAt(Optional<Instant> at) {
    readAt = at;
    keepDraft();
    changed.run();
  }

  /** From the draft, else what the last entry had beside its readings. */
  public void fill() {
    Map<String, String> correction = workshop.draftOfCorrection(station);
    Optional<Entry> corrected =
        Optional.ofNullable(correction.get(CORRECTS))
            .flatMap(id ->
                workshop.opened().ledger().entriesAt(station).stream()
                    .filter(e -> e.id().equals(id))
                    .findFirst());
    if (corrected.isPresent()) {
      correcting = corrected;
      form.type(without(correction, name -> name.equals(CORRECTS)));
    } else {
      Map<String, String> draft = workshop.draft(station);
      readAt = Optional.ofNullable(draft.get(READ_AT)).flatMap(EntryRecorder::time);
      fillFrom(without(draft, name -> name.equals(READ_AT)));
    }
  }

  private static Optional<Instant> time(String kept) {
    try {
      return Optional.of(Instant.parse(kept));
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  /**
   * Whether anything was typed or answered on this visit: what stands there from before tells only
   * how it was.
   */
  public boolean readAnything() {
    Optional<Entry> last = lastOfFitted();
    boolean ofVisit = last.filter(this::ofThisVisit).isPresent();
    if (!(before.last.equals(last) && before.ofVisit == ofVisit)) {
      before = new Before(last, ofVisit, typedBefore(last, ofVisit));
    }
    return form.typed().entrySet().stream()
        .anyMatch(e -> !e.getValue().equals(before.typed.getOrDefault(e.getKey(), "")));
  }

  private Map<String, String> typedBefore(Optional<Entry> last, boolean ofVisit) {
    Map<String, String> typed = new HashMap<>(untouched);
    typed.putAll(
        without(
            last.flatMap(EntryRecorder::typedOf).orElse(Map.of()),
            name -> name.startsWith(Field.READING) || !ofVisit && name.startsWith(Field.VISIT)));
    return typed;
  }

  private Optional<Entry> lastOfFitted() {
    return workshop.opened().ledger().entriesOfFitted(station).reversed().stream().findFirst();
  }

  private static Map<String, String> without(Map<String, String> typed, Predicate<String> names) {
    return typed.entrySet().stream()
        .filter(e -> !names.test(e.getKey()))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  private void fillFrom(Map<String, String> draft) {
    Optional<Entry> last = lastOfFitted();
    Map<String, String> recorded = last.flatMap(EntryRecorder::typedOf).orElse(Map.of());
    Map<String, String> filled =
        draft.isEmpty() ? without(recorded, name -> name.startsWith(Field.READING)) : draft;
    if (last.filter(this::ofThisVisit).isEmpty()) {
      // What an earlier visit found; what was typed since differs from it.
      filled =
          filled.entrySet().stream()
              .collect(
                  Collectors.toMap(
                      Map.Entry::getKey,
                      e ->
                          e.getKey().startsWith(Field.VISIT)
                                  && e.getValue().equals(recorded.get(e.getKey()))
                              ? ""
                              : e.getValue()));
    }
    form.type(filled);
  }

  /** The machine's own unrecorded readings, instead of a practice's or a correction's. */
  public void fillAgain() {
    // Clearing goes into the draft as well.
    Map<String, String> draft = without(workshop.draft(station), name -> name.equals(READ_AT));
    form.clearReadings();
    form.clearVisit();
    fillFrom(draft);
    changed.run();
    focusNext.run();
  }

  /** Whether an entry was made on the visit that is under way. */
  public boolean ofThisVisit(Entry entry) {
    return entry.ofVisit(workshop.clock().instant());
  }

  /** What was typed for an entry; nothing when it is damaged or of another kind. */
  public static Optional<Map<String, String>> typedOf(Entry entry) {
    return KeptReadings.typed(entry);
  }

  public void keepDraft() {
    if (practising.getAsBoolean()) {
      return;
    }
    if (correcting.isPresent()) {
      Map<String, String> typed = new HashMap<>(form.typed());
      typed.put(CORRECTS, correcting.get().id());
      workshop.keepDraftOfCorrection(station, typed);
    } else {
      Map<String, String> typed = new HashMap<>(form.typed());
      readAt.ifPresent(at -> typed.put(READ_AT, at.toString()));
      workshop.keepDraft(station, typed);
    }
  }

  /** What the next entry with figures is. */
  public EntryKind kindOfNext(boolean leaving) {
    return workshop
        .opened()
        .ledger()
        .kindOfNext(station, leaving, readAt.orElseGet(workshop.clock()::instant));
  }

  public void record(Reading reading, EntryKind kind) {
    host.withInitials(() -> {
      recording = true;
      changed.run();
      Entry entry = entry(reading.with(dated(reading.figures())), kind, correcting);
      write(entry, reading.paper(), () -> recorded(entry), this::notRecorded);
    });
  }

  /**
   * A figure that nothing typed on this visit has a part in was read earlier: it keeps that day.
   * Those that the station finds of what stood there before anything was typed are such.
   */
  private List<Figure> dated(List<Figure> figures) {
    if (correcting.isPresent()) {
      return figures.stream()
          .map(f ->
              correcting
                  .get()
                  .figure(f.id())
                  .filter(f::sameAs)
                  .flatMap(Figure::keptFrom)
                  .map(f::keptFrom)
                  .orElse(f))
          .toList();
    }
    Optional<Entry> last = lastOfFitted();
    if (last.isEmpty() || before.typed.equals(untouched)) {
      return figures;
    }
    StationModel<?, ?> then = anew.get();
    then.form().type(before.typed);
    List<Figure> found = then.figuresNow();
    then.dispose();
    return figures.stream()
        .map(f ->
            last.get()
                .figure(f.id())
                .filter(f::sameAs)
                .filter(earlier -> found.stream().anyMatch(f::sameAs))
                .map(earlier -> earlier.keptFrom().orElse(last.get().time()))
                .filter(at -> !sameDay(at, readAt.orElseGet(workshop.clock()::instant)))
                .map(f::keptFrom)
                .orElse(f))
        .toList();
  }

  private boolean sameDay(Instant one, Instant other) {
    ZoneId zone = workshop.clock().getZone();
    return LocalDate.ofInstant(one, zone).equals(LocalDate.ofInstant(other, zone));
  }

  /** Whatever is recorded passes here. */
  private void write(Entry entry, StationPaper paper, Runnable then, Runnable otherwise) {
    if (practising.getAsBoolean()) {
      then.run();
    } else {
      workshop.record(entry, paper, then, otherwise);
    }
  }

  /** Asks for initials where something will be recorded. */
  public void withInitials(Runnable then) {
    if (practising.getAsBoolean()) {
      then.run();
    } else {
      host.withInitials(then);
    }
  }

  private Entry entry(Reading reading, EntryKind kind, Optional<Entry> corrects) {
    return NewEntry.of(
        workshop,
        station,
        kind,
        reading.readings(),
        reading.finding(),
        reading.verdict(),
        reading.figures(),
        corrects,
        readAt);
  }

  private void recorded(Entry entry) {
    recording = false;
    if (correcting.isPresent()) {
      correcting = Optional.empty();
      workshop.forgetDraftOfCorrection(station);
      fillAgain();
    } else {
      readAt = Optional.empty();
      form.clearReadings();
      changed.run();
      focusNext.run();
    }
    String time = DayWords.time(entry.recordedAt(), workshop.clock().getZone());
    workshop.say(
        entry.kind() == EntryKind.AS_LEFT
            ? Text.of("said.as-left", station.title(), time)
            : Text.of("said.recorded", station.title(), entry.kind(), time));
  }

  private void notRecorded() {
    recording = false;
    keepDraft();
    changed.run();
  }

  /**
   * Keeps an entry that stands out before anything is done outside, so that a closed window or a
   * killed program leaves the ledger saying so; its outcome replaces it. What is typed stays.
   */
  public void begin(Reading reading, Consumer<Entry> then) {
    Entry begun = entry(reading.judged(Verdict.STOP), kindOfNext(false), Optional.empty());
    write(
        begun,
        reading.paper(),
        () -> {
          keepDraft();
          then.accept(begun);
        },
        this::keepDraft);
  }

  /** What is known now, without clearing what is typed. */
  public void keep(Reading reading, Runnable then) {
    write(
        entry(reading, kindOfNext(false), Optional.empty()),
        reading.paper(),
        () -> {
          keepDraft();
          then.run();
        },
        this::keepDraft);
  }

  /** What is known now replaces what was begun. */
  public void end(Entry begun, Reading reading) {
    write(entry(reading, begun.kind(), Optional.of(begun)), reading.paper(), () -> {}, () -> {});
  }

  /** What was begun decides nothing: the station stands as it did before. */
  public void endUndecided(Entry begun, Reading reading) {
    end(begun, reading.judged(Verdict.MEASURE_AGAIN));
  }

  /** Fills the fields with what was typed for an entry, to be mended. */
  public void correct(Entry entry) {
    Optional<Map<String, String>> typed = typedOf(entry);
    if (typed.isEmpty()) {
      workshop.say(Text.of("said.unreadable"));
      return;
    }
    correcting = Optional.of(entry);
    form.type(typed.get());
    workshop.say(
        Text.of(
            "said.correcting",
            entry.kind(),
            DayWords.dayAndTime(entry.time(), workshop.clock().getZone())));
    changed.run();
  }

  public void stopCorrecting() {
    correcting = Optional.empty();
    workshop.forgetDraftOfCorrection(station);
    fillAgain();
    workshop.say("");
  }

  /** Brings back what was typed for an entry that was withdrawn, unless something is typed now. */
  public void undone(Entry entry) {
    if (correcting.isEmpty() && form.nothingRead()) {
      typedOf(entry).ifPresent(form::type);
    }
  }
}
