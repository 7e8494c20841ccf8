package zebrawood.jobfile;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What one motion program does, as far as it says so. Lengths are in mm; where the program says no
 * unit, in its own, taken for mm until somebody says it.
 *
 * @param name of the file, without its folder
 * @param moves of the axes
 * @param burnt where it burns, rapid moves with the beam on apart; empty where it never does
 * @param moved all the way of the head, its run-ups with it; empty where nothing moves
 * @param placeKnown whether nothing in it moves the origin, and its positions are absolute
 * @param topWord the largest power word with which it burns, and where
 * @param powerWords how many different ones it burns with; {@link #MOST_WORDS} stands for more
 * @param onRapid rapid moves with the beam on, and the first of them
 * @param leftOn whether the beam is on where the program ends
 * @param airOn how often air is switched on
 * @param burntWithoutAir whether it burns before air is on, where air is switched at all
 * @param passes how often the same line is burnt, most of the time
 * @param burntMm length that is burnt, {@code rowsMm} of it along x, in so many {@code rows}
 * @param fastestBurnMmS while the beam is on
 * @param seconds as the machine accelerates; empty where that is not known
 * @param secondsAtSpeed as if it were at speed at once, or empty where a speed is missing
 * @param unknown words that this program does not know, counted, the most frequent first
 */
public record JobLook(
    String name,
    int lines,
    int moves,
    FileUnit unit,
    Optional<Extent> burnt,
    Optional<Extent> moved,
    boolean placeKnown,
    OptionalDouble topWord,
    Optional<Place> topWordAt,
    int powerWords,
    int onRapid,
    Optional<Place> firstOnRapid,
    boolean leftOn,
    int airOn,
    boolean burntWithoutAir,
    int passes,
    double burntMm,
    double rowsMm,
    int rows,
    double travelMm,
    double fastestBurnMmS,
    OptionalDouble seconds,
    OptionalDouble secondsAtSpeed,
    List<Unknown> unknown) {
  /** More are not counted apart. */
  public static final int MOST_WORDS = 300;

  public JobLook {
    unknown = List.copyOf(unknown);
  }

  /** A word that is not known, as it stands, and how often. */
  public record Unknown(String word, int count) {}

  /** Whether most of it is burnt in rows along x. */
  public boolean inRows() {
    return rows >= LEAST_ROWS && rowsMm > MOST_OF * burntMm;
  }

  /** A frame has two. */
  private static final int LEAST_ROWS = 8;

  private static final double MOST_OF = 0.7;
}
