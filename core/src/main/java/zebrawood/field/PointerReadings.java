package zebrawood.field;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * Marks, and where the red pointer pointed when it was sent there.
 *
 * @param marks one tells an offset; two and more, apart, a size and a turn as well
 * @param resolutionMm of what was read
 */
public record PointerReadings(List<Mark> marks, double resolutionMm) {
  private static final int MOST_POINTERS = 10_000;

  /** One of them, both as measured from the field's centre. */
  public record Mark(double xMm, double yMm, double pointerXMm, double pointerYMm) {}

  public PointerReadings {
    marks = List.copyOf(marks);
    double far = FieldReadings.LARGEST_MM;
    var accepts =
        new Accepts()
            .between("resolutionMm", resolutionMm, FieldReadings.FINEST_MM, far)
            .atLeast("marks", marks, 1, "field.count.points");
    if (marks.size() > MOST_POINTERS) {
      accepts.complain("marks", marks.size(), Message.of("field.accepts.most", MOST_POINTERS));
    }
    for (int i = 0; i < Math.min(MOST_POINTERS, marks.size()); i++) {
      Mark m = marks.get(i);
      String at = "marks[" + i + "].";
      accepts
          .between(at + "xMm", m.xMm, -far, far)
          .between(at + "yMm", m.yMm, -far, far)
          .between(at + "pointerXMm", m.pointerXMm, -far, far)
          .between(at + "pointerYMm", m.pointerYMm, -far, far);
    }
    accepts.orThrow();
    if (marks.size() > 1 && !apart(marks, resolutionMm)) {
      accepts.complain(
          "marks", Message.of("field.found.one-place"), Message.of("field.accepts.apart"));
    }
    accepts.orThrow();
  }

  /** Whether the pointer's places tell a turn from a reading error at all. */
  private static boolean apart(List<Mark> marks, double resolutionMm) {
    double mx = marks.stream().mapToDouble(Mark::pointerXMm).average().orElseThrow();
    double my = marks.stream().mapToDouble(Mark::pointerYMm).average().orElseThrow();
    return marks.stream()
        .anyMatch(m -> Math.hypot(m.pointerXMm - mx, m.pointerYMm - my) > resolutionMm);
  }
}
