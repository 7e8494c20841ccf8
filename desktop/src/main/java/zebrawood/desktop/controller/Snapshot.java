package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.ControllerVisit;
import zebrawood.controller.Difference;
import zebrawood.controller.NamedFields;
import zebrawood.controller.Settings;
import zebrawood.desktop.sheet.When;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.measure.UnusableReading;
import zebrawood.records.controller.ControllerRecord;

/**
 * Settings as they once were.
 *
 * @param left whether they were left so
 * @param configuration its name where heads are swapped; else empty
 * @param typed what stood on the sheet then
 */
record Snapshot(
    String words, boolean left, String configuration, String text, Map<String, String> typed) {
  /** Every one of the open machine, newest first. */
  static List<Snapshot> all(WorkshopModel workshop) {
    List<Snapshot> all = new ArrayList<>();
    for (Entry entry : workshop.opened().ledger().entriesAt(ControllerStation.STATION).reversed()) {
      try {
        ControllerRecord kept = ControllerRecord.of(entry.readings());
        ControllerVisit visit = kept.readings();
        String name = visit.configuration();
        all.add(
            new Snapshot(
                When.dayAndTime(entry.at(), workshop.clock().getZone())
                    + ", "
                    + entry.kind().words()
                    + (name.isEmpty() ? "" : ", " + name),
                entry.kind() == EntryKind.AS_LEFT,
                name,
                visit.text(),
                kept.typed()));
      } catch (UnusableReading e) {
        // A damaged or newer entry has no snapshot that can be used here.
        continue;
      }
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

  /** What is otherwise in a later one, in words. */
  String against(Snapshot other) {
    try {
      List<Difference> differences =
          text.contains("$")
              ? Difference.between(Settings.parse(text), Settings.parse(other.text))
              : Difference.between(
                  NamedFields.parse(text).values(), NamedFields.parse(other.text).values());
      return differences.isEmpty()
          ? Text.of("controller.snapshots.same")
          : String.join("\n", differences.stream().map(Difference::words).toList());
    } catch (UnusableReading e) {
      return Text.of("controller.snapshots.kinds");
    }
  }
}
