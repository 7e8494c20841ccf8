package zebrawood.records.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Digits of single strokes, to be burnt: a label needs no filled letters. */
public final class Strokes {
  private static final double WIDTH = 0.6;
  private static final double STEP = 0.85;

  /** Corners in a box 3 wide and 5 high, strokes set apart by blanks. */
  private static final Map<Character, String> DIGITS =
      Map.ofEntries(
          Map.entry('0', "00,30,35,05,00"),
          Map.entry('1', "04,15,10 00,20"),
          Map.entry('2', "05,35,33,00,30"),
          Map.entry('3', "05,35,30,00 03,33"),
          Map.entry('4', "30,35,02,32"),
          Map.entry('5', "35,05,03,33,30,00"),
          Map.entry('6', "35,05,00,30,33,03"),
          Map.entry('7', "05,35,10"),
          Map.entry('8', "00,30,35,05,00 03,33"),
          Map.entry('9', "00,30,35,05,02,32"),
          Map.entry('.', "10,20"),
          Map.entry('A', "00,15,25,30 12,22"),
          Map.entry('E', "30,00,05,35 03,23"),
          Map.entry('F', "00,05,35 03,23"),
          Map.entry('N', "00,05,30,35"),
          Map.entry('R', "00,05,35,33,03 13,30"),
          Map.entry('m', "00,03,13,10 13,33,30"));

  private Strokes() {}

  /** A line of corners: x and y in mm, y up. */
  public record Stroke(List<double[]> corners) {}

  /**
   * What these words look like; a sign that is not known is left out.
   *
   * @param xMm of the lower left corner, as {@code yMm}
   */
  public static List<Stroke> of(String words, double xMm, double yMm, double heightMm) {
    List<Stroke> strokes = new ArrayList<>();
    double left = xMm;
    for (char c : words.toCharArray()) {
      String drawn = DIGITS.getOrDefault(c, "");
      for (String stroke : drawn.isEmpty() ? new String[0] : drawn.split(" ")) {
        List<double[]> corners = new ArrayList<>();
        for (String corner : stroke.split(",")) {
          corners.add(
              new double[] {
                left + (corner.charAt(0) - '0') / 3.0 * WIDTH * heightMm,
                yMm + (corner.charAt(1) - '0') / 5.0 * heightMm
              });
        }
        strokes.add(new Stroke(corners));
      }
      left += STEP * heightMm;
    }
    return strokes;
  }

  /** How wide they are. */
  public static double widthMm(String words, double heightMm) {
    return words.isEmpty() ? 0 : (STEP * (words.length() - 1) + WIDTH) * heightMm;
  }
}
