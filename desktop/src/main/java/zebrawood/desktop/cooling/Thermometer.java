package zebrawood.desktop.cooling;

import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.scene.shape.Rectangle;
import zebrawood.desktop.sheet.Drawing;
import zebrawood.desktop.sheet.LivePicture;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Numbers;
import zebrawood.site.CoolingFinding;
import zebrawood.site.CoolingReadings;

/**
 * The coolant on a scale: below, where water settles on the optics; above, where the machine
 * suffers; between, where it may be.
 */
final class Thermometer extends LivePicture {
  private static final double TOP = 26;
  private static final double BOTTOM = 26;
  private static final double STEM = 34;
  private static final double LINE_APART = 18;
  private static final PseudoClass OUTSIDE = PseudoClass.getPseudoClass("outside");

  private final CoolingModel model;

  private record Mark(double celsius, String words, boolean coolant) {}

  Thermometer(CoolingModel model) {
    this.model = model;
    model.outcomeProperty().subscribe(o -> draw());
  }

  @Override
  protected void draw(Drawing on) {
    if (model.outcomeProperty().get() instanceof CoolingOutcome.Found(var readings, var finding)) {
      draw(on, readings, finding);
    } else {
      on.words(Text.of("cooling.picture.empty"), getWidth() / 2, getHeight() / 2, "plan-side");
    }
  }

  private void draw(Drawing drawing, CoolingReadings r, CoolingFinding f) {
    List<Mark> marks = new ArrayList<>();
    marks.add(new Mark(f.air().dewPointC(), Text.of("cooling.picture.dew"), false));
    marks.add(new Mark(f.air().lowestCoolantC(), Text.of("cooling.picture.lowest"), false));
    marks.add(new Mark(r.limitC(), Text.of("cooling.picture.limit"), false));
    marks.add(new Mark(r.air().coolantC(), Text.of("cooling.picture.coolant"), true));
    r.afterHourC().ifPresent(c -> marks.add(new Mark(c, Text.of("cooling.picture.hour"), true)));
    double low = marks.stream().mapToDouble(Mark::celsius).min().orElseThrow() - 2;
    double high = marks.stream().mapToDouble(Mark::celsius).max().orElseThrow() + 2;
    double stemX = getWidth() / 2 - 60;
    double allowedTop = y(r.limitC(), low, high);
    double allowedBottom = y(f.air().lowestCoolantC(), low, high);
    drawing.rectangle(stemX - STEM / 2, TOP, STEM, getHeight() - TOP - BOTTOM, "scale-stem");
    Rectangle allowed =
        drawing.rectangle(
            stemX - STEM / 2,
            allowedTop,
            STEM,
            Math.max(0, allowedBottom - allowedTop),
            "scale-allowed");
    allowed.setVisible(allowedBottom > allowedTop);
    marks.sort((a, b) -> Double.compare(b.celsius(), a.celsius()));
    double lastWordsY = Double.NEGATIVE_INFINITY;
    for (Mark mark : marks) {
      double y = y(mark.celsius(), low, high);
      double wordsY = Math.max(y, lastWordsY + LINE_APART);
      lastWordsY = wordsY;
      drawing.line(stemX - STEM / 2 - 6, y, stemX + STEM / 2 + 8, y, "scale-tick");
      drawing.line(stemX + STEM / 2 + 8, y, stemX + STEM / 2 + 20, wordsY, "scale-tick");
      drawing.words(
          Numbers.fixed(mark.celsius(), 1) + " °C  " + mark.words(),
          stemX + STEM / 2 + 104,
          wordsY,
          mark.coolant() ? "plan-now" : "plan-after");
      if (mark.coolant()) {
        boolean outside = mark.celsius() > r.limitC() || mark.celsius() < f.air().lowestCoolantC();
        drawing.circle(stemX, y, 8, "scale-coolant").pseudoClassStateChanged(OUTSIDE, outside);
      }
    }
  }

  private double y(double celsius, double low, double high) {
    return TOP + (high - celsius) / (high - low) * (getHeight() - TOP - BOTTOM);
  }
}
