package zebrawood.focus;

import java.util.List;
import java.util.Optional;
import zebrawood.focus.RampPhotoFinding.Sample;
import zebrawood.measure.Picture;
import zebrawood.measure.PixelScale;
import zebrawood.measure.Projective;
import zebrawood.measure.SeenFromAbove;

/**
 * A board that was photographed at an angle, as it looks from straight above, by its corners. The
 * board counts as flat and its corners as right ones.
 *
 * @param readings the same in the squared picture
 * @param back from the squared picture to the photograph, in pixels
 */
record SquaredBoard(RampPhotoReadings readings, Picture picture, Projective back) {
  /** About the board's corners, for a line that begins at one. */
  private static final double MARGIN_MM = 8;

  private static final double MOST_PX = 16_000;

  static SquaredBoard of(RampPhotoReadings r, Picture picture) {
    RampPhotoReadings.Board board = r.board().orElseThrow();
    double[][] px = board.cornersPx().stream().map(SquaredBoard::xy).toArray(double[][]::new);
    double around = 0;
    for (int i = 0; i < 4; i++) {
      around += PixelScale.distance(board.cornersPx().get(i), board.cornersPx().get((i + 1) % 4));
    }
    double longest = Math.max(board.acrossMm(), board.downMm()) + 2 * MARGIN_MM;
    double pxPerMm =
        Math.min(around / (2 * (board.acrossMm() + board.downMm())), MOST_PX / longest);
    double left = MARGIN_MM * pxPerMm;
    double right = left + board.acrossMm() * pxPerMm;
    double below = left + board.downMm() * pxPerMm;
    double[][] square = {{left, left}, {right, left}, {right, below}, {left, below}};
    Projective back = Projective.through(square, px);
    Projective there = Projective.through(px, square);
    Picture seen =
        new SeenFromAbove(
            picture, back, (int) Math.ceil(right + left), (int) Math.ceil(below + left));
    RampPhotoReadings squared =
        new RampPhotoReadings(
            r.imagePath(),
            Optional.of(
                new PixelScale(List.of(left, left), List.of(right, left), board.acrossMm())),
            new RampPhotoReadings.Line(
                in(seen, there, r.line().startPx()), in(seen, there, r.line().endPx())),
            r.runMm(),
            r.riseMm(),
            r.gapAtStartMm(),
            r.board());
    return new SquaredBoard(squared, seen, back);
  }

  private static double[] xy(List<Double> px) {
    return new double[] {px.getFirst(), px.getLast()};
  }

  /** A place of the photograph in the squared picture; beside it, at its edge. */
  private static List<Double> in(Picture seen, Projective there, List<Double> px) {
    double[] at = there.at(px.getFirst(), px.getLast());
    return List.of(Math.clamp(at[0], 0, seen.width()), Math.clamp(at[1], 0, seen.height()));
  }

  /** With the places of the widths where they are in the photograph. */
  RampPhotoFinding inPicture(RampPhotoFinding found) {
    return found.withSamples(
        found.samples().stream()
            .map(s -> {
              double[] px = back.at(s.xPx(), s.yPx());
              return new Sample(s.alongMm(), s.lineWidthMm(), s.widthUncertaintyMm(), px[0], px[1]);
            })
            .toList());
  }
}
