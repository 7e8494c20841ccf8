package zebrawood.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zebrawood.feed.FeedReadings.Feed;
import zebrawood.measure.Verdict;

class FeedFitTest {
  private static FeedFinding solve(double tolerance, Feed... feeds) {
    return FeedFit.solve(
        new FeedReadings(List.of(feeds), 0.1, 1500, 400, 20, tolerance, Optional.empty()));
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
        FeedFit.solve(
            new FeedReadings(
                List.of(new Feed(300, 297, 0)), 0.1, 400, 400, 20, 1, Optional.empty()));
    assertThat(f.sections()).isEqualTo(1);
    assertThat(f.spliceErrorMm()).isZero();
    assertThat(f.lastErrorMm()).isZero();
  }

  @Test
  void anOverlapAsWideAsTheWindowIsRefused() {
    assertThatThrownBy(() ->
            new FeedReadings(
                List.of(new Feed(300, 297, 0)), 0.1, 900, 400, 400, 1, Optional.empty()))
        .hasMessageContaining("overlapMm");
    assertThatThrownBy(() -> new FeedReadings(List.of(), 0.1, 900, 400, 20, 1, Optional.empty()))
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
      FeedFinding f =
          FeedFit.solve(new FeedReadings(feeds, 0.01, 3000, 400, 20, 1, Optional.empty()));
      double place = 0;
      for (int k = 1; k < f.sections(); k++) {
        place += f.feedMm() * scale + slip * random.nextGaussian();
      }
      within += Math.abs(place - 380 * (f.sections() - 1)) < 2 * f.lastErrorMm() ? 1 : 0;
    }
    assertThat((double) within / tried).isBetween(0.9, 0.98);
  }

  private static FeedFinding joined(double pieceMm, Band... bands) {
    return FeedFit.solve(
        new FeedReadings(
            List.of(new Feed(300, 297, 0), new Feed(300, 297, 0), new Feed(300, 297, 0)),
            0.1,
            pieceMm,
            400,
            20,
            0.5,
            Optional.of(new Free(List.of(bands)))));
  }

  @Test
  void jointsLieWhereNothingIsBurnt() {
    FeedFinding f = joined(1000, new Band(300, 340), new Band(500, 510), new Band(700, 705));
    assertThat(f.joints()).hasSize(2);
    double margin = 2 * f.spliceErrorMm();
    // 380 at most from joint to joint: the last of the first band, then of the third.
    assertThat(f.joints().get(0).placeMm()).isEqualTo(340 - margin, within(1e-9));
    assertThat(f.joints().get(1).placeMm()).isEqualTo(705 - margin, within(1e-9));
    assertThat(f.joints()).allMatch(Joint::free);
    // Scale 0.99: more is commanded than is to be gone.
    assertThat(f.joints().getFirst().commandMm()).isEqualTo((340 - margin) / 0.99, within(1e-9));
  }

  @Test
  void aJointAcrossWhatIsBurntIsNamed() {
    FeedFinding f = joined(1000, new Band(300, 340));
    assertThat(f.joints()).extracting(Joint::free).containsExactly(true, false);
    assertThat(f.warnings()).extracting(m -> m.key()).containsExactly("feed.joint-across");
    assertThat(joined(400, new Band(300, 340)).joints()).isEmpty();
    assertThatThrownBy(() -> joined(1000, new Band(300, 340), new Band(310, 320)))
        .hasMessageContaining("free.bands[1].fromMm");
  }

  /** All choices of joints on a coarse rule, tried one after another, have no fewer. */
  @Test
  void noOtherChoiceHasFewerJoints() {
    Random random = new Random(3);
    for (int i = 0; i < 300; i++) {
      List<Band> bands = new ArrayList<>();
      double at = 20 + 100 * random.nextDouble();
      while (at < 1400) {
        double wide = 5 + 40 * random.nextDouble();
        bands.add(new Band(at, Math.min(1500, at + wide)));
        at += wide + 10 + 250 * random.nextDouble();
      }
      FeedFinding f = joined(1500, bands.toArray(Band[]::new));
      if (f.joints().stream().allMatch(Joint::free)) {
        double margin = 2 * f.spliceErrorMm();
        assertThat(f.joints()).hasSize(fewest(bands, margin));
      } else {
        assertThat(fewest(bands, 2 * f.spliceErrorMm())).isEqualTo(Integer.MAX_VALUE);
      }
    }
  }

  /** By breadth first over every half millimetre that is free, and each band's last place. */
  private static int fewest(List<Band> bands, double margin) {
    List<Double> places = new ArrayList<>();
    for (Band b : bands) {
      for (double p = b.fromMm() + margin; p <= b.toMm() - margin; p += 0.5) {
        places.add(p);
      }
      if (b.toMm() - margin >= b.fromMm() + margin) {
        places.add(b.toMm() - margin);
      }
    }
    List<Double> reached = List.of(0.0);
    for (int joints = 0; joints < 60 && !reached.isEmpty(); joints++) {
      if (reached.stream().anyMatch(p -> 1500 - p <= 400)) {
        return joints;
      }
      List<Double> from = reached;
      reached =
          places.stream().filter(p -> from.stream().anyMatch(q -> p > q && p - q <= 380)).toList();
    }
    return Integer.MAX_VALUE;
  }
}
