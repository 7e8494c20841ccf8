package zebrawood.fault;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What each cause shows in each test, as the table of figures has it: {@code table.txt} beside this
 * class, where each figure stands with its reason.
 *
 * <p>Of a test's outcomes, those that a cause leads to share {@link #OWN} equally, the others what
 * is left of 1.
 */
public final class FaultTable {
  private static final Properties TABLE = loaded();

  /** That a cause shows what it should. */
  static final double OWN = Double.parseDouble(required("share.own"));

  /** What a cause counts to which the words for what is seen do not point. */
  public static final double ELSEWHERE = Double.parseDouble(required("share.elsewhere"));

  private static final Map<CauseTest, Integer> MINUTES = new EnumMap<>(CauseTest.class);
  private static final Map<CauseTest, List<Outcome>> OUTCOMES = new EnumMap<>(CauseTest.class);
  private static final Map<Cause, Map<CauseTest, Set<Outcome>>> LEADS = new EnumMap<>(Cause.class);
  private static final Map<Cause, Set<Pattern.Shape>> SHAPES = new EnumMap<>(Cause.class);

  static {
    for (CauseTest test : CauseTest.values()) {
      String[] parts = required("test." + spelled(test)).split(":");
      MINUTES.put(test, Integer.parseInt(parts[0].strip()));
      OUTCOMES.put(test, all(Outcome.class, parts[1]));
    }
    for (Cause cause : Cause.values()) {
      LEADS.put(cause, leads(cause));
      String shapes = TABLE.getProperty("pattern." + spelled(cause), spelled(Pattern.Shape.EVEN));
      SHAPES.put(cause, EnumSet.copyOf(all(Pattern.Shape.class, shapes)));
    }
  }

  private FaultTable() {}

  private static Properties loaded() {
    Properties table = new Properties();
    try (InputStream in = FaultTable.class.getResourceAsStream("table.txt")) {
      table.load(in);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return table;
  }

  private static String required(String key) {
    String value = TABLE.getProperty(key);
    if (value == null) {
      throw new IllegalStateException("the fault table has no " + key);
    }
    return value;
  }

  /** Such as {@code look-at-lens}. */
  static String spelled(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static <E extends Enum<E>> E one(Class<E> type, String word) {
    return Enum.valueOf(type, word.toUpperCase(Locale.ROOT).replace('-', '_'));
  }

  private static <E extends Enum<E>> List<E> all(Class<E> type, String words) {
    return Stream.of(words.strip().split("\\s+")).map(word -> one(type, word)).toList();
  }

  private static Map<CauseTest, Set<Outcome>> leads(Cause cause) {
    Map<CauseTest, Set<Outcome>> leads = new EnumMap<>(CauseTest.class);
    for (CauseTest test : CauseTest.values()) {
      String otherwise = TABLE.getProperty("else." + spelled(test));
      leads.put(
          test,
          Set.of(
              otherwise == null ? OUTCOMES.get(test).getFirst() : one(Outcome.class, otherwise)));
    }
    for (String lead : required("cause." + spelled(cause)).strip().split("\\s+")) {
      if (!lead.isEmpty()) {
        String[] parts = lead.split(":");
        leads.put(
            one(CauseTest.class, parts[0]),
            EnumSet.copyOf(all(Outcome.class, parts[1].replace('|', ' '))));
      }
    }
    return leads;
  }

  static int minutes(CauseTest test) {
    return MINUTES.get(test);
  }

  static List<Outcome> outcomes(CauseTest test) {
    return OUTCOMES.get(test);
  }

  /** How likely a test shows this where this is the cause. */
  static double likelihood(CauseTest test, Outcome outcome, Cause cause) {
    return share(OUTCOMES.get(test).size(), LEADS.get(cause).get(test), outcome);
  }

  /** How likely squares over the bed show this shape where this is the cause. */
  static double likelihood(Pattern.Shape shape, Cause cause) {
    return share(Pattern.Shape.CLAIMED.size(), SHAPES.get(cause), shape);
  }

  private static <E> double share(int outcomes, Set<E> own, E shown) {
    return own.contains(shown) ? OWN / own.size() : (1 - OWN) / (outcomes - own.size());
  }

  /** What is worn or dirty or moved shows in these tests otherwise than a machine in order. */
  public static List<CauseTest> tellsOf(Cause cause) {
    List<CauseTest> tells = new ArrayList<>();
    LEADS
        .get(cause)
        .forEach((test, outcomes) -> {
          if (!outcomes.contains(OUTCOMES.get(test).getFirst())) {
            tells.add(test);
          }
        });
    return tells;
  }

  /** The causes that the words for what is seen point to. */
  public static Set<Cause> pointedTo(Seen seen) {
    String causes = TABLE.getProperty("seen." + spelled(seen), "");
    return causes.isBlank() ? Set.of() : EnumSet.copyOf(all(Cause.class, causes));
  }

  static double factor(RecordSays says) {
    return Double.parseDouble(required("record." + spelled(says)));
  }

  /** How common a cause is, before anything is known of the machine. */
  public static double commonness(Cause cause) {
    return Double.parseDouble(required("prior." + spelled(cause)));
  }
}
