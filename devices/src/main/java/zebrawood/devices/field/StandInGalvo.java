package zebrawood.devices.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A head with what its controller corrects: scales, squareness, and a table. It burns squares and
 * grids; its pointer points beside them.
 */
public final class StandInGalvo {
  /** A mark as it was commanded, and as a caliper finds it. */
  public record Mark(double xMm, double yMm, double measuredXMm, double measuredYMm) {}

  /**
   * A square from line to line.
   *
   * @param risingMm from the lower left to the upper right
   */
  public record Square(double acrossMm, double upMm, double risingMm, double fallingMm) {}

  /** Corrects a command, in mm. */
  @FunctionalInterface
  public interface Correction {
    double[] command(double xMm, double yMm);
  }

  private final StandInHead head;
  private final double stepMm;
  private final double handMm;
  private final Random random;
  private double scaleX = 1;
  private double scaleY = 1;
  private double skewMrad;
  private Similarity pointer = new Similarity(1, 0, 0, 0);
  private Correction table = (x, y) -> new double[] {x, y};

  /**
   * @param stepMm of the caliper
   * @param handMm how well it is set to a line, one standard deviation
   */
  public StandInGalvo(StandInHead head, double stepMm, double handMm, long number) {
    this.head = head;
    this.stepMm = stepMm;
    this.handMm = handMm;
    random = new Random(number);
  }

  public StandInHead head() {
    return head;
  }

  public void multiplyScale(double x, double y) {
    scaleX *= x;
    scaleY *= y;
  }

  /** Takes so much off the x axis' turn against the y axis. */
  public void takeSkew(double mrad) {
    skewMrad += mrad;
  }

  /** Loads a table that was measured through the one that is loaded, joined to it. */
  public void joinTable(Correction next) {
    Correction loaded = table;
    table =
        (x, y) -> {
          double[] command = next.command(x, y);
          return loaded.command(command[0], command[1]);
        };
  }

  /** Where it marks now. */
  public double[] place(double xMm, double yMm) {
    double[] command = table.command(xMm, yMm);
    double x = command[0] * scaleX - skewMrad / 1000 * command[1] * scaleY;
    return head.place(x, command[1] * scaleY);
  }

  private double read(double mm) {
    return Math.round((mm + handMm * random.nextGaussian()) / stepMm) * stepMm;
  }

  /** Turned and scaled about the centre, then moved. */
  private record Similarity(double cosine, double sine, double xMm, double yMm) {
    static Similarity of(double scale, double mrad, double xMm, double yMm) {
      return new Similarity(scale * Math.cos(mrad / 1000), scale * Math.sin(mrad / 1000), xMm, yMm);
    }

    double[] at(double x, double y) {
      return new double[] {xMm + cosine * x - sine * y, yMm + sine * x + cosine * y};
    }

    Similarity then(Similarity next) {
      double[] middle = next.at(xMm, yMm);
      return new Similarity(
          next.cosine * cosine - next.sine * sine,
          next.sine * cosine + next.cosine * sine,
          middle[0],
          middle[1]);
    }
  }

  private static double apart(double[] one, double[] other) {
    return Math.hypot(one[0] - other[0], one[1] - other[1]);
  }

  /** Burns a square about the centre and measures it between the middles of its lines. */
  public Square square(double sideMm) {
    double h = sideMm / 2;
    return new Square(
        read(apart(place(-h, 0), place(h, 0))),
        read(apart(place(0, -h), place(0, h))),
        read(apart(place(-h, -h), place(h, h))),
        read(apart(place(-h, h), place(h, -h))));
  }

  /** Burns a grid about the centre and measures every mark. */
  public List<Mark> grid(int columns, int rows, double pitchMm) {
    List<Mark> marks = new ArrayList<>();
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        double u = (column - (columns - 1) / 2.0) * pitchMm;
        double v = (row - (rows - 1) / 2.0) * pitchMm;
        double[] at = place(u, v);
        marks.add(new Mark(u, v, read(at[0]), read(at[1])));
      }
    }
    return marks;
  }

  /** Puts the red pointer out: turned and scaled about the centre, then moved. */
  public void putPointerOut(double scale, double mrad, double xMm, double yMm) {
    pointer = Similarity.of(scale, mrad, xMm, yMm);
  }

  /** Does the same to wherever it points by now. */
  public void movePointer(double scale, double mrad, double xMm, double yMm) {
    pointer = pointer.then(Similarity.of(scale, mrad, xMm, yMm));
  }

  /** How far the pointer is off its marks where that is most, over so large a field. */
  public double pointerOffMm(double fieldMm) {
    double worst = 0;
    for (int i = 0; i < 4; i++) {
      double[] mark = place(fieldMm * (i % 2 - 0.5), fieldMm * (i / 2 - 0.5));
      worst = Math.max(worst, apart(mark, pointer.at(mark[0], mark[1])));
    }
    return worst;
  }

  /** Where the pointer points, as a caliper finds it, when it is sent where a mark was made. */
  public double[] pointed(double xMm, double yMm) {
    double[] mark = place(xMm, yMm);
    double[] at = pointer.at(mark[0], mark[1]);
    return new double[] {read(at[0]), read(at[1])};
  }

  /** How far off it marks where that is most, over so large a field. */
  public double worstMm(double fieldMm) {
    double worst = 0;
    for (int i = 0; i <= 10; i++) {
      for (int k = 0; k <= 10; k++) {
        double u = fieldMm * (i / 10.0 - 0.5);
        double v = fieldMm * (k / 10.0 - 0.5);
        worst = Math.max(worst, apart(place(u, v), new double[] {u, v}));
      }
    }
    return worst;
  }

  /** The same, of a sheet that nobody knows the place and turn of. */
  public double worstOfShapeMm(double fieldMm) {
    double[] middle = place(0, 0);
    double[] right = place(fieldMm / 4, 0);
    double[] left = place(-fieldMm / 4, 0);
    double[] above = place(0, fieldMm / 4);
    double[] below = place(0, -fieldMm / 4);
    double turn =
        (Math.atan2(right[1] - left[1], right[0] - left[0])
                + Math.atan2(below[0] - above[0], above[1] - below[1]))
            / 2;
    double c = Math.cos(turn);
    double s = Math.sin(turn);
    double worst = 0;
    for (int i = 0; i <= 10; i++) {
      for (int k = 0; k <= 10; k++) {
        double u = fieldMm * (i / 10.0 - 0.5);
        double v = fieldMm * (k / 10.0 - 0.5);
        double[] at = place(u, v);
        double x = c * (at[0] - middle[0]) + s * (at[1] - middle[1]);
        double y = -s * (at[0] - middle[0]) + c * (at[1] - middle[1]);
        worst = Math.max(worst, Math.hypot(x - u, y - v));
      }
    }
    return worst;
  }

  /** How far off its size is at the edge, whatever its shape. */
  public double sizeOffMm(double sideMm, double fieldMm) {
    double h = sideMm / 2;
    double across = apart(place(-h, 0), place(h, 0));
    double up = apart(place(0, -h), place(0, h));
    return fieldMm / 2 * Math.max(Math.abs(across / sideMm - 1), Math.abs(up / sideMm - 1));
  }
}
