package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.words.Message;

/** Do the marks determine every angle, and which mark would if they do not? */
final class MarksNeeded {
  /** Paths in metres make the columns alike in size; below this they are the same. */
  private static final double SAME = 2e-3;

  private static final double FURTHER_MM = 500;

  /** What is wrong with the marks, and what would be accepted. */
  record Missing(Message found, Message accepted) {}

  /** A mark that could be added, and how it is told. */
  private record Candidate(Mark mark, Message said) {}

  private MarksNeeded() {}

  /** Empty when the marks are enough. */
  static Optional<Missing> missing(List<Mark> marks, int mirrors) {
    if (marks.stream().noneMatch(Mark::atHead)) {
      return Optional.of(
          new Missing(
              Message.of("mirrors.marks-needed.none-at-head", marks.size()),
              mirrors == 1
                  ? Message.of("mirrors.marks-needed.least-two-marks")
                  : Message.of("mirrors.marks-needed.least-two-marks-head", mirrors)));
    }
    if (determined(marks, mirrors)) {
      return Optional.empty();
    }
    Message found = Message.of("mirrors.marks-needed.alike", marks.size());
    List<Mark> more = new ArrayList<>(marks);
    for (Candidate candidate : candidates(marks, mirrors)) {
      more.add(candidate.mark);
      if (determined(more, mirrors)) {
        return Optional.of(
            new Missing(found, Message.of("mirrors.marks-needed.as-well", candidate.said)));
      }
      more.removeLast();
    }
    return Optional.of(
        new Missing(
            found,
            mirrors == 2
                ? Message.of("mirrors.marks-needed.marks-mirror-2")
                : Message.of("mirrors.marks-needed.marks-before-each")));
  }

  private static List<Candidate> candidates(List<Mark> marks, int mirrors) {
    double[] head = paths(marks.stream().filter(Mark::atHead).findFirst().orElseThrow(), mirrors);
    List<Candidate> candidates = new ArrayList<>();
    candidates.add(
        new Candidate(
            mark(At.HEAD, further(head, mirrors)),
            mirrors == 1
                ? Message.of("mirrors.marks-needed.mark-further-along")
                : Message.of("mirrors.marks-needed.mark-head-with", mirrors)));
    for (int to = mirrors; to >= 2; to--) {
      At at = At.values()[to - 2];
      int before = to - 1;
      double own = head[to - 1];
      double[] paths =
          marks.stream()
              .filter(m -> m.at() == at)
              .findFirst()
              .map(m -> paths(m, before))
              .orElse(Arrays.stream(head).limit(before).map(p -> p - own + 1).toArray());
      candidates.add(
          new Candidate(
              mark(at, further(paths, before)),
              to == mirrors
                  ? Message.of("mirrors.marks-needed.mark-mirror-with", to, before)
                  : Message.of("mirrors.marks-needed.mark-before-mirror", to, before)));
    }
    if (mirrors > 1) {
      candidates.add(
          new Candidate(
              mark(At.HEAD, further(head, mirrors - 1)),
              Message.of("mirrors.marks-needed.mark-head-with-gantry", mirrors - 1)));
    }
    return candidates;
  }

  private static double[] paths(Mark mark, int mirrors) {
    double[] paths = new double[mirrors];
    for (int i = 0; i < mirrors; i++) {
      paths[i] = mark.pathFrom(i + 1).orElseThrow();
    }
    return paths;
  }

  /** The first paths longer by the same, as when what comes after them is moved away. */
  private static double[] further(double[] paths, int first) {
    double[] longer = paths.clone();
    for (int i = 0; i < first; i++) {
      longer[i] += FURTHER_MM;
    }
    return longer;
  }

  private static Mark mark(At at, double[] paths) {
    return new Mark(
        at,
        paths[0],
        paths.length > 1 ? OptionalDouble.of(paths[1]) : OptionalDouble.empty(),
        paths.length > 2 ? OptionalDouble.of(paths[2]) : OptionalDouble.empty(),
        0,
        0);
  }

  /** Whether every angle and the offset at the head follow from the marks. */
  static boolean determined(List<Mark> marks, int mirrors) {
    AxisColumns columns = AxisColumns.of(marks, mirrors);
    if (marks.size() < columns.count()) {
      return false;
    }
    double[][] rows =
        marks.stream().map(m -> columns.row(m, AxisColumns.KEEPS)).toArray(double[][]::new);
    // The offsets are free: only differences of paths tell the angles.
    double least =
        Arrays.stream(
                new SingularValueDecomposition(new Array2DRowRealMatrix(rows, false))
                    .getSingularValues())
            .min()
            .orElse(0);
    return least > SAME;
  }
}
