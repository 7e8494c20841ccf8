package zebrawood.devices.field;

import java.util.Random;

/**
 * Two mirrors a real distance apart, a lens that follows its angle only nearly, over a table that
 * is tilted, turned, and not quite at the focus.
 *
 * @param focalMm of the f-theta lens
 * @param mirrorsApartMm between the two mirrors
 * @param gainX how much further than commanded the x mirror goes, and {@code gainY}
 * @param third of the lens: r = f a (1 + third a² + fifth a⁴) for a ray at the angle a
 * @param squareMrad how far the mirrors' axes are from square
 * @param tiltXMrad the table's rise towards x, and {@code tiltYMrad} towards y
 * @param turnMrad the head over the table, counter-clockwise
 * @param heightMm of the table above the focus
 */
public record StandInHead(
    double focalMm,
    double mirrorsApartMm,
    double gainX,
    double gainY,
    double third,
    double fifth,
    double squareMrad,
    double tiltXMrad,
    double tiltYMrad,
    double turnMrad,
    double shiftXMm,
    double shiftYMm,
    double heightMm) {
  /** How much of its angle a beam still has behind a lens that is not telecentric. */
  private static final double ANGLE_BEHIND = 0.7;

  private static final int ROUNDS = 6;

  /** Any head for a field of this side, faults as heads have them. */
  public static StandInHead any(double fieldMm, Random random) {
    double focal = fieldMm / 0.68;
    return new StandInHead(
        focal,
        8 + 10 * random.nextDouble(),
        1 + 0.12 * random.nextGaussian() / 2,
        1 + 0.12 * random.nextGaussian() / 2,
        0.06 * random.nextGaussian(),
        0.05 * random.nextGaussian(),
        4 * random.nextGaussian(),
        6 * random.nextGaussian(),
        6 * random.nextGaussian(),
        8 * random.nextGaussian(),
        0.01 * fieldMm * random.nextGaussian(),
        0.01 * fieldMm * random.nextGaussian(),
        0.004 * focal * random.nextGaussian());
  }

  /**
   * Where a mark comes to lie on the table.
   *
   * @return x and y in mm, from the field's centre
   */
  public double[] place(double commandXMm, double commandYMm) {
    double angleX = commandXMm / focalMm * gainX;
    double angleY = commandYMm / focalMm * gainY + squareMrad / 1000 * angleX;
    // First mirror about y, then the second about x.
    double dx = Math.sin(angleX);
    double dy = Math.cos(angleX) * Math.sin(angleY);
    double dz = Math.cos(angleX) * Math.cos(angleY);
    double angle = Math.atan2(Math.hypot(dx, dy), dz);
    double around = Math.atan2(dy, dx);
    double square = angle * angle;
    double r = focalMm * angle * (1 + third * square + fifth * square * square);
    double x = r * Math.cos(around);
    double y = r * Math.sin(around);
    double slopeX = Math.tan(ANGLE_BEHIND * angle) * Math.cos(around);
    double slopeY = Math.tan(ANGLE_BEHIND * angle) * Math.sin(around);
    // The x mirror is further away: its beam enters the lens aside.
    slopeX -= mirrorsApartMm / focalMm * Math.tan(angleX);
    double px = x;
    double py = y;
    for (int i = 0; i < ROUNDS; i++) {
      double above = heightMm + tiltXMrad / 1000 * px + tiltYMrad / 1000 * py;
      px = x - slopeX * above;
      py = y - slopeY * above;
    }
    double c = Math.cos(turnMrad / 1000);
    double s = Math.sin(turnMrad / 1000);
    return new double[] {shiftXMm + c * px - s * py, shiftYMm + s * px + c * py};
  }
}
