package zebrawood.field;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.field.PointerReadings.Mark;
import zebrawood.measure.Accepts;
import zebrawood.measure.AffineFit;
import zebrawood.measure.Resolution;
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

  private RedPointer() {}

  public static PointerFinding solve(PointerReadings readings) {
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
        within
            ? List.of(
                Advice.leave("field.pointer.leave")
                    .because("field.pointer.leave.why", Amount.mm(farthest, 2)))
            : List.of(
                Advice.act(
                        "field.pointer.move",
                        Message.bare(Amount.mm(map.shiftX(), 2)),
                        Amount.mm(map.shiftY(), 2),
                        Message.bare(Amount.mm(offset, 2)))
                    .because(
                        "field.pointer.move.why",
                        Amount.of(map.sizeX(), Quantity.NUMBER, 4),
                        Amount.of(turned, Quantity.ANGLE, 1)),
                Advice.read("field.pointer.again")
                    .because(
                        "field.pointer.again.why",
                        Amount.mm(STEPS_ALLOWED * readings.resolutionMm(), 2))),
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
