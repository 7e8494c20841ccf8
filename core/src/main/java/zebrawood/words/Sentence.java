package zebrawood.words;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A text of a bundle, read once: plain words and places for arguments. {@code %s} is the next
 * argument, {@code %2$s} the second, {@code %%} a per cent sign; nothing else may follow a per cent
 * sign.
 *
 * @param words the plain words; argument {@code places[i]} stands between words i and i + 1
 */
record Sentence(List<String> words, List<Integer> places) {
  private static final Pattern PLACE = Pattern.compile("%(?:(?:(\\d+)\\$)?s|(%))");

  Sentence {
    words = List.copyOf(words);
    places = List.copyOf(places);
  }

  /**
   * @param spoken what becomes of plain words
   * @throws IllegalArgumentException when something else than a place follows a per cent sign
   */
  static Sentence read(String text, UnaryOperator<String> spoken) {
    List<String> words = new ArrayList<>();
    List<Integer> places = new ArrayList<>();
    StringBuilder plain = new StringBuilder();
    Matcher place = PLACE.matcher(text);
    int from = 0;
    int next = 0;
    while (place.find()) {
      plain.append(spoken.apply(unmarked(text, from, place.start())));
      from = place.end();
      if (place.group(2) != null) {
        plain.append('%');
      } else {
        words.add(plain.toString());
        plain.setLength(0);
        places.add(place.group(1) == null ? next++ : Integer.parseInt(place.group(1)) - 1);
      }
    }
    words.add(plain.append(spoken.apply(unmarked(text, from, text.length()))).toString());
    return new Sentence(words, places);
  }

  private static String unmarked(String text, int from, int to) {
    String plain = text.substring(from, to);
    if (plain.indexOf('%') >= 0) {
      throw new IllegalArgumentException("\"" + text + "\" has a % that is no place and no %%");
    }
    return plain;
  }

  /**
   * @throws IndexOutOfBoundsException when an argument is missing
   */
  String with(List<Object> arguments, Function<Object, String> said) {
    if (places.isEmpty()) {
      return words.getFirst();
    }
    StringBuilder all = new StringBuilder(words.getFirst());
    for (int i = 0; i < places.size(); i++) {
      all.append(said.apply(arguments.get(places.get(i)))).append(words.get(i + 1));
    }
    return all.toString();
  }
}
