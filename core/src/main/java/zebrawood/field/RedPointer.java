package zebrawood.field;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.field.PointerReadings.Mark;
import zebrawood.measure.Accepts;
import zebrawood.measure.AffineFit;
import zebrawood.measure.Resolution;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Offset, scale and rotation of the red pointer: the similarity that takes its places nearest to
 * the marks.
 */
public final class RedPointer {
  /** A pointer is within when it is off by no more than so many steps of the reading. */
  private static final double STEPS_ALLOWED = 2;

  /** More is left where a mark was misread. */
  private static final double MOST_RMS_STEPS = 3;

  /** A pointer whose picture is larger or smaller by more was not sent to these marks. */
  private static final double MOST_TIMES = 5;

  private static final int LEAST_FOR_A_SIZE = 2;

  private RedPointer() {}

  /**
   * @throws UnusableReading of one mark, which tells neither size nor turn
   */
  public static PointerFinding solve(PointerReadings readings) {
    new Accepts()
        .atLeast("marks", readings.marks(), LEAST_FOR_A_SIZE, "field.count.points")
        .orThrow();
    return of(readings);
  }

  /** The same; of one mark the offset alone. */
  static PointerFinding of(PointerReadings readings) {
    return readings.marks().size() < LEAST_FOR_A_SIZE ? offset(readings) : similar(readings);
  }

  private static PointerFinding offset(PointerReadings readings) {
    Mark m = readings.marks().getFirst();
    double dx = m.xMm() - m.pointerXMm();
    double dy = m.yMm() - m.pointerYMm();
    OptionalDouble error = OptionalDouble.of(Resolution.standardDeviation(readings.resolutionMm()));
    OptionalDouble open = OptionalDouble.empty();
    double far = Math.hypot(dx, dy);
    boolean within = far <= STEPS_ALLOWED * readings.resolutionMm();
    return new PointerFinding(
        dx,
        dy,
        1,
        0,
        far,
        0,
        error,
        error,
        open,
        open,
        within ? Verdict.WITHIN : Verdict.ADJUST,
        within
            ? leave(far)
            : List.of(moved(dx, dy, error.getAsDouble()), again(readings.resolutionMm())),
        List.of(Message.of("field.pointer.one-mark")));
  }

  private static List<Advice> leave(double farMm) {
    return List.of(
        Advice.leave("field.pointer.leave")
            .because("field.pointer.leave.why", Amount.mm(farMm, 2)));
  }

  private static Advice moved(double dx, double dy, double error) {
    return Advice.act(
        "field.pointer.move",
        Message.bare(Amount.mm(dx, 2)),
        Amount.mm(dy, 2),
        Message.bare(Amount.mm(error, 2)));
  }

  private static Advice again(double resolutionMm) {
    return Advice.read("field.pointer.again")
        .because("field.pointer.again.why", Amount.mm(STEPS_ALLOWED * resolutionMm, 2));
  }

  /**
   * A size or turn that is no more than twice its uncertainty is noise: the mean offset is told.
   */
  private static List<Advice> advice(
      PointerReadings readings, AffineFit map, double offsetError, double grown, double error) {
    List<Mark> marks = readings.marks();
    boolean sized = Math.abs(map.sizeX() - 1) > 2 * grown;
    boolean turned = Math.abs(map.turnOfX()) > 2 * grown / map.sizeX();
    if (!sized && !turned) {
      double dx = marks.stream().mapToDouble(m -> m.xMm() - m.pointerXMm()).average().orElse(0);
      double dy = marks.stream().mapToDouble(m -> m.yMm() - m.pointerYMm()).average().orElse(0);
      return List.of(
          moved(dx, dy, error / Math.sqrt(marks.size())), again(readings.resolutionMm()));
    }
    return List.of(
        moved(map.shiftX(), map.shiftY(), offsetError)
            .because(
                "field.pointer.move.why",
                Amount.of(map.sizeX(), Quantity.NUMBER, 4),
                Amount.of(1000 * map.turnOfX(), Quantity.ANGLE, 1)),
        again(readings.resolutionMm()));
  }

  private static PointerFinding similar(PointerReadings readings) {
    List<Mark> marks = readings.marks();
    AffineFit map =
        AffineFit.similarity(
            new AffineFit.Pairs(
                marks.stream().mapToDouble(Mark::pointerXMm).toArray(),
                marks.stream().mapToDouble(Mark::pointerYMm).toArray(),
                marks.stream().mapToDouble(Mark::xMm).toArray(),
                marks.stream().mapToDouble(Mark::yMm).toArray()));
    double left = 0;
    double farthest = 0;
    for (Mark m : marks) {
      double x = map.x(m.pointerXMm(), m.pointerYMm()) - m.xMm();
      double y = map.y(m.pointerXMm(), m.pointerYMm()) - m.yMm();
      left += x * x + y * y;
      farthest = Math.max(farthest, Math.hypot(m.pointerXMm() - m.xMm(), m.pointerYMm() - m.yMm()));
    }
    for (double size : new double[] {map.sizeX(), 1 / map.sizeX()}) {
      Accepts.canExist("marks", "field.pointer.size", size, MOST_TIMES);
    }
    double rms = Math.sqrt(left / marks.size());
    double turned = 1000 * map.turnOfX();
    double error = error(readings, left);
    double spread = spread(marks);
    double mx = marks.stream().mapToDouble(Mark::pointerXMm).average().orElseThrow();
    double my = marks.stream().mapToDouble(Mark::pointerYMm).average().orElseThrow();
    double offset = error * Math.sqrt(1.0 / marks.size() + (mx * mx + my * my) / spread);
    double grown = error / Math.sqrt(spread);
    boolean within = farthest <= STEPS_ALLOWED * readings.resolutionMm();
    return new PointerFinding(
        map.shiftX(),
        map.shiftY(),
        map.sizeX(),
        turned,
        farthest,
        rms,
        OptionalDouble.of(offset),
        OptionalDouble.of(offset),
        OptionalDouble.of(grown),
        OptionalDouble.of(1000 * grown / map.sizeX()),
        within ? Verdict.WITHIN : Verdict.ADJUST,
        within ? leave(farthest) : advice(readings, map, offset, grown, error),
        rms > MOST_RMS_STEPS * readings.resolutionMm()
            ? List.of(Message.of("field.pointer.left", Amount.mm(rms, 2)))
            : List.of());
  }

  /**
   * Standard deviation of a coordinate: by the reading, enlarged by the misfit where more than two
   * marks tell it.
   */
  private static double error(PointerReadings readings, double squares) {
    double read = Resolution.standardDeviation(readings.resolutionMm());
    int freedom = 2 * readings.marks().size() - 4;
    return freedom > 0 ? Math.max(read, Math.sqrt(squares / freedom)) : read;
  }

  /** Sum of the squared distances of the pointer's places from their middle. */
  private static double spread(List<Mark> marks) {
    double mx = marks.stream().mapToDouble(Mark::pointerXMm).average().orElseThrow();
    double my = marks.stream().mapToDouble(Mark::pointerYMm).average().orElseThrow();
    return marks.stream()
        .mapToDouble(m -> Math.pow(m.pointerXMm() - mx, 2) + Math.pow(m.pointerYMm() - my, 2))
        .sum();
  }
}
