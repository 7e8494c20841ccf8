package zebrawood.records.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zebrawood.ledger.Figure;
import zebrawood.quantity.Quantity;

class TrendPictureTest {
  private static final double WIDTH = 220;

  /** A quiet figure with one peak that nobody would hit by taking every so many. */
  private static List<Figure> quietWithOnePeak(int count, int peakAt) {
    return IntStream.range(0, count)
        .mapToObj(i ->
            Figure.of("span", i == peakAt ? 4.0 : 0.2 + 0.01 * (i % 3), Quantity.LENGTH).limited(1))
        .toList();
  }

  private static String drawn(List<Figure> figures) {
    SvgCanvas canvas = new SvgCanvas(WIDTH, 80);
    TrendPicture.draw(canvas, figures, 18);
    return canvas.svg();
  }

  private static long count(String svg, String element) {
    return svg.split("<" + element + " ", -1).length - 1;
  }

  @Test
  void ofAFewEachIsDrawn() {
    assertThat(count(drawn(quietWithOnePeak(12, 5)), "circle")).isEqualTo(12);
  }

  @Test
  void aLongRecordIsDrawnWithNoMoreThanCanBeToldApartAndKeepsItsOnePeak() {
    String svg = drawn(quietWithOnePeak(10_000, 4_321));
    assertThat(count(svg, "circle")).isBetween(40L, (long) WIDTH);
    assertThat(count(svg, "circle")).isEqualTo(count(svg, "line") - 1);
    assertThat(svg).as("the peak, beyond its limit").contains("r=\"4.5\"");
  }

  @Test
  void inARowItIsALineOfAsFew() {
    SvgCanvas canvas = new SvgCanvas(WIDTH, 40);
    TrendPicture.drawLine(canvas, quietWithOnePeak(10_000, 4_321));
    assertThat(count(canvas.svg(), "line")).isBetween(40L, (long) WIDTH);
  }
}
