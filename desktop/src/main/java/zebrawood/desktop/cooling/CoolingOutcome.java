package zebrawood.desktop.cooling;

import zebrawood.site.CoolingFinding;
import zebrawood.site.CoolingReadings;

/** What can be said of what is typed so far. */
public sealed interface CoolingOutcome {
  /**
   * Something is still to be read.
   *
   * @param next the field's name
   */
  record Waiting(String next) implements CoolingOutcome {}

  /**
   * Something typed cannot be used.
   *
   * @param because one sentence
   */
  record Refused(String because) implements CoolingOutcome {}

  record Found(CoolingReadings readings, CoolingFinding finding) implements CoolingOutcome {}
}
