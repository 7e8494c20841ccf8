package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Does it come through every door, round every corner and up every step: in its crate, and bare?
 *
 * <p>It is carried upright. A door lets its lesser side and its height through. Round a square
 * corner between two passages, the inner edge stays clear of the long side in every position: with
 * the long side's ends on the outer walls at angle t, the inner edge is p sin t + q cos t - l sin t
 * cos t away from it, which must never be less than the width. (The classical problem of a board in
 * a corridor, with a width; derived here.)
 */
public final class WayIn {
  /** For hands and for what a tape reads wrong, over both sides together. */
  static final double HANDS_MM = 20;

  private static final int POSITIONS = 4000;

  private WayIn() {}

  /** What stands on the way. */
  public enum Kind {
    /** Clear width and clear height. */
    DOOR,
    /** Width of the passage before and behind a square corner. */
    CORNER,
    /** Height of one step, and how many of them. */
    STEPS
  }

  /**
   * @param first clear width of a door, width before a corner, height of one step
   * @param second clear height of a door, width behind a corner, count of steps
   */
  public record Passage(Kind kind, double first, double second) {
    public Passage {
      var accepts = new Accepts();
      if (kind == Kind.STEPS) {
        accepts.positive("first", first, 1000).between("second", second, 1, 1000);
      } else {
        accepts.positive("first", first, 20_000).positive("second", second, 20_000);
      }
      accepts.orThrow();
    }
  }

  /** Length, width and height as it is carried. */
  public record Box(double lengthMm, double widthMm, double heightMm) {
    public Box {
      new Accepts()
          .positive("lengthMm", lengthMm, 20_000)
          .positive("widthMm", widthMm, 20_000)
          .positive("heightMm", heightMm, 20_000)
          .orThrow();
    }

    double longer() {
      return Math.max(lengthMm, widthMm);
    }

    double shorter() {
      return Math.min(lengthMm, widthMm);
    }
  }

  public record Readings(Optional<Box> crate, Box machine, List<Passage> passages) {
    public Readings {
      passages = List.copyOf(passages);
      new Accepts().atLeast("passages", passages, 1, "site.way-in.door-corner-step").orThrow();
    }
  }

  /**
   * What is left at one passage; negative where it does not pass.
   *
   * @param crateMm empty without a crate
   */
  public record Spare(Optional<Double> crateMm, double machineMm) {}

  public record Finding(List<Spare> spares) {
    public Finding {
      spares = List.copyOf(spares);
    }
  }

  public static Finding solve(Readings r) {
    return new Finding(
        r.passages.stream()
            .map(p -> new Spare(r.crate.map(c -> spareMm(c, p)), spareMm(r.machine, p)))
            .toList());
  }

  /** What is left of the tighter measure. Steps take any size. */
  static double spareMm(Box box, Passage passage) {
    return switch (passage.kind) {
      case DOOR -> Math.min(passage.first - box.shorter(), passage.second - box.heightMm);
      case CORNER -> aroundCorner(box, passage.first, passage.second);
      case STEPS -> Double.MAX_VALUE;
    };
  }

  private static double aroundCorner(Box box, double beforeMm, double behindMm) {
    double least = Double.MAX_VALUE;
    for (int i = 0; i <= POSITIONS; i++) {
      double t = Math.PI / 2 * i / POSITIONS;
      double sin = Math.sin(t);
      double cos = Math.cos(t);
      least = Math.min(least, beforeMm * sin + behindMm * cos - box.longer() * sin * cos);
    }
    return least - box.shorter();
  }

  static List<PartFinding> judge(Readings r, Finding f) {
    List<PartFinding> parts = new ArrayList<>();
    for (int i = 0; i < r.passages.size(); i++) {
      Passage passage = r.passages.get(i);
      Spare spare = f.spares.get(i);
      Message name = Message.of("site.way-in.place", passage.kind, i + 1);
      if (passage.kind == Kind.STEPS) {
        parts.add(
            PartFinding.within(Advice.act("site.way-in.steps-are-taken"))
                .warning(
                    List.of(
                        Message.of(
                            "site.way-in.steps-way-ramp",
                            Amount.plain(passage.second, Quantity.NUMBER),
                            Amount.plain(passage.first, Quantity.LENGTH)))));
      } else if (spare.machineMm < 0) {
        parts.add(
            PartFinding.stop(
                Advice.act("site.way-in.find-another-way")
                    .because(
                        "site.way-in.even-bare-machine",
                        name,
                        Amount.of(Math.ceil(-spare.machineMm), Quantity.LENGTH, 0))));
      } else if (spare.crateMm.filter(mm -> mm < 0).isPresent()) {
        parts.add(
            PartFinding.adjust(
                Advice.act("site.way-in.unpack-before", name)
                    .because(
                        "site.way-in.crate-lacks-there",
                        Amount.of(Math.ceil(-spare.crateMm.get()), Quantity.LENGTH, 0),
                        Amount.of(Math.floor(spare.machineMm), Quantity.LENGTH, 0))));
      } else if (Stream.concat(spare.crateMm.stream(), Stream.of(spare.machineMm))
          .anyMatch(mm -> mm < HANDS_MM)) {
        parts.add(
            PartFinding.within(Advice.act("site.way-in.just-passes"))
                .warning(
                    List.of(
                        Message.of(
                            "site.way-in.less-than-spare",
                            Amount.plain(HANDS_MM, Quantity.LENGTH),
                            name))));
      }
    }
    return parts;
  }
}
