package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javafx.geometry.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WindowPlaceTest {
  private static boolean inside(WindowPlace place, Rectangle2D screen) {
    return screen.contains(place.x(), place.y())
        && place.x() + place.width() <= screen.getMaxX() + 1e-6
        && place.y() + place.height() <= screen.getMaxY() + 1e-6;
  }

  /** Wherever it was, and whatever screens there are now, all of it is on one of them. */
  @Test
  void itIsWithinAScreen() {
    Random random = new Random(5);
    for (int i = 0; i < 5000; i++) {
      List<Rectangle2D> screens = new ArrayList<>();
      double left = 0;
      for (int s = 0; s <= random.nextInt(3); s++) {
        double width = 800 + random.nextInt(3100);
        screens.add(
            new Rectangle2D(left, random.nextInt(400) - 200.0, width, 560 + random.nextInt(1600)));
        left += width;
      }
      WindowPlace was =
          new WindowPlace(
              random.nextInt(12_000) - 6000.0,
              random.nextInt(6000) - 3000.0,
              1 + random.nextInt(5000),
              1 + random.nextInt(3000),
              random.nextBoolean());
      WindowPlace now = was.within(screens);
      assertThat(screens).anyMatch(s -> inside(now, s));
      assertThat(now.large()).isEqualTo(was.large());
      assertThat(now.within(screens)).isEqualTo(now);
      Rectangle2D first = screens.getFirst();
      assertThat(inside(WindowPlace.inTheMiddle(1280, 800, first), first)).isTrue();
    }
  }

  @Test
  void whereItFitsItStaysAndIsReadBack() {
    WindowPlace second = new WindowPlace(2000, 100, 1300, 820, false);
    List<Rectangle2D> two =
        List.of(new Rectangle2D(0, 0, 1920, 1040), new Rectangle2D(1920, 0, 1920, 1040));
    assertThat(second.within(two)).isEqualTo(second);
    assertThat(WindowPlace.of(second.kept())).contains(second);
    assertThat(second.within(two.subList(0, 1)).x()).isEqualTo(620);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "1 2 3", "1 2 3 4 x", "0 0 NaN 5 0", "0 0 Infinity 5 0", "0 0 0 9 0"})
  void whatIsNoPlaceIsNone(String kept) {
    assertThat(WindowPlace.of(kept)).isEmpty();
  }
}
