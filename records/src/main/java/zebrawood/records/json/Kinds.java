package zebrawood.records.json;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/**
 * The records that a sealed interface permits, by the word that a kept document has for each: the
 * class's own name in lower case with hyphens, such as {@code by-gauge}. A test holds the words to
 * a list, since a class that is called otherwise later could no longer be read.
 */
final class Kinds {
  /** The field that says which of the permitted records it is. */
  static final String FIELD = "kind";

  private static final ClassValue<Map<String, Class<?>>> KINDS =
      new ClassValue<>() {
        @Override
        protected Map<String, Class<?>> computeValue(Class<?> type) {
          Map<String, Class<?>> kinds = new LinkedHashMap<>();
          collect(type, kinds);
          return kinds;
        }
      };

  private Kinds() {}

  /** Whether values of this type say in a document what they are. */
  static boolean has(Class<?> type) {
    return type.isInterface() && type.isSealed();
  }

  static Map<String, Class<?>> of(Class<?> sealed) {
    return KINDS.get(sealed);
  }

  private static void collect(Class<?> sealed, Map<String, Class<?>> kinds) {
    for (Class<?> permitted : sealed.getPermittedSubclasses()) {
      if (has(permitted)) {
        collect(permitted, kinds);
      } else if (!permitted.isRecord()) {
        throw new IllegalArgumentException("no JSON for " + permitted);
      } else if (RecordShape.of(permitted).knows(FIELD)) {
        throw new IllegalArgumentException(permitted + " has a component of the name " + FIELD);
      } else if (kinds.put(nameOf(permitted), permitted) != null) {
        throw new IllegalArgumentException("two kinds of " + sealed + " are called alike");
      }
    }
  }

  static String nameOf(Class<?> permitted) {
    return permitted
        .getSimpleName()
        .replaceAll("(?<=[a-z0-9])(?=[A-Z])", "-")
        .toLowerCase(Locale.ROOT);
  }
}
