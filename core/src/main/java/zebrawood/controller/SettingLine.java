package zebrawood.controller;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Reads lines as one dialect prints them. A key that a role has is found first, so that it may hold
 * blanks or what stands between key and value; what a remark begins with ends the value.
 */
final class SettingLine {
  /** More of them in one line are no remarks. */
  private static final int MOST_CUTS = 20;

  private final LinePattern pattern;
  private final List<String> remarks;

  /** As the dialect spells them, by their spelling with single blanks. */
  private final Map<String, String> known = new HashMap<>();

  /** What a line sets. */
  record Read(String key, String value) {}

  SettingLine(Dialect dialect) {
    remarks = dialect.remark().orElse(List.of());
    List<String> keys =
        dialect.roles().values().stream()
            .map(said -> said.key().strip())
            .sorted(Comparator.comparing(String::length).reversed())
            .toList();
    keys.forEach(key -> known.put(single(key), key));
    pattern = LinePattern.of(dialect.settingLine()).withKeys(keys);
  }

  private static String single(String words) {
    return words.replaceAll("\\s+", " ");
  }

  Optional<Read> read(String line) {
    if (line.length() > 2 * LinePattern.LONGEST || line.isBlank()) {
      return Optional.empty();
    }
    Optional<Read> empty = Optional.empty();
    for (String cut : cuts(line)) {
      Optional<Read> read =
          pattern
              .read(cut)
              .map(v -> {
                String key = single(v.get("key"));
                return new Read(known.getOrDefault(key, v.get("key")), v.get("value"));
              });
      if (read.filter(r -> !r.value.isEmpty()).isPresent()) {
        return read;
      }
      empty = empty.or(() -> read);
    }
    return empty;
  }

  /** The line up to each remark it may have, the shortest first, and all of it. */
  private List<String> cuts(String line) {
    List<String> cuts = new ArrayList<>();
    for (String mark : remarks) {
      for (int at = line.indexOf(mark);
          at >= 0 && cuts.size() < MOST_CUTS;
          at = line.indexOf(mark, at + 1)) {
        cuts.add(line.substring(0, at));
      }
    }
    cuts.sort(Comparator.comparing(String::length));
    cuts.add(line);
    return cuts;
  }
}
