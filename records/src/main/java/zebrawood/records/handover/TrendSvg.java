package zebrawood.records.handover;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A station's telling figure over its entries, with the limit as a dashed line, as SVG. */
final class TrendSvg {
  private static final double WIDTH = 220;
  private static final double HEIGHT = 46;
  private static final double MARGIN = 5;

  private TrendSvg() {}

  static String of(List<Double> values, OptionalDouble limit) {
    double most = Math.max(values.stream().mapToDouble(Math::abs).max().orElse(1), limit.orElse(0));
    double top = most == 0 ? 1 : most * 1.1;
    double step = values.size() > 1 ? (WIDTH - 2 * MARGIN) / (values.size() - 1) : 0;
    String points =
        IntStream.range(0, values.size())
            .mapToObj(i -> point(MARGIN + i * step, y(Math.abs(values.get(i)), top)))
            .collect(Collectors.joining(" "));
    StringBuilder svg = new StringBuilder();
    svg.append(
        String.format(
            Locale.ROOT,
            "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"%.0f\">",
            WIDTH,
            HEIGHT));
    limit.ifPresent(l ->
        svg.append(
            String.format(
                Locale.ROOT,
                "<line x1=\"%.1f\" x2=\"%.1f\" y1=\"%.1f\" y2=\"%.1f\" stroke=\"#17705A\""
                    + " stroke-dasharray=\"4 3\"/>",
                MARGIN,
                WIDTH - MARGIN,
                y(l, top),
                y(l, top))));
    svg.append("<polyline fill=\"none\" stroke=\"#241A12\" points=\"" + points + "\"/>");
    for (String p : points.isEmpty() ? new String[0] : points.split(" ")) {
      String[] xy = p.split(",");
      svg.append("<circle r=\"2\" fill=\"#241A12\" cx=\"" + xy[0] + "\" cy=\"" + xy[1] + "\"/>");
    }
    return svg.append("</svg>").toString();
  }

  private static String point(double x, double y) {
    return String.format(Locale.ROOT, "%.1f,%.1f", x, y);
  }

  private static double y(double value, double top) {
    return HEIGHT - MARGIN - value / top * (HEIGHT - 2 * MARGIN);
  }
}
