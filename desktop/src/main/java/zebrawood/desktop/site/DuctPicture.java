package zebrawood.desktop.site;

import java.util.List;
import java.util.Optional;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.site.Breathing.BlowerAt;
import zebrawood.site.Duct;
import zebrawood.site.SiteFinding;
import zebrawood.site.SiteReadings;

/**
 * The exhaust run from the machine to the outlet with the pressure along it: suction before the
 * blower, pressure behind it, where the run leaks into the room.
 */
final class DuctPicture {
  private static final double SIDE = 46;
  private static final double RUN_Y = 70;
  private static final double GRAPH_TOP = 130;
  private static final double GRAPH_BOTTOM = 50;
  private static final double LEAST_WORDS = 52;
  private static final double WIDEST = 46;
  private static final double SHORTEST_SHOWN_M = 0.3;

  private DuctPicture() {}

  static void draw(Canvas on, Optional<Outcome.Solved<SiteReadings, SiteFinding>> found) {
    Optional<Duct.Readings> duct = found.flatMap(f -> f.readings().breathing().duct());
    if (duct.isPresent()) {
      draw(
          on,
          duct.get(),
          found.get().finding().duct().orElseThrow(),
          found.get().readings().breathing().blowerAt());
    } else {
      on.words(Text.of("site.picture.empty"), on.width() / 2, on.height() / 2, "plan-side");
    }
  }

  private static double shownM(Duct.Piece piece) {
    return Math.max(piece.lengthM(), SHORTEST_SHOWN_M);
  }

  private static void draw(Canvas on, Duct.Readings duct, Duct.Finding finding, BlowerAt blowerAt) {
    List<Duct.Piece> run = duct.run();
    double flow = finding.operatingFlowM3H().orElse(duct.flowM3H());
    double total = duct.lossPa(flow);
    double length = run.stream().mapToDouble(DuctPicture::shownM).sum();
    double widest = run.stream().mapToDouble(Duct.Piece::diameterMm).max().orElse(1);
    double scale = total > 0 ? (on.height() - GRAPH_TOP - GRAPH_BOTTOM) / total : 0;
    double blowerX =
        switch (blowerAt) {
          case MACHINE -> SIDE;
          case MIDWAY -> on.width() / 2;
          case OUTLET -> on.width() - SIDE;
        };
    // Ports, reducers and dampers are told by a step at the machine: that is where most of them
    // sit.
    double atPorts = total - run.stream().mapToDouble(p -> p.lossPa(flow)).sum();
    double before = lostBefore(run, flow, atPorts, blowerX, (on.width() - 2 * SIDE) / length);
    double behind = total - before;
    double zeroY = GRAPH_TOP + behind * scale;
    on.line(SIDE, zeroY, on.width() - SIDE, zeroY, "trend-axis");
    double x = SIDE;
    double lost = 0;
    if (total > 0 && blowerAt != BlowerAt.MACHINE) {
      on.line(x, zeroY, x, zeroY + atPorts * scale, "duct-suction");
      lost = atPorts;
    }
    for (Duct.Piece piece : run) {
      double wide = (on.width() - 2 * SIDE) * shownM(piece) / length;
      double high = WIDEST * piece.diameterMm() / widest;
      on.rectangle(x, RUN_Y - high / 2, wide, high, "duct-piece");
      on.words(
          Text.of(
              "site.picture.piece",
              Amount.plain(piece.diameterMm(), Quantity.LENGTH),
              Amount.plain(piece.lengthM(), Quantity.DISTANCE)),
          x + wide / 2,
          RUN_Y,
          // In two lines where the piece is too short for one.
          Math.max(LEAST_WORDS, wide - 8),
          "plan-after");
      x += wide;
    }
    drawPressure(on, run, flow, lost, blowerX, zeroY, scale, behind);
    on.line(blowerX, zeroY + before * scale, blowerX, zeroY - behind * scale, "duct-blower");
    on.circle(blowerX, RUN_Y, 14, "duct-fan");
    on.words(Text.of("site.picture.machine"), SIDE + 10, RUN_Y - 40, "plan-side");
    on.words(
        Text.of("site.picture.blower"),
        // In a small picture it gives way at the right end.
        Math.min(Math.max(blowerX, SIDE + 90), on.width() - SIDE - 20),
        RUN_Y - 40,
        "plan-side");
    on.words(
        Text.of("site.picture.loss", Amount.of(total, Quantity.PRESSURE, 0)),
        on.width() - SIDE - 70,
        on.height() - GRAPH_BOTTOM + 16,
        "plan-now");
    on.words(Text.of("site.picture.room"), on.width() / 2, zeroY - 12, "plan-side");
  }

  /** What is lost between the machine and the blower. */
  private static double lostBefore(
      List<Duct.Piece> run, double flow, double atPorts, double blowerX, double perM) {
    if (blowerX <= SIDE) {
      return 0;
    }
    double lost = atPorts;
    double x = SIDE;
    for (Duct.Piece piece : run) {
      double wide = shownM(piece) * perM;
      lost += piece.lossPa(flow) * Math.clamp((blowerX - x) / wide, 0, 1);
      x += wide;
    }
    return lost;
  }

  private static void drawPressure(
      Canvas on,
      List<Duct.Piece> run,
      double flow,
      double first,
      double blowerX,
      double zeroY,
      double scale,
      double behind) {
    double length = run.stream().mapToDouble(DuctPicture::shownM).sum();
    double x = SIDE;
    double below = first;
    double above = behind;
    for (Duct.Piece piece : run) {
      double wide = (on.width() - 2 * SIDE) * shownM(piece) / length;
      double share = Math.clamp((blowerX - x) / wide, 0, 1);
      double loss = piece.lossPa(flow);
      if (share > 0) {
        on.line(
            x,
            zeroY + below * scale,
            x + wide * share,
            zeroY + (below + loss * share) * scale,
            "duct-suction");
        below += loss * share;
      }
      if (share < 1) {
        double left = above - loss * (1 - share);
        on.line(
            x + wide * share,
            zeroY - above * scale,
            x + wide,
            zeroY - Math.max(left, 0) * scale,
            "duct-pressure");
        above = left;
      }
      x += wide;
    }
  }
}
