package zebrawood.cards;

import java.util.Optional;
import java.util.stream.Stream;

/** How a square looks to the eye, with the key that says it. */
public enum Grade {
  TOO_LIGHT('l'),
  GOOD('g'),
  SCORCHED('s'),
  CUT_THROUGH('c'),
  /** Through, and its face is burnt. */
  FRONT_SCORCHED('f'),
  /** Through, and its underside is burnt. */
  BACK_SCORCHED('b');

  private final char key;

  Grade(char key) {
    this.key = key;
  }

  public char key() {
    return key;
  }

  /** Empty where no grade has this key. */
  public static Optional<Grade> of(char key) {
    return Stream.of(values()).filter(g -> g.key == Character.toLowerCase(key)).findFirst();
  }
}
