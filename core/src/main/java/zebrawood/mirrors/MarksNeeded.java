package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;

/** Do the marks determine both angles, and which mark would if they do not? */
final class MarksNeeded {
  /** Paths in metres make the columns alike in size; below this they are the same. */
  private static final double SAME = 2e-3;

  private static final double FURTHER_MM = 500;

  /** What is wrong with the marks, and what would be accepted. */
  record Missing(String found, String accepted) {}

  private MarksNeeded() {}

  /**
   * One row of the problem in one axis: offset at mirror 2, angle 1, offset at the head, angle 2.
   *
   * @param fold -1 to the right, 1 up: what a fold does to an angle that arrived
   */
  static double[] row(Mark mark, double fold) {
    double p1 = mark.pathFrom1Mm() / 1000;
    return mark.atHead()
        ? new double[] {0, fold * p1, 1, mark.pathFrom2Mm().getAsDouble() / 1000}
        : new double[] {1, p1, 0, 0};
  }

  /** Empty when the marks are enough. */
  static Optional<Missing> missing(List<Mark> marks) {
    if (marks.stream().noneMatch(Mark::atHead)) {
      return Optional.of(
          new Missing(
              marks.size() + " of them, none at the head",
              "at least two marks at the head, with the carriage near to mirror 2 and far from it"));
    }
    if (determined(marks)) {
      return Optional.empty();
    }
    Mark head = marks.stream().filter(Mark::atHead).findFirst().orElseThrow();
    double p1 = head.pathFrom1Mm();
    double p2 = head.pathFrom2Mm().getAsDouble();
    List<Mark> more = new ArrayList<>(marks);
    record Candidate(Mark mark, String words) {}
    double from1 =
        marks.stream()
            .filter(m -> !m.atHead())
            .mapToDouble(Mark::pathFrom1Mm)
            .findFirst()
            .orElse(p1 - p2 + 1);
    List<Candidate> candidates =
        List.of(
            new Candidate(
                mark(At.HEAD, p1 + FURTHER_MM, p2 + FURTHER_MM),
                "a mark at the head with the carriage further from mirror 2, or nearer to it"),
            new Candidate(
                mark(At.MIRROR_2, from1 + FURTHER_MM, 0),
                "a mark at mirror 2 with the gantry further from mirror 1, or nearer to it"),
            new Candidate(
                mark(At.HEAD, p1 + FURTHER_MM, p2),
                "a mark at the head with the gantry further from mirror 1, or nearer to it"));
    String found = marks.size() + " of them, too few or too alike";
    for (Candidate candidate : candidates) {
      more.add(candidate.mark);
      if (determined(more)) {
        return Optional.of(new Missing(found, candidate.words + ", as well"));
      }
      more.removeLast();
    }
    return Optional.of(
        new Missing(
            found,
            "marks at mirror 2 with the gantry near and far, and at the head with the carriage near and far"));
  }

  private static Mark mark(At at, double p1, double p2) {
    return new Mark(at, p1, at == At.HEAD ? OptionalDouble.of(p2) : OptionalDouble.empty(), 0, 0);
  }

  /** Whether both angles and the offset at the head follow from the marks. */
  private static boolean determined(List<Mark> marks) {
    boolean atMirror2 = marks.stream().anyMatch(m -> !m.atHead());
    int unknown = atMirror2 ? 4 : 3;
    if (marks.size() < unknown) {
      return false;
    }
    double[][] rows = new double[marks.size()][unknown];
    for (int i = 0; i < rows.length; i++) {
      double[] row = row(marks.get(i), 1);
      System.arraycopy(row, 4 - unknown, rows[i], 0, unknown);
    }
    // The offsets are free: only differences of paths tell the angles.
    double least =
        java.util.Arrays.stream(
                new SingularValueDecomposition(new Array2DRowRealMatrix(rows, false))
                    .getSingularValues())
            .min()
            .orElse(0);
    return least > SAME;
  }
}
