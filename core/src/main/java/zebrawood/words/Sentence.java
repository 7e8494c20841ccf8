package zebrawood.words;

import java.text.ChoiceFormat;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A text of a bundle, read once: plain words and places for arguments. {@code %s} is the next
 * argument, {@code %2$s} the second, {@code %%} a per cent sign. {@code
 * %[0#widths|1#width|2#widths]} is a word that depends on the number before it, {@code %2$[...]} on
 * the second argument: a pattern of {@link ChoiceFormat}. Nothing else may follow a per cent sign.
 *
 * @param words the plain words; {@code places[i]} stands between words i and i + 1
 */
record Sentence(List<String> words, List<Sentence.Place> places) {
  private static final Pattern PLACE =
      Pattern.compile("%(?:(?:(\\d+)\\$)?(?:s|\\[([^\\]]*)])|(%))");

  /** Where an argument is said, or a word that depends on it. */
  sealed interface Place {
    int argument();
  }

  private record Said(int argument) implements Place {}

  private record Counted(int argument, ChoiceFormat word) implements Place {
    /** An argument that is no number takes the word of many. */
    String of(Object count) {
      return word.format(count instanceof Number n ? n.doubleValue() : Double.MAX_VALUE);
    }
  }

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
    List<Place> places = new ArrayList<>();
    StringBuilder plain = new StringBuilder();
    Matcher place = PLACE.matcher(text);
    int from = 0;
    int next = 0;
    while (place.find()) {
      plain.append(spoken.apply(unmarked(text, from, place.start())));
      from = place.end();
      if (place.group(3) != null) {
        plain.append('%');
        continue;
      }
      words.add(plain.toString());
      plain.setLength(0);
      boolean numbered = place.group(1) != null;
      int argument = numbered ? Integer.parseInt(place.group(1)) - 1 : next;
      if (place.group(2) == null) {
        places.add(new Said(argument));
        next += numbered ? 0 : 1;
      } else {
        places.add(new Counted(numbered ? argument : next - 1, choice(place.group(2), spoken)));
      }
    }
    words.add(plain.append(spoken.apply(unmarked(text, from, text.length()))).toString());
    return new Sentence(words, places);
  }

  private static ChoiceFormat choice(String pattern, UnaryOperator<String> spoken) {
    ChoiceFormat written = new ChoiceFormat(pattern);
    return new ChoiceFormat(
        written.getLimits(),
        Arrays.stream(written.getFormats())
            .map(f -> spoken.apply((String) f))
            .toArray(String[]::new));
  }

  private static String unmarked(String text, int from, int to) {
    String plain = text.substring(from, to);
    if (plain.indexOf('%') >= 0) {
      throw new IllegalArgumentException("\"" + text + "\" has a % that is no place and no %%");
    }
    return plain;
  }

  /**
   * @param said says an argument
   * @param to where the words go
   * @throws IndexOutOfBoundsException when an argument is missing
   */
  void say(List<Object> arguments, BiConsumer<Object, StringBuilder> said, StringBuilder to) {
    to.append(words.getFirst());
    for (int i = 0; i < places.size(); i++) {
      Object argument = arguments.get(places.get(i).argument());
      if (places.get(i) instanceof Counted c) {
        to.append(c.of(argument));
      } else {
        said.accept(argument, to);
      }
      to.append(words.get(i + 1));
    }
  }
}
