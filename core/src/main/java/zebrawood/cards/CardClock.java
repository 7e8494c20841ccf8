package zebrawood.cards;

import java.util.List;
import zebrawood.cards.CardPlanFinding.Square;

/** How long moves take whose axes begin and end at rest, with even acceleration between. */
final class CardClock {
  private final CardPlanReadings r;
  private final double accelerationMmS2;
  private final double travelMmS;
  private double seconds;
  private double x;
  private double y;

  /** Of a card whose acceleration and travel speed are known. */
  CardClock(CardPlanReadings r) {
    this.r = r;
    accelerationMmS2 = r.accelerationMmS2().getAsDouble();
    travelMmS = r.travelSpeedMmS().getAsDouble();
  }

  private double move(double mm, double speedMmS) {
    double reached = speedMmS * speedMmS / accelerationMmS2;
    return mm >= reached
        ? mm / speedMmS + speedMmS / accelerationMmS2
        : 2 * Math.sqrt(mm / accelerationMmS2);
  }

  private double runUp(double speedMmS) {
    return CardPlan.runUp(r, speedMmS).orElse(0);
  }

  /** Its lines and the steps between them. */
  double squareSeconds(double speedMmS) {
    int lines = r.lines();
    return lines * move(r.widthMm() + 2 * runUp(speedMmS), speedMmS)
        + (lines - 1) * move(r.intervalMm(), travelMmS);
  }

  private void go(double toX, double toY) {
    seconds += move(Math.hypot(toX - x, toY - y), travelMmS);
    x = toX;
    y = toY;
  }

  /** From the origin through all squares in this order, then the crosses. */
  double seconds(List<Square> inOrder) {
    for (Square s : inOrder) {
      double runUp = runUp(s.speedMmS());
      go(s.xMm() - runUp, s.yMm());
      seconds += squareSeconds(s.speedMmS());
      boolean endsRight = s.lines() % 2 == 1;
      x = endsRight ? s.xMm() + s.wMm() + runUp : s.xMm() - runUp;
      y = s.yMm() + (s.lines() - 1) * r.intervalMm();
    }
    double speed = r.crossAt().speedMmS();
    double arm = r.crossSizeMm() / 2 + runUp(speed);
    for (List<Double> cross : r.crossesMm()) {
      go(cross.get(0) - arm, cross.get(1));
      seconds += move(2 * arm, speed);
      x = cross.get(0) + arm;
      go(cross.get(0), cross.get(1) - arm);
      seconds += move(2 * arm, speed);
      y = cross.get(1) + arm;
    }
    return seconds;
  }
}
