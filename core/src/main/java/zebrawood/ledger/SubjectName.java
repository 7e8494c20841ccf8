package zebrawood.ledger;

import java.util.Locale;
import java.util.Optional;

/** Names of lenses and the like as people type them: "160mm" and "160 mm" are one. */
public final class SubjectName {
  private SubjectName() {}

  /** Whether both name the same, whatever their capitals and blanks. */
  public static boolean same(String one, String other) {
    return plain(one).equals(plain(other));
  }

  static boolean same(Optional<String> one, Optional<String> other) {
    return one.map(SubjectName::plain).equals(other.map(SubjectName::plain));
  }

  /** What is the same of all ways to type a name. */
  static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("\\s+", "").replace(',', '.');
  }
}
