package zebrawood.desktop.cooling;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.cooling.CoolingFinding;
import zebrawood.cooling.CoolingReadings;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;

/**
 * The coolant on a scale: below, where water settles on the optics; above, where the machine
 * suffers; between, where it may be.
 */
final class Thermometer {
  private static final double TOP = 26;
  private static final double BOTTOM = 26;
  private static final double STEM = 34;
  private static final double LINE_APART = 18;

  private Thermometer() {}

  private record Mark(double celsius, String words, boolean coolant) {}

  static void draw(Canvas on, Optional<Outcome.Solved<CoolingReadings, CoolingFinding>> found) {
    if (found.isPresent()) {
      draw(on, found.get().readings(), found.get().finding());
    } else {
      on.words(Text.of("cooling.picture.empty"), on.width() / 2, on.height() / 2, "plan-side");
    }
  }

  private static void draw(Canvas on, CoolingReadings r, CoolingFinding f) {
    List<Mark> marks = new ArrayList<>();
    double lowest = r.dampUnknown() ? r.air().temperatureC() : f.air().lowestCoolantC();
    if (r.dampUnknown()) {
      marks.add(new Mark(lowest, Text.of("cooling.picture.room"), false));
    } else {
      marks.add(new Mark(f.air().dewPointC(), Text.of("cooling.picture.dew"), false));
      marks.add(new Mark(lowest, Text.of("cooling.picture.lowest"), false));
    }
    marks.add(new Mark(r.limitC(), Text.of("cooling.picture.limit"), false));
    marks.add(new Mark(r.air().coolantC(), Text.of("cooling.picture.coolant"), true));
    r.afterHourC().ifPresent(c -> marks.add(new Mark(c, Text.of("cooling.picture.hour"), true)));
    double low = marks.stream().mapToDouble(Mark::celsius).min().orElseThrow() - 2;
    double high = marks.stream().mapToDouble(Mark::celsius).max().orElseThrow() + 2;
    double scale = (on.height() - TOP - BOTTOM) / (high - low);
    double stemX = on.width() / 2 - 60;
    double allowedTop = TOP + (high - r.limitC()) * scale;
    double allowedBottom = TOP + (high - lowest) * scale;
    on.rectangle(stemX - STEM / 2, TOP, STEM, on.height() - TOP - BOTTOM, "scale-stem");
    on.rectangle(
        stemX - STEM / 2,
        allowedTop,
        STEM,
        Math.max(0, allowedBottom - allowedTop),
        "scale-allowed");
    marks.sort((a, b) -> Double.compare(b.celsius(), a.celsius()));
    double lastWordsY = Double.NEGATIVE_INFINITY;
    int below = marks.size();
    for (Mark mark : marks) {
      double y = TOP + (high - mark.celsius()) * scale;
      below--;
      // Those still to come need room below it.
      double lowestY = on.height() - LINE_APART / 2 - below * LINE_APART;
      double wordsY = Math.min(Math.max(y, lastWordsY + LINE_APART), lowestY);
      lastWordsY = wordsY;
      on.line(stemX - STEM / 2 - 6, y, stemX + STEM / 2 + 8, y, "scale-tick");
      on.line(stemX + STEM / 2 + 8, y, stemX + STEM / 2 + 20, wordsY, "scale-tick");
      on.words(
          Text.of(
              "cooling.picture.mark",
              Amount.of(mark.celsius(), Quantity.TEMPERATURE, 1),
              mark.words()),
          stemX + STEM / 2 + 104,
          wordsY,
          mark.coolant() ? "plan-now" : "plan-after");
      if (mark.coolant()) {
        boolean outside = mark.celsius() > r.limitC() || mark.celsius() < lowest;
        on.circle(stemX, y, 8, "scale-coolant").state("outside", outside);
      }
    }
  }
}
