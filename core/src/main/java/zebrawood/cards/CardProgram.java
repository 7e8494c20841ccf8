package zebrawood.cards;

import java.util.List;
import zebrawood.cards.CardPlanFinding.Square;

/**
 * A card as G-code: plain words alone, one beam on at its start with no power, power only while a
 * line or an arm is burnt. Coordinates are written to a micrometre.
 */
final class CardProgram {
  private static final double SECONDS_A_MINUTE = 60;
  private static final int MICROMETRES = 1000;

  private final CardPlanReadings r;
  private final CardPlanFinding plan;
  private final StringBuilder out = new StringBuilder();

  CardProgram(CardPlanReadings r, CardPlanFinding plan) {
    this.r = r;
    this.plan = plan;
  }

  String gcode() {
    CardPath path = new CardPath(r);
    out.ensureCapacity(plan.squares().stream().mapToInt(Square::lines).sum() * 90 + 1000);
    out.append("G21\nG90\nM3 S0\n");
    for (Square s : CardPlan.inOrder(plan.squares())) {
      long word = s.powerWord().getAsInt();
      path.square(s, (x, y, toX, toY, speed) -> line(x, y, toX, toY, speed, word));
    }
    long word = CardPlan.word(r, "crossAt.percent", r.crossAt().percent()).getAsInt();
    for (List<Double> cross : plan.crossesMm()) {
      path.cross(
          cross.get(0), cross.get(1), (x, y, toX, toY, speed) -> line(x, y, toX, toY, speed, word));
    }
    return out.append("M5\n").toString();
  }

  /** Along x or along y, with what is run up to it and down from it. */
  private void line(double x, double y, double toX, double toY, double speedMmS, long word) {
    double runUp = CardPlan.runUp(r, speedMmS).getAsDouble();
    if (y == toY) {
      go(x - Math.signum(toX - x) * runUp, y);
      burn('X', x, toX, runUp, speedMmS, word);
    } else {
      go(x, y - Math.signum(toY - y) * runUp);
      burn('Y', y, toY, runUp, speedMmS, word);
    }
  }

  private void go(double x, double y) {
    out.append("G0 X");
    number(x);
    out.append(" Y");
    number(y);
    out.append(" S0\n");
  }

  private void burn(char axis, double from, double to, double runUp, double speedMmS, long word) {
    double before = from - Math.signum(to - from) * runUp;
    double after = to + Math.signum(to - from) * runUp;
    if (micrometres(before) != micrometres(from)) {
      move(axis, from, speedMmS, 0);
    }
    move(axis, to, speedMmS, word);
    if (micrometres(after) != micrometres(to)) {
      move(axis, after, speedMmS, 0);
    }
  }

  private void move(char axis, double to, double speedMmS, long word) {
    out.append("G1 ").append(axis);
    number(to);
    out.append(" F");
    number(speedMmS * SECONDS_A_MINUTE);
    out.append(" S").append(word).append('\n');
  }

  private static long micrometres(double mm) {
    return Math.round(mm * MICROMETRES);
  }

  /** To three decimals, without an exponent; a card has a million of them. */
  private void number(double value) {
    long thousandths = micrometres(value);
    if (thousandths < 0) {
      out.append('-');
      thousandths = -thousandths;
    }
    out.append(thousandths / MICROMETRES);
    int rest = (int) (thousandths % MICROMETRES);
    if (rest != 0) {
      out.append('.').append((char) ('0' + rest / 100)).append((char) ('0' + rest / 10 % 10));
      out.append((char) ('0' + rest % 10));
    }
  }
}
