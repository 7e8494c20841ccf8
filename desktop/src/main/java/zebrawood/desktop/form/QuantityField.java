package zebrawood.desktop.form;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.regex.Pattern;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Numbers;
import zebrawood.quantity.Quantity;
import zebrawood.quantity.TypedQuantity;
import zebrawood.quantity.Unit;
import zebrawood.words.Message;

/**
 * A number with its unit as it is typed. The text is kept as typed, whatever it is; {@link #value}
 * is there when it can be used. What is typed without a unit is in the unit shown.
 */
public final class QuantityField extends Field implements TypedField {
  private static final int SHOWN_DECIMALS = 4;

  /** A number as programs write it. */
  private static final Pattern PLAIN = Pattern.compile("[-+]?\\d+\\.\\d+");

  /** Of what is less than a thousandth in the unit shown. */
  private static final int SHOWN_DIGITS = 3;

  /** The value behind a text that shows it rounded. */
  private record Exact(String text, Unit unit, double canonical) {}

  private final Quantity quantity;
  private double least;
  private final double most;
  private final boolean leastExcluded;
  private final ReadOnlyObjectWrapper<Unit> shown = new ReadOnlyObjectWrapper<>();
  private DisplayUnits units;

  /** The unit of a device that it is read from, whatever is shown elsewhere. */
  private Optional<DisplayUnits.Length> readFrom = Optional.empty();

  private final StringProperty text = new SimpleStringProperty("");
  private final ReadOnlyObjectWrapper<Optional<Message>> problem =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private TypedQuantity typed = new TypedQuantity.Empty();
  private Optional<Exact> exact = Optional.empty();
  private Optional<Function<String, Optional<Message>>> judge = Optional.empty();

  /**
   * @param least in the canonical unit, as {@code most}; 0 is excluded where {@code leastExcluded}
   */
  QuantityField(
      String name,
      Message label,
      Quantity quantity,
      double least,
      double most,
      boolean leastExcluded,
      DisplayUnits units) {
    super(name, label);
    this.quantity = quantity;
    this.least = least;
    this.most = most;
    this.leastExcluded = leastExcluded;
    this.units = units;
    shown.set(quantity.shownIn(units));
    text.subscribe((before, now) -> {
      understand();
      changed();
    });
  }

  /** Takes the text for something else than a number; the judge says what is wrong with it. */
  public void readAs(Function<String, Optional<Message>> otherJudge) {
    judge = Optional.of(otherJudge);
    understand();
  }

  /** Takes the text for a number of at least this much. */
  public void readAsNumber(double leastAccepted) {
    judge = Optional.empty();
    least = leastAccepted;
    understand();
  }

  private void understand() {
    if (judge.isPresent()) {
      typed = new TypedQuantity.NoNumber();
      problem.set(text.get().isBlank() ? Optional.empty() : judge.get().apply(text.get()));
      return;
    }
    typed =
        exact
            .filter(e -> e.text().equals(text.get()) && e.unit().equals(shown.get()))
            .<TypedQuantity>map(e -> new TypedQuantity.Understood(e.canonical(), shown.get(), true))
            .orElseGet(() -> TypedQuantity.read(text.get(), quantity, shown.get()));
    problem.set(
        switch (typed) {
          case TypedQuantity.Empty e -> Optional.empty();
          case TypedQuantity.NoNumber n ->
              Optional.of(Message.of("form.no-number", label(), quoted(), range()));
          case TypedQuantity.UnknownUnit(String unit) ->
              Optional.of(
                  Message.of(
                      "form.unknown-unit", label(), quoted(), Message.quoted(unit), symbols()));
          case TypedQuantity.Understood(double v, Unit u, boolean p) when !inRange(v) ->
              Optional.of(
                  Message.of("form.out-of-range", label(), Amount.plain(v, quantity), range()));
          case TypedQuantity.Understood u -> Optional.empty();
        });
  }

  /** The least that is accepted, in the canonical unit. */
  public double least() {
    return least;
  }

  /** The most that is accepted, in the canonical unit. */
  public double most() {
    return most;
  }

  private boolean inRange(double v) {
    return v >= least && v <= most && !(leastExcluded && v == least);
  }

  private Message quoted() {
    return Message.quoted(text.get().strip());
  }

  private Message range() {
    Amount from = Amount.plain(least, quantity);
    return Message.of(
        leastExcluded ? "form.more-than" : "form.from", from, Amount.plain(most, quantity));
  }

  private Message symbols() {
    List<String> all =
        quantity.units().stream().map(Unit::symbol).filter(s -> !s.isEmpty()).toList();
    return all.isEmpty() ? Message.of("form.no-unit") : Message.verbatim(String.join(", ", all));
  }

  /** The unit in which it is shown and typed. */
  public ReadOnlyObjectProperty<Unit> shownUnitProperty() {
    return shown.getReadOnlyProperty();
  }

  public Quantity quantity() {
    return quantity;
  }

  /** The symbol of the unit that is shown; empty for a bare number. */
  public String symbol() {
    return shown.get().symbol();
  }

  @Override
  public StringProperty textProperty() {
    return text;
  }

  @Override
  public ReadOnlyObjectProperty<Optional<Message>> problemProperty() {
    return problem.getReadOnlyProperty();
  }

  @Override
  public Optional<Message> problem() {
    return problem.get();
  }

  @Override
  public boolean isEmpty() {
    return text.get().isBlank();
  }

  /** The value in the canonical unit, when there is one that can be used. */
  public OptionalDouble value() {
    return typed instanceof TypedQuantity.Understood(double v, Unit u, boolean p)
            && problem.get().isEmpty()
        ? OptionalDouble.of(v)
        : OptionalDouble.empty();
  }

  /** The value of a field that is known to have one. */
  public double number() {
    return value().orElseThrow();
  }

  @Override
  public Optional<Message> understood() {
    return typed instanceof TypedQuantity.Understood(double v, Unit u, boolean plainly) && !plainly
        ? Optional.of(Message.of("form.understood", label(), quoted(), Amount.plain(v, quantity)))
        : Optional.empty();
  }

  /** Whether anything is typed in one of them. */
  public static boolean begun(List<? extends Field> fields) {
    return fields.stream().anyMatch(f -> !f.isEmpty());
  }

  /**
   * Shows a value to four decimals, a small one to three digits, and keeps it exact until something
   * else is typed.
   */
  public void set(double canonical) {
    double inUnit = shown.get().fromCanonical(canonical);
    String rounded =
        Math.abs(inUnit) < 1e-3 && inUnit != 0
            ? Numbers.significant(inUnit, SHOWN_DIGITS)
            : Numbers.plain(
                quantity.isCanonical(shown.get())
                    ? inUnit
                    : Numbers.rounded(inUnit, SHOWN_DECIMALS));
    String written = Text.words().language().written(rounded);
    exact = Optional.of(new Exact(written, shown.get(), canonical));
    if (written.equals(text.get())) {
      understand();
      changed();
    } else {
      text.set(written);
    }
  }

  /** Takes bare lengths in the unit of the device that they are read from, while it is known. */
  public void readIn(Optional<DisplayUnits.Length> unit) {
    readFrom = unit;
    setUnits(units);
  }

  @Override
  void setUnits(DisplayUnits now) {
    units = now;
    Unit before = shown.get();
    shown.set(quantity.shownIn(readFrom.map(now::with).orElse(now)));
    if (before.equals(shown.get())) {
      return;
    }
    if (judge.isEmpty()
        && typed instanceof TypedQuantity.Understood(double v, Unit u, boolean plainly)
        && plainly) {
      set(v);
    } else {
      understand();
    }
  }

  /** In the canonical unit, or with the unit that it is in. */
  @Override
  String kept() {
    if (judge.isEmpty()
        && typed instanceof TypedQuantity.Understood(double v, Unit u, boolean plainly)
        && plainly
        && !quantity.isCanonical(shown.get())) {
      boolean isExact = exact.filter(e -> e.text().equals(text.get())).isPresent();
      return isExact ? precise(v) : text.get().strip() + " " + shown.get().symbol();
    }
    return exact
        .filter(e -> e.text().equals(text.get()) && quantity.isCanonical(e.unit()))
        .map(e -> precise(e.canonical()))
        .orElse(text.get());
  }

  private static String precise(double v) {
    String plain = Numbers.plain(v);
    return Double.parseDouble(plain) == v ? plain : Numbers.exact(v);
  }

  @Override
  void restore(String kept, DisplayUnits bare) {
    Unit keptIn = quantity.shownIn(bare);
    if (judge.isEmpty()
        && !keptIn.equals(shown.get())
        && TypedQuantity.read(kept, quantity, keptIn)
            instanceof TypedQuantity.Understood(double v, Unit u, boolean plainly)
        && plainly) {
      set(v);
    } else if (judge.isEmpty()
        && TypedQuantity.read(kept, quantity, keptIn)
            instanceof TypedQuantity.Understood(double v, Unit u, boolean plainly)
        && u.equals(shown.get())
        && !quantity.isCanonical(u)) {
      // It was typed in the unit that is shown: the text is shown as it was typed.
      text.set(kept.strip().substring(0, kept.strip().length() - u.symbol().length()).strip());
    } else {
      text.set(PLAIN.matcher(kept).matches() ? Text.words().language().written(kept) : kept);
    }
  }

  @Override
  void clear() {
    text.set("");
  }
}
