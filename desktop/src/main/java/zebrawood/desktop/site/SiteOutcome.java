package zebrawood.desktop.site;

import zebrawood.site.SiteFinding;
import zebrawood.site.SiteReadings;

/** What can be said of what is typed so far. */
public sealed interface SiteOutcome {
  /**
   * A row is begun and not complete.
   *
   * @param next the field's name
   */
  record Waiting(String next) implements SiteOutcome {}

  /**
   * Something typed cannot be used.
   *
   * @param because one sentence
   */
  record Refused(String because) implements SiteOutcome {}

  record Found(SiteReadings readings, SiteFinding finding) implements SiteOutcome {}
}
