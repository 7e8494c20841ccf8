package zebrawood.desktop.app;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;

/** Text that may be given away: names, folders and addresses are taken out of it. */
final class WithoutNames {
  private static final String NAME = "[name]";

  /** From the root of a disk or a share, as far as no blank ends it. */
  private static final Pattern PATH =
      Pattern.compile("(?:[A-Za-z]:)?(?:[/\\\\][^/\\\\\\s\"',;:()\\[\\]]+){2,}[/\\\\]?");

  private static final Pattern MAIL = Pattern.compile("[\\w.+-]+@[\\w-]+(?:\\.[\\w-]+)*");

  private final List<Pattern> names = new ArrayList<>();

  /**
   * @param names of people, machines and computers; the empty are passed over
   */
  WithoutNames(Collection<String> names) {
    names.stream()
        .map(String::strip)
        .filter(n -> !n.isEmpty())
        .distinct()
        // "Alder of the shed" goes before "Alder".
        .sorted(Comparator.comparingInt(String::length).reversed())
        .map(n ->
            Pattern.compile(
                "(?<![\\p{L}\\p{N}])" + Pattern.quote(n) + "(?![\\p{L}\\p{N}])",
                Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE))
        .forEach(this.names::add);
  }

  String of(String text) {
    String without = PATH.matcher(text).replaceAll("[path]");
    without = MAIL.matcher(without).replaceAll("[address]");
    for (Pattern name : names) {
      without = name.matcher(without).replaceAll(java.util.regex.Matcher.quoteReplacement(NAME));
    }
    return without;
  }
}
