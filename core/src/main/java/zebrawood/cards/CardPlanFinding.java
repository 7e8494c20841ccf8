package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.measure.Finding;
import zebrawood.measure.PlainValue;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * A card as it will be burnt.
 *
 * @param crossesMm the middles of the four crosses: lower left, lower right, upper right, upper
 *     left
 * @param extentMm x and y of the lower left, then of the upper right corner of all that moves
 * @param fits whether that lies within the machine's travel
 * @param seconds from the origin to the end of the last cross; empty where it cannot be known
 * @param runs what a controller that takes only so many settings is given at once; empty where
 *     nobody asked
 */
public record CardPlanFinding(
    List<Square> squares,
    List<List<Double>> crossesMm,
    List<Double> extentMm,
    boolean fits,
    OptionalDouble seconds,
    Program gcode,
    Optional<List<Run>> runs,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public CardPlanFinding {
    squares = List.copyOf(squares);
    crossesMm = List.copyOf(crossesMm);
    extentMm = List.copyOf(extentMm);
    runs = runs.map(List::copyOf);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /**
   * One square.
   *
   * @param powerWord empty where the top word is not known
   * @param xMm of its lower left corner, as {@code yMm}
   * @param runUpMm on each side of it, outside
   * @param lines of all its passes
   * @param seconds without the way to it
   * @param setting all it is burnt with; empty on a card of powers and speeds alone
   */
  public record Square(
      int column,
      int row,
      double percent,
      double speedMmS,
      OptionalInt powerWord,
      double xMm,
      double yMm,
      double wMm,
      double hMm,
      OptionalDouble runUpMm,
      int lines,
      OptionalDouble seconds,
      Optional<CardSetting> setting) {
    Square lasting(double itsSeconds) {
      return new Square(
          column,
          row,
          percent,
          speedMmS,
          powerWord,
          xMm,
          yMm,
          wMm,
          hMm,
          runUpMm,
          lines,
          OptionalDouble.of(itsSeconds),
          setting);
    }
  }

  /** Squares, column and row, that are burnt at once. */
  public record Run(List<List<Integer>> squares) {
    public Run {
      squares = List.copyOf(squares);
    }
  }

  /** G-code, which stands in an answer as null where there is none. */
  public record Program(Optional<String> text) implements PlainValue {
    @Override
    public Object plainValue() {
      return text.orElse(null);
    }
  }
}
