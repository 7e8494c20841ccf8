package zebrawood.desktop.station;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.words.Message;

/**
 * The ways to read one thing, each declared once: what it needs, what of it is shown, and what is
 * made of it. Which one counts is chosen in a field.
 *
 * <pre>{@code
 * ways = new Ways<>(way, Map.of(
 *     GAUGE, way(() -> new ByGauge(gauge.number(), gaugeRead.value()), needs(gauge), shows(rows(gaugeRead))),
 *     RAMP, way(() -> new ByRamp(ramp(rows)), needs(run, rise), table(rows, 5, "focus.wait.widths", ...))));
 * }</pre>
 *
 * @param <E> the ways
 * @param <T> what is made of a reading
 */
public final class Ways<E extends Enum<E>, T> {
  private final ChoiceField<E> chosen;
  private final Map<E, Way<T>> ways;

  /**
   * @param ways one for each constant
   */
  public Ways(ChoiceField<E> chosen, Map<E, Way<T>> ways) {
    this.chosen = chosen;
    this.ways = new EnumMap<>(ways);
    if (!this.ways.keySet().containsAll(chosen.offered())) {
      throw new IllegalArgumentException("a way of " + chosen.name() + " is not declared");
    }
  }

  /**
   * One way.
   *
   * @param read makes a reading of what is typed, once all that it needs is there
   * @param asks in the order in which they stand on the sheet
   */
  public record Way<T>(Supplier<T> read, List<Ask> asks) {
    public Way {
      asks = List.copyOf(asks);
    }
  }

  /**
   * Something that a way asks for.
   *
   * @param needed fields that must be filled
   * @param used other fields that count when they are filled
   * @param waitsFor what else is still to be read, in words
   * @param part as it stands on the sheet; empty where it stands elsewhere
   */
  public record Ask(
      Supplier<Stream<? extends Field>> needed,
      Supplier<Stream<? extends Field>> used,
      Supplier<Optional<Message>> waitsFor,
      Optional<Part> part) {}

  public static <T> Way<T> way(Supplier<T> read, Ask... asks) {
    return new Way<>(read, List.of(asks));
  }

  private static Ask ask(
      Supplier<Stream<? extends Field>> needed,
      Supplier<Stream<? extends Field>> used,
      Optional<Part> part) {
    return new Ask(needed, used, Optional::empty, part);
  }

  /** Fields that must be filled, a row each. */
  public static Ask needs(Field... fields) {
    return ask(() -> Stream.of(fields), Stream::empty, Optional.of(Part.rows(fields)));
  }

  /** Fields that must be filled and stand elsewhere, or in a part of their own. */
  public static Ask needs(Supplier<Stream<? extends Field>> fields, Part... parts) {
    return ask(fields, Stream::empty, together(parts));
  }

  /** Fields that count where they are filled, a row each. */
  public static Ask takes(Field... fields) {
    return ask(Stream::empty, () -> Stream.of(fields), Optional.of(Part.rows(fields)));
  }

  /** Fields that are needed together, once one of them is begun. */
  public static Ask together(List<QuantityField> fields, Part... parts) {
    return ask(
        () -> QuantityField.begun(fields) ? fields.stream() : Stream.empty(),
        fields::stream,
        together(parts));
  }

  /** What only stands there. */
  public static Ask shows(Part... parts) {
    return ask(Stream::empty, Stream::empty, together(parts));
  }

  private static Optional<Part> together(Part... parts) {
    return parts.length == 0 ? Optional.empty() : Optional.of(new Part.Together(List.of(parts)));
  }

  /**
   * Rows of which so many are needed.
   *
   * @param least how many must be begun
   * @param waits the key of what is said while there are fewer, with how many are missing
   */
  public static Ask rows(Group<?> group, int least, String waits, Part part) {
    return new Ask(
        () -> group.fieldsBegun().stream(),
        Stream::empty,
        () -> {
          int missing = least - group.begun().size();
          return missing > 0 ? Optional.of(Message.of(waits, missing)) : Optional.empty();
        },
        Optional.of(part));
  }

  /** The way that counts. */
  public E chosen() {
    return chosen.get();
  }

  private Way<T> way() {
    return ways.get(chosen.get());
  }

  /** The fields that must be filled as it is read now. */
  public Stream<Field> needed() {
    return way().asks().stream().flatMap(a -> a.needed().get());
  }

  /** The fields that count as it is read now. */
  public Stream<Field> used() {
    return Stream.concat(needed(), way().asks().stream().flatMap(a -> a.used().get()));
  }

  /** What is still to be read, in words. */
  public Optional<Message> waitsFor() {
    return way().asks().stream().flatMap(a -> a.waitsFor().get().stream()).findFirst();
  }

  /** What is typed, understood. */
  public T read() {
    return way().read().get();
  }

  /** The choice, and what it means. */
  public Part choice() {
    return Part.explained(chosen);
  }

  /** What the chosen way asks for. */
  public Part parts() {
    return new Part.Redrawn(
        chosen.valueProperty(),
        () -> way().asks().stream().flatMap(a -> a.part().stream()).toList());
  }
}
