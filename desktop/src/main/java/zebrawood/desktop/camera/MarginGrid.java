package zebrawood.desktop.camera;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zebrawood.camera.CameraFinding.MarginAt;

/**
 * Margins over the bed in even steps, and the lines on which one is so large (marching squares: W.
 * E. Lorensen, H. E. Cline, Marching cubes, Computer Graphics 21 (1987), 163-169, in the plane).
 */
final class MarginGrid {
  private final List<Double> xs;
  private final List<Double> ys;
  private final Map<List<Double>, Double> margins;

  private MarginGrid(List<Double> xs, List<Double> ys, Map<List<Double>, Double> margins) {
    this.xs = xs;
    this.ys = ys;
    this.margins = margins;
  }

  static MarginGrid of(List<MarginAt> all) {
    Map<List<Double>, Double> margins = new HashMap<>();
    all.forEach(m -> margins.put(List.of(m.xMm(), m.yMm()), m.marginMm()));
    return new MarginGrid(
        all.stream().map(MarginAt::xMm).distinct().sorted().toList(),
        all.stream().map(MarginAt::yMm).distinct().sorted().toList(),
        margins);
  }

  /**
   * Pieces of the line of this margin: two places each, mm. Squares with a corner that is not known
   * have none.
   */
  List<double[][]> line(double marginMm) {
    List<double[][]> pieces = new ArrayList<>();
    for (int i = 0; i + 1 < xs.size(); i++) {
      for (int k = 0; k + 1 < ys.size(); k++) {
        square(xs.get(i), xs.get(i + 1), ys.get(k), ys.get(k + 1), marginMm, pieces);
      }
    }
    return pieces;
  }

  private void square(
      double left, double right, double front, double rear, double level, List<double[][]> pieces) {
    double[][] corners = {{left, front}, {right, front}, {right, rear}, {left, rear}};
    double[] values = new double[4];
    for (int i = 0; i < 4; i++) {
      Double value = margins.get(List.of(corners[i][0], corners[i][1]));
      if (value == null) {
        return;
      }
      values[i] = value;
    }
    List<double[]> crossed = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      int next = (i + 1) % 4;
      if (values[i] < level != values[next] < level) {
        double share = (level - values[i]) / (values[next] - values[i]);
        crossed.add(
            new double[] {
              corners[i][0] + share * (corners[next][0] - corners[i][0]),
              corners[i][1] + share * (corners[next][1] - corners[i][1])
            });
      }
    }
    for (int i = 0; i + 1 < crossed.size(); i += 2) {
      pieces.add(new double[][] {crossed.get(i), crossed.get(i + 1)});
    }
  }
}
