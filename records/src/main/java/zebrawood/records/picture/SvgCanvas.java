package zebrawood.records.picture;

import static zebrawood.records.picture.SvgWriter.attributes;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import zebrawood.records.picture.Canvas.Mark;

/** A picture as SVG for paper; looks that are for the screen alone are drawn plainly. */
public final class SvgCanvas implements Canvas {
  private static final String INK = "#241A12";
  private static final String SOFT = "#6F5F4E";
  private static final String LINE = "#8B745C";
  private static final String RED = "#C63A22";
  private static final String GREEN = "#17705A";
  private static final String AMBER = "#965B06";

  private static final Map<String, Map<String, String>> LOOKS =
      Map.ofEntries(
          Map.entry("plan-bed", stroked(LINE)),
          Map.entry("plan-grid", attributes("stroke", "#EADFCD", "fill", "none")),
          Map.entry("plan-place", attributes("fill", INK, "stroke", INK)),
          Map.entry("plan-leader", stroked(AMBER)),
          Map.entry("plan-screw", attributes("fill", AMBER)),
          Map.entry("plan-shim", attributes("fill", AMBER)),
          Map.entry("plan-side", attributes("fill", SOFT)),
          Map.entry("plan-now", attributes("fill", INK)),
          Map.entry("plan-after", attributes("fill", SOFT)),
          Map.entry("opening", stroked(INK)),
          Map.entry("mark-now", attributes("fill", RED)),
          Map.entry("mark-after", stroked(INK)),
          Map.entry("mark-way", dashed(SOFT)),
          Map.entry("beam-ideal", stroked(LINE)),
          Map.entry("beam-error", stroked(RED)),
          Map.entry("trend-axis", stroked(LINE)),
          Map.entry("trend-limit", dashed(GREEN)),
          Map.entry("trend-line", stroked(INK)),
          Map.entry("trend-dot", attributes("fill", INK)),
          Map.entry("trend-over", attributes("fill", RED)),
          Map.entry("duct-piece", attributes("fill", "#F3ECE0", "stroke", INK)),
          Map.entry(
              "duct-suction", attributes("fill", "none", "stroke-width", "2", "stroke", "#B5522B")),
          Map.entry(
              "duct-pressure", attributes("fill", "none", "stroke-width", "2", "stroke", RED)),
          Map.entry("duct-blower", dashed(SOFT)),
          Map.entry("duct-fan", attributes("fill", "#FFFFFF", "stroke", INK)),
          Map.entry("scale-stem", stroked(LINE)),
          Map.entry("scale-allowed", attributes("fill", "#CBE3DB")),
          Map.entry("scale-tick", stroked(LINE)),
          Map.entry("scale-coolant", attributes("fill", INK)),
          Map.entry("focus-dot", attributes("fill", RED)),
          Map.entry("focus-beam", stroked(RED)),
          Map.entry("field-frame", stroked(LINE)),
          Map.entry("field-left", stroked(INK)),
          Map.entry("field-place", attributes("fill", SOFT)),
          Map.entry(
              "field-error", attributes("fill", "none", "stroke-width", "1.5", "stroke", RED)),
          Map.entry("meter-scale", stroked(LINE)),
          Map.entry("meter-red", attributes("fill", "none", "stroke-width", "3", "stroke", RED)),
          Map.entry("meter-needle", attributes("fill", "none", "stroke-width", "2", "stroke", INK)),
          Map.entry("power-after", dashed(GREEN)),
          Map.entry("power-now", stroked(RED)),
          Map.entry("mark-number", attributes("fill", "#FFFFFF")),
          Map.entry("photo-mark", attributes("fill", RED, "stroke", "#FFFFFF")),
          Map.entry("photo-scale", dashed(AMBER)),
          Map.entry("photo-line", dashed(GREEN)),
          Map.entry("photo-width", stroked(RED)),
          Map.entry("photo-focus", stroked(GREEN)),
          Map.entry("card-open", dashed(SOFT)),
          Map.entry("card-bare", stroked(LINE)),
          Map.entry("card-line", stroked(GREEN)),
          Map.entry("card-ring", stroked(RED)),
          Map.entry("card-tone-0", attributes("fill", "#FFFFFF", "stroke", LINE)),
          Map.entry("card-tone-1", attributes("fill", "#E9E8E7", "stroke", LINE)),
          Map.entry("card-tone-2", attributes("fill", "#D3D1CF", "stroke", LINE)),
          Map.entry("card-tone-3", attributes("fill", "#BDBAB7", "stroke", LINE)),
          Map.entry("card-tone-4", attributes("fill", "#A7A3A0", "stroke", LINE)),
          Map.entry("card-tone-5", attributes("fill", "#918C88", "stroke", LINE)),
          Map.entry("card-tone-6", attributes("fill", "#7B7570", "stroke", LINE)),
          Map.entry("card-tone-7", attributes("fill", "#655E59", "stroke", LINE)),
          Map.entry("card-tone-8", attributes("fill", "#4F4741", "stroke", LINE)),
          Map.entry("card-tone-9", attributes("fill", "#393029", "stroke", LINE)),
          Map.entry("card-tone-10", attributes("fill", "#241A12", "stroke", LINE)),
          Map.entry("square-button", attributes("fill", INK)),
          Map.entry("weeks-band", attributes("fill", "#F6E1D8")),
          Map.entry("cause-likeliest", attributes("fill", RED)),
          Map.entry("cause-other", attributes("fill", LINE)),
          Map.entry("mount-plate", stroked(LINE)),
          Map.entry("mirror-mount", stroked(LINE)),
          Map.entry("mount-pivot", attributes("fill", SOFT)),
          Map.entry("mount-screw", stroked(INK)),
          Map.entry("turn-arrow", stroked(RED)),
          Map.entry("turn-head", stroked(RED)));

  /** A little more than a letter needs, for what stands on a line. */
  private static final double LETTER_WIDTH = 6.6;

  private final double width;
  private final double height;
  private final SvgWriter svg;

  public SvgCanvas(double width, double height) {
    this.width = width;
    this.height = height;
    svg =
        new SvgWriter(
            "width",
            whole(width),
            "height",
            whole(height),
            "font-family",
            "Inter, DejaVu",
            "font-size",
            "11",
            "text-anchor",
            "middle");
  }

  private static Map<String, String> stroked(String colour) {
    return attributes("fill", "none", "stroke", colour);
  }

  private static Map<String, String> dashed(String colour) {
    return attributes("fill", "none", "stroke", colour, "stroke-dasharray", "4 3");
  }

  private static String whole(double value) {
    return String.format(Locale.ROOT, "%.0f", value);
  }

  private static String tenth(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }

  /**
   * @param words of the element; empty where it has none
   */
  private Mark add(
      String element, Map<String, String> place, Map<String, String> look, String words) {
    Map<String, String> attributes = new LinkedHashMap<>(place);
    attributes.putAll(look);
    svg.element(element, attributes, words);
    return new Plain();
  }

  private static Map<String, String> look(String look) {
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
    return add(
        "circle", attributes("cx", tenth(x), "cy", tenth(y), "r", tenth(radius)), look(look), "");
  }

  @Override
  public Mark line(double fromX, double fromY, double toX, double toY, String look) {
    return add(
        "line",
        attributes("x1", tenth(fromX), "y1", tenth(fromY), "x2", tenth(toX), "y2", tenth(toY)),
        look(look),
        "");
  }

  @Override
  public Mark arc(
      double x, double y, double radius, double startDeg, double lengthDeg, String look) {
    double from = Math.toRadians(startDeg);
    double to = Math.toRadians(startDeg + lengthDeg);
    String path =
        String.format(
            Locale.ROOT,
            "M %.1f %.1f A %.1f %.1f 0 %d %d %.1f %.1f",
            x + radius * Math.cos(from),
            y - radius * Math.sin(from),
            radius,
            radius,
            Math.abs(lengthDeg) > 180 ? 1 : 0,
            lengthDeg > 0 ? 0 : 1,
            x + radius * Math.cos(to),
            y - radius * Math.sin(to));
    return add("path", attributes("d", path), look(look), "");
  }

  private static Map<String, String> box(double x, double y, double wide, double high) {
    return attributes(
        "x",
        tenth(x),
        "y",
        tenth(y),
        "width",
        tenth(Math.max(0, wide)),
        "height",
        tenth(Math.max(0, high)));
  }

  @Override
  public Mark rectangle(double x, double y, double wide, double high, String look) {
    return add("rect", box(x, y, wide, high), look(look), "");
  }

  @Override
  public Mark image(byte[] png, double x, double y, double wide, double high) {
    svg.image(png, box(x, y, wide, high));
    return new Plain();
  }

  @Override
  public Mark words(String words, double x, double y, double wide, String look) {
    return words.isEmpty()
        ? new Plain()
        : add("text", attributes("x", tenth(x), "y", tenth(y + 4)), look(look), words);
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
    add("rect", box(x - wide / 2, y - 7, wide, 14), attributes("fill", "#FFFFFF"), "");
    return words(words, x, y, width, look);
  }

  /** The picture, whole. */
  public String svg() {
    return svg.svg();
  }
}
