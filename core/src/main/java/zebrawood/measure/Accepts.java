package zebrawood.measure;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import zebrawood.measure.UnusableReading.Complaint;

/**
 * Collects what is wrong with the components of one record, so that all bad fields are reported
 * together. Every check is written so that NaN fails it.
 *
 * <pre>
 *   var accepts = new Accepts();
 *   accepts.between("gapMm", gapMm, 0, 1000);
 *   accepts.orThrow();
 * </pre>
 */
public final class Accepts {
  /** Made when the first complaint comes: readings are checked by the thousand and seldom bad. */
  private List<Complaint> complaints = List.of();

  /** A number from {@code least} to {@code most}, both allowed. */
  public Accepts between(String field, double value, double least, double most) {
    if (!(value >= least && value <= most)) {
      complain(field, value, "a number from " + plain(least) + " to " + plain(most));
    }
    return this;
  }

  /** A number more than 0 and at most {@code most}. */
  public Accepts positive(String field, double value, double most) {
    if (!(value > 0 && value <= most)) {
      complain(field, value, "a number more than 0 and at most " + plain(most));
    }
    return this;
  }

  public Accepts filled(String field, String text) {
    if (text == null || text.isBlank()) {
      complain(field, "empty", "a name of at least one letter or digit");
    }
    return this;
  }

  public Accepts atLeast(String field, Collection<?> values, int count, String what) {
    if (values.size() < count) {
      complain(field, values.size() + " of them", "at least " + count + " " + what);
    }
    return this;
  }

  /** Names that differ from one another. */
  public Accepts distinct(String field, Collection<String> names) {
    Set<String> seen = new HashSet<>();
    for (String name : names) {
      if (!seen.add(name)) {
        complain(field, "\"" + name + "\" twice", "a different name for each");
      }
    }
    return this;
  }

  /** Places that do not all lie in one line, so that a plane through them is determined. */
  public Accepts notInOneLine(String field, List<? extends Place> places) {
    if (places.size() >= 3 && Spread.of(places).inOneLine()) {
      complain(field, "all in one line", "at least 3 places that are not in one line");
    }
    return this;
  }

  public Accepts complain(String field, Object found, String accepted) {
    if (complaints.isEmpty()) {
      complaints = new ArrayList<>();
    }
    complaints.add(new Complaint(field, found(found), accepted));
    return this;
  }

  /** Whether nothing was complained of so far. */
  public boolean fine() {
    return complaints.isEmpty();
  }

  public void orThrow() {
    if (!complaints.isEmpty()) {
      throw new UnusableReading(complaints);
    }
  }

  private static String found(Object found) {
    return switch (found) {
      case null -> "missing";
      case Double d when d.isNaN() -> "not a number";
      case Double d when d.isInfinite() -> "infinite";
      case Double d -> plain(d);
      default -> found.toString();
    };
  }

  /** A number as a person writes it: no exponent for ordinary sizes, no trailing zeros. */
  static String plain(double value) {
    if (Math.abs(value) >= 1e9 || (value != 0 && Math.abs(value) < 1e-6)) {
      return String.valueOf(value);
    }
    String text = Numbers.fixed(value, 6);
    int end = text.length();
    while (text.charAt(end - 1) == '0') {
      end--;
    }
    return text.substring(0, text.charAt(end - 1) == '.' ? end - 1 : end);
  }
}
