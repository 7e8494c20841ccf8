package zebrawood.controller;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.words.Message;

/**
 * What differs between two snapshots of settings or two lists of names and values.
 *
 * @param name the setting's key or name
 * @param before empty where it was not there
 * @param now empty where it is not there
 */
public record Difference(String name, Optional<String> before, Optional<String> now) {

  /** In the order of now, what is gone behind it; values that mean the same are not told. */
  public static List<Difference> between(Map<String, String> before, Map<String, String> now) {
    Set<String> names = new LinkedHashSet<>(now.keySet());
    names.addAll(before.keySet());
    List<Difference> differences = new ArrayList<>();
    for (String name : names) {
      Optional<String> was = Optional.ofNullable(before.get(name));
      Optional<String> is = Optional.ofNullable(now.get(name));
      if (was.isEmpty() || is.isEmpty() || !Printed.same(was.get(), is.get())) {
        differences.add(new Difference(name, was, is));
      }
    }
    return List.copyOf(differences);
  }

  /** Between two dumps, by key. */
  public static List<Difference> between(Settings before, Settings now) {
    return between(before.values(), now.values());
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
