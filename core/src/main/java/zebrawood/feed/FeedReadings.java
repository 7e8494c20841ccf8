package zebrawood.feed;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * Feeds as they were measured, and the piece.
 *
 * @param readMm to what they were read
 * @param windowMm that can be worked at a time
 * @param overlapMm of one section with the next
 * @param toleranceMm of a joint
 * @param free where the artwork has nothing; empty where nobody said
 */
public record FeedReadings(
    List<Feed> feeds,
    double readMm,
    double pieceMm,
    double windowMm,
    double overlapMm,
    double toleranceMm,
    Optional<Free> free) {
  private static final double LEAST_MM = 0.01;
  private static final double MOST_MM = 1e6;
  private static final int MOST_SECTIONS = 100_000;
  private static final int MOST_FEEDS = 1000;
  private static final int MOST_BANDS = 10_000;

  /**
   * One feed.
   *
   * @param sideMm by how much it went to the right
   */
  public record Feed(double commandedMm, double measuredMm, double sideMm) {}

  public FeedReadings {
    feeds = List.copyOf(feeds);
    var accepts =
        new Accepts()
            .atLeast("feeds", feeds, 1, "feed.count.feeds")
            .atMost("feeds", feeds, MOST_FEEDS)
            .between("readMm", readMm, 0, MOST_MM)
            .between("pieceMm", pieceMm, LEAST_MM, MOST_MM)
            .between("windowMm", windowMm, LEAST_MM, MOST_MM)
            .between("overlapMm", overlapMm, 0, MOST_MM)
            .positive("toleranceMm", toleranceMm, MOST_MM);
    for (int i = 0; i < feeds.size(); i++) {
      String at = "feeds[" + i + "].";
      accepts
          .between(at + "commandedMm", feeds.get(i).commandedMm(), LEAST_MM, MOST_MM)
          .between(at + "measuredMm", feeds.get(i).measuredMm(), LEAST_MM, MOST_MM)
          .between(at + "sideMm", feeds.get(i).sideMm(), -MOST_MM, MOST_MM);
    }
    if (accepts.fine() && !(overlapMm < windowMm)) {
      accepts.complain(
          "overlapMm",
          overlapMm,
          Message.of("feed.accepts.below-window", Message.number(windowMm)));
    }
    if (accepts.fine() && !(pieceMm / (windowMm - overlapMm) < MOST_SECTIONS)) {
      accepts.complain(
          "overlapMm", overlapMm, Message.of("feed.accepts.fewer-sections", MOST_SECTIONS));
    }
    free.ifPresent(f -> check(accepts, f.bands(), pieceMm));
    accepts.orThrow();
  }

  private static void check(Accepts accepts, List<Band> bands, double pieceMm) {
    accepts.atMost("free.bands", bands, MOST_BANDS);
    double last = 0;
    for (int i = 0; accepts.fine() && i < bands.size(); i++) {
      String at = "free.bands[" + i + "].";
      accepts
          .between(at + "fromMm", bands.get(i).fromMm(), last, pieceMm)
          .between(at + "toMm", bands.get(i).toMm(), bands.get(i).fromMm(), pieceMm);
      last = bands.get(i).toMm();
    }
  }

  /** By which the piece is to move from section to section. */
  double stepMm() {
    return windowMm - overlapMm;
  }
}
