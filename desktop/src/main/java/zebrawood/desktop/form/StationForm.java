package zebrawood.desktop.form;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * The fields of one sheet or card: each is kept under a name of its own, and a change of any is
 * told once.
 */
public final class StationForm {
  /** The first version kept the unit of the bed's bare lengths under this name. */
  private static final String FIRST_VERSIONS_UNIT = "unit";

  private final String station;
  private DisplayUnits units;
  private final Map<String, Field> fields = new LinkedHashMap<>();
  private final List<Group<?>> groups = new ArrayList<>();

  /** What was kept under names that this version has not; it goes back as it came. */
  private final Map<String, String> notKnown = new LinkedHashMap<>();

  private Optional<List<Field>> collecting = Optional.empty();
  private Runnable onChange = () -> {};
  private int quiet;
  private boolean missed;

  /**
   * @param station begins the keys of the fields' words
   */
  public StationForm(String station, DisplayUnits units) {
    this.station = station;
    this.units = units;
  }

  public String station() {
    return station;
  }

  public DisplayUnits units() {
    return units;
  }

  DisplayUnits canonical() {
    return DisplayUnits.METRIC;
  }

  private Message labelOf(String name) {
    return Message.of(
        station + ".field." + name.replaceFirst("^(reading|visit)\\.", "").replace('_', '-'));
  }

  public QuantityField quantity(String name, Quantity quantity, double least, double most) {
    return quantity(name, labelOf(name), quantity, least, most);
  }

  public QuantityField quantity(
      String name, Message label, Quantity quantity, double least, double most) {
    return keep(new QuantityField(name, label, quantity, least, most, false, units));
  }

  /** A number more than 0. */
  public QuantityField positive(String name, Quantity quantity, double most) {
    return positive(name, labelOf(name), quantity, most);
  }

  public QuantityField positive(String name, Message label, Quantity quantity, double most) {
    return keep(new QuantityField(name, label, quantity, 0, most, true, units));
  }

  public WordsField words(String name) {
    return words(name, words -> {});
  }

  /**
   * @param reader understands the words, or throws {@link UnusableReading}
   */
  public WordsField words(String name, Consumer<String> reader) {
    return words(name, labelOf(name), reader);
  }

  public WordsField words(String name, Message label, Consumer<String> reader) {
    return keep(new WordsField(name, label, reader, false));
  }

  /** What somebody calls something, to be shown and printed: every sign of it can be seen. */
  public WordsField plainWords(String name) {
    return plainWords(name, labelOf(name));
  }

  public WordsField plainWords(String name, Message label) {
    return keep(new WordsField(name, label, words -> {}, true));
  }

  /**
   * Several lengths in one line; one without a unit is in the unit that is shown.
   *
   * @param reader gets them with bare numbers in millimetres
   */
  public WordsField lengths(String name, Consumer<String> reader) {
    WordsField field = words(name, reader);
    field.holdLengths();
    return field;
  }

  public <E extends Enum<E>> ChoiceField<E> choice(String name, Class<E> type, E first) {
    return choice(name, labelOf(name), List.of(type.getEnumConstants()), first);
  }

  public <E extends Enum<E>> ChoiceField<E> choice(
      String name, Message label, List<E> offered, E first) {
    return keep(new ChoiceField<>(name, label, offered, first));
  }

  /** Something to prove that is one of a few, called by its constant and in its words. */
  public ProofField proof(Enum<?> item) {
    return proof(item.name().toLowerCase(java.util.Locale.ROOT), Message.of(item));
  }

  /** Several of them. */
  public <I extends Enum<I>> Proofs<I> proofs(Collection<I> asked) {
    return new Proofs<>(this, asked);
  }

  public ProofField proof(String item, Message what) {
    return keep(new ProofField(item, what));
  }

  /** Rows numbered from 1, none to begin with but these. */
  public <R> Group<R> group(String name, int first, int most, IntFunction<R> make) {
    return group(name, "count." + name, 1, first, 1, most, make);
  }

  /**
   * @param countName under which the count of rows is kept
   * @param firstNumber the number in the names of the first row's fields
   * @param first how many rows there are at first
   */
  public <R> Group<R> group(
      String name,
      String countName,
      int firstNumber,
      int first,
      int least,
      int most,
      IntFunction<R> make) {
    Group<R> group = new Group<>(this, name, countName, firstNumber, least, most, make);
    groups.add(group);
    group.resize(first);
    return group;
  }

  private <F extends Field> F keep(F field) {
    if (fields.put(field.name(), field) != null) {
      throw new IllegalStateException("two fields are named " + field.name());
    }
    collecting.ifPresent(made -> made.add(field));
    String earlier = notKnown.remove(field.name());
    if (earlier != null) {
      // What was kept for a field that was not there yet.
      field.restore(earlier, canonical());
    }
    field.setUnits(units);
    field.setOnChange(this::changed);
    return field;
  }

  <R> R collecting(List<Field> made, Supplier<R> make) {
    Optional<List<Field>> before = collecting;
    collecting = Optional.of(made);
    try {
      return make.get();
    } finally {
      collecting = before;
    }
  }

  void forget(List<Field> gone) {
    gone.forEach(f -> fields.remove(f.name()));
  }

  /** Proofs that are no longer asked. */
  public void forgetProofs(List<ProofField> gone) {
    forget(List.copyOf(gone));
  }

  public Stream<Field> fields() {
    return fields.values().stream();
  }

  /** Whether a count of rows is kept under this name. */
  boolean countsRows(String name) {
    return groups.stream().anyMatch(g -> g.countName().equals(name));
  }

  public Optional<Field> find(String name) {
    return Optional.ofNullable(fields.get(name));
  }

  public Stream<ProofField> proofs() {
    return fields().filter(ProofField.class::isInstance).map(ProofField.class::cast);
  }

  /** Called after every change, once for many at a time. */
  public void setOnChange(Runnable run) {
    onChange = run;
  }

  private void changed() {
    if (quiet > 0) {
      missed = true;
    } else {
      onChange.run();
    }
  }

  /** Tells of all changes once, behind the last. */
  public void allAtOnce(Runnable change) {
    quiet++;
    try {
      change.run();
    } finally {
      quiet--;
    }
    if (quiet == 0) {
      missed = false;
      onChange.run();
    }
  }

  /** Shows values in other units; every value stays what it is. */
  public void setUnits(DisplayUnits now) {
    if (!now.equals(units)) {
      units = now;
      allAtOnce(() -> fields.values().forEach(f -> f.setUnits(now)));
    }
  }

  /** Every field as it is kept, by name; {@link #type} is its inverse. */
  public Map<String, String> typed() {
    Map<String, String> typed = new LinkedHashMap<>(notKnown);
    groups.forEach(g -> typed.put(g.countName(), String.valueOf(g.size())));
    fields.forEach((name, field) -> typed.put(name, field.kept()));
    return typed;
  }

  /** Fills the fields with what was typed before; what is not named stays as it is. */
  public void type(Map<String, String> typed) {
    if (typed.isEmpty()) {
      return;
    }
    DisplayUnits bare =
        "INCH".equals(typed.get(FIRST_VERSIONS_UNIT))
            ? canonical().with(DisplayUnits.Length.INCH)
            : canonical();
    allAtOnce(() -> {
      groups.forEach(g -> g.resizeTo(typed));
      typed.forEach((name, kept) -> {
        if (fields.containsKey(name)) {
          fields.get(name).restore(kept, bare);
        } else if (!name.equals(FIRST_VERSIONS_UNIT)
            && groups.stream().noneMatch(g -> g.countName().equals(name))) {
          notKnown.put(name, kept);
        }
      });
    });
  }

  public void clearReadings() {
    allAtOnce(() -> fields().filter(Field::isReading).toList().forEach(Field::clear));
  }

  /** Forgets what an earlier visit found. */
  public void clearVisit() {
    allAtOnce(() ->
        fields().filter(f -> f.name().startsWith(Field.VISIT)).toList().forEach(Field::clear));
  }

  /** Whether no reading is typed. */
  public boolean nothingRead() {
    return fields().filter(Field::isReading).allMatch(Field::isEmpty);
  }

  /** The first bad field of readings that could not be made. */
  public static Message refusal(UnusableReading e) {
    var first = e.complaints().getFirst();
    return Message.of(
        "form.refused", Message.quoted(first.field()), first.found(), first.accepted());
  }
}
