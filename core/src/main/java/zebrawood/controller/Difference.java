package zebrawood.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import zebrawood.words.Message;

/**
 * What differs between two snapshots of settings or two lists of names and values.
 *
 * @param name the setting's number with its sign, or its name
 * @param before empty where it was not there
 * @param now empty where it is not there
 */
public record Difference(String name, Optional<String> before, Optional<String> now) {

  /** In the order of the names; values that mean the same are not told. */
  public static List<Difference> between(
      SortedMap<String, String> before, SortedMap<String, String> now) {
    SortedSet<String> names = new TreeSet<>(now.comparator());
    names.addAll(before.keySet());
    names.addAll(now.keySet());
    List<Difference> differences = new ArrayList<>();
    for (String name : names) {
      Optional<String> was = Optional.ofNullable(before.get(name));
      Optional<String> is = Optional.ofNullable(now.get(name));
      if (was.isEmpty() || is.isEmpty() || !Settings.same(was.get(), is.get())) {
        differences.add(new Difference(name, was, is));
      }
    }
    return List.copyOf(differences);
  }

  /** Between two dumps, by number. */
  public static List<Difference> between(Settings before, Settings now) {
    return between(named(before), named(now));
  }

  private static SortedMap<String, String> named(Settings settings) {
    SortedMap<String, String> named = new TreeMap<>(Difference::byNumber);
    settings.values().forEach((number, value) -> named.put("$" + number, value));
    return named;
  }

  private static int byNumber(String one, String other) {
    return Integer.compare(
        Integer.parseInt(one.substring(1)), Integer.parseInt(other.substring(1)));
  }

  /** Whether so much changed at once that somebody reset the controller. */
  public static boolean looksLikeReset(List<Difference> differences) {
    long changed =
        differences.stream().filter(d -> d.before().isPresent() && d.now().isPresent()).count();
    return changed >= RESET;
  }

  /** One or two settings are changed by hand; a reset changes what was set up, all at once. */
  private static final int RESET = 3;

  public Message said() {
    return Message.of("controller.difference.was", Message.quoted(name), there(now), there(before));
  }

  private static Message there(Optional<String> value) {
    return value.map(Message::quoted).orElse(Message.of("controller.difference.not-there"));
  }
}
