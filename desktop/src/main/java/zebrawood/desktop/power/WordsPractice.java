package zebrawood.desktop.power;

import java.util.List;
import java.util.Random;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.power.StandInWordSource;
import zebrawood.machine.PulseRange;
import zebrawood.power.PowerFinding;
import zebrawood.power.PowerReadings;
import zebrawood.power.PowerTask.Item;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Practice on a simulated source whose job program and controller do not agree on "100 %". */
final class WordsPractice
    extends Practice<PowerModel, StandInWordSource, PowerReadings, PowerFinding> {
  private static final double SMALL_TOP = 400;
  private static final double LARGE_TOP = 1600;

  private static final double USUAL_KHZ = 40;
  private static final double USUAL_NS = 100;

  WordsPractice(PowerModel model) {
    super(model);
  }

  @Override
  protected StandInWordSource make(long number) {
    Random random = new Random(number);
    double controller = random.nextBoolean() ? SMALL_TOP : LARGE_TOP;
    double job = controller == SMALL_TOP ? LARGE_TOP : SMALL_TOP;
    return new StandInWordSource(controller, job, usualKhz(), number);
  }

  private double usualKhz() {
    return model.machine.source().pulses().map(PulseRange::leastKhz).orElse(USUAL_KHZ);
  }

  @Override
  protected void prepare() {
    model.form().clearVisit();
  }

  @Override
  protected void read(StandInWordSource on) {
    model.jobTop.set(on.jobTop());
    model.controllerTop.set(on.controllerTop());
    model.firing.set(on.readFiringPercent());
    model.pulseLength.set(USUAL_NS);
    model.pulseRate.set(on.pulseKhz());
    model.proofs.of(Item.TOP_DARKER).set(on.mark(100) > on.mark(90));
    model.proofs.of(Item.NOT_BACKWARDS).set(on.mark(100) >= on.mark(50));
  }

  @Override
  protected void obey(StandInWordSource on, Outcome.Solved<PowerReadings, PowerFinding> solved) {
    on.setJobTop(on.controllerTop());
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInWordSource on) {
    return Message.of("power.practice.scale", Amount.of(on.offPercent(), Quantity.PERCENT, 0));
  }

  @Override
  protected Message best(StandInWordSource on) {
    return Message.of("power.practice.best-scale");
  }

  @Override
  protected List<Deed<StandInWordSource>> deeds() {
    return List.of(
        Deed.of(Message.of("power.practice.same"), on -> on.setJobTop(on.controllerTop())),
        Deed.of(Message.of("power.practice.hundred"), on -> on.setJobTop(100)));
  }
}
