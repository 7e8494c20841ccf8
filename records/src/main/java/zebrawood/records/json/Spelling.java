package zebrawood.records.json;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/**
 * Enum constants as they stand in documents, each spelled once: {@code FRONT_LEFT} is front-left.
 */
final class Spelling {
  private static final ClassValue<Spelling> OF =
      new ClassValue<>() {
        @Override
        protected Spelling computeValue(Class<?> type) {
          return new Spelling((Enum<?>[]) type.getEnumConstants());
        }
      };

  private final String[] spelled;
  private final Map<String, Enum<?>> constants = new HashMap<>();

  private Spelling(Enum<?>[] all) {
    spelled = new String[all.length];
    for (Enum<?> constant : all) {
      String text = constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
      spelled[constant.ordinal()] = text;
      constants.put(text, constant);
    }
  }

  static String of(Enum<?> constant) {
    return OF.get(constant.getDeclaringClass()).spelled[constant.ordinal()];
  }

  /** Null where no constant is spelled so. */
  static Enum<?> constant(Class<?> type, String text) {
    return OF.get(type).constants.get(text);
  }
}
