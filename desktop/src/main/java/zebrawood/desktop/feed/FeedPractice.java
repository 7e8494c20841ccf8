package zebrawood.desktop.feed;

import java.util.List;
import java.util.stream.IntStream;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.devices.feed.StandInFeed;
import zebrawood.feed.FeedFinding;
import zebrawood.feed.FeedReadings;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/** A feed that is off by a factor, runs aside, and may slip. */
final class FeedPractice extends Practice<FeedModel, StandInFeed, FeedReadings, FeedFinding> {
  private static final int FEEDS = 5;
  private static final double FEED_MM = 380;

  FeedPractice(FeedModel model) {
    super(model);
  }

  @Override
  protected StandInFeed make(long number) {
    return new StandInFeed(number);
  }

  @Override
  protected void read(StandInFeed from) {
    model.read(IntStream.range(0, FEEDS).mapToObj(i -> from.feed(FEED_MM)).toList());
  }

  @Override
  protected void obey(StandInFeed on, Outcome.Solved<FeedReadings, FeedFinding> solved) {
    if (solved.finding().verdict() == Verdict.STOP) {
      on.stopSlipping();
    } else {
      on.correct(1 / solved.finding().scale().value());
    }
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInFeed on) {
    return Message.of("feed.practice.stands", Amount.mm(on.offMm(), 2));
  }

  @Override
  protected Message best(StandInFeed on) {
    return Message.of("feed.practice.best");
  }

  @Override
  protected List<Deed<StandInFeed>> deeds() {
    return List.of(Deed.of(Message.of("feed.practice.press"), StandInFeed::stopSlipping));
  }
}
