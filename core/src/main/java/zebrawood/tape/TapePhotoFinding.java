package zebrawood.tape;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import zebrawood.measure.Finding;
import zebrawood.measure.PlainValue;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * The burns of every target in a photograph.
 *
 * @param targets by number, those without one last
 */
public record TapePhotoFinding(
    List<Target> targets, Verdict verdict, List<Advice> advice, List<Message> warnings)
    implements Finding {
  /**
   * @param number empty where it cannot be read
   * @param middlePx in the upright picture
   * @param tiltDeg from the card's normal to the line of sight, to a few degrees
   * @param residualRmsMm of the print's marks
   * @param blurMm standard deviation of the printed edges' spread
   * @param marks left to right
   */
  public record Target(
      OptionalInt number,
      List<Double> middlePx,
      double pxPerMm,
      double tiltDeg,
      double residualRmsMm,
      double blurMm,
      List<Mark> marks) {}

  /** What a burn's outline is like. */
  public enum Shape {
    ROUND,
    OVAL,
    CLIPPED,
    IRREGULAR
  }

  /**
   * A burn in mm from the target's middle, x to the right and y up; of a clipped one place and
   * diameter are those of the whole circle.
   */
  public record Mark(
      double xMm,
      double xMmUncertainty,
      double yMm,
      double yMmUncertainty,
      double diameterMm,
      double diameterMmUncertainty,
      double greatestMm,
      double leastMm,
      double darkness,
      Shape shape,
      PerhapsClipped clipped) {}

  /**
   * @param towardsDeg from its middle to what is missing, 0 right and 90 up
   * @param share of the circle's area
   */
  public record Clipped(double towardsDeg, double share) {}

  /** What a rim has cut off, which stands in an answer as null where nothing has. */
  public record PerhapsClipped(Optional<Clipped> by) implements PlainValue {
    @Override
    public Object plainValue() {
      return by.orElse(null);
    }
  }

  /** The target of that number; empty where there is none. */
  Optional<Target> ofNumber(int number) {
    return targets.stream().filter(t -> t.number().equals(OptionalInt.of(number))).findFirst();
  }
}
