package zebrawood.cards;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How dark each square of a card is.
 *
 * @param saturated whether more than one in a hundred of a square's pixels, or of the bare stock's,
 *     are as light or as dark as the picture can tell
 */
public record CardScanFinding(
    List<Square> squares,
    boolean saturated,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public CardScanFinding {
    squares = List.copyOf(squares);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /**
   * One square.
   *
   * @param darkness 1 less its light over the bare stock's at its place
   * @param banding amplitude of the lines' own rhythm across them over the bare stock's light;
   *     empty where nobody asked, or the picture is too coarse
   */
  public record Square(int column, int row, Estimate darkness, OptionalDouble banding) {}
}
