package zebrawood.records.mirrors;

import java.util.Locale;
import zebrawood.mirrors.MirrorReadings;

/** The marks at the head in its opening, looking the way the beam travels, as a vector picture. */
public final class MarksSvg {
  private static final double SIZE = 190;

  private MarksSvg() {}

  /** Empty for a quick check, which has no picture. */
  public static String of(MirrorRecord kept) {
    return kept.readings().full().map(MarksSvg::of).orElse("");
  }

  private static String of(MirrorReadings r) {
    double furthest =
        r.marks().stream()
            .filter(m -> m.at() == MirrorReadings.At.HEAD)
            .mapToDouble(m -> Math.max(Math.abs(m.rightMm()), Math.abs(m.upMm())))
            .max()
            .orElse(0);
    double scale = SIZE / 2 / Math.max(r.apertureMm() * 0.6, furthest * 1.15);
    StringBuilder svg =
        new StringBuilder(
            String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"%.0f\">"
                    + "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" fill=\"none\" stroke=\"#241A12\"/>",
                SIZE,
                SIZE,
                SIZE / 2,
                SIZE / 2,
                r.apertureMm() / 2 * scale));
    r.marks().stream()
        .filter(m -> m.at() == MirrorReadings.At.HEAD)
        .forEach(m ->
            svg.append(
                String.format(
                    Locale.ROOT,
                    "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"4\" fill=\"#C63A22\"/>",
                    SIZE / 2 + m.rightMm() * scale,
                    SIZE / 2 - m.upMm() * scale)));
    return svg.append("</svg>").toString();
  }
}
