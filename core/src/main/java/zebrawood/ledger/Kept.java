package zebrawood.ledger;

import java.util.Optional;
import java.util.function.Supplier;

/**
 * The two documents of an entry, as they are kept. Of a long record they are read when they are
 * asked for; two are equal when their texts are.
 */
public final class Kept {
  /**
   * The texts themselves.
   *
   * @param readings everything typed: any figure can be traced to it
   */
  public record Texts(String readings, String finding) {}

  /** Neither is known; asked again, they may be. */
  public static final Texts NOTHING = new Texts("", "");

  private final Supplier<Texts> from;
  private volatile Optional<Texts> texts = Optional.empty();

  private Kept(Supplier<Texts> from) {
    this.from = from;
  }

  public static Kept of(String readings, String finding) {
    Texts texts = new Texts(readings, finding);
    return new Kept(() -> texts);
  }

  /** Asked by whoever wants to know first, and not again once they are known. */
  public static Kept later(Supplier<Texts> from) {
    return new Kept(from);
  }

  Texts texts() {
    Optional<Texts> known = texts;
    if (known.isEmpty()) {
      Texts read = from.get();
      texts = read == NOTHING ? Optional.empty() : Optional.of(read);
      return read;
    }
    return known.get();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Kept kept && texts().equals(kept.texts());
  }

  @Override
  public int hashCode() {
    return texts().hashCode();
  }

  @Override
  public String toString() {
    return texts().toString();
  }
}
