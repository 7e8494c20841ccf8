package zebrawood.desktop.form;

import java.util.Optional;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Message;

/** Something that is typed, chosen or answered, under a name of its own. */
public abstract sealed class Field permits QuantityField, WordsField, ChoiceField, ProofField {
  /** Names of what is read anew each time begin so; the others are kept for the next visit. */
  public static final String READING = "reading.";

  /** Begins the name of what stays for a visit and is found anew on the next one. */
  public static final String VISIT = "visit.";

  private final String name;
  private final Message label;
  private Runnable onChange = () -> {};

  Field(String name, Message label) {
    this.name = name;
    this.label = label;
  }

  public final String name() {
    return name;
  }

  /** What it is called in a sentence. */
  public final Message label() {
    return label;
  }

  final boolean isReading() {
    return name.startsWith(READING);
  }

  final void setOnChange(Runnable run) {
    onChange = run;
  }

  final void changed() {
    onChange.run();
  }

  /** The text that it is kept as; it means the same whatever units are shown. */
  abstract String kept();

  /**
   * @param bare the units that a number without one was kept in
   */
  abstract void restore(String kept, DisplayUnits bare);

  abstract void clear();

  /** Whether nothing is typed or answered. */
  public abstract boolean isEmpty();

  /** What is wrong with what is typed; empty when it can be used. */
  public abstract Optional<Message> problem();

  /** Shows values in other units; every value stays what it is. */
  void setUnits(DisplayUnits units) {}
}
