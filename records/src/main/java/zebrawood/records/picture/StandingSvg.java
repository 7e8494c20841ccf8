package zebrawood.records.picture;

import zebrawood.ledger.Standing;

/** A standing's sign by shape first: tick, half disc, diamond, ring; as a small SVG. */
public final class StandingSvg {
  private static final String GREEN = "#17705A";
  private static final String AMBER = "#965B06";
  private static final String RED = "#A61B1B";
  private static final String SOFT = "#6F5F4E";

  private StandingSvg() {}

  public static String of(Standing standing) {
    SvgWriter svg = new SvgWriter("width", "12", "height", "12");
    return switch (standing) {
      case Standing.Holds h ->
          svg.element("circle", "cx", "6", "cy", "6", "r", "5", "fill", GREEN)
              .begin("g", "fill", "none", "stroke", "#FFFFFF", "stroke-width", "1.4")
              .element("polyline", "points", "3.4,6.2 5.4,8 8.8,4.2")
              .end()
              .svg();
      case Standing.Stale s ->
          ring(svg, AMBER)
              .element("path", "d", "M 6 1.4 A 4.6 4.6 0 0 0 6 10.6 Z", "fill", AMBER)
              .svg();
      case Standing.Out o ->
          svg.element("polygon", "points", "6,0 12,6 6,12 0,6", "fill", RED).svg();
      case Standing.Open o -> ring(svg, SOFT).svg();
      case Standing.Idle i -> ring(svg, SOFT).svg();
    };
  }

  private static SvgWriter ring(SvgWriter svg, String colour) {
    return svg.begin("g", "fill", "none", "stroke", colour, "stroke-width", "1.2")
        .element("circle", "cx", "6", "cy", "6", "r", "4.6")
        .end();
  }
}
