package zebrawood.feed;

import java.util.ArrayList;
import java.util.List;
import zebrawood.feed.FeedReadings.Feed;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Feeds through zero: {@code measured = scale * commanded}, {@code side = skew * commanded}, by
 * least squares (Bevington and Robinson, Data Reduction and Error Analysis, 3rd ed., chapter 6). A
 * feed scatters by what is left over, no less than the reading's resolution says. Joints: scatter
 * adds from section to section as a random walk, the scale's own error in proportion.
 */
public final class FeedFit {
  private static final double SURE = 2;
  private static final double MRAD = 1000;
  private static final double MOST_FEED_MM = 1e6;

  /** A right angle and more is no feed. */
  private static final double MOST_MRAD = 1500;

  /** Of a section: a piece that just fits needs no further one. */
  private static final double ROUNDING = 1e-9;

  private FeedFit() {}

  public static FeedFinding solve(FeedReadings r) {
    double squares = 0;
    double along = 0;
    double side = 0;
    for (Feed f : r.feeds()) {
      squares += f.commandedMm() * f.commandedMm();
      along += f.commandedMm() * f.measuredMm();
      side += f.commandedMm() * f.sideMm();
    }
    double scale = along / squares;
    double skew = side / squares;
    double scatter = scatter(r, scale);
    Estimate known = new Estimate(scale, scatter / Math.sqrt(squares));
    double feed = r.stepMm() / scale;
    Accepts.canExist("feeds", "feed.skew-mrad", MRAD * skew, MOST_MRAD);
    Accepts.canExist("feeds", "feed.command-mm", feed, MOST_FEED_MM);
    int sections =
        r.pieceMm() <= r.windowMm()
            ? 1
            : (int) Math.ceil((r.pieceMm() - r.overlapMm()) / r.stepMm() - ROUNDING);
    double byScale = feed * known.uncertainty();
    int feeds = sections - 1;
    Verdict verdict = verdict(r, known, skew, scatter, byScale);
    double splice = feeds == 0 ? 0 : Math.hypot(scatter, byScale);
    List<Joint> joints = Joints.of(r, scale, splice);
    return new FeedFinding(
        known,
        MRAD * skew,
        scatter,
        feed,
        sections,
        splice,
        Math.hypot(Math.sqrt(feeds) * scatter, feeds * byScale),
        joints,
        verdict,
        advice(r, verdict, feed, skew, scatter),
        warnings(r, joints));
  }

  private static List<Message> warnings(FeedReadings r, List<Joint> joints) {
    List<Message> warnings = new ArrayList<>();
    if (r.feeds().size() == 1) {
      warnings.add(Message.of("feed.one-feed"));
    }
    List<Joint> across = joints.stream().filter(j -> !j.free()).toList();
    if (!across.isEmpty()) {
      warnings.add(
          Message.of(
              "feed.joint-across", across.size(), Amount.mm(across.getFirst().placeMm(), 1)));
    }
    return warnings;
  }

  private static double scatter(FeedReadings r, double scale) {
    double read = Resolution.standardDeviation(r.readMm());
    int n = r.feeds().size();
    if (n == 1) {
      return read;
    }
    double squares = 0;
    for (Feed f : r.feeds()) {
      double rest = f.measuredMm() - scale * f.commandedMm();
      squares += rest * rest;
    }
    return Math.max(read, Math.sqrt(squares / (n - 1)));
  }

  private static Verdict verdict(
      FeedReadings r, Estimate scale, double skew, double scatter, double byScale) {
    if (SURE * scatter > r.toleranceMm()) {
      return Verdict.STOP;
    }
    if (SURE * byScale > r.toleranceMm()) {
      return Verdict.MEASURE_AGAIN;
    }
    boolean off =
        Math.abs(scale.value() - 1) * r.stepMm() > r.toleranceMm()
            || Math.abs(skew) * r.stepMm() > r.toleranceMm();
    return off ? Verdict.ADJUST : Verdict.WITHIN;
  }

  private static List<Advice> advice(
      FeedReadings r, Verdict verdict, double feed, double skew, double scatter) {
    List<Advice> advice = new ArrayList<>();
    boolean jointed = r.free().isPresent();
    switch (verdict) {
      case STOP ->
          advice.add(
              Advice.act("feed.slips")
                  .because("feed.slips.why", Amount.mm(scatter, 2), Amount.mm(r.toleranceMm(), 2)));
      case MEASURE_AGAIN -> advice.add(Advice.read("feed.longer").because("feed.longer.why"));
      case ADJUST -> {
        advice.add(
            jointed
                ? Advice.act("feed.command-joints").because("feed.command-joints.why")
                : Advice.act("feed.command", Amount.mm(feed, 2))
                    .because("feed.command.why", Amount.mm(r.stepMm(), 2)));
        if (Math.abs(skew) * r.stepMm() > r.toleranceMm()) {
          advice.add(
              Advice.act(
                      skew > 0 ? "feed.turn-left" : "feed.turn-right",
                      Message.number(Math.round(Math.abs(MRAD * skew) * 10) / 10.0))
                  .because("feed.turn.why", Amount.mm(Math.abs(skew) * r.stepMm(), 2)));
        }
      }
      case WITHIN ->
          advice.add(
              jointed
                  ? Advice.leave("feed.leave-joints")
                  : Advice.leave("feed.leave", Amount.mm(feed, 2)));
    }
    return advice;
  }
}
