package zebrawood.desktop.sheet;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.desktop.fields.TypedEntry;

/**
 * The typed fields of a sheet that is made of fields, choices and proofs: each is kept under a name
 * of its own, and a change of any is told once. Knows no scene.
 *
 * @param <I> what is proven by hand
 */
public abstract class AnsweredModel<I> implements EntryDesk.Typed {
  private final Map<String, TypedEntry> fields = new LinkedHashMap<>();
  private final Map<String, Choosing<?>> choices = new LinkedHashMap<>();
  private final Map<I, ObjectProperty<Proven>> proofs = new LinkedHashMap<>();
  private final Function<I, String> nameOf;
  private Consumer<Map<String, String>> onTyped = typed -> {};
  private boolean quiet = true;

  /** A choice with the values it is one of. */
  private record Choosing<E extends Enum<E>>(Class<E> type, ObjectProperty<E> property) {
    String typed() {
      return property.get().name();
    }

    void type(String name) {
      property.set(Enum.valueOf(type, name));
    }
  }

  /**
   * @param nameOf the name that the answer to a proof is kept under
   */
  protected AnsweredModel(Function<I, String> nameOf) {
    this.nameOf = nameOf;
  }

  /** The usual name of a proof that is one of a few. */
  protected static String nameOf(Enum<?> item) {
    return item.name().toLowerCase(Locale.ROOT);
  }

  /** Makes the sheet's outcome anew from what is typed. */
  protected abstract void solve();

  /**
   * Keeps a field under a name; one that begins with {@link EntryDesk#READING} is read anew each
   * time, one that begins with {@link EntryDesk#VISIT} on each visit.
   */
  public final <T extends TypedEntry> T keep(String name, T entry) {
    fields.put(name, entry);
    entry.textProperty().subscribe((before, now) -> changed());
    return entry;
  }

  public final <E extends Enum<E>> ObjectProperty<E> choose(String name, Class<E> type, E first) {
    ObjectProperty<E> property = new SimpleObjectProperty<>(first);
    choices.put(name, new Choosing<>(type, property));
    property.subscribe((before, now) -> changed());
    return property;
  }

  protected final void ask(I item) {
    ObjectProperty<Proven> property = new SimpleObjectProperty<>(Proven.NOT_YET);
    proofs.put(item, property);
    property.subscribe((before, now) -> changed());
  }

  /** Asks these from now on, in this order; what is answered already stays answered. */
  protected final void askOnly(Collection<I> items) {
    Map<I, ObjectProperty<Proven>> before = new LinkedHashMap<>(proofs);
    proofs.clear();
    for (I item : items) {
      if (before.containsKey(item)) {
        proofs.put(item, before.get(item));
      } else {
        ask(item);
      }
    }
  }

  /** The last thing a model's constructor does: from now on every change solves anew. */
  protected final void begin() {
    quiet = false;
    changed();
  }

  /** What is to be proven, in the order of the work. */
  public final Map<I, ObjectProperty<Proven>> proofs() {
    return proofs;
  }

  /** Called with every field's text whenever one changes. */
  public final void setOnTyped(Consumer<Map<String, String>> use) {
    onTyped = use;
  }

  /** The first sentence about a field that cannot be used, among these. */
  protected static Optional<String> firstProblem(Stream<? extends TypedEntry> used) {
    return used.map(e -> e.problemProperty().get()).filter(p -> !p.isEmpty()).findFirst();
  }

  /** All fields, in the order they are kept. */
  protected final List<TypedEntry> fields() {
    return List.copyOf(fields.values());
  }

  private void changed() {
    if (!quiet) {
      solve();
      onTyped.accept(typed());
    }
  }

  private void quietly(Runnable change) {
    quiet = true;
    try {
      change.run();
    } finally {
      quiet = false;
    }
    changed();
  }

  @Override
  public final Map<String, String> typed() {
    Map<String, String> typed = new LinkedHashMap<>();
    fields.forEach((name, entry) -> typed.put(name, entry.text()));
    choices.forEach((name, choice) -> typed.put(name, choice.typed()));
    proofs.forEach((item, proven) -> {
      if (proven.get() != Proven.NOT_YET) {
        typed.put(proofName(item), proven.get().name());
      }
    });
    return typed;
  }

  private String proofName(I item) {
    return EntryDesk.READING + "proof." + nameOf.apply(item);
  }

  @Override
  public final void type(Map<String, String> typed) {
    if (typed.isEmpty()) {
      return;
    }
    quietly(() -> {
      fields.forEach(
          (name, entry) -> entry.textProperty().set(typed.getOrDefault(name, entry.text())));
      choices.forEach((name, choice) -> choice.type(typed.getOrDefault(name, choice.typed())));
      proofs.forEach((item, proven) ->
          proven.set(Proven.valueOf(typed.getOrDefault(proofName(item), Proven.NOT_YET.name()))));
    });
  }

  @Override
  public final void clearReadings() {
    quietly(() -> {
      fields.forEach((name, entry) -> {
        if (name.startsWith(EntryDesk.READING)) {
          entry.textProperty().set("");
        }
      });
      proofs.values().forEach(p -> p.set(Proven.NOT_YET));
    });
  }

  @Override
  public final boolean nothingRead() {
    return typed().entrySet().stream()
        .noneMatch(e -> e.getKey().startsWith(EntryDesk.READING) && !e.getValue().isBlank());
  }
}
