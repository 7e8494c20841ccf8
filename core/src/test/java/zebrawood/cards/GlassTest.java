package zebrawood.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import zebrawood.measure.UnusableReading;

class GlassTest {
  /** Rays of a lens of f/8 through a plane face, each bent by Snell's law. */
  @Test
  void theFocusLiesWhereTheRaysMeet() {
    GlassMark mark = new GlassMark(1.52, 10);
    double head = mark.headMm();
    double sum = 0;
    int rays = 200;
    for (int i = 1; i <= rays; i++) {
      double outside = Math.atan(i / (double) rays / 16);
      double heightAtFace = head * Math.tan(outside);
      double inside = Math.asin(Math.sin(outside) / 1.52);
      sum += heightAtFace / Math.tan(inside) / rays;
    }
    assertThat(sum).isCloseTo(10, within(0.02));
    assertThat(mark.offMm(0.1)).isCloseTo(0.152, within(1e-12));
  }

  @Test
  void aHoleIsARingInLayers() {
    GlassHole hole = new GlassHole(10, 0.5, 0.05, 3, 0.02, 500);
    assertThat(hole.layers()).isEqualTo(60);
    // A middle circle of 9.5 mm, 0.5 mm wide, in lines of 0.02.
    assertThat(hole.lineMm()).isCloseTo(Math.PI * 9.5 * 0.5 / 0.02, within(1e-9));
    assertThat(hole.seconds()).isCloseTo(60 * hole.lineMm() / 500, within(1e-9));
    assertThatThrownBy(() -> new GlassHole(10, 6, 0.05, 3, 0.02, 500))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("ringMm");
    assertThatThrownBy(() -> new GlassMark(0.9, 10)).hasMessageContaining("index");
  }
}
