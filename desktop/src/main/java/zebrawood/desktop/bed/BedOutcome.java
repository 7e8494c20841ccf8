package zebrawood.desktop.bed;

import zebrawood.bed.BedTask;
import zebrawood.measure.Finding;

/** What can be said of what is typed so far. */
public sealed interface BedOutcome {
  /** Too few readings yet. */
  record Waiting(int more) implements BedOutcome {}

  /**
   * Something typed cannot be used.
   *
   * @param because one sentence, as it stands under the readings
   */
  record Refused(String because) implements BedOutcome {}

  /**
   * @param complete whether every place has its reading; a finding can be recorded before
   */
  record Found(BedTask task, Finding finding, boolean complete) implements BedOutcome {}
}
