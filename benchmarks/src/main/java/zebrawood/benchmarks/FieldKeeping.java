package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import zebrawood.devices.field.StandInHead;
import zebrawood.field.Field;
import zebrawood.field.FieldFinding;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldReadings.Point;

/**
 * How true a head marks after its table, over the whole field. Arguments: how many heads, how many
 * scans.
 */
public final class FieldKeeping {
  private static final double[] FIELDS_MM = {70, 110, 175, 300};
  private static final double STEP_MM = 0.05;

  private FieldKeeping() {}

  public static void main(String[] args) {
    heads(args.length > 0 ? Integer.parseInt(args[0]) : 2000);
  }

  private static double at(List<Double> values, double share) {
    values.sort(Double::compare);
    return values.get((int) Math.min(values.size() - 1.0, share * values.size()));
  }

  private static void heads(int count) {
    Random random = new Random(1);
    List<Double> errors = new ArrayList<>();
    List<Double> worst = new ArrayList<>();
    List<Double> shares = new ArrayList<>();
    List<Double> plain = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double field = FIELDS_MM[random.nextInt(FIELDS_MM.length)];
      StandInHead head = StandInHead.any(field, random);
      int n = 5 + 2 * random.nextInt(9);
      List<Point> points = new ArrayList<>();
      for (int k = 0; k < n * n; k++) {
        double u = field * ((double) (k % n) / (n - 1) - 0.5);
        double v = field * ((double) (k / n) / (n - 1) - 0.5);
        double[] lies = head.place(u, v);
        points.add(new Point(u, v, read(lies[0]), read(lies[1])));
      }
      FieldFinding f =
          Field.solve(
              new FieldReadings(
                  field, STEP_MM, 0.1, Optional.empty(), Optional.of(points), OptionalInt.of(23)));
      double most = 0;
      for (FieldFinding.Row row : f.table().orElseThrow()) {
        double[] lies = head.place(row.commandXMm(), row.commandYMm());
        double off = Math.hypot(lies[0] - row.xMm(), lies[1] - row.yMm());
        errors.add(off);
        shares.add(off / field);
        most = Math.max(most, off);
        plain.add(plainOff(head, f, row));
      }
      worst.add(most);
    }
    System.out.printf(
        "%d heads, grids of 5 to 21 read to %.2f mm: error after the table over the whole field median"
            + " %.3f mm, 99 %% %.3f mm (of the field %.5f and %.5f); worst of a head median %.3f mm,"
            + " 99 %% %.3f mm; by the plain coefficients median %.3f mm, 99 %% %.3f mm%n",
        count,
        STEP_MM,
        at(errors, 0.5),
        at(errors, 0.99),
        at(shares, 0.5),
        at(shares, 0.99),
        at(worst, 0.5),
        at(worst, 0.99),
        at(plain, 0.5),
        at(plain, 0.99));
  }

  private static double read(double mm) {
    return Math.round(mm / STEP_MM) * STEP_MM;
  }

  /** With shift, scale, rotation and skew alone. */
  private static double plainOff(StandInHead head, FieldFinding f, FieldFinding.Row row) {
    double turn = f.rotationMrad().getAsDouble() / 1000;
    double skew = f.skewMrad().getAsDouble() / 1000;
    double x = row.xMm() - f.shiftXMm().getAsDouble();
    double y = row.yMm() - f.shiftYMm().getAsDouble();
    double ax = turn + skew / 2;
    double ay = turn - skew / 2;
    // x, y = c1 (cos ax, sin ax) / scaleX + c2 (-sin ay, cos ay) / scaleY.
    double det = Math.cos(ax) * Math.cos(ay) + Math.sin(ax) * Math.sin(ay);
    double c1 = (Math.cos(ay) * x + Math.sin(ay) * y) / det * f.scaleX();
    double c2 = (Math.cos(ax) * y - Math.sin(ax) * x) / det * f.scaleY();
    double[] lies = head.place(c1, c2);
    return Math.hypot(lies[0] - row.xMm(), lies[1] - row.yMm());
  }
}
