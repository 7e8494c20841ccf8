package zebrawood.desktop.controller;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerVisitReadings;
import zebrawood.controller.Difference;
import zebrawood.controller.Settings;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.records.kept.KeptReadings;

/**
 * Settings as they once were.
 *
 * @param left whether they were left so
 * @param configuration its name where heads are swapped; else empty
 * @param text as the controller printed it, or as it was pasted
 * @param numbered what they were compared with; empty of a page of named fields, and of what an
 *     earlier version kept otherwise
 */
record Snapshot(
    String words,
    boolean left,
    String configuration,
    String text,
    Optional<ControllerReadings> numbered) {
  /** Under these names earlier versions kept what is in the readings now. */
  private static final String CONFIGURATION = "configuration";

  private static final String DUMP = "reading.dump";

  /**
   * Every one that can be read, newest first.
   *
   * @param entries of the station, oldest first
   */
  static List<Snapshot> all(List<Entry> entries, ZoneId zone) {
    return entries.reversed().stream().flatMap(e -> of(e, zone).stream()).toList();
  }

  private static Optional<Snapshot> of(Entry entry, ZoneId zone) {
    Map<String, String> typed = KeptReadings.typed(entry).orElse(Map.of());
    String text = typed.getOrDefault(DUMP, "");
    if (text.isBlank()) {
      return Optional.empty();
    }
    Optional<ControllerVisitReadings> read =
        KeptReadings.read(entry, ControllerVisitReadings.class);
    String name =
        read.map(ControllerVisitReadings::configuration)
            .orElseGet(() -> typed.getOrDefault(CONFIGURATION, "").strip());
    String when = DayWords.dayAndTime(entry.time(), zone);
    return Optional.of(
        new Snapshot(
            name.isEmpty()
                ? Text.of("controller.snapshots.one", when, entry.kind())
                : Text.of("controller.snapshots.of", when, entry.kind(), name),
            entry.kind() == EntryKind.AS_LEFT,
            name,
            text,
            read.flatMap(ControllerVisitReadings::numbered)));
  }

  /**
   * The newest that was left under this configuration's name.
   *
   * @param all newest first
   */
  static Optional<Snapshot> lastLeft(List<Snapshot> all, String configuration) {
    return all.stream()
        .filter(s -> s.left && s.configuration.equalsIgnoreCase(configuration))
        .findFirst();
  }

  /**
   * What is otherwise in a later one, in words.
   *
   * @param read reads a text, where it can be read
   */
  String against(Snapshot other, Function<String, Optional<Settings>> read) {
    Optional<Settings> one = read.apply(text);
    Optional<Settings> later = read.apply(other.text);
    if (one.isEmpty() || later.isEmpty()) {
      return Text.of("controller.snapshots.kinds");
    }
    List<Difference> differences = Difference.between(one.get(), later.get());
    return differences.isEmpty()
        ? Text.of("controller.snapshots.same")
        : String.join("\n", differences.stream().map(d -> Text.of(d.said())).toList());
  }
}
