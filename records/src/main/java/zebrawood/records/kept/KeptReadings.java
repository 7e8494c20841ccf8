package zebrawood.records.kept;

import java.util.Map;
import java.util.Optional;
import zebrawood.records.json.RecordJson;

/** The readings of an entry as text, and what was typed for them. */
public final class KeptReadings {
  /** Of the text that is written; what has none is of the first. */
  public static final int VERSION = 2;

  private KeptReadings() {}

  private record Kept(int version, Map<String, String> typed, Record readings) {}

  public static String write(Map<String, String> typed, Record readings) {
    return RecordJson.write(new Kept(VERSION, typed, readings));
  }

  /** What was typed; empty where the text is of no kind that has it. */
  public static Optional<Map<String, String>> typed(String kept) {
    return RecordJson.textsIn(kept, "typed");
  }
}
