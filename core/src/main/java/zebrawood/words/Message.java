package zebrawood.words;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;

/**
 * Something to be said: a key of the bundles with its arguments.
 *
 * @param arguments names and words as somebody typed them, whole numbers, {@link Amount}s, and
 *     further messages; a constant that has words of its own stands as the message of them
 */
public record Message(String key, List<Object> arguments) {
  /** The phrasebook shows its amount without the unit. */
  static final String BARE = "words.bare";

  private static final String VERBATIM = "words.verbatim";

  /** Nobody reads more of what cannot be used. */
  private static final int MOST_QUOTED = 200;

  private static final Map<Enum<?>, String> KEYS = new ConcurrentHashMap<>();

  public static final Message NONE = verbatim("");

  public Message {
    Object[] all = arguments.toArray();
    for (int i = 0; i < all.length; i++) {
      all[i] = plain(key, all[i]);
    }
    arguments = List.of(all);
  }

  /** As it is kept: a constant as the message that names it, every whole number as a long. */
  private static Object plain(String key, Object argument) {
    if (argument instanceof String
        || argument instanceof Long
        || argument instanceof Amount
        || argument instanceof Message) {
      return argument;
    }
    if (argument instanceof Integer number) {
      return number.longValue();
    }
    if (argument instanceof Enum<?> constant) {
      return of(constant);
    }
    throw new IllegalArgumentException(key + " cannot say " + argument.getClass());
  }

  public static Message of(String key, Object... arguments) {
    return new Message(key, List.of(arguments));
  }

  /** The words of a constant. */
  public static Message of(Enum<?> constant) {
    return new Message(keyOf(constant), List.of());
  }

  /** Words that are no key: a name, a note, or what an earlier version kept. */
  public static Message verbatim(String words) {
    return of(VERBATIM, words);
  }

  /** A number as a person writes it. */
  public static Message number(double value) {
    return bare(Amount.plain(value, Quantity.NUMBER));
  }

  /** An amount without its unit, where the unit stands elsewhere in the sentence. */
  public static Message bare(Amount amount) {
    return of(BARE, amount);
  }

  /** What somebody gave that cannot be used, cut to what can be read. */
  public static Message quoted(String words) {
    return verbatim(words.length() > MOST_QUOTED ? words.substring(0, MOST_QUOTED) + "…" : words);
  }

  /** Several messages in one line, with commas between. */
  public static Message list(List<Message> parts) {
    return parts.stream().reduce((before, next) -> of("words.comma", before, next)).orElse(NONE);
  }

  /** Several messages, each a sentence of its own. */
  public static Message sentences(List<Message> parts) {
    return parts.stream()
        .reduce((before, next) -> of("words.full-stop", before, next))
        .orElse(NONE);
  }

  public boolean isEmpty() {
    return key.equals(VERBATIM) && arguments.equals(NONE.arguments);
  }

  /**
   * Such as {@code machine.source-kind.diode}: the constant's package, its class and its name. A
   * constant is kept and looked up under this key.
   */
  public static String keyOf(Enum<?> constant) {
    return KEYS.computeIfAbsent(constant, Message::makeKey);
  }

  private static String makeKey(Enum<?> constant) {
    String place = constant.getDeclaringClass().getPackageName();
    String type = constant.getDeclaringClass().getSimpleName();
    return place.substring(place.lastIndexOf('.') + 1)
        + "."
        + type.replaceAll("(?<=[a-z])(?=[A-Z])", "-").toLowerCase(Locale.ROOT)
        + "."
        + constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
