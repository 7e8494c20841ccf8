package zebrawood.measure;

import java.util.Optional;

/** Something that was asked for, and stands in an answer as null where it cannot be answered. */
public record OrNull<T>(Optional<T> value) implements PlainValue {
  public static <T> OrNull<T> of(T value) {
    return new OrNull<>(Optional.of(value));
  }

  @Override
  public Object plainValue() {
    return value.orElse(null);
  }
}
