package zebrawood.desktop.mirrors;

import zebrawood.mirrors.MirrorVisit;

/** What can be said of what is typed so far. */
public sealed interface MirrorOutcome {
  /**
   * Marks are still to be read.
   *
   * @param next what is read next, or which mark to add
   */
  record Waiting(String next) implements MirrorOutcome {}

  /**
   * Something typed cannot be used.
   *
   * @param because one sentence
   */
  record Refused(String because) implements MirrorOutcome {}

  record Found(MirrorVisit visit, MirrorVisit.Judged finding) implements MirrorOutcome {}
}
