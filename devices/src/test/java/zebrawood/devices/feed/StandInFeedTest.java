package zebrawood.devices.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.feed.FeedFinding;
import zebrawood.feed.FeedFit;
import zebrawood.feed.FeedReadings;
import zebrawood.feed.FeedReadings.Feed;
import zebrawood.measure.Verdict;

class StandInFeedTest {
  @Test
  void slippingIsFoundAndTheRestIsMadeTrue() {
    for (long number = 0; number < 40; number++) {
      StandInFeed on = new StandInFeed(number);
      FeedFinding found = found(on);
      if (found.verdict() == Verdict.STOP) {
        on.stopSlipping();
        found = found(on);
      }
      on.correct(1 / found.scale().value());
      assertThat(on.offMm()).isLessThan(0.1);
    }
  }

  private static FeedFinding found(StandInFeed on) {
    List<Feed> feeds = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      feeds.add(on.feed(300));
    }
    return FeedFit.solve(new FeedReadings(feeds, 0.1, 1500, 400, 20, 0.5, Optional.empty()));
  }
}
