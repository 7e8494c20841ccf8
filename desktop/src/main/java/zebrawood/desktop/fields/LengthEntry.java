package zebrawood.desktop.fields;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Numbers;
import zebrawood.measure.TypedLength;

/**
 * A length as it is typed. The text is kept as typed, whatever it is; {@link #mm} is there when it
 * can be used, {@link #problemProperty} says why it cannot.
 */
public final class LengthEntry implements TypedEntry {
  private static final double SHOWN_STEPS = 10_000;

  /** The length behind a text that shows it rounded. */
  private record Exact(String text, LengthUnit unit, double mm) {}

  private final String name;
  private double leastMm;
  private final double mostMm;
  private final boolean zeroAllowed;
  private LengthUnit unit;
  private final StringProperty text = new SimpleStringProperty("");
  private final ReadOnlyStringWrapper problem = new ReadOnlyStringWrapper("");
  private TypedLength typed = new TypedLength.Empty();
  private Optional<Exact> exact = Optional.empty();
  private Optional<Function<String, String>> judge = Optional.empty();

  /**
   * @param name the field's name in a sentence, such as "Front left"
   * @param leastMm least value accepted, or 0 excluded when {@code zeroAllowed} is false
   */
  public LengthEntry(
      String name, double leastMm, double mostMm, boolean zeroAllowed, LengthUnit unit) {
    this.name = name;
    this.leastMm = leastMm;
    this.mostMm = mostMm;
    this.zeroAllowed = zeroAllowed;
    this.unit = unit;
    text.subscribe((before, now) -> understand());
  }

  /** Takes the text for something else than a length; the judge says what is wrong with it. */
  public void readAs(Function<String, String> otherJudge) {
    judge = Optional.of(otherJudge);
    understand();
  }

  /** Takes the text for a length of at least this much. */
  public void readAsLength(double leastAcceptedMm) {
    judge = Optional.empty();
    leastMm = leastAcceptedMm;
    understand();
  }

  private void understand() {
    if (judge.isPresent()) {
      typed = new TypedLength.NotUnderstood("");
      problem.set(text.get().isBlank() ? "" : judge.get().apply(text.get()));
      return;
    }
    typed =
        exact
            .filter(e -> e.text().equals(text.get()) && e.unit() == unit)
            .<TypedLength>map(e -> new TypedLength.Understood(e.mm(), true))
            .orElseGet(() -> TypedLength.read(text.get(), unit));
    problem.set(
        switch (typed) {
          case TypedLength.Empty e -> "";
          case TypedLength.NotUnderstood(String because) ->
              "%s: \"%s\" %s. Accepted is %s."
                  .formatted(name, text.get().strip(), because, TypedLength.ACCEPTED);
          case TypedLength.Understood(double mm, boolean plainly)
              when !(mm >= leastMm && mm <= mostMm && (zeroAllowed || mm != 0)) ->
              "%s: %s is out of range. Accepted is %s to %s."
                  .formatted(
                      name,
                      shown(mm),
                      zeroAllowed ? "from " + shown(leastMm) : "more than " + shown(leastMm),
                      shown(mostMm));
          case TypedLength.Understood u -> "";
        });
  }

  private String shown(double mm) {
    return Numbers.plain(Math.round(unit.fromMm(mm) * SHOWN_STEPS) / SHOWN_STEPS)
        + " "
        + unit.symbol();
  }

  @Override
  public String name() {
    return name;
  }

  @Override
  public StringProperty textProperty() {
    return text;
  }

  @Override
  public ReadOnlyStringProperty problemProperty() {
    return problem.getReadOnlyProperty();
  }

  /** The length, when there is one that can be used. */
  public OptionalDouble mm() {
    return typed instanceof TypedLength.Understood(double mm, boolean plainly)
            && problem.get().isEmpty()
        ? OptionalDouble.of(mm)
        : OptionalDouble.empty();
  }

  /** How a text with a unit or fraction was understood, such as "1/4 in is 6.35 mm"; else empty. */
  @Override
  public String understood() {
    return typed instanceof TypedLength.Understood(double mm, boolean plainly) && !plainly
        ? "%s: %s is %s".formatted(name, text.get().strip(), shown(mm))
        : "";
  }

  /** Shows a length to a ten-thousandth and keeps it exact until something else is typed. */
  public void setMm(double mm) {
    String rounded = Numbers.plain(Math.round(unit.fromMm(mm) * SHOWN_STEPS) / SHOWN_STEPS);
    exact = Optional.of(new Exact(rounded, unit, mm));
    if (rounded.equals(text.get())) {
      understand();
    } else {
      text.set(rounded);
    }
  }

  /**
   * Shows bare numbers in another unit; the length stays, and so does a text that names its unit.
   */
  public void setUnit(LengthUnit now) {
    if (now == unit) {
      return;
    }
    OptionalDouble before =
        typed instanceof TypedLength.Understood(double mm, boolean plainly) && plainly
            ? OptionalDouble.of(mm)
            : OptionalDouble.empty();
    unit = now;
    before.ifPresentOrElse(this::setMm, this::understand);
  }
}
