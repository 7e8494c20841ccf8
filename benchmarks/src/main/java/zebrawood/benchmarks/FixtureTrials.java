package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import zebrawood.feed.FeedFinding;
import zebrawood.feed.FeedFit;
import zebrawood.feed.FeedReadings;
import zebrawood.feed.FeedReadings.Feed;
import zebrawood.rotary.Rotary;
import zebrawood.rotary.RotaryFinding;
import zebrawood.rotary.RotaryReadings;
import zebrawood.rotary.RotaryReadings.Kind;
import zebrawood.rotary.RotaryReadings.Length;
import zebrawood.rotary.RotaryReadings.Turn;

/**
 * Simulated rotaries and feeds: how far the answer is off, and how often what is stated holds.
 *
 * <p>Argument: how many of each.
 */
public final class FixtureTrials {
  private static final double TAPE_MM = 0.5;

  private final List<Double> off = new ArrayList<>();
  private int held;

  private FixtureTrials() {}

  /** Runs the trials. */
  public static void main(String[] args) {
    int each = args.length > 0 ? Integer.parseInt(args[0]) : 2000;
    for (Kind kind : Kind.values()) {
      for (boolean marks : new boolean[] {false, true}) {
        FixtureTrials trials = new FixtureTrials();
        Random random = new Random(31);
        for (int i = 0; i < each; i++) {
          trials.rotary(random, kind, marks);
        }
        trials.say(kind + (marks ? ", line and tape" : ", diameter alone") + ", per cent of steps");
      }
    }
    FixtureTrials scale = new FixtureTrials();
    FixtureTrials last = new FixtureTrials();
    Random random = new Random(32);
    for (int i = 0; i < each; i++) {
      feed(random, scale, last);
    }
    scale.say("feed's factor, per cent");
    last.say("last section, mm");
  }

  private void add(double error, double uncertainty) {
    off.add(Math.abs(error));
    held += Math.abs(error) < 2 * uncertainty ? 1 : 0;
  }

  private void say(String what) {
    Collections.sort(off);
    System.out.printf(
        Locale.ROOT,
        "%-44s median %.3f, 99 %% %.3f, within 2 u %.3f of %d%n",
        what,
        off.get(off.size() / 2),
        off.get(off.size() * 99 / 100),
        (double) held / off.size(),
        off.size());
  }

  private static double taped(double mm) {
    return TAPE_MM * Math.round(mm / TAPE_MM);
  }

  private void rotary(Random random, Kind kind, boolean marks) {
    double diameter = 20 + 100 * random.nextDouble();
    double steps = 3200 + random.nextInt(6400);
    double roller = 30;
    // Rollers are worn, or covered: some per cent other than nominal.
    double truth =
        kind == Kind.CHUCK
            ? steps / (Math.PI * diameter)
            : steps / (Math.PI * roller) * (1 + 0.01 * random.nextGaussian());
    double set = truth * (1 + 0.01 * random.nextGaussian());
    double gone = Math.PI * diameter * set / truth;
    RotaryFinding f =
        Rotary.solve(
            new RotaryReadings(
                kind,
                steps,
                kind == Kind.ROLLERS ? OptionalDouble.of(roller) : OptionalDouble.empty(),
                diameter + 0.05 * random.nextGaussian(),
                0.05,
                OptionalDouble.of(set),
                List.of(50.0, 50.0),
                2,
                0.5,
                marks
                    ? Optional.of(
                        new Turn(Math.PI * diameter, taped(Math.PI * diameter - gone), TAPE_MM))
                    : Optional.empty(),
                marks
                    ? Optional.of(new Length(100, taped(100 * set / truth), TAPE_MM))
                    : Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
    add(100 * (f.stepsPerMm().value() / truth - 1), 100 * f.stepsPerMm().uncertainty() / truth);
  }

  private static void feed(Random random, FixtureTrials scaleTrials, FixtureTrials lastTrials) {
    double scale = 1 + 0.01 * random.nextGaussian();
    double slip = 0.05 + 0.3 * random.nextDouble();
    List<Feed> feeds = new ArrayList<>();
    int count = 4 + random.nextInt(6);
    for (int i = 0; i < count; i++) {
      double went = 300 * scale + slip * random.nextGaussian();
      feeds.add(new Feed(300, 0.1 * Math.round(went / 0.1), 0));
    }
    FeedFinding f = FeedFit.solve(new FeedReadings(feeds, 0.1, 2000, 400, 20, 1, Optional.empty()));
    scaleTrials.add(100 * (f.scale().value() - scale), 100 * f.scale().uncertainty());
    double place = 0;
    for (int i = 1; i < f.sections(); i++) {
      place += f.feedMm() * scale + slip * random.nextGaussian();
    }
    lastTrials.add(place - 380.0 * (f.sections() - 1), f.lastErrorMm());
  }
}
