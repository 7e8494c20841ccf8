package zebrawood.focus;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.measure.PixelScale;
import zebrawood.words.Message;

/**
 * A photograph or scan of a ramp's board, with what was clicked in it. Pixels of the upright
 * picture, origin at the top left.
 *
 * @param scale two places in the picture that are a known length apart; may be left out where its
 *     board's corners are told
 * @param line clicked near the burnt line, up to 5 mm off sideways; along is counted from its start
 * @param gapAtStartMm from the reference to the surface at the start
 * @param board the board's corners, of a picture taken at an angle; else empty
 */
public record RampPhotoReadings(
    String imagePath,
    Optional<PixelScale> scale,
    Line line,
    double runMm,
    double riseMm,
    double gapAtStartMm,
    Optional<Board> board) {
  private static final double LEAST_LINE_PX = 50;

  /** Where the line begins and ends, x and y each. */
  public record Line(List<Double> startPx, List<Double> endPx) {
    public Line {
      startPx = List.copyOf(startPx);
      endPx = List.copyOf(endPx);
    }
  }

  /**
   * A board with right corners, or a sheet that lies on it.
   *
   * @param cornersPx from the upper left on, clockwise as seen, x and y each
   * @param acrossMm from the first corner to the second
   * @param downMm from the second to the third
   */
  public record Board(List<List<Double>> cornersPx, double acrossMm, double downMm) {
    public Board {
      cornersPx = cornersPx.stream().map(List::copyOf).toList();
    }

    private void check(Accepts accepts) {
      if (cornersPx.size() != 4) {
        accepts.complain(
            "board.cornersPx",
            Message.of("accepts.of-them", cornersPx.size()),
            Message.of("measure.accepts.four-corners"));
        return;
      }
      for (int i = 0; i < 4; i++) {
        PixelScale.place(accepts, "board.cornersPx[" + i + "]", cornersPx.get(i));
      }
      accepts
          .between("board.acrossMm", acrossMm, SHORTEST_SIDE_MM, RampReadings.LONGEST_MM)
          .between("board.downMm", downMm, SHORTEST_SIDE_MM, RampReadings.LONGEST_MM);
      if (accepts.fine() && !clockwise()) {
        accepts.complain(
            "board.cornersPx",
            Message.of("measure.found.on-a-line"),
            Message.of("measure.accepts.four-corners"));
      }
    }

    /** Whether it turns to the right at each corner: else its corners are in another order. */
    private boolean clockwise() {
      for (int i = 0; i < 4; i++) {
        List<Double> a = cornersPx.get(i);
        List<Double> b = cornersPx.get((i + 1) % 4);
        List<Double> c = cornersPx.get((i + 2) % 4);
        double ax = b.getFirst() - a.getFirst();
        double ay = b.getLast() - a.getLast();
        double bx = c.getFirst() - b.getFirst();
        double by = c.getLast() - b.getLast();
        if (ax * by - ay * bx < LEAST_TURN * Math.hypot(ax, ay) * Math.hypot(bx, by)) {
          return false;
        }
      }
      return true;
    }
  }

  private static final double SHORTEST_SIDE_MM = 5;

  /** Sine of the least angle between two sides that a picture is still squared from. */
  private static final double LEAST_TURN = 0.3;

  public RampPhotoReadings {
    var accepts = new Accepts().filled("imagePath", imagePath);
    board.ifPresent(b -> b.check(accepts));
    scale.ifPresent(s -> s.check(accepts, "scale", RampReadings.LONGEST_MM));
    if (scale.isEmpty() && board.isEmpty()) {
      accepts.complain(
          "scale", Message.of("accepts.missing"), Message.of("focus.photo.scale-or-corners"));
    }
    PixelScale.place(accepts, "line.startPx", line.startPx);
    PixelScale.place(accepts, "line.endPx", line.endPx);
    RampReadings.slope(accepts, runMm, riseMm, gapAtStartMm);
    accepts.orThrow();
    PixelScale.apart(accepts, "line.endPx", line.startPx, line.endPx, LEAST_LINE_PX);
    accepts.orThrow();
  }

  RampReadings.Slope slope() {
    return new RampReadings.Slope(runMm, riseMm, gapAtStartMm, 0);
  }

  double pxPerMm() {
    return scale.orElseThrow().pxPerMm();
  }
}
