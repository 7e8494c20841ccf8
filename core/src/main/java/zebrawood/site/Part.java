package zebrawood.site;

import java.util.List;
import zebrawood.measure.Verdict;

/** What one question of the site survey came to, for the verdict over all of them. */
record Part(Verdict verdict, List<String> advice, List<String> warnings) {
  Part {
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  static Part within(String advice) {
    return new Part(Verdict.WITHIN, List.of(advice), List.of());
  }

  static Part adjust(String... advice) {
    return new Part(Verdict.ADJUST, List.of(advice), List.of());
  }

  static Part stop(String... advice) {
    return new Part(Verdict.STOP, List.of(advice), List.of());
  }

  Part warning(List<String> more) {
    return new Part(verdict, advice, more);
  }
}
