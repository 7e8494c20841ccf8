package zebrawood.desktop.bed;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedTask;
import zebrawood.bed.BedVisitFinding;
import zebrawood.bed.Clockwise;
import zebrawood.bed.Screw;
import zebrawood.bed.ScrewTurn;
import zebrawood.bed.ShimFinding;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.bed.StandInBed;
import zebrawood.devices.whole.Trait;
import zebrawood.devices.whole.WholeMachine;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a simulated bed: whether it is tilted or warped, the technician has to find out. */
final class BedPractice extends Practice<BedModel, StandInBed, BedTask, BedVisitFinding> {
  private static final double HEAD_HEIGHT_MM = 50;
  private static final double USUAL_STEP_MM = 0.1;

  /** A stand-in's head on its column, where nobody typed a real one's. */
  private static final double RING_MM = 85;

  private static final double FOOT_MM = 60;
  private static final double NEAR_MM = 140;
  private static final double FAR_MM = 260;

  BedPractice(BedModel model) {
    super(model);
  }

  @Override
  protected StandInBed make(long number) {
    boolean warped = new Random(number).nextInt(3) == 0;
    return make(warped ? StandInBed.Variant.WARPED : StandInBed.Variant.TILTED, number);
  }

  StandInBed make(StandInBed.Variant variant, long number) {
    standHeadUp();
    return new StandInBed(
        variant,
        model.machine.areaXMm(),
        model.machine.areaYMm(),
        screws(),
        model.resolution.value().orElse(USUAL_STEP_MM),
        number);
  }

  @Override
  protected Optional<StandInBed> partOf(WholeMachine whole) {
    standHeadUp();
    return Optional.of(
        StandInBed.falling(
            model.machine.areaXMm(),
            model.machine.areaYMm(),
            screws(),
            model.resolution.value().orElse(USUAL_STEP_MM),
            whole.truth(Trait.BED_X),
            whole.truth(Trait.BED_Y),
            1));
  }

  @Override
  protected Optional<zebrawood.devices.whole.Deed> readBy() {
    return Optional.of(zebrawood.devices.whole.Deed.READ_BED);
  }

  /** Levelled, its middle may stand elsewhere, and with it the focus. */
  @Override
  protected Map<Trait, Double> inTheWhole(StandInBed bed) {
    double x = model.machine.areaXMm();
    double y = model.machine.areaYMm();
    return Map.of(
        Trait.BED_X, bed.trueGapMm(x, y / 2) - bed.trueGapMm(0, y / 2),
        Trait.BED_Y, bed.trueGapMm(x / 2, y) - bed.trueGapMm(x / 2, 0),
        Trait.FOCUS, bed.trueGapMm(x / 2, y / 2));
  }

  @Override
  protected void prepare() {
    if (model.way.get() == BedWay.FEEL) {
      model.way.set(BedWay.GAP);
    }
  }

  /** A simulated head stands on feet of its own where nobody typed a real one's. */
  private void standHeadUp() {
    if (model.underHead() && model.ring.isEmpty()) {
      model.ring.set(RING_MM);
      for (int i = 0; i < Math.min(4, model.supports().size()); i++) {
        model.supports().get(i).x().set(i % 2 == 0 ? -FOOT_MM : FOOT_MM);
        model.supports().get(i).y().set(i / 2 == 0 ? NEAR_MM : FAR_MM);
      }
    }
  }

  /** Shims are to the stand-in what screws of 1 mm pitch are; under a head they work downwards. */
  private List<Screw> screws() {
    List<Screw> screws = new ArrayList<>();
    for (Support s : model.supports()) {
      Clockwise shimmed = model.underHead() ? Clockwise.LOWERS : Clockwise.RAISES;
      screws.add(
          new Screw(
              s.name(),
              s.x().value().orElse(0),
              s.y().value().orElse(0),
              model.onShims() ? 1 : s.pitch().value().orElse(1),
              model.onShims() ? shimmed : s.clockwise().get()));
    }
    return screws;
  }

  /** Puts the gauge to every place and types what it reads. */
  @Override
  protected void read(StandInBed bed) {
    for (BedPlace place : model.places()) {
      place
          .at()
          .ifPresent(at -> {
            double gap = bed.readGapMm(at[0], at[1]);
            boolean head = model.way.get() == BedWay.HEAD_HEIGHT;
            place.reading().set(head ? HEAD_HEIGHT_MM - gap : gap);
          });
    }
  }

  /** Turns the screws by the rounded turns, or puts the stacks in; then the bed is read anew. */
  @Override
  protected void obey(StandInBed bed, Outcome.Solved<BedTask, BedVisitFinding> solved) {
    switch (solved.finding()) {
      // A trial turn moves the whole plate.
      case BedFinding f
          when f.verdict() == Verdict.MEASURE_AGAIN && !model.frame().frameIsKnown() ->
          model.frame().foundStiff();
      case BedFinding f -> {
        for (ScrewTurn turn : f.screws()) {
          bed.turn(turn.id(), turn.eighths() / 8.0);
        }
      }
      case ShimFinding f -> {
        var stacks = ((BedTask.OnShims) solved.readings()).stacks(f);
        for (int i = 0; i < stacks.size(); i++) {
          bed.turn(f.shims().get(i).id(), stacks.get(i).totalMm());
        }
      }
      default -> {}
    }
    model.form().clearReadings();
  }

  private double[][] places() {
    return model.places().stream().flatMap(p -> p.at().stream()).toArray(double[][]::new);
  }

  @Override
  protected Message stands(StandInBed bed) {
    return Message.of(
        "bed.practice.stands", Amount.of(bed.peakToValleyMm(places()), Quantity.LENGTH, 2));
  }

  @Override
  protected Message best(StandInBed bed) {
    return Message.of(
        model.onShims() ? "bed.practice.best-shims" : "bed.practice.best",
        Amount.of(bed.leastPeakToValleyMm(places()), Quantity.LENGTH, 2));
  }

  @Override
  protected List<Deed<StandInBed>> deeds() {
    return model.supports().stream()
        .map(s ->
            Deed.<StandInBed>by(
                Message.of(
                    model.onShims() ? "bed.practice.shim" : "bed.practice.turn",
                    Message.verbatim(s.name())),
                (bed, amount) -> bed.turn(s.name(), amount)))
        .toList();
  }

  @Override
  protected Quantity amountOf() {
    return model.onShims() ? Quantity.LENGTH : Quantity.TURNS;
  }
}
