package zebrawood.jobfile;

import java.util.Arrays;
import java.util.function.Consumer;

/** One line of a motion program: letters with their numbers (ISO 6983-1). */
final class Block {
  /** M words are told apart from G words by this. */
  static final int M = 1_000_000;

  private static final int LETTERS = 26;
  private static final int MOST_CODES = 16;
  private static final int MOST_SHOWN = 12;

  private final double[] value = new double[LETTERS];
  private final boolean[] has = new boolean[LETTERS];
  private final int[] codes = new int[MOST_CODES];
  private int codeCount;
  private boolean says;

  /**
   * Reads a line.
   *
   * @param unknown told of each word that is not known
   * @return whether it is a line of words; the rest of one that begins otherwise is not read
   */
  boolean read(byte[] text, int length, Consumer<String> unknown) {
    codeCount = 0;
    says = false;
    Arrays.fill(has, false);
    int i = 0;
    while (i < length) {
      int c = text[i];
      if (c == ' ' || c == '\t' || c == '%' && i == 0) {
        i++;
      } else if (c == ';') {
        break;
      } else if (c == '(') {
        while (i < length && text[i] != ')') {
          i++;
        }
        i++;
      } else if (c >= 'A' && c <= 'Z' || c >= 'a' && c <= 'z') {
        i = word(text, i, length, unknown);
      } else {
        unknown.accept(shown(text, 0, length));
        return false;
      }
    }
    return true;
  }

  /** The beginning of what stands there; letters that are no ASCII are not told apart. */
  private static String shown(byte[] text, int from, int length) {
    StringBuilder shown = new StringBuilder();
    for (int i = from; i < Math.min(length, from + MOST_SHOWN); i++) {
      shown.append(text[i] >= ' ' ? (char) text[i] : '?');
    }
    return shown.toString();
  }

  /**
   * Reads a letter and its number.
   *
   * @return where the next one begins
   */
  private int word(byte[] text, int at, int length, Consumer<String> unknown) {
    int i = at + 1;
    while (i < length && text[i] == ' ') {
      i++;
    }
    boolean minus = i < length && text[i] == '-';
    if (i < length && (text[i] == '-' || text[i] == '+')) {
      i++;
    }
    double number = 0;
    double place = 0;
    int digits = 0;
    for (; i < length; i++) {
      int c = text[i];
      if (c >= '0' && c <= '9') {
        digits++;
        if (place == 0) {
          number = 10 * number + (c - '0');
        } else {
          number += (c - '0') * place;
          place /= 10;
        }
      } else if (c == '.' && place == 0) {
        place = 0.1;
      } else {
        break;
      }
    }
    if (digits == 0) {
      unknown.accept(shown(text, at, length));
      return length;
    }
    keep((char) ((text[at] & 0xdf)), minus ? -number : number, unknown);
    return i;
  }

  private void keep(char letter, double number, Consumer<String> unknown) {
    switch (letter) {
      case 'G', 'M' -> {
        says = true;
        if (codeCount < MOST_CODES) {
          int tenths = (int) Math.round(number * 10);
          codes[codeCount++] = letter == 'G' ? tenths : M + tenths;
        }
      }
      case 'X', 'Y', 'I', 'J', 'R', 'F', 'S', 'P', 'Z', 'N', 'T' -> {
        says = true;
        has[letter - 'A'] = true;
        value[letter - 'A'] = number;
      }
      default -> unknown.accept(String.valueOf(letter));
    }
  }

  /** Whether there is any word that is known. */
  boolean saysSomething() {
    return says;
  }

  boolean has(char letter) {
    return has[letter - 'A'];
  }

  double value(char letter) {
    return value[letter - 'A'];
  }

  /** How many G and M words there are. */
  int codes() {
    return codeCount;
  }

  /** A G word in tenths, or an M word in tenths behind {@link #M}. */
  int code(int i) {
    return codes[i];
  }
}
