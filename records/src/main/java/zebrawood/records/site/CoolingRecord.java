package zebrawood.records.site;

import java.util.Map;
import zebrawood.records.json.RecordJson;
import zebrawood.site.Cooling;
import zebrawood.site.CoolingFinding;
import zebrawood.site.CoolingReadings;

/** The readings of a cooling entry as kept: every field as typed, and what was understood. */
public record CoolingRecord(Map<String, String> typed, CoolingReadings readings) {
  public static String readings(Map<String, String> typed, CoolingReadings readings) {
    return RecordJson.write(new CoolingRecord(typed, readings));
  }

  public static String finding(CoolingFinding finding) {
    return RecordJson.write(finding);
  }

  public static CoolingRecord of(String readings) {
    return RecordJson.read(readings, CoolingRecord.class);
  }

  public CoolingFinding solve() {
    return Cooling.solve(readings);
  }
}
