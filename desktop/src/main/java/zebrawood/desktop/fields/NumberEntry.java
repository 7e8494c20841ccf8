package zebrawood.desktop.fields;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Numbers;
import zebrawood.measure.TypedLength;

/**
 * A number with its unit as it is typed; a temperature may be typed in Fahrenheit, a length in
 * inches.
 */
public final class NumberEntry implements TypedEntry {
  private static final Pattern SHAPE =
      Pattern.compile("([+-]?\\d+(?:[.,]\\d*)?|[+-]?[.,]\\d+)\\s*(\\S*)");

  private final String name;
  private final String unit;
  private final double least;
  private final double most;
  private final StringProperty text = new SimpleStringProperty("");
  private final ReadOnlyStringWrapper problem = new ReadOnlyStringWrapper("");
  private OptionalDouble value = OptionalDouble.empty();
  private boolean plainly = true;

  /**
   * @param unit as shown, such as "°C", "%" or "W"
   */
  public NumberEntry(String name, String unit, double least, double most) {
    this.name = name;
    this.unit = unit;
    this.least = least;
    this.most = most;
    text.subscribe((before, now) -> understand());
  }

  private void understand() {
    Optional<Double> read = read();
    boolean usable = read.filter(v -> v >= least && v <= most).isPresent();
    value = usable ? OptionalDouble.of(read.get()) : OptionalDouble.empty();
    problem.set(
        usable || isEmpty()
            ? ""
            : "%s: \"%s\" is not usable. Accepted is a number from %s to %s %s."
                .formatted(name, text().strip(), Numbers.plain(least), Numbers.plain(most), unit));
  }

  private Optional<Double> read() {
    if (unit.equals("mm")) {
      return length();
    }
    Matcher m = SHAPE.matcher(text().strip().replace('\u2212', '-'));
    if (!m.matches()) {
      return Optional.empty();
    }
    double number = Double.parseDouble(m.group(1).replace(',', '.'));
    String typedUnit = m.group(2).replace("°", "").toLowerCase(Locale.ROOT);
    String own = unit.replace("°", "").toLowerCase(Locale.ROOT);
    plainly = typedUnit.isEmpty() || typedUnit.equals(own);
    if (plainly) {
      return Optional.of(number);
    }
    return own.equals("c") && typedUnit.equals("f")
        ? Optional.of((number - 32) * 5 / 9)
        : Optional.empty();
  }

  private Optional<Double> length() {
    if (TypedLength.read(text(), LengthUnit.MILLIMETRE)
        instanceof TypedLength.Understood(double mm, boolean bare)) {
      plainly = bare;
      return Optional.of(mm);
    }
    plainly = true;
    return Optional.empty();
  }

  @Override
  public String name() {
    return name;
  }

  public String unit() {
    return unit;
  }

  @Override
  public StringProperty textProperty() {
    return text;
  }

  @Override
  public ReadOnlyStringProperty problemProperty() {
    return problem.getReadOnlyProperty();
  }

  /** The number, when there is one that can be used. */
  public OptionalDouble value() {
    return value;
  }

  /** The number of a field that is known to have one. */
  public double number() {
    return value.orElseThrow();
  }

  /** Whether anything is typed in one of them. */
  public static boolean begun(List<NumberEntry> entries) {
    return entries.stream().anyMatch(e -> !e.isEmpty());
  }

  public void set(double number) {
    text.set(Numbers.plain(number));
  }

  @Override
  public String understood() {
    return value.isPresent() && !plainly
        ? "%s: %s is %s %s"
            .formatted(name, text().strip(), Numbers.fixed(value.getAsDouble(), 1), unit)
        : "";
  }
}
