package zebrawood.measure;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a person meant by a typed length: {@code 6.35}, {@code 6,35}, {@code 1/4 in}, {@code 1
 * 1/4"}, {@code 0.25"}, {@code 3 thou}, {@code 250 um}. A number without a unit is in the unit on
 * show.
 */
public sealed interface TypedLength {
  /** Nothing but blanks. */
  record Empty() implements TypedLength {}

  /**
   * @param mm the length
   * @param plainly whether it was a bare decimal number, so that nothing needs to be restated
   */
  record Understood(double mm, boolean plainly) implements TypedLength {}

  /**
   * @param because what could not be read, to follow the typed text in a sentence
   */
  record NotUnderstood(String because) implements TypedLength {}

  /** What is accepted, for the sentence of a refusal. */
  String ACCEPTED = "a length such as 6.35, 6,35, 1/4 in, 0.25\", 3 thou or 250 um";

  Pattern SHAPE =
      Pattern.compile(
          "(?<sign>[+-])?\\s*(?:(?<whole>\\d+)[\\s-]+)?(?<number>\\d+(?:[.,]\\d*)?|[.,]\\d+)"
              + "(?:\\s*/\\s*(?<under>\\d+))?\\s*(?<unit>[a-z\"'”″]*)\\.?");

  Map<String, Double> UNITS_MM =
      Map.ofEntries(
          Map.entry("mm", 1.0),
          Map.entry("cm", 10.0),
          Map.entry("m", 1000.0),
          Map.entry("um", 0.001),
          Map.entry("micron", 0.001),
          Map.entry("microns", 0.001),
          Map.entry("in", 25.4),
          Map.entry("inch", 25.4),
          Map.entry("inches", 25.4),
          Map.entry("\"", 25.4),
          Map.entry("”", 25.4),
          Map.entry("″", 25.4),
          Map.entry("''", 25.4),
          Map.entry("thou", 0.0254),
          Map.entry("mil", 0.0254),
          Map.entry("mils", 0.0254));

  static TypedLength read(String typed, LengthUnit shown) {
    String text = typed.strip().toLowerCase(Locale.ROOT);
    if (text.isEmpty()) {
      return new Empty();
    }
    // A minus sign copied from a document, and both micro signs, mean what they look like.
    text = text.replace('\u2212', '-').replace('\u00b5', 'u').replace('\u03bc', 'u');
    Matcher m = SHAPE.matcher(text);
    if (!m.matches()) {
      return new NotUnderstood("is not a length");
    }
    String unit = m.group("unit");
    if (!unit.isEmpty() && !UNITS_MM.containsKey(unit)) {
      return new NotUnderstood("has the unknown unit \"" + unit + "\"");
    }
    double value = Double.parseDouble(m.group("number").replace(',', '.'));
    boolean fraction = m.group("under") != null;
    if (fraction) {
      double under = Double.parseDouble(m.group("under"));
      if (under == 0) {
        return new NotUnderstood("divides by zero");
      }
      value /= under;
    }
    if (m.group("whole") != null) {
      if (!fraction) {
        return new NotUnderstood("has two numbers that are no fraction");
      }
      value += Double.parseDouble(m.group("whole"));
    }
    double signed = "-".equals(m.group("sign")) ? -value : value;
    double mm = unit.isEmpty() ? shown.toMm(signed) : signed * UNITS_MM.get(unit);
    boolean plainly = !fraction && (unit.isEmpty() || unit.equals(shown.symbol()));
    return new Understood(mm + 0.0, plainly);
  }
}
