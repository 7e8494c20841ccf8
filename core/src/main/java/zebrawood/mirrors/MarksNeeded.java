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

/** Do the marks determine every angle, and which mark would if they do not? */
final class MarksNeeded {
  /** Paths in metres make the columns alike in size; below this they are the same. */
  private static final double SAME = 2e-3;

  private static final double FURTHER_MM = 500;

  /** What is wrong with the marks, and what would be accepted. */
  record Missing(String found, String accepted) {}

  /** A mark that could be added, and how it is told. */
  private record Candidate(Mark mark, String words) {}

  private MarksNeeded() {}

  /** Empty when the marks are enough. */
  static Optional<Missing> missing(List<Mark> marks, int mirrors) {
    if (marks.stream().noneMatch(Mark::atHead)) {
      return Optional.of(
          new Missing(
              marks.size() + " of them, none at the head",
              mirrors == 1
                  ? "at least two marks under mirror 1, at two heights"
                  : "at least two marks at the head, with the carriage near to mirror %d and far from it"
                      .formatted(mirrors)));
    }
    if (determined(marks, mirrors)) {
      return Optional.empty();
    }
    String found = marks.size() + " of them, too few or too alike";
    List<Mark> more = new ArrayList<>(marks);
    for (Candidate candidate : candidates(marks, mirrors)) {
      more.add(candidate.mark);
      if (determined(more, mirrors)) {
        return Optional.of(new Missing(found, candidate.words + ", as well"));
      }
      more.removeLast();
    }
    return Optional.of(
        new Missing(
            found,
            mirrors == 2
                ? "marks at mirror 2 with the gantry near and far, and at the head with the carriage near and far"
                : "marks before each mirror and at the head, near and far"));
  }

  private static List<Candidate> candidates(List<Mark> marks, int mirrors) {
    double[] head = paths(marks.stream().filter(Mark::atHead).findFirst().orElseThrow(), mirrors);
    List<Candidate> candidates = new ArrayList<>();
    candidates.add(
        new Candidate(
            mark(At.HEAD, further(head, mirrors)),
            mirrors == 1
                ? "a mark further along the beam from mirror 1, such as at another height of the table"
                : "a mark at the head with the carriage further from mirror %d, or nearer to it"
                    .formatted(mirrors)));
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
                  ? "a mark at mirror %d with the gantry further from mirror %d, or nearer to it"
                      .formatted(to, before)
                  : "a mark before mirror %d at another distance from mirror %d"
                      .formatted(to, before)));
    }
    if (mirrors > 1) {
      candidates.add(
          new Candidate(
              mark(At.HEAD, further(head, mirrors - 1)),
              "a mark at the head with the gantry further from mirror %d, or nearer to it"
                  .formatted(mirrors - 1)));
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
    Columns columns = Columns.of(marks, mirrors);
    if (marks.size() < columns.count()) {
      return false;
    }
    double[][] rows =
        marks.stream().map(m -> columns.row(m, Columns.KEEPS)).toArray(double[][]::new);
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
