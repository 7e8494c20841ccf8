package zebrawood.desktop.rotary;

import java.util.List;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.devices.rotary.StandInRotary;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.rotary.RotaryFinding;
import zebrawood.rotary.RotaryReadings;
import zebrawood.words.Message;

/** A rotary whose plate may be wrong: a line once round and a length are burnt and read. */
final class RotaryPractice
    extends Practice<RotaryModel, StandInRotary, RotaryReadings, RotaryFinding> {
  private static final double LENGTH_MM = 100;

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
    model.burnt(from.closesByMm(model.onceRoundMm()), from.measuredMm(LENGTH_MM));
  }

  @Override
  protected void obey(StandInRotary on, Outcome.Solved<RotaryReadings, RotaryFinding> solved) {
    on.set(solved.finding().stepsPerMm().value());
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInRotary on) {
    return Message.of("rotary.practice.stands", Amount.mm(on.offMm(), 2));
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
            (on, percent) -> on.set(on.setStepsPerMm() * (1 + percent / 100))));
  }

  @Override
  protected Quantity amountOf() {
    return Quantity.PERCENT;
  }
}
