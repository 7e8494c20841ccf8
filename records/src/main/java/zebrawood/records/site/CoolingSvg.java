package zebrawood.records.site;

import java.util.Locale;
import zebrawood.measure.Numbers;
import zebrawood.site.CoolingFinding;
import zebrawood.site.CoolingReadings;

/** Dew point, coolant and limit on one line, as a vector picture. */
public final class CoolingSvg {
  private static final double WIDTH = 300;
  private static final double MARGIN = 30;
  private static final double LINE_Y = 44;

  private CoolingSvg() {}

  public static String of(CoolingRecord kept) {
    CoolingReadings r = kept.readings();
    CoolingFinding f = kept.solve();
    double warmest = Math.max(r.limitC(), r.afterHourC().orElse(r.air().coolantC()));
    double low = Math.min(f.air().dewPointC(), r.air().coolantC()) - 1;
    double high = Math.max(warmest, r.air().coolantC()) + 1;
    StringBuilder svg =
        new StringBuilder(
            String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"90\""
                    + " font-family=\"Inter\" font-size=\"10\" text-anchor=\"middle\">"
                    + "<line x1=\"%.1f\" x2=\"%.1f\" y1=\"%.1f\" y2=\"%.1f\" stroke=\"#8B745C\"/>",
                WIDTH,
                MARGIN,
                WIDTH - MARGIN,
                LINE_Y,
                LINE_Y));
    mark(svg, x(f.air().dewPointC(), low, high), -12, "#6F5F4E", "dew", f.air().dewPointC());
    mark(svg, x(r.air().coolantC(), low, high), 20, "#241A12", "coolant", r.air().coolantC());
    mark(svg, x(r.limitC(), low, high), -12, "#17705A", "limit", r.limitC());
    r.afterHourC().ifPresent(c -> mark(svg, x(c, low, high), 36, "#241A12", "after an hour", c));
    return svg.append("</svg>").toString();
  }

  private static double x(double celsius, double low, double high) {
    return MARGIN + (celsius - low) / (high - low) * (WIDTH - 2 * MARGIN);
  }

  private static void mark(
      StringBuilder svg, double x, double dy, String colour, String words, double celsius) {
    svg.append(
        String.format(
            Locale.ROOT,
            "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"3\" fill=\"%s\"/>"
                + "<text x=\"%.1f\" y=\"%.1f\" fill=\"%s\">%s %s °C</text>",
            x,
            LINE_Y,
            colour,
            x,
            LINE_Y + dy,
            colour,
            words,
            Numbers.fixed(celsius, 1)));
  }
}
