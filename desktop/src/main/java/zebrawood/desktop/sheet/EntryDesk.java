package zebrawood.desktop.sheet;

import java.time.Duration;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.Station;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

/**
 * What every station's sheet does with entries: keeps what is typed as a draft, records, corrects,
 * and gives back what an undo took. While an entry is corrected or a practice runs, the machine's
 * own draft stays as it is.
 */
public final class EntryDesk {
  /** Names of typed fields that are readings begin so; the others are kept for the next visit. */
  public static final String READING = "reading.";

  /** Begins the name of what stays for a visit and is found anew on the next one. */
  public static final String VISIT = "visit.";

  /** A sheet's typed fields. */
  public interface Typed {
    Map<String, String> typed();

    /** Fills the fields; what is not named stays as it is. */
    void type(Map<String, String> typed);

    void clearReadings();

    /** Whether no reading is typed. */
    boolean nothingRead();
  }

  /** A complete reading with its finding, as the station keeps them. */
  public record Reading(String readings, String finding, Verdict verdict, List<Figure> figures) {}

  private final SheetHost host;
  private final WorkshopModel workshop;
  private final Station station;
  private final Typed fields;
  private final Function<String, Map<String, String>> typedOf;
  private final Runnable changed;
  private final Runnable focusNext;
  private Optional<Entry> correcting = Optional.empty();
  private boolean recording;

  /**
   * @param typedOf what was typed for an entry, from the readings kept with it; may refuse
   * @param changed shows the sheet's advice and buttons again
   * @param focusNext puts the focus where the next thing is to be typed
   */
  public EntryDesk(
      SheetHost host,
      Station station,
      Typed fields,
      Function<String, Map<String, String>> typedOf,
      Runnable changed,
      Runnable focusNext) {
    this.host = host;
    this.workshop = host.workshop();
    this.station = station;
    this.fields = fields;
    this.typedOf = typedOf;
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

  /** From the draft, else what the last entry had beside its readings. */
  public void fill() {
    fillFrom(workshop.draft(station));
  }

  private void fillFrom(Map<String, String> draft) {
    Optional<Entry> last =
        workshop.opened().ledger().entriesAt(station).reversed().stream().findFirst();
    Map<String, String> recorded = last.flatMap(this::typedOf).orElse(Map.of());
    Map<String, String> filled = new LinkedHashMap<>(draft);
    if (draft.isEmpty()) {
      filled.putAll(recorded);
      filled.keySet().removeIf(name -> name.startsWith(READING));
    }
    if (last.filter(this::ofThisVisit).isEmpty()) {
      // What an earlier visit found; what was typed since differs from it.
      filled.replaceAll(
          (name, words) -> name.startsWith(VISIT) && words.equals(recorded.get(name)) ? "" : words);
    }
    fields.type(filled);
  }

  /** The machine's own unrecorded readings, instead of a practice's or a correction's. */
  public void fillAgain() {
    // Clearing goes into the draft as well.
    Map<String, String> draft = workshop.draft(station);
    fields.clearReadings();
    Map<String, String> ofVisit = new LinkedHashMap<>(fields.typed());
    ofVisit.keySet().removeIf(name -> !name.startsWith(VISIT));
    ofVisit.replaceAll((name, words) -> "");
    fields.type(ofVisit);
    fillFrom(draft);
    changed.run();
    focusNext.run();
  }

  /** Whether an entry was made on the visit that is under way. */
  public boolean ofThisVisit(Entry entry) {
    return Duration.between(entry.at(), workshop.clock().instant()).compareTo(Ledger.LONGEST_VISIT)
        < 0;
  }

  /** Nothing when a damaged or newer file cannot be read. */
  private Optional<Map<String, String>> typedOf(Entry entry) {
    try {
      return Optional.of(typedOf.apply(entry.readings()));
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  public void keepDraft(Map<String, String> typed) {
    if (correcting.isEmpty()) {
      workshop.keepDraft(station, typed);
    }
  }

  /** What the next entry with figures is. */
  public EntryKind kindOfNext(boolean leaving) {
    return workshop.opened().ledger().kindOfNext(station, leaving, workshop.clock().instant());
  }

  public void record(Reading reading, EntryKind kind) {
    host.withInitials(() -> {
      recording = true;
      changed.run();
      Entry entry =
          workshop.entry(
              station,
              kind,
              reading.readings(),
              reading.finding(),
              reading.verdict(),
              reading.figures(),
              correcting);
      workshop.record(entry, () -> recorded(entry), this::notRecorded);
    });
  }

  private void recorded(Entry entry) {
    recording = false;
    if (correcting.isPresent()) {
      correcting = Optional.empty();
      fillAgain();
    } else {
      fields.clearReadings();
      changed.run();
      focusNext.run();
    }
    String time = When.time(entry.recordedAt(), workshop.clock().getZone());
    workshop.say(
        entry.kind() == EntryKind.AS_LEFT
            ? Text.of("said.as-left", time)
            : Text.of("said.recorded", entry.kind().words(), time));
  }

  private void notRecorded() {
    recording = false;
    keepDraft(fields.typed());
    changed.run();
  }

  /** Fills the fields with what was typed for an entry, to be mended. */
  public void correct(Entry entry) {
    Optional<Map<String, String>> typed = typedOf(entry);
    if (typed.isEmpty()) {
      workshop.say(Text.of("said.unreadable"));
      return;
    }
    correcting = Optional.of(entry);
    fields.type(typed.get());
    workshop.say(
        Text.of(
            "said.correcting",
            entry.kind().words(),
            When.dayAndTime(entry.at(), workshop.clock().getZone())));
    changed.run();
  }

  public void stopCorrecting() {
    correcting = Optional.empty();
    fillAgain();
    workshop.say("");
  }

  /** The station's standing at the head of the sheet, and its entries at the foot. */
  public void show(SheetFrame frame, Notebook notebook) {
    Standing standing = workshop.opened().standing(station);
    LengthUnit unit = workshop.unitProperty().get();
    ZoneId zone = workshop.clock().getZone();
    frame.showState(
        standing,
        StateWords.of(standing, zone),
        StateWords.styleClass(standing),
        StateWords.before(standing, unit, zone));
    notebook.show(workshop.opened().ledger().entriesAt(station), unit, workshop.clock().instant());
  }

  /** Brings back what was typed for an entry that was withdrawn, unless something is typed now. */
  public void undone(Entry entry) {
    if (correcting.isEmpty() && fields.nothingRead()) {
      typedOf(entry).ifPresent(fields::type);
    }
  }
}
