package zebrawood.desktop.site;

import java.util.List;
import zebrawood.desktop.sheet.Drawing;
import zebrawood.desktop.sheet.LivePicture;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Numbers;
import zebrawood.site.Duct;
import zebrawood.site.SiteFinding;

/**
 * The exhaust run from the machine to the outlet with the suction along it: it grows piece by piece
 * to the blower, which sits at the far end so that the indoor run leaks inwards.
 */
final class DuctPicture extends LivePicture {
  private static final double SIDE = 46;
  private static final double RUN_Y = 70;
  private static final double GRAPH_TOP = 130;
  private static final double GRAPH_BOTTOM = 50;
  private static final double WIDEST = 46;

  private final SiteModel model;

  DuctPicture(SiteModel model) {
    this.model = model;
    model.outcomeProperty().subscribe(o -> draw());
  }

  @Override
  protected void draw(Drawing on) {
    if (model.outcomeProperty().get() instanceof SiteOutcome.Found(var readings, var finding)
        && readings.breathing().duct().isPresent()) {
      draw(on, readings.breathing().duct().get(), finding);
    } else {
      on.words(Text.of("site.picture.empty"), getWidth() / 2, getHeight() / 2, "plan-side");
    }
  }

  private void draw(Drawing drawing, Duct.Readings duct, SiteFinding finding) {
    List<Duct.Piece> run = duct.run();
    double flow = finding.duct().orElseThrow().operatingFlowM3H().orElse(duct.flowM3H());
    double total = duct.lossPa(flow);
    double length = run.stream().mapToDouble(p -> Math.max(p.lengthM(), 0.3)).sum();
    double widest = run.stream().mapToDouble(Duct.Piece::diameterMm).max().orElse(1);
    double zeroY = GRAPH_TOP;
    double depth = getHeight() - GRAPH_TOP - GRAPH_BOTTOM;
    drawing.line(SIDE, zeroY, getWidth() - SIDE, zeroY, "trend-axis");
    double x = SIDE;
    // Ports, reducers and dampers are told by a step at the machine: that is where most of them
    // sit.
    double lostPa = total - run.stream().mapToDouble(p -> p.lossPa(flow)).sum();
    if (total > 0) {
      drawing.line(x, zeroY, x, zeroY + lostPa * depth / total, "duct-suction");
    }
    for (Duct.Piece piece : run) {
      double wide = (getWidth() - 2 * SIDE) * Math.max(piece.lengthM(), 0.3) / length;
      double high = WIDEST * piece.diameterMm() / widest;
      drawing.rectangle(x, RUN_Y - high / 2, wide, high, "duct-piece");
      drawing.words(
          "Ø" + Numbers.plain(piece.diameterMm()) + " · " + Numbers.plain(piece.lengthM()) + " m",
          x + wide / 2,
          RUN_Y,
          "plan-after");
      double nextPa = lostPa + piece.lossPa(flow);
      double share = total > 0 ? depth / total : 0;
      drawing.line(x, zeroY + lostPa * share, x + wide, zeroY + nextPa * share, "duct-suction");
      lostPa = nextPa;
      x += wide;
    }
    drawing.line(x, zeroY, x, zeroY + (total > 0 ? depth : 0), "duct-blower");
    drawing.circle(x, RUN_Y, 14, "duct-fan");
    drawing.words(Text.of("site.picture.machine"), SIDE, RUN_Y - 40, "plan-side");
    drawing.words(Text.of("site.picture.blower"), x - 20, RUN_Y - 40, "plan-side");
    drawing.words(
        Text.of("site.picture.suction", Numbers.fixed(total, 0)),
        x - 70,
        zeroY + depth + 16,
        "plan-now");
    drawing.words(Text.of("site.picture.room"), getWidth() / 2, zeroY - 12, "plan-side");
  }
}
