package zebrawood.records.feed;

import java.util.ArrayList;
import java.util.List;
import zebrawood.records.shapes.Shape;
import zebrawood.records.shapes.ShapeFiles;

/**
 * Crosses at both edges of a long piece, at each of its joints: burnt with the section before, they
 * show where the next one begins. Coordinates are the piece's, x along it from its beginning.
 *
 * @param placesMm of the joints
 * @param pieceMm length of the piece, and {@code widthMm} across it
 * @param insetMm of the crosses' middles from its edges
 */
public record FeedMarks(List<Double> placesMm, double pieceMm, double widthMm, double insetMm) {
  private static final double ARM_MM = 3;

  public FeedMarks {
    placesMm = List.copyOf(placesMm);
  }

  /**
   * As SVG or DXF, as the name's ending says.
   *
   * @throws zebrawood.measure.UnusableReading when it cannot be written
   */
  public void write(String name) {
    ShapeFiles.write(name, this::shapes);
  }

  private List<Shape> shapes() {
    List<Shape> shapes = new ArrayList<>();
    // A drawing's page begins with what is in it: the outline keeps the marks in their places.
    shapes.add(line(0, 0, pieceMm, 0, "outline-not-burnt", 1));
    shapes.add(line(pieceMm, 0, pieceMm, widthMm, "outline-not-burnt", 1));
    shapes.add(line(pieceMm, widthMm, 0, widthMm, "outline-not-burnt", 1));
    shapes.add(line(0, widthMm, 0, 0, "outline-not-burnt", 1));
    for (double x : placesMm) {
      for (double y : new double[] {insetMm, widthMm - insetMm}) {
        shapes.add(line(x - ARM_MM, y, x + ARM_MM, y, "marks", 0));
        shapes.add(line(x, y - ARM_MM, x, y + ARM_MM, "marks", 0));
      }
    }
    return shapes;
  }

  private static Shape line(double x0, double y0, double x1, double y1, String layer, int number) {
    return new Shape(List.of(new double[] {x0, y0}, new double[] {x1, y1}), layer, number, false);
  }
}
