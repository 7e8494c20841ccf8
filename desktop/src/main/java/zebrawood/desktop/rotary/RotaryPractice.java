package zebrawood.desktop.rotary;

import java.util.List;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.devices.rotary.StandInRotary;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.rotary.RotaryFinding;
import zebrawood.rotary.RotaryReadings;
import zebrawood.rotary.Seating.Axis;
import zebrawood.rotary.Seating.Gaps;
import zebrawood.words.Message;

/** A rotary whose plate may be wrong: a line once round and a length are burnt and read. */
final class RotaryPractice
    extends Practice<RotaryModel, StandInRotary, RotaryReadings, RotaryFinding> {
  private static final double LENGTH_MM = 100;
  private static final double RING_MM = 25;

  RotaryPractice(RotaryModel model) {
    super(model);
  }

  @Override
  protected StandInRotary make(long number) {
    return new StandInRotary(number);
  }

  @Override
  protected void read(StandInRotary from) {
    model.asThere(from.kind(), from.plateSteps(), from.rollerMm());
    model.read(from.readDiameterMm(), from.setStepsPerMm());
    double aside = Math.rint(from.readDiameterMm() / 4);
    model.lies(
        new Axis(LENGTH_MM, from.spotOffMm(LENGTH_MM), 0.2),
        new Gaps(aside, from.gapMm(-aside), from.gapMm(aside), 0.1));
    if (from.isCone()) {
      model.tapers(from.diameterMm(-RING_MM), from.diameterMm(RING_MM), 2 * RING_MM);
    }
    model.burnt(from.closesByMm(model.onceRoundMm()), from.measuredMm(LENGTH_MM));
  }

  @Override
  protected void obey(StandInRotary on, Outcome.Solved<RotaryReadings, RotaryFinding> solved) {
    RotaryFinding found = solved.finding();
    on.set(found.stepsPerMm().value());
    found.axisMrad().ifPresent(a -> on.turn(-a.value()));
    found.middleMm().ifPresent(m -> on.move(-m.value()));
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInRotary on) {
    return Message.of(
        "rotary.practice.stands", Amount.mm(on.offMm(), 2), Amount.mm(on.asideMm(50), 1));
  }

  @Override
  protected Message best(StandInRotary on) {
    return Message.of("rotary.practice.best");
  }

  @Override
  protected List<Deed<StandInRotary>> deeds() {
    return List.of(
        Deed.by(
            Message.of("rotary.practice.times"),
            (on, percent) -> on.set(on.setStepsPerMm() * (1 + percent / 100))),
        Deed.of(Message.of("rotary.practice.square"), on -> on.turn(-on.spotOffMm(100) * 10)));
  }

  @Override
  protected Quantity amountOf() {
    return Quantity.PERCENT;
  }
}
