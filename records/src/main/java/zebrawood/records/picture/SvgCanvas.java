package zebrawood.records.picture;

import java.util.Base64;
import java.util.Locale;
import java.util.Map;

/** A picture as SVG for paper; looks that are for the screen alone are drawn plainly. */
public final class SvgCanvas implements Canvas {
  private static final String INK = "#241A12";
  private static final String SOFT = "#6F5F4E";
  private static final String LINE = "#8B745C";
  private static final String RED = "#C63A22";
  private static final String GREEN = "#17705A";
  private static final String AMBER = "#965B06";

  private static final Map<String, String> LOOKS =
      Map.ofEntries(
          Map.entry("plan-bed", stroked(LINE)),
          Map.entry("plan-grid", "stroke=\"#EADFCD\" fill=\"none\""),
          Map.entry("plan-place", "fill=\"" + INK + "\" stroke=\"" + INK + "\""),
          Map.entry("plan-leader", stroked(AMBER)),
          Map.entry("plan-screw", "fill=\"" + AMBER + "\""),
          Map.entry("plan-shim", "fill=\"" + AMBER + "\""),
          Map.entry("plan-side", "fill=\"" + SOFT + "\""),
          Map.entry("plan-now", "fill=\"" + INK + "\""),
          Map.entry("plan-after", "fill=\"" + SOFT + "\""),
          Map.entry("opening", stroked(INK)),
          Map.entry("mark-now", "fill=\"" + RED + "\""),
          Map.entry("mark-after", stroked(INK)),
          Map.entry("mark-way", dashed(SOFT)),
          Map.entry("beam-ideal", stroked(LINE)),
          Map.entry("beam-error", stroked(RED)),
          Map.entry("trend-axis", stroked(LINE)),
          Map.entry("trend-limit", dashed(GREEN)),
          Map.entry("trend-line", stroked(INK)),
          Map.entry("trend-dot", "fill=\"" + INK + "\""),
          Map.entry("trend-over", "fill=\"" + RED + "\""),
          Map.entry("duct-piece", "fill=\"#F3ECE0\" stroke=\"" + INK + "\""),
          Map.entry("duct-suction", "fill=\"none\" stroke-width=\"2\" stroke=\"#B5522B\""),
          Map.entry("duct-pressure", "fill=\"none\" stroke-width=\"2\" stroke=\"" + RED + "\""),
          Map.entry("duct-blower", dashed(SOFT)),
          Map.entry("duct-fan", "fill=\"#FFFFFF\" stroke=\"" + INK + "\""),
          Map.entry("scale-stem", stroked(LINE)),
          Map.entry("scale-allowed", "fill=\"#CBE3DB\""),
          Map.entry("scale-tick", stroked(LINE)),
          Map.entry("scale-coolant", "fill=\"" + INK + "\""),
          Map.entry("focus-dot", "fill=\"" + RED + "\""),
          Map.entry("focus-beam", stroked(RED)),
          Map.entry("field-frame", stroked(LINE)),
          Map.entry("field-place", "fill=\"" + SOFT + "\""),
          Map.entry("field-error", "fill=\"none\" stroke-width=\"1.5\" stroke=\"" + RED + "\""),
          Map.entry("meter-scale", stroked(LINE)),
          Map.entry("meter-red", "fill=\"none\" stroke-width=\"3\" stroke=\"" + RED + "\""),
          Map.entry("meter-needle", "fill=\"none\" stroke-width=\"2\" stroke=\"" + INK + "\""),
          Map.entry("power-after", dashed(GREEN)),
          Map.entry("power-now", stroked(RED)),
          Map.entry("mark-number", "fill=\"#FFFFFF\""),
          Map.entry("photo-mark", "fill=\"" + RED + "\" stroke=\"#FFFFFF\""),
          Map.entry("photo-scale", dashed(AMBER)),
          Map.entry("photo-line", dashed(GREEN)),
          Map.entry("photo-width", stroked(RED)),
          Map.entry("photo-focus", stroked(GREEN)),
          Map.entry("mount-plate", stroked(LINE)),
          Map.entry("mirror-mount", stroked(LINE)),
          Map.entry("mount-pivot", "fill=\"" + SOFT + "\""),
          Map.entry("mount-screw", stroked(INK)),
          Map.entry("turn-arrow", stroked(RED)),
          Map.entry("turn-head", stroked(RED)));

  /** A little more than a letter needs, for what stands on a line. */
  private static final double LETTER_WIDTH = 6.6;

  private final double width;
  private final double height;
  private final StringBuilder svg = new StringBuilder();

  public SvgCanvas(double width, double height) {
    this.width = width;
    this.height = height;
    svg.append(
        format(
            "<svg xmlns=\"http://www.w3.org/2000/svg\""
                + " xmlns:xlink=\"http://www.w3.org/1999/xlink\" width=\"%.0f\" height=\"%.0f\""
                + " font-family=\"Inter, DejaVu\" font-size=\"11\" text-anchor=\"middle\">",
            width, height));
  }

  private static String stroked(String colour) {
    return "fill=\"none\" stroke=\"" + colour + "\"";
  }

  private static String dashed(String colour) {
    return stroked(colour) + " stroke-dasharray=\"4 3\"";
  }

  private static String format(String shape, Object... values) {
    return String.format(Locale.ROOT, shape, values);
  }

  private Mark add(String shape) {
    svg.append(shape);
    return new Plain();
  }

  private static String look(String look) {
    return LOOKS.getOrDefault(look, stroked(SOFT));
  }

  /** On paper a state that is told by a colour of the screen is left out. */
  private static final class Plain implements Mark {
    @Override
    public Mark state(String name, boolean on) {
      return this;
    }
  }

  @Override
  public double width() {
    return width;
  }

  @Override
  public double height() {
    return height;
  }

  @Override
  public Mark circle(double x, double y, double radius, String look) {
    return add(format("<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" %s/>", x, y, radius, look(look)));
  }

  @Override
  public Mark line(double fromX, double fromY, double toX, double toY, String look) {
    return add(
        format(
            "<line x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\" %s/>",
            fromX, fromY, toX, toY, look(look)));
  }

  @Override
  public Mark arc(
      double x, double y, double radius, double startDeg, double lengthDeg, String look) {
    double from = Math.toRadians(startDeg);
    double to = Math.toRadians(startDeg + lengthDeg);
    return add(
        format(
            "<path d=\"M %.1f %.1f A %.1f %.1f 0 %d %d %.1f %.1f\" %s/>",
            x + radius * Math.cos(from),
            y - radius * Math.sin(from),
            radius,
            radius,
            Math.abs(lengthDeg) > 180 ? 1 : 0,
            lengthDeg > 0 ? 0 : 1,
            x + radius * Math.cos(to),
            y - radius * Math.sin(to),
            look(look)));
  }

  @Override
  public Mark rectangle(double x, double y, double wide, double high, String look) {
    return add(
        format(
            "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" %s/>",
            x, y, Math.max(0, wide), Math.max(0, high), look(look)));
  }

  @Override
  public Mark image(byte[] png, double x, double y, double wide, double high) {
    return add(
        format(
            "<image x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\""
                + " xlink:href=\"data:image/png;base64,%s\"/>",
            x, y, wide, high, Base64.getEncoder().encodeToString(png)));
  }

  @Override
  public Mark words(String words, double x, double y, double wide, String look) {
    return words.isEmpty()
        ? new Plain()
        : add(
            format(
                "<text x=\"%.1f\" y=\"%.1f\" %s>%s</text>", x, y + 4, look(look), escaped(words)));
  }

  @Override
  public Mark button(
      String id,
      String words,
      int turns,
      String name,
      double x,
      double y,
      String look,
      Runnable press) {
    double wide = LETTER_WIDTH * words.codePointCount(0, words.length());
    add(
        format(
            "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"14\" fill=\"#FFFFFF\"/>",
            x - wide / 2, y - 7, wide));
    return words(words, x, y, width, look);
  }

  private static String escaped(String words) {
    return words
        .replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }

  /** The picture, whole. */
  public String svg() {
    return svg + "</svg>";
  }
}
