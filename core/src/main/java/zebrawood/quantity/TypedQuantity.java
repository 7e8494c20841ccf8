package zebrawood.quantity;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a person meant by a typed number: {@code 6.35}, {@code 6,35}, {@code 1/4 in}, {@code 1
 * 1/4"}, {@code 3 thou}, {@code 250 um}, {@code 68 °F}, {@code 2 kW}. A number without a unit is in
 * the unit on show.
 */
public sealed interface TypedQuantity {
  /** Nothing but blanks. */
  record Empty() implements TypedQuantity {}

  /**
   * @param canonical the value in the quantity's canonical unit
   * @param unit the unit that was typed or, without one, is shown
   * @param plainly whether it was a bare decimal number in the unit shown, so that nothing needs to
   *     be restated
   */
  record Understood(double canonical, Unit unit, boolean plainly) implements TypedQuantity {}

  /** No number, or no number that exists. */
  record NoNumber() implements TypedQuantity {}

  record UnknownUnit(String unit) implements TypedQuantity {}

  Pattern SHAPE =
      Pattern.compile(
          "(?<sign>[+-])?\\s*(?:(?<whole>\\d{1,12})[\\s-]+)?(?<number>\\d{1,15}(?:[.,]\\d{0,30})?|[.,]\\d{1,30})"
              + "(?<power>[eE][+-]?\\d{1,3})?(?:\\s*/\\s*(?<under>\\d{1,9}))?\\s*(?<unit>[^\\d\\s.,].*)?");

  static TypedQuantity read(String typed, Quantity quantity, Unit shown) {
    String text = typed.strip().replace('\u2212', '-');
    if (text.isEmpty()) {
      return new Empty();
    }
    Matcher m = SHAPE.matcher(text);
    if (!m.matches()) {
      return new NoNumber();
    }
    double value =
        Double.parseDouble(
            m.group("number").replace(',', '.')
                + (m.group("power") == null ? "" : m.group("power")));
    boolean fraction = m.group("under") != null;
    if (fraction) {
      value /= Double.parseDouble(m.group("under"));
    }
    if (m.group("whole") != null) {
      if (!fraction) {
        return new NoNumber();
      }
      value += Double.parseDouble(m.group("whole"));
    }
    String words = m.group("unit") == null ? "" : m.group("unit").strip().replaceAll("\\.$", "");
    Optional<Unit> unit = words.isEmpty() ? Optional.of(shown) : quantity.spelled(words);
    if (unit.isEmpty()) {
      return new UnknownUnit(words);
    }
    double canonical = unit.get().toCanonical("-".equals(m.group("sign")) ? -value : value);
    if (!Double.isFinite(canonical)) {
      return new NoNumber();
    }
    boolean plainly = !fraction && unit.get().equals(shown);
    return new Understood(canonical + 0.0, unit.get(), plainly);
  }
}
