package zebrawood.desktop.form;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Message;

/** One of a few constants, whose words stand in the bundles under their own keys. */
public final class ChoiceField<E extends Enum<E>> extends Field {
  private final List<E> offered;
  private final E first;
  private final ObjectProperty<E> value;

  /** What was kept and is no constant of this version: it goes back as it came. */
  private Optional<String> notKnown = Optional.empty();

  ChoiceField(String name, Message label, List<E> offered, E first) {
    super(name, label);
    this.offered = List.copyOf(offered);
    this.first = first;
    value = new SimpleObjectProperty<>(first);
    value.subscribe((before, now) -> {
      notKnown = Optional.empty();
      changed();
    });
  }

  public List<E> offered() {
    return offered;
  }

  public ObjectProperty<E> valueProperty() {
    return value;
  }

  public E get() {
    return value.get();
  }

  public void set(E constant) {
    value.set(constant);
  }

  /** A reading that nobody chose is none. */
  @Override
  String kept() {
    return notKnown.orElse(isReading() && isEmpty() ? "" : value.get().name());
  }

  /** A constant that this version has not leaves what stands there. */
  @Override
  void restore(String kept, DisplayUnits bare) {
    if (kept.isEmpty()) {
      clear();
      return;
    }
    Optional<E> known = offered.stream().filter(c -> c.name().equals(kept)).findFirst();
    known.ifPresent(value::set);
    notKnown = known.isPresent() ? Optional.empty() : Optional.of(kept);
  }

  @Override
  void clear() {
    value.set(first);
  }

  /** A choice is always made; what was chosen is no reading until something is typed. */
  @Override
  public boolean isEmpty() {
    return value.get() == first;
  }

  @Override
  public Optional<Message> problem() {
    return Optional.empty();
  }
}
