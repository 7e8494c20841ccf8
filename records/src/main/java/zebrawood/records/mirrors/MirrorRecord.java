package zebrawood.records.mirrors;

import java.util.Map;
import zebrawood.mirrors.MirrorVisit;
import zebrawood.records.json.RecordJson;

/** The readings of a mirrors entry as kept: every field as typed, and what was understood. */
public record MirrorRecord(Map<String, String> typed, MirrorVisit readings) {
  public static String readings(Map<String, String> typed, MirrorVisit readings) {
    return RecordJson.write(new MirrorRecord(typed, readings));
  }

  public static String finding(MirrorVisit.Judged finding) {
    return RecordJson.write(finding);
  }

  public static MirrorRecord of(String readings) {
    return RecordJson.read(readings, MirrorRecord.class);
  }
}
