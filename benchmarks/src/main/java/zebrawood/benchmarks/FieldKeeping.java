package zebrawood.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import zebrawood.devices.field.StandInHead;
import zebrawood.devices.field.StandInScan;
import zebrawood.devices.picture.PictureFile;
import zebrawood.field.CommandTable;
import zebrawood.field.FieldCorrection;
import zebrawood.field.FieldFinding;
import zebrawood.field.FieldFinding.OfGrid;
import zebrawood.field.FieldReadings;
import zebrawood.field.FieldReadings.Point;
import zebrawood.field.FieldScan;
import zebrawood.field.FieldScanReadings;
import zebrawood.marks.MarkKind;
import zebrawood.measure.PixelScale;

/**
 * How true a head marks after its table, over the whole field. Arguments: how many heads, how many
 * scans.
 */
public final class FieldKeeping {
  private static final double[] FIELDS_MM = {70, 110, 175, 300};
  private static final double STEP_MM = 0.05;

  private FieldKeeping() {}

  public static void main(String[] args) throws IOException {
    heads(args.length > 0 ? Integer.parseInt(args[0]) : 2000);
    scans(args.length > 1 ? Integer.parseInt(args[1]) : 20);
    tables();
  }

  private static final int MARKS = 21;
  private static final double PITCH_MM = 5;
  private static final double SCANNED_MM = 110;

  /** Scans of some 35 megapixels with 441 marks, as JPEG; one more before them is not timed. */
  private static void scans(int count) throws IOException {
    Random random = new Random(2);
    Path file = Files.createTempDirectory("scan").resolve("scan.jpg");
    List<Double> errors = new ArrayList<>();
    List<Double> ratios = new ArrayList<>();
    int found = 0;
    int burnt = 0;
    int named = 0;
    int gone = 0;
    double pixels = 0;
    for (int i = -1; i < count; i++) {
      StandInHead head = StandInHead.any(SCANNED_MM, random);
      boolean crosses = i % 2 == 0;
      double pxX = 43;
      double pxY = pxX * (1 + 0.004 * random.nextGaussian());
      var scan =
          new StandInScan(
              pxX,
              pxY,
              16 * random.nextDouble() - 8,
              crosses ? 2.6 : 1.2,
              0.15 + 0.1 * random.nextDouble(),
              crosses,
              1.2,
              8,
              0.02,
              0);
      StandInScan.Sheet sheet = scan.of(head::place, MARKS, MARKS, PITCH_MM, i);
      ImageIO.write(sheet.image(), "jpg", file.toFile());
      pixels = (double) sheet.image().getWidth() * sheet.image().getHeight();
      long start = System.nanoTime();
      if (ImageIO.read(file.toFile()).getWidth() == 0) {
        throw new IllegalStateException();
      }
      long middle = System.nanoTime();
      OfGrid f =
          FieldScan.solve(
              readings(file, pxX, pxY, crosses), PictureFile.read("imagePath", file.toString()));
      long end = System.nanoTime();
      if (i >= 0) {
        ratios.add((double) (end - middle) / (middle - start));
      }
      burnt += sheet.marks().size();
      found += f.points().orElseThrow().size();
      gone += MARKS * MARKS - sheet.marks().size();
      named += f.missing().orElseThrow().size();
      errors.addAll(off(head, f.points().get()));
    }
    System.out.printf(
        "%d scans of %.0f megapixels: %d of %d marks found, %d named missing of %d that did not burn;"
            + " error median %.1f um, 99 %% %.1f um; time over decoding median %.2f, most %.2f%n",
        count + 1,
        pixels / 1e6,
        found,
        burnt,
        named,
        gone,
        1000 * at(errors, 0.5),
        1000 * at(errors, 0.99),
        at(ratios, 0.5),
        at(ratios, 1));
  }

  private static FieldScanReadings readings(Path file, double pxX, double pxY, boolean crosses) {
    return new FieldScanReadings(
        file.toString(),
        new PixelScale(List.of(10.0, 10.0), List.of(10.0 + 100 * pxX, 10.0), 100),
        Optional.of(new PixelScale(List.of(10.0, 10.0), List.of(10.0, 10.0 + 100 * pxY), 100)),
        MARKS,
        MARKS,
        PITCH_MM,
        crosses ? MarkKind.CROSS : MarkKind.DOT,
        SCANNED_MM,
        0.1,
        OptionalInt.of(9),
        Optional.empty());
  }

  /** How far each mark was found off its place, both turned and moved onto the grid. */
  private static List<Double> off(StandInHead head, List<Point> found) {
    double sx = 0;
    double sy = 0;
    double along = 0;
    double across = 0;
    int n = found.size();
    double[][] lies = new double[n][];
    double mu = found.stream().mapToDouble(Point::xMm).average().orElseThrow();
    double mv = found.stream().mapToDouble(Point::yMm).average().orElseThrow();
    for (int i = 0; i < n; i++) {
      lies[i] = head.place(found.get(i).xMm(), found.get(i).yMm());
      sx += lies[i][0] / n;
      sy += lies[i][1] / n;
    }
    for (int i = 0; i < n; i++) {
      double dx = lies[i][0] - sx;
      double dy = lies[i][1] - sy;
      double du = found.get(i).xMm() - mu;
      double dv = found.get(i).yMm() - mv;
      along += dx * du + dy * dv;
      across += dx * dv - dy * du;
    }
    double length = Math.hypot(along, across);
    List<Double> off = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double dx = lies[i][0] - sx;
      double dy = lies[i][1] - sy;
      double x = mu + (along * dx - across * dy) / length;
      double y = mv + (across * dx + along * dy) / length;
      off.add(Math.hypot(found.get(i).measuredXMm() - x, found.get(i).measuredYMm() - y));
    }
    return off;
  }

  /** A table of 257 by 257, and ten million places looked up in it. */
  private static void tables() {
    Random random = new Random(3);
    StandInHead head = StandInHead.any(SCANNED_MM, random);
    List<Point> points = new ArrayList<>();
    for (int k = 0; k < MARKS * MARKS; k++) {
      double u = SCANNED_MM * ((double) (k % MARKS) / (MARKS - 1) - 0.5);
      double v = SCANNED_MM * ((double) (k / MARKS) / (MARKS - 1) - 0.5);
      double[] lies = head.place(u, v);
      points.add(new Point(u, v, read(lies[0]), read(lies[1])));
    }
    var readings =
        new FieldReadings(
            SCANNED_MM, STEP_MM, 0.1, Optional.empty(), Optional.of(points), OptionalInt.of(257));
    List<Double> times = new ArrayList<>();
    OfGrid f = (OfGrid) FieldCorrection.solve(readings);
    for (int i = 0; i < 5; i++) {
      long start = System.nanoTime();
      f = (OfGrid) FieldCorrection.solve(readings);
      times.add((System.nanoTime() - start) / 1e6);
    }
    CommandTable table = new CommandTable(f.table().orElseThrow(), SCANNED_MM);
    double one = 0;
    double two = 0;
    for (int i = 0; i < 3; i++) {
      one = looked(table, 1);
      two = looked(table, 2);
    }
    System.out.printf(
        "table of 257 by 257: %.0f ms; ten million places: %.1f million a second on one core, %.1f on"
            + " two%n",
        at(times, 0.5), one / 1e6, two / 1e6);
  }

  private static double looked(CommandTable table, int cores) {
    int each = 10_000_000 / cores;
    long start = System.nanoTime();
    double sum =
        IntStream.range(0, cores)
            .parallel()
            .mapToDouble(core -> {
              double[] into = new double[2];
              double all = 0;
              for (int i = 0; i < each; i++) {
                double x = (i * 0.618033 % 1 - 0.5) * SCANNED_MM;
                double y = (i * 0.754877 % 1 - 0.5) * SCANNED_MM;
                table.command(x, y, into);
                all += into[0] + into[1];
              }
              return all;
            })
            .sum();
    double seconds = (System.nanoTime() - start) / 1e9;
    return Double.isNaN(sum) ? 0 : each * cores / seconds;
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
      OfGrid f =
          (OfGrid)
              FieldCorrection.solve(
                  new FieldReadings(
                      field,
                      STEP_MM,
                      0.1,
                      Optional.empty(),
                      Optional.of(points),
                      OptionalInt.of(23)));
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
  private static double plainOff(StandInHead head, OfGrid f, FieldFinding.Row row) {
    double turn = f.rotationMrad().getAsDouble() / 1000;
    double skew = f.skewMrad().value() / 1000;
    double x = row.xMm() - f.shiftXMm().getAsDouble();
    double y = row.yMm() - f.shiftYMm().getAsDouble();
    double ax = turn + skew / 2;
    double ay = turn - skew / 2;
    // x, y = c1 (cos ax, sin ax) / scaleX + c2 (-sin ay, cos ay) / scaleY.
    double det = Math.cos(ax) * Math.cos(ay) + Math.sin(ax) * Math.sin(ay);
    double c1 = (Math.cos(ay) * x + Math.sin(ay) * y) / det * f.scaleX().value();
    double c2 = (Math.cos(ax) * y - Math.sin(ax) * x) / det * f.scaleY().value();
    double[] lies = head.place(c1, c2);
    return Math.hypot(lies[0] - row.xMm(), lies[1] - row.yMm());
  }
}
