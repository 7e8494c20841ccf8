package zebrawood.words;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.MissingResourceException;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;

/**
 * Makes sentences of messages, in one language and one choice of units. Immutable; what was looked
 * up once is remembered.
 */
public final class Phrasebook {
  /** As documents and {@code solve} have it. */
  public static final Phrasebook ENGLISH =
      new Phrasebook(
          Language.ENGLISH,
          DisplayUnits.METRIC,
          UnaryOperator.identity(),
          new ConcurrentHashMap<>());

  /** What has no bundle of its own stands in one of these. */
  private static final List<String> SHARED =
      List.of("zebrawood.words.common", "zebrawood.words.interface", "zebrawood.words.paper");

  /** Letters of a long sentence. */
  private static final int LONG = 160;

  private final Language language;
  private final DisplayUnits units;
  private final UnaryOperator<String> spoken;
  private final Map<String, Optional<Sentence>> known = new ConcurrentHashMap<>();
  private final Map<String, Optional<ResourceBundle>> bundles;

  private Phrasebook(
      Language language,
      DisplayUnits units,
      UnaryOperator<String> spoken,
      Map<String, Optional<ResourceBundle>> bundles) {
    this.bundles = bundles;
    this.language = language;
    this.units = units;
    this.spoken = spoken;
  }

  public static Phrasebook of(Language language, DisplayUnits units) {
    return new Phrasebook(language, units, UnaryOperator.identity(), new ConcurrentHashMap<>());
  }

  /**
   * A language for tests: every word of the bundles accented and a third longer, so that a word
   * that came from elsewhere shows, and a field that is too narrow too.
   */
  public static Phrasebook pseudo() {
    return new Phrasebook(
        Language.ENGLISH, DisplayUnits.METRIC, PseudoLanguage::of, new ConcurrentHashMap<>());
  }

  /** The same language with other units. */
  public Phrasebook with(DisplayUnits others) {
    return new Phrasebook(language, others, spoken, bundles);
  }

  /** The same units in another language. */
  public Phrasebook in(Language other) {
    return other == language ? this : of(other, units);
  }

  public DisplayUnits units() {
    return units;
  }

  public Language language() {
    return language;
  }

  /** Whether the bundles have this key. */
  public boolean has(String key) {
    return find(key).isPresent();
  }

  public String say(String key, Object... arguments) {
    return say(Message.of(key, arguments));
  }

  /** As words without a full stop, or as the bundle ends it. */
  public String say(Message message) {
    StringBuilder words = new StringBuilder(LONG);
    say(message, words);
    return words.toString();
  }

  private void say(Message message, StringBuilder to) {
    if (message.key().equals(Message.BARE) && message.arguments().getFirst() instanceof Amount a) {
      to.append(number(a));
      return;
    }
    find(message.key())
        .orElseThrow(() -> new MissingResourceException("no words", "bundles", message.key()))
        .say(message.arguments(), this::say, to);
  }

  public String say(Enum<?> constant) {
    return say(Message.keyOf(constant));
  }

  /**
   * A message that an older or newer version kept: its key where this version has no words for it.
   */
  public String sayKept(Message message) {
    try {
      return say(message);
    } catch (MissingResourceException | IndexOutOfBoundsException e) {
      return message.key();
    }
  }

  public String say(Amount amount) {
    String unit = unit(amount.quantity());
    return unit.isEmpty() ? number(amount) : number(amount) + " " + unit;
  }

  /** What amounts of it are shown in; a word where it is no symbol. */
  public String unit(Quantity quantity) {
    String symbol = quantity.shownIn(units).symbol();
    return symbol.startsWith("lines") ? say("words.unit." + symbol.replace("/", "-per-")) : symbol;
  }

  /** Without its unit. */
  public String number(Amount amount) {
    return language.written(amount.number(units));
  }

  private void say(Object argument, StringBuilder to) {
    // No pattern switch: its first use costs a start some milliseconds.
    if (argument instanceof Amount amount) {
      to.append(say(amount));
    } else if (argument instanceof Message message) {
      say(message, to);
    } else {
      to.append(argument);
    }
  }

  /** A whole sentence: what, and behind a colon why. */
  public String sentence(Advice advice) {
    if (advice.subject().isEmpty()) {
      return ended(say(advice.said()));
    }
    String what = say("words.at", say(advice.subject().get()), within(say(advice.what())));
    return ended(advice.why().map(why -> say("words.because", what, say(why))).orElse(what));
  }

  public String sentence(Message message) {
    return upperFirst(ended(say(message)));
  }

  private static String ended(String words) {
    return words.isEmpty() || ".!?:".indexOf(words.charAt(words.length() - 1)) >= 0
        ? words
        : words + ".";
  }

  /** With a capital at its beginning, as a line of its own has it. */
  public String line(Message message) {
    return upperFirst(say(message));
  }

  public static String upperFirst(String words) {
    return words.isEmpty()
        ? words
        : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }

  /** As words stand within a sentence, such as behind a colon. */
  public String within(String words) {
    return language.within(words);
  }

  private Optional<Sentence> find(String key) {
    // Asked first: computing waits for others that look up.
    Optional<Sentence> sentence = known.get(key);
    return sentence != null ? sentence : known.computeIfAbsent(key, this::lookUp);
  }

  private Optional<Sentence> lookUp(String key) {
    return ownBundle(key)
        .flatMap(bundle -> in(bundle, key))
        .or(() -> SHARED.stream().flatMap(b -> in(b, key).stream()).findFirst())
        .map(text -> Sentence.read(text, spoken));
  }

  /** The bundle of the package that a key begins with; what F1 tells has one of its own. */
  private static Optional<String> ownBundle(String key) {
    String[] parts = key.split("\\.", 3);
    if (parts.length < 2) {
      return Optional.empty();
    }
    return Optional.of(
        parts[0].equals("help")
            ? "zebrawood." + parts[1] + ".help"
            : "zebrawood." + parts[0] + ".words");
  }

  /**
   * All keys that begin so, sorted.
   *
   * @param beginning whole parts of a key, each ended by a dot
   */
  public List<String> keys(String beginning) {
    return ownBundle(beginning)
        .flatMap(this::bundle)
        .map(b -> b.keySet().stream().filter(k -> k.startsWith(beginning)).sorted().toList())
        .orElse(List.of());
  }

  private Optional<String> in(String bundle, String key) {
    return bundle(bundle).filter(b -> b.containsKey(key)).map(b -> b.getString(key));
  }

  /**
   * Looked for once: most keys begin with what has no bundle of its own, and not finding is slow.
   */
  private Optional<ResourceBundle> bundle(String name) {
    return bundles.computeIfAbsent(name, this::load);
  }

  private Optional<ResourceBundle> load(String name) {
    try {
      return Optional.of(
          ResourceBundle.getBundle(
              name,
              language.locale(),
              Phrasebook.class.getClassLoader(),
              ResourceBundle.Control.getNoFallbackControl(
                  ResourceBundle.Control.FORMAT_PROPERTIES)));
    } catch (MissingResourceException e) {
      return Optional.empty();
    }
  }
}
