package zebrawood.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.feed.FeedReadings.Feed;
import zebrawood.measure.Verdict;

class FeedFitTest {
  private static FeedFinding solve(double tolerance, Feed... feeds) {
    return FeedFit.solve(new FeedReadings(List.of(feeds), 0.1, 1500, 400, 20, tolerance));
  }

  @Test
  void whatIsCommandedMakesUpForTheScale() {
    FeedFinding f =
        solve(1, new Feed(300, 297, 0.6), new Feed(300, 297, 0.6), new Feed(300, 297, 0.6));
    assertThat(f.scale().value()).isEqualTo(0.99, within(1e-12));
    assertThat(f.feedMm()).isEqualTo(380 / 0.99, within(1e-9));
    assertThat(f.skewMrad()).isEqualTo(2, within(1e-9));
    // (1500 - 20) / 380 is 3.9.
    assertThat(f.sections()).isEqualTo(4);
    double scatter = 0.1 / Math.sqrt(12);
    assertThat(f.scale().uncertainty())
        .isEqualTo(scatter / Math.sqrt(3 * 300 * 300), within(1e-12));
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
  }

  @Test
  void slippingIsToldFromAFactor() {
    assertThat(solve(0.5, new Feed(300, 297, 0), new Feed(300, 301, 0), new Feed(300, 299, 0)))
        .extracting(FeedFinding::verdict)
        .isEqualTo(Verdict.STOP);
    assertThat(solve(0.2, new Feed(30, 30, 0)).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(solve(1, new Feed(380, 380.2, 0)).verdict()).isEqualTo(Verdict.WITHIN);
  }

  @Test
  void aPieceThatFitsNeedsNoFeed() {
    FeedFinding f =
        FeedFit.solve(new FeedReadings(List.of(new Feed(300, 297, 0)), 0.1, 400, 400, 20, 1));
    assertThat(f.sections()).isEqualTo(1);
    assertThat(f.spliceErrorMm()).isZero();
    assertThat(f.lastErrorMm()).isZero();
  }

  @Test
  void anOverlapAsWideAsTheWindowIsRefused() {
    assertThatThrownBy(
            () -> new FeedReadings(List.of(new Feed(300, 297, 0)), 0.1, 900, 400, 400, 1))
        .hasMessageContaining("overlapMm");
    assertThatThrownBy(() -> new FeedReadings(List.of(), 0.1, 900, 400, 20, 1))
        .hasMessageContaining("feeds");
  }

  /** A piece is passed through, feed by feed, and the last section lies where it was said. */
  @Test
  void theLastSectionLiesWhereItIsSaid() {
    Random random = new Random(9);
    int within = 0;
    int tried = 3000;
    for (int i = 0; i < tried; i++) {
      double scale = 1 + 0.02 * random.nextGaussian();
      double slip = 0.05 + 0.2 * random.nextDouble();
      List<Feed> feeds = new ArrayList<>();
      for (int k = 0; k < 12; k++) {
        double went = 380 * scale + slip * random.nextGaussian();
        feeds.add(new Feed(380, 0.01 * Math.round(went / 0.01), 0));
      }
      FeedFinding f = FeedFit.solve(new FeedReadings(feeds, 0.01, 3000, 400, 20, 1));
      double place = 0;
      for (int k = 1; k < f.sections(); k++) {
        place += f.feedMm() * scale + slip * random.nextGaussian();
      }
      within += Math.abs(place - 380 * (f.sections() - 1)) < 2 * f.lastErrorMm() ? 1 : 0;
    }
    assertThat((double) within / tried).isBetween(0.9, 0.98);
  }
}
