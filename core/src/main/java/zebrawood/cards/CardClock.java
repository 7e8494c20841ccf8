package zebrawood.cards;

import java.util.List;
import zebrawood.cards.CardPlanFinding.Square;

/** How long moves take whose axes begin and end at rest, with even acceleration between. */
final class CardClock {
  private final CardPlanReadings r;
  private final CardPath path;
  private final double accelerationMmS2;
  private final double travelMmS;

  /** Of a card whose acceleration and travel speed are known. */
  CardClock(CardPlanReadings r) {
    this.r = r;
    path = new CardPath(r);
    accelerationMmS2 = r.accelerationMmS2().getAsDouble();
    travelMmS = r.travelSpeedMmS().getAsDouble();
  }

  private double move(double mm, double speedMmS) {
    double reached = speedMmS * speedMmS / accelerationMmS2;
    return mm >= reached
        ? mm / speedMmS + speedMmS / accelerationMmS2
        : 2 * Math.sqrt(mm / accelerationMmS2);
  }

  /** Where the head is, and how long it was on its way. */
  private final class Head {
    private double seconds;
    private double x;
    private double y;
    private boolean somewhere;

    private void burn(double fromX, double fromY, double toX, double toY, double speedMmS) {
      double runUp = CardPlan.runUp(r, speedMmS).orElse(0);
      double length = Math.hypot(toX - fromX, toY - fromY);
      double alongX = (toX - fromX) / length;
      double alongY = (toY - fromY) / length;
      double startX = fromX - alongX * runUp;
      double startY = fromY - alongY * runUp;
      if (somewhere) {
        seconds += move(Math.hypot(startX - x, startY - y), travelMmS);
      }
      seconds += move(length + 2 * runUp, speedMmS);
      x = toX + alongX * runUp;
      y = toY + alongY * runUp;
      somewhere = true;
    }
  }

  /** Its lines and the steps between them, without the way to it. */
  double squareSeconds(Square s) {
    Head head = new Head();
    path.square(s, head::burn);
    return head.seconds;
  }

  /** From the origin through all squares in this order, then the crosses. */
  double seconds(List<Square> inOrder) {
    Head head = new Head();
    head.somewhere = true;
    inOrder.forEach(s -> path.square(s, head::burn));
    r.crossesMm().forEach(c -> path.cross(c.get(0), c.get(1), head::burn));
    return head.seconds;
  }
}
