package zebrawood.tape;

import java.util.List;

/**
 * What was read in a photograph, with where each target lies in it.
 *
 * @param cards of the finding's targets, in their order
 */
public record TapeSeen(TapePhotoFinding finding, List<Card> cards) {
  public TapeSeen {
    cards = List.copyOf(cards);
  }

  /** A target in the picture. */
  public interface Card {
    /** Where a place of it, in mm from its middle, lies in the upright picture, in pixels. */
    double[] px(double xMm, double yMm);

    /** The place of it that a place of the picture shows, in mm from its middle. */
    double[] mm(double xPx, double yPx);
  }
}
