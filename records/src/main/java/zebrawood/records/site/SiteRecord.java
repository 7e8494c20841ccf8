package zebrawood.records.site;

import java.util.Map;
import zebrawood.records.json.RecordJson;
import zebrawood.site.SiteFinding;
import zebrawood.site.SiteReadings;

/** The readings of a site entry as kept: every field as typed, and what was understood. */
public record SiteRecord(Map<String, String> typed, SiteReadings readings) {
  public static String readings(Map<String, String> typed, SiteReadings readings) {
    return RecordJson.write(new SiteRecord(typed, readings));
  }

  public static String finding(SiteFinding finding) {
    return RecordJson.write(finding);
  }

  public static SiteRecord of(String readings) {
    return RecordJson.read(readings, SiteRecord.class);
  }
}
