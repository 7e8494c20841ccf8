package zebrawood.records.start;

import java.util.Map;
import zebrawood.records.json.RecordJson;
import zebrawood.start.StartFinding;
import zebrawood.start.StartReadings;

/** The readings of a start-up entry as kept: every field as typed, and what was understood. */
public record StartRecord(Map<String, String> typed, StartReadings readings) {
  public static String readings(Map<String, String> typed, StartReadings readings) {
    return RecordJson.write(new StartRecord(typed, readings));
  }

  public static String finding(StartFinding finding) {
    return RecordJson.write(finding);
  }

  public static StartRecord of(String readings) {
    return RecordJson.read(readings, StartRecord.class);
  }
}
