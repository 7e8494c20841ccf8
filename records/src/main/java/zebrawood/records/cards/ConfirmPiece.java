package zebrawood.records.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.records.file.TableFiles;
import zebrawood.records.shapes.Shape;
import zebrawood.records.shapes.ShapeFiles;

/**
 * A small piece that confirms a setting: a large area, fine lines and tiny letters, all burnt with
 * it. A setting is for what it was looked at on.
 *
 * @param xMm of its lower left corner, as {@code yMm}
 * @param powerWord empty where there is none: then only SVG and DXF
 */
public record ConfirmPiece(
    double xMm, double yMm, double speedMmS, OptionalDouble powerWord, double intervalMm) {
  private static final double AREA_MM = 12;
  private static final double LINE_MM = 10;
  private static final double[] LINES_AT = {0, 0.5, 1.5, 3};
  private static final double[] LETTERS_MM = {2, 1.5, 1};
  private static final String LETTERS = "FERN 12";

  public ConfirmPiece {
    var accepts =
        new Accepts()
            .between("xMm", xMm, -10_000, 10_000)
            .between("yMm", yMm, -10_000, 10_000)
            .positive("speedMmS", speedMmS, 50_000)
            .between("intervalMm", intervalMm, 0.005, 10);
    powerWord.ifPresent(w -> accepts.positive("powerWord", w, 1_000_000));
    accepts.orThrow();
  }

  List<Shape> shapes() {
    List<Shape> shapes = new ArrayList<>();
    shapes.add(
        new Shape(
            List.of(
                new double[] {xMm, yMm},
                new double[] {xMm + AREA_MM, yMm},
                new double[] {xMm + AREA_MM, yMm + AREA_MM},
                new double[] {xMm, yMm + AREA_MM}),
            "area",
            1,
            true));
    for (double at : LINES_AT) {
      double x = xMm + AREA_MM + 3 + at;
      shapes.add(
          new Shape(
              List.of(new double[] {x, yMm}, new double[] {x, yMm + LINE_MM}), "lines", 2, false));
    }
    double y = yMm + AREA_MM;
    for (double height : LETTERS_MM) {
      y -= height + 1;
      Strokes.of(LETTERS, xMm + AREA_MM + 9, y, height)
          .forEach(s -> shapes.add(new Shape(s.corners(), "letters", 3, false)));
    }
    return shapes;
  }

  private String gcode() {
    double word = powerWord.orElse(0);
    StringBuilder out = new StringBuilder("G21\nG90\nM3 S0\n");
    for (Shape shape : shapes()) {
      Burnt.add(out, shape, intervalMm, speedMmS, word);
    }
    return out.append("M5\n").toString();
  }

  /**
   * Writes what the name's ending says, never over a file that is there.
   *
   * @throws zebrawood.measure.UnusableReading when it cannot be written
   */
  public void write(String name) {
    String plain = name.strip();
    boolean program = plain.matches(".*\\.(gcode|nc)");
    if (program && powerWord.isEmpty()) {
      throw TableFiles.refused("cards.file.no-program", plain);
    }
    ShapeFiles.write(plain, this::shapes, this::gcode);
  }
}
