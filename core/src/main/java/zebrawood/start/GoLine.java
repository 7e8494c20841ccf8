package zebrawood.start;

import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * One line of a go card.
 *
 * @param id the same for the same line every day
 * @param said what is so when it is in order
 */
public record GoLine(String id, Kind kind, Message said) {

  /** What a line is for, in the order of the card. */
  public enum Kind {
    /** Proven before anything is powered, the coolant pump included. */
    STOP_FIRST,
    SWITCH_ON,
    /** Stops the beam, or stands for what would; proven once a day. */
    INTERLOCK,
    BEFORE_RUN,
    /** What went wrong on this machine before. */
    LESSON;

    /** Whether beam stations ask for it every day. */
    public boolean protects() {
      return this == STOP_FIRST || this == INTERLOCK;
    }
  }

  public GoLine {
    new Accepts().filled("id", id).orThrow();
  }
}
