package zebrawood.desktop.controller;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.controller.Difference;
import zebrawood.controller.Settings;
import zebrawood.desktop.sheet.When;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.records.kept.KeptReadings;

/**
 * Settings as they once were.
 *
 * @param left whether they were left so
 * @param configuration its name where heads are swapped; else empty
 * @param typed what stood on the sheet then
 */
record Snapshot(
    String words, boolean left, String configuration, String text, Map<String, String> typed) {
  private static final String CONFIGURATION = "configuration";
  private static final String DUMP = "reading.dump";

  /**
   * Every one that can be read, newest first.
   *
   * @param entries of the station, oldest first
   */
  static List<Snapshot> all(List<Entry> entries, ZoneId zone) {
    List<Snapshot> all = new ArrayList<>();
    for (Entry entry : entries.reversed()) {
      KeptReadings.typed(entry.readings())
          .filter(typed -> !typed.getOrDefault(DUMP, "").isBlank())
          .ifPresent(typed -> {
            String name = typed.getOrDefault(CONFIGURATION, "").strip();
            String when = When.dayAndTime(entry.time(), zone);
            all.add(
                new Snapshot(
                    name.isEmpty()
                        ? Text.of("controller.snapshots.one", when, entry.kind())
                        : Text.of("controller.snapshots.of", when, entry.kind(), name),
                    entry.kind() == EntryKind.AS_LEFT,
                    name,
                    typed.get(DUMP),
                    typed));
          });
    }
    return all;
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
