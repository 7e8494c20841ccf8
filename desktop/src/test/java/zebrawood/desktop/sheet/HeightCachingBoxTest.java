package zebrawood.desktop.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Scene;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.WindowTest;

class HeightCachingBoxTest extends WindowTest {
  private static final String LONG =
      "Turn the sideways screw of mirror 1 by a quarter, burn the furthest mark again, and type how far it moved. ";

  /** Counts how often its height is computed. */
  private static final class Counted extends VBox {
    private final WrappedLabel words = new WrappedLabel(LONG);
    private int computed;

    Counted() {
      getChildren().add(words);
    }

    @Override
    protected double computePrefHeight(double width) {
      computed++;
      return super.computePrefHeight(width);
    }
  }

  @Test
  void aNestAsksEachPartOnceForAWidthAndFollowsItsWords() {
    onInterface(() -> {
      Counted inmost = new Counted();
      VBox nest = inmost;
      for (int i = 0; i < 5; i++) {
        nest = new HeightCachingBox(0, nest);
      }
      new Scene(nest, 300, 600);
      nest.applyCss();
      nest.layout();
      double before = nest.prefHeight(300);
      int computed = inmost.computed;
      nest.prefHeight(300);
      assertThat(inmost.computed).as("what is known is not computed").isEqualTo(computed);
      inmost.words.setText(LONG + LONG);
      nest.layout();
      double longer = nest.prefHeight(300);
      assertThat(longer).isGreaterThan(1.6 * before);
      assertThat(inmost.computed - computed).as("times for one change").isLessThan(8);
      assertThat(nest.prefHeight(600)).isLessThan(longer);
      inmost.words.setManaged(false);
      assertThat(nest.prefHeight(300)).isLessThan(before);
      return null;
    });
  }
}
