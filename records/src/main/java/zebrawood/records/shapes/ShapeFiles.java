package zebrawood.records.shapes;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import zebrawood.records.field.Decimals;
import zebrawood.records.file.TableFiles;
import zebrawood.records.file.WholeFile;
import zebrawood.records.picture.SvgWriter;

/** Shapes as SVG and DXF in millimetres, a colour and a layer for each setting. */
public final class ShapeFiles {
  /** Turns of the colour wheel from one setting to the next, so that neighbours differ. */
  private static final double GOLDEN = 0.381966;

  private static final int SEGMENTS = 6;

  private ShapeFiles() {}

  /** As red, green and blue of a setting's number; 0 is black. */
  public static String colour(int number) {
    if (number == 0) {
      return "#000000";
    }
    double hue = number * GOLDEN % 1 * SEGMENTS;
    double value = 0.85 - 0.25 * (number / 7 % 3) / 2;
    StringBuilder out = new StringBuilder("#");
    for (int shift : new int[] {5, 3, 1}) {
      double k = (shift + hue) % SEGMENTS;
      double c = value * (1 - Math.max(0, Math.min(Math.min(k, 4 - k), 1)));
      out.append(String.format(Locale.ROOT, "%02x", Math.round(255 * c)));
    }
    return out.toString();
  }

  public static String svg(List<Shape> shapes) {
    double left = bound(shapes, 0, false);
    double right = bound(shapes, 0, true);
    double front = bound(shapes, 1, false);
    double rear = bound(shapes, 1, true);
    SvgWriter svg = page(left, front, right, rear);
    for (Shape shape : shapes) {
      String path =
          shape.corners().stream()
                  .map(c -> Decimals.of(c[0]) + " " + Decimals.of(-c[1]))
                  .collect(Collectors.joining(" L", "M", ""))
              + (shape.filled() ? " Z" : "");
      String colour = colour(shape.number());
      svg.element(
          "path",
          "d",
          path,
          "class",
          shape.layer(),
          "stroke",
          colour,
          "stroke-width",
          "0.1",
          "fill",
          shape.filled() ? colour : "none");
    }
    return svg.svg();
  }

  /** An empty drawing in millimetres of this part of the plane, y up. */
  public static SvgWriter page(double leftMm, double frontMm, double rightMm, double rearMm) {
    String wide = Decimals.of(rightMm - leftMm);
    String deep = Decimals.of(rearMm - frontMm);
    return new SvgWriter(
        "width",
        wide + "mm",
        "height",
        deep + "mm",
        "viewBox",
        String.join(" ", Decimals.of(leftMm), Decimals.of(-rearMm), wide, deep));
  }

  private static double bound(List<Shape> shapes, int axis, boolean most) {
    var all = shapes.stream().flatMap(s -> s.corners().stream()).mapToDouble(c -> c[axis]);
    return most ? all.max().orElse(0) : all.min().orElse(0);
  }

  /** Lines alone, as every reader takes them; true colours as 24 bits (group 420). */
  public static String dxf(List<Shape> shapes) {
    StringBuilder out = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
    for (Shape shape : shapes) {
      int count = shape.corners().size();
      for (int i = 0; i + 1 < count + (shape.filled() ? 1 : 0); i++) {
        double[] from = shape.corners().get(i);
        double[] to = shape.corners().get((i + 1) % count);
        out.append("0\nLINE\n8\n")
            .append(shape.layer())
            .append("\n420\n")
            .append(Integer.parseInt(colour(shape.number()).substring(1), 16))
            .append("\n10\n")
            .append(Decimals.of(from[0]))
            .append("\n20\n")
            .append(Decimals.of(from[1]))
            .append("\n11\n")
            .append(Decimals.of(to[0]))
            .append("\n21\n")
            .append(Decimals.of(to[1]))
            .append('\n');
      }
    }
    return out.append("0\nENDSEC\n0\nEOF\n").toString();
  }

  /**
   * Writes as the name's ending says, never over a file that is there.
   *
   * @param program the same as G-code
   * @throws zebrawood.measure.UnusableReading when it cannot be written
   */
  public static void write(String name, Supplier<List<Shape>> shapes, Supplier<String> program) {
    write(
        name,
        path -> {
          if (name.endsWith(".gcode") || name.endsWith(".nc")) {
            String text = program.get();
            WholeFile.write(path, out -> out.write(text));
          } else {
            drawing(path, name, shapes, "field.file.ending");
          }
        });
  }

  /**
   * The same where there is no program to write.
   *
   * @throws zebrawood.measure.UnusableReading when it cannot be written
   */
  public static void write(String name, Supplier<List<Shape>> shapes) {
    write(name, path -> drawing(path, name, shapes, "field.file.drawing"));
  }

  private interface Writing {
    void to(Path path) throws IOException;
  }

  private static void write(String name, Writing writing) {
    try {
      writing.to(Path.of(name));
    } catch (FileAlreadyExistsException e) {
      throw TableFiles.refused("field.file.there", name);
    } catch (IOException | InvalidPathException e) {
      throw TableFiles.refused("field.file.not-written", name);
    }
  }

  private static void drawing(
      Path path, String name, Supplier<List<Shape>> shapes, String otherEnding) throws IOException {
    if (name.endsWith(".svg")) {
      WholeFile.write(path, out -> out.write(svg(shapes.get())));
    } else if (name.endsWith(".dxf")) {
      WholeFile.write(path, out -> out.write(dxf(shapes.get())));
    } else {
      throw TableFiles.refused(otherEnding, name);
    }
  }
}
