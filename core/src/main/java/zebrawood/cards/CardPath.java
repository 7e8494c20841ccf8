package zebrawood.cards;

import zebrawood.cards.CardFill.Lines;
import zebrawood.cards.CardPlanFinding.Square;

/** The lines that a card is burnt with, one after the other. */
final class CardPath {
  private final CardPlanReadings r;

  CardPath(CardPlanReadings r) {
    this.r = r;
  }

  /** A line with power on it, along x or along y; run-up and run-down are not part of it. */
  @FunctionalInterface
  interface Stroke {
    void burn(double fromX, double fromY, double toX, double toY, double speedMmS);
  }

  void square(Square s, Stroke to) {
    CardSetting setting = r.setting(s.column(), s.row());
    CardFill fill = r.filled();
    double interval = setting.intervalMm().orElseThrow();
    double right = s.xMm() + s.wMm();
    double rear = s.yMm() + s.hMm();
    double speed = s.speedMmS();
    for (int pass = 0; pass < setting.passes().orElse(1); pass++) {
      if (fill.lines() != Lines.NONE) {
        long lines = CardPlanReadings.linesOf(s.hMm(), interval);
        for (int i = 0; i < lines; i++) {
          boolean back = i % 2 == 1 && fill.lines() != Lines.ONE_WAY;
          double y = s.yMm() + i * interval;
          to.burn(back ? right : s.xMm(), y, back ? s.xMm() : right, y, speed);
        }
      }
      if (fill.lines() == Lines.CROSSED) {
        long lines = CardPlanReadings.linesOf(s.wMm(), interval);
        for (int i = 0; i < lines; i++) {
          boolean back = i % 2 == 1;
          double x = s.xMm() + i * interval;
          to.burn(x, back ? rear : s.yMm(), x, back ? s.yMm() : rear, speed);
        }
      }
      if (fill.outlined()) {
        to.burn(s.xMm(), s.yMm(), right, s.yMm(), speed);
        to.burn(right, s.yMm(), right, rear, speed);
        to.burn(right, rear, s.xMm(), rear, speed);
        to.burn(s.xMm(), rear, s.xMm(), s.yMm(), speed);
      }
    }
  }

  /** A cross: an arm along x, then one along y. */
  void cross(double x, double y, Stroke to) {
    double arm = r.crossSizeMm() / 2;
    double speed = r.crossAt().speedMmS();
    to.burn(x - arm, y, x + arm, y, speed);
    to.burn(x, y - arm, x, y + arm, speed);
  }
}
