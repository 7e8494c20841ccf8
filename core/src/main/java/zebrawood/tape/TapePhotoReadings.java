package zebrawood.tape;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A photograph of printed targets with burns on them.
 *
 * @param spanMm between the corner marks' middles on the print, across and up; 32 each where empty
 * @param toleranceMm what twice the uncertainty of a place may be; 0.3 where empty
 * @param expect which targets are in it, and with how many marks
 */
public record TapePhotoReadings(
    String imagePath,
    Optional<List<Double>> spanMm,
    OptionalDouble toleranceMm,
    Optional<List<Expected>> expect) {
  private static final double USUAL_TOLERANCE_MM = 0.3;
  private static final int MOST_MARKS = 6;

  /** A target that must be there. */
  public record Expected(int number, int marks) {
    public Expected {
      new Accepts()
          .between("number", number, 1, TapeCard.NUMBERS)
          .between("marks", marks, 0, MOST_MARKS)
          .orThrow();
    }
  }

  public TapePhotoReadings {
    spanMm = spanMm.map(List::copyOf);
    expect = expect.map(List::copyOf);
    var accepts = new Accepts().filled("imagePath", imagePath);
    spanMm.ifPresent(span -> {
      if (span.size() != 2) {
        accepts.complain(
            "spanMm",
            Message.of("accepts.of-them", span.size()),
            Message.of("tape.accepts.two-spans"));
      }
      for (int i = 0; i < span.size(); i++) {
        accepts.between("spanMm[" + i + "]", span.get(i), 30, 34);
      }
    });
    toleranceMm.ifPresent(mm -> accepts.positive("toleranceMm", mm, 10));
    accepts.orThrow();
  }

  double allowedMm() {
    return toleranceMm.orElse(USUAL_TOLERANCE_MM);
  }

  /** How much larger than meant the print is, across and up. */
  double[] stretch() {
    return spanMm
        .map(s -> new double[] {s.get(0) / TapeCard.SPAN_MM, s.get(1) / TapeCard.SPAN_MM})
        .orElse(new double[] {1, 1});
  }
}
