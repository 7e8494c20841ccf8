package zebrawood.marks;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.marks.MarkGrid.Mark;

/** Grids in scans that are drawn by code of their own; the truth is in the drawing. */
class MarkGridTest {
  private static final Map<String, Consumer<DrawnScan>> DRAWN = drawn();

  private static Map<String, Consumer<DrawnScan>> drawn() {
    Map<String, Consumer<DrawnScan>> all = new LinkedHashMap<>();
    all.put("clean, uneven paper", s -> s.toneLevels = 4);
    all.put(
        "dots",
        s -> {
          s.dots = true;
          s.sizeMm = 1.2;
        });
    all.put(
        "tiny dots",
        s -> {
          s.dots = true;
          s.sizeMm = 0.7;
          s.toneLevels = 3;
          s.dpi = 600;
          s.columns = 5;
          s.rows = 5;
        });
    all.put(
        "dots a quarter of the pitch wide",
        s -> {
          s.dots = true;
          s.sizeMm = 3.6;
          s.pitchMm = 14;
          s.toneLevels = 4;
        });
    all.put(
        "large dots",
        s -> {
          s.dots = true;
          s.sizeMm = 5;
        });
    all.put(
        "small marks on toned paper",
        s -> {
          s.sizeMm = 1.2;
          s.toneLevels = 5;
          s.pitchMm = 11.5;
        });
    all.put("uneven light", s -> s.unevenShare = 0.5);
    all.put("strong wood", s -> s.grainLevels = 14);
    all.put("many specks", s -> s.specks = 1500);
    all.put(
        "writing and a rule",
        s -> {
          s.writing = true;
          s.rule = true;
          s.toneLevels = 4;
        });
    all.put(
        "three by three far apart",
        s -> {
          s.columns = 3;
          s.rows = 3;
          s.pitchMm = 29;
          s.sizeMm = 3.2;
          s.bow = 0;
        });
    all.put(
        "JPEG 60",
        s -> {
          s.jpeg = 60;
          s.toneLevels = 3;
        });
    all.put(
        "leather",
        s -> {
          s.creaseShare = 0.3;
          s.toneLevels = 3;
        });
    all.put("joints of boards", s -> s.seams = 5);
    all.put("a lamp's reflection", s -> s.glare = 0.75);
    all.put("faint", s -> s.depth = 0.13);
    all.put("unlike depths", s -> s.leastDepth = 0.25);
    all.put(
        "turned, with missing ones",
        s -> {
          s.turnDeg = -8.5;
          s.missing = 6;
          s.writing = true;
        });
    all.put(
        "scale off by a seventh",
        s -> {
          s.stretchX = 0.86;
          s.stretchY = 1.15;
        });
    all.put("long arms", s -> s.sizeMm = 7);
    all.put(
        "light on slate",
        s -> {
          s.lightOnDark = true;
          s.toneLevels = 4;
        });
    all.put(
        "200 dpi",
        s -> {
          s.dpi = 200;
          s.lineMm = 0.3;
          s.columns = 11;
          s.rows = 9;
          s.pitchMm = 10;
        });
    all.put(
        "everything",
        s -> {
          s.toneLevels = 5;
          s.grainLevels = 5;
          s.specks = 300;
          s.writing = true;
          s.rule = true;
          s.unevenShare = 0.3;
          s.jpeg = 80;
          s.turnDeg = 4;
          s.missing = 3;
        });
    return all;
  }

  static Stream<String> names() {
    return DRAWN.keySet().stream();
  }

  @ParameterizedTest
  @MethodSource("names")
  void everyMarkIsFoundAndNothingElse(String name) {
    DrawnScan scan = new DrawnScan();
    DRAWN.get(name).accept(scan);
    var picture = scan.picture();
    MarkGrid.Found found =
        MarkGrid.find(
            picture,
            scan.dots ? MarkKind.DOT : MarkKind.CROSS,
            scan.columns,
            scan.rows,
            scan.pitchMm * scan.pxPerMm(),
            scan.pxPerMm(),
            share -> {});
    int there = scan.columns * scan.rows - scan.without.size();
    List<Double> offMm = new ArrayList<>();
    for (Mark m : found.marks()) {
      double[] at = scan.truth(m.column(), m.row());
      offMm.add(Math.hypot(m.xPx() - at[0], m.yPx() - at[1]) / scan.pxPerMm());
      assertThat(scan.without)
          .as("nothing was burnt at " + m)
          .doesNotContain(m.column() + m.row() * scan.columns);
    }
    double[] sorted = offMm.stream().mapToDouble(d -> d).sorted().toArray();
    String told =
        name + ": " + found.marks().size() + " of " + there + ", mm " + Arrays.toString(sorted);
    assertThat(found.marks().size()).as(told).isBetween(there - 1, there);
    assertThat(sorted[sorted.length / 2]).as(told).isLessThan(0.01);
    assertThat(sorted[(int) (0.88 * sorted.length)]).as(told).isLessThan(0.03);
    assertThat(sorted[sorted.length - 1]).as(told).isLessThan(0.15);
    long within =
        found.marks().stream()
            .filter(m -> {
              double[] at = scan.truth(m.column(), m.row());
              return Math.max(Math.abs(m.xPx() - at[0]), Math.abs(m.yPx() - at[1]))
                  <= 3 * m.uncertaintyPx();
            })
            .count();
    assertThat(within)
        .as("within three deviations, " + told)
        .isGreaterThanOrEqualTo(17 * there / 20L);
  }
}
