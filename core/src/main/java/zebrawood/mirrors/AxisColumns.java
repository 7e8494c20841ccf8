package zebrawood.mirrors;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;

/**
 * The unknowns of one axis: the offset of the marks at each place where there are any, then the
 * angle of each mirror.
 */
record AxisColumns(int mirrors, List<At> places) {
  /** What a fold in the horizontal plane does to a shift or an angle to the right. */
  static final double SWAPS = -1;

  /** And to one that goes up. */
  static final double KEEPS = 1;

  static AxisColumns of(List<Mark> marks, int mirrors) {
    return new AxisColumns(
        mirrors,
        Stream.of(At.values()).filter(at -> marks.stream().anyMatch(m -> m.at() == at)).toList());
  }

  int count() {
    return places.size() + mirrors;
  }

  int angle(int mirror) {
    return places.size() + mirror - 1;
  }

  int offset(At at) {
    return places.indexOf(at);
  }

  /**
   * A mark's row. A mirror's angle has moved it by the path from there, its sign changed by each
   * fold on the way.
   *
   * @param fold {@link #SWAPS} or {@link #KEEPS}
   */
  double[] row(Mark mark, double fold) {
    double[] row = new double[count()];
    row[offset(mark.at())] = 1;
    double sign = 1;
    for (int mirror = mark.at().mirrorsBefore(mirrors); mirror >= 1; mirror--) {
      row[angle(mirror)] = sign * mark.metresFrom(mirror);
      sign *= fold;
    }
    return row;
  }

  /** How far these angles have moved a mark, in mm. */
  double moved(Mark mark, double fold, double[] anglesMrad) {
    double[] metres = new double[mark.at().mirrorsBefore(mirrors)];
    Arrays.setAll(metres, i -> mark.metresFrom(i + 1));
    return movedMm(metres, fold, anglesMrad);
  }

  /**
   * @param metres from each mirror that the beam has met, from mirror 1 on
   */
  static double movedMm(double[] metres, double fold, double[] anglesMrad) {
    double moved = 0;
    double sign = 1;
    for (int i = metres.length - 1; i >= 0; i--) {
      moved += sign * metres[i] * anglesMrad[i];
      sign *= fold;
    }
    return moved;
  }
}
