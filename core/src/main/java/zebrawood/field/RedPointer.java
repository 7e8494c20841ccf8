package zebrawood.field;

import java.util.List;
import zebrawood.field.PointerReadings.Mark;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Offset, scale and rotation of the red pointer: the similarity that takes its places nearest to
 * the marks, by least squares (B. K. P. Horn, Journal of the Optical Society of America A 4, 629,
 * 1987, in the plane).
 */
public final class RedPointer {
  /** A pointer is within when it is off by no more than so many steps of the reading. */
  private static final double STEPS_ALLOWED = 2;

  private static final double FAR_LEFT = 3;

  private RedPointer() {}

  public static PointerFinding solve(PointerReadings readings) {
    List<Mark> marks = readings.marks();
    double px = marks.stream().mapToDouble(Mark::pointerXMm).average().orElseThrow();
    double py = marks.stream().mapToDouble(Mark::pointerYMm).average().orElseThrow();
    double mx = marks.stream().mapToDouble(Mark::xMm).average().orElseThrow();
    double my = marks.stream().mapToDouble(Mark::yMm).average().orElseThrow();
    double along = 0;
    double across = 0;
    double squares = 0;
    for (Mark m : marks) {
      double u = m.pointerXMm() - px;
      double v = m.pointerYMm() - py;
      double dx = m.xMm() - mx;
      double dy = m.yMm() - my;
      along += u * dx + v * dy;
      across += u * dy - v * dx;
      squares += u * u + v * v;
    }
    double a = along / squares;
    double b = across / squares;
    double offsetX = mx - a * px + b * py;
    double offsetY = my - b * px - a * py;
    double left = 0;
    double farthest = 0;
    for (Mark m : marks) {
      double x = offsetX + a * m.pointerXMm() - b * m.pointerYMm();
      double y = offsetY + b * m.pointerXMm() + a * m.pointerYMm();
      left += (x - m.xMm()) * (x - m.xMm()) + (y - m.yMm()) * (y - m.yMm());
      farthest = Math.max(farthest, Math.hypot(m.pointerXMm() - m.xMm(), m.pointerYMm() - m.yMm()));
    }
    double rms = Math.sqrt(left / marks.size());
    double turned = 1000 * Math.atan2(b, a);
    boolean within = farthest <= STEPS_ALLOWED * readings.resolutionMm();
    return new PointerFinding(
        offsetX,
        offsetY,
        Math.hypot(a, b),
        turned,
        farthest,
        rms,
        within ? Verdict.WITHIN : Verdict.ADJUST,
        List.of(
            within
                ? Advice.leave("field.pointer.leave")
                    .because("field.pointer.leave.why", Amount.mm(farthest, 2))
                : Advice.act(
                        "field.pointer.move",
                        Message.bare(Amount.mm(offsetX, 2)),
                        Amount.mm(offsetY, 2))
                    .because(
                        "field.pointer.move.why",
                        Amount.of(Math.hypot(a, b), Quantity.NUMBER, 4),
                        Amount.of(turned, Quantity.ANGLE, 1))),
        rms > FAR_LEFT * readings.resolutionMm()
            ? List.of(Message.of("field.pointer.left", Amount.mm(rms, 2)))
            : List.of());
  }
}
