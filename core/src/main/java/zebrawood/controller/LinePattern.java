package zebrawood.controller;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * One line with named places in it, such as <code>{key} = {value}</code>: filled in for sending, or
 * read from what was printed. A run of blanks stands for any run of blanks, and blanks may stand
 * around a place.
 */
public final class LinePattern {
  /** Longer lines are of no controller. */
  static final int LONGEST = 200;

  private static final Pattern PLACE = Pattern.compile("\\{([a-zA-Z]+)}");

  /** A place, blanks, or plain words up to one of them. */
  private static final Pattern PART =
      Pattern.compile("\\{([a-zA-Z]+)}|\\s+|(?:(?!\\{[a-zA-Z]+})\\S)+");

  /** As few letters as will do, none of the outermost a blank. */
  private static final String WORDS = "(?:\\S(?:.*?\\S)??)";

  private final String text;
  private final List<String> places;
  private final Pattern reader;

  private LinePattern(String text, List<String> places, Pattern reader) {
    this.text = text;
    this.places = places;
    this.reader = reader;
  }

  /** A pattern that is known to be in order. */
  public static LinePattern of(String text) {
    return of(text, List.of());
  }

  /** The same where one of these words is found in the place of the key before any other. */
  public LinePattern withKeys(List<String> words) {
    return of(text, words);
  }

  private static LinePattern of(String text, List<String> keys) {
    List<String> places = new ArrayList<>();
    StringBuilder reads = new StringBuilder();
    Matcher part = PART.matcher(text.strip());
    boolean blank = false;
    boolean place = true;
    while (part.find()) {
      if (part.group().isBlank()) {
        blank = true;
        continue;
      }
      boolean isPlace = part.group(1) != null;
      // Nothing is given back, so that a long line costs no more than its length squared.
      reads.append(blank ? "\\s++" : isPlace || place ? "\\s*+" : "");
      if (isPlace) {
        places.add(part.group(1));
        reads.append('(');
        if (part.group(1).equals("key")) {
          keys.forEach(key -> reads.append(literal(key)).append('|'));
        }
        reads.append(WORDS).append(part.group(1).equals("value") ? "??)" : ")");
      } else {
        reads.append(Pattern.quote(part.group()));
      }
      blank = false;
      place = isPlace;
    }
    return new LinePattern(text, List.copyOf(places), Pattern.compile(reads + "\\s*+"));
  }

  private static String literal(String words) {
    return Stream.of(words.strip().split("\\s+"))
        .map(Pattern::quote)
        .collect(Collectors.joining("\\s++"));
  }

  /** Complains of what is no pattern with each of these places once, and no other. */
  static void check(Accepts accepts, String field, String text, Set<String> asked) {
    if (text.isBlank()
        || text.length() > LONGEST
        || text.chars().anyMatch(c -> Character.isISOControl(c) && c != '\t')) {
      accepts.complain(
          field,
          Message.of("accepts.text", Message.quoted(text)),
          Message.of("controller.dialect.one-line", LONGEST));
      return;
    }
    List<String> places = of(text).places;
    if (places.size() != asked.size() || !new HashSet<>(places).equals(asked)) {
      accepts.complain(
          field,
          Message.of("accepts.text", Message.quoted(text)),
          Message.of(
              "controller.dialect.places",
              asked.stream()
                  .sorted()
                  .map(p -> "{" + p + "}")
                  .reduce((a, b) -> a + " " + b)
                  .orElse("")));
    }
  }

  public List<String> places() {
    return places;
  }

  /** The line with its places filled in. */
  public String filled(Map<String, String> values) {
    return PLACE
        .matcher(text)
        .replaceAll(m -> Matcher.quoteReplacement(values.getOrDefault(m.group(1), m.group())));
  }

  /** What stands in the places of a printed line; empty when it does not fit. */
  public Optional<Map<String, String>> read(String line) {
    if (line.length() > LONGEST * 2) {
      return Optional.empty();
    }
    Matcher m = reader.matcher(line);
    if (!m.matches()) {
      return Optional.empty();
    }
    Map<String, String> values = new HashMap<>();
    for (int i = 0; i < places.size(); i++) {
      values.put(places.get(i), m.group(i + 1).strip());
    }
    return Optional.of(values);
  }

  @Override
  public String toString() {
    return text;
  }
}
