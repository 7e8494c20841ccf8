package zebrawood.records.kept;

import java.util.Map;
import java.util.Optional;
import zebrawood.ledger.Entry;
import zebrawood.records.json.RecordJson;
import zebrawood.records.json.Verbatim;

/** The readings of an entry as text, and what was typed for them. */
public final class KeptReadings {
  /**
   * Of the text that is written; what has none is of the first. From 3 on kinds say what they are.
   */
  public static final int VERSION = 3;

  private static final String READINGS = "readings";
  private static final String TYPED = "typed";

  private KeptReadings() {}

  private record Kept(int version, Map<String, String> typed, Verbatim readings) {}

  /**
   * @param declared the type under which they will be read: the record's own, or a sealed interface
   */
  public static String write(Map<String, String> typed, Record readings, Class<?> declared) {
    return RecordJson.write(
        new Kept(VERSION, typed, new Verbatim(RecordJson.write(readings, declared))));
  }

  /** What was typed; empty where the text is of no kind that has it. */
  public static Optional<Map<String, String>> typed(Entry entry) {
    return RecordJson.textsIn(entry.readings(), TYPED);
  }

  /** The readings themselves; empty where an earlier or newer version kept others. */
  public static <R> Optional<R> read(Entry entry, Class<R> type) {
    return RecordJson.part(entry.readings(), READINGS, type);
  }
}
