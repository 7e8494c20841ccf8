package zebrawood.tape;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.tape.TapePhotoFinding.Clipped;
import zebrawood.tape.TapePhotoFinding.Mark;
import zebrawood.tape.TapePhotoFinding.PerhapsClipped;
import zebrawood.tape.TapePhotoFinding.Shape;
import zebrawood.tape.TapePhotoFinding.Target;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Where pulses burnt printed targets, read from a photograph of them.
 *
 * <p>A target is told by its ring and discs ({@link Targets}); a projective map through their
 * middles, with what a bowed card or a bent lens shifts within, carries the card's millimetres into
 * the picture ({@link CardMap}); seen from above, each burn is what is darker than the bare card as
 * lit there, by the outline at half of its darkness ({@link CardView}, {@link Burns}).
 */
public final class TapePhoto {
  private static final double LEAST_PX_PER_MM = 3;
  private static final double MOST_BLUR_MM = 0.8;

  /** A ring that cannot be told is that blurred: of a disc's edge it is read lower. */
  private static final double CLOSED_RING_MM = 0.7;

  /** Of a print: laser and ink printers place a dot so well. */
  private static final double PRINT_MM = 0.014;

  private TapePhoto() {}

  /**
   * @throws UnusableReading where there is no target that can be read: no target, too small, too
   *     blurred, mirrored
   */
  public static TapePhotoFinding solve(TapePhotoReadings readings, Picture picture) {
    return read(readings, picture).finding();
  }

  /** The same with where each target lies in the picture. */
  public static TapeSeen read(TapePhotoReadings readings, Picture picture) {
    Targets.Found found = Targets.find(picture, readings.stretch());
    List<Placed> placed = new ArrayList<>();
    List<Message> warnings = new ArrayList<>();
    List<Message> refused = new ArrayList<>();
    for (Targets.Target t : found.targets()) {
      if (t.map().pxPerMm() < LEAST_PX_PER_MM) {
        refused.add(Message.of("tape.too-small", Amount.of(t.map().pxPerMm(), Quantity.NUMBER, 1)));
      } else if (t.blurMm() > MOST_BLUR_MM) {
        refused.add(Message.of("tape.too-blurred", Amount.mm(t.blurMm(), 2)));
      } else {
        placed.add(new Placed(t.map(), read(picture, t, readings.stretch())));
      }
    }
    for (int i = 0; i < found.mirrored(); i++) {
      refused.add(Message.of("tape.mirrored"));
    }
    if (found.cutOff()) {
      refused.add(Message.of("tape.cut-off"));
    }
    found
        .poor()
        .filter(p -> p.pxPerMm() < LEAST_PX_PER_MM || p.blurMm() > CLOSED_RING_MM)
        .ifPresent(p ->
            refused.add(
                p.pxPerMm() < LEAST_PX_PER_MM
                    ? Message.of("tape.too-small", Amount.of(p.pxPerMm(), Quantity.NUMBER, 1))
                    : Message.of("tape.too-blurred", Amount.mm(p.blurMm(), 2))));
    if (placed.isEmpty()) {
      throw UnusableReading.of(
          "imagePath",
          refused.isEmpty() ? Message.of("tape.no-target") : refused.getFirst(),
          Message.of("tape.accepted"));
    }
    refused.forEach(r -> warnings.add(Message.of("tape.left-out", r)));
    placed.sort(
        Comparator.comparingInt((Placed p) -> p.target.number().orElse(TapeCard.NUMBERS + 1))
            .thenComparingDouble(p -> p.target.middlePx().getFirst()));
    List<Target> targets = placed.stream().map(Placed::target).toList();
    for (int i = 1; i < targets.size(); i++) {
      if (targets.get(i).number().isPresent()
          && targets.get(i).number().equals(targets.get(i - 1).number())) {
        warnings.add(Message.of("tape.twice", targets.get(i).number().getAsInt()));
      }
    }
    return new TapeSeen(
        judged(readings, targets, warnings), placed.stream().map(Placed::card).toList());
  }

  private record Placed(TapeSeen.Card card, Target target) {}

  private static Target read(Picture picture, Targets.Target t, double[] stretch) {
    CardView view = CardView.of(picture, t.map(), stretch, t.blurMm());
    double[] middle = t.map().px(0, 0);
    double place =
        Math.sqrt(
            PRINT_MM * PRINT_MM
                + square(0.3 * t.residualRmsMm())
                + square(0.02 * Math.tan(Math.toRadians(t.tiltDeg())))
                + square(0.03 * t.blurMm())
                + square(0.04 / t.map().pxPerMm()));
    List<Mark> marks =
        Burns.of(view).stream()
            .sorted(Comparator.comparingDouble(Burns.Burn::x))
            .map(b -> mark(b, place, t.blurMm(), view.noise()))
            .toList();
    return new Target(
        t.number(),
        List.of(middle[0], middle[1]),
        t.map().pxPerMm(),
        t.tiltDeg(),
        t.residualRmsMm(),
        t.blurMm(),
        marks);
  }

  private static double square(double v) {
    return v * v;
  }

  private static Mark mark(Burns.Burn b, double placeMm, double blurMm, double noise) {
    boolean clipped = b.shape() == Burns.Shape.CLIPPED;
    // The printed cross runs through most burns, and what it hides of their rims is filled in.
    double rim =
        (0.006 + 0.05 * blurMm + 0.05 * noise / Math.max(0.1, b.darkness())) * (1 + 8 * b.hidden());
    double completed = clipped ? 0.02 + 0.06 * b.share() * b.diameter() : 0;
    double xy = Math.sqrt(placeMm * placeMm + rim * rim + completed * completed);
    double wide = Math.sqrt(square(2 * rim) + square(2 * completed) + placeMm * placeMm);
    return new Mark(
        b.x(),
        xy,
        b.y(),
        xy,
        b.diameter(),
        wide,
        b.greatest(),
        b.least(),
        b.darkness(),
        Shape.valueOf(b.shape().name()),
        new PerhapsClipped(
            clipped ? Optional.of(new Clipped(b.towardsDeg(), b.share())) : Optional.empty()));
  }

  private static TapePhotoFinding judged(
      TapePhotoReadings readings, List<Target> targets, List<Message> warnings) {
    List<Advice> again = new ArrayList<>();
    List<Advice> cut = new ArrayList<>();
    for (Target t : targets) {
      Message which =
          t.number().isPresent()
              ? Message.of("tape.target", t.number().getAsInt())
              : Message.of("tape.target.unread");
      if (t.marks().isEmpty()) {
        again.add(Advice.read("tape.burn-again", which).because("tape.no-mark"));
      }
      for (Mark m : t.marks()) {
        if (m.shape() == Shape.IRREGULAR) {
          again.add(Advice.read("tape.fresh-target", which).because("tape.irregular"));
        }
        if (2 * Math.max(m.xMmUncertainty(), m.yMmUncertainty()) > readings.allowedMm()) {
          again.add(
              finer(t, which)
                  .because(
                      "tape.uncertain",
                      Amount.mm(m.xMmUncertainty(), 2),
                      Amount.mm(readings.allowedMm(), 2)));
        }
        m.clipped()
            .by()
            .ifPresent(c ->
                cut.add(
                    Advice.act("tape.find-what-cuts", which, side(c.towardsDeg()))
                        .because("tape.missing", Math.round(100 * c.share()))));
      }
    }
    TapePhotoFinding bare = new TapePhotoFinding(targets, Verdict.WITHIN, List.of(), List.of());
    for (TapePhotoReadings.Expected e : readings.expect().orElse(List.of())) {
      int marks = bare.ofNumber(e.number()).map(t -> t.marks().size()).orElse(-1);
      if (marks < 0) {
        again.add(Advice.read("tape.photograph-too", e.number()).because("tape.not-there"));
      } else if (marks != e.marks()) {
        again.add(
            Advice.read("tape.burn-again", Message.of("tape.target", e.number()))
                .because("tape.other-count", marks, e.marks()));
      }
    }
    List<Advice> advice = Stream.concat(again.stream(), cut.stream()).distinct().toList();
    return new TapePhotoFinding(
        targets,
        !again.isEmpty() ? Verdict.MEASURE_AGAIN : !cut.isEmpty() ? Verdict.ADJUST : Verdict.WITHIN,
        advice.isEmpty() ? List.of(Advice.leave("tape.leave")) : advice,
        warnings);
  }

  /** What leaves most of its uncertainty. */
  private static Advice finer(Target t, Message which) {
    if (t.blurMm() > 0.3) {
      return Advice.read("tape.sharper", which);
    }
    return t.tiltDeg() > 25
        ? Advice.read("tape.flatter", which)
        : Advice.read("tape.closer", which);
  }

  private static Message side(double deg) {
    return Message.of(
        switch ((int) Math.floorMod(Math.round(deg / 90), 4L)) {
          case 0 -> "tape.side.right";
          case 1 -> "tape.side.up";
          case 2 -> "tape.side.left";
          default -> "tape.side.down";
        });
  }
}
