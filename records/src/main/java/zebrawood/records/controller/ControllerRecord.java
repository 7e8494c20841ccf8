package zebrawood.records.controller;

import java.util.Map;
import zebrawood.controller.ControllerVisit;
import zebrawood.records.json.RecordJson;

/** The readings of a controller entry as kept: every field as typed, and what was understood. */
public record ControllerRecord(Map<String, String> typed, ControllerVisit readings) {
  public static String readings(Map<String, String> typed, ControllerVisit readings) {
    return RecordJson.write(new ControllerRecord(typed, readings));
  }

  public static String finding(ControllerVisit.Judged finding) {
    return RecordJson.write(finding);
  }

  public static ControllerRecord of(String readings) {
    return RecordJson.read(readings, ControllerRecord.class);
  }
}
