package zebrawood.records.site;

import java.util.Locale;
import java.util.Optional;
import zebrawood.measure.Numbers;
import zebrawood.site.Duct;

/**
 * The exhaust run from the machine to the blower with the suction along it, as a vector picture.
 */
public final class DuctSvg {
  private static final double WIDTH = 300;
  private static final double SIDE = 16;
  private static final double RUN_Y = 34;
  private static final double WIDEST = 28;
  private static final double ZERO_Y = 66;
  private static final double DEPTH = 54;

  /** Shorter pieces would not be seen. */
  private static final double SHORTEST_M = 0.3;

  private DuctSvg() {}

  /** Empty where no run was read. */
  public static String of(SiteRecord kept) {
    Optional<Duct.Readings> duct = kept.readings().breathing().duct();
    return duct.map(DuctSvg::draw).orElse("");
  }

  private static String draw(Duct.Readings duct) {
    double flow = Duct.solve(duct).operatingFlowM3H().orElse(duct.flowM3H());
    double total = duct.lossPa(flow);
    double length = duct.run().stream().mapToDouble(DuctSvg::shownM).sum();
    double widest = duct.run().stream().mapToDouble(Duct.Piece::diameterMm).max().orElse(1);
    StringBuilder svg =
        new StringBuilder(
            String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"140\""
                    + " font-family=\"Inter\" font-size=\"9\" text-anchor=\"middle\">"
                    + "<line x1=\"%.1f\" x2=\"%.1f\" y1=\"%.1f\" y2=\"%.1f\" stroke=\"#8B745C\"/>",
                WIDTH,
                SIDE,
                WIDTH - SIDE,
                ZERO_Y,
                ZERO_Y));
    double x = SIDE;
    // Ports and other fittings are told by a step at the machine.
    double lost = total - duct.run().stream().mapToDouble(p -> p.lossPa(flow)).sum();
    for (Duct.Piece piece : duct.run()) {
      double wide = (WIDTH - 2 * SIDE) * shownM(piece) / length;
      double high = WIDEST * piece.diameterMm() / widest;
      double next = lost + piece.lossPa(flow);
      svg.append(
          String.format(
              Locale.ROOT,
              "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" fill=\"#F3ECE0\" stroke=\"#241A12\"/>"
                  + "<text x=\"%.1f\" y=\"%.1f\" fill=\"#241A12\">%s mm</text>"
                  + "<line x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\" stroke=\"#B5522B\" stroke-width=\"2\"/>",
              x,
              RUN_Y - high / 2,
              wide,
              high,
              x + wide / 2,
              RUN_Y + 3,
              Numbers.plain(piece.diameterMm()),
              x,
              ZERO_Y + depth(lost, total),
              x + wide,
              ZERO_Y + depth(next, total)));
      lost = next;
      x += wide;
    }
    return svg.append(
            String.format(
                Locale.ROOT,
                "<text x=\"%.1f\" y=\"12\" text-anchor=\"start\" fill=\"#6F5F4E\">machine</text>"
                    + "<text x=\"%.1f\" y=\"12\" text-anchor=\"end\" fill=\"#6F5F4E\">blower</text>"
                    + "<text x=\"%.1f\" y=\"%.1f\" text-anchor=\"end\" fill=\"#241A12\">%s Pa at %s m³/h</text></svg>",
                SIDE,
                WIDTH - SIDE,
                WIDTH - SIDE,
                ZERO_Y + DEPTH + 14,
                Numbers.fixed(total, 0),
                Numbers.fixed(flow, 0)))
        .toString();
  }

  private static double shownM(Duct.Piece piece) {
    return Math.max(piece.lengthM(), SHORTEST_M);
  }

  private static double depth(double lostPa, double totalPa) {
    return totalPa > 0 ? DEPTH * lostPa / totalPa : 0;
  }
}
