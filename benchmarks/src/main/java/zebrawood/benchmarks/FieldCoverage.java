package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import zebrawood.field.FieldCorrection;
import zebrawood.field.FieldFinding.MarkPlace;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldFinding.Row;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldReadings.Point;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;

/**
 * How honest a measured grid is: heads of this class's own, traced ray by ray, with a lens whose
 * axis the beam misses; whole grids and parts of the field, misread marks, true fields, rows in the
 * wrong place. Argument: how many of each.
 */
public final class FieldCoverage {
  private static final double STEP_MM = 0.05;
  private static final double TOLERANCE_MM = 0.1;
  private static final double FIELD_MM = 110;

  private final Random random = new Random(3);
  private final int count;

  private FieldCoverage(int count) {
    this.count = count;
  }

  public static void main(String[] args) {
    FieldCoverage trials = new FieldCoverage(args.length > 0 ? Integer.parseInt(args[0]) : 100);
    for (int n : new int[] {3, 4, 5, 9, 13}) {
      trials.heads(n, 1);
    }
    for (double share : new double[] {0.9, 0.7}) {
      trials.heads(5, share);
      trials.heads(9, share);
    }
    for (int n : new int[] {4, 5, 9}) {
      trials.trueField(n);
      for (double by : new double[] {0.2, 0.5, FIELD_MM / (n - 1)}) {
        trials.misread(n, by);
      }
      trials.wrongPlace(n);
    }
  }

  /** Where a head puts what it is told. */
  private interface Head {
    double[] at(double u, double v);
  }

  /**
   * Two mirrors, a lens that bends and sits aside of the beam, a table that leans and is turned.
   */
  private Head head(double fieldMm) {
    double focal = fieldMm / (0.55 + 0.2 * random.nextDouble());
    double gainX = 1 + 0.06 * random.nextGaussian();
    double gainY = 1 + 0.06 * random.nextGaussian();
    double third = 0.06 * random.nextGaussian();
    double fifth = 0.04 * random.nextGaussian();
    double square = 0.004 * random.nextGaussian();
    double leanX = 0.006 * random.nextGaussian();
    double leanY = 0.006 * random.nextGaussian();
    double turn = 0.008 * random.nextGaussian();
    double asideX = random.nextGaussian();
    double asideY = random.nextGaussian();
    double chief = 0.5 + 0.4 * random.nextDouble();
    double apart = 8 + 10 * random.nextDouble();
    return (u, v) -> {
      double a = u / focal * gainX;
      double b = v / focal * gainY + square * a;
      double theta = Math.acos(Math.min(1, Math.cos(a) * Math.cos(b)));
      double round = Math.atan2(Math.cos(a) * Math.sin(b), Math.sin(a));
      double x = focal * theta * Math.cos(round) + asideX;
      double y = focal * theta * Math.sin(round) + asideY;
      double r = Math.hypot(x, y) / focal;
      double grown = 1 + third * r * r + fifth * Math.pow(r, 4);
      x = x * grown - asideX;
      y = y * grown - asideY;
      double slopeX = Math.tan(chief * theta) * Math.cos(round) - apart / focal * Math.tan(a);
      double slopeY = Math.tan(chief * theta) * Math.sin(round);
      double high = (leanX * x + leanY * y) / (1 + leanX * slopeX + leanY * slopeY);
      x -= slopeX * high;
      y -= slopeY * high;
      return new double[] {
        0.5 + Math.cos(turn) * x - Math.sin(turn) * y,
        -0.3 + Math.sin(turn) * x + Math.cos(turn) * y
      };
    };
  }

  private List<Point> burnt(Head head, double fieldMm, int n, double share) {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < n * n; i++) {
      double u = fieldMm * share * ((double) (i % n) / (n - 1) - 0.5);
      double v = fieldMm * share * ((double) (i / n) / (n - 1) - 0.5);
      double[] at = head.at(u, v);
      points.add(new Point(u, v, read(at[0]), read(at[1])));
    }
    return points;
  }

  private double read(double mm) {
    return Math.round((mm + 0.3 * STEP_MM * random.nextGaussian()) / STEP_MM) * STEP_MM;
  }

  private static OfGrid solve(double fieldMm, List<Point> points) {
    return (OfGrid)
        FieldCorrection.solve(
            new FieldReadings(
                fieldMm,
                STEP_MM,
                TOLERANCE_MM,
                Optional.empty(),
                Optional.of(points),
                OptionalInt.of(17)));
  }

  /** How far off the table's places come to lie. */
  private static double missMm(Head head, Row row) {
    double[] at = head.at(row.commandXMm(), row.commandYMm());
    return Math.hypot(at[0] - row.xMm(), at[1] - row.yMm());
  }

  private void heads(int n, double share) {
    int decided = 0;
    int wrong = 0;
    int corners = 0;
    int held = 0;
    int named = 0;
    List<Double> worst = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double fieldMm = new double[] {70, 110, 175, 300}[random.nextInt(4)];
      Head head = head(fieldMm);
      OfGrid f = solve(fieldMm, burnt(head, fieldMm, n, share));
      named += f.leftOut().orElseThrow().size();
      double most = 0;
      for (Row row : f.table().orElseThrow()) {
        double miss = missMm(head, row);
        most = Math.max(most, miss);
        if (Math.min(Math.abs(row.xMm()), Math.abs(row.yMm())) > 0.499 * fieldMm) {
          corners++;
          held += miss <= 2 * f.edgeUncertaintyMm() ? 1 : 0;
        }
      }
      worst.add(most);
      boolean adjusts = f.verdict() == Verdict.ADJUST;
      decided += adjusts ? 1 : 0;
      wrong += adjusts && most > 1.5 * TOLERANCE_MM ? 1 : 0;
    }
    worst.sort(Double::compare);
    System.out.printf(
        "%d by %d over %.0f %%: decided %.0f %%, of these off by half more than the tolerance %.1f %%;"
            + " worst of a table median %.3f mm, 95 %% %.3f mm; corners within two deviations %.0f"
            + " %%; honest marks left out %d%n",
        n,
        n,
        100 * share,
        Coverage.share(decided, count),
        Coverage.share(wrong, decided),
        worst.get(count / 2),
        worst.get((int) (0.95 * (count - 1))),
        Coverage.share(held, corners),
        named);
  }

  private void trueField(int n) {
    int within = 0;
    for (int i = 0; i < count; i++) {
      List<Point> points = burnt((u, v) -> new double[] {u, v}, FIELD_MM, n, 1);
      within += solve(FIELD_MM, points).verdict() == Verdict.WITHIN ? 1 : 0;
    }
    System.out.printf(
        "true field, %d by %d: within %.0f %%%n", n, n, Coverage.share(within, count));
  }

  private void misread(int n, double by) {
    int named = 0;
    int others = 0;
    int decided = 0;
    int wrong = 0;
    for (int i = 0; i < count; i++) {
      Head head = head(FIELD_MM);
      List<Point> points = burnt(head, FIELD_MM, n, 1);
      int at = random.nextInt(points.size());
      double way = 2 * Math.PI * random.nextDouble();
      Point p = points.get(at);
      points.set(
          at,
          new Point(
              p.xMm(),
              p.yMm(),
              p.measuredXMm() + by * Math.cos(way),
              p.measuredYMm() + by * Math.sin(way)));
      OfGrid f = solve(FIELD_MM, points);
      for (MarkPlace left : f.leftOut().orElseThrow()) {
        boolean its = left.equals(new MarkPlace(p.xMm(), p.yMm()));
        named += its ? 1 : 0;
        others += its ? 0 : 1;
      }
      if (f.verdict() == Verdict.ADJUST) {
        decided++;
        wrong +=
            f.table().orElseThrow().stream().anyMatch(r -> missMm(head, r) > 1.5 * TOLERANCE_MM)
                ? 1
                : 0;
      }
    }
    System.out.printf(
        "%d by %d, a mark misread by %.2f mm: named %.0f %%, others named %d; decided %.0f %%, of"
            + " these wrong %.1f %%%n",
        n,
        n,
        by,
        Coverage.share(named, count),
        others,
        Coverage.share(decided, count),
        Coverage.share(wrong, decided));
  }

  /** A row that is shifted by a mark, two that are exchanged, y counted downwards. */
  private void wrongPlace(int n) {
    int tables = 0;
    for (int i = 0; i < count; i++) {
      List<Point> right = burnt(head(FIELD_MM), FIELD_MM, n, 1);
      int row = random.nextInt(n);
      int other = (row + 1 + random.nextInt(n - 1)) % n;
      List<Point> typed = new ArrayList<>();
      for (int k = 0; k < right.size(); k++) {
        Point p = right.get(k);
        int of = k / n;
        Point q =
            switch (i % 3) {
              case 0 -> of == row ? right.get(of * n + (k + 1) % n) : p;
              case 1 ->
                  of == row
                      ? right.get(other * n + k % n)
                      : of == other ? right.get(row * n + k % n) : p;
              default -> new Point(p.xMm(), p.yMm(), p.measuredXMm(), -p.measuredYMm());
            };
        typed.add(new Point(p.xMm(), p.yMm(), q.measuredXMm(), q.measuredYMm()));
      }
      try {
        tables += solve(FIELD_MM, typed).verdict() == Verdict.ADJUST ? 1 : 0;
      } catch (UnusableReading named) {
        // What is wrong is said, and nothing is made of it.
      }
    }
    System.out.printf("%d by %d typed in the wrong place: a table %d of %d%n", n, n, tables, count);
  }
}
