package zebrawood.desktop.controller;

import zebrawood.controller.ControllerVisit;

/** What can be said of what is typed so far. */
public sealed interface ControllerOutcome {
  /**
   * Something is still to be read.
   *
   * @param next what it is called
   */
  record Waiting(String next) implements ControllerOutcome {}

  /**
   * Something typed cannot be used.
   *
   * @param because one sentence
   */
  record Refused(String because) implements ControllerOutcome {}

  record Found(ControllerVisit visit, ControllerVisit.Judged finding)
      implements ControllerOutcome {}
}
