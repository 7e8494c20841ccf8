package zebrawood.desktop.start;

import zebrawood.start.StartFinding;
import zebrawood.start.StartReadings;

/** What can be said of what is typed so far. */
public sealed interface StartOutcome {
  /**
   * Something typed cannot be used.
   *
   * @param because one sentence
   */
  record Refused(String because) implements StartOutcome {}

  record Found(StartReadings readings, StartFinding finding) implements StartOutcome {}
}
