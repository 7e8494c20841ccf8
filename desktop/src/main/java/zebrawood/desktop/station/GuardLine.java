package zebrawood.desktop.station;

import zebrawood.words.Message;

/**
 * Something that must be proven today.
 *
 * @param id the same for the same line every day
 * @param said what is so when it is in order
 */
public record GuardLine(String id, Kind kind, Message said) {
  public enum Kind {
    /** Proven before anything is powered, a pump included. */
    STOP_FIRST,
    /** Stops the beam, or stands for what would. */
    INTERLOCK
  }
}
