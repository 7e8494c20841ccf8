package zebrawood.jobfile;

import java.util.Optional;
import zebrawood.words.Advice;

/**
 * Something in a job file that this machine cannot do, or that hardly anybody wants.
 *
 * @param place where it was met first, in mm; empty where it is of the whole file
 * @param advice what to change, and where in the job software
 */
public record JobProblem(Kind kind, Optional<Place> place, Advice advice) {
  /** What it is. */
  public enum Kind {
    /** It moves farther than the head can. */
    BEYOND_TRAVEL,
    /** A power word above the controller's largest is full power, whatever it says. */
    WORD_ABOVE_TOP,
    /** A power word far below the controller's largest: percentages are scaled otherwise. */
    WORD_FAR_BELOW,
    /** The beam is on while the head only travels. */
    BEAM_ON_TRAVEL,
    /** The program ends with the beam on. */
    LEFT_ON,
    /** It never burns. */
    NEVER_ON,
    /** Rows begin to burn while the head still speeds up. */
    NO_RUN_UP,
    /** It burns before its air is on. */
    LATE_AIR,
    /** It goes farther than once round the work. */
    MORE_THAN_ROUND,
    /** It is longer than a section. */
    LONGER_THAN_SECTION,
    /** A higher percentage gives a smaller power word. */
    RUNS_BACKWARDS
  }
}
