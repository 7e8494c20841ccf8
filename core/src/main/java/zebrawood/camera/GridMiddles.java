package zebrawood.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import zebrawood.camera.CameraPhotoReadings.Target;
import zebrawood.camera.GridView.Cell;
import zebrawood.camera.GridView.Found;
import zebrawood.marks.MarkCentre;
import zebrawood.marks.MarkCentre.Centre;
import zebrawood.marks.MarkKind;
import zebrawood.marks.MarkShapes.Place;
import zebrawood.measure.Picture;
import zebrawood.measure.SeenFromAbove;

/**
 * The middles of marks whose places are known roughly, each in a piece of the plane that is drawn
 * as seen from straight above, as fine as the picture has it there.
 */
final class GridMiddles {
  /** What a mark's middle is looked for in, in its own sizes. */
  private static final double ABOUT_CROSS = 3.1;

  private static final double ABOUT_DOT = 4.5;
  private static final double LEAST_ABOUT_PX = 14;

  private final Target target;
  private final Picture picture;
  private final CameraView view;

  /**
   * @param picture in which marks are dark
   */
  GridMiddles(Target target, Picture picture, CameraView view) {
    this.target = target;
    this.picture = picture;
    this.view = view;
  }

  private double heightMm() {
    return target.heightMm().orElse(0);
  }

  /**
   * @param marks where each was seen in a drawing of the plane
   */
  Found of(Map<Cell, Place> marks, PlanePiece drawing) {
    double[] sizes = marks.values().stream().mapToDouble(Place::sizePx).sorted().toArray();
    if (sizes.length == 0) {
      return Found.NOTHING;
    }
    double sizeMm = sizes[sizes.length / 2] / drawing.pxPerMm();
    Map<Cell, double[]> middles = new TreeMap<>();
    List<Double> blurs = new ArrayList<>();
    marks.entrySet().parallelStream()
        .map(e -> Map.entry(e.getKey(), middle(e.getKey(), sizeMm)))
        .sequential()
        .forEach(e ->
            e.getValue()
                .ifPresent(px -> {
                  middles.put(e.getKey(), new double[] {px[0], px[1]});
                  blurs.add(px[2]);
                }));
    double[] sorted = blurs.stream().mapToDouble(d -> d).sorted().toArray();
    return new Found(middles, sorted.length == 0 ? 0 : sorted[sorted.length / 2]);
  }

  /**
   * How far the edges in a piece are spread: an edge blurred by a Gaussian is steepest by its
   * contrast over the deviation times the root of 2 pi.
   */
  private static double blur(Picture piece) {
    double least = 255;
    double most = 0;
    double steepest = 1;
    double[][] rows = new double[piece.height()][piece.width()];
    for (int y = 0; y < rows.length; y++) {
      piece.row(0, y, rows[y]);
    }
    for (int y = 1; y + 1 < rows.length; y++) {
      for (int x = 1; x + 1 < rows[y].length; x++) {
        double here = rows[y][x];
        least = Math.min(least, here);
        most = Math.max(most, here);
        double across = rows[y][x + 1] - rows[y][x - 1];
        double down = rows[y + 1][x] - rows[y - 1][x];
        steepest = Math.max(steepest, Math.hypot(across, down) / 2);
      }
    }
    return (most - least) / steepest / Math.sqrt(2 * Math.PI);
  }

  /** In a piece of the plane as fine as the picture has it there: place, and blur. */
  private Optional<double[]> middle(Cell cell, double sizeMm) {
    double x = target.x(cell.column());
    double y = target.y(cell.row());
    double[][] byNumbers = new double[2][CameraView.NUMBERS];
    double[][] byPlace = new double[2][3];
    view.slopes(x, y, heightMm(), byNumbers, byPlace);
    double scale =
        Math.sqrt(Math.abs(byPlace[0][0] * byPlace[1][1] - byPlace[0][1] * byPlace[1][0]));
    double times = target.mark() == MarkKind.CROSS ? ABOUT_CROSS : ABOUT_DOT;
    double about =
        Math.min(target.pitchMm() * scale, Math.max(LEAST_ABOUT_PX, times * sizeMm * scale));
    int half = (int) Math.ceil(0.45 * about) + 3;
    PlanePiece piece =
        new PlanePiece(x - half / scale, y + half / scale, scale, 2 * half, 2 * half);
    SeenFromAbove seen =
        new SeenFromAbove(
            picture,
            (u, v) -> view.px(piece.xMm(u), piece.yMm(v), heightMm()),
            piece.width(),
            piece.height());
    Optional<Centre> centre = MarkCentre.of(seen, target.mark(), half, half, about);
    return centre
        .map(c -> view.px(piece.xMm(c.x()), piece.yMm(c.y()), heightMm()))
        .filter(px -> px[0] > 0 && px[1] > 0 && px[0] < picture.width() && px[1] < picture.height())
        .map(px -> new double[] {px[0], px[1], blur(seen)});
  }
}
