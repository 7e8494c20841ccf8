package zebrawood.devices.cards;

import java.util.ArrayList;
import java.util.List;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * A program as a controller runs it: words G0, G1, M3, M5, X, Y, F and S. A word above the top word
 * is the top word. Where the laser does not follow the motion it also burns on the way between.
 *
 * @param topWord of the controller
 * @param travelMmS of its quick moves
 */
public record SimulatedJob(double topWord, boolean followsMotion, double travelMmS) {
  private static final double SECONDS_A_MINUTE = 60;
  private static final int MOST_LINES = 4_000_000;

  /** As this controller is set. */
  public static SimulatedJob of(Settings settings, double travelMmS) {
    return new SimulatedJob(
        settings.number(Role.TOP_POWER_WORD, 1, 1e6).orElse(1000),
        settings.is(Role.LASER_FOLLOWS_MOTION, Role.ON),
        travelMmS);
  }

  /**
   * One straight burn.
   *
   * @param share of full power
   */
  public record Burn(
      double fromX, double fromY, double toX, double toY, double share, double speedMmS) {}

  /**
   * All that burns, in order.
   *
   * @throws UnusableReading naming the first line that is not understood
   */
  public List<Burn> run(String program) {
    List<Burn> burns = new ArrayList<>();
    double x = 0;
    double y = 0;
    double feed = 0;
    double word = 0;
    boolean on = false;
    int number = 0;
    for (String line : program.split("\n")) {
      if (++number > MOST_LINES) {
        throw refused(number, line);
      }
      double toX = x;
      double toY = y;
      boolean quick = false;
      for (String part : line.strip().split("\\s+")) {
        if (part.isEmpty()) {
          continue;
        }
        double value;
        try {
          value = Double.parseDouble(part.substring(1));
        } catch (NumberFormatException e) {
          throw refused(number, line);
        }
        switch (part.charAt(0)) {
          case 'G' -> quick = value == 0;
          case 'M' -> on = value == 3;
          case 'X' -> toX = value;
          case 'Y' -> toY = value;
          case 'F' -> feed = value / SECONDS_A_MINUTE;
          case 'S' -> word = value;
          default -> throw refused(number, line);
        }
      }
      boolean moves = toX != x || toY != y;
      if (moves && on && word > 0 && (!quick || !followsMotion)) {
        burns.add(
            new Burn(
                x,
                y,
                toX,
                toY,
                Math.min(1, word / topWord),
                quick ? travelMmS : Math.max(1, feed)));
      }
      x = toX;
      y = toY;
    }
    return burns;
  }

  private static UnusableReading refused(int number, String line) {
    return UnusableReading.of(
        "program[" + number + "]", Message.quoted(line), Message.of("cards.accepts.program"));
  }
}
