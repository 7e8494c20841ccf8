package zebrawood.marks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.marks.Lattice.Cell;
import zebrawood.marks.MarkShapes.Place;

class SmoothNetTest {
  private static Place at(double x, double y) {
    return new Place(x, y, 1, 10);
  }

  @Test
  void marksOnOneLineTellNothingOfWhatIsBesideIt() {
    Map<Cell, Place> column = new HashMap<>();
    Map<Cell, Place> slant = new HashMap<>();
    for (int i = 0; i < 6; i++) {
      column.put(new Cell(2, i), at(100, 600 - 100 * i));
      slant.put(new Cell(i, i), at(100 * i, 600 - 100 * i));
    }
    assertThat(SmoothNet.robust(column, 7, 7, 100)).isEmpty();
    assertThat(SmoothNet.robust(slant, 7, 7, 100)).isEmpty();
  }

  /** Once the two beside the line count nothing, what was fitted with them stays. */
  @Test
  void whatIsLeftOnOneLineEndsTheFit() {
    Map<Cell, Place> marks = new HashMap<>();
    for (int i = 0; i < 6; i++) {
      marks.put(new Cell(i, i), at(100 * i, 600 - 100 * i));
    }
    marks.put(new Cell(4, 0), at(430, 600));
    marks.put(new Cell(0, 4), at(30, 200));
    SmoothNet net = SmoothNet.robust(marks, 7, 7, 100).orElseThrow();
    assertThat(net.degree()).isEqualTo(1);
    assertThat(net.at(new Cell(6, 0))).containsExactly(new double[] {600, 600}, within(40.0));
  }

  /** Two columns bear no cubic, and a bow along them is none across. */
  @Test
  void aNarrowNetTakesWhatItBears() {
    Map<Cell, Place> marks = new HashMap<>();
    for (int row = 0; row < 9; row++) {
      marks.put(new Cell(0, row), at(50, 900 - 100 * row));
      marks.put(new Cell(1, row), at(150, 900 - 100 * row));
    }
    marks.put(new Cell(1, 4), at(150, 533));
    SmoothNet net = SmoothNet.robust(marks, 2, 9, 100).orElseThrow();
    assertThat(net.degree()).isEqualTo(1);
    assertThat(net.at(new Cell(1, 4)))
        .as("one that lies off counts nothing")
        .containsExactly(new double[] {150, 500}, within(1e-6));
  }
}
